import type { HandPose } from '../../vocabulary/hand-joints.js';
import { partsIn, type PlacedHand } from './flesh.js';
import type { Skeleton } from './skeleton.js';
import { placedIn } from './space.js';
import type { Thing } from './things.js';

/** What is in a hand: how the fingers lie, and the things, seen from the hand's own frame. */
export interface Held {
  readonly grip: HandPose;
  readonly things: readonly Thing[];
}

/** The joints of the fingers and the thumb from one pose, forearm and wrist from another. */
export function fingersOf(fingers: HandPose, { supinationDeg, wristExtensionDeg, wristRadialDeg }: HandPose): HandPose {
  return { ...fingers, supinationDeg, wristExtensionDeg, wristRadialDeg };
}

/** Things of the hand's own frame where the hand is now. */
export function inHand(skeleton: Skeleton, hand: PlacedHand, things: readonly Thing[]): Thing[] {
  const frame = partsIn(skeleton, hand).hand;
  return things.map((thing) => ({ ...thing, placement: placedIn(frame, thing.placement) }));
}
