import { type ActionEffort, effortOf, type RawDemand, type Ask } from './action-demand.js';
import { type Person, rangeWithHelpDeg } from './capacity.js';
import { handLoad, type PostureLoad } from './hand-load.js';
import { RAW } from './outside-loads.js';
import { LIFTED_FINGER, planted } from './planted.js';
import { answerFor, type LevelLoad } from '../model/load.js';
import type { SupportPosture } from '../model/posture.js';
import type { Action } from '../vocabulary/actions.js';
import type { Contact, Facing } from '../vocabulary/contacts.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import type { RangeMotion } from '../vocabulary/motions.js';
import { GRAVITY } from '../vocabulary/gravity.js';

/** The angle a level brings the wrist to, against the range there is. */
export interface AngleDemand {
  readonly motion: RangeMotion;
  readonly deg: number;
  readonly rangeDeg: number;
  readonly rangeSource: 'measured' | 'estimated';
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
  /** Moment on stretched tissue, N·m: what helps a planted hand, and what a stretch is for. */
  readonly stretchNm: number;
}

/** What a level asks of a person. */
export interface Demand {
  readonly left: HandDemand;
  readonly right: HandDemand;
  /** The posture as computed, when the body rests on the hands. */
  readonly posture: PostureLoad | null;
  /** What the other hand bears while one of them works, where it is planted too: by the hand that bears it. */
  readonly beside: { readonly left: HandDemand; readonly right: HandDemand } | null;
}

/** The parts of a level that a demand is computed from. */
export interface Loaded {
  readonly contact: Contact;
  readonly facing: Facing;
  readonly load: LevelLoad;
  /** An effort that the hand keeps up while something else moves or carries weight: a fist at 40 % through a whole circle. */
  readonly kept?: { readonly action: Action; readonly percent: number } | undefined;
}

/**
 * What a level asks of each hand of a person, and the effort that it takes. One-sided levels are computed for each hand in its turn, with what
 * the other, planted beside it, bears meanwhile.
 * @throws BodyError, PostureError, HoldError naming the field and what would be right.
 */
export function demandOf(person: Person, level: Loaded): Demand {
  const { kept } = level;
  const demand = plainDemandOf(person, level);
  if (!kept) return demand;
  return withEffort(person, demand, kept.action, { sharePercent: kept.percent, moving: 1, still: 1 });
}

function plainDemandOf(person: Person, level: Loaded): Demand {
  const { load } = level;
  if (load.kind === 'body') {
    const posture = postureOf(level, load.stance);
    const computed = handLoad(person.body, posture);
    const demand = postureDemand(person, posture, computed, true);
    return load.meanwhile ? withLiftedFingers(person, demand) : demand;
  }
  const raw = answerFor(RAW, load, person);
  const [left, right] = HANDS.map((hand) => handDemand(person, hand, raw)) as [HandDemand, HandDemand];
  return { left, right, posture: null, beside: null };
}

/** The posture of a level on the hands. */
export const postureOf = ({ contact, facing }: Loaded, stance: SupportPosture | object): SupportPosture =>
  ({ ...stance, contact, facing }) as SupportPosture;

/**
 * A computed posture as a demand. With `inTurn` each hand takes the left hand's share in its turn, as in a ladder, where the left
 * hand represents the working one; without it each shows its own.
 */
export function postureDemand(person: Person, posture: SupportPosture, load: PostureLoad, inTurn = false): Demand {
  const of = (hand: Hand, share: Hand) => handDemand(person, hand, planted(person, posture.contact, load, hand, load[share]));
  if (!inTurn) return { left: of('left', 'left'), right: of('right', 'right'), posture: load, beside: null };
  return {
    left: of('left', 'left'),
    right: of('right', 'left'),
    posture: load,
    beside: { left: of('left', 'right'), right: of('right', 'right') },
  };
}

/** The fingers of the working hand lift one after the other, as hard as lifting a finger from a planted hand is. */
const withLiftedFingers = (person: Person, demand: Demand): Demand =>
  withEffort(person, demand, 'finger extension', { sharePercent: LIFTED_FINGER.value, moving: 1 });

/** What the working hand has to bring besides. */
function withEffort(person: Person, demand: Demand, action: Action, ask: Ask): Demand {
  const besides = (hand: Hand): HandDemand =>
    hardestFirst({ ...demand[hand], efforts: [...demand[hand].efforts, effortOf(person, hand, action, ask)] });
  return { ...demand, left: besides('left'), right: besides('right') };
}

function handDemand(person: Person, hand: Hand, raw: RawDemand): HandDemand {
  const demands = Object.entries(raw.actions ?? {}) as [Action, Ask][];
  const loadN = raw.loadN ?? 0;
  return hardestFirst({
    loadN,
    loadPercentBW: (100 * loadN) / (person.body.massKg * GRAVITY),
    efforts: demands.map(([action, ask]) => effortOf(person, hand, action, ask)),
    effortPercent: 0,
    angle: raw.angle ? angleDemand(person, hand, raw.angle) : null,
    stretchNm: raw.stretchNm ?? 0,
  });
}

function hardestFirst(demand: HandDemand): HandDemand {
  const efforts = demand.efforts.toSorted((a, b) => b.effortPercent - a.effortPercent);
  return { ...demand, efforts, effortPercent: efforts[0]?.effortPercent ?? 0 };
}

function angleDemand(person: Person, hand: Hand, angle: NonNullable<RawDemand['angle']>): AngleDemand {
  const { deg: rangeDeg, source } = rangeWithHelpDeg(person, angle.motion, hand);
  const deg = 'deg' in angle ? angle.deg : (rangeDeg * angle.reach) / 100;
  return { motion: angle.motion, deg, rangeDeg, rangeSource: source };
}
