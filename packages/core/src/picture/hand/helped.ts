import { FINGER_NAMES, type FingerName, type HandPose } from '../../vocabulary/hand-joints.js';
import { fingerOnTurn, outShare } from './course.js';
import type { PlacedHand } from './flesh.js';
import { freeHand, LYING, tableUnder } from './free-hand.js';
import { helper, type Hold, type Target } from './helping.js';
import { ALL_DIGITS, rod, rodGrip } from './holding.js';
import { fingersOf, inHand } from './in-hand.js';
import { type Maker, type Making, uses } from './making.js';
import { shapePose, SHAPE_POSES } from './shapes.js';
import { type HandBone, ownMm, type Parts, type Skeleton } from './skeleton.js';
import { add, placed, times, turned, UNTURNED, type Vec3, X, Y, Z } from './space.js';

/** A place on a bone: so far along it, on one of its sides, the helping fingers laid across it. */
const onBone =
  (bone: HandBone | 'hand', at: Vec3, out: Vec3, along: Vec3) =>
  (skeleton: Skeleton) =>
  (parts: Parts): Target => {
    const part = parts[bone];
    return { at: placed(part, ownMm(skeleton, at)), out: turned(part.turn, out), along: turned(part.turn, along) };
  };

const BACK: Vec3 = Z;
const PALM: Vec3 = [0, 0, -1];
const THUMB_SIDE: Vec3 = [-1, 0, 0];
const LITTLE_SIDE: Vec3 = X;
/** From the side that is nearer to ring and little finger. */
const LITTLE_TO_THUMB: Vec3 = [-1, 0, 0];
/** From this bend of the middle joints on a hand is closed. */
const CURLED_DEG = 60;

/** A flat hand that lies on something, and closes on it. */
const FLAT: HandPose = { ...SHAPE_POSES.together, thumbRadialDeg: 46, thumbPalmarDeg: 30 };
const SOFT: HandPose = { ...FLAT, indexMcpDeg: 14, middleMcpDeg: 16, ringMcpDeg: 18, littleMcpDeg: 20 };
/** A thumb that lies along its own hand. */
const ASIDE: Partial<HandPose> = { thumbRadialDeg: 18, thumbPalmarDeg: 0 };
const GRASP: HandPose = {
  ...SHAPE_POSES.fist,
  thumbRadialDeg: 14,
  thumbPalmarDeg: 56,
  thumbMcpDeg: 30,
  thumbIpDeg: 40,
};
const bent = (pose: HandPose, wristExtensionDeg: number, wristRadialDeg = 0): HandPose => ({
  ...pose,
  wristExtensionDeg,
  wristRadialDeg,
});
/** Middle of the palm and of the fingers’ first bones, on their palm side; millimetres. */
const BY_PALM: Vec3 = [0, 66, -24];
const BY_FINGERS: Vec3 = [2, 112, -16];

/** Where the other hand comes to, and how. */
interface Help {
  readonly place: (skeleton: Skeleton, finger: FingerName, pose: HandPose) => (parts: Parts) => Target;
  readonly hold: Hold;
}

/** Thumb and index that take hold of one digit. */
const PINCHING: Hold = {
  with: [-2, 150, -15],
  pose: bent(
    { ...SHAPE_POSES['thumb and index'], indexMcpDeg: 30, indexPipDeg: 24, indexDipDeg: 8, thumbRadialDeg: 52, thumbPalmarDeg: 52 },
    0,
  ),
  toward: { ...GRASP, thumbRadialDeg: -10, thumbPalmarDeg: 50, thumbMcpDeg: 10, thumbIpDeg: 20 },
  digits: ['index', 'thumb'],
};

