import { otherHand } from '../../vocabulary/hands.js';
import { poseBetween } from './closing.js';
import type { PlacedHand } from './flesh.js';
import { mirrored, type Placement, placedBetween, type Vec3, between, placedIn } from './space.js';
import type { Thing } from './things.js';

/** Hands and things at one moment: the hand that works first. Made for a right hand; `mirroredMoment` gives the other. */
export interface HandMoment3d {
  readonly hands: readonly PlacedHand[];
  readonly things: readonly Thing[];
}

/** The same with left and right changed. */
export function mirroredMoment({ hands, things }: HandMoment3d): HandMoment3d {
  return { hands: hands.map(mirroredHand), things: things.map(mirroredThing) };
}

/** The other hand doing the same on the other side. */
export const mirroredHand = (hand: PlacedHand): PlacedHand => ({
  ...hand,
  side: otherHand(hand.side),
  forearm: mirrored(hand.forearm),
});

function mirroredThing(thing: Thing): Thing {
  const placement = mirrored(thing.placement);
  if (thing.shape !== 'band') return { ...thing, placement };
  return { ...thing, placement, through: thing.through.map(([x, y, z]): Vec3 => [-x, y, z]) };
}

/** Everything moved together. */
export function movedMoment(by: Placement, { hands, things }: HandMoment3d): HandMoment3d {
  return {
    hands: hands.map((hand) => ({ ...hand, forearm: placedIn(by, hand.forearm) })),
    things: things.map((thing) => ({ ...thing, placement: placedIn(by, thing.placement) })),
  };
}

/** On the way from one moment to the next: the same hands and things in both. */
export function momentBetween(a: HandMoment3d, b: HandMoment3d, share: number): HandMoment3d {
  if (share === 0) return a;
  return {
    hands: a.hands.map((hand, i) => {
      const next = b.hands[i] ?? hand;
      return {
        ...hand,
        forearm: placedBetween(hand.forearm, next.forearm, share),
        pose: poseBetween(hand.pose, next.pose, share),
      };
    }),
    things: a.things.map((thing, i) => thingBetween(thing, b.things[i] ?? thing, share)),
  };
}

const mix = (a: number, b: number, share: number) => a + (b - a) * share;

function thingBetween(thing: Thing, next: Thing, share: number): Thing {
  const placement = placedBetween(thing.placement, next.placement, share);
  if (thing.shape === 'ball' && next.shape === 'ball') {
    return { ...thing, placement, radiusM: mix(thing.radiusM, next.radiusM, share) };
  }
  if (thing.shape === 'slab' && next.shape === 'slab') {
    return { ...thing, placement, sizeM: between(thing.sizeM, next.sizeM, share) };
  }
  if (thing.shape === 'rod' && next.shape === 'rod') {
    return { ...thing, placement, lengthM: mix(thing.lengthM, next.lengthM, share) };
  }
  if (thing.shape === 'band' && next.shape === 'band') {
    return { ...thing, placement, through: thing.through.map((at, i) => between(at, next.through[i] ?? at, share)) };
  }
  return { ...thing, placement };
}
