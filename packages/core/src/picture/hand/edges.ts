import type { EDGE_GRIPS } from '../../vocabulary/contacts.js';
import { FINGER_NAMES, type HandPose } from '../../vocabulary/hand-joints.js';
import { outShare } from './course.js';
import { barsOf, barTo, partsIn } from './flesh.js';
import { freeHand } from './free-hand.js';
import { fingersOf, type Held, inHand } from './in-hand.js';
import { rod, slab } from './holding.js';
import type { Maker, Making } from './making.js';
import { SHAPE_POSES } from './shapes.js';
import type { Part, Skeleton } from './skeleton.js';
import { crossing } from './solving.js';
import { HERE, turnAbout, UNTURNED, type Vec3, X } from './space.js';
import type { Thing } from './things.js';

/** Fingers on an edge with what hangs from it. */
export function onEdge(skeleton: Skeleton, deepM: number, shape: EdgeShape, massKg: number): Held {
  const { pose, edge } = edgeGrip(skeleton, deepM, shape);
  const [x, y, z] = edge.placement.at;
  const boardAt: Vec3 = [x, y, z - deepM / 2 - EDGE.boardM / 2];
  const board = slab({ at: boardAt, turn: UNTURNED }, [EDGE.wideM, EDGE.tallM, EDGE.boardM], 'wood');
  const rope = rod({ at: [x, y + 0.08, boardAt[2]], turn: UNTURNED }, 0.003, 0.1, 'cloth');
  const size = 0.04 + 0.012 * Math.cbrt(massKg);
  const weight = rod({ at: [x, y + 0.15, boardAt[2]], turn: turnAbout(X, 90) }, size, 0.03, 'metal');
  return { grip: pose, things: [edge, board, rope, weight] };
}
/** From `deepM` on the middle bones lie on an edge as well. */
const EDGE = { deepM: 0.032, wideM: 0.13, highM: 0.022, tallM: 0.07, boardM: 0.018 };
/** Degrees of knuckle, middle and end joint. */
export type EdgeShape = readonly [mcpDeg: number, pipDeg: number, dipDeg: number];
/** Knuckle, middle and end joint of fingers on an edge: the middle finger’s; the others come to the same line. */
export const ON_EDGE = { 'open hand': [16, 52, 36], 'half crimp': [64, 88, 8] } as const satisfies Record<
  (typeof EDGE_GRIPS)[number],
  EdgeShape
>;
/** Fingers that have let an edge roll out to their pads, and that have curled it in. */
const CURL: readonly [EdgeShape, EdgeShape] = [
  [12, 46, 34],
  [40, 80, 26],
];

/** Four fingers whose pads stand on one edge, seen from the hand: the edge looks to the fingertips, its board lies before them. */
export function edgeGrip(skeleton: Skeleton, deepM: number, [mcp, pip, dip]: EdgeShape): { readonly pose: HandPose; readonly edge: Thing } {
  let pose: HandPose = { ...SHAPE_POSES['on an edge'] };
  for (const finger of FINGER_NAMES) pose = { ...pose, [`${finger}McpDeg`]: mcp, [`${finger}PipDeg`]: pip, [`${finger}DipDeg`]: dip };
  const lowest = (tried: HandPose, bone: Part) => {
    const parts = partsIn(skeleton, { side: 'right', forearm: HERE, pose: tried });
    return Math.min(...barsOf(skeleton, 'right', parts, (part) => part === bone).map((bar) => barTo(bar, ([, y]) => y)));
  };
  // The little finger is the shortest: the others come to its line.
  const line = lowest({ ...pose, littleMcpDeg: mcp - 12, littlePipDeg: pip - 14 }, 'little3');
  pose = { ...pose, littleMcpDeg: mcp - 12, littlePipDeg: pip - 14 };
  for (const finger of ['index', 'middle', 'ring'] as const) {
    const joint = `${finger}PipDeg` as const;
    const off = (deg: number) => lowest({ ...pose, [joint]: deg }, `${finger}3`) - line;
    pose = { ...pose, [joint]: crossing(off, pip - 30, pip + 26) };
  }
  const parts = partsIn(skeleton, { side: 'right', forearm: HERE, pose });
  const tips = barsOf(skeleton, 'right', parts, (part) => FINGER_NAMES.some((finger) => part === `${finger}3`));
  const tip = Math.min(...tips.map((bar) => barTo(bar, ([, , z]) => z)));
  const edge = slab({ at: [0.006, line - EDGE.highM / 2 + (deepM > EDGE.deepM ? -0.0025 : 0.001), tip + deepM / 2], turn: UNTURNED }, [
    EDGE.wideM,
    EDGE.highM,
    deepM,
  ]);
  return { pose, edge };
}

/** Fingers that curl an edge in and let it roll out to their pads again. */
export function edgeCurl({ skeleton, course, level: { load } }: Making): Maker {
  if (load.kind !== 'lift') throw new TypeError('an edge is curled that is lifted');
  const { edgeMm = USUAL_EDGE_MM, massKg } = load;
  return (beat) => {
    const share = outShare(beat);
    const [from, to] = CURL;
    const mixed = (joint: 0 | 1 | 2) => from[joint] + (to[joint] - from[joint]) * share;
    const held = onEdge(skeleton, edgeMm / 1000, [mixed(0), mixed(1), mixed(2)], massKg);
    const hand = freeHand(fingersOf(held.grip, course.poseAt(beat)), 'down');
    return { hands: [hand], things: inHand(skeleton, hand, held.things) };
  };
}
/** An edge of which nobody says how deep it is, millimetres. */
export const USUAL_EDGE_MM = 30;
