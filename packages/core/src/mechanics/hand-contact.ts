import { RAD, toDeg } from './plane.js';
import type { Segments } from './segments.js';
import { working } from '../vocabulary/constant.js';
import type { HandPlacement } from '../model/posture.js';
import type { Facing } from '../vocabulary/contacts.js';
import type { MuscleGroup } from '../vocabulary/muscles.js';

/** Angle on the floor between the fingers and the direction away from the support; outward and inward are mirror images. */
const FACING_DEG: Record<Facing, number> = { free: 0, forward: 0, outward: 90, inward: 90, backward: 180 };

const WRIST_OVER_PALM = working(
  'Wrist over a flat palm',
  0.4,
  'of hand length',
  'the wrist’s centre above the floor: the heel’s pad and half the carpus',
  [0.33, 0.45],
);
const KNUCKLES_OVER_PALM = working(
  'Knuckles over a flat palm',
  0.2,
  'of hand length',
  'centres of the knuckles above the floor: pad and half the metacarpal head',
  [0.16, 0.24],
);
const WRIST_OVER_BACK = working('Wrist over the back of the hand', 0.3, 'of hand length', 'half the carpus and thin skin', [0.22, 0.36]);
const KNUCKLES_OVER_BACK = working(
  'Knuckles over the back of the hand',
  0.15,
  'of hand length',
  'half a metacarpal head and thin skin',
  [0.1, 0.2],
);
const FIST_REACH = working(
  'Fist: knuckle face to wrist',
  1.15,
  'of hand length',
  'the first finger bones stand below the knuckles',
  [1.05, 1.25],
);
const HANDLE_REACH = working('Handle: grip to wrist', 0.75, 'of hand length', 'a handle lies in the middle of the palm', [0.65, 0.85]);
/** How high a handle brings the palm above the floor. */
export const HANDLE_HEIGHT_M = working('Height of a handle', 0.07, 'm', 'push-up handles of the usual height', [0.05, 0.12]).value;
const TENT_PALM = working('Tent: palm to floor', 65, '°', 'a tall tent keeps the wrist near the straight hand', [55, 75]);
const TENT_FINGERS = working('Tent: fingers to floor', 60, '°', 'slightly bent fingers that stand on their tips', [50, 70]);
const THUMB_BEARS = working(
  'Tent: the thumb’s share',
  0.25,
  'of the hand’s load',
  'one digit of five, stronger than a finger and nearer to the wrist',
  [0.2, 0.3],
);
const THUMB_AHEAD = working(
  'Tent: thumb before the wrist',
  0.4,
  'of the fingers’ way',
  'the thumb’s tip stands under the web, the fingers’ tips beyond the knuckles',
  [0.3, 0.6],
);
const BALL_SLOPE = working('Slope of a hand over a ball', 40, '°', 'the palm rests against the side of the ball', [30, 50]);
/** How high a ball brings it. */
export const BALL_HEIGHT_M = working('Height of a ball under the hand', 0.12, 'm', 'a soft ball that gives', [0.08, 0.18]).value;
const RAISED_ON_PADS = working('Raised palm: most on the pads', 0.5, 'of the hand’s load', 'the knuckle line keeps the rest', [0.35, 0.65]);
const PAD_ON_FINGER = working('Pads along the finger', 0.67, 'of finger length', 'between middle and end bone', [0.6, 0.8]);

/** What a placed hand means for the chain and for the wrist. Lengths in metres, angles in degrees. */
export interface HandGeometry {
  /** Wrist joint above the surface. */
  readonly wristHeightM: number;
  /** Centre of pressure beyond the wrist, along the fingers. */
  readonly copAheadM: number;
  /** Centre of pressure beyond the wrist along the surface, away from the support. */
  readonly copShiftM: number;
  /** Extension (+) or flexion (−) of the wrist; 0 is the straight hand. */
  readonly extensionDeg: number;
  /** Forearm's lean out of the hand's own plane: side load on the wrist. */
  readonly sideTiltDeg: number;
  /** Lever of the finger joints: centre of pressure beyond the knuckles. */
  readonly beyondKnucklesM: number;
  /** Palm against the surface. */
  readonly pitchDeg: number;
  /** Which muscles hold the wrist. */
  readonly heldBy: MuscleGroup;
  /** Shares of this hand's load on its parts; they sum to 1. */
  readonly pressure: { readonly heel: number; readonly knuckles: number; readonly pads: number };
}

