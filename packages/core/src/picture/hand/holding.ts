import type { Digit } from '../../vocabulary/digits.js';
import { HAND_JOINTS, type HandPose } from '../../vocabulary/hand-joints.js';
import type { Hand } from '../../vocabulary/hands.js';
import { closedOn } from './closing.js';
import { distanceToThings } from './helping.js';
import { barsOf, barTo, fromBar, partsIn } from './flesh.js';
import { keptFor, type Part, type Skeleton } from './skeleton.js';
import { furthest, least } from './solving.js';
import { HERE, type Placement, type Turn, turnAbout, turned, type Vec3, X, Y, Z, add, times, twice } from './space.js';
import { SHAPE_POSES } from './shapes.js';
import type { Look, Thing } from './things.js';

/** A hand around something, both seen from the hand's own frame (wrist at the origin, y to the fingertips, z out of its back). */
export interface Grip {
  readonly pose: HandPose;
  /** Where what is held is, in the hand's frame. */
  readonly at: Placement;
}

/** What digits a grip has; the thumb closes last. */
export const ALL_DIGITS: readonly Digit[] = ['index', 'middle', 'ring', 'little', 'thumb'];

/** What things are pushed against: the palm and the first bones of the fingers. */
const isPalm = (part: Part) => part === 'hand' || (part.endsWith('1') && part !== 'thumb1');

/** A hand that opens before it takes hold, and how far it would close if nothing were in the way. */
const OPENED: HandPose = {
  ...SHAPE_POSES.open,
  ...{ indexMcpDeg: -6, middleMcpDeg: -6, ringMcpDeg: -4, littleMcpDeg: -2 },
  ...{ indexPipDeg: 0, middlePipDeg: 0, ringPipDeg: 0, littlePipDeg: 0 },
};
const CLOSING: HandPose = { ...SHAPE_POSES.fist, indexDipDeg: 78, middleDipDeg: 78, ringDipDeg: 78, littleDipDeg: 76 };

/** How something is taken: where it lies against the palm before it is pushed there, and with which digits. */
export interface Taking {
  readonly thing: (placement: Placement) => Thing;
  /** What belongs to the thing besides: the thumb keeps out of it. */
  readonly besides?: (placement: Placement) => readonly Thing[];
  /** Middle of the thing along the palm, millimetres of the measured hand, and its turn against the hand. */
  readonly atMm: readonly [x: number, y: number];
  readonly turn: Turn;
  readonly digits?: readonly Digit[];
}

/** How far out the thing starts, metres. */
const FROM_M = 0.14;

/** Pushes a thing against the palm and closes the digits around it. A right hand’s; the left hand’s is its mirror. */
export function gripOf(skeleton: Skeleton, taking: Taking): Grip {
  const { thing, atMm, turn, digits = ALL_DIGITS } = taking;
  const [opened, closing, sinkM] = [OPENED, CLOSING, 0];
  const { size } = skeleton;
  const side: Hand = 'right';
  const hand = { side, forearm: HERE, pose: opened };
  const palm = barsOf(skeleton, side, partsIn(skeleton, hand), isPalm);
  const placedAt = (share: number): Placement => ({
    at: [(atMm[0] * size.breadthTimes) / 1000, (atMm[1] * size.lengthTimes) / 1000, -FROM_M * (1 - share)],
    turn,
  });
  const isFree = (share: number) => {
    const distanceTo = distanceToThings([thing(placedAt(share))]);
    return palm.every((bar) => barTo(bar, distanceTo) > -sinkM);
  };
  const at = placedAt(furthest(isFree, 30));
  const held = [thing(at), ...(taking.besides?.(at) ?? [])];
  const fingers = digits.filter((digit) => digit !== 'thumb');
  const closed = closedOn(skeleton, hand, closing, distanceToThings(held), fingers, sinkM);
  const pose = digits.includes('thumb') ? thumbAround(skeleton, closed, distanceToThings(held), sinkM) : closed;
  return { pose, at };
}

/** How dear it is that the thumb goes into what is held, or stays off it: of a millimetre, squared. */
const INTO = 40;
const OFF = 1;
/** How dear a degree away from where a thumb likes to be is. */
const AWAY = 0.004;
/** A thumb closed around a bar. */
const THUMB_LIKES = { thumbRadialDeg: 20, thumbPalmarDeg: 46, thumbMcpDeg: 24, thumbIpDeg: 34 } as const;
type ThumbJoint = keyof typeof THUMB_LIKES;
const THUMB_JOINTS = Object.keys(THUMB_LIKES) as ThumbJoint[];

