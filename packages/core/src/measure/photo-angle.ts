import { NINETEEN_IN_TWENTY } from '../mechanics/capacity.js';
import type { RangeMotion } from '../vocabulary/motions.js';

/** A point on a picture, pixels, x to the right, y downward. */
export interface PicturePoint {
  readonly x: number;
  readonly y: number;
}

/** Three points on a picture: on the one arm of the angle, where it turns, and on the other arm. */
export type ThreePoints = readonly [first: PicturePoint, pivot: PicturePoint, second: PicturePoint];

/** What the points are put on, and how the angle between the arms is read. */
export interface PhotoWay {
  readonly points: readonly [first: string, pivot: string, second: string];
  /** Whether straight is nothing, or whether the arms begin on each other. */
  readonly isFromStraight: boolean;
}

const WRIST: PhotoWay = {
  points: ['along the forearm, near the elbow', 'the wrist joint', 'the knuckle on that side'],
  isFromStraight: true,
};
const TURN: PhotoWay = {
  points: ['straight up from the fist', 'the middle of the fist', 'the top of the pencil'],
  isFromStraight: false,
};

/** Where the points go for a motion. @example photoWayOf('pronation').isFromStraight → false */
export const photoWayOf = (motion: RangeMotion): PhotoWay => (motion === 'pronation' || motion === 'supination' ? TURN : WRIST);

/** An angle read off a picture. */
export interface PhotoAngle {
  readonly deg: number;
  /** Nineteen of twenty placings of the same points lie within this to both sides, degrees. */
  readonly errorDeg: number;
}

const DEG = 180 / Math.PI;

/**
 * The angle of three points, with the error that their placing alone makes: each point is off by so much in any direction, and what that turns the arms by adds
 * up as variances. A slanted camera adds to it and is not in it.
 * @param offPx standard deviation of placing a point, pixels, in each direction
 * @returns null where two points lie on each other: there is no arm
 * @example photoAngleOf([{ x: 0, y: 0 }, { x: 100, y: 0 }, { x: 200, y: 0 }], true, 3).deg → 0
 */
export function photoAngleOf([first, pivot, second]: ThreePoints, isFromStraight: boolean, offPx: number): PhotoAngle | null {
  const a = { x: first.x - pivot.x, y: first.y - pivot.y };
  const b = { x: second.x - pivot.x, y: second.y - pivot.y };
  const [lengthA, lengthB] = [Math.hypot(a.x, a.y), Math.hypot(b.x, b.y)];
  if (lengthA < 1 || lengthB < 1) return null;
  const between = Math.abs(Math.atan2(a.x * b.y - a.y * b.x, a.x * b.x + a.y * b.y)) * DEG;
  // How far the direction of an arm turns with a pixel of its end, and of the pivot, which turns both.
  const turnA = { x: -a.y / lengthA ** 2, y: a.x / lengthA ** 2 };
  const turnB = { x: -b.y / lengthB ** 2, y: b.x / lengthB ** 2 };
  const ofPivot = (turnB.x - turnA.x) ** 2 + (turnB.y - turnA.y) ** 2;
  const variance = offPx ** 2 * (1 / lengthA ** 2 + 1 / lengthB ** 2 + ofPivot);
  return { deg: isFromStraight ? 180 - between : between, errorDeg: NINETEEN_IN_TWENTY * Math.sqrt(variance) * DEG };
}
