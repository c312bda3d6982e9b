import { FINGER_NAMES, type FingerName, type HandPose } from '../../vocabulary/hand-joints.js';
import { fingerOnTurn, outShare } from './course.js';
import { partsIn } from './flesh.js';
import { freeHand } from './free-hand.js';
import { distanceToThings } from './helping.js';
import { ballGrip, rod, thumbAround } from './holding.js';
import { laidOn } from './held.js';
import { fingersOf, inHand } from './in-hand.js';
import type { Maker, Making } from './making.js';
import { movedMoment } from './moment.js';
import { FIST_DOWN, floorUnder } from './planted-hand.js';
import { SHAPE_POSES } from './shapes.js';
import { add, cross, dot, facing, HERE, placed, sub, times, turnAbout, turned, unitOf, type Vec3, X } from './space.js';
import { keptFor, type Skeleton } from './skeleton.js';
import { letDown } from './standing.js';
import type { Thing } from './things.js';
import { padOf, touchOf } from './touching.js';

/** Thickness of a rubber band, metres. */
const BAND_M = 0.0022;

/** A band around the fingertips (or around the thumb and one finger) that opens with them. */
export const bandOpening =
  (rings: 1 | 2) =>
  ({ course, skeleton, level }: Making): Maker => {
    const single = level.load.kind === 'resist' && level.load.digits !== undefined;
    return (beat) => {
      const hand = freeHand(course.poseAt(beat));
      const parts = partsIn(skeleton, hand);
      const digits = single ? (['thumb', fingerOnTurn(beat.turn)] as const) : (['thumb', ...FINGER_NAMES] as const);
      const ring = (back: number): readonly Vec3[] =>
        single ? around(digits.map((digit) => tipOf(digit, back))) : outside(digits.map((digit) => tipOf(digit, back)));
      const tipOf = (digit: (typeof digits)[number], back: number) => {
        const bone = parts[`${digit}3`];
        const flesh = (digit === 'thumb' ? 0.0098 : 0.0078) * skeleton.size.breadthTimes;
        return { middle: placed(bone, [0, 0.008 - back, 0]), flesh, along: turned(bone.turn, [0, 1, 0]) };
      };
      const bands = Array.from(
        { length: rings },
        (_, i) => ({ shape: 'band', through: ring(i * 0.007), radiusM: BAND_M, placement: HERE, look: 'rubber' }) as const,
      );
      return { hands: [hand], things: bands };
    };
  };

interface Tip {
  readonly middle: Vec3;
  readonly flesh: number;
  readonly along: Vec3;
}
/** The outside of tips that stand in a round: each tip’s far side from their middle, with a point on each flank. */
function outside(tips: readonly Tip[]): Vec3[] {
  const middle = times(
    tips.reduce<Vec3>((sum, { middle: at }) => add(sum, at), [0, 0, 0]),
    1 / tips.length,
  );
  return tips.flatMap(({ middle: at, flesh }, i) => {
    const out = unitOf(sub(at, middle));
    const next = tips[(i + 1) % tips.length]?.middle ?? at;
    const before = tips[(i + tips.length - 1) % tips.length]?.middle ?? at;
    const side = unitOf(sub(next, before));
    return [-0.6, 0.6].map((share) => add(at, add(times(out, flesh * 1.05), times(side, flesh * share))));
  });
}
/** Around two tips, as a band lies on both. */
function around(tips: readonly Tip[]): Vec3[] {
  const [a, b] = tips;
  if (!a || !b) return [];
  const toward = unitOf(sub(b.middle, a.middle));
  const side = unitOf(cross(toward, a.along));
  return [
    add(a.middle, times(side, a.flesh)),
    add(a.middle, times(toward, -a.flesh * 1.05)),
    add(a.middle, times(side, -a.flesh)),
    add(b.middle, times(side, -b.flesh)),
    add(b.middle, times(toward, b.flesh * 1.05)),
    add(b.middle, times(side, b.flesh)),
  ];
}

/** How far a rope of putty stands out to the side, metres. */
const PUTTY_OFF_M = 0.026;
/** How thick a rope of putty is, metres, and how far thumb and finger come off it between two pinches, degrees. */
const PUTTY_M = 0.0075;
const PUTTY_OPEN_DEG = 16;

/** A rope of putty between the thumb and one finger. */
export function puttyPinch({ course, skeleton }: Making): Maker {
  return (beat) => {
    const share = outShare(beat);
    const finger = fingerOnTurn(beat.turn);
    const { pose, rope } = keptFor(skeleton, `putty ${finger}`, () => puttyGrip(skeleton, finger));
    const off = PUTTY_OPEN_DEG * (1 - share);
    const opened = {
      ...fingersOf(pose, course.poseAt(beat)),
      thumbRadialDeg: pose.thumbRadialDeg + off,
      [`${finger}McpDeg`]: pose[`${finger}McpDeg`] - off,
    };
    const hand = freeHand(opened);
    return { hands: [hand], things: inHand(skeleton, hand, [rope]) };
  };
}

/** Thumb and finger on the rope, seen from the hand. */
function puttyGrip(skeleton: Skeleton, finger: FingerName): { readonly pose: HandPose; readonly rope: Thing } {
  const touching = touchOf(skeleton, finger);
  const parts = partsIn(skeleton, { side: 'right', forearm: HERE, pose: touching });
  const [thumb, other] = [padOf(skeleton, parts, 'thumb'), padOf(skeleton, parts, finger)];
  // Across the thumb, most of it beyond the fingertips; it lies on the finger’s pad, and the thumb comes onto it.
  const across = unitOf(cross(other.out, thumb.along));
  const outward = dot(across, other.along) < 0 ? -PUTTY_OFF_M : PUTTY_OFF_M;
  const middle = add(add(other.at, times(other.out, PUTTY_M)), times(across, outward));
  const rope = rod({ at: middle, turn: facing(across, other.out) }, PUTTY_M, 0.09, 'rubber');
  const distanceTo = distanceToThings([rope]);
  const laid = laidOn(skeleton, touching, `${finger}McpDeg`, finger, distanceTo);
  return { pose: thumbAround(skeleton, laid, distanceTo, 0), rope };
}

/** A ball that rests on the open palm. */
export function onOpenPalm({ course, skeleton, level }: Making): Maker {
  const radiusM = 0.036;
  const { at, pose } = ballGrip(skeleton, radiusM, []);
  return (beat) => {
    const hand = freeHand(fingersOf(pose, course.poseAt(beat)));
    const ball = { shape: 'ball', radiusM, placement: at, look: 'rubber' } as const;
    return { hands: [hand], things: level.contact === 'ball' ? inHand(skeleton, hand, [ball]) : [] };
  };
}

/** A fist that presses its knuckles against a wall. */
export function fistOnWall({ skeleton }: Making): Maker {
  const hand = letDown(skeleton, FIST_DOWN, { ...SHAPE_POSES.fist, supinationDeg: 0 });
  // The floor stands up in front of the body; the thumbs point up.
  const moment = movedMoment(
    { at: [0, 0, 0], turn: turnAbout(X, 90) },
    { hands: [hand], things: [floorUnder([0, 0.02, 0], 'floor', 0.4)] },
  );
  return () => moment;
}
