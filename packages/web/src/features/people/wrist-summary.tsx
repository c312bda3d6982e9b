import type { Athlete } from '@clay-pot/contracts';
import {
  dayByDay,
  type DayReading,
  dayWords,
  firstOf,
  type Hand,
  HANDS,
  latestReading,
  MAIN,
  MAIN_DIRECTIONS,
  type MeasuredThing,
  type Person,
  rangeWithHelpDeg,
  type Reading,
  readingUnit,
} from '@clay-pot/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { readingText } from '../../domain/measuring/units.js';
import { useRepeats } from '../../domain/measuring/use-repeats.js';
import { Term } from '../../domain/terms/term.js';
import { type WristRange, WristWheel } from '../../drawing/wrist-wheel.js';
import { SideMark } from '../../ui/marks.js';
import { Part } from '../../ui/page.js';

type Main = (typeof MAIN_DIRECTIONS)[number];

/** What is followed from test to test. */
const FOLLOWED: readonly (MeasuredThing & { readonly name: string })[] = [
  { name: 'Extension', kind: 'passive range', of: 'wrist extension' },
  { name: 'Flexion', kind: 'passive range', of: 'wrist flexion' },
  { name: 'Grip', kind: 'maximum', of: 'grip' },
];

interface Props {
  athlete: Athlete;
  readings: readonly Reading[];
}

/** Both wrists as wheels, each with what became of its range and grip since the first test. */
export function WristSummary({ athlete, readings }: Props) {
  const { person } = useSubject(athlete.id);
  const repeatsOf = useRepeats(readings);
  const days = useMemo(
    () => (hand: Hand, thing: MeasuredThing) => dayByDay(readings, thing, hand, repeatsOf(thing)),
    [readings, repeatsOf],
  );
  return (
    <Part
      title="Wrists"
      aside={
        <Link className="text-small underline underline-offset-2" to={`/people/${athlete.id}/trends`}>
          Trends
        </Link>
      }
    >
      <div className="grid grid-cols-2 gap-x-4 gap-y-3 py-2 sm:gap-x-6">
        {HANDS.map((hand) => {
          const ranges = rangesOf(person, readings, hand, days);
          return (
            <section key={hand} aria-label={`${hand} wrist`}>
              <h3 className="flex items-center gap-2 text-small">
                <SideMark side={hand} /> {hand === 'left' ? 'Left wrist' : 'Right wrist'}
              </h3>
              <WristWheel hand={hand} ranges={ranges} description={describe(hand, ranges)} className="mx-auto block w-full max-w-64" />
              <table className="w-full text-small">
                <tbody>
                  {FOLLOWED.map((thing) => (
                    <Followed key={thing.name} thing={thing} days={days(hand, thing)} />
                  ))}
                </tbody>
              </table>
            </section>
          );
        })}
      </div>
      <p className="text-fine text-ink-soft">
        <Term term="range">Range</Term>: filled is active, the outline passive, dotted the first test. A dashed outline is an estimate.
      </p>
    </Part>
  );
}

type DaysOf = (hand: Hand, thing: MeasuredThing) => readonly DayReading[];

function rangesOf(person: Person, readings: readonly Reading[], hand: Hand, days: DaysOf): Record<Main, WristRange> {
  const of = (direction: Main): WristRange => {
    const motion = MAIN[direction];
    const { deg, source } = rangeWithHelpDeg(person, motion, hand);
    const tested = days(hand, { kind: 'passive range', of: motion });
    return {
      passiveDeg: deg,
      activeDeg: latestReading(readings, 'active range', motion, hand)?.value ?? null,
      firstDeg: tested.length > 1 ? firstOf(tested).value : null,
      isEstimated: source === 'estimated',
    };
  };
  return { extension: of('extension'), flexion: of('flexion'), radial: of('radial'), ulnar: of('ulnar') };
}

const describe = (hand: Hand, ranges: Record<Main, WristRange>): string =>
  `Range of the ${hand} wrist: ${MAIN_DIRECTIONS.map(
    (direction) => `${direction} ${Math.round(ranges[direction].passiveDeg)}°${ranges[direction].isEstimated ? ', estimated' : ''}`,
  ).join(', ')}.`;

/** The latest test, its change since the first, and its way there as a line. */
function Followed({ thing, days }: { thing: (typeof FOLLOWED)[number]; days: readonly DayReading[] }) {
  const unit = readingUnit(thing.kind, thing.of) ?? '°';
  const last = days.at(-1);
  if (!last) {
    return (
      <tr className="border-b border-line">
        <th scope="row" className="py-1 text-left font-normal">
          {thing.name}
        </th>
        <td colSpan={2} className="text-right text-ink-soft">
          not tested
        </td>
      </tr>
    );
  }
  const first = firstOf(days);
  const by = last.value - first.value;
  return (
    <tr className="border-b border-line">
      <th scope="row" className="py-1 text-left font-normal">
        {thing.name}
      </th>
      <td className="text-right font-semibold figures">{readingText(unit, last.value)}</td>
      <td className="pl-2 text-right text-ink-soft">
        {days.length === 1 ? (
          'first test'
        ) : last.isReal ? (
          <b className={by > 0 ? 'text-celadon' : 'text-amber'} title={`since ${dayWords(first.onDay)}`}>
            {by > 0 ? '+' : '−'}
            {readingText(unit, Math.abs(by))}
          </b>
        ) : (
          'no clear change'
        )}
      </td>
    </tr>
  );
}
