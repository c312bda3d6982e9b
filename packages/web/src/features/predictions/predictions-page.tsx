import { Term } from '../../domain/terms/term.js';
import { type Calibration, calibrationOf, type CalibrationPoint, percent } from '@clay-pot/core';
import { lazy, Suspense, useMemo } from 'react';
import { useAthletes } from '../../api/queries.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { AthleteOfView, useChosenAthlete } from '../../domain/athlete/athlete-of-view.js';
import { Empty, Loading, Page, Part, Trouble } from '../../ui/page.js';
import { Narrowing } from './narrowing.js';
import { usePredictions } from './use-predictions.js';

const CalibrationChart = lazy(() => import('./calibration-chart.js'));
/** Fewer ratings than this make no picture. */
const FEWEST = 20;

/** What was to be expected of sessions before they were led, held against what came. */
export default function PredictionsPage() {
  const athleteId = useChosenAthlete();
  const athletes = useAthletes();
  const ids = useMemo(() => (athleteId ? [athleteId] : (athletes.data ?? []).map(({ id }) => id)), [athleteId, athletes.data]);
  const { data, error, refetch, done } = usePredictions(ids);
  const calibration = useMemo(() => data && calibrationOf(data), [data]);
  return (
    <Page
      title="Predicted vs. actual"
      lead="For each block of the last twelve weeks: the effort and completion predicted the day before, next to what happened."
      actions={<AthleteOfView />}
    >
      {error ? (
        <Trouble error={error} retry={() => void refetch()} />
      ) : calibration ? (
        <Judged calibration={calibration} />
      ) : (
        <Loading what={`predictions, ${done} of ${ids.length} people`} />
      )}
      {athleteId && <NarrowingOf athleteId={athleteId} />}
    </Page>
  );
}

function NarrowingOf({ athleteId }: { athleteId: string }) {
  const { person } = useSubject(athleteId);
  return <Narrowing person={person} />;
}

function Judged({ calibration }: { calibration: Calibration }) {
  const { exertion, ratings, carried, blocks, within } = calibration;
  if (blocks === 0) return <Empty>No session in the last twelve weeks.</Empty>;
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2">
      <Part title={`Effort (RPE), ${ratings} ratings`}>
        {ratings < FEWEST || !within ? (
          <Empty>
            {ratings} ratings are too few to judge the predictions: it takes {FEWEST}. Only rated loads count; a press is a share of the own
            maximum.
          </Empty>
        ) : (
          <>
            <p className="py-2">
              <Term term="predictedRange">
                <b className="figures">{percent(within.value)}</b>
              </Term>{' '}
              fell in the range that should hold eight of ten ({percent(within.low)} to {percent(within.high)}).
            </p>
            <Suspense fallback={<div className="aspect-square max-w-96" />}>
              <CalibrationChart points={exertion} />
            </Suspense>
            <Table points={exertion} of="ratings" caption="Ratings said to be at most so high" />
          </>
        )}
      </Part>
      <Part title={`Completed, ${blocks} blocks`}>
        <p className="py-2 text-small text-ink-soft">
          Predicted from strength and from earlier sessions. Blocks also end early for other reasons: time, attention, a hand that hurts.
        </p>
        <Table points={carried} of="blocks" caption="Blocks by the chance that was said" />
      </Part>
    </div>
  );
}

function Table({ points, of, caption }: { points: readonly CalibrationPoint[]; of: string; caption: string }) {
  return (
    <table className="mt-2 w-full text-small">
      <caption className="text-left text-ink-soft">{caption}</caption>
      <thead>
        <tr className="text-left text-ink-soft">
          <th className="py-0.5 font-normal">Predicted</th>
          <th className="py-0.5 text-right font-normal">Actual</th>
          <th className="py-0.5 text-right font-normal">Range</th>
          <th className="py-0.5 text-right font-normal">Of {of}</th>
        </tr>
      </thead>
      <tbody>
        {points.map(({ said, came: { value, low, high }, count }) => (
          <tr key={said} className="border-t border-line figures">
            <th scope="row" className="py-0.5 text-left font-normal">
              {percent(said)}
            </th>
            <td className="py-0.5 text-right font-semibold">{percent(value)}</td>
            <td className="py-0.5 text-right text-ink-soft">
              {percent(low)}–{percent(high)}
            </td>
            <td className="py-0.5 text-right text-ink-soft">{count}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
