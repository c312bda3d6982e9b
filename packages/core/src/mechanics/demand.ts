import { must } from '../vocabulary/lists.js';
import { type Capacity, capacityOf, effortPercent, type Person, rangeWithHelpDeg } from './capacity.js';
import { weightMomentNm } from './external-load.js';
import { GRAVITY, handLoad, type HandLoad, type PostureLoad } from './hand-load.js';
import { BEST_HANDLE_MM, edgeFactor, handleFactor, PINCH_FRICTION, pinchFactor } from './hold-size.js';
import { motionDemand } from './limb-motion.js';
import { stretchMomentNm } from './passive.js';
import { RAD } from './plane.js';
import { PALM_LEVER, segmentsOf } from './segments.js';
import type { Dose } from '../model/dose.js';
import { answerFor, type Hold, type LevelLoad, type LoadKind, type LoadOf, type LoadTable } from '../model/load.js';
import type { SupportPosture } from '../model/posture.js';
import { type Action, oppositeAction } from '../vocabulary/actions.js';
import type { Contact, Facing } from '../vocabulary/contacts.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { isRangeMotion, type RangeMotion, type StretchMotion } from '../vocabulary/motions.js';

/** What one action has to bring, against what it can. */
export interface ActionEffort {
  readonly action: Action;
  /** In the capacity's unit. */
  readonly demand: number;
  readonly capacity: Capacity;
  readonly effortPercent: number;
}

/** The angle a level brings the wrist to, against the range there is. */
export interface AngleDemand {
  readonly motion: RangeMotion;
  readonly deg: number;
  readonly rangeDeg: number;
  readonly rangeSource: Capacity['source'];
}

/** What a level asks of one hand. */
export interface HandDemand {
  /** Body weight or outside weight on the hand. */
  readonly loadN: number;
  readonly loadPercentBW: number;
  /** Hardest first. */
  readonly efforts: readonly ActionEffort[];
  /** The hardest action's effort; 0 when nothing has to be held. */
  readonly effortPercent: number;
  readonly angle: AngleDemand | null;
  /** Moment on stretched tissue, N·m. */
  readonly stretchNm: number;
}

/** What a level asks of a person. */
export interface Demand {
  readonly left: HandDemand;
  readonly right: HandDemand;
  /** The posture as computed, when the body rests on the hands. */
  readonly posture: PostureLoad | null;
}

/** The parts of a level that a demand is computed from. */
export interface Loaded {
  readonly contact: Contact;
  readonly facing: Facing;
  readonly load: LevelLoad;
}

/**
 * What a level asks of each hand of a person, and the effort that it takes. One-sided levels are computed for each hand in its turn.
 * @throws BodyError, PostureError, HoldError naming the field and what would be right.
 */
export function demandOf(person: Person, level: Loaded): Demand {
  if (level.load.kind === 'body') {
    const posture = postureOf(level, level.load.stance);
    return postureDemand(person, posture, handLoad(person.body, posture), true);
  }
  const raw = answerFor(RAW, level.load, person);
  const [left, right] = HANDS.map((hand) => handDemand(person, hand, raw)) as [HandDemand, HandDemand];
  return { left, right, posture: null };
}

/** A level as a dose asks for it: a press is as hard as the dose says, everything else as hard as its load is. */
export function asDosed<L extends Loaded>(level: L, { effortPercent }: Pick<Dose, 'effortPercent'>): L {
  const { load } = level;
  return load.kind === 'press' && effortPercent !== undefined ? { ...level, load: { ...load, effortPercent } } : level;
}

const TURNS: readonly Action[] = ['pronation', 'supination'];

/**
 * A level in the second of its movement's directions: a press that turns the forearm is named for its first direction and turns the other
 * way in the second.
 */
export function inSecondDirection<L extends Loaded>(level: L): L {
  const { load } = level;
  const turned = load.kind === 'press' && TURNS.includes(load.action) ? oppositeAction(load.action) : undefined;
  return turned && load.kind === 'press' ? { ...level, load: { ...load, action: turned } } : level;
}

/** The posture of a level on the hands. */
export const postureOf = ({ contact, facing }: Loaded, stance: SupportPosture | object): SupportPosture =>
  ({ ...stance, contact, facing }) as SupportPosture;

