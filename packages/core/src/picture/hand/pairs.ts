import { FINGER_NAMES, type HandPose, PALM_DOWN_DEG } from '../../vocabulary/hand-joints.js';
import { barsOf, barTo, forearmBars, partsIn, type PlacedHand } from './flesh.js';
import { distanceToHand } from './helping.js';
import { rod, rodGrip } from './holding.js';
import { fingersOf, inHand } from './in-hand.js';
import { outShare } from './course.js';
import type { Maker, Making } from './making.js';
import { type HandMoment3d, mirroredHand, movedMoment } from './moment.js';
import { SHAPE_POSES } from './shapes.js';
import type { Skeleton } from './skeleton.js';
import { tentAt } from './planted-hand.js';
import { furthest } from './solving.js';
import { type Placement, turnAbout, turnTo, twice, type Turn, UNTURNED, type Vec3, X, Y, Z } from './space.js';
import { forearmBehind } from './standing.js';

/** Hands that meet in the middle plane: how they are turned, and in what shape. */
interface Meeting {
  /** The right hand’s turn: which way its thumb’s other side, its fingers and its back look. */
  readonly turn: Turn;
  readonly shape: HandPose;
}

const UP: Vec3 = Z;
const DOWN: Vec3 = [0, 0, -1];
const AWAY: Vec3 = Y;
const TOWARD: Vec3 = [0, -1, 0];
const RIGHT: Vec3 = X;
const LEFT: Vec3 = [-1, 0, 0];

const FLAT: HandPose = { ...SHAPE_POSES.together, thumbRadialDeg: 14, thumbPalmarDeg: -4 };
const MEETINGS = {
  'palms together': { turn: turnTo(AWAY, UP, RIGHT), shape: FLAT },
  'palms together, fingers tipped': { turn: twice(turnAbout(X, -40), turnTo(AWAY, UP, RIGHT)), shape: FLAT },
  'palms together, fingers down': { turn: turnTo(TOWARD, DOWN, RIGHT), shape: FLAT },
  'backs together': { turn: turnTo(AWAY, DOWN, LEFT), shape: { ...FLAT, thumbPalmarDeg: 16 } },
} as const satisfies Record<string, Meeting>;
/** Settings in which both hands meet flat. */
export type MeetingSetting = keyof typeof MEETINGS;

/** Both hands pressed flat against each other. */
export function meeting(setting: MeetingSetting, { skeleton, course }: Making): Maker {
  const { turn, shape }: Meeting = MEETINGS[setting];
  return (beat) => {
    const way = course.poseAt(beat);
    const pose = fingersOf(shape, { ...way, supinationDeg: 0 });
    const right = toMiddle(skeleton, turn, pose);
    return { hands: [right, mirroredHand(right)], things: [] };
  };
}

/** How far the fingers of palms that stay together are bent back by those of the other hand, degrees. */
const BENT_BACK_DEG = 52;
/** Palms together; the fingers of one hand bend those of the other back at the knuckles. */
export function fingersBentBack({ skeleton, course }: Making): Maker {
  return (beat) => {
    const share = outShare(beat);
    const { wristExtensionDeg } = course.poseAt(beat);
    const palm = toMiddle(skeleton, MEETINGS['palms together'].turn, { ...FLAT, supinationDeg: 0, wristExtensionDeg });
    const bent = (sense: 1 | -1): PlacedHand => {
      const pose = { ...palm.pose };
      for (const finger of FINGER_NAMES) pose[`${finger}McpDeg`] = sense * BENT_BACK_DEG * share;
      return { ...palm, pose };
    };
    return { hands: [bent(-1), mirroredHand(bent(1))], things: [] };
  };
}

