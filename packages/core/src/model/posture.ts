import type { Contact, Facing } from '../vocabulary/contacts.js';
import type { Limit } from '../vocabulary/limit.js';
import { between, type Of, oneOf, optional, orWord, record } from '../vocabulary/schema.js';

/** The contact of a hand with its surface. */
export interface HandPlacement {
  readonly contact: Contact;
  readonly facing: Facing;
  /** How hard fingers and knuckle line press: 0 all weight on the heel of the hand, 1 the heel is just about to lift. */
  readonly padPressure: number;
  /** Palm off the floor at the heel, for a raised palm; degrees between palm and floor. */
  readonly heelLiftDeg: number;
  /** A folded towel or a wedge under the heel of the hand; degrees of its slope, none where it is not said. */
  readonly wedgeDeg?: number;
}

/**
 * A quiet planted hand: most weight over the heel, pads lightly pressing, so that the weight stands two to three centimetres beyond
 * the wrist (working value); a raised palm is a finger's breadth and a half off the floor.
 */
export const USUAL_HAND: HandPlacement = {
  contact: 'open palm',
  facing: 'forward',
  padPressure: 0.3,
  heelLiftDeg: 20,
};

/** Bounds of the numbers that describe a hand on a surface. */
export const HAND_LIMITS = {
  padPressure: { min: 0, max: 1, step: 0.01, unit: 'of the hand' },
  heelLiftDeg: { min: 0, max: 60, step: 1, unit: '°' },
  wedgeDeg: { min: 0, max: 45, step: 1, unit: '°' },
} as const satisfies Record<string, Limit>;

/** What the body rests on besides the hands. `none` is a handstand. */
export const SUPPORTS = ['knees', 'toes', 'soles', 'heels', 'side of feet', 'feet on wall', 'none'] as const;
/** What carries the part of the weight that the hands do not. */
export type Support = (typeof SUPPORTS)[number];

/** Whether the hands stand on something level or against a wall. */
export const SURFACES = ['level', 'wall'] as const;
/** What the hands are on. */
export type Surface = (typeof SURFACES)[number];

/** Which side of the body looks down. */
export const FACES = ['front', 'back', 'side'] as const;
/** Which side of the body faces the floor. */
export type Face = (typeof FACES)[number];

/** Kneeling: whether the shanks lie on the floor or are held off it. */
export const SHANKS = ['resting', 'lifted'] as const;

/** Bounds of the numbers of a posture. */
export const POSTURE_LIMITS = {
  ...HAND_LIMITS,
  supportHeightM: { min: 0, max: 2.5, step: 0.01, unit: 'm' },
  handHeightM: { min: 0, max: 2, step: 0.01, unit: 'm' },
  leanDeg: { min: -60, max: 60, step: 0.5, unit: '°' },
  hipAngleDeg: { min: 20, max: 180, step: 1, unit: '°' },
  distanceM: { min: 0, max: 3, step: 0.01, unit: 'm' },
  elbowBendDeg: { min: 0, max: 140, step: 1, unit: '°' },
  leftShare: { min: 0, max: 1, step: 0.01, unit: 'of both hands' },
} as const satisfies Record<string, Limit>;

/** What the numbers of a posture are called. */
export const POSTURE_LABELS = {
  padPressure: 'Finger pad pressure',
  heelLiftDeg: 'Heel of the hand lifted',
  wedgeDeg: 'Wedge under the heel of the hand',
  supportHeightM: 'Knees or feet above the floor',
  handHeightM: 'Hands above the floor',
  leanDeg: 'Shoulders in front of the hands',
  hipAngleDeg: 'Hip angle',
  distanceM: 'Hands from knees or feet',
  elbowBendDeg: 'Elbow flexion',
  leftShare: 'Left hand’s share',
} as const satisfies Record<keyof typeof POSTURE_LIMITS, string>;

const field = (name: keyof typeof POSTURE_LIMITS) => between(POSTURE_LIMITS[name], POSTURE_LABELS[name]);

/** A lean in degrees, or `square` for arms at a right angle to the trunk. */
export const LEAN = orWord(field('leanDeg'), 'square');

/** Metres, or the shoulder height of the person on it. */
export const HAND_HEIGHT = orWord(field('handHeightM'), 'shoulder height');

/** Of an adult, metres: to compare heights where no body is at hand. */
const USUAL_SHOULDERS_M = 1.4;
/** About how high the hands stand. @example roughHeightM({ handHeightM: 'shoulder height' }) → 1.4 */
export const roughHeightM = ({ handHeightM }: { readonly handHeightM: number | 'shoulder height' }): number =>
  handHeightM === 'shoulder height' ? USUAL_SHOULDERS_M : handHeightM;

