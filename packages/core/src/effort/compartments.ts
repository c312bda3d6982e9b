import type { Rates } from './rates.js';
import { published, timesMoved, working } from '../vocabulary/constant.js';

/** Shares of a muscle's motor units: active and fatigued; what is left rests. */
export interface Units {
  readonly active: number;
  readonly fatigued: number;
}
/** Nothing works and nothing is tired. */
export const RESTED: Units = { active: 0, fatigued: 0 };
/** The share that neither works nor is tired. @example restingShare({ active: 0.3, fatigued: 0.2 }) ≈ 0.5 */
export const restingShare = ({ active, fatigued }: Units) => 1 - active - fatigued;
/** What could be brought at this moment, as a share of the rested maximum. @example capacityLeft({ active: 0.3, fatigued: 0.2 }) ≈ 0.8 */
export const capacityLeft = ({ fatigued }: Units) => 1 - fatigued;

const DRIVE = published('Activation', 10, 'per s', 'Xia, Frey-Law 2008, J Biomech 41:3046–52', 'development and relaxation');

/** So little is rest: a finger wave must not stop recovery. */
export const RESTS_BELOW = working(
  'Rest',
  0.05,
  'of maximum',
  'blood flows freely in a muscle that works at a few hundredths of its maximum',
  [0.03, 0.08],
);

/**
 * The three-compartment model between two events, where the target is constant and the system linear: stepped in closed form.
 *
 * While enough rests (`fatigued ≤ 1 − target`) activation follows the target: `A' = L(T − A) − F A`. When too little rests, all of it is
 * called: `A' = L·M_R − F A`. `M_F' = F A − R' M_F` in both; R' is R in effort and r·R at rest. A change of regime within the step is
 * found where `M_F` crosses `1 − target`.
 */
export function step(rates: Rates, from: Units, target: number, seconds: number): Units {
  // Fatigue cannot grow faster than all that is active: mostly this alone tells that no regime changes, and the plain formula will do.
  const most = from.fatigued + rates.fatiguePerS * seconds * Math.max(from.active, target);
  if (target < RESTS_BELOW.value || most < 1 - target) return followed(rates, from, target, seconds);
  let units = from;
  let left = seconds;
  // A sum of two exponentials crosses a level at most twice.
  for (let pieces = 0; pieces < 4 && left > 0; pieces++) {
    const limited = isLimited(units, target);
    const course = limited ? limitedCourse(rates, units) : followingCourse(rates, units, target);
    const crossing = firstCrossing(course, 1 - target, left, limited);
    const duration = crossing ?? left;
    units = tidy({ active: course.active(duration), fatigued: course.fatigued.at(duration) });
    if (crossing === null) return units;
    // Onto the border itself, to the side that the course is going to.
    units = { ...units, fatigued: 1 - target + (limited ? -BORDER : BORDER) };
    left -= duration;
  }
  return units;
}

const BORDER = 1e-12;
const isLimited = ({ fatigued }: Units, target: number) => target >= RESTS_BELOW.value && fatigued > 1 - target;

/** Rounding must not leave the range in which shares make sense. */
function tidy({ active, fatigued }: Units): Units {
  const inside = Math.min(1, Math.max(0, fatigued));
  return { active: Math.min(1 - inside, Math.max(0, active)), fatigued: inside };
}

/** `constant + a·e^(−p t) + b·e^(−q t)`. */
interface Exponentials {
  readonly at: (t: number) => number;
  /** Where its slope is zero, if anywhere after the start. */
  readonly turnsAt: number | null;
}
interface Course {
  readonly active: (t: number) => number;
  readonly fatigued: Exponentials;
}

function exponentials(constant: number, a: number, p: number, b: number, q: number): Exponentials {
  const ratio = -(a * p) / (b * q);
  const turnsAt = p !== q && ratio > 0 ? Math.log(ratio) / (p - q) : null;
  return {
    at: (t) => constant + a * Math.exp(-p * t) + b * Math.exp(-q * t),
    turnsAt: turnsAt !== null && turnsAt > 0 ? turnsAt : null,
  };
}

/** `followingCourse` at one moment, without the course: thousands of these make a session. */
function followed({ fatiguePerS: F, recoveryPerS, restMultiplier }: Rates, from: Units, target: number, t: number): Units {
  const R = target >= RESTS_BELOW.value ? recoveryPerS : recoveryPerS * restMultiplier;
  const p = DRIVE.value + F;
  const settled = (DRIVE.value * target) / p;
  const away = from.active - settled;
  const constant = (F * settled) / R;
  const a = (F * away) / (R - p);
  const fast = Math.exp(-p * t);
  const fatigued = constant + a * fast + (from.fatigued - constant - a) * Math.exp(-R * t);
  return tidy({ active: settled + away * fast, fatigued });
}

function followingCourse({ fatiguePerS: F, recoveryPerS, restMultiplier }: Rates, from: Units, target: number): Course {
  const R = target >= RESTS_BELOW.value ? recoveryPerS : recoveryPerS * restMultiplier;
  const p = DRIVE.value + F;
  const settled = (DRIVE.value * target) / p;
  const away = from.active - settled;
  const constant = (F * settled) / R;
  const a = (F * away) / (R - p);
  return {
    active: (t) => settled + away * Math.exp(-p * t),
    fatigued: exponentials(constant, a, p, from.fatigued - constant - a, R),
  };
}