/** The action that holds a planted wrist. */
const HOLDS: Partial<Record<PostureLoad['heldBy'], Action>> = {
  'wrist flexors': 'wrist flexion',
  'wrist extensors': 'wrist extension',
  'radial deviators': 'radial deviation',
  'ulnar deviators': 'ulnar deviation',
};

/**
 * A computed posture as a demand. With `inTurn` each hand takes the left hand's share in its turn, as in a ladder, where the left
 * hand stands for the working one; without it each shows its own.
 */
export function postureDemand(person: Person, posture: SupportPosture, load: PostureLoad, inTurn = false): Demand {
  const of = (hand: Hand): HandDemand => {
    const mine: HandLoad = inTurn ? load.left : load[hand];
    const action = HOLDS[load.heldBy];
    const actions: Partial<Record<Action, number>> = {};
    if (action && mine.loadN > 0) actions[action] = mine.wristMomentNm;
    if (mine.fingerMomentNm > 0) actions['MCP flexion'] = mine.fingerMomentNm;
    const bends = posture.contact !== 'none' && mine.loadN > 0 && Math.abs(load.wristExtensionDeg) >= 1;
    return handDemand(person, hand, {
      loadN: mine.loadN,
      actions,
      ...(bends && {
        angle: {
          motion: load.wristExtensionDeg > 0 ? 'wrist extension' : 'wrist flexion',
          deg: Math.abs(load.wristExtensionDeg),
        },
      }),
    });
  };
  return { left: of('left'), right: of('right'), posture: load };
}

interface RawDemand {
  readonly loadN?: number;
  readonly actions?: Partial<Record<Action, number>>;
  /** Shares of the person's own maximum, where the effort itself is what is asked. */
  readonly shares?: Partial<Record<Action, number>>;
  /** What is left of the grip on the hold. */
  readonly gripFactor?: number;
  readonly angle?:
    { readonly motion: RangeMotion; readonly deg: number } | { readonly motion: RangeMotion; readonly reach: number };
  readonly stretchNm?: number;
}

function handDemand(person: Person, hand: Hand, raw: RawDemand): HandDemand {
  const efforts: ActionEffort[] = [];
  for (const [action, demand] of Object.entries(raw.actions ?? {}) as [Action, number][]) {
    const own = capacityOf(person, action, hand);
    const factor = action === 'grip' ? (raw.gripFactor ?? 1) : 1;
    const capacity = factor === 1 ? own : { ...own, value: own.value * factor };
    efforts.push({ action, demand, capacity, effortPercent: effortPercent(demand, capacity) });
  }
  for (const [action, share] of Object.entries(raw.shares ?? {}) as [Action, number][]) {
    const capacity = capacityOf(person, action, hand);
    efforts.push({ action, demand: (capacity.value * share) / 100, capacity, effortPercent: share });
  }
  efforts.sort((a, b) => b.effortPercent - a.effortPercent);
  const loadN = raw.loadN ?? 0;
  return {
    loadN,
    loadPercentBW: (100 * loadN) / (person.body.massKg * GRAVITY),
    efforts,
    effortPercent: efforts[0]?.effortPercent ?? 0,
    angle: raw.angle ? angleDemand(person, hand, raw.angle) : null,
    stretchNm: raw.stretchNm ?? 0,
  };
}

function angleDemand(person: Person, hand: Hand, angle: NonNullable<RawDemand['angle']>): AngleDemand {
  const { deg: rangeDeg, source } = rangeWithHelpDeg(person, angle.motion, hand);
  const deg = 'deg' in angle ? angle.deg : (rangeDeg * angle.reach) / 100;
  return { motion: angle.motion, deg, rangeDeg, rangeSource: source };
}

/** As `checkLoad` sees to. */
const SIZE = 'the size of a hold';

/** What is left of the whole-hand grip on a hold. */
export function holdFactor({ on, handleMm, edgeMm, edgeGrip, pinchMm }: Hold): number {
  if (on === 'edge') return edgeFactor(must(edgeMm, SIZE), must(edgeGrip, SIZE));
  if (on === 'pinch') return pinchFactor(must(pinchMm, SIZE));
  return handleFactor(must(handleMm, SIZE));
}

