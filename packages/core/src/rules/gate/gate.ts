import { formOf } from '../../effort/turn-work.js';
import type { SessionView } from '../../effort/session-view.js';
import { rangeVerdict } from '../../mechanics/capacity.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Dose } from '../../model/dose.js';
import type { Level, Movement } from '../../model/movement.js';
import { type Hand, HAND_WORDS } from '../../vocabulary/hands.js';
import { PLACE_OF, type Place } from '../../vocabulary/places.js';
import { quantity, say, type Sentence } from '../../vocabulary/sentence.js';
import { unusualInDose } from '../doses/usual-dose.js';
import { capWords } from '../safety/caps.js';
import { capsOf } from '../safety/caution-limits.js';
import { cautionAdvice, cautionLabel, concerns } from '../safety/cautions.js';
import { lackingFor } from './at-hand.js';
import { handsUsed } from '../safety/hands-used.js';
import { momentsOf, type Work } from './moments.js';
import { nerveHarshness } from './nerve-glides.js';
import { leftOutBy, limitBroken, waitsFor } from './restrictions.js';

/** Whom something is proposed to, on the day: restrictions and clearances as they stand on it, with those that follow from age. */
export interface GateSubject extends Pick<SessionView, 'athlete' | 'person' | 'method'> {
  /** Where nobody can be today: “no floor”. */
  readonly notAt?: readonly Place[] | undefined;
}

/** The rules of the gate. Where a check of sequences says the same it has the same id. */
export type GateRule =
  | 'equipment-missing'
  | 'place-missing'
  | 'dose-outside'
  | 'not-cleared'
  | 'leave-out'
  | 'caution-limit'
  | 'nerve-glide'
  | 'impossible-posture'
  | 'range-over'
  | 'demand-over'
  | 'effort-ceiling';

/** A reason against a block for somebody, with the rule that it follows from. */
export interface Refusal {
  readonly rule: GateRule;
  readonly why: Sentence;
}

/** Limits that hold for the hands that a block uses, though it keeps them. */
export interface KeptLimit {
  readonly caution: RecordedCaution['caution'];
  readonly why: Sentence;
}

/** May a block be proposed to somebody: yes, within limits that it keeps, or not, each with its reasons. */
export type GateAnswer =
  | { readonly verdict: 'allowed' }
  | { readonly verdict: 'allowed within'; readonly limits: readonly [KeptLimit, ...KeptLimit[]] }
  | { readonly verdict: 'not'; readonly refusals: readonly [Refusal, ...Refusal[]] };

/** Tolerance of a ceiling, points of effort: what is shown is rounded. */
const ROUNDING = 0.5;

/**
 * The one gate: whether a level with a dose may be proposed to this person today. Every proposer asks it, and the checks of a sequence ask the same rules
 * of what is already there. Pure: the same question has the same answer.
 */
export function gate(subject: GateSubject, movement: Movement, level: Level, dose: Dose): GateAnswer {
  const [first, ...others] = refusalsOf(subject, workOf(subject, movement, level, dose));
  if (first) return { verdict: 'not', refusals: [first, ...others] };
  const [limit, ...more] = keptLimits(subject, level, dose);
  return limit ? { verdict: 'allowed within', limits: [limit, ...more] } : { verdict: 'allowed' };
}

/** Whether the gate is open. @see gate */
export const isOpen = (subject: GateSubject, movement: Movement, level: Level, dose: Dose): boolean =>
  firstRefusal(subject, workOf(subject, movement, level, dose)) === null;

/** A level as dosed for somebody, as the gate is asked about it. */
export function workOf({ person }: Pick<GateSubject, 'person'>, movement: Movement, level: Level, dose: Dose): Work {
  const form = formOf(person, movement, level, dose);
  return { movement, level, dose, forms: form ? [form] : [] };
}

/** Everything that stands against a block for somebody; empty where it may be proposed. */
export const refusalsOf = (subject: GateSubject, work: Work): Refusal[] => RULES.flatMap((rule) => rule(subject, work) ?? []);

