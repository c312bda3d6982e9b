import type { Body } from '../../model/body.js';
import { segmentsOf } from '../../mechanics/segments.js';
import { toDeg } from '../../mechanics/plane.js';
import { published } from '../../vocabulary/constant.js';
import { FINGER_NAMES, type FingerName, type HandPose } from '../../vocabulary/hand-joints.js';
import type { Hand } from '../../vocabulary/hands.js';
import { MEASURED_BONES, MESH_FOREARM_MM } from './bones-measured.js';
import {
  cross,
  dot,
  facing,
  type Placement,
  seenFrom,
  sub,
  times,
  turnAbout,
  turns,
  undone,
  turned,
  type Turn,
  unitOf,
  UNTURNED,
  twice,
  type Vec3,
  placedIn,
  X,
  Y,
  Z,
} from './space.js';

// Bound once: the hands’ geometry asks for them millions of times.
const { asin, atan2, max, min, sqrt } = Math;

/** A bone of the hand, from its own joint toward the fingertips: the metacarpal is 0, the last phalanx 3; the thumb has 1 to 3. */
export type HandBone = keyof typeof MEASURED_BONES;
/** What moves as one: the bones, the hand with its palm, half of the wrist's bend, and the forearm in thirds of its turn. */
export type Part = HandBone | 'elbow' | 'turnThird' | 'turnTwoThirds' | 'forearm' | 'wristHalf' | 'hand';

/** How long, broad and thick a hand is against the one that was measured, and its forearm. */
export interface HandSize {
  readonly lengthTimes: number;
  readonly breadthTimes: number;
  readonly forearmTimes: number;
}

/** Breadth of the hand over its length with the fingers (Greiner 1991, Hand Anthropometry of U.S. Army Personnel; mean of both for people of no stated sex). */
const BREADTH = {
  female: published('Breadth of a woman’s hand', 0.44, 'of its length', 'Greiner 1991, NATICK/TR-92/011'),
  male: published('Breadth of a man’s hand', 0.466, 'of its length', 'Greiner 1991, NATICK/TR-92/011'),
};
/** The measured hand: wrist to the middle knuckle, wrist to the middle fingertip and breadth over the knuckles, millimetres. */
const MEASURED = { toKnuckleMm: 91.6, lengthMm: 189, breadthMm: 82 };

const SIZES = new WeakMap<Body, HandSize>();
/** The size of a body's hand: as long as the mechanics have it. */
export function handSizeOf(body: Body): HandSize {
  const cached = SIZES.get(body);
  if (cached) return cached;
  const size = sizeFor(body);
  SIZES.set(body, size);
  return size;
}

function sizeFor(body: Body): HandSize {
  const { hand, forearm } = segmentsOf(body);
  const lengthTimes = (hand.lengthM * 1000) / MEASURED.toKnuckleMm;
  const { female, male } = BREADTH;
  const breadth = body.sex === 'not stated' ? (female.value + male.value) / 2 : BREADTH[body.sex].value;
  return {
    lengthTimes,
    breadthTimes: (breadth * MEASURED.lengthMm * lengthTimes) / MEASURED.breadthMm,
    forearmTimes: (forearm.lengthM * 1000) / MESH_FOREARM_MM,
  };
}

/** The measured hand itself. */
export const MEASURED_SIZE: HandSize = { lengthTimes: 1, breadthTimes: 1, forearmTimes: 1 };

/** A bone at rest: where it is, how long, and how it is turned against what it hangs on. */
interface RestBone {
  readonly placement: Placement;
  readonly lengthM: number;
  readonly parent: Part;
  /** At rest, against the parent: bent about x and fanned about z, degrees, and the turn about its own length that is left. */
  readonly bentDeg: number;
  readonly fannedDeg: number;
  readonly twist: Turn;
}

/** A hand's bones in one size. */
export interface Skeleton {
  readonly size: HandSize;
  readonly rest: Readonly<Record<Part, Placement>>;
  readonly bones: Readonly<Record<HandBone, RestBone>>;
  readonly forearmM: number;
}

const BONES = Object.keys(MEASURED_BONES) as HandBone[];
const parentOf = (bone: HandBone): Part => {
  const number = Number(bone.at(-1));
  const digit = bone.slice(0, -1);
  return number === 0 || bone === 'thumb1' ? 'hand' : (`${digit}${number - 1}` as HandBone);
};

