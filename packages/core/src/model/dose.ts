import { SIDE_PLANS, type SidePlan } from '../vocabulary/hands.js';
import type { Fault } from '../vocabulary/fault.js';
import type { Limit } from '../vocabulary/limit.js';
import { DIRECTION_PLANS, type DirectionPlan, WORK_KINDS, type WorkKind } from '../vocabulary/work.js';

/** What fills one set. Amounts count per side and per direction. */
export type Work =
  | { readonly kind: 'repetitions'; readonly count: number }
  | { readonly kind: 'time'; readonly seconds: number }
  | { readonly kind: 'breaths'; readonly count: number };

/** Seconds of the way out and the way back of one repetition. A hold in between is `Dose.holdS`. */
export interface Tempo {
  readonly outS: number;
  readonly backS: number;
}

/**
 * sets × work × sides × directions, with effort, tempo and rest.
 * `restS` is taken after each set but the last: what follows the last set is the next block's announcement.
 */
export interface Dose {
  readonly sets: number;
  readonly work: Work;
  readonly sides: SidePlan;
  readonly directions: DirectionPlan;
  /** Percent of the person's own maximum in this action (%MVC), 1–100. */
  readonly effortPercent?: number;
  /** Hold at the far end of each repetition, in seconds. Only with repetitions. */
  readonly holdS?: number;
  /** Only with repetitions; without it the level's usual tempo paces the count. */
  readonly tempo?: Tempo;
  readonly restS: number;
}

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

/** Every way in which a dose breaks the limits; empty when it is fine. Pointers are relative to the dose. */
export function checkDose(dose: Dose): Fault[] {
  const faults: Fault[] = [];
  const check = (pointer: string, name: string, value: number | undefined, limit: Limit) => {
    const message = outside(name, value, limit);
    if (message) faults.push({ pointer, message });
  };
  check('/sets', 'Sets', dose.sets, DOSE_LIMITS.sets);
  if (!WORK_KINDS.includes(dose.work.kind)) {
    faults.push({ pointer: '/work/kind', message: `The kind of work must be one of ${WORK_KINDS.join(', ')}.` });
  } else {
    const pointer = dose.work.kind === 'time' ? '/work/seconds' : '/work/count';
    const name = { repetitions: 'Repetitions', time: 'Seconds', breaths: 'Breaths' }[dose.work.kind];
    check(pointer, name, amountOf(dose.work), amountLimit(dose.work.kind));
  }
  check('/effortPercent', 'Effort', dose.effortPercent ?? DOSE_LIMITS.effortPercent.min, DOSE_LIMITS.effortPercent);
  check('/holdS', 'The hold in each repetition', dose.holdS ?? DOSE_LIMITS.holdS.min, DOSE_LIMITS.holdS);
  check('/tempo/outS', 'Tempo out', dose.tempo?.outS ?? DOSE_LIMITS.tempoS.min, DOSE_LIMITS.tempoS);
  check('/tempo/backS', 'Tempo back', dose.tempo?.backS ?? DOSE_LIMITS.tempoS.min, DOSE_LIMITS.tempoS);
  check('/restS', 'Rest', dose.restS, DOSE_LIMITS.restS);
  if (!SIDE_PLANS.includes(dose.sides)) {
    faults.push({ pointer: '/sides', message: `Sides must be one of ${SIDE_PLANS.join(', ')}.` });
  }
  if (!DIRECTION_PLANS.includes(dose.directions)) {
    faults.push({ pointer: '/directions', message: `Directions must be one of ${DIRECTION_PLANS.join(', ')}.` });
  }
  if (dose.work.kind !== 'repetitions') {
    const alone = 'belongs to repetitions only: give a number of repetitions, or leave it out.';
    if (dose.holdS !== undefined) faults.push({ pointer: '/holdS', message: `A hold in each repetition ${alone}` });
    if (dose.tempo) faults.push({ pointer: '/tempo', message: `A tempo ${alone}` });
    if (dose.sides === 'alternating') {
      const message = 'Alternating hands swap with each repetition: give repetitions, or choose left then right.';
      faults.push({ pointer: '/sides', message });
    }
  }
  return faults;
}

function outside(name: string, value: number | undefined, limit: Limit): string | null {
  const { min, max, step, unit } = limit;
  const range = `${min}–${max} ${unit}`;
  if (typeof value !== 'number' || !Number.isFinite(value)) return `${name} must be a number within ${range}.`;
  if (value < min || value > max) return `${name} must be within ${range}, not ${value}.`;
  if (!Number.isInteger(value / step)) return `${name} must be in steps of ${step} ${unit}, not ${value}.`;
  return null;
}
