import { counted } from '@clay-pot/core';

/** A figure of the first half beside that of the last. @example fromTo(1, 2, 0) → '1 → 2' */
export function fromTo(first: number | null, last: number | null, digits: number): string {
  const text = (value: number | null) => (value === null ? '–' : value.toFixed(digits));
  return first === null && last === null ? 'not rated' : `${text(first)} → ${text(last)}`;
}

const [BAR, HEIGHT, MOST] = [9, 22, 7];

/** Sessions of six weeks as bars, the one that ends today the last. */
export function WeekBars({ sessions }: { sessions: readonly number[] }) {
  const total = sessions.reduce((sum, each) => sum + each, 0);
  return (
    <span className="flex items-center gap-2">
      <svg
        role="img"
        aria-label={`Sessions in each of six weeks: ${sessions.join(', ')}`}
        viewBox={`0 0 ${sessions.length * BAR} ${HEIGHT + 1}`}
        width={sessions.length * BAR}
        height={HEIGHT + 1}
      >
        {sessions.map((count, week) => {
          const height = (HEIGHT * Math.min(MOST, count)) / MOST;
          return (
            <rect key={week} x={week * BAR + 1} y={HEIGHT - height} width={BAR - 2} height={height} fill="var(--color-celadon-fill)" />
          );
        })}
        <line x1={0} x2={sessions.length * BAR} y1={HEIGHT + 0.5} y2={HEIGHT + 0.5} stroke="var(--color-ink)" />
      </svg>
      <span className="figures">{counted(total, 'session')}</span>
    </span>
  );
}