/** Fingers need this much force to hold a load: on a pinch, friction of both faces carries it. */
export const gripForceN = (hold: Hold, loadN: number) => (hold.on === 'pinch' ? loadN / (2 * PINCH_FRICTION) : loadN);

/** What each kind of load asks of a hand. */
const RAW: LoadTable<Exclude<LoadKind, 'body'>, RawDemand, [Person]> = {
  hang: hanging,
  lift: (load) => {
    const loadN = load.massKg * GRAVITY;
    return { loadN, actions: { grip: gripForceN(load, loadN) }, gripFactor: holdFactor(load) };
  },
  weight: turningWeight,
  roller: rolling,
  press: ({ action, effortPercent }) => ({ shares: { [action]: effortPercent } }),
  resist: ({ action, forceN }) => ({ actions: { [action]: forceN } }),
  move: (load, { body }) => ({
    actions: Object.fromEntries(load.actions.map((action) => [action, motionDemand(body, action, held(action, load))])),
  }),
  stretch: ({ motion, reachPercent, fingers, pushPercent }) => ({
    stretchNm: stretchMomentNm(motion, reachPercent, fingers),
    ...(pushPercent > 0 && { shares: { [pushingBack(motion)]: pushPercent } }),
    ...(isRangeMotion(motion) && { angle: { motion, reach: reachPercent } }),
  }),
  rest: () => ({}),
};

/** How far from the wrist the palm carries, metres. */
const palmLeverM = ({ body }: Person) => segmentsOf(body).hand.lengthM * PALM_LEVER;

function hanging(load: LoadOf<'hang'>, person: Person): RawDemand {
  const { wristBendDeg } = load;
  const all = (person.body.massKg * (1 - load.feetPercentBW / 100) + load.addedKg) * GRAVITY;
  const loadN = all / load.hands;
  const bendNm = loadN * palmLeverM(person) * Math.sin(wristBendDeg * RAD);
  return {
    loadN,
    actions: { grip: gripForceN(load, loadN), ...(bendNm > 0 && { 'wrist flexion': bendNm }) },
    gripFactor: holdFactor(load),
    ...(wristBendDeg > 0 && { angle: { motion: 'wrist flexion', deg: wristBendDeg } }),
  };
}

function turningWeight(load: LoadOf<'weight'>, person: Person): RawDemand {
  const { forearm, upperArm } = segmentsOf(person.body);
  const beyondPalm: Partial<Record<Action, number>> = {
    'elbow flexion': forearm.lengthM,
    'shoulder flexion': forearm.lengthM + upperArm.lengthM,
  };
  const leverM = load.leverM ?? palmLeverM(person) + (beyondPalm[load.action] ?? 0);
  const loadN = load.massKg * GRAVITY;
  return {
    loadN,
    actions: { [load.action]: weightMomentNm(load.massKg, leverM, load.angleDeg), grip: loadN },
    gripFactor: handleFactor(load.handleMm ?? BEST_HANDLE_MM),
  };
}

function rolling(load: LoadOf<'roller'>, { body }: Person): RawDemand {
  const { hand, forearm, upperArm } = segmentsOf(body);
  const loadN = load.massKg * GRAVITY;
  const armM = hand.lengthM + forearm.lengthM + upperArm.lengthM;
  return {
    loadN: loadN / 2,
    // While one hand turns the drum the other lets go of its moment.
    actions: {
      [load.action]: (loadN * load.drumMm) / 2000,
      ...(load.arms === 'in front' && { 'shoulder flexion': (loadN / 2) * armM }),
    },
  };
}

/** While the wrist or the fingers move, the arm that carries them is held still. */
function held(action: Action, load: LoadOf<'move'>) {
  const carries = (other: Action) => other === 'shoulder flexion' || other === 'elbow flexion';
  return carries(action) && !load.actions.every(carries) ? { ...load, perMinute: 0 } : load;
}

/** The action that pushes back against a stretch: the opposite of a wrist's or forearm's motion, else what closes or opens the fingers. */
function pushingBack(motion: StretchMotion): Action {
  if (isRangeMotion(motion)) return must(oppositeAction(motion), `an opposite of ${motion}`);
  return motion === 'finger flexion' ? 'finger extension' : 'grip';
}