/** Height of the wrist joint above the surface, in metres: it depends on the contact alone. */
export function wristHeight(segments: Segments, { contact, heelLiftDeg, wedgeDeg = 0 }: HandPlacement): number {
  const length = segments.hand.lengthM;
  switch (contact) {
    case 'open palm':
      return (KNUCKLES_OVER_PALM.value + Math.sin((palmSlopeDeg() + wedgeDeg) * RAD)) * length;
    case 'none':
      return WRIST_OVER_PALM.value * length;
    case 'ball':
      return BALL_HEIGHT_M + WRIST_OVER_PALM.value * length * Math.cos(BALL_SLOPE.value * RAD);
    case 'raised palm':
      return (KNUCKLES_OVER_PALM.value + Math.sin((palmSlopeDeg() + heelLiftDeg) * RAD)) * length;
    case 'fingertips':
      return length * Math.sin(TENT_PALM.value * RAD) + segments.fingerM * Math.sin(TENT_FINGERS.value * RAD);
    case 'back of hand':
      return (KNUCKLES_OVER_BACK.value + Math.sin((backSlopeDeg() + wedgeDeg) * RAD)) * length;
    case 'fist':
      return FIST_REACH.value * length;
    case 'handle':
    case 'edge':
      return HANDLE_HEIGHT_M + HANDLE_REACH.value * length;
  }
}

const slopeDeg = (wristOver: number, knucklesOver: number) => toDeg(Math.asin(wristOver - knucklesOver));
/** Metacarpals of a flat palm slope down to the knuckles, though its skin lies level. @example palmSlopeDeg() ≈ 11.5 */
export const palmSlopeDeg = () => slopeDeg(WRIST_OVER_PALM.value, KNUCKLES_OVER_PALM.value);
/** The same with the back of the hand on the floor. @example backSlopeDeg() ≈ 8.6 */
export const backSlopeDeg = () => slopeDeg(WRIST_OVER_BACK.value, KNUCKLES_OVER_BACK.value);

const NO_PRESSURE = { heel: 0, knuckles: 0, pads: 0 };
const ON_KNUCKLES = { heel: 0, knuckles: 1, pads: 0 };
const ON_PADS = { heel: 0, knuckles: 0, pads: 1 };

/**
 * Geometry of a bearing hand. `tilt` is the forearm's lean from the surface's normal, away from the support, in radians.
 *
 * Palm down the wrist extends by 90° plus the forearm's tilt toward the fingers, less the slope of the metacarpals and what the palm is
 * raised; back of the hand down it flexes by the same. The centre of pressure moves from the heel (under the wrist) to the knuckle line
 * with `padPressure`, and beyond it with a raised palm. A flat palm under an upright forearm asks some 79°.
 */
