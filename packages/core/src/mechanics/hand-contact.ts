import { RAD, toDeg } from './plane.js';
import type { Segments } from './segments.js';
import type { HandPlacement } from '../model/posture.js';
import type { Facing } from '../vocabulary/contacts.js';
import type { MuscleGroup } from '../vocabulary/muscles.js';

/** Angle on the floor between the fingers and the direction away from the support; outward and inward are mirror images. */
const FACING_DEG: Record<Facing, number> = { free: 0, forward: 0, outward: 90, inward: 90, backward: 180 };

/** The wrist joint above a flat palm, above the back of the hand, as shares of the hand's length: working values. */
const WRIST_OVER_PALM = 0.4;
const WRIST_OVER_BACK = 0.3;
/** Fist: knuckle face to wrist, over the hand's length (the first finger bones stand below the knuckles). */
const FIST_REACH = 1.15;
/** A handle's grip lies in the middle of the palm; it stands this high. */
const HANDLE_REACH = 0.75;
/** How high a handle brings the palm above the floor. */
export const HANDLE_HEIGHT_M = 0.07;
/** Domed hand: palm and fingers against the floor. A tall tent keeps the wrist near the straight hand. */
const TENT_PALM_DEG = 65;
const TENT_FINGERS_DEG = 60;
/** A hand over a ball is held as by a slope. */
const BALL_SLOPE_DEG = 40;
/** How high a ball brings it. */
export const BALL_HEIGHT_M = 0.12;
/** Of a raised palm's load the pads can take half, the knuckle line keeps the rest. */
const RAISED_ON_PADS = 0.5;
/** Pads lie two thirds along the finger. */
const PAD_ON_FINGER = 0.67;

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
export function wristHeight(segments: Segments, { contact, heelLiftDeg }: HandPlacement): number {
  const length = segments.hand.lengthM;
  switch (contact) {
    case 'open palm':
    case 'none':
      return WRIST_OVER_PALM * length;
    case 'ball':
      return BALL_HEIGHT_M + WRIST_OVER_PALM * length * Math.cos(BALL_SLOPE_DEG * RAD);
    case 'raised palm':
      return (WRIST_OVER_PALM + Math.sin(heelLiftDeg * RAD)) * length;
    case 'fingertips':
      return length * Math.sin(TENT_PALM_DEG * RAD) + segments.fingerM * Math.sin(TENT_FINGERS_DEG * RAD);
    case 'back of hand':
      return WRIST_OVER_BACK * length;
    case 'fist':
      return FIST_REACH * length;
    case 'handle':
    case 'edge':
      return HANDLE_HEIGHT_M + HANDLE_REACH * length;
  }
}

const NO_PRESSURE = { heel: 0, knuckles: 0, pads: 0 };
const ON_KNUCKLES = { heel: 0, knuckles: 1, pads: 0 };
const ON_PADS = { heel: 0, knuckles: 0, pads: 1 };

/**
 * Geometry of a bearing hand. `tilt` is the forearm's lean from the surface's normal, away from the support, in radians.
 *
 * Palm down the wrist extends by 90° plus the forearm's tilt toward the fingers, less what the palm is raised; back of the hand down
 * it flexes by the same. The centre of pressure moves from the heel (under the wrist) to the knuckle line with `padPressure`, and
 * beyond it with a raised palm. A flat palm under an upright forearm: 90°.
 */
export function handGeometry(segments: Segments, placement: HandPlacement, tilt: number): HandGeometry {
  const { contact, facing, padPressure } = placement;
  const length = segments.hand.lengthM;
  const finger = segments.fingerM;
  switch (contact) {
    case 'open palm':
    case 'back of hand':
      return onItsFace(segments, placement, tilt, 0, padPressure * length);
    case 'ball':
      return onItsFace(
        segments,
        placement,
        tilt,
        BALL_SLOPE_DEG,
        padPressure * length * Math.cos(BALL_SLOPE_DEG * RAD),
      );
    case 'raised palm': {
      const knuckles = length * Math.cos(placement.heelLiftDeg * RAD);
      const ahead = knuckles + padPressure * RAISED_ON_PADS * PAD_ON_FINGER * finger;
      return onItsFace(segments, placement, tilt, placement.heelLiftDeg, ahead);
    }
    case 'fingertips': {
      const ahead = length * Math.cos(TENT_PALM_DEG * RAD) + finger * Math.cos(TENT_FINGERS_DEG * RAD);
      return onItsFace(segments, placement, tilt, TENT_PALM_DEG, ahead);
    }
    case 'fist':
    case 'handle':
    case 'edge': {
      const shift = -(contact === 'fist' ? FIST_REACH : HANDLE_REACH) * length * Math.sin(tilt);
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

/** A hand that stands on its palm or its back, the palm at an angle to the surface. */
function onItsFace(
  segments: Segments,
  placement: HandPlacement,
  tilt: number,
  pitchDeg: number,
  ahead: number,
): HandGeometry {
  const { contact, facing } = placement;
  const turned = FACING_DEG[facing] * RAD;
  const pitch = pitchDeg * RAD;
  const toward = Math.cos(turned);
  const knuckles = segments.hand.lengthM * Math.cos(pitch);
  const bend = 90 + toDeg(Math.asin(Math.sin(tilt) * Math.cos(pitch) * toward - Math.cos(tilt) * Math.sin(pitch)));
  return {
    wristHeightM: wristHeight(segments, placement),
    copAheadM: ahead,
    copShiftM: ahead * toward,
    extensionDeg: contact === 'back of hand' ? -bend : bend,
    sideTiltDeg: toDeg(Math.asin(Math.sin(tilt) * Math.sin(turned))),
    beyondKnucklesM: Math.max(0, ahead - knuckles),
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
  const pads = Math.min(1, (ahead - knucklesAhead) / (PAD_ON_FINGER * fingerM));
  return { heel: 0, knuckles: 1 - pads, pads };
}
