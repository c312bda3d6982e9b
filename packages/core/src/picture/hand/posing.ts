import type { HandStation } from '../../model/hand-picture.js';
import { FINGER_NAMES, HAND_JOINT_NAMES, HAND_JOINTS, type HandJoint, type HandPose } from '../../vocabulary/hand-joints.js';
import type { HandPlace } from '../../vocabulary/hand-places.js';
import type { HandSetting } from '../../vocabulary/hand-settings.js';
import { HAND_SHAPE_NAMES, type HandShapeName } from '../../vocabulary/hand-shapes.js';
import { freeHand } from './free-hand.js';
import { type Frame3d, frameAround, shownAt, turnedFrame } from './framing.js';
import { placeOn } from './places.js';
import { SHAPE_POSES } from './shapes.js';
import type { Skeleton } from './skeleton.js';
import { least } from './solving.js';
import { eyeOf, type ViewPoint } from './views.js';

const WRIST: readonly HandJoint[] = ['supinationDeg', 'wristExtensionDeg', 'wristRadialDeg'];

const fingerHandles = FINGER_NAMES.flatMap((finger): [HandPlace, readonly HandJoint[]][] => [
  [`${finger}-pip`, [`${finger}McpDeg`, `${finger}SpreadDeg`]],
  [`${finger}-dip`, [`${finger}PipDeg`]],
  [`${finger}-tip`, [`${finger}DipDeg`]],
]);
/** The places by which a hand is posed, and the joints that each moves. */
export const HANDLES: Readonly<Partial<Record<HandPlace, readonly HandJoint[]>>> = {
  'wrist-thumb-side': ['supinationDeg'],
  'middle-mcp': ['wristExtensionDeg', 'wristRadialDeg'],
  'thumb-mcp': ['thumbRadialDeg', 'thumbPalmarDeg'],
  'thumb-ip': ['thumbMcpDeg'],
  'thumb-tip': ['thumbIpDeg'],
  ...(Object.fromEntries(fingerHandles) as Partial<Record<HandPlace, readonly HandJoint[]>>),
};
/** The places by which a hand is posed. */
export const HANDLE_PLACES = Object.keys(HANDLES) as HandPlace[];

/** Where what the hand stands on decides the fingers, only forearm and wrist can be posed. */
const STANDING: readonly HandSetting[] = [
  'on a wall',
  'on a wall, fingers down',
  'on a table',
  'on a table, fingers back',
  'on a ball',
  'in water',
  'gathering',
];
/** The joints that a setting leaves to whoever poses the hand. */
export const posableIn = (setting: HandSetting): readonly HandJoint[] =>
  setting.startsWith('planted') || STANDING.includes(setting) ? WRIST : HAND_JOINT_NAMES;

const clampTo = (joint: HandJoint, deg: number) => Math.min(HAND_JOINTS[joint].max, Math.max(HAND_JOINTS[joint].min, deg));

/** A pose with one joint elsewhere, within its limits; the end joint of a finger comes along half as far as its middle joint. */
export function withJoint(pose: HandPose, joint: HandJoint, deg: number): HandPose {
  const next = { ...pose, [joint]: clampTo(joint, deg) };
  if (!joint.endsWith('PipDeg')) return next;
  const dip = joint.replace('Pip', 'Dip') as HandJoint;
  return { ...next, [dip]: clampTo(dip, pose[dip] + DIP_FOLLOWS * (next[joint] - pose[joint])) };
}
/** How far a finger's end joint bends with its middle joint when nothing holds it: a working value; one follows the other, less far. */
const DIP_FOLLOWS = 0.6;

/** What keeps a drag from turning joints that it does not need, metres for a degree. */
const STIFFNESS_M = 2e-5;

/**
 * The pose in which a place of a free hand shows nearest to a point of its picture: what dragging that place there means.
 * @param to shares of the frame's half width and height from its middle, right and up
 */