/** A place of the measured hand at rest, millimetres, as metres of this one. */
export const sized = ({ lengthTimes, breadthTimes, forearmTimes }: HandSize, [x, y, z]: Vec3): Vec3 => [
  (x * breadthTimes) / 1000,
  (y * (y < 0 ? forearmTimes : lengthTimes)) / 1000,
  (z * breadthTimes) / 1000,
];

/** A place in a bone’s own frame, in millimetres of the measured right hand, as metres of this hand. */
export const ownMm = ({ size }: Skeleton, [x, y, z]: Vec3, side: Hand = 'right'): Vec3 => [
  ((side === 'left' ? -x : x) * size.breadthTimes) / 1000,
  (y * size.lengthTimes) / 1000,
  (z * size.breadthTimes) / 1000,
];

const workedOut = new WeakMap<Skeleton, Map<string, unknown>>();
/** What is worked out once for each hand, by a key of its own. */
export function keptFor<T>(skeleton: Skeleton, key: string, make: () => T): T {
  const mine = workedOut.get(skeleton) ?? new Map<string, unknown>();
  workedOut.set(skeleton, mine);
  if (!mine.has(key)) mine.set(key, make());
  return mine.get(key) as T;
}

const kept = new WeakMap<HandSize, Skeleton>();
/** The bones of a hand of this size; kept by the size itself. */
export function skeletonOf(size: HandSize): Skeleton {
  const cached = kept.get(size);
  if (cached) return cached;
  const made = skeletonIn(size);
  kept.set(size, made);
  return made;
}

function skeletonIn(size: HandSize): Skeleton {
  const forearmM = (MESH_FOREARM_MM * size.forearmTimes) / 1000;
  const upright: Placement = { at: [0, 0, 0], turn: UNTURNED };
  const elbow: Placement = { at: [0, -forearmM, 0], turn: UNTURNED };
  const still = { elbow, turnThird: elbow, turnTwoThirds: elbow, forearm: upright, wristHalf: upright, hand: upright };
  const rest = { ...still, ...ofBones((bone) => restPlacement(bone, size)) };
  return { size, rest, bones: ofBones((bone) => restBone(bone, rest, size)), forearmM };
}

/** Something for each bone. */
const ofBones = <T>(make: (bone: HandBone) => T) => Object.fromEntries(BONES.map((bone) => [bone, make(bone)])) as Record<HandBone, T>;

function restPlacement(bone: HandBone, size: HandSize): Placement {
  const { at, to, axis } = MEASURED_BONES[bone];
  const [from, end] = [sized(size, at), sized(size, to)];
  const along = unitOf(sub(end, from));
  const across = unitOf(sub(axis, times(along, dot(axis, along))));
  return { at: from, turn: facing(along, cross(across, along)) };
}

function restBone(bone: HandBone, rest: Record<Part, Placement>, size: HandSize): RestBone {
  const parent = parentOf(bone);
  const placement = rest[bone];
  const { at, to } = MEASURED_BONES[bone];
  const along = sub(sized(size, to), sized(size, at));
  const own = twice(undone(rest[parent].turn), placement.turn);
  const [x, y, z] = turned(own, Y);
  const fannedDeg = toDeg(atan2(-x, y));
  const bentDeg = toDeg(asin(max(-1, min(1, z))));
  const twist = twice(undone(twice(turnAbout(Z, fannedDeg), turnAbout(X, bentDeg))), own);
  return { placement, lengthM: sqrt(dot(along, along)), parent, bentDeg, fannedDeg, twist };
}

/** The thumb's metacarpal turns its pad toward the fingers as it comes in front of the palm: degrees for each of its own degrees (17° over the whole way; Cooney et al. 1981, J Bone Joint Surg Am 63(9):1371–81). */
const THUMB_PRONATION = published(
  'Turn of the thumb into opposition',
  0.4,
  '° per ° of palmar abduction',
  'Cooney et al. 1981, J Bone Joint Surg Am 63(9):1371–81',
);

