import type { Ask, RawDemand } from './action-demand.js';
import { type Person, rangeWithHelpDeg } from './capacity.js';
import type { HandLoad, PostureLoad } from './hand-load.js';
import { stretchMomentNm } from './passive.js';
import type { Action } from '../vocabulary/actions.js';
import { type Constant, working } from '../vocabulary/constant.js';
import type { Contact } from '../vocabulary/contacts.js';
import type { Hand } from '../vocabulary/hands.js';
import type { RangeMotion } from '../vocabulary/motions.js';

/** The action that holds a planted wrist. */
const HOLDS: Partial<Record<PostureLoad['heldBy'], Action>> = {
  'wrist flexors': 'wrist flexion',
  'wrist extensors': 'wrist extension',
  'radial deviators': 'radial deviation',
  'ulnar deviators': 'ulnar deviation',
};

/** A palm that presses through its fingers. */
export const PRESSING_PALM = working(
  'Palm that presses through its fingers',
  1.6,
  'of open-handed wrist flexion',
  'published closed-hand moments of men run 15–25 N·m against 12.2 with the hand open: the long finger flexors help',
  [1.25, 2],
);
const steadies = (on: string, lever: number, reason: string) =>
  working(`Steadying ${on}`, lever, 'm of the load', reason, [lever * 0.5, lever * 2]);
/** Muscles on both sides hold the load within this lever of the joint: never free, though no moment is left over. */
const STEADY_WRIST: Partial<Record<Contact, Constant>> = {
  'open palm': steadies('a flat palm', 0.003, 'a flat palm stands by itself; fingers and forearm correct it'),
  'back of hand': steadies('the back of a hand', 0.004, 'as a flat palm, on less of the hand'),
  fist: steadies('a fist', 0.008, 'the wrist stands over a knuckle line a finger wide, and sways by most of a centimetre'),
  handle: steadies('a handle', 0.005, 'a handle is gripped, which steadies it'),
  edge: steadies('an edge', 0.005, 'as a handle'),
  fingertips: steadies('a tent', 0.004, 'five points stand wide, but high'),
  ball: steadies('a ball', 0.006, 'a ball rolls'),
};
const STEADY_ELBOW = steadies('an elbow', 0.012, 'a straight arm that is not locked sways by a centimetre');
/** The girdle over a hand that bears or hangs. */
export const STEADY_SHOULDER = steadies('a shoulder', 0.03, 'the girdle carries the trunk between the arms');
const DRAWING_DOWN = working(
  'Drawing the arm down',
  1.5,
  'of lifting it',
  'back and chest draw an arm down with half as much again as lifts it',
  [1.2, 1.9],
);
/** Lifting one finger off a planted hand. */
export const LIFTED_FINGER = working(
  'One finger lifted off a planted hand',
  35,
  '% of its most',
  'a planted palm has stretched the flexors that the finger lifts against',
  [20, 50],
);

/** What a planted hand holds: the wrist less what stretched tissue carries, the fingers, and the arm above. */
export function planted(person: Person, contact: Contact, load: PostureLoad, hand: Hand, mine: HandLoad): RawDemand {
  const actions: Partial<Record<Action, Ask>> = {};
  const take = (action: Action, demand: number, factor = 1) => {
    const before = actions[action];
    if (demand > 0 && demand / factor > (before?.demand ?? 0) / (before?.factor ?? 1)) actions[action] = { demand, factor };
  };
  const motion: RangeMotion = load.wristExtensionDeg > 0 ? 'wrist extension' : 'wrist flexion';
  const bends = contact !== 'none' && mine.loadN > 0 && Math.abs(load.wristExtensionDeg) >= 1;
  const deg = Math.abs(load.wristExtensionDeg);
  const stretchNm = bends ? Math.min(mine.wristMomentNm, tissueNm(person, hand, motion, deg, contact)) : 0;
  const held = HOLDS[load.heldBy];
  if (held) take(held, mine.wristMomentNm - stretchNm, held === 'wrist flexion' ? PRESSING_PALM.value : 1);
  if (mine.fingerMomentNm > 0) take('MCP flexion', mine.fingerMomentNm);
  const steady = (STEADY_WRIST[contact]?.value ?? 0) * mine.loadN;
  take('wrist flexion', steady, contact === 'fist' ? 1 : PRESSING_PALM.value);
  take('wrist extension', steady);
  const { armN, elbowMomentNm, shoulderMomentNm } = mine;
  if (contact !== 'none') {
    take(elbowMomentNm < 0 ? 'elbow flexion' : 'elbow extension', Math.abs(elbowMomentNm));
    take('elbow extension', STEADY_ELBOW.value * armN);
  }
  take('shoulder flexion', Math.abs(shoulderMomentNm), shoulderMomentNm > 0 ? DRAWING_DOWN.value : 1);
  take('shoulder flexion', STEADY_SHOULDER.value * armN);
  return { loadN: mine.loadN, actions, stretchNm, ...(bends && { angle: { motion, deg } }) };
}

/** What stretched tissue carries at an angle, by how far into this hand's own range it is. */
function tissueNm(person: Person, hand: Hand, motion: RangeMotion, deg: number, contact: Contact): number {
  // Past the end of the range bone and ligament carry, which is no help that anybody should count on.
  const reach = (100 * deg) / rangeWithHelpDeg(person, motion, hand).deg;
  const fingers = contact === 'back of hand' ? 'relaxed' : 'straight';
  const atTheEnd = stretchMomentNm(person.body, motion, 100, 'relaxed');
  return Math.min(atTheEnd, stretchMomentNm(person.body, motion, reach, fingers));
}
