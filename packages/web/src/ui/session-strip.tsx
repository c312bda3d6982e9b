import { addDays } from '@clay-pot/core';

const WEEKS = 8;

/** Eight weeks as eight columns of seven days: a mark for each day with a session. */
export function SessionStrip({
  recentDays,
  today,
}: {
  recentDays: readonly { day: string; sessions: number }[];
  today: string;
}) {
  const counts = new Map(recentDays.map(({ day, sessions }) => [day, sessions]));
  const days = Array.from({ length: WEEKS * 7 }, (_, index) => addDays(today, index + 1 - WEEKS * 7));
  const total = recentDays.reduce((sum, { sessions }) => sum + sessions, 0);
  return (
    <svg viewBox="0 0 112 16" width="112" height="16" role="img" aria-label={`${total} sessions in eight weeks`}>
      {days.map((day, index) => {
        const sessions = counts.get(day) ?? 0;
        const x = index * 2;
        return sessions ? (
          <rect
            key={day}
            x={x}
            y={16 - Math.min(14, 8 + sessions * 3)}
            width="1.6"
            height="16"
            fill="var(--color-ink)"
          />
        ) : (
          <rect key={day} x={x} y="14.5" width="1.6" height="1.5" fill={index % 7 === 6 ? '#66717a' : '#cbd3d8'} />
        );
      })}
    </svg>
  );
}