/** The thumb laid on what is held: its last two bones touch, none goes in, and it also keeps out of the other fingers. */
export function thumbAround(skeleton: Skeleton, pose: HandPose, distanceTo: (at: Vec3) => number, sinkM: number): HandPose {
  const posed = (angles: readonly number[]): HandPose => ({
    ...pose,
    ...(Object.fromEntries(THUMB_JOINTS.map((joint, i) => [joint, angles[i] ?? 0])) as Record<ThumbJoint, number>),
  });
  const others = barsOf(
    skeleton,
    'right',
    partsIn(skeleton, { side: 'right', forearm: HERE, pose }),
    (part) => /[23]$/.test(part) && !part.startsWith('thumb'),
  );
  const toFingers = (at: Vec3) => others.reduce((least, bar) => Math.min(least, fromBar(bar, at)), Infinity);
  const cost = (angles: readonly number[]) => {
    const parts = partsIn(skeleton, { side: 'right', forearm: HERE, pose: posed(angles) });
    const bars = barsOf(skeleton, 'right', parts, (part) => part.startsWith('thumb'));
    let sum = 0;
    for (const bar of bars) {
      const mm = (barTo(bar, distanceTo) + sinkM) * 1000;
      const fingersMm = (barTo(bar, toFingers) + sinkM) * 1000;
      if (mm < 0) sum += INTO * mm * mm;
      else if (bar.part !== 'thumb1') sum += OFF * mm * mm * (bar.part === 'thumb3' ? 1 : 0.3);
      if (fingersMm < 0 && bar.part !== 'thumb1') sum += INTO * fingersMm * fingersMm;
    }
    return THUMB_JOINTS.reduce((all, joint, i) => all + AWAY * ((angles[i] ?? 0) - THUMB_LIKES[joint]) ** 2, sum);
  };
  const bounds = THUMB_JOINTS.map((joint) => [HAND_JOINTS[joint].min, HAND_JOINTS[joint].max] as const);
  const own = THUMB_JOINTS.map((joint) => pose[joint]);
  const starts = [own, ...THUMB_STARTS].map((start) => least(start, bounds, cost, 8));
  return posed(starts.reduce((best, tried) => (cost(tried) < cost(best) ? tried : best)));
}
const THUMB_STARTS = [
  [20, 46, 24, 34],
  [45, 58, 0, 10],
  [55, 30, -5, 0],
] as const;

/** A ball in the palm. */
export const ballGrip = (skeleton: Skeleton, radiusM: number, digits: readonly Digit[] = ALL_DIGITS): Grip =>
  keptFor(skeleton, `ball ${radiusM} ${digits.join()}`, () =>
    gripOf(skeleton, {
      thing: (placement) => ({ shape: 'ball', radiusM, placement, look: 'rubber' }),
      atMm: [-4, 84],
      turn: turnAbout(X, 0),
      digits,
    }),
  );

/** Where a bar’s middle lies along the palm, millimetres: the thicker, the further out. */
const ROD_AT = { y: 74, perMm: 0.55 };
/** How a bar lies across a palm: from under the index to the heel on the little finger's side. */
const ACROSS_DEG = { straight: 90, oblique: 76 };

/** A round bar in the fist, straight across or oblique as a handle lies by itself; with all digits or some. */
export const rodGrip = (
  skeleton: Skeleton,
  radiusM: number,
  lie: keyof typeof ACROSS_DEG = 'straight',
  digits: readonly Digit[] = ALL_DIGITS,
): Grip =>
  keptFor(skeleton, `rod ${radiusM} ${lie} ${digits.join()}`, () =>
    gripOf(skeleton, {
      thing: (placement) => ({ shape: 'rod', radiusM, lengthM: 0.3, placement, look: 'metal' }),
      atMm: [2, ROD_AT.y + ROD_AT.perMm * radiusM * 1000],
      turn: turnAbout(Z, ACROSS_DEG[lie]),
      digits,
    }),
  );

/** A place along a held rod (or past its end), metres from its middle toward the thumb's side, and turned with it. */
export const alongRod = ({ at, turn }: Placement, metres: number): Placement => ({
  at: add(at, times(turned(turn, Y), metres)),
  turn,
});

/** A rod. */
export const rod = (placement: Placement, radiusM: number, lengthM: number, look: Look = 'metal'): Thing => ({
  shape: 'rod',
  placement,
  radiusM,
  lengthM,
  look,
});
/** A box. */
export const slab = (placement: Placement, sizeM: Vec3, look: Look = 'wood'): Thing => ({
  shape: 'slab',
  placement,
  sizeM,
  look,
});
/** A placement turned further about one of its own axes. */
export const turnedBy = ({ at, turn }: Placement, by: Turn): Placement => ({ at, turn: twice(turn, by) });
