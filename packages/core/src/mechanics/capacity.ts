import { GRAVITY } from './hand-load.js';
import { ACTIVE_RANGE_DEG, FOREARM_TURN_NM, gripNorm, PASSIVE_GAIN_DEG, WRIST_MOMENT_NM } from './norms.js';
import { segmentsOf } from './segments.js';
import { type Body, REFERENCE_BODIES } from '../model/body.js';
import { type Action, ACTIONS } from '../vocabulary/actions.js';
import type { Hand } from '../vocabulary/hands.js';
import type { RangeMotion } from '../vocabulary/motions.js';

/** A maximum that was measured, in the action's own unit. */
export interface Measured {
  readonly action: Action;
  readonly hand: Hand;
  readonly value: number;
  /** ISO day. */
  readonly onDay: string;
}

/** What capacities are read from. */
export interface Person {
  readonly body: Body;
  readonly ageYears: number | null;
  readonly measured: readonly Measured[];
  /** Measured ranges with help (passive), degrees; what is missing is taken from the norm. */
  readonly rangeDeg?: Partial<Record<Hand, Partial<Record<RangeMotion, number>>>>;
  /** ISO day from which recency is judged. */
  readonly today: string;
}

/** A maximum with where it comes from. */
export interface Capacity {
  readonly value: number;
  readonly unit: 'N·m' | 'N';
  readonly source: 'measured' | 'estimated';
  /** In words, for the screen. */
  readonly from: string;
}

/** A measured maximum counts for this long. */
export const MEASURED_FOR_DAYS = 120;
const DAY_MS = 86_400_000;

/** Whether what was measured on a day still counts on another. */
export const isRecent = (onDay: string, today: string) =>
  (Date.parse(today) - Date.parse(onDay)) / DAY_MS <= MEASURED_FOR_DAYS && onDay <= today;

/** The best recent measured maximum of an action, if there is one. */
function measuredMax({ measured, today }: Person, action: Action, hand: Hand): Measured | undefined {
  return measured
    .filter((entry) => entry.action === action && entry.hand === hand && isRecent(entry.onDay, today))
    .reduce<Measured | undefined>((best, entry) => (best && best.value >= entry.value ? best : entry), undefined);
}

/** Muscle force grows with cross-section, cross-section with mass to the power of two thirds. */
const ALLOMETRIC = 2 / 3;

/**
 * How strong this hand is beside that of the men of 20–29 of the norm: by the measured grip where there is one,
 * else by the norm of sex and age and the body's mass.
 */
function strengthRatio(person: Person, hand: Hand): { ratio: number; from: string } {
  const young = gripNorm('male', 20, hand).meanKg;
  const grip = measuredMax(person, 'grip', hand);
  if (grip) return { ratio: grip.value / GRAVITY / young, from: 'scaled by the measured grip' };
  const { sex, massKg } = person.body;
  const byMass = (massKg / REFERENCE_BODIES[sex].massKg) ** ALLOMETRIC;
  const age = person.ageYears;
  // The norms begin at twenty: a lighter youth is scaled down by mass, never up.
  const size = age !== null && age < 20 ? Math.min(1, byMass) : byMass;
  return {
    ratio: (gripNorm(sex, age, hand).meanKg / young) * size,
    from: 'scaled by sex, age and body mass',
  };
}

/** Middle finger bones press this far from the knuckles, over hand length: turns grip force into a moment at the knuckles. Working value. */
const GRIP_LEVER = 0.62;
/** Spreading all fingers against a band, over grip: working value. */
const OPENING_OF_GRIP = 0.12;
/** Men, arm lifted forward, and elbow bent square: working values of the order of published maxima. N·m. */
const SHOULDER_LIFT_NM = 70;
const ELBOW_BEND_NM = 65;

/**
 * What a hand can do at most: the best recent measured maximum, else an estimate from published norms, with its source in words.
 * @example capacityOf(referencePerson(REFERENCE_BODIES.male, '2026-01-01'), 'wrist flexion', 'right').value ≈ 12.2
 */
export function capacityOf(person: Person, action: Action, hand: Hand): Capacity {
  const unit = ACTIONS[action];
  const known = measuredMax(person, action, hand);
  if (known) return { value: known.value, unit, source: 'measured', from: `measured on ${known.onDay}` };
  const { ratio, from } = strengthRatio(person, hand);
  const gripN = gripNorm('male', 20, hand).meanKg * GRAVITY * ratio;
  return { value: estimate(action, ratio, gripN, person.body), unit, source: 'estimated', from: `norm, ${from}` };
}

function estimate(action: Action, ratio: number, gripN: number, body: Body): number {
  switch (action) {
    case 'grip':
      return gripN;
    case 'finger extension':
      return gripN * OPENING_OF_GRIP;
    case 'MCP flexion':
      return gripN * GRIP_LEVER * segmentsOf(body).hand.lengthM;
    case 'pronation':
    case 'supination':
      return FOREARM_TURN_NM * ratio;
    case 'shoulder flexion':
      return SHOULDER_LIFT_NM * ratio;
    case 'elbow flexion':
      return ELBOW_BEND_NM * ratio;
    default:
      return WRIST_MOMENT_NM[action] * ratio;
  }
}

/** Usual error of a goniometer, degrees: thresholds.csv (`goniometer_error_default`), until the coach's own repeats give one. */
export const RANGE_ERROR_DEG = 7;

/** Whether an angle lies within a range, at its end as closely as can be measured, or past it. @example rangeVerdict(85, 89) → 'at the end' */
export function rangeVerdict(deg: number, rangeDeg: number): 'within' | 'at the end' | 'past' {
  if (Math.abs(deg - rangeDeg) <= RANGE_ERROR_DEG) return 'at the end';
  return deg > rangeDeg ? 'past' : 'within';
}

/** `100 · demand / capacity`; above 100 the demand cannot be met. @example effortPercent(150, { value: 300, unit: 'N', source: 'measured', from: '' }) → 50 */
export const effortPercent = (demand: number, capacity: Capacity) => (100 * demand) / capacity.value;

/** How far a wrist goes with help: measured, else the norm's active range and the usual gain of help. */
export function rangeWithHelpDeg(
  person: Person,
  motion: RangeMotion,
  hand: Hand,
): { deg: number; source: Capacity['source'] } {
  const known = person.rangeDeg?.[hand]?.[motion];
  if (known !== undefined) return { deg: known, source: 'measured' };
  return { deg: ACTIVE_RANGE_DEG[motion].mean + PASSIVE_GAIN_DEG, source: 'estimated' };
}
