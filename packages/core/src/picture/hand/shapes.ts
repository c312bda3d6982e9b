import { FINGER_NAMES, type FingerName, HAND_JOINT_NAMES, type HandJoint, type HandPose } from '../../vocabulary/hand-joints.js';
import type { HandShapeName } from '../../vocabulary/hand-shapes.js';

/** Angles of four fingers, from the index, or one for all. */
type Four = number | readonly [number, number, number, number];
/** Thumb: away from the index, out of the palm, its knuckle and its end joint. */
type Thumb = readonly [radialDeg: number, palmarDeg: number, mcpDeg: number, ipDeg: number];

const of = (four: Four, finger: number) => (typeof four === 'number' ? four : (four[finger] ?? 0));

/** A hand with a straight wrist, the thumb up. */
function hand(mcpDeg: Four, pipDeg: Four, dipDeg: Four, spreadDeg: Four, thumb: Thumb): HandPose {
  const pose = Object.fromEntries(HAND_JOINT_NAMES.map((joint) => [joint, 0])) as Record<HandJoint, number>;
  FINGER_NAMES.forEach((finger, i) => {
    pose[`${finger}SpreadDeg`] = of(spreadDeg, i);
    pose[`${finger}McpDeg`] = of(mcpDeg, i);
    pose[`${finger}PipDeg`] = of(pipDeg, i);
    pose[`${finger}DipDeg`] = of(dipDeg, i);
  });
  [pose.thumbRadialDeg, pose.thumbPalmarDeg, pose.thumbMcpDeg, pose.thumbIpDeg] = thumb;
  return pose;
}

/** Fingers side by side, at ease, and as wide as they go. */
const CLOSED = [-8, -4, -2, 1] as const;
const EASY = [-3, -5, -9, -10] as const;
const WIDE = [11, -5, -19, -31] as const;
/** Bent knuckles bring the fingers together: a spread finger cannot be bent. */
const BENT = [-6, -3, 0, 4] as const;

/** Shapes that movements go through, by their joints; those of one finger show the index. */
export const SHAPE_POSES: Readonly<Record<HandShapeName, HandPose>> = {
  open: hand([4, 5, 7, 10], [6, 7, 8, 9], 4, EASY, [38, 22, -4, -4]),
  spread: hand(-4, 0, -3, WIDE, [54, 14, -10, -14]),
  together: hand(2, 2, 0, CLOSED, [16, 10, 0, 4]),
  relaxed: hand([22, 27, 32, 38], [32, 34, 36, 38], 16, EASY, [28, 30, 8, 14]),
  fist: hand([82, 85, 87, 88], [102, 103, 103, 102], [62, 62, 62, 60], BENT, [20, 38, 38, 52]),
  hook: hand(-4, [98, 100, 100, 98], [58, 58, 56, 54], CLOSED, [22, 10, 4, 8]),
  tabletop: hand([82, 85, 86, 86], 2, 0, BENT, [18, 10, 2, 4]),
  'flat fist': hand([84, 86, 88, 88], [104, 106, 106, 104], -2, BENT, [20, 18, 4, 6]),
  'around a ball': hand([36, 38, 42, 46], 44, 24, [4, -3, -10, -16], [30, 48, 12, 18]),
  'around a bar': hand([58, 62, 66, 68], [82, 84, 84, 82], 46, BENT, [26, 46, 26, 30]),
  'on an edge': hand([14, 12, 12, 16], [62, 66, 64, 58], 22, CLOSED, [54, -8, -6, -6]),
  pinch: hand([58, 62, 66, 70], [12, 14, 16, 18], 8, BENT, [24, 52, 4, 12]),
  dome: hand([40, 42, 44, 46], [32, 34, 34, 32], 12, [9, -3, -15, -25], [44, 46, 8, 4]),
  'thumb in fist': hand([70, 76, 80, 82], [96, 98, 98, 96], 50, BENT, [8, 46, 40, 40]),
  'thumb across': hand(2, 2, 0, CLOSED, [2, 44, 50, 40]),
  'thumb to a finger': hand([52, 5, 7, 10], [50, 7, 8, 9], [30, 4, 4, 4], EASY, [18, 44, 18, 18]),
  'one finger up': hand([4, 80, 84, 86], [4, 96, 96, 94], [2, 50, 50, 50], BENT, [20, 38, 38, 52]),
  'one finger back': hand([-52, 5, 7, 10], [4, 7, 8, 9], 2, EASY, [38, 22, -4, -4]),
  'thumb and index': hand([50, 80, 84, 86], [46, 98, 98, 96], [20, 56, 56, 54], BENT, [20, 46, 10, 18]),
  'ring and little': hand([0, 2, 70, 72], [2, 2, 84, 84], [0, 0, 50, 50], BENT, [20, 30, 0, 0]),
};

/** A shape by name; where one finger does it, which one. */
export function shapePose(name: HandShapeName, finger: FingerName): HandPose {
  const pose = SHAPE_POSES[name];
  if (finger === 'index' || !OF_ONE_FINGER.includes(name)) return pose;
  const swapped = { ...pose };
  for (const joint of ['McpDeg', 'PipDeg', 'DipDeg'] as const) {
    swapped[`${finger}${joint}`] = pose[`index${joint}`];
    swapped[`index${joint}`] = pose[`${finger}${joint}`];
  }
  return swapped;
}
const OF_ONE_FINGER: readonly HandShapeName[] = ['thumb to a finger', 'one finger up', 'one finger back', 'thumb and index'];
