import { itemAt } from '../vocabulary/lists.js';
import type { HandPose } from '../vocabulary/hand-joints.js';
import { HAND_SHAPE_NAMES, type HandShapeName } from '../vocabulary/hand-shapes.js';
import { SHAPE_POSES } from './hand/shapes.js';
import { type Point, RAD } from '../mechanics/plane.js';

/** Bends of a finger's three joints in degrees, knuckle first, and how far the fingers fan out. */
export interface HandShape {
  readonly knuckleDeg: number;
  readonly middleDeg: number;
  readonly endDeg: number;
  /** Between neighbours. */
  readonly spreadDeg: number;
  /** Thumb: 0 along the palm's edge, 1 wide, −1 across the palm. */
  readonly thumb: number;
}

/** A shape of the jointed hand, as the flat drawing takes it: by its middle finger, and how far the thumb is out or across. */
export function flatShape(pose: HandPose): HandShape {
  return {
    knuckleDeg: pose.middleMcpDeg,
    middleDeg: pose.middlePipDeg,
    endDeg: pose.middleDipDeg,
    spreadDeg: Math.max(0, (pose.indexSpreadDeg - pose.littleSpreadDeg - TOGETHER_DEG) / 3),
    thumb: Math.max(-1, Math.min(1, (pose.thumbRadialDeg - THUMB_ALONG_DEG) / 35 - pose.thumbMcpDeg / 40)),
  };
}
/** Between index and little finger when they lie side by side; the thumb’s radial abduction along the palm’s edge. */
const TOGETHER_DEG = -9;
const THUMB_ALONG_DEG = 18;

/** Shapes that movements go through. */
export const HAND_SHAPES: Readonly<Record<HandShapeName, HandShape>> = Object.fromEntries(
  HAND_SHAPE_NAMES.map((name) => [name, flatShape(SHAPE_POSES[name])]),
) as Record<HandShapeName, HandShape>;

/** Between two shapes. */
export function betweenShapes(a: HandShape, b: HandShape, share: number): HandShape {
  const mix = (x: number, y: number) => x + (y - x) * share;
  return {
    knuckleDeg: mix(a.knuckleDeg, b.knuckleDeg),
    middleDeg: mix(a.middleDeg, b.middleDeg),
    endDeg: mix(a.endDeg, b.endDeg),
    spreadDeg: mix(a.spreadDeg, b.spreadDeg),
    thumb: mix(a.thumb, b.thumb),
  };
}

/** The three bones of a finger, as shares of its length from knuckle to tip (Buryanov, Kotiuk 2010, Int J Morphol 28:755–8, rounded). */
const BONES = [0.46, 0.3, 0.24] as const;

/** Knuckle, joints and tip of a finger in side view. Bending turns it by `sense` (−1 bends clockwise). */
export function fingerLine(
  knuckle: Point,
  palmRad: number,
  lengthM: number,
  { knuckleDeg, middleDeg, endDeg }: HandShape,
  sense: 1 | -1,
): Point[] {
  const line = [knuckle];
  let at = knuckle;
  let heading = palmRad;
  [knuckleDeg, middleDeg, endDeg].forEach((deg, bone) => {
    heading += sense * deg * RAD;
    const length = lengthM * itemAt(BONES, bone);
    at = { x: at.x + Math.cos(heading) * length, y: at.y + Math.sin(heading) * length };
    line.push(at);
  });
  return line;
}

/** A finger seen on the palm's own plane. Lengths over the hand's length (wrist to middle knuckle); x toward the little finger. */
export interface TopFinger {
  readonly name: 'thumb' | 'index' | 'middle' | 'ring' | 'little';
  readonly base: Point;
  readonly tip: Point;
  readonly joint: Point;
  readonly width: number;
}

const FINGERS = [
  ['index', -0.36, 0.97, 1.05, 0.2],
  ['middle', -0.11, 1, 1.18, 0.21],
  ['ring', 0.13, 0.95, 1.09, 0.2],
  ['little', 0.35, 0.84, 0.84, 0.17],
] as const;

/** The five fingers of a hand laid flat: bent joints shorten what is seen, spreading fans it. */
export function topFingers(shape: HandShape): TopFinger[] {
  const seen = (deg: number) => Math.max(0.06, Math.cos(Math.min(deg, 110) * RAD));
  const first = seen(shape.knuckleDeg);
  const rest = Math.max(0.02, Math.cos(Math.min(shape.knuckleDeg + shape.middleDeg, 175) * RAD));
  const fingers = FINGERS.map(([name, x, y, length, width], index): TopFinger => {
    const fan = (index - 1) * shape.spreadDeg * RAD + (index - 1.3) * 0.05;
    const at = (metres: number): Point => ({ x: x + Math.sin(fan) * metres, y: y + Math.cos(fan) * metres });
    const joint = at(length * BONES[0] * first);
    const tip = at(length * (BONES[0] * first + (BONES[1] + BONES[2]) * Math.max(0, rest)));
    return { name, base: { x, y }, joint, tip, width };
  });
  const fan = (-22 - shape.thumb * 34) * RAD;
  const base = { x: -0.36, y: 0.3 };
  const out = (metres: number, from: Point, angle: number): Point => ({
    x: from.x + Math.sin(angle) * metres,
    y: from.y + Math.cos(angle) * metres,
  });
  const joint = out(0.5, base, fan);
  const tip = out(0.48, joint, fan + (shape.thumb < 0 ? 1.1 * -shape.thumb : 0.12));
  return [{ name: 'thumb', base, joint, tip, width: 0.24 }, ...fingers];
}

/** Outline of the palm in the same measure, from the wrist's thumb side around. */
export const PALM: readonly Point[] = [
  { x: -0.25, y: -0.12 },
  { x: -0.42, y: 0.12 },
  { x: -0.5, y: 0.36 },
  { x: -0.48, y: 0.66 },
  { x: -0.47, y: 0.96 },
  { x: -0.2, y: 1.06 },
  { x: 0.06, y: 1.05 },
  { x: 0.28, y: 0.98 },
  { x: 0.45, y: 0.86 },
  { x: 0.46, y: 0.55 },
  { x: 0.42, y: 0.2 },
  { x: 0.27, y: -0.12 },
];
/** Where a flat hand bears: heel, knuckle line, pads are at the fingers' tips. */
export const HEEL_MARKS: readonly Point[] = [
  { x: -0.24, y: 0.2 },
  { x: 0.24, y: 0.18 },
];
/** Where knuckles show on the back of a hand, as shares of its length. */
export const KNUCKLE_MARKS: readonly Point[] = FINGERS.map(([, x, y]) => ({ x, y: y - 0.05 }));
