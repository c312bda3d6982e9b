import {
  CORNERS,
  type Coverage,
  type Hand,
  HANDS,
  latestReading,
  MAIN,
  MAIN_DIRECTIONS,
  type Person,
  rangeWithHelpDeg,
  type Reading,
  WHEEL_RINGS,
} from '@clay-pot/core';
import { useReadings } from '../../api/queries.js';
import { Wheel, type WheelRange } from '../../drawing/wheel.js';
import { SideMark } from '../../ui/marks.js';

type Ranges = Record<Hand, Record<(typeof MAIN_DIRECTIONS)[number], WheelRange>>;

/** The wheel with its key, and the corners that were visited. */
export function WheelPanel({ coverage, person, athleteId }: { coverage: Coverage; person: Person; athleteId: string | undefined }) {
  const readings = useReadings(athleteId).data ?? [];
  const ranges = rangesOf(person, readings);
  return (
    <section aria-label="Wheel">
      <Wheel coverage={coverage} ranges={ranges} description={describe(coverage)} className="block w-full" />
      <p className="text-fine text-ink-soft">
        Rings, from the centre: {WHEEL_RINGS.join(', ')}; each piece is fist, then open hand. Around it degrees of range:{' '}
        <SideMark side="left" /> <SideMark side="right" /> thick active, thin passive. Dashed ranges are estimates; their pale end covers 4
        in 5 people like this. The cross bar is the furthest point used, red past the range.
      </p>
      <h3 className="mt-2 text-small font-semibold">Two-joint corners</h3>
      <ul className="text-small">
        {CORNERS.map((corner) => {
          const visits = coverage.corners[corner].length;
          return (
            <li key={corner} className="flex justify-between border-b border-line py-0.5">
              {corner}
              <span className={visits ? 'figures' : 'text-amber'}>{visits ? `${visits} ×` : 'not covered'}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** How far the wrist goes in each direction, by range. */
export function rangesOf(person: Person, readings: readonly Reading[]): Ranges {
  const of = (hand: Hand) =>
    Object.fromEntries(
      MAIN_DIRECTIONS.map((direction): [string, WheelRange] => {
        const motion = MAIN[direction];
        const { deg, bandDeg, source } = rangeWithHelpDeg(person, motion, hand);
        const active = latestReading(readings, 'active range', motion, hand);
        return [
          direction,
          {
            withHelpDeg: deg,
            bandDeg,
            estimated: source === 'estimated',
            activeDeg: active?.value ?? null,
          },
        ];
      }),
    ) as Ranges[Hand];
  return { left: of('left'), right: of('right') };
}

/** The same in words. */
function describe({ cells, reachDeg }: Coverage): string {
  if (cells.length === 0) return 'No wrist movement in this sequence.';
  const visited = WHEEL_RINGS.flatMap((loading) => {
    const directions = [...new Set(cells.filter((cell) => cell.loading === loading).map(({ direction }) => direction))];
    return directions.length ? [`${loading}: ${directions.join(', ')}`] : [];
  });
  const reach = HANDS.map(
    (hand) => `${hand} ${MAIN_DIRECTIONS.map((direction) => `${direction} ${Math.round(reachDeg[hand][direction] ?? 0)}°`).join(', ')}`,
  );
  return `Where the wrist moves. ${visited.join('; ')}. Furthest: ${reach.join('; ')}.`;
}
