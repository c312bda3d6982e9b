import { addDays, clock, type Hand, HANDS, type WeekView } from '@clay-pot/core';
import { WEEKDAY_NAMES } from '../../ui/format.js';

const [WIDTH, HEIGHT, COILS] = [64, 56, 7];
const HALF = WIDTH / 2 - 1;
const COIL = HEIGHT / COILS;
const SIDE: Record<Hand, number> = { left: -1, right: 1 };
const FILL: Record<Hand, string> = { left: 'var(--color-cobalt)', right: 'var(--color-ochre-fill)' };

/** Seconds under load of a hand on a day: planned sessions that will not be are left out. */
export const underLoadOn = ({ sessions }: Pick<WeekView, 'sessions'>, day: string, hand: Hand): number =>
  sessions
    .filter((session) => session.day === day && session.state !== 'missed')
    .reduce((sum, { load }) => sum + (load?.hands[hand].underLoadS ?? 0), 0);

/** A week as a pot: Monday is the foot, Sunday the rim; each half as wide as its hand’s time under load. */
export function WeekPot({ week, mostS }: { week: WeekView; mostS: number }) {
  const days = WEEKDAY_NAMES.map((_, index) => addDays(week.monday, index));
  const total = (hand: Hand) => days.reduce((sum, day) => sum + underLoadOn(week, day, hand), 0);
  const words = HANDS.map((hand) => `${hand} ${clock(total(hand) * 1000)}`).join(', ');
  return (
    <svg
      role="img"
      aria-label={`Week ${week.index + 1} as a pot: time under load, ${words}`}
      viewBox={`${-WIDTH / 2} 0 ${WIDTH} ${HEIGHT}`}
      className="block h-14 w-16"
    >
      {days.map((day, index) =>
        HANDS.map((hand) => {
          const width = mostS > 0 ? (HALF * underLoadOn(week, day, hand)) / mostS : 0;
          const x = SIDE[hand] < 0 ? -width : 0;
          return (
            <rect
              key={`${day} ${hand}`}
              x={x}
              y={HEIGHT - (index + 1) * COIL + 0.5}
              width={width}
              height={COIL - 1}
              rx={1.5}
              fill={FILL[hand]}
            />
          );
        }),
      )}
      <line x1={0} x2={0} y1={0} y2={HEIGHT} stroke="var(--color-ink)" strokeWidth={0.75} />
      <line x1={-HALF} x2={HALF} y1={HEIGHT} y2={HEIGHT} stroke="var(--color-ink)" strokeWidth={1.5} />
    </svg>
  );
}