/** How a bone is turned against what it hangs on in this pose. */
function localTurn(bone: HandBone, { bones }: Skeleton, pose: HandPose): Turn {
  const { bentDeg, fannedDeg, twist } = bones[bone];
  switch (bone) {
    case 'thumb1': {
      const { thumbRadialDeg, thumbPalmarDeg } = pose;
      const turnIn = turnAbout(Y, THUMB_PRONATION.value * (thumbPalmarDeg + bentDeg));
      return turns(turnAbout(Z, thumbRadialDeg), turnAbout(X, -thumbPalmarDeg), turnIn, twist);
    }
    case 'thumb2':
      return turns(turnAbout(Z, fannedDeg), turnAbout(X, -pose.thumbMcpDeg), twist);
    case 'thumb3':
      return turns(turnAbout(Z, fannedDeg), turnAbout(X, -pose.thumbIpDeg), twist);
    default:
      return fingerTurn(bone, bones, pose);
  }
}

function fingerTurn(bone: HandBone, bones: Skeleton['bones'], pose: HandPose): Turn {
  const { bentDeg, fannedDeg, twist } = bones[bone];
  const finger = FINGER_NAMES.find((name) => bone.startsWith(name)) ?? 'index';
  switch (bone.at(-1)) {
    case '1': {
      const metacarpal = bones[`${finger}0`].fannedDeg;
      return turns(turnAbout(Z, pose[`${finger}SpreadDeg`] - metacarpal), turnAbout(X, -pose[`${finger}McpDeg`]), twist);
    }
    case '2':
      return turns(turnAbout(Z, fannedDeg), turnAbout(X, -pose[`${finger}PipDeg`]), twist);
    case '3':
      return turns(turnAbout(Z, fannedDeg), turnAbout(X, -pose[`${finger}DipDeg`]), twist);
    default:
      return turns(turnAbout(Z, fannedDeg), turnAbout(X, bentDeg + cuppedDeg(finger, pose)), twist);
  }
}

/** How far the ring's and the little finger's metacarpals come in when their knuckles bend: 10 and 20° at most (working values after El-shennawy et al. 2001, J Hand Surg Am 26(6):1016–22). */
const CUPPING: Partial<Record<FingerName, number>> = { ring: 8, little: 16 };
function cuppedDeg(finger: FingerName, pose: HandPose): number {
  const most = CUPPING[finger] ?? 0;
  return -most * max(0, min(1, pose[`${finger}McpDeg`] / 90));
}

/** The wrist’s turn: to the side about the forearm’s own axis, extension about the hand’s; so a planted hand’s side tilt is its deviation. */
export const wristTurn = ({ wristExtensionDeg, wristRadialDeg }: HandPose, share: number) =>
  twice(turnAbout(Z, wristRadialDeg * share), turnAbout(X, wristExtensionDeg * share));

/** The parts of a hand in their places. */
export type Parts = Readonly<Record<Part, Placement>>;

/** Where every part of a right hand is, seen from the end of its forearm; the elbow lies `forearmM` behind. */
export function partsOf(skeleton: Skeleton, pose: HandPose): Parts {
  const { rest, bones } = skeleton;
  const parts: Record<Part, Placement> = {
    ...rest,
    // The forearm's turn shows as a twist of the skin: at the elbow it has not begun.
    elbow: twisted(rest.elbow, -pose.supinationDeg),
    turnThird: twisted(rest.elbow, -pose.supinationDeg * (2 / 3)),
    turnTwoThirds: twisted(rest.elbow, -pose.supinationDeg * (1 / 3)),
    wristHalf: { at: [0, 0, 0], turn: wristTurn(pose, 0.5) },
    hand: { at: [0, 0, 0], turn: wristTurn(pose, 1) },
  };
  for (const bone of BONES) {
    const { parent, placement } = bones[bone];
    const joint = seenFrom(rest[parent], placement.at);
    parts[bone] = placedIn(parts[parent], { at: joint, turn: localTurn(bone, skeleton, pose) });
  }
  return parts;
}

const twisted = ({ at, turn }: Placement, deg: number): Placement => ({ at, turn: twice(turn, turnAbout(Y, deg)) });

/** The hand's bones in the order in which they hang on each other. */
export const HAND_BONES: readonly HandBone[] = BONES;
