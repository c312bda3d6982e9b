// Bound once: the hands’ geometry asks for them millions of times.
const { abs, acos, cos, min, sin, sqrt } = Math;
/** A point or vector in space, metres where it is a place. */
export type Vec3 = readonly [x: number, y: number, z: number];
/** A turn in space as a unit quaternion. */
export type Turn = readonly [x: number, y: number, z: number, w: number];
/** Where something is and how it is turned. */
export interface Placement {
  readonly at: Vec3;
  readonly turn: Turn;
}

/** Toward the little finger of a right hand whose fingers point ahead. */
export const X: Vec3 = [1, 0, 0];
/** Ahead. */
export const Y: Vec3 = [0, 1, 0];
/** Up. */
export const Z: Vec3 = [0, 0, 1];
/** No turn at all. */
export const UNTURNED: Turn = [0, 0, 0, 1];
/** At the origin, not turned. */
export const HERE: Placement = { at: [0, 0, 0], turn: UNTURNED };

/** Sum of two vectors. */
export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
/** From `b` to `a`. */
export const sub = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
/** A vector so many times as long. */
export const times = (a: Vec3, by: number): Vec3 => [a[0] * by, a[1] * by, a[2] * by];
/** Inner product. */
export const dot = (a: Vec3, b: Vec3) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/** Vector product. */
export const cross = (a: Vec3, b: Vec3): Vec3 => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
/** Length of a vector. */
export const lengthOf = (a: Vec3) => sqrt(dot(a, a));
/** The same direction, one long. */
export const unitOf = (a: Vec3): Vec3 => times(a, 1 / lengthOf(a));
/** The point at a share of the way. */
export const between = (a: Vec3, b: Vec3, share: number): Vec3 => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
  a[2] + (b[2] - a[2]) * share,
];

const HALF_RAD = Math.PI / 360;
/** A turn about a unit axis, counter-clockwise seen from its tip. */
export function turnAbout(axis: Vec3, deg: number): Turn {
  const s = sin(deg * HALF_RAD);
  return [axis[0] * s, axis[1] * s, axis[2] * s, cos(deg * HALF_RAD)];
}

/** First `second`, then `first`, as matrices are multiplied. */
export const twice = (first: Turn, second: Turn): Turn => [
  first[3] * second[0] + first[0] * second[3] + first[1] * second[2] - first[2] * second[1],
  first[3] * second[1] - first[0] * second[2] + first[1] * second[3] + first[2] * second[0],
  first[3] * second[2] + first[0] * second[1] - first[1] * second[0] + first[2] * second[3],
  first[3] * second[3] - first[0] * second[0] - first[1] * second[1] - first[2] * second[2],
];
/** Several turns, the last one done first. */
export const turns = (...all: readonly Turn[]): Turn => all.reduce(twice, UNTURNED);

/** The turn that undoes this one. */
export const undone = ([x, y, z, w]: Turn): Turn => [-x, -y, -z, w];

/** A vector turned. */
export function turned([x, y, z, w]: Turn, v: Vec3): Vec3 {
  const tx = 2 * (y * v[2] - z * v[1]);
  const ty = 2 * (z * v[0] - x * v[2]);
  const tz = 2 * (x * v[1] - y * v[0]);
  return [v[0] + w * tx + y * tz - z * ty, v[1] + w * ty + z * tx - x * tz, v[2] + w * tz + x * ty - y * tx];
}

/** The turn that takes the axes to three unit vectors at right angles. */
export function turnTo(x: Vec3, y: Vec3, z: Vec3): Turn {
  const trace = x[0] + y[1] + z[2];
  if (trace > 0) {
    const s = 2 * sqrt(trace + 1);
    return [(y[2] - z[1]) / s, (z[0] - x[2]) / s, (x[1] - y[0]) / s, s / 4];
  }
  if (x[0] > y[1] && x[0] > z[2]) {
    const s = 2 * sqrt(1 + x[0] - y[1] - z[2]);
    return [s / 4, (y[0] + x[1]) / s, (z[0] + x[2]) / s, (y[2] - z[1]) / s];
  }
  if (y[1] > z[2]) {
    const s = 2 * sqrt(1 + y[1] - x[0] - z[2]);
    return [(y[0] + x[1]) / s, s / 4, (z[1] + y[2]) / s, (z[0] - x[2]) / s];
  }
  const s = 2 * sqrt(1 + z[2] - x[0] - y[1]);
  return [(z[0] + x[2]) / s, (z[1] + y[2]) / s, s / 4, (x[1] - y[0]) / s];
}

/** The turn that lays y along a direction and z as near to another as it goes. */
export function facing(y: Vec3, z: Vec3): Turn {
  const along = unitOf(y);
  const x = unitOf(cross(along, z));
  return turnTo(x, along, cross(x, along));
}

/** On the shortest way from one turn to another. */
export function turnBetween(a: Turn, b: Turn, share: number): Turn {
  const cosine = a[0] * b[0] + a[1] * b[1] + a[2] * b[2] + a[3] * b[3];
  const sign = cosine < 0 ? -1 : 1;
  const angle = acos(min(1, abs(cosine)));
  const s = sin(angle);
  // So near that the straight way is as good.
  const [p, q] = s < 1e-6 ? [1 - share, share] : [sin((1 - share) * angle) / s, sin(share * angle) / s];
  const mixed = a.map((v, i) => v * p + (b[i] ?? 0) * q * sign);
  const length = sqrt(mixed.reduce((sum, v) => sum + v * v, 0));
  const [x = 0, y = 0, z = 0, w = 1] = mixed.map((v) => v / length);
  return [x, y, z, w];
}

/** What is at `inner` as seen from `outer`, seen from outside. */
export const placedIn = (outer: Placement, inner: Placement): Placement => ({
  at: placed(outer, inner.at),
  turn: twice(outer.turn, inner.turn),
});
/** A point of a placed thing, seen from outside. */
export const placed = (outer: Placement, at: Vec3): Vec3 => add(outer.at, turned(outer.turn, at));
/** A point from outside as the placed thing sees it. */
export const seenFrom = (outer: Placement, at: Vec3): Vec3 => turned(undone(outer.turn), sub(at, outer.at));
/** The placement that undoes this one. */
export const inverse = ({ at, turn }: Placement): Placement => ({
  at: turned(undone(turn), times(at, -1)),
  turn: undone(turn),
});
/** On the way from one placement to another. */
export const placedBetween = (a: Placement, b: Placement, share: number): Placement => ({
  at: between(a.at, b.at, share),
  turn: turnBetween(a.turn, b.turn, share),
});
/** Mirrored in the plane between left and right: what the other hand does. */
export const mirrored = ({ at, turn: [x, y, z, w] }: Placement): Placement => ({
  at: [-at[0], at[1], at[2]],
  turn: [x, -y, -z, w],
});
