import { segmentsOf } from './segments.js';
import { type Body, REFERENCE_BODIES } from '../model/body.js';
import { type Constant, working } from '../vocabulary/constant.js';
import type { Fingers } from '../vocabulary/contacts.js';
import type { StretchMotion } from '../vocabulary/motions.js';

const atTheEnd = (of: string, value: number) =>
  working(
    `Passive moment at the end of ${of}`,
    value,
    'N·m',
    'what a helper stops at, on the reference man: some 35 N at the knuckles for the wrist, less for a forearm turn and for single finger joints',
    [value * 0.6, value * 1.6],
  );

/** Moment at which help usually stops at the end of a range, on the reference man. */
const END_MOMENT: Record<StretchMotion, Constant> = {
  'wrist flexion': atTheEnd('wrist flexion', 3),
  'wrist extension': atTheEnd('wrist extension', 3),
  'radial deviation': atTheEnd('radial deviation', 2.5),
  'ulnar deviation': atTheEnd('ulnar deviation', 2.5),
  pronation: atTheEnd('pronation', 2.5),
  supination: atTheEnd('supination', 2.5),
  'finger flexion': atTheEnd('finger flexion', 0.8),
  'finger extension': atTheEnd('finger extension', 0.8),
  'finger spreading': atTheEnd('finger spreading', 0.5),
  'thumb extension': atTheEnd('thumb extension', 0.6),
};

const STEEPNESS = working(
  'Steepness of stretched tissue',
  4,
  'per range',
  'tissue stiffens toward the end of a range as an exponential does: an eighth of the end’s moment at half the range',
  [3, 6],
);
const TWO_JOINT = working(
  'Two-joint fingers on the wrist’s range',
  0.12,
  'of the reach',
  'straight fingers pull the long flexors tight in extension, a fist the extensors in flexion; the other way round gives slack',
  [0.05, 0.2],
);

/** What the long finger muscles take away from the wrist's range, as a factor on how far into it one is. */
function twoJointFactor(motion: StretchMotion, fingers: Fingers): number {
  if (fingers === 'relaxed' || (motion !== 'wrist extension' && motion !== 'wrist flexion')) return 1;
  const tight = fingers === (motion === 'wrist extension' ? 'straight' : 'curled');
  return tight ? 1 + TWO_JOINT.value : 1 - TWO_JOINT.value;
}

/**
 * Moment with which the tissue answers at a share of the range with help. It grows with the cube of the hand's length: cross-section times lever.
 * @example stretchMomentNm(REFERENCE_BODIES.male, 'wrist extension', 100, 'relaxed') → 3
 */
export function stretchMomentNm(body: Body, motion: StretchMotion, reachPercent: number, fingers: Fingers): number {
  const reach = (reachPercent / 100) * twoJointFactor(motion, fingers);
  const size = segmentsOf(body).hand.lengthM / segmentsOf(REFERENCE_BODIES.male).hand.lengthM;
  const steep = STEEPNESS.value;
  return (END_MOMENT[motion].value * size ** 3 * Math.expm1(steep * reach)) / Math.expm1(steep);
}
