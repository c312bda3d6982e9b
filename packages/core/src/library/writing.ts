import { parseDose } from '../model/dose-shorthand.js';
import type { Dose } from '../model/dose.js';
import type { Hold, LevelLoad } from '../model/load.js';
import type { Stance, SupportPosture } from '../model/posture.js';
import type { Level, Movement, MovementCaution } from '../model/movement.js';
import { USUAL_POSTURES, type UsualPosture } from '../model/usual-postures.js';
import type { Action } from '../vocabulary/actions.js';
import type { CautionId } from '../vocabulary/cautions.js';
import type { Contact, Facing, Fingers } from '../vocabulary/contacts.js';
import type { Digit } from '../vocabulary/digits.js';
import type { HandPictureSpec, HandStation } from '../model/hand-picture.js';
import { type FingerName, PALM_DOWN_DEG, PALM_UP_DEG } from '../vocabulary/hand-joints.js';
import type { HandShapeName } from '../vocabulary/hand-shapes.js';
import type { Loading, StretchMotion } from '../vocabulary/motions.js';
import type { Equipment, Posture } from '../vocabulary/places.js';
import type { DosingKind } from '../vocabulary/usual-ranges.js';

type LevelText = readonly [id: string, name: string, description: string];
type LevelPlace = readonly [posture: Posture, contact: Contact, facing: Facing, loading: Loading];
/** A load, or what it is once the level's dose is known: an effort to press with, a pace to move at. */
type LoadOf = LevelLoad | ((dose: Dose) => LevelLoad);

/** Writes one rung of a ladder in a line; the dose is written in the shorthand a coach would type. */
export function level(
  [id, name, description]: LevelText,
  [posture, contact, facing, loading]: LevelPlace,
  load: LoadOf,
  dosing: DosingKind,
  shorthand: string,
  equipment: readonly Equipment[] = [],
): Level {
  const dose = parseDose(shorthand);
  const computed = typeof load === 'function' ? load(dose) : load;
  return { id, name, description, posture, contact, facing, loading, load: computed, dosing, equipment, dose };
}

/** A level whose usual dose is for prepared hands. */
export const practised = (entry: Level): Level => ({ ...entry, meantFor: 'practised' });
/** A level for hands trained for years. */
export const specialist = (entry: Level): Level => ({ ...entry, meantFor: 'specialist' });

/** A level at which the hand keeps a shape of its own. */
export const shaped = (shape: HandShapeName, entry: Level): Level => ({ ...entry, shapes: [shape, shape] });

/** Angles of some joints of the hand. */
type Joints = NonNullable<HandStation['joints']>;
const turnedTo =
  (supinationDeg: number) =>
  (shape: HandShapeName, joints: Joints = {}): HandStation => ({ shape, joints: { supinationDeg, ...joints } });
/** A station of the hand’s way with the palm down. */
export const down = turnedTo(PALM_DOWN_DEG);
/** A station of the hand’s way with the palm up. */
export const up = turnedTo(PALM_UP_DEG);
/** A station of the hand’s way with the thumb up. */
export const thumbUp = turnedTo(0);
/** Fingers folded in beside others that stay open. */
export function folded(...fingers: readonly FingerName[]): Joints {
  const joints: { -readonly [J in keyof Joints]: Joints[J] } = {};
  for (const finger of fingers) {
    joints[`${finger}McpDeg`] = 84;
    joints[`${finger}PipDeg`] = 98;
    joints[`${finger}DipDeg`] = 54;
  }
  return joints;
}
/** A thumb that stays beside the fist. */
export const THUMB_ASIDE: Joints = { thumbRadialDeg: 38, thumbPalmarDeg: 22, thumbMcpDeg: 0, thumbIpDeg: 0 };

/** A level whose hand is drawn in a way of its own. */
export const drawn = (hand: HandPictureSpec, entry: Level): Level => ({ ...entry, hand });

/** What most movements share. */
const USUAL = {
  corners: [],
  equipment: [],
  sides: ['left-then-right', 'right-then-left', 'left', 'right'],
  directions: null,
  strokes: ['out', 'back'],
  work: ['repetitions', 'time'],
  timed: 'hold',
} as const satisfies Partial<Movement>;
type Shared = keyof typeof USUAL;

/** Writes a movement: what differs from what most of them share. */
export const movement = (own: Omit<Movement, Shared> & Partial<Pick<Movement, Shared>>): Movement => ({
  ...USUAL,
  ...own,
});

/** Writes a caution with the recorded cautions that it concerns. */
export function caution(text: string, ...concerns: CautionId[]): MovementCaution {
  return { text, concerns, avoid: false };
}

/** Writes a caution for which those concerned leave the movement out. */
export function avoid(text: string, ...concerns: CautionId[]): MovementCaution {
  return { text, concerns, avoid: true };
}

/** The wrist's four directions; fingers, forearm turns and bends, by the actions that move them. */
export const WRIST: readonly Action[] = ['wrist flexion', 'wrist extension', 'radial deviation', 'ulnar deviation'];
/** Bending the wrist to both sides of the palm. */
export const BEND: readonly Action[] = ['wrist flexion', 'wrist extension'];
/** Bending it to thumb and little finger. */
export const SIDE: readonly Action[] = ['radial deviation', 'ulnar deviation'];
/** Turning the forearm. */
export const TURN: readonly Action[] = ['pronation', 'supination'];
/** Closing and opening the hand. */
export const FINGERS: readonly Action[] = ['grip', 'finger extension'];

