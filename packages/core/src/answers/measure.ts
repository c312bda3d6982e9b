import { type CriticalForce, criticalForceOf, type RepeatsAbove, repeatsAbove } from '../measure/critical-force.js';
import { NEWTONS_OF, type ForceUnit } from '../measure/device.js';
import { type Trace, traceOf } from '../measure/trace.js';
import { type Trend, trendOf } from '../measure/trend.js';
import type { Action } from '../vocabulary/actions.js';
import { kgFromN } from '../vocabulary/gravity.js';

/** A force over time, and what is known of the gauge. */
export interface TraceWork {
  readonly samples: readonly { readonly tS: number; readonly valueN: number }[];
  /** The unit that `valueN` and `rangeN` really are in, where it is not the newton; answers are in newtons. */
  readonly unit?: ForceUnit;
  readonly rangeN?: number;
  readonly of?: Action;
}
/** What the trace says, in newtons. Numbers are null where the signal does not tell them. */
export type TraceAnswer = Trace;

/** Reads a trace. */
export function answerTrace({ samples, unit = 'N', rangeN, of }: TraceWork): TraceAnswer {
  const factor = NEWTONS_OF[unit];
  const scaled = factor === 1 ? samples : samples.map(({ tS, valueN }) => ({ tS, valueN: valueN * factor }));
  return traceOf(scaled, { ...(rangeN !== undefined && { rangeN: rangeN * factor }), ...(of && { of }) });
}

/** Values on days, and a goal in the same unit. */
export interface TrendWork {
  readonly readings: readonly { readonly onDay: string; readonly value: number }[];
  readonly goal?: number;
}
/** The trend, and when the goal is met, or why that cannot be said. */
export type TrendAnswer = Trend;

/** Finds a trend. */
export const answerTrend = ({ readings, goal }: TrendWork): TrendAnswer => trendOf(readings, goal);

/** Mean forces of an all-out test’s contractions, in order, and how long each lasted; the test’s 7 s where it is left out. */
export interface CriticalForceWork {
  readonly contractionsN: readonly number[];
  readonly workS?: number;
}

/** What can be kept up, and what can be done above it once. */
export interface CriticalForceAnswer extends CriticalForce {
  criticalForceKg: number;
  /** How many contractions of this length each force above it allows. */
  repeats: RepeatsAbove[];
}

/** Reads an all-out test. */
export function answerCriticalForce({ contractionsN, workS }: CriticalForceWork): CriticalForceAnswer {
  const read = criticalForceOf(contractionsN, workS);
  return { ...read, criticalForceKg: kgFromN(read.criticalForceN), repeats: repeatsAbove(read, workS) };
}