export function draggedTo(
  skeleton: Skeleton,
  pose: HandPose,
  place: HandPlace,
  frame: Frame3d,
  to: readonly [x: number, y: number],
): HandPose {
  const joints = HANDLES[place] ?? [];
  const set = (degs: readonly number[]) => joints.reduce((tried, joint, i) => withJoint(tried, joint, degs[i] ?? pose[joint]), pose);
  const first = joints.map((joint) => pose[joint]);
  const far = (degs: readonly number[]) => {
    const [x, y] = shownAt(frame, placeOn(skeleton, freeHand(set(degs)), place));
    const off = Math.hypot((x - to[0]) * frame.halfWidthM, (y - to[1]) * frame.halfHeightM);
    const turned = Math.hypot(...degs.map((deg, i) => deg - (first[i] ?? deg)));
    return off ** 2 + (STIFFNESS_M * turned) ** 2;
  };
  const bounds = joints.map((joint) => [HAND_JOINTS[joint].min, HAND_JOINTS[joint].max] as const);
  return set(least(first, bounds, far, 6).map(Math.round));
}

/** How far outside a picture, and how small in it, a hand may come before the picture is framed again. */
const FITS = { most: 1, least: 0.62 };
/** Space around a hand that is posed, of its size: its fingers go somewhere. */
const ROOM = 1.12;
/** Less of the forearm than elsewhere: the joints are what is looked at. */
const POSED_FOREARM_M = 0.05;

/** The frame for a free right hand that is posed: the one before as long as the hand is well in it, so that dragging does not move the picture. */
export function posingFrame(skeleton: Skeleton, pose: HandPose, view: ViewPoint, before?: Frame3d): Frame3d {
  const moment = { hands: [freeHand(pose)], things: [] };
  const eye = eyeOf(view);
  const fresh = frameAround(skeleton, [moment], eye, POSED_FOREARM_M);
  if (before) {
    const kept = turnedFrame(before, eye);
    const [x, y] = shownAt(kept, fresh.middle);
    const [wide, high] = [fresh.halfWidthM / kept.halfWidthM, fresh.halfHeightM / kept.halfHeightM];
    const fits = Math.abs(x) + wide <= FITS.most && Math.abs(y) + high <= FITS.most;
    if (fits && Math.max(wide, high) >= FITS.least) return kept;
  }
  // Square, so that it holds the hand however it is turned next.
  const half = Math.max(fresh.halfWidthM, fresh.halfHeightM) * ROOM;
  return { ...fresh, halfWidthM: half, halfHeightM: half };
}

/** Shapes that are the same whatever finger's turn it is. */
const NAMED = HAND_SHAPE_NAMES.filter((shape) => shape !== 'thumb to a finger');
const differs = (pose: HandPose, shape: HandShapeName): HandJoint[] =>
  HAND_JOINT_NAMES.filter((joint) => Math.round(pose[joint]) !== SHAPE_POSES[shape][joint]);
const away = (pose: HandPose, shape: HandShapeName): number =>
  HAND_JOINT_NAMES.reduce((sum, joint) => (WRIST.includes(joint) ? sum : sum + Math.abs(pose[joint] - SHAPE_POSES[shape][joint])), 0);

/** A pose as a station: the shape that it is nearest to, and the joints that differ from it, whole degrees. */
export function stationOf(pose: HandPose): HandStation {
  const shape = NAMED.reduce((best, tried) => (away(pose, tried) < away(pose, best) ? tried : best));
  const joints = Object.fromEntries(differs(pose, shape).map((joint) => [joint, Math.round(pose[joint])]));
  return Object.keys(joints).length ? { shape, joints } : { shape };
}

/** A station turned to the other side: the wrist bends and tips the other way, and the forearm turns over. */
export function turnedOver({ shape, joints }: HandStation): HandStation {
  const over: Record<string, number> = { ...joints };
  for (const joint of WRIST) if (over[joint] !== undefined) over[joint] = clampTo(joint, -over[joint]);
  return joints ? { shape, joints: over } : { shape };
}
