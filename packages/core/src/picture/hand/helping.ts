import type { Digit } from '../../vocabulary/digits.js';
import type { HandPose } from '../../vocabulary/hand-joints.js';
import { otherHand } from '../../vocabulary/hands.js';
import { closedOn } from './closing.js';
import { type Bar, barsOf, barTo, forearmBars, fromBar, partsIn, type PlacedHand } from './flesh.js';
import { ownMm, type Parts, type Skeleton } from './skeleton.js';
import { furthest } from './solving.js';
import { add, facing, type Placement, sub, times, turned, type Vec3 } from './space.js';
import { forearmBehind } from './standing.js';
import { fromThing, type Thing } from './things.js';

/** A place on the hand that is helped: where, which way its skin looks, and along what the helping fingers lie. */
export interface Target {
  readonly at: Vec3;
  readonly out: Vec3;
  readonly along: Vec3;
}

/** How the other hand takes hold: with what of it, in what shape, and which digits close. */
export interface Hold {
  /** What of the helping hand comes to the place, millimetres of the measured right hand; its palm side looks at the place. */
  readonly with: Vec3;
  readonly pose: HandPose;
  readonly toward?: HandPose;
  readonly digits?: readonly Digit[];
  /** How far flesh gives way to flesh, metres. */
  readonly sinkM?: number;
}

/** Metres from a point to a placed hand with its forearm. */
export function distanceToHand(skeleton: Skeleton, hand: PlacedHand): (at: Vec3) => number {
  const parts = partsIn(skeleton, hand);
  const bars: readonly Bar[] = [...barsOf(skeleton, hand.side, parts), ...forearmBars(skeleton, parts)];
  return (at) => {
    let least = Infinity;
    for (const bar of bars) least = Math.min(least, fromBar(bar, at));
    return least;
  };
}

/** Metres from a point to the nearest of some things. */
export const distanceToThings =
  (things: readonly Thing[]) =>
  (at: Vec3): number =>
    things.reduce((least, thing) => Math.min(least, fromThing(thing, at)), Infinity);

/** From how far the helping hand comes, and how far it may go in; metres. */
const FROM_M = 0.09;
const PAST_M = 0.02;

/** The other hand brought to a place of the first until it touches, and its digits closed there. */
export function helper(skeleton: Skeleton, helped: PlacedHand, target: (parts: Parts) => Target, hold: Hold): PlacedHand {
  const parts = partsIn(skeleton, helped);
  const { at, out, along } = target(parts);
  const side = otherHand(helped.side);
  const own = ownMm(skeleton, hold.with, side);
  const turn = facing(along, out);
  const distanceTo = distanceToHand(skeleton, helped);
  const sinkM = hold.sinkM ?? 0.001;
  const placedAt = (gapM: number): PlacedHand => {
    const hand: Placement = { at: sub(add(at, times(out, gapM)), turned(turn, own)), turn };
    return { side, forearm: forearmBehind(hand, hold.pose, side), pose: hold.pose, helps: true };
  };
  const isFree = (hand: PlacedHand) => {
    const mine = partsIn(skeleton, hand);
    return [...barsOf(skeleton, side, mine), ...forearmBars(skeleton, mine)].every((bar) => barTo(bar, distanceTo) > -sinkM);
  };
  const gapAt = (share: number) => FROM_M - share * (FROM_M + PAST_M);
  const hand = placedAt(gapAt(furthest((share) => isFree(placedAt(gapAt(share))), 24)));
  const { toward, digits } = hold;
  if (!toward || !digits) return hand;
  return { ...hand, pose: closedOn(skeleton, hand, toward, distanceTo, digits, sinkM) };
}
