import { type Calibration, calibrationOf, type CalibrationPoint, percent } from '@clay-pot/core';
import { lazy, Suspense, useMemo } from 'react';
import { useAthletes } from '../../api/queries.js';
import { useForWhom } from '../../domain/athlete/for-whom.js';
import { OfWhom, useOfWhom } from '../../domain/athlete/of-whom.js';
import { Empty, Loading, Page, Part, Trouble } from '../../ui/page.js';
import { Narrowing } from './narrowing.js';
import { useForetold } from './use-foretold.js';

const CalibrationChart = lazy(() => import('./calibration-chart.js'));
/** Fewer ratings than this make no picture. */
const FEWEST = 20;

/** What was to be expected of sessions before they were led, held against what came. */
export default function PredictionsPage() {
  const athleteId = useOfWhom();
  const athletes = useAthletes();
  const ids = useMemo(() => (athleteId ? [athleteId] : (athletes.data ?? []).map(({ id }) => id)), [athleteId, athletes.data]);
  const { data, error, refetch, done } = useForetold(ids);
  const calibration = useMemo(() => data && calibrationOf(data), [data]);
  return (
    <Page
      title="Foretold and told"
      lead="Before each block of the last twelve weeks: how hard it would be felt and whether it would be carried to its end, by what was known the day before. Beside it, what came."
      actions={<OfWhom />}
    >
      {error ? (
        <Trouble error={error} retry={() => void refetch()} />
      ) : calibration ? (
        <Judged calibration={calibration} />
      ) : (
        <Loading what={`what was foretold, ${done} of ${ids.length} people`} />
      )}
      {athleteId && <NarrowingOf athleteId={athleteId} />}
    </Page>
  );
}

function NarrowingOf({ athleteId }: { athleteId: string }) {
  const { person } = useForWhom(athleteId);
  return <Narrowing person={person} />;
}

function Judged({ calibration }: { calibration: Calibration }) {
  const { exertion, ratings, carried, blocks, within } = calibration;
  if (blocks === 0) return <Empty>No session was led in the last twelve weeks.</Empty>;
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2">
      <Part title={`Exertion, ${ratings} ratings`}>
        {ratings < FEWEST || !within ? (
          <Empty>
            {ratings} ratings tell nothing of how well it is foretold: {FEWEST} do. Only loads that were rated count; a press is a share of
            the own maximum.
          </Empty>
        ) : (
          <>
            <p className="py-2">
              <b className="figures">{percent(within.value)}</b> lay within what eight of ten were expected in ({percent(within.low)} to{' '}
              {percent(within.high)}).
            </p>
            <Suspense fallback={<div className="aspect-square max-w-96" />}>
              <CalibrationChart points={exertion} />
            </Suspense>
            <Table points={exertion} of="ratings" caption="Ratings said to be at most so high" />
          </>
        )}
      </Part>
      <Part title={`Carried to its end, ${blocks} blocks`}>
        <p className="py-2 text-small text-ink-soft">
          By strength, and by how often they kept at it before: blocks end early for other reasons, too: time, attention, a hand that hurts.
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
          <th className="py-0.5 font-normal">Said</th>
          <th className="py-0.5 text-right font-normal">Came</th>
          <th className="py-0.5 text-right font-normal">Between</th>
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