export function handGeometry(segments: Segments, placement: HandPlacement, tilt: number): HandGeometry {
  const { contact, facing, padPressure, heelLiftDeg, wedgeDeg = 0 } = placement;
  const length = segments.hand.lengthM;
  const finger = segments.fingerM;
  // On a wedge the whole hand lies sloped: its heel still bears.
  const onWedge = { ahead: padPressure * length * Math.cos(wedgeDeg * RAD), pitchDeg: wedgeDeg };
  switch (contact) {
    case 'open palm':
      return onItsFace(segments, placement, tilt, palmSlopeDeg() + wedgeDeg, onWedge);
    case 'back of hand':
      return onItsFace(segments, placement, tilt, backSlopeDeg() + wedgeDeg, onWedge);
    case 'ball': {
      const slope = BALL_SLOPE.value;
      const ahead = padPressure * length * Math.cos(slope * RAD);
      return onItsFace(segments, placement, tilt, slope, { ahead, pitchDeg: slope });
    }
    case 'raised palm': {
      const slope = palmSlopeDeg() + heelLiftDeg;
      const beyond = padPressure * RAISED_ON_PADS.value * PAD_ON_FINGER.value * finger;
      const ahead = length * Math.cos(slope * RAD) + beyond;
      return onItsFace(segments, placement, tilt, slope, { ahead, beyond, pitchDeg: heelLiftDeg });
    }
    case 'fingertips': {
      const slope = TENT_PALM.value;
      const onFingers = 1 - THUMB_BEARS.value;
      const fingers = finger * Math.cos(TENT_FINGERS.value * RAD);
      const fingersAhead = length * Math.cos(slope * RAD) + fingers;
      const ahead = fingersAhead * (onFingers + THUMB_BEARS.value * THUMB_AHEAD.value);
      return onItsFace(segments, placement, tilt, slope, { ahead, beyond: onFingers * fingers, pitchDeg: slope });
    }
    case 'fist':
    case 'handle':
    case 'edge': {
      const shift = -(contact === 'fist' ? FIST_REACH : HANDLE_REACH).value * length * Math.sin(tilt);
      return {
        wristHeightM: wristHeight(segments, placement),
        copAheadM: Math.abs(shift),
        copShiftM: shift,
        extensionDeg: 0,
        sideTiltDeg: toDeg(tilt),
        beyondKnucklesM: 0,
        pitchDeg: 90,
        heldBy: heldOnFist(facing, shift),
        pressure: ON_KNUCKLES,
      };
    }
    case 'none':
      // Forearm on the floor: the elbow bears, the hand does not.
      return {
        wristHeightM: wristHeight(segments, placement),
        copAheadM: 0,
        copShiftM: 0,
        extensionDeg: 0,
        sideTiltDeg: 0,
        beyondKnucklesM: 0,
        pitchDeg: 0,
        heldBy: 'shoulder girdle',
        pressure: NO_PRESSURE,
      };
  }
}

/** Where a hand on its face presses: its centre of pressure before the wrist, how far beyond the knuckles, and the palm against the surface. */
interface Pressing {
  readonly ahead: number;
  readonly beyond?: number;
  readonly pitchDeg?: number;
}

/** A hand that stands on its palm or its back, its metacarpals at an angle to the surface. */
function onItsFace(
  segments: Segments,
  placement: HandPlacement,
  tilt: number,
  metacarpalsDeg: number,
  { ahead, beyond = 0, pitchDeg = 0 }: Pressing,
): HandGeometry {
  const { contact, facing } = placement;
  const turned = FACING_DEG[facing] * RAD;
  const slope = metacarpalsDeg * RAD;
  const toward = Math.cos(turned);
  const bend = 90 + toDeg(Math.asin(Math.sin(tilt) * Math.cos(slope) * toward - Math.cos(tilt) * Math.sin(slope)));
  const knuckles = pitchDeg === 0 ? segments.hand.lengthM : segments.hand.lengthM * Math.cos(slope);
  return {
    wristHeightM: wristHeight(segments, placement),
    copAheadM: ahead,
    copShiftM: ahead * toward,
    extensionDeg: contact === 'back of hand' ? -bend : bend,
    sideTiltDeg: toDeg(Math.asin(Math.sin(tilt) * Math.sin(turned))),
    beyondKnucklesM: beyond,
    pitchDeg,
    heldBy: contact === 'back of hand' ? 'wrist extensors' : 'wrist flexors',
    pressure: contact === 'fingertips' ? ON_PADS : pressureFor(ahead, knuckles, segments.fingerM),
  };
}

/** A fist with the thumb forward is tipped sideways by a lean, one with the palm back is bent by it. */
function heldOnFist(facing: Facing, shift: number): MuscleGroup {
  if (facing === 'inward' || facing === 'outward') return shift < 0 ? 'wrist extensors' : 'wrist flexors';
  return shift < 0 ? 'ulnar deviators' : 'radial deviators';
}

/** Heel, knuckle line and pads as supports of a beam: the two next to the centre of pressure share the load. */
function pressureFor(ahead: number, knucklesAhead: number, fingerM: number): HandGeometry['pressure'] {
  if (ahead <= knucklesAhead) {
    const front = knucklesAhead > 0 ? ahead / knucklesAhead : 0;
    // Of what the front of the hand bears, the pads take a third: they press down, the knuckle line carries.
    return { heel: 1 - front, knuckles: (front * 2) / 3, pads: front / 3 };
  }
  const pads = Math.min(1, (ahead - knucklesAhead) / (PAD_ON_FINGER.value * fingerM));
  return { heel: 0, knuckles: 1 - pads, pads };
}
