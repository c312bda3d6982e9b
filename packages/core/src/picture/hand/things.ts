import { type Placement, seenFrom, type Vec3 } from './space.js';

// Bound once: the hands’ geometry asks for them millions of times.
const { abs, max, sqrt } = Math;

/** What a thing is made of, which is how it is drawn. */
export const LOOKS = ['wood', 'metal', 'rubber', 'cloth', 'paper', 'floor', 'water'] as const;
/** How a thing is drawn. */
export type Look = (typeof LOOKS)[number];

/** A thing that a hand touches, holds or rests on. Lengths in metres; the middle of it is at its placement. */
export type Thing = { readonly placement: Placement; readonly look: Look } & (
  | { readonly shape: 'ball'; readonly radiusM: number }
  /** A round bar along its own y. */
  | { readonly shape: 'rod'; readonly radiusM: number; readonly lengthM: number }
  /** A box with rounded edges. */
  | { readonly shape: 'slab'; readonly sizeM: Vec3 }
  /** A box cut from its upper edge at −y to its lower edge at +y: what a heel of a hand is laid on. */
  | { readonly shape: 'wedge'; readonly sizeM: Vec3 }
  /** A closed band through points, seen from its placement. */
  | { readonly shape: 'band'; readonly through: readonly Vec3[]; readonly radiusM: number }
);

/** Metres from a point to a thing’s surface; negative inside. Bands give way, and water keeps nothing out. */
export function fromThing(thing: Thing, at: Vec3): number {
  if (thing.look === 'water') return Infinity;
  const own = seenFrom(thing.placement, at);
  switch (thing.shape) {
    case 'ball':
      return sqrt(own[0] ** 2 + own[1] ** 2 + own[2] ** 2) - thing.radiusM;
    case 'rod':
      return fromBox([sqrt(own[0] ** 2 + own[2] ** 2) - thing.radiusM, abs(own[1]) - thing.lengthM / 2, -Infinity]);
    case 'slab':
      return fromBox(pastFaces(own, thing.sizeM));
    case 'wedge': {
      const [, long, high] = thing.sizeM;
      return fromBox([...pastFaces(own, thing.sizeM), (own[1] * high + own[2] * long) / sqrt(long ** 2 + high ** 2)]);
    }
    case 'band':
      return Infinity;
  }
}

const pastFaces = (own: Vec3, sizeM: Vec3) => [0, 1, 2].map((axis) => abs(own[axis] ?? 0) - (sizeM[axis] ?? 0) / 2);

/** How far a point is out of a box, by how far it is past each of its faces. */
function fromBox(past: readonly number[]): number {
  const outside = sqrt(past.reduce((sum, far) => sum + max(0, far) ** 2, 0));
  return outside > 0 ? outside : max(...past);
}
