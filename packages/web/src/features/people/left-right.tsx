import type { Athlete, StoredReading } from '@clay-pot/contracts';
import {
  type Hand,
  HANDS,
  isOfEachHand,
  latestReading,
  lesserWords,
  measuredAs,
  type MeasuredThing,
  protocolName,
  readingUnit,
  type Sides,
  sidesOf,
  thingsIn,
} from '@clay-pot/core';
import { readingText } from '../../domain/measuring/units.js';
import { useRepeats } from '../../domain/measuring/use-repeats.js';
import { Part } from '../../ui/page.js';

interface Row {
  readonly thing: Required<MeasuredThing>;
  readonly values: Record<Hand, number>;
  readonly sides: Sides;
}

const BAR: Record<Hand, string> = { left: 'bg-cobalt', right: 'bg-ochre-fill hatch-right' };

/** Left beside right in everything that was measured of both: how much the lesser lacks, handedness and error taken into account; the most uneven first. */
export function LeftRight({ athlete, readings }: { athlete: Athlete; readings: readonly StoredReading[] }) {
  const repeats = useRepeats(readings);
  const rows = thingsIn(readings)
    .flatMap((thing): Row[] => {
      const mine = readings.filter((reading) => (reading.detail ?? '') === thing.detail);
      const [left, right] = HANDS.map((hand) => latestReading(mine, thing.kind, thing.of, hand)?.value);
      if (left === undefined || right === undefined || !isOfEachHand(thing)) return [];
      const values = { left, right };
      return [{ thing, values, sides: sidesOf(measuredAs(thing), values, athlete.dominantHand, repeats(thing)) }];
    })
    .sort((a, b) => Number(b.sides.isUneven) - Number(a.sides.isUneven) || b.sides.lacksPercent - a.sides.lacksPercent);
  if (rows.length === 0) return null;
  return (
    <Part title="Left vs. right">
      <table className="w-full text-small">
        <caption className="sr-only">Latest tests of both hands, most uneven first</caption>
        <tbody>
          {rows.map((row) => (
            <SidesRow key={`${row.thing.kind} ${row.thing.of} ${row.thing.detail}`} row={row} />
          ))}
        </tbody>
      </table>
    </Part>
  );
}

function SidesRow({ row: { thing, values, sides } }: { row: Row }) {
  const unit = readingUnit(thing.kind, thing.of);
  if (!unit) return null;
  const most = Math.max(values.left, values.right, 1e-9);
  return (
    <tr className="border-b border-line">
      <th scope="row" className="py-1 pr-3 text-left font-normal">
        {protocolName(thing)}
        {thing.detail && <span className="text-ink-soft">, {thing.detail}</span>}
      </th>
      {HANDS.map((hand) => (
        <td key={hand} className="w-16 text-right font-semibold figures sm:w-20">
          {readingText(unit, values[hand])}
        </td>
      ))}
      <td className="w-28 px-3 max-sm:hidden" aria-hidden>
        {HANDS.map((hand) => (
          <span key={hand} className="my-0.5 block h-1.5 bg-ground">
            <span className={`block h-full ${BAR[hand]}`} style={{ width: `${(100 * values[hand]) / most}%` }} />
          </span>
        ))}
      </td>
      <td className="w-44 text-right max-sm:w-24">
        {sides.isUneven && sides.lesser ? (
          <b className="text-amber">{lesserWords(measuredAs(thing), sides)}</b>
        ) : (
          <span className="text-ink-soft">{sides.expected === 0 ? 'within the error' : 'handedness and error'}</span>
        )}
      </td>
    </tr>
  );
}