/** How the tents of both hands are tipped up before the chest, and a finger’s breadth by which the pairs are shifted. */
const TIPS = { tipDeg: 42, shiftM: 0.02, fromShare: 0.66, offM: 0.0005 };
/** Both hands’ fingertips on each other: a hand that stands on its fingertips, the floor become the middle plane. */
export const fingertipsTogether =
  (does: 'pump' | 'pump, shifted' | 'roll') =>
  ({ skeleton, course }: Making): Maker => {
    const up = turnAbout(X, TIPS.tipDeg);
    const atShare = (share: number): HandMoment3d => {
      const { wristExtensionDeg } = course.poseAt({ phase: 0, turn: 0 });
      const wrist = { wristExtensionDeg, wristRadialDeg: 0, supinationDeg: 0 };
      const standing: HandMoment3d = { hands: [tentAt(skeleton, share, wrist)], things: [] };
      const { hands } = movedMoment({ at: [TIPS.offM, 0, 0], turn: turnAbout(Y, 90) }, standing);
      const shift: Placement = { at: [0, 0, does === 'pump, shifted' ? TIPS.shiftM : 0], turn: UNTURNED };
      const others = movedMoment(shift, { hands: hands.map(mirroredHand), things: [] });
      return movedMoment({ at: [0, 0, 0], turn: up }, { hands: [...hands, ...others.hands], things: [] });
    };
    const whole = atShare(1);
    return (beat) => {
      if (does !== 'roll') return atShare(TIPS.fromShare + (1 - TIPS.fromShare) * (1 - outShare(beat)));
      return movedMoment({ at: [0, 0, 0], turn: turnAbout(X, ROLL_DEG * (outShare(beat) - 0.5)) }, whole);
    };
  };
/** How far a wheel of both hands rolls to and fro, degrees. */
const ROLL_DEG = 90;

/** How far hands press into each other, metres. */
const SINK_M = 0.0015;
/** Brings a right hand toward the middle plane until its skin lies on it. */
function toMiddle(skeleton: Skeleton, turn: Turn, pose: HandPose): PlacedHand {
  const at = (x: number): PlacedHand => {
    const hand: Placement = { at: [x, 0, 0], turn };
    return { side: 'right', pose, forearm: forearmBehind(hand, pose, 'right') };
  };
  const parts = partsIn(skeleton, at(0));
  const bars = [...barsOf(skeleton, 'right', parts), ...forearmBars(skeleton, parts)];
  const nearest = Math.min(...bars.map((bar) => barTo(bar, ([x]) => x)));
  return at(-nearest - SINK_M);
}

/**
 * Clasped hands: how far each palm is from the middle and leans out of it, how the fingers go between those of the other hand and lie on its
 * back, by how much the hands are shifted so that each finger lies between two, and how far
 * the knuckles are tipped toward the eye; degrees and metres. By eye, from one's own hands.
 */
const CLASP = { palmM: 0.0585, leanDeg: 32.75, knuckleDeg: 30, middleDeg: 64.3, tipDeg: 9, shiftM: 0.014, tippedDeg: 30 };

/** Fingers of both hands between each other, rolled in a lying figure. */
export function interlaced({ course }: Making): Maker {
  const pose = {
    ...SHAPE_POSES.open,
    ...spread(2),
    ...{ thumbRadialDeg: 40, thumbPalmarDeg: -5, thumbMcpDeg: 10, thumbIpDeg: 12 },
    supinationDeg: 0,
  };
  for (const finger of FINGER_NAMES) {
    pose[`${finger}McpDeg`] = CLASP.knuckleDeg;
    pose[`${finger}PipDeg`] = CLASP.middleDeg;
    pose[`${finger}DipDeg`] = CLASP.tipDeg;
  }
  const hand = (shiftM: number): PlacedHand => {
    const placement: Placement = {
      at: [CLASP.palmM, shiftM, 0],
      turn: twice(turnAbout(Y, -CLASP.leanDeg), turnTo(AWAY, UP, RIGHT)),
    };
    return { side: 'right', pose, forearm: forearmBehind(placement, pose, 'right') };
  };
  const held: HandMoment3d = { hands: [hand(CLASP.shiftM / 2), mirroredHand(hand(-CLASP.shiftM / 2))], things: [] };
  return (beat) => {
    const { wristExtensionDeg, wristRadialDeg } = course.poseAt(beat);
    const roll: Placement = { at: [0, 0, 0], turn: twice(turnAbout(X, CLASP.tippedDeg + wristExtensionDeg), turnAbout(Z, wristRadialDeg)) };
    return movedMoment(roll, held);
  };
}
const spread = (deg: number): Partial<HandPose> => ({
  indexSpreadDeg: -2 + deg * 1.5,
  middleSpreadDeg: -4 + deg * 0.5,
  ringSpreadDeg: -4 - deg * 0.5,
  littleSpreadDeg: -4 - deg * 1.5,
});

