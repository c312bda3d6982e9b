import { working } from '../vocabulary/constant.js';
import type { Action } from '../vocabulary/actions.js';
import { daysBetween } from '../vocabulary/days.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';

/** What tells of a maximum: a test of it, a hold or set to failure, a set with a rating of its exertion, a set that was broken off. */
export const EVIDENCE_KINDS = ['maximum', 'to failure', 'rated', 'broken off'] as const;
/** What tells of a maximum. */
export type EvidenceKind = (typeof EVIDENCE_KINDS)[number];

/** One thing that was seen of a hand, turned into the maximum that it speaks for. */
export interface Evidence {
  readonly kind: EvidenceKind;
  readonly action: Action;
  readonly hand: Hand;
  /** The maximum that it speaks for, in the action's unit. */
  readonly value: number;
  /** ISO day. */
  readonly onDay: string;
  /** What was seen, in words: “measured”, “held 24 s at 310 N”. */
  readonly what: string;
}

/** A tested maximum, in its action's unit, as evidence. */
export const maximum = (action: Action, hand: Hand, value: number, onDay: string): Evidence => ({
  kind: 'maximum',
  action,
  hand,
  value,
  onDay,
  what: 'measured',
});

/** How far each kind of evidence is off, as a log-sd. */
const ERROR = {
  maximum: working('Error of a maximum test', 0.07, 'log-sd', 'a dynamometer on a day: 5–8 % from test to test', [0.05, 0.08]),
  'to failure': working(
    'Error of a hold to failure',
    0.15,
    'log-sd',
    'hold times of one person differ by a third from day to day, which the endurance law halves',
    [0.1, 0.2],
  ),
  rated: working('Error of a rated set', 0.3, 'log-sd', 'ratings of effort differ by two steps between people', [0.2, 0.4]),
  'broken off': working('Error of a set broken off', 0.35, 'log-sd', 'it may have ended for other reasons', [0.25, 0.45]),
} as const;
/** Ratings of one person lean one way: many of them never say more than this. */
const RATER_LEAN = working(
  'Lean of one rater',
  0.15,
  'log-sd',
  'half of a rating’s error is the person’s own way of rating, which repeats do not average out',
  [0.1, 0.2],
);
/** How one person’s ratings lean, and by how much they scatter about that: log-sds. */
export const ratingErrors = (): { readonly lean: number; readonly scatter: number } => ({
  lean: RATER_LEAN.value,
  scatter: Math.sqrt(ERROR.rated.value ** 2 - RATER_LEAN.value ** 2),
});

/**
 * How widely the next rating of somebody is to be expected, a log-sd: what is not known of the maximum, and how far ratings are off. Who has rated before
 * has their own way of rating in the belief already, and isn’t scattered again.
 */
export function ratingSpread({
  logSd,
  evidence,
}: {
  readonly logSd: number;
  readonly evidence: readonly Pick<Evidence, 'kind'>[];
}): number {
  const { lean, scatter } = ratingErrors();
  const hasRated = evidence.some(({ kind }) => kind === 'rated');
  return Math.sqrt((hasRated ? Math.max(0, logSd ** 2 - lean ** 2) : logSd ** 2 + lean ** 2) + scatter ** 2);
}

/** What a belief loses by a day, as variance: after four months a test says a tenth less surely. */
const WIDENS = working(
  'Widening of a belief',
  0.01,
  'log-variance in 120 days',
  'strength moves by some tenth in four months of training or of none',
  [0.004, 0.03],
);
const WIDENS_IN_DAYS = 120;

/** A log-normal belief about both hands: log-medians and their covariance, left first. */
export interface Belief {
  readonly mean: readonly [number, number];
  readonly cov: readonly [readonly [number, number], readonly [number, number]];
}

/** A belief in which both hands share a part of what is not known, and each has its own. */
export const beliefOf = (mean: readonly [number, number], sharedSd: number, ownSd: number): Belief => {
  const [shared, whole] = [sharedSd ** 2, sharedSd ** 2 + ownSd ** 2];
  return {
    mean,
    cov: [
      [whole, shared],
      [shared, whole],
    ],
  };
};

/** A belief about something that follows another with a spread of its own on top. */
export const following = (mean: readonly [number, number], of: Belief, sharedSd: number, ownSd: number): Belief => {
  const own = beliefOf([0, 0], sharedSd, ownSd).cov;
  const sum = (i: 0 | 1, j: 0 | 1) => of.cov[i][j] + own[i][j];
  return {
    mean,
    cov: [
      [sum(0, 0), sum(0, 1)],
      [sum(1, 0), sum(1, 1)],
    ],
  };
};

