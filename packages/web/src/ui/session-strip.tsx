import { addDays } from '@clay-pot/core';

const WEEKS = 8;

/** Eight weeks as eight columns of seven days: a mark for each day with a session. */
export function SessionStrip({ recentDays, today }: { recentDays: readonly { day: string; sessions: number }[]; today: string }) {
  const counts = new Map(recentDays.map(({ day, sessions }) => [day, sessions]));
  const days = Array.from({ length: WEEKS * 7 }, (_, index) => addDays(today, index + 1 - WEEKS * 7));
  const total = recentDays.reduce((sum, { sessions }) => sum + sessions, 0);
  return (
    <svg viewBox="0 0 168 18" width="168" height="18" role="img" aria-label={`${total} sessions in eight weeks`} className="inline-block">
      {days.map((day, index) => {
        const sessions = counts.get(day) ?? 0;
        // Three units a day, and a gap after each seventh, so that weeks can be counted.
        const x = index * 2.85 + Math.floor(index / 7);
        const height = sessions ? Math.min(18, 8 + sessions * 5) : 2;
        const fill = sessions ? 'var(--color-ink)' : 'var(--color-line)';
        return <rect key={day} x={x} y={18 - height} width="2.2" height={height} fill={fill} />;
      })}
    </svg>
  );
}
