import { loadClass } from './marks.js';

/** Efforts beyond are drawn at the end of a bar. */
const BAR_FULL = 120;

/** An effort as a bar on the load scale, with the band in which it lies for four fifths of people like this. The own maximum is the thin mark. */
export function EffortBar({
  percent,
  interval: [low, high],
  className = 'h-3',
}: {
  percent: number;
  interval: readonly [number, number];
  className?: string;
}) {
  const at = (value: number) => `${(100 * Math.min(BAR_FULL, value)) / BAR_FULL}%`;
  return (
    <div className={`relative border border-ink/40 bg-white ${className}`} aria-hidden>
      <div className={`h-full ${loadClass(percent)}`} style={{ width: at(percent) }} />
      <div className="absolute inset-y-0 w-px bg-iron" style={{ left: at(100) }} />
      {high - low >= 1 && (
        <div
          className="absolute inset-y-0.5 border-x-2 border-ink outline-1 outline-white/80 before:absolute before:inset-x-0 before:top-1/2 before:-mt-px before:h-0.5 before:bg-ink/70"
          style={{ left: at(low), right: `calc(100% - ${at(high)})` }}
        />
      )}
    </div>
  );
}