/** What the evidence of one hand comes to: a log-mean and its variance. */
interface Pooled {
  readonly mean: number;
  readonly variance: number;
}

const varianceOf = ({ kind, onDay }: Evidence, today: string) =>
  ERROR[kind].value ** 2 + (WIDENS.value * Math.max(0, daysBetween(onDay, today))) / WIDENS_IN_DAYS;

function pooled(list: readonly Evidence[], today: string, lean = 0): Pooled | null {
  let [weight, sum] = [0, 0];
  for (const entry of list) {
    const precision = 1 / varianceOf(entry, today);
    weight += precision;
    sum += precision * Math.log(entry.value);
  }
  return weight === 0 ? null : { mean: sum / weight, variance: 1 / weight + lean ** 2 };
}

/** Precisions add up; ratings count as one witness with the rater's own lean. */
function seenOf(list: readonly Evidence[], today: string): Pooled | null {
  const parts = [
    pooled(
      list.filter(({ kind }) => kind !== 'rated'),
      today,
    ),
    pooled(
      list.filter(({ kind }) => kind === 'rated'),
      today,
      RATER_LEAN.value,
    ),
  ].filter((part) => part !== null);
  const weight = parts.reduce((sum, { variance }) => sum + 1 / variance, 0);
  if (weight === 0) return null;
  return { mean: parts.reduce((sum, { mean, variance }) => sum + mean / variance, 0) / weight, variance: 1 / weight };
}

/**
 * A belief after what was seen, in closed form: precisions add in log space, so the order in which things were seen does not matter. What is seen of one
 * hand moves the other as far as the two share.
 */
export function updated(belief: Belief, evidence: readonly Evidence[], today: string): Belief {
  const seen = HANDS.map((hand) =>
    seenOf(
      evidence.filter((entry) => entry.hand === hand),
      today,
    ),
  );
  if (seen.every((one) => one === null)) return belief;
  const [[a, b], [, d]] = belief.cov;
  const det = a * d - b * b;
  const [pl, pr] = [seen[0] ? 1 / seen[0].variance : 0, seen[1] ? 1 / seen[1].variance : 0];
  // Posterior precision, and its inverse.
  const [ia, ib, id] = [d / det + pl, -b / det, a / det + pr];
  const inverse = ia * id - ib * ib;
  const [ca, cb, cd] = [id / inverse, -ib / inverse, ia / inverse];
  const [ml, mr] = belief.mean;
  const ul = pl * ((seen[0]?.mean ?? 0) - ml);
  const ur = pr * ((seen[1]?.mean ?? 0) - mr);
  return {
    mean: [ml + ca * ul + cb * ur, mr + cb * ul + cd * ur],
    cov: [
      [ca, cb],
      [cb, cd],
    ],
  };
}

const AT_ODDS = working('Results that do not fit together', 2.5, 'standard deviations', 'by chance one pair in eighty', [2, 3]);

/**
 * What was seen of a hand and does not fit the rest of what was seen: a maximum below what was lifted the day before. Both are kept.
 * @example atOdds([], '2026-01-01') → []
 */
export function atOdds(list: readonly Evidence[], today: string): Evidence[] {
  return list.filter((entry) => {
    const rest = pooled(
      list.filter((other) => other !== entry),
      today,
    );
    if (!rest) return false;
    const off = Math.abs(Math.log(entry.value) - rest.mean);
    return off > AT_ODDS.value * Math.sqrt(varianceOf(entry, today) + rest.variance);
  });
}

/** Standard deviations on either side that hold four fifths of a normal belief. */
export const FOUR_FIFTHS = 1.2816;

/** The middle four fifths of a log-normal value. @example intervalOf(50, 0) → [50, 50] */
export const intervalOf = (median: number, logSd: number): readonly [number, number] => [
  median * Math.exp(-FOUR_FIFTHS * logSd),
  median * Math.exp(FOUR_FIFTHS * logSd),
];

/** The share of a normal distribution below z (Abramowitz, Stegun 1964, 26.2.17; error below 1e-7). @example normalShare(0) ≈ 0.5 */
export function normalShare(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const beyond = tail * Math.exp((-z * z) / 2) * 0.3989422804;
  return z > 0 ? 1 - beyond : beyond;
}
