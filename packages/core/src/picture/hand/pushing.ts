import { handSaid } from '../../model/level-shapes.js';
import type { Level, Movement } from '../../model/movement.js';
import type { Action } from '../../vocabulary/actions.js';
import { type HandJoint } from '../../vocabulary/hand-joints.js';
import type { HandSetting } from '../../vocabulary/hand-settings.js';
import type { Hand } from '../../vocabulary/hands.js';
import { partsIn, type PlacedHand } from './flesh.js';
import type { Beat } from './course.js';
import type { HandMoment3d } from './moment.js';
import { settingOf } from './setting-of.js';
import { ownMm, type Part, type Skeleton } from './skeleton.js';
import { add, cross, placed, sub, times, turned, unitOf, type Vec3, Y } from './space.js';

/** Where on the hand a press begins (millimetres of the measured hand), and the joint that would move if nothing were in the way. */
export interface Push {
  readonly part: Part;
  readonly atMm: Vec3;
  readonly joint: HandJoint;
  readonly sign: 1 | -1;
  /** Whether something solid is in the way, which would hide an arrow in front of the hand: it points to the hand from behind. */
  readonly isOnto?: boolean;
  /** How far off the skin the arrow begins, where something is around it; metres. */
  readonly besideM?: number;
}

const PUSHES: Partial<Record<Action, Push>> = {
  'wrist extension': { part: 'hand', atMm: [2, 78, 12], joint: 'wristExtensionDeg', sign: 1 },
  'wrist flexion': { part: 'hand', atMm: [2, 78, -18], joint: 'wristExtensionDeg', sign: -1 },
  'radial deviation': { part: 'hand', atMm: [-32, 74, -6], joint: 'wristRadialDeg', sign: 1 },
  'ulnar deviation': { part: 'hand', atMm: [40, 66, -12], joint: 'wristRadialDeg', sign: -1 },
  supination: { part: 'hand', atMm: [-32, 74, -4], joint: 'supinationDeg', sign: 1 },
  pronation: { part: 'hand', atMm: [-32, 74, -4], joint: 'supinationDeg', sign: -1 },
  'finger extension': { part: 'middle2', atMm: [0, 8, 6], joint: 'middleMcpDeg', sign: -1 },
};

/** Where and which way a level presses against what does not give; null where it moves, or closes the hand. */
export function pushIn(movement: Movement, level: Level): Push | null {
  const { load, contact } = level;
  if (load.kind === 'press') {
    const push = movement.motions[0] === 'finger spreading' ? SPREADING : PUSHES[load.action];
    return push ? { ...push, isOnto: SOLID.includes(settingOf(movement, level)) } : null;
  }
  // Hands that press into the floor they stand on.
  if (load.kind !== 'body' || !handSaid(movement, level).presses) return null;
  const push = contact === 'back of hand' ? PUSHES['wrist extension'] : PADS_DOWN;
  return push ? { ...push, isOnto: true } : null;
}
/** Fingers that spread against a hand around them: seen beside that hand. */
const SPREADING: Push = { part: 'index2', atMm: [-8, 10, 0], joint: 'indexSpreadDeg', sign: 1, besideM: 0.03 };
/** Settings in which a hand presses against a table, a floor or a wall. */
const SOLID: readonly HandSetting[] = ['on a table', 'on a wall'];
const PADS_DOWN: Push = { part: 'index3', atMm: [0, 10, -6], joint: 'indexMcpDeg', sign: 1 };

/** An arrow of a press: how far off the skin it begins and how long it is, metres. */
const ARROW = { offM: 0.008, longM: 0.042 };
/** How thick a hand is where it presses: an arrow onto it ends before its other side, metres. */
const THICK_M = 0.034;
/** How far a joint is tried to find out where it would go, degrees. */
const TRY_DEG = 6;

/** What of a picture its press is drawn from. */
interface Pushing {
  readonly skeleton: Skeleton;
  readonly push: Push | null;
  readonly still: Beat;
  readonly at: (beat: Beat, side: Hand) => HandMoment3d;
}

/** The arrow of a press that does not move, from its beginning to its point; null where there is none. */
export function pushArrow({ push, skeleton, still, at }: Pushing, side: Hand): readonly [Vec3, Vec3] | null {
  const [hand] = at(still, side).hands;
  if (!push || !hand) return null;
  const from = pointOf(skeleton, hand, push);
  const way = push.joint === 'supinationDeg' ? aroundForearm(hand, from, push.sign) : joinedWay(skeleton, hand, push, from);
  const begin = add(from, times(way, push.isOnto ? -(THICK_M + ARROW.offM + ARROW.longM) : (push.besideM ?? ARROW.offM)));
  return [begin, add(begin, times(way, ARROW.longM))];
}

const pointOf = (skeleton: Skeleton, hand: PlacedHand, { part, atMm }: Push): Vec3 =>
  placed(partsIn(skeleton, hand)[part], ownMm(skeleton, atMm, hand.side));

/** Where a point goes when its joint moves. */
function joinedWay(skeleton: Skeleton, hand: PlacedHand, push: Push, from: Vec3): Vec3 {
  const { joint, sign } = push;
  const pose = { ...hand.pose, [joint]: hand.pose[joint] + sign * TRY_DEG };
  return unitOf(sub(pointOf(skeleton, { ...hand, pose }, push), from));
}

/** Where a point goes when the forearm turns: supination brings a right thumb outward. */
function aroundForearm({ forearm, side }: PlacedHand, from: Vec3, sign: 1 | -1): Vec3 {
  const axis = times(turned(forearm.turn, Y), side === 'left' ? -sign : sign);
  return unitOf(cross(axis, sub(from, forearm.at)));
}
