/** A point or vector in the sagittal plane: x from the support toward the hands, y up. Metres. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Radians in a degree. */
export const RAD = Math.PI / 180;
/** Degrees of an angle in radians. */
export const toDeg = (rad: number) => rad / RAD;

/** A point from its coordinates. */
export const point = (x: number, y: number): Point => ({ x, y });
/** Sum of two vectors. */
export const plus = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
/** From `b` to `a`. */
export const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
/** The point at a share of the way. @example along({ x: 0, y: 0 }, { x: 2, y: 4 }, 0.5) → { x: 1, y: 2 } */
export const along = (from: Point, to: Point, share: number): Point => ({
  x: from.x + (to.x - from.x) * share,
  y: from.y + (to.y - from.y) * share,
});
// Not Math.hypot: a square root is many times faster, and lengths of a body neither overflow nor vanish.
/** Metres between two points. @example distance({ x: 0, y: 0 }, { x: 3, y: 4 }) → 5 */
export const distance = (a: Point, b: Point) => Math.sqrt((b.x - a.x) ** 2 + (b.y - a.y) ** 2);

/** Turns a vector counter-clockwise. */
export function turn(vector: Point, rad: number): Point {
  const [c, s] = [Math.cos(rad), Math.sin(rad)];
  return { x: vector.x * c - vector.y * s, y: vector.x * s + vector.y * c };
}

/** A thousandth of a micrometre. */
const ROUNDING_M = 1e-9;

/**
 * The third corner of a triangle over the base a→b with the given side lengths, on the left of a→b.
 * Null when the two sides cannot span the base.
 * @example corner({ x: 0, y: 0 }, { x: 6, y: 0 }, 5, 5) → { x: 3, y: 4 }
 */
export function corner(a: Point, b: Point, fromA: number, fromB: number): Point | null {
  const base = distance(a, b);
  // A chain stretched or folded to its very end may miss by rounding: it counts as closed.
  if (base === 0 || base > fromA + fromB + ROUNDING_M || base < Math.abs(fromA - fromB) - ROUNDING_M) return null;
  const foot = (base * base + fromA * fromA - fromB * fromB) / (2 * base);
  const height = Math.sqrt(Math.max(0, fromA * fromA - foot * foot));
  const [ux, uy] = [(b.x - a.x) / base, (b.y - a.y) / base];
  return { x: a.x + ux * foot - uy * height, y: a.y + uy * foot + ux * height };
}

/** Distance between the ends of two links that meet at an angle (180° is straight). @example chord(0.3, 0.4, 90) ≈ 0.5 */
export const chord = (first: number, second: number, angleDeg: number) =>
  Math.sqrt(first * first + second * second - 2 * first * second * Math.cos(angleDeg * RAD));

/** The angle at `at` between the directions to `a` and `b`, in degrees. @example angleAtDeg({ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 0, y: 2 }) ≈ 90 */
export function angleAtDeg(at: Point, a: Point, b: Point): number {
  const [u, v] = [minus(a, at), minus(b, at)];
  const cross = u.x * v.y - u.y * v.x;
  return toDeg(Math.atan2(Math.abs(cross), u.x * v.x + u.y * v.y));
}
