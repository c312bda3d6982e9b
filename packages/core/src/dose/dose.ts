import type { SidePlan } from '../anatomy/sides.js';

/** What fills one set. Amounts count per side and per direction. */
export type Work =
  | { readonly kind: 'repetitions'; readonly count: number }
  | { readonly kind: 'time'; readonly seconds: number }
  | { readonly kind: 'breaths'; readonly count: number };
export const WORK_KINDS = ['repetitions', 'time', 'breaths'] as const;
export type WorkKind = (typeof WORK_KINDS)[number];

/** Which of a movement's two directions are done: `none` for a movement that has no directions. */
export const DIRECTION_PLANS = ['none', 'first', 'second', 'each'] as const;
export type DirectionPlan = (typeof DIRECTION_PLANS)[number];

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

export interface Limit {
  readonly min: number;
  readonly max: number;
  /** Smallest step a value may have. */
  readonly step: number;
  readonly unit: string;
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
