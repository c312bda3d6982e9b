import type { Digit } from '../../vocabulary/digits.js';
import type { HandJoint, HandPose } from '../../vocabulary/hand-joints.js';
import { barsOf, barTo, partsIn, type PlacedHand } from './flesh.js';
import type { Part, Skeleton } from './skeleton.js';
import { furthest } from './solving.js';
import type { Vec3 } from './space.js';

/** The joints of a digit, from its root, in the groups in which they stop one after the other. */
const STAGES: Readonly<Record<Digit, readonly (readonly HandJoint[])[]>> = {
  thumb: [['thumbRadialDeg', 'thumbPalmarDeg', 'thumbMcpDeg'], ['thumbIpDeg']],
  index: [['indexSpreadDeg', 'indexMcpDeg'], ['indexPipDeg'], ['indexDipDeg']],
  middle: [['middleSpreadDeg', 'middleMcpDeg'], ['middlePipDeg'], ['middleDipDeg']],
  ring: [['ringSpreadDeg', 'ringMcpDeg'], ['ringPipDeg'], ['ringDipDeg']],
  little: [['littleSpreadDeg', 'littleMcpDeg'], ['littlePipDeg'], ['littleDipDeg']],
};
/** All joints of a digit. */
export const jointsOf = (digit: Digit): readonly HandJoint[] => STAGES[digit].flat();

/** Some joints a share of the way from one pose to another, the rest as in the first. */
export function partWay(from: HandPose, to: HandPose, joints: readonly HandJoint[], share: number): HandPose {
  const pose = { ...from };
  for (const joint of joints) pose[joint] = from[joint] + (to[joint] - from[joint]) * share;
  return pose;
}

/** Everything a share of the way from one pose to another. */
export function poseBetween(from: HandPose, to: HandPose, share: number): HandPose {
  return partWay(from, to, Object.keys(from) as HandJoint[], share);
}

/**
 * Closes digits toward a pose until they lie on something: each goes as a whole until it touches, then its outer joints go on by themselves.
 * @param distanceTo metres from a point to what is in the way, negative inside
 * @param sinkM how far the flesh gives way
 */
export function closedOn(
  skeleton: Skeleton,
  hand: PlacedHand,
  toward: HandPose,
  distanceTo: (at: Vec3) => number,
  digits: readonly Digit[],
  sinkM = 0.001,
): HandPose {
  let { pose } = hand;
  for (const digit of digits) {
    const stages = STAGES[digit];
    const own = (part: Part) => part.startsWith(digit) && !part.endsWith('0');
    const isFree = (tried: HandPose) => {
      const parts = partsIn(skeleton, { ...hand, pose: tried });
      return barsOf(skeleton, hand.side, parts, own).every((bar) => barTo(bar, distanceTo) > -sinkM);
    };
    // Wherever the root is stopped, the joints beyond it go on.
    for (let stage = 0; stage < stages.length; stage++) {
      const joints = stages.slice(stage).flat();
      const start = pose;
      pose = partWay(
        start,
        toward,
        joints,
        furthest((share) => isFree(partWay(start, toward, joints, share))),
      );
    }
  }
  return pose;
}
