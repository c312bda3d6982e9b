import { Term } from '../../domain/terms/term.js';
import { FirstOfItsKind } from '../../domain/account/first-of-its-kind.js';
import type { StoredReading } from '@clay-pot/contracts';
import {
  capital,
  counted,
  dayByDay,
  type DayReading,
  dayWords,
  errorOf,
  type Hand,
  HANDS,
  keyOfThing,
  measuredAs,
  type MeasuredThing,
  READING_NAMES,
  type ReadingUnit,
  readingUnit,
  readNumber,
  thingsIn,
  type Trend,
} from '@clay-pot/core';
import { useMemo } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useAthlete, useReadings } from '../../api/queries.js';
import { numberText, readingText, shownUnit, shownValue, storedValue, readable } from '../../domain/measuring/units.js';
import { useRepeats } from '../../domain/measuring/use-repeats.js';
import { useTrend } from '../../domain/measuring/use-trend.js';
import { ButtonLink } from '../../ui/button-link.js';
import { SelectField, TextField } from '../../ui/field.js';
import { SideMark } from '../../ui/marks.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';
import { KeptPictures } from './saved-pictures.js';
import { TrendChart } from './trend-chart.js';

/** How one thing went over the weeks: both hands, with the error of each reading, the trend and when a goal is met. */
export default function TrendsPage() {
  const { id } = useParams();
  const athlete = useAthlete(id);
  const readings = useReadings(id);
  const [params, setParams] = useSearchParams();
  const all = readings.data;
  const things = useMemo(() => thingsIn(all ?? []), [all]);
  const chosen = things.find((thing) => keyOfThing(thing) === params.get('of')) ?? things[0];
  if (athlete.isError && !athlete.data) return <Trouble error={athlete.error} retry={() => void athlete.refetch()} />;
  if (!athlete.data || !all) return <Loading what="readings" />;
  const set = (name: 'of' | 'goal', value: string) => {
    const next = new URLSearchParams(params);
    if (value) next.set(name, value);
    else next.delete(name);
    if (name === 'of') next.delete('goal');
    setParams(next, { replace: true });
  };
  return (
    <Page
      title="Trends"
      lead={athlete.data.name}
      actions={
        <>
          <ButtonLink to={`/people/${id}/import`}>Import / export</ButtonLink>
          <ButtonLink to={`/people/${id}/measure`}>Test</ButtonLink>
        </>
      }
    >
      {chosen ? (
        <OfThing {...{ things, chosen, readings: all, set }} goal={params.get('goal') ?? ''} />
      ) : (
        <FirstOfItsKind
          example="/people"
          action={
            <ButtonLink kind="primary" to={`/people/${id}/measure`}>
              Start test
            </ButtonLink>
          }
        >
          How range and strength change over weeks. Test on four days to see a trend.
        </FirstOfItsKind>
      )}
      <KeptPictures athleteId={athlete.data.id} />
    </Page>
  );
}

type Thing = Required<MeasuredThing>;

interface OfProps {
  things: readonly Thing[];
  chosen: Thing;
  readings: readonly StoredReading[];
  goal: string;
  set: (name: 'of' | 'goal', value: string) => void;
}

const thingName = ({ kind, of, detail }: Thing) => `${capital(of)}, ${READING_NAMES[kind]}${detail && `, ${detail}`}`;

function OfThing({ things, chosen, readings, goal, set }: OfProps) {
  const unit = readingUnit(chosen.kind, chosen.of) ?? 'N';
  const repeatsFor = useRepeats(readings);
  const repeats = useMemo(() => repeatsFor(chosen), [repeatsFor, chosen]);
  const points = useMemo(
    () => ({ left: dayByDay(readings, chosen, 'left', repeats), right: dayByDay(readings, chosen, 'right', repeats) }),
    [readings, chosen, repeats],
  );
  const measured = measuredAs(chosen);
  const errorFor = (hand: Hand) => errorOf(measured, points[hand].at(-1)?.value ?? 0, repeats);
  const error = { left: errorFor('left'), right: errorFor('right') };
  const typed = readNumber(goal);
  const goalValue = Number.isFinite(typed) ? storedValue(unit, typed) : null;
  return (
    <>
      <div className="mb-4 grid gap-4 sm:grid-cols-[minmax(0,1fr)_12rem]">
        <SelectField label="Measurement" value={keyOfThing(chosen)} onChange={(event) => set('of', event.target.value)}>
          {things.map((thing) => (
            <option key={keyOfThing(thing)} value={keyOfThing(thing)}>
              {thingName(thing)}
            </option>
          ))}
        </SelectField>
        <TextField
          label={`Goal, ${shownUnit(unit) || 'times'}`}
          inputMode="decimal"
          value={goal}
          error={goal && goalValue === null ? 'a number' : undefined}
          onChange={(event) => set('goal', event.target.value)}
        />
      </div>
      <TrendChart title={`${thingName(chosen)}, over time`} unit={unit} points={points} error={error} goal={goalValue} />
      <div className="mt-6 grid gap-x-10 gap-y-6 sm:grid-cols-2">
        {HANDS.map((hand) => (
          <TrendOf key={hand} hand={hand} unit={unit} points={points[hand]} goal={goalValue} />
        ))}
      </div>
      <Table unit={unit} points={points} error={error} />
    </>
  );
}

