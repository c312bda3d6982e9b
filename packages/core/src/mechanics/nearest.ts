import { handLoad } from './hand-load.js';
import { sampleRuns } from './root.js';
import type { Body } from '../model/body.js';
import { POSTURE_LIMITS, PostureError, type SupportPosture } from '../model/posture.js';

/**
 * The nearest value of the field that an error names at which the posture is possible: the error's own where it knows it, else looked for
 * over the whole range of the field. Undefined where none is.
 */
export function nearestPossible(body: Body, posture: SupportPosture, error: PostureError): number | undefined {
  if (error.nearest !== undefined) return error.nearest;
  const { field } = error;
  if (field === 'support') return undefined;
  const { min, max } = POSTURE_LIMITS[field];
  const { hipAngleDeg: _hip, distanceM: _distance, ...tied } = posture;
  const withoutBoth = field === 'distanceM' ? { ...tied, leanDeg: posture.leanDeg ?? 0 } : posture;
  const possible = (value: number): number | null => {
    try {
      return handLoad(body, { ...withoutBoth, [field]: value }).bothPercentBW;
    } catch (thrown) {
      if (thrown instanceof PostureError) return null;
      throw thrown;
    }
  };
  const from = typeof posture[field] === 'number' ? posture[field] : min;
  const samples = sampleRuns(possible, min, max).flat();
  return samples.reduce<number | undefined>(
    (best, { x }) => (best === undefined || Math.abs(x - from) < Math.abs(best - from) ? x : best),
    undefined,
  );
}
