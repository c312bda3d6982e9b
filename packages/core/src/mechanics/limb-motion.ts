import { must } from '../vocabulary/lists.js';
import { stretchMomentNm } from './passive.js';
import { RAD } from './plane.js';
import { PALM_LEVER, segmentsOf } from './segments.js';
import type { Body } from '../model/body.js';
import type { Action } from '../vocabulary/actions.js';
import { type Constant, working } from '../vocabulary/constant.js';
import { isRangeMotion } from '../vocabulary/motions.js';
import { GRAVITY } from '../vocabulary/gravity.js';

/** A free motion: how far of the active range, how often, and what the hand holds meanwhile. */
export interface FreeMotion {
  readonly reachPercent: number;
  readonly perMinute: number;
  readonly heldKg: number;
}

const arc = (of: string, deg: number) => working(`Half arc of ${of}`, deg, '°', 'near the norm of active range', [deg * 0.8, deg * 1.2]);
const [BEND_ARC, SIDE_ARC, TURN_ARC] = [arc('wrist bends', 75), arc('side bends', 28), arc('forearm turns', 78)];
/** Half of the arc that the joint swings through at full reach. */
const HALF_ARC: Partial<Record<Action, Constant>> = {
  'wrist flexion': BEND_ARC,
  'wrist extension': BEND_ARC,
  'radial deviation': SIDE_ARC,
  'ulnar deviation': SIDE_ARC,
  pronation: TURN_ARC,
  supination: TURN_ARC,
  'elbow flexion': arc('elbow bends', 70),
  'elbow extension': arc('elbow straightenings', 70),
  'shoulder flexion': arc('arm lifts', 85),
};
const FINGERS_KG = working('Mass of the fingers', 0.12, 'kg', 'a quarter of the hand', [0.09, 0.16]);
const FINGER_WAY_M = working('Way of the fingers’ middle', 0.04, 'm', 'half the way of the tips from open to closed', [0.03, 0.06]);
const FINGER_END_N = working('Tissue at the end of opening', 4, 'N', 'what holds the fully opened fingers back', [2, 6]);
const TURN_LEVER_M = working(
  'Held weight off the forearm’s axis',
  0.05,
  'm',
  'what is held in the fist lies half a palm from the axis that the forearm turns about',
  [0.03, 0.07],
);
const ACTIVE_OF_PASSIVE = working(
  'Active over passive range',
  0.83,
  'of the range with help',
  'the norm of active range over it and what help adds: a free motion does not come to the very end',
  [0.75, 0.9],
);

const fastest = (of: string, perMinute: number, reason: string) =>
  working(`Fastest ${of}`, perMinute, 'full ways and back a minute', reason, [perMinute * 0.8, perMinute * 1.25]);
const FAST_FINGERS = fastest('opening and closing', 160, 'healthy young adults open and close fully some 25 times in ten seconds');
const FAST_BEND = fastest('bending of the wrist', 150, 'a heavier part than the fingers');
const FAST_TURN = fastest('turning of the forearm', 150, 'as the wrist');
const FAST_ARM = fastest('swing of the arm', 80, 'the whole arm’s mass at its full length');
/** The pace at which an unloaded way there and back takes everything: muscles spend it on their own speed and on the antagonist that brakes. */
const FASTEST: Record<Action, Constant> = {
  grip: FAST_FINGERS,
  pinch: FAST_FINGERS,
  'finger extension': FAST_FINGERS,
  'MCP flexion': FAST_FINGERS,
  'wrist flexion': FAST_BEND,
  'wrist extension': FAST_BEND,
  'radial deviation': FAST_BEND,
  'ulnar deviation': FAST_BEND,
  pronation: FAST_TURN,
  supination: FAST_TURN,
  'elbow flexion': fastest('bending of the elbow', 100, 'forearm and hand'),
  'elbow extension': fastest('straightening of the elbow', 100, 'forearm and hand'),
  'shoulder flexion': FAST_ARM,
};

/** What speed alone takes of a muscle's maximum, percent. @example speedPercent('grip', { reachPercent: 100, perMinute: 80, heldKg: 0 }) → 50 */
export const speedPercent = (action: Action, { reachPercent, perMinute }: FreeMotion) => (reachPercent * perMinute) / FASTEST[action].value;

const FINGER_ACTIONS: readonly Action[] = ['grip', 'pinch', 'finger extension', 'MCP flexion'];

/**
 * What moving the limb itself takes: its weight held level (the worst place of the path), its inertia at the turning points of a sine,
 * and at the end of the range the tissue that resists. N·m, or N at the fingers. What speed takes beside is `speedPercent`.
 */
export function motionDemand(body: Body, action: Action, motion: FreeMotion): number {
  const reach = motion.reachPercent / 100;
  const omega = (2 * Math.PI * motion.perMinute) / 60;
  if (FINGER_ACTIONS.includes(action)) {
    const inertia = (FINGERS_KG.value + motion.heldKg) * omega * omega * FINGER_WAY_M.value * reach;
    const force = inertia + FINGER_END_N.value * endOf(reach);
    return action === 'MCP flexion' ? force * segmentsOf(body).fingerM : force;
  }
  const halfArc = must(HALF_ARC[action], `an arc of ${action}`).value * RAD;
  const { massKg, leverM } = movedBy(body, action, motion.heldKg);
  // A straight limb lifted by a share of its range is held out by the sine of that angle; the hand moves about the level.
  const held = action === 'shoulder flexion' ? Math.sin(Math.min(1, reach) * halfArc) : 1;
  const weight = massKg * GRAVITY * leverM * held;
  const inertia = massKg * leverM * leverM * omega * omega * halfArc * reach;
  const tissue = isRangeMotion(action) ? stretchMomentNm(body, action, motion.reachPercent * ACTIVE_OF_PASSIVE.value, 'relaxed') : 0;
  return weight + inertia + tissue;
}

const endOf = (reach: number) => Math.expm1(4 * reach) / Math.expm1(4);

/** What a limb held level weighs about the joint that holds it, N·m. */
export function limbMomentNm(body: Body, action: Action): number {
  const { massKg, leverM } = movedBy(body, action, 0);
  return massKg * GRAVITY * leverM;
}

/** The mass beyond a joint with what is held, and its lever. */
function movedBy(body: Body, action: Action, heldKg: number): { massKg: number; leverM: number } {
  const { hand, forearm, upperArm } = segmentsOf(body);
  const palm = hand.lengthM * PALM_LEVER.value;
  if (action === 'pronation' || action === 'supination') return { massKg: hand.massKg + heldKg, leverM: TURN_LEVER_M.value };
  const parts: [number, number][] = [
    [hand.massKg, hand.lengthM * hand.comFraction],
    [heldKg, palm],
  ];
  const further = (lengthM: number, own: [number, number]) => {
    for (const part of parts) part[1] += lengthM;
    parts.push(own);
  };
  if (!isRangeMotion(action)) further(forearm.lengthM, [forearm.massKg, forearm.lengthM * forearm.comFraction]);
  if (action === 'shoulder flexion') further(upperArm.lengthM, [upperArm.massKg, upperArm.lengthM * upperArm.comFraction]);
  const massKg = parts.reduce((sum, [mass]) => sum + mass, 0);
  return { massKg, leverM: parts.reduce((sum, [mass, lever]) => sum + mass * lever, 0) / massKg };
}