const HELPS = {
  'helped at the fingers': {
    // A fist shows the backs of its middle bones where an open hand shows its palm side.
    place: (skeleton, _, { middlePipDeg }) =>
      (middlePipDeg > CURLED_DEG ? onBone('middle2', [0, 12, 8], BACK, X) : onBone('middle1', [0, 34, -9], PALM, X))(skeleton),
    hold: { with: BY_FINGERS, pose: bent(FLAT, 0, -8), toward: GRASP, digits: ALL_DIGITS },
  },
  'helped at the back': {
    place: onBone('hand', [2, 74, 10], BACK, X),
    hold: { with: BY_PALM, pose: bent({ ...SOFT, ...ASIDE }, 0, -8), toward: GRASP, digits: FINGER_NAMES },
  },
  'helped at the thumb side': {
    place: onBone('hand', [-30, 84, -6], THUMB_SIDE, Z),
    hold: { with: BY_PALM, pose: bent(SOFT, 12), toward: GRASP, digits: ALL_DIGITS },
  },
  'helped at the little side': {
    place: onBone('hand', [44, 62, -12], LITTLE_SIDE, Z),
    hold: { with: BY_PALM, pose: bent(SOFT, -16), toward: GRASP, digits: ALL_DIGITS },
  },
  'helped at one finger': {
    place: (skeleton, finger) =>
      onBone(`${finger}2`, [0, 8, -8], PALM, finger === 'ring' || finger === 'little' ? LITTLE_TO_THUMB : X)(skeleton),
    hold: PINCHING,
  },
  'helped at the thumb': {
    place: onBone('thumb2', [0, 14, -10], PALM, X),
    hold: PINCHING,
  },
  'helped at the forearm': {
    place: (skeleton) => (parts) => {
      // From above, whatever the forearm does below it.
      const at = placed(parts.forearm, [0, -0.062 * skeleton.size.forearmTimes, 0]);
      return { at: add(at, times(Z, 0.024)), out: Z, along: X };
    },
    hold: { with: BY_PALM, pose: bent(FLAT, 0), toward: GRASP, digits: ALL_DIGITS },
  },
  'helped around the fingers': {
    place: onBone('middle2', [0, 4, 8], BACK, X),
    hold: { with: BY_FINGERS, pose: bent(FLAT, 0), toward: GRASP, digits: ALL_DIGITS },
  },
} as const satisfies Record<string, Help>;
/** Settings in which the other hand takes hold at a place. */
export type HelpSetting = keyof typeof HELPS;
/** The hand that works, helped or resisted by the other one. */
export function helped(setting: HelpSetting, making: Making): Maker {
  const { course, skeleton } = making;
  const lies = uses(making, 'table');
  return (beat) => {
    const finger = fingerOnTurn(beat.turn);
    const hand = freeHand(course.poseAt(beat), 'ahead', lies ? LYING : UNTURNED);
    const { place, hold }: Help = HELPS[setting];
    const other = helper(skeleton, hand, place(skeleton, finger, hand.pose), hold);
    return { hands: [hand, other], things: lies ? [tableUnder()] : [] };
  };
}

/** Where the forearm is stroked, metres from the wrist at the start and at the end of a stroke. */
const STROKE_M = [0.05, 0.12] as const;
/** How thick a tool is, metres. */
const TOOL_M = 0.012;

/** The other hand, by itself or with a tool, drawn along the forearm. */
export function stroked(making: Making): Maker {
  const { course, skeleton } = making;
  const tool = uses(making, 'massage tool') ? rodGrip(skeleton, TOOL_M) : null;
  const hold: Hold = tool
    ? { with: [0, 84, -46], pose: fingersOf(tool.pose, SHAPE_POSES.open) }
    : { with: BY_FINGERS, pose: bent({ ...SOFT, ...ASIDE }, 10) };
  return (beat) => {
    const hand = freeHand(course.poseAt(beat));
    const alongM = STROKE_M[0] + (STROKE_M[1] - STROKE_M[0]) * outShare(beat);
    const place = (parts: Parts): Target => {
      const at = placed(parts.forearm, [0, -alongM * skeleton.size.forearmTimes, 0]);
      return { at: add(at, times(Z, 0.03)), out: Z, along: X };
    };
    const other = helper(skeleton, hand, place, hold);
    const things = tool ? inHand(skeleton, other, [rod(tool.at, TOOL_M, 0.2, 'wood')]) : [];
    return { hands: [hand, other], things };
  };
}

/** One or two fingers of the other hand, let down between two neighbours. */
export const wedged =
  (fingers: 1 | 2) =>
  ({ course, skeleton }: Making): Maker => {
    const two = fingers === 2;
    return (beat) => {
      const share = outShare(beat);
      const gap = (two ? 1.25 : 0.8) * (0.7 + 0.3 * share);
      const own: HandPose = { ...course.poseAt(beat), indexSpreadDeg: 14 * gap, middleSpreadDeg: -12 * gap };
      const hand: PlacedHand = freeHand(own);
      const pose: HandPose = {
        ...shapePose('fist', 'index'),
        indexMcpDeg: 0,
        indexPipDeg: 4,
        indexDipDeg: 4,
        ...(two && { middleMcpDeg: 0, middlePipDeg: 4, middleDipDeg: 4 }),
      };
      const place = (parts: Parts): Target => {
        const [a, b] = [parts.index2.at, parts.middle2.at];
        const at: Vec3 = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2 - 0.012, (a[2] + b[2]) / 2 - 0.012];
        // Its fingers point down through the gap, its palm looks back at the wrist.
        return { at, out: turned(parts.hand.turn, Y), along: turned(parts.hand.turn, PALM) };
      };
      const other = helper(skeleton, hand, place, { with: [two ? -12 : -21, 160, 0], pose, sinkM: 0.002 });
      return { hands: [hand, other], things: [] };
    };
  };