/** Hooked fingers of both hands that pull apart in front of the chest. */
export function hooked({ skeleton }: Making): Maker {
  // Hooks that leave room for the other hand’s fingers.
  const shape = { ...SHAPE_POSES.hook, thumbRadialDeg: 40, thumbPalmarDeg: 0 };
  for (const finger of FINGER_NAMES) {
    shape[`${finger}McpDeg`] = 5;
    shape[`${finger}PipDeg`] = 80;
    shape[`${finger}DipDeg`] = 0;
  }
  const place = (apartM: number): readonly [PlacedHand, PlacedHand] => {
    // The right palm looks at the chest, the left away from it.
    const right: Placement = { at: [apartM, HOOK.deepM / 2, 0], turn: turnTo(DOWN, LEFT, AWAY) };
    const left: Placement = { at: [-apartM, -HOOK.deepM / 2, 0], turn: turnTo(DOWN, RIGHT, TOWARD) };
    return [
      { side: 'right', pose: shape, forearm: forearmBehind(right, shape, 'right') },
      { side: 'left', pose: shape, forearm: forearmBehind(left, shape, 'left') },
    ];
  };
  const clear = (apartM: number) => {
    const [right, left] = place(apartM);
    const distanceTo = distanceToHand(skeleton, left);
    return barsOf(skeleton, 'right', partsIn(skeleton, right)).every((bar) => barTo(bar, distanceTo) > -0.002);
  };
  // Hooked, they can only come apart until the fingers catch.
  const apart = HOOK.fromM + HOOK.pulledM * furthest((share) => clear(HOOK.fromM + HOOK.pulledM * share), 20);
  const hands = place(apart);
  return () => ({ hands, things: [] });
}

/** Hooked hands: one behind the other, from how near they are pulled apart, and how far; metres. */
const HOOK = { deepM: 0.076, fromM: 0.104, pulledM: 0.02 };

/** Both hands around a rolled towel, turning against each other. */
export function towelTwist({ skeleton, course }: Making): Maker {
  const grip = rodGrip(skeleton, TOWEL_M);
  return (beat) => {
    const { supinationDeg } = course.poseAt(beat);
    const hand = (tip: number): PlacedHand => {
      const pose = fingersOf(grip.pose, { ...grip.pose, supinationDeg: PALM_DOWN_DEG, wristExtensionDeg: tip, wristRadialDeg: 0 });
      return { side: 'right', pose, forearm: { at: [0, 0, 0], turn: UNTURNED } };
    };
    return onRod(skeleton, hand(supinationDeg / 3), hand(-supinationDeg / 3), grip.at, TOWEL_M, 'cloth');
  };
}
const TOWEL_M = 0.02;
/** Between both fists on a rod, metres. */
const FISTS_M = 0.15;

/** Two fists on one rod along x. */
function onRod(
  skeleton: Skeleton,
  first: PlacedHand,
  second: PlacedHand,
  grip: Placement,
  radiusM: number,
  look: 'cloth' | 'wood',
): HandMoment3d {
  const brought = (hand: PlacedHand): PlacedHand => {
    const [held] = inHand(skeleton, hand, [rod(grip, radiusM, 0.1)]);
    const [x, y, z] = held?.placement.at ?? [0, 0, 0];
    return { ...hand, forearm: { at: [FISTS_M / 2 - x, -y, -z], turn: hand.forearm.turn } };
  };
  const stick = rod({ at: [0, 0, 0], turn: turnAbout(Z, 90) }, radiusM, 0.36, look);
  return { hands: [brought(first), mirroredHand(brought(second))], things: [stick] };
}

/** Both hands on a roller, the rope and its weight below; each turns it in its turn. */
export function rollerTurn({ skeleton, course, level }: Making): Maker {
  const { load } = level;
  if (load.kind !== 'roller') throw new TypeError('a roller turns by its load');
  const radiusM = load.drumMm / 2000;
  const grip = rodGrip(skeleton, radiusM);
  const size = 0.03 + 0.008 * Math.cbrt(load.massKg);
  return (beat) => {
    const other = { ...beat, phase: beat.phase <= 1 ? 1 - beat.phase : beat.phase - 1 };
    const hand = (pose: HandPose): PlacedHand => ({
      side: 'right',
      pose: fingersOf(grip.pose, pose),
      forearm: { at: [0, 0, 0], turn: turnAbout(Y, pose.supinationDeg > 0 ? 180 : 0) },
    });
    const moment = onRod(skeleton, hand(course.poseAt(beat)), hand(course.poseAt(other)), grip.at, radiusM, 'wood');
    const rope = rod({ at: [0, 0, -0.07], turn: turnAbout(X, 90) }, 0.0035, 0.14, 'cloth');
    const weight = rod({ at: [0, 0, -0.15], turn: UNTURNED }, size, 0.03, 'metal');
    return { ...moment, things: [...moment.things, rope, weight] };
  };
}
