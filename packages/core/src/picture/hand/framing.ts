import type { Hand } from '../../vocabulary/hands.js';
import { partsIn, skinOf } from './flesh.js';
import type { HandMoment3d } from './moment.js';
import type { Skeleton } from './skeleton.js';
import { add, cross, dot, sub, times, unitOf, type Vec3, Y, Z, placed } from './space.js';
import type { Thing } from './things.js';
import { eyeOf, type ViewPoint } from './views.js';

/** A picture's frame: the eye's direction, what is up and right in it, its middle, and half its width and height; metres. */
export interface Frame3d {
  readonly eye: Vec3;
  readonly up: Vec3;
  readonly right: Vec3;
  readonly middle: Vec3;
  readonly halfWidthM: number;
  readonly halfHeightM: number;
  /** How much of a forearm is in it, metres from the wrist; beyond, it goes out of sight. */
  readonly forearmM: number;
}

/** The eye's own axes for a direction: where it looks from nearly above, the fingers point up. */
export function eyeAxes(eye: Vec3): { readonly up: Vec3; readonly right: Vec3 } {
  const upright = Math.abs(eye[2]) > 0.97 ? Y : Z;
  const right = unitOf(cross(upright, eye));
  return { right, up: cross(eye, right) };
}

/** A view as a left hand's picture has it: from the other side. */
export const eyeFor = (view: ViewPoint, side: Hand): Vec3 => {
  const [x, y, z] = eyeOf(view);
  return side === 'left' ? [-x, y, z] : [x, y, z];
};

/** How much of a forearm belongs into a picture that does not say so, metres from the wrist. */
const FOREARM_M = 0.085;
/** Half the breadth of a forearm at the elbow, metres. */
const ELBOW_HALF_M = 0.045;
/** Of floors, tables and walls only what is near the hand has to be seen. */
const isGround = (thing: Thing) =>
  thing.shape === 'slab' ? thing.look === 'floor' || thing.look === 'wood' : thing.shape === 'rod' && thing.radiusM > THICK_M;
/** Thicker than anything that is held: a thigh. */
const THICK_M = 0.06;
/** Space around what is drawn, of its size: more around two hands, whose forearms run along the edges. */
const MARGIN = { one: 1.06, two: 1.14 };

/** The same frame seen from elsewhere: about its middle, as large. */
export function turnedFrame(frame: Frame3d, eye: Vec3): Frame3d {
  return { ...frame, eye, ...eyeAxes(eye) };
}

/** The frame of a hand's mirror picture. */
export function mirroredFrame(frame: Frame3d): Frame3d {
  const over = ([x, y, z]: Vec3): Vec3 => [-x, y, z];
  return { ...frame, eye: over(frame.eye), up: over(frame.up), right: times(over(frame.right), -1), middle: over(frame.middle) };
}

/** Where a point shows in a picture: shares of the frame’s half width and height from its middle, right and up. */
export function shownAt({ middle, right, up, halfWidthM, halfHeightM }: Frame3d, at: Vec3): readonly [x: number, y: number] {
  const from = sub(at, middle);
  return [dot(from, right) / halfWidthM, dot(from, up) / halfHeightM];
}

/** The frame that holds hands and things at all these moments. */
export function frameAround(skeleton: Skeleton, moments: readonly HandMoment3d[], eye: Vec3, forearmM = FOREARM_M): Frame3d {
  const { up, right } = eyeAxes(eye);
  const margin = moments.some(({ hands }) => hands.length > 1) ? MARGIN.two : MARGIN.one;
  const points = moments.flatMap((moment) => pointsOf(skeleton, moment, forearmM));
  const along = (axis: Vec3) => points.map((at) => dot(at, axis));
  const [left, rightmost] = ends(along(right));
  const [bottom, top] = ends(along(up));
  const [far, near] = ends(along(eye));
  const middle = [times(right, (left + rightmost) / 2), times(up, (bottom + top) / 2), times(eye, (far + near) / 2)].reduce(add);
  return { eye, up, right, middle, halfWidthM: ((rightmost - left) / 2) * margin, halfHeightM: ((top - bottom) / 2) * margin, forearmM };
}

const ends = (all: readonly number[]): readonly [number, number] => [
  all.reduce((a, b) => Math.min(a, b), Infinity),
  all.reduce((a, b) => Math.max(a, b), -Infinity),
];

function pointsOf(skeleton: Skeleton, { hands, things }: HandMoment3d, forearmM: number): Vec3[] {
  const skin = hands.flatMap((hand) => {
    const parts = partsIn(skeleton, hand);
    const wrist = parts.forearm.at;
    const farther = forearmM > FOREARM_M ? [-1, 1].map((x) => placed(parts.forearm, [x * ELBOW_HALF_M, -forearmM, 0])) : [];
    const near = skinOf(skeleton, hand.side, parts)
      .map(({ at }) => at)
      .filter((at) => isNear(at, wrist, placed(parts.forearm, [0, -1, 0]), forearmM));
    return [...near, ...farther];
  });
  return [...skin, ...things.filter((thing) => !isGround(thing)).flatMap(cornersOf)];
}
/** Whether a point is not further up the forearm than belongs into the picture. */
function isNear(at: Vec3, wrist: Vec3, toward: Vec3, forearmM: number): boolean {
  const axis = unitOf([toward[0] - wrist[0], toward[1] - wrist[1], toward[2] - wrist[2]]);
  return dot([at[0] - wrist[0], at[1] - wrist[1], at[2] - wrist[2]], axis) < forearmM;
}

/** The corners of a thing's box. */
function cornersOf(thing: Thing): Vec3[] {
  const half: Vec3 =
    thing.shape === 'ball'
      ? [thing.radiusM, thing.radiusM, thing.radiusM]
      : thing.shape === 'rod'
        ? [thing.radiusM, thing.lengthM / 2, thing.radiusM]
        : thing.shape === 'slab' || thing.shape === 'wedge'
          ? times(thing.sizeM, 0.5)
          : [0, 0, 0];
  if (thing.shape === 'band') return thing.through.map((at) => placed(thing.placement, at));
  return [-1, 1].flatMap((x) =>
    [-1, 1].flatMap((y) => [-1, 1].map((z) => placed(thing.placement, [x * half[0], y * half[1], z * half[2]]))),
  );
}
