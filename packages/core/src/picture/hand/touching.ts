import type { FingerName, HandJoint, HandPose } from '../../vocabulary/hand-joints.js';
import { HAND_JOINTS } from '../../vocabulary/hand-joints.js';
import { shapePose } from './shapes.js';
import { keptFor, ownMm, type Part, partsOf, type Skeleton, type Parts } from './skeleton.js';
import { least } from './solving.js';
import { dot, lengthOf, placed, sub, turned, type Vec3, Y, Z } from './space.js';

/** Where a pad is on the last bone of a digit, in millimetres of the measured hand: along the bone, and in front of it. */
const PADS: Readonly<Record<'thumb' | FingerName, { readonly part: Part; readonly at: Vec3 }>> = {
  thumb: { part: 'thumb3', at: [-0.4, 14, -7.6] },
  index: { part: 'index3', at: [0.2, 11.5, -6.2] },
  middle: { part: 'middle3', at: [0, 13, -6.4] },
  ring: { part: 'ring3', at: [0, 12, -6.1] },
  little: { part: 'little3', at: [-0.2, 11, -5.4] },
};

/** Where a digit’s pad is, which way it looks and which way its bone points, seen from the end of the forearm. */
export function padOf(skeleton: Skeleton, parts: Parts, digit: 'thumb' | FingerName): { at: Vec3; out: Vec3; along: Vec3 } {
  const { part, at } = PADS[digit];
  const own = ownMm(skeleton, at);
  const [x, y, z] = turned(parts[part].turn, Z);
  return { at: placed(parts[part], own), out: [-x, -y, -z], along: turned(parts[part].turn, Y) };
}

/** How much of the cost of one millimetre apart is the pads not looking at each other. */
const FACING_MM = 6;
/** How much of it a degree away from the first pose is. */
const AWAY_MM_PER_DEG = 0.02;

/** The same hand with the thumb's pad on a finger's. */
export function thumbOn(skeleton: Skeleton, pose: HandPose, finger: FingerName): HandPose {
  const joints: readonly HandJoint[] = [
    ...(['thumbRadialDeg', 'thumbPalmarDeg', 'thumbMcpDeg', 'thumbIpDeg'] as const),
    ...([`${finger}McpDeg`, `${finger}PipDeg`, `${finger}DipDeg`] as const),
  ];
  const first = joints.map((joint) => pose[joint]);
  const posed = (angles: readonly number[]): HandPose => ({
    ...pose,
    ...Object.fromEntries(joints.map((joint, i) => [joint, angles[i] ?? pose[joint]])),
  });
  const cost = (angles: readonly number[]) => {
    const parts = partsOf(skeleton, posed(angles));
    const [thumb, other] = [padOf(skeleton, parts, 'thumb'), padOf(skeleton, parts, finger)];
    const apartMm = lengthOf(sub(thumb.at, other.at)) * 1000;
    const away = angles.reduce((sum, deg, i) => sum + Math.abs(deg - (first[i] ?? 0)), 0);
    return apartMm + FACING_MM * (1 + dot(thumb.out, other.out)) + AWAY_MM_PER_DEG * away;
  };
  const bounds = joints.map((joint) => [HAND_JOINTS[joint].min, HAND_JOINTS[joint].max] as const);
  return posed(least(first, bounds, cost, 6));
}

/** Thumb and one finger in a round O, their pads on each other; worked out once for each hand. */
export const touchOf = (skeleton: Skeleton, finger: FingerName): HandPose =>
  keptFor(skeleton, `touch ${finger}`, () => thumbOn(skeleton, shapePose('thumb to a finger', finger), finger));