/** The first reason against a block; null where it may be proposed. */
export function firstRefusal(subject: GateSubject, work: Work): Refusal | null {
  for (const rule of RULES) {
    const refusal = rule(subject, work);
    if (refusal) return refusal;
  }
  return null;
}

type Rule = (subject: GateSubject, work: Work) => Refusal | null;

/** From the cheapest to ask to the dearest. */
const RULES: readonly Rule[] = [
  (subject, { movement, level, dose }) => {
    const [thing] = lackingFor(subject, movement, level, dose);
    return thing ? { rule: 'equipment-missing', why: say`no ${thing} here` } : null;
  },
  ({ notAt = [] }, { level: { posture } }) =>
    notAt.includes(PLACE_OF[posture]) ? { rule: 'place-missing', why: say`not possible in this position today` } : null,
  (_subject, { level, dose }) => {
    const [first] = unusualInDose(dose, level.dosing);
    return first ? { rule: 'dose-outside', why: first } : null;
  },
  ({ athlete }, work) => {
    const entry = athlete?.cautions.find((each) => waitsFor(each, work));
    return entry ? { rule: 'not-cleared', why: cautionAdvice(entry) } : null;
  },
  ({ athlete }, work) => {
    const [why] = leftOutBy(athlete?.cautions ?? [], work);
    return why === undefined ? null : { rule: 'leave-out', why };
  },
  (_subject, work) => {
    const harsh = nerveHarshness(work);
    return harsh === null ? null : { rule: 'nerve-glide', why: harsh };
  },
  (_subject, { forms }) => (forms.length === 0 ? { rule: 'impossible-posture', why: say`this body can’t take the position` } : null),
  ({ athlete }, work) => {
    for (const entry of athlete?.cautions ?? []) {
      const over = limitBroken(entry, work);
      if (over) return { rule: 'caution-limit', why: say`${over.broken}. ${cautionAdvice(entry)}` };
    }
    return null;
  },
  (_subject, work) => {
    const past = pastRange(work);
    if (!past) return null;
    const { hand, deg, rangeDeg } = past;
    return { rule: 'range-over', why: say`${HAND_WORDS[hand]}: ${quantity(deg, '°')}, with ${quantity(rangeDeg, '°')} of passive range` };
  },
  (_subject, work) => {
    const effort = hardestEffort(work);
    return effort > MAXIMUM ? { rule: 'demand-over', why: say`${quantity(effort, '%')} of the maximum` } : null;
  },
  ({ method }, work) => {
    const effort = hardestEffort(work);
    const { effortCeilingPercent: ceiling, name } = method;
    return effort > ceiling + ROUNDING
      ? { rule: 'effort-ceiling', why: say`${quantity(effort, '%')} effort; ${name} allows up to ${quantity(ceiling, '%')}` }
      : null;
  },
];
const MAXIMUM = 100;

/** The effort of the hardest hand at its hardest moment, percent of its maximum. */
export const hardestEffort = (work: Work): number => Math.max(0, ...momentsOf(work).map(({ demand }) => demand.effortPercent));

/** A wrist that a block takes past the range that it has; null where none is. */
export function pastRange(work: Work): { readonly hand: Hand; readonly deg: number; readonly rangeDeg: number } | null {
  for (const { hand, demand } of momentsOf(work)) {
    const { angle } = demand;
    if (angle && rangeVerdict(angle.deg, angle.rangeDeg) === 'past') return { hand, deg: angle.deg, rangeDeg: angle.rangeDeg };
  }
  return null;
}

function keptLimits({ athlete }: GateSubject, level: Level, dose: Dose): KeptLimit[] {
  const hands = handsUsed(level, dose.sides);
  return (athlete?.cautions ?? []).flatMap((entry): KeptLimit[] => {
    const words = concerns(entry, hands) ? capsOf(entry).map(capWords).filter(Boolean).join('; ') : '';
    return words ? [{ caution: entry.caution, why: say`${cautionLabel(entry)}: ${words}` }] : [];
  });
}
