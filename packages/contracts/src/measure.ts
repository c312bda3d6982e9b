import {
  ACTION_NAMES,
  ALL_OUT,
  between,
  criticalForceOf,
  type CriticalForce,
  day,
  FEWEST_CONTRACTIONS,
  FORCE_UNITS,
  type RepeatsAbove,
  repeatsAbove,
  kgFromN,
  list,
  NEWTONS_OF,
  type Of,
  oneOf,
  optional,
  record,
  type Trace,
  traceOf,
  type Trend,
  trendOf,
} from '@clay-pot/core';

const TIME = { min: -1e12, max: 1e12, step: 0.0001, unit: 's' } as const;
/** Far beyond any gauge for hands: what is above is no reading. */
const FORCE = { min: -100_000, max: 100_000, step: 0.01, unit: 'N' } as const;
const RANGE = { min: 1, max: 100_000, step: 1, unit: 'N' } as const;
/** A minute at a thousand values a second. */
export const MOST_SAMPLES = 60_000;

/** A force over time, and what is known of the gauge. */
export const TRACE_QUESTION = record({
  samples: list(record({ tS: between(TIME, 'Time, s'), valueN: between(FORCE, 'Force, N') }, { what: 'a sample' }), {
    max: MOST_SAMPLES,
  }),
  /** The unit that `valueN` and `rangeN` really are in, where it is not the newton; answers are in newtons. */
  unit: optional(oneOf(FORCE_UNITS)),
  /** The end of the gauge’s range. */
  rangeN: optional(between(RANGE)),
  /** What was measured: a force that fits another unit is asked about. */
  of: optional(oneOf(ACTION_NAMES)),
});
/** A force over time. */
export type TraceQuestion = Of<typeof TRACE_QUESTION>;

/** What the trace says, in newtons. Numbers are null where the signal does not tell them. */
export type TraceAnswer = Trace;

/** Reads a trace. */
export function answerTrace({ samples, unit = 'N', rangeN, of }: TraceQuestion): TraceAnswer {
  const factor = NEWTONS_OF[unit];
  const scaled = factor === 1 ? samples : samples.map(({ tS, valueN }) => ({ tS, valueN: valueN * factor }));
  return traceOf(scaled, { ...(rangeN !== undefined && { rangeN: rangeN * factor }), ...(of && { of }) });
}

const VALUE = { min: -1e6, max: 1e6, step: 0.0001, unit: 'of what was measured' } as const;
/** So many readings are ten years of fortnights. */
const MOST_READINGS = 260;

/** Values on days, and a goal in the same unit. */
export const TREND_QUESTION = record({
  readings: list(record({ onDay: day('Day'), value: between(VALUE, 'Value') }, { what: 'a reading' }), {
    max: MOST_READINGS,
  }),
  goal: optional(between(VALUE, 'Goal')),
});
/** Values on days, and a goal. */
export type TrendQuestion = Of<typeof TREND_QUESTION>;
/** The trend, and when the goal is met, or why that cannot be said. */
export type TrendAnswer = Trend;

/** Finds a trend. */
export const answerTrend = ({ readings, goal }: TrendQuestion): TrendAnswer => trendOf(readings, goal);

const CONTRACTION = { min: 0, max: 2000, step: 0.1, unit: 'N' } as const;
const SECONDS = { min: 1, max: 60, step: 0.1, unit: 's' } as const;
const MOST_CONTRACTIONS = 60;

/** Mean forces of an all-out test’s contractions, in order. */
export const CRITICAL_FORCE_QUESTION = record({
  contractionsN: list(between(CONTRACTION, 'Mean force, N'), {
    min: FEWEST_CONTRACTIONS,
    max: MOST_CONTRACTIONS,
    what: `the mean forces of ${FEWEST_CONTRACTIONS} to ${MOST_CONTRACTIONS} contractions; the test has ${ALL_OUT.contractions}`,
  }),
  /** How long each lasted; the test’s 7 s where it is left out. */
  workS: optional(between(SECONDS)),
});
/** Mean forces of an all-out test. */
export type CriticalForceQuestion = Of<typeof CRITICAL_FORCE_QUESTION>;

/** What can be kept up, and what can be done above it once. */
export interface CriticalForceAnswer extends CriticalForce {
  criticalForceKg: number;
  /** How many contractions of this length each force above it allows. */
  repeats: RepeatsAbove[];
}

/** Reads an all-out test. */
export function answerCriticalForce({ contractionsN, workS }: CriticalForceQuestion): CriticalForceAnswer {
  const told = criticalForceOf(contractionsN, workS);
  return { ...told, criticalForceKg: kgFromN(told.criticalForceN), repeats: repeatsAbove(told, workS) };
}