/** All that rests is called: two linear equations with constant coefficients, by their eigenvalues. */
function limitedCourse({ fatiguePerS: F, recoveryPerS: R }: Rates, from: Units): Course {
  const L = DRIVE.value;
  // x = (A, M_F): A' = L − (L+F) A − L M_F, M_F' = F A − R M_F.
  const sum = L + F + R;
  const product = (L + F) * R + L * F;
  const root = Math.sqrt(sum * sum - 4 * product);
  const [p, q] = [(sum + root) / 2, (2 * product) / (sum + root)];
  const fatiguedEnd = (L * F) / product;
  const activeEnd = (R * fatiguedEnd) / F;
  const slope = F * from.active - R * from.fatigued;
  const off = from.fatigued - fatiguedEnd;
  const a = -(slope + q * off) / (p - q);
  const b = off - a;
  const fatigued = exponentials(fatiguedEnd, a, p, b, q);
  const active = (t: number) => activeEnd + (a * (R - p) * Math.exp(-p * t) + b * (R - q) * Math.exp(-q * t)) / F;
  return { active, fatigued };
}

/** The first time after the start at which the fatigued share passes a level, within the step: upward when following, downward when limited. */
function firstCrossing({ fatigued }: Course, level: number, seconds: number, downward: boolean): number | null {
  const beyond = (t: number) => (downward ? fatigued.at(t) < level - BORDER : fatigued.at(t) > level + BORDER);
  const { turnsAt } = fatigued;
  const marks = turnsAt !== null && turnsAt < seconds ? [turnsAt, seconds] : [seconds];
  let start = 0;
  for (const mark of marks) {
    if (beyond(mark)) {
      let [low, high] = [start, mark];
      while (high - low > CROSSING_TOLERANCE_S) {
        const middle = (low + high) / 2;
        if (beyond(middle)) high = middle;
        else low = middle;
      }
      return high;
    }
    start = mark;
  }
  return null;
}
const CROSSING_TOLERANCE_S = 1e-9;

const HOLD_TOLERANCE = working('Tolerance of any effort', 0.01, 'of maximum', 'a hundredth, which nobody feels', [0.005, 0.02]);
const NEAR_MAXIMUM = working('Near the maximum', 0.5, 'of maximum', 'up to here the plain model keeps to the endurance law', [0.4, 0.6]);

/**
 * The fatigued share at which an effort fails. Near the maximum some of it may be missing: there the plain model ends earlier than people do.
 * @example failsAt(RATES.handGrip, 0.4) ≈ 0.61
 */
export function failsAt({ tolerance }: Rates, effort: number): number {
  const near = Math.max(0, Math.min(1, effort) - NEAR_MAXIMUM.value) / (1 - NEAR_MAXIMUM.value);
  return 1 - effort + HOLD_TOLERANCE.value + tolerance * (1 - (1 - near) ** 2);
}

/**
 * How long an effort can be kept up from a state, in seconds; null when for as long as asked about. Repeated strokes reach the effort but charge
 * less of it on average.
 * @example holdTimeS(RATES.handGrip, RESTED, 0.5, 600) ≈ 108
 */
export function holdTimeS(rates: Rates, from: Units, effort: number, withinS: number, charged = effort): number | null {
  if (effort <= 0) return null;
  const fails = failsAt(rates, effort);
  if (fails > 1) return null;
  if (from.fatigued >= fails) return 0;
  // Fatigue grows while the effort goes on: the crossing is bracketed by the whole time.
  if (step(rates, from, charged, withinS).fatigued < fails) return null;
  let [low, high] = [0, withinS];
  while (high - low > 1e-6) {
    const middle = (low + high) / 2;
    if (step(rates, from, charged, middle).fatigued >= fails) high = middle;
    else low = middle;
  }
  return high;
}

/** Nobody asks for longer. */
const ENDLESS_S = 36_000;
const KEPT_EFFORTS = 2000;
/** By rates, effort and what of it is charged: a session asks the same few of them hundreds of times. */
const knownTimes = new Map<Rates, Map<number, Map<number, number>>>();
let knownAt = timesMoved();

/** @returns the times of an effort that are known, by what is charged */
function timesOf(rates: Rates, effort: number): Map<number, number> {
  if (knownAt !== timesMoved()) {
    knownTimes.clear();
    knownAt = timesMoved();
  }
  let ofRates = knownTimes.get(rates);
  if (!ofRates) knownTimes.set(rates, (ofRates = new Map<number, Map<number, number>>()));
  let ofEffort = ofRates.get(effort);
  if (!ofEffort) {
    if (ofRates.size >= KEPT_EFFORTS) ofRates.clear();
    ofRates.set(effort, (ofEffort = new Map<number, number>()));
  }
  return ofEffort;
}

/**
 * How long an effort is kept up from rest, in seconds: the model's own endurance time, by which doses are counted. Infinity where it never fails, 0 for
 * more than there is.
 * @example enduranceTimeS(RATES.handGrip, 0.5) ≈ 108
 */
export function enduranceTimeS(rates: Rates, effort: number, charged = effort): number {
  if (effort > 1) return 0;
  const timesByRate = timesOf(rates, effort);
  let seconds = timesByRate.get(charged);
  if (seconds === undefined) {
    seconds = charged < RESTS_BELOW.value ? Infinity : (holdTimeS(rates, RESTED, effort, ENDLESS_S, charged) ?? Infinity);
    timesByRate.set(charged, seconds);
  }
  return seconds;
}

/** What some seconds at an effort are worth: 1 is one hold to failure's worth. More than there is cannot be done and has no dose. */
export const enduranceDoseOf = (rates: Rates, effort: number, seconds: number, charged = effort) =>
  effort > 1 ? 0 : seconds / enduranceTimeS(rates, effort, charged);