/** The chain is tied by two of these three; a change of one takes the place of another that is named, or of its own. */
const CHAIN = ['leanDeg', 'hipAngleDeg', 'distanceM'] as const;

/** The body rests on the hands: a named posture, with what differs. */
export function body(name: UsualPosture, change: Partial<Stance> = {}, meanwhile?: 'fingers lifted'): LevelLoad {
  const { contact: _contact, facing: _facing, ...stance }: SupportPosture = USUAL_POSTURES[name];
  const changed = CHAIN.filter((field) => field in change);
  const { leanDeg: _lean, hipAngleDeg: _hip, distanceM: _distance, ...untied } = stance;
  const moved = { ...(changed.length === 2 ? untied : stance), ...change };
  return { kind: 'body', stance: moved, ...(meanwhile && { meanwhile }) };
}

/** Moving the limb itself; without a pace the dose's tempo sets it. */
export function move(actions: readonly Action[], reachPercent: number, more: { perMinute?: number; heldKg?: number } = {}) {
  return ({ tempo, holdS = 0 }: Dose): LevelLoad => {
    const perMinute = more.perMinute ?? (tempo ? 60 / (tempo.outS + holdS + tempo.backS) : 6);
    return { kind: 'move', actions, reachPercent, perMinute, heldKg: more.heldKg ?? 0 };
  };
}

/** Brought toward the end of a range, to this share of the range with help. */
export function stretch(motion: StretchMotion, reachPercent: number, fingers: Fingers = 'relaxed', pushPercent = 0): LevelLoad {
  return { kind: 'stretch', motion, reachPercent, fingers, pushPercent };
}

/** Pressing at the effort that the dose names. */
export function press(action: Action) {
  return ({ effortPercent }: Dose): LevelLoad => {
    if (effortPercent === undefined) throw new RangeError('effortPercent: a press needs an effort in its dose, e.g. @40%');
    return { kind: 'press', action, effortPercent };
  };
}

/** Closing or opening against something that pushes back, newtons. */
export const resist = (action: Action, forceN: number, digits?: readonly Digit[]): LevelLoad => ({
  kind: 'resist',
  action,
  forceN,
  ...(digits && { digits }),
});
/** Lifting or carrying a mass, kilograms, over metres where it is walked. */
export const lift = (massKg: number, hold: Hold, distanceM?: number): LevelLoad => ({
  kind: 'lift',
  massKg,
  ...hold,
  ...(distanceM !== undefined && { distanceM }),
});

/** A mass that turns a joint; in the palm where no lever is given. */
export function weight(
  action: Action,
  massKg: number,
  more: { leverM?: number; angleDeg?: number; handleMm?: number; digits?: readonly Digit[] } = {},
): LevelLoad {
  return { kind: 'weight', action, massKg, angleDeg: 0, ...more };
}

/** A rope wound on a drum lifts a mass. */
export function roller(action: 'wrist flexion' | 'wrist extension', massKg: number, arms: 'in front' | 'resting' = 'resting'): LevelLoad {
  return { kind: 'roller', action, massKg, drumMm: 32, ropeM: 1.1, arms };
}

/** Hanging from a hold, the feet carrying a share of the body’s weight in percent. */
export function hang(hold: Hold, feetPercentBW: number, more: { hands?: 1 | 2; addedKg?: number; wristBendDeg?: number } = {}): LevelLoad {
  return { kind: 'hang', feetPercentBW, hands: 2, addedKg: 0, wristBendDeg: 0, ...more, ...hold };
}

/** Letting go; something may press on a muscle, newtons. */
export const rest = (pressN = 0): LevelLoad => ({ kind: 'rest', pressN });

/** A bar or handle of this diameter. */
export const bar = (handleMm = 30): Hold => ({ on: 'bar', handleMm });
/** An edge of this depth. */
export const edge = (edgeMm: number, edgeGrip: 'open hand' | 'half crimp' = 'open hand'): Hold => ({
  on: 'edge',
  edgeMm,
  edgeGrip,
});
/** A block of this width between thumb and fingers. */
export const pinch = (pinchMm: number, digits?: readonly Digit[]): Hold => ({
  on: 'pinch',
  pinchMm,
  ...(digits && { digits }),
});

/** Fingers that a set goes through in turn, each by itself. */
export const EACH_FINGER = (['index', 'middle', 'ring', 'little'] as const).map((finger) => ({ name: finger, digits: [finger] }));
/** The thumb against each finger in turn. */
export const THUMB_WITH_EACH = (['index', 'middle', 'ring', 'little'] as const).map((finger) => ({
  name: finger,
  digits: ['thumb' as const, finger],
}));
/** Thumb and fingers in turn. */
export const EACH_DIGIT = (['thumb', 'index', 'middle', 'ring', 'little'] as const).map((digit) => ({ name: digit, digits: [digit] }));
/** Fingers whose repetitions follow each other: the first is the index finger’s, the second the middle finger’s. */
export const FINGERS_IN_TURN = { names: ['index', 'middle', 'ring', 'little'], each: 'one a repetition' } as const;
/** The same with the thumb first. */
export const DIGITS_IN_TURN = { names: ['thumb', 'index', 'middle', 'ring', 'little'], each: 'one a repetition' } as const;
/** Fingers that all have their turn within one repetition. */
export const ALL_FINGERS = { names: ['index', 'middle', 'ring', 'little'], each: 'within a repetition' } as const;
/** The same with the thumb first. */
export const ALL_DIGITS = { names: ['thumb', 'index', 'middle', 'ring', 'little'], each: 'within a repetition' } as const;
