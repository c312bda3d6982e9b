import type { Fingers } from '../vocabulary/contacts.js';
import type { StretchMotion } from '../vocabulary/motions.js';

/**
 * Moment at which help usually stops at the end of a range: some 35 N of the other hand at the knuckles for the wrist, less for a
 * forearm turn and for single finger joints. N·m, working values.
 */
const END_MOMENT_NM: Record<StretchMotion, number> = {
  'wrist flexion': 3,
  'wrist extension': 3,
  'radial deviation': 2.5,
  'ulnar deviation': 2.5,
  pronation: 2.5,
  supination: 2.5,
  'finger flexion': 0.8,
  'finger extension': 0.8,
  'finger spreading': 0.5,
  'thumb extension': 0.6,
};

/** Tissue stiffens toward the end of a range as an exponential does; the steepness is a working value. */
const STEEPNESS = 4;

/**
 * What the long finger muscles take away from the wrist's range, as a factor on how far into it one is: straight fingers pull the
 * flexors tight in extension, a fist pulls the extensors tight in flexion (working values; practice: two-joint muscles).
 */
function twoJointFactor(motion: StretchMotion, fingers: Fingers): number {
  if (motion === 'wrist extension') return { curled: 0.9, relaxed: 1, straight: 1.12 }[fingers];
  if (motion === 'wrist flexion') return { curled: 1.12, relaxed: 1, straight: 0.9 }[fingers];
  return 1;
}

/**
 * Moment with which the tissue answers at a share of the range with help.
 * @example stretchMomentNm('wrist extension', 100, 'relaxed') → 3
 */
export function stretchMomentNm(motion: StretchMotion, reachPercent: number, fingers: Fingers): number {
  const reach = (reachPercent / 100) * twoJointFactor(motion, fingers);
  return (END_MOMENT_NM[motion] * Math.expm1(STEEPNESS * reach)) / Math.expm1(STEEPNESS);
}
