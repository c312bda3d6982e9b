import { toDeg } from './plane.js';
import type { Segments } from './segments.js';
import type { SupportPosture } from '../model/posture.js';
import { working } from '../vocabulary/constant.js';

/** The lowest link, from the support's contact to the hip. */
export interface LowerLink {
  readonly lengthM: number;
  /** Joint above the contact point. */
  readonly riseM: number;
  /** How far the link's line is turned from the leg's own line, toward the front of the body, in degrees. */
  readonly offsetDeg: number;
  readonly called: string;
}

const ANKLE_ON_SIDE = working(
  'Ankle above the side of the foot',
  0.18,
  'of foot length',
  'half the width of a foot and its ankle',
  [0.14, 0.22],
);
const ANKLE_ON_HEEL = working('Ankle above the heel’s back', 0.2, 'of foot length', 'the foot stands on its heel', [0.16, 0.25]);

/** The link from support to hip, of a body in a posture. */
export function lowerLink(segments: Segments, { support }: SupportPosture): LowerLink {
  const { thigh, shank, foot, ankleHeightM, ankleToBallM, kneelHeightM } = segments;
  const leg = thigh.lengthM + shank.lengthM;
  switch (support) {
    case 'knees':
      return { lengthM: thigh.lengthM, riseM: kneelHeightM, offsetDeg: 0, called: 'thighs' };
    case 'toes':
    case 'feet on wall': {
      // Foot held square to the shank: ball of the foot beyond and in front of the ankle, the whole leg one rigid link.
      const down = leg + ankleHeightM;
      const offsetDeg = toDeg(Math.atan2(ankleToBallM, down));
      return { lengthM: Math.sqrt(down * down + ankleToBallM * ankleToBallM), riseM: 0, offsetDeg, called: 'legs' };
    }
    case 'soles':
      return { lengthM: leg, riseM: ankleHeightM, offsetDeg: 0, called: 'legs' };
    case 'heels':
      return { lengthM: leg, riseM: ANKLE_ON_HEEL.value * foot.lengthM, offsetDeg: 0, called: 'legs' };
    case 'side of feet':
      return { lengthM: leg, riseM: ANKLE_ON_SIDE.value * foot.lengthM, offsetDeg: 0, called: 'legs' };
    case 'none':
      return { lengthM: leg, riseM: 0, offsetDeg: 0, called: 'legs' };
  }
}