/**
 * A posture on the hands without contact and facing, free of the body's size. Of `leanDeg`, `hipAngleDeg` and `distanceM` exactly two are
 * given and the third follows from closing the chain of links. With the feet on a wall all three may be given: then their height
 * follows, and `supportHeightM` is not read.
 */
export const STANCE_FIELDS = {
  support: oneOf(SUPPORTS),
  /** Knees or feet above the floor; with `feet on wall`, the height at which they rest. */
  supportHeightM: field('supportHeightM'),
  shanks: oneOf(SHANKS),
  surface: oneOf(SURFACES),
  /** The surface under the hands above the floor; on a wall, the height of the hands, which may be that of the standing shoulders. */
  handHeightM: HAND_HEIGHT,
  face: oneOf(FACES),
  /** Shoulders in front of the wrists (+) or behind (−), as the tilt of the line from wrist to shoulder. */
  leanDeg: optional(LEAN),
  /** Front of trunk to thigh; 180 is a straight line. */
  hipAngleDeg: optional(field('hipAngleDeg')),
  /** Wrists to knees or feet, along the floor. */
  distanceM: optional(field('distanceM')),
  /** 0 is a straight arm. */
  elbowBendDeg: field('elbowBendDeg'),
  /** The left hand's share of what both hands bear: 0.5 even, 1 left only, 0 right only. */
  leftShare: field('leftShare'),
  /** How hard fingers and knuckle line press: 0 all weight on the heel of the hand, 1 the heel is just about to lift. */
  padPressure: field('padPressure'),
  /** Palm off the floor at the heel, for a raised palm; degrees between palm and floor. */
  heelLiftDeg: field('heelLiftDeg'),
  /** A folded towel or a wedge under the heel of the hand, palm or back; degrees of its slope. */
  wedgeDeg: optional(field('wedgeDeg')),
};
/** The posture of a body over its hands, for a level’s load. */
export const STANCE = record(STANCE_FIELDS, { what: 'a posture on the hands' });
/** A posture without the hand’s own contact and facing, which a level gives. */
export type Stance = Of<typeof STANCE>;

/** A posture with the contact of the hand in it. */
export type SupportPosture = Stance & HandPlacement;

/** The name of one of a posture’s numbers. */
export type PostureField = keyof typeof POSTURE_LIMITS;
const FIELDS = Object.keys(POSTURE_LIMITS) as PostureField[];

/** Thrown for a posture that no such body can take. Names the field, what is too short or too long, and the nearest that is possible. */
export class PostureError extends Error {
  override readonly name = 'PostureError';
  constructor(
    readonly field: PostureField | 'support',
    message: string,
    /** Nearest possible value of the field, where there is one. */
    readonly nearest?: number,
  ) {
    super(message);
  }
}

const CHAIN = ['leanDeg', 'hipAngleDeg', 'distanceM'] as const;

/** @throws PostureError for a value outside its limits, or when not exactly two of lean, hip angle and distance are given. */
export function checkPosture(posture: SupportPosture): void {
  for (const field of FIELDS) {
    const value = posture[field];
    if (value === undefined || typeof value === 'string') continue;
    const { min, max, unit } = POSTURE_LIMITS[field];
    if (!(value >= min && value <= max)) {
      const nearest = value > max ? max : min;
      throw new PostureError(field, `${field} must be within ${min}–${max} ${unit}, not ${value}.`, nearest);
    }
  }
  if (posture.support === 'none') return;
  const { leanDeg, hipAngleDeg, distanceM } = posture;
  const count = Number(leanDeg !== undefined) + Number(hipAngleDeg !== undefined) + Number(distanceM !== undefined);
  // Up a wall the feet slide to the height that the three leave them.
  const slides = posture.support === 'feet on wall' && count === 3;
  if (count !== 2 && !slides) {
    const given = CHAIN.filter((field) => posture[field] !== undefined);
    const which = given.length ? `given: ${given.join(', ')}` : 'none is given';
    throw new PostureError('support', `Give exactly two of ${CHAIN.join(', ')}; the third follows (${which}).`);
  }
  if (posture.leanDeg === 'square' && posture.surface === 'wall' && posture.hipAngleDeg === undefined) {
    throw new PostureError('leanDeg', 'Arms square to the trunk against a wall need the hip angle, not the distance.');
  }
}
