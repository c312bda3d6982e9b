import { type Demand, peakEffort } from '@clay-pot/core';
import { loadClass } from '../ui/marks.js';

/** Load, angle and effort of a level in one line; what is not available is said. */
export function DemandLine({ demand }: { demand: Demand }) {
  const { left } = demand;
  const effort = peakEffort(demand);
  const parts = [
    left.loadN > 0 && `${left.loadPercentBW.toFixed(0)} % BW a hand`,
    left.angle && `${left.angle.deg.toFixed(0)}°`,
    left.stretchNm > 0 && `${left.stretchNm.toFixed(1)} N·m pull`,
  ].filter(Boolean);
  return (
    <p className="text-small figures">
      {parts.join(' · ')}
      {parts.length > 0 && effort > 0 && ' · '}
      {effort > 0 && (
        <span className={effort > 100 ? 'font-bold text-iron' : ''}>
          <span className={`mr-1 inline-block size-2.5 border border-ink/40 ${loadClass(effort)}`} aria-hidden />
          {effort.toFixed(0)} % effort{effort > 100 && ', not available'}
        </span>
      )}
    </p>
  );
}
