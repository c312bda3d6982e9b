import { must } from '../vocabulary/lists.js';
import { GRAVITY } from './hand-load.js';
import { stretchMomentNm } from './passive.js';
import { RAD } from './plane.js';
import { PALM_LEVER, segmentsOf } from './segments.js';
import type { Body } from '../model/body.js';
import type { Action } from '../vocabulary/actions.js';

/** A free motion: how far of the active range, how often, and what the hand holds meanwhile. */
export interface FreeMotion {
  readonly reachPercent: number;
  readonly perMinute: number;
  readonly heldKg: number;
}

/** Half of the arc that the joint swings through at full reach, in radians: working values near the norms of active range. */
const HALF_ARC: Partial<Record<Action, number>> = {
  'wrist flexion': 75 * RAD,
  'wrist extension': 75 * RAD,
  'radial deviation': 28 * RAD,
  'ulnar deviation': 28 * RAD,
  pronation: 78 * RAD,
  supination: 78 * RAD,
  'elbow flexion': 70 * RAD,
  'shoulder flexion': 85 * RAD,
};
/** Fingers: mass of all of a hand's, way of their tips at full reach, and what their tissue answers at the end. Working values. */
const FINGERS_KG = 0.12;
const FINGER_WAY_M = 0.04;
const FINGER_END_N = 4;
/** What is held sits this far from the forearm's long axis when it turns. Working value. */
const TURN_LEVER_M = 0.05;

/**
 * What moving the limb itself takes: its weight held level (the worst place of the path), its inertia at the turning points of a sine,
 * and at the end of the range the tissue that resists. N·m, or N at the fingers.
 */
export function motionDemand(body: Body, action: Action, motion: FreeMotion): number {
  const reach = motion.reachPercent / 100;
  const omega = (2 * Math.PI * motion.perMinute) / 60;
  if (action === 'grip' || action === 'finger extension' || action === 'MCP flexion') {
    const force = (FINGERS_KG + motion.heldKg) * omega * omega * FINGER_WAY_M * reach + FINGER_END_N * endOf(reach);
    return action === 'MCP flexion' ? force * segmentsOf(body).fingerM : force;
  }
  const halfArc = must(HALF_ARC[action], `an arc of ${action}`);
  const { massKg, leverM } = movedBy(body, action, motion.heldKg);
  // A straight limb lifted by a share of its range is held out by the sine of that angle; the hand moves about the level.
  const held = action === 'shoulder flexion' ? Math.sin(Math.min(1, reach) * halfArc) : 1;
  const weight = massKg * GRAVITY * leverM * held;
  const inertia = massKg * leverM * leverM * omega * omega * halfArc * reach;
  const tissue = isWrist(action) ? stretchMomentNm(action, motion.reachPercent * ACTIVE_OF_PASSIVE, 'relaxed') : 0;
  return weight + inertia + tissue;
}

/** The active range over the range with help, by the norm: a free motion does not come to the very end. */
const ACTIVE_OF_PASSIVE = 0.83;
const endOf = (reach: number) => Math.expm1(4 * reach) / Math.expm1(4);
type WristAction = Exclude<Action, 'grip' | 'finger extension' | 'MCP flexion' | 'shoulder flexion' | 'elbow flexion'>;
const isWrist = (action: Action): action is WristAction => action !== 'shoulder flexion' && action !== 'elbow flexion';

/** The mass beyond a joint with what is held, and its lever. */
function movedBy(body: Body, action: Action, heldKg: number): { massKg: number; leverM: number } {
  const { hand, forearm, upperArm } = segmentsOf(body);
  const palm = hand.lengthM * PALM_LEVER;
  if (action === 'pronation' || action === 'supination') return { massKg: hand.massKg + heldKg, leverM: TURN_LEVER_M };
  const parts: [number, number][] = [
    [hand.massKg, hand.lengthM * hand.comFraction],
    [heldKg, palm],
  ];
  const further = (lengthM: number, own: [number, number]) => {
    for (const part of parts) part[1] += lengthM;
    parts.push(own);
  };
  if (!isWrist(action)) further(forearm.lengthM, [forearm.massKg, forearm.lengthM * forearm.comFraction]);
  if (action === 'shoulder flexion')
    further(upperArm.lengthM, [upperArm.massKg, upperArm.lengthM * upperArm.comFraction]);
  const massKg = parts.reduce((sum, [mass]) => sum + mass, 0);
  return { massKg, leverM: parts.reduce((sum, [mass, lever]) => sum + mass * lever, 0) / massKg };
}