interface TrendOfProps {
  hand: Hand;
  unit: ReadingUnit;
  points: readonly DayReading[];
  goal: number | null;
}

/** The slope a week with its interval, and when the goal is met, or why that cannot be said. */
function TrendOf({ hand, unit, points, goal }: TrendOfProps) {
  const trend = useTrend(points, goal);
  return (
    <section aria-label={`Trend, ${hand}`}>
      <h2 className="flex items-center gap-2 text-lead">
        <SideMark side={hand} /> {trend ? <Term term="trend">{slopeWords(trend, unit)}</Term> : 'Calculating…'}
      </h2>
      {trend?.intervalPerWeek && (
        <p className="text-small text-ink-soft">
          95 % sure: between {signed(unit, trend.intervalPerWeek[0])} and {signed(unit, trend.intervalPerWeek[1])} a week.
        </p>
      )}
      {trend?.forecast && (
        <p>
          Goal about <b>{dayWords(trend.forecast.onDay)}</b>: between {dayWords(trend.forecast.fromDay)} and{' '}
          {trend.forecast.toDay ? dayWords(trend.forecast.toDay) : 'too far ahead to say'}.
        </p>
      )}
      {trend?.why && <p>{readable(trend.why)}</p>}
    </section>
  );
}

const SLOPE_PLACES = 1;
const signed = (unit: ReadingUnit, value: number) => {
  const text = Math.abs(shownValue(unit, value)).toFixed(SLOPE_PLACES);
  return `${value < 0 ? '−' : '+'}${text}${shownUnit(unit) === '°' ? '°' : ` ${shownUnit(unit)}`}`;
};

function slopeWords({ slopePerWeek, direction }: Trend, unit: ReadingUnit): string {
  if (slopePerWeek === null) return 'No trend yet';
  return direction === 'none' ? 'No clear trend yet' : `${signed(unit, slopePerWeek)} a week`;
}

function Table({
  unit,
  points,
  error,
}: {
  unit: ReadingUnit;
  points: Record<Hand, readonly DayReading[]>;
  error: Record<Hand, { change: number; from: string; repeats: number }>;
}) {
  const days = [...new Set(HANDS.flatMap((hand) => points[hand].map(({ onDay }) => onDay)))].sort().reverse();
  return (
    <Part title="Readings" className="mt-8" aside={<span className="text-small text-ink-soft">{counted(days.length, 'day')}</span>}>
      <table className="w-full max-w-xl">
        <thead>
          <tr className="text-left text-small text-ink-soft">
            <th className="py-1 font-normal">Day</th>
            {HANDS.map((hand) => (
              <th key={hand} className="py-1 text-right font-normal">
                <SideMark side={hand} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {days.map((day) => (
            <tr key={day} className="border-t border-line">
              <th scope="row" className="py-1 text-left font-normal">
                {dayWords(day)}
              </th>
              {HANDS.map((hand) => {
                const point = points[hand].find(({ onDay }) => onDay === day);
                return (
                  <td key={hand} className="py-1 text-right figures">
                    {point ? numberText(unit, point.value) : '–'}
                    {point?.isReal && <b className="text-celadon"> ✓</b>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-small text-ink-soft">
        ✓ a real change since the first test: {readingText(unit, error.left.change)} or more on
        {error.left.from === 'own repeats'
          ? `, from ${counted(error.left.repeats, 'repeat')} of your own`
          : ', the usual error of such tests'}
        .
      </p>
    </Part>
  );
}
