import { capital } from '../vocabulary/text.js';
import { handsInTurn, SIDE_PLANS } from '../vocabulary/hands.js';
import type { Fault } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import type { Limit } from '../vocabulary/limit.js';
import { kind, kinds, type Of, oneOf, optional, record, within } from '../vocabulary/schema.js';
import { DIRECTION_PLANS, UNIT_OF, type WorkKind } from '../vocabulary/work.js';

/**
 * What a dose may be at all, wherever it comes from: typed, imported or sent to the server.
 * These bound the computation and catch slips of the finger; what is *sensible* is in `usual-ranges.ts`.
 */
export const DOSE_LIMITS = {
  sets: { min: 1, max: 20, step: 1, unit: 'sets' },
  repetitions: { min: 1, max: 200, step: 1, unit: 'repetitions' },
  seconds: { min: 1, max: 1800, step: 1, unit: 's' },
  breaths: { min: 1, max: 60, step: 1, unit: 'breaths' },
  effortPercent: { min: 1, max: 100, step: 1, unit: '%' },
  holdS: { min: 0.5, max: 120, step: 0.5, unit: 's' },
  tempoS: { min: 0.5, max: 30, step: 0.5, unit: 's' },
  restS: { min: 0, max: 900, step: 1, unit: 's' },
} as const satisfies Record<string, Limit>;

const WORK = kinds(
  [
    record({ kind: kind('repetitions'), count: within(DOSE_LIMITS.repetitions, 'Repetitions') }),
    record({ kind: kind('time'), seconds: within(DOSE_LIMITS.seconds, 'Seconds') }),
    record({ kind: kind('breaths'), count: within(DOSE_LIMITS.breaths, 'Breaths') }),
  ],
  'a kind of work and its amount',
);
/** What fills one set. Amounts count per side and per direction. */
export type Work = Of<typeof WORK>;

const TEMPO = record(
  { outS: within(DOSE_LIMITS.tempoS, 'Tempo out'), backS: within(DOSE_LIMITS.tempoS, 'Tempo back') },
  { what: 'outS and backS' },
);
/** Seconds of the way out and the way back of one repetition. A hold in between is `Dose.holdS`. */
export type Tempo = Of<typeof TEMPO>;

/**
 * sets × work × sides × directions, with effort, tempo and rest.
 * `restS` is taken after each set but the last: what follows the last set is the next block's announcement.
 */
export const DOSE = record(
  {
    sets: within(DOSE_LIMITS.sets, 'Sets'),
    work: WORK,
    sides: oneOf(SIDE_PLANS, 'Sides'),
    directions: oneOf(DIRECTION_PLANS, 'Directions'),
    /** Percent of the person's own maximum in this action (%MVC). */
    effortPercent: optional(within(DOSE_LIMITS.effortPercent, 'Effort')),
    /** At the far end of each repetition. Only with repetitions. */
    holdS: optional(within(DOSE_LIMITS.holdS, 'The hold in each repetition')),
    /** Only with repetitions; without it the level's usual tempo paces the count. */
    tempo: optional(TEMPO),
    restS: within(DOSE_LIMITS.restS, 'Rest'),
  },
  { what: 'a dose' },
);
/** How much of a level: sets, work, hands, directions, effort, tempo, rest. */
export type Dose = Of<typeof DOSE>;

/** The limit that applies to the amount of a kind of work. */
export function amountLimit(kind: WorkKind): Limit {
  return { repetitions: DOSE_LIMITS.repetitions, time: DOSE_LIMITS.seconds, breaths: DOSE_LIMITS.breaths }[kind];
}

/** The number in a work: repetitions, seconds or breaths. */
export function amountOf(work: Work): number {
  return work.kind === 'time' ? work.seconds : work.count;
}

/** A work of the same kind or another with this amount. */
export function workOf(kind: WorkKind, amount: number): Work {
  return kind === 'time' ? { kind, seconds: amount } : { kind, count: amount };
}

/** What the amount of a kind of work is called. @example amountLabel('time') → 'Seconds' */
export const amountLabel = (work: WorkKind) => capital(UNIT_OF[work]);

/**
 * Pieces that a dose is counted in, for both hands: what bounds every computation over its timeline.
 * @example piecesOf({ sets: 3, work: { kind: 'repetitions', count: 8 }, sides: 'left-then-right', directions: 'each', restS: 0 }) → 96
 */
export function piecesOf({ sets, work, sides, directions }: Dose): number {
  const each = work.kind === 'time' ? 1 : work.count;
  return sets * handsInTurn(sides).length * (directions === 'each' ? 2 : 1) * each;
}

/** Every way in which a dose breaks the limits or its own parts; empty when it is fine. Pointers are relative to the dose. */
export function checkDose(dose: Dose): Fault[] {
  let faults = checked.get(dose);
  if (!faults) checked.set(dose, (faults = [...faultsOf(DOSE, dose), ...faultsTogether(dose)]));
  return faults;
}
/** A dose is a document: the same one is checked once, however often its sequence is compiled. */
const checked = new WeakMap<Dose, Fault[]>();

/** What no field alone can tell. */
function faultsTogether({ work, holdS, tempo, sides }: Partial<Dose>): Fault[] {
  if (!work || work.kind === 'repetitions') return [];
  const faults: Fault[] = [];
  const alone = 'belongs to repetitions only: give a number of repetitions, or leave it out';
  if (holdS !== undefined) faults.push({ pointer: '/holdS', message: alone, label: 'A hold in each repetition' });
  if (tempo) faults.push({ pointer: '/tempo', message: alone, label: 'A tempo' });
  if (sides === 'alternating') {
    const message = 'alternating hands swap with each repetition: give repetitions, or choose left then right';
    faults.push({ pointer: '/sides', message });
  }
  return faults;
}
