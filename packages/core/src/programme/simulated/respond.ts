import { enduranceS } from '../../effort/rates.js';
import { working } from '../../vocabulary/constant.js';
import type { MorningScores } from '../../rules/reports/morning.js';
import type { SimulatedAthlete } from './athlete.js';
import type { Chance } from './chance.js';
import type { SimulatedLevel } from './simulated-levels.js';

/** The state of a simulated athlete. */
export interface SimulatedState {
  /** Maximum, times the norm. */
  readonly strength: number;
  /** Of the tissue; one is where an ordinary person begins to feel it as more than mild. */
  readonly irritation: number;
  /** Grows a little with tolerated load. */
  readonly tolerance: number;
  /** Days until a flare-up is over; 0 without one. */
  readonly flareDays: number;
}

/** What is asked in a session of one movement. */
export interface Prescribed {
  readonly level: SimulatedLevel;
  readonly sets: number;
  readonly amount: number;
  readonly effortPercent: number | null;
}

/** What came of it, as a coach sees it, and how the tissue took it. */
export interface Response {
  readonly setsDone: number;
  /** Of the weakest set. */
  readonly amountDone: number;
  readonly discomfort: number;
  readonly exertion: number;
  readonly morning: MorningScores;
  readonly flared: boolean;
  readonly state: SimulatedState;
}

const PAUSE_LEAVES = working(
  'Simulated: fatigue after a rest between sets',
  0.45,
  'of what there was',
  'some minute of rest gives back half',
  [0.3, 0.6],
);
/** Tissue load of a minute at half of the maximum, in units of an ordinary tolerance. */
const LOAD_UNIT = working(
  'Simulated: tissue load',
  0.42,
  'units for a minute at half of the maximum',
  'two holds of half a minute every second day are borne by most for months',
  [0.3, 0.6],
);
/** Load grows with effort faster than its seconds do. */
const LOAD_POWER = working('Simulated: load by effort', 2, 'power', 'strain of tendon over force; between linear and cubic', [1.5, 3]);
const FLARE_RATE = working(
  'Simulated: flare-ups',
  0.5,
  'per session and unit above the threshold',
  'twice the threshold flares up in four of ten sessions',
  [0.2, 1],
);
const ADAPTS = working(
  'Simulated: tissue that adapts',
  0.004,
  'a session',
  'some tenth in a season of three sessions a week',
  [0.002, 0.008],
);
const FLARE_DAYS = 12;
const NIGHT_DAYS = 0.6;
const whole = (value: number) => Math.min(10, Math.max(0, Math.round(value)));

/** What of the sets was done, for how long, and how near to the end of the strength the hardest moment was, 0–1 and above. */
function worked({ level, sets, amount }: Prescribed, effort: number) {
  const fullS = effort >= 1 ? 0.5 : enduranceS(level.rates, effort);
  let [used, setsDone, amountDone, seconds, worst] = [0, 0, amount, 0, effort];
  for (let set = 0; set < sets; set++) {
    const wanted = (amount * level.secondsEach) / fullS;
    const done = wanted <= 1 - used ? amount : Math.floor((amount * (1 - used)) / wanted);
    amountDone = Math.min(amountDone, done);
    seconds += done * level.secondsEach;
    const after = Math.min(1, used + (done * level.secondsEach) / fullS);
    worst = Math.max(worst, effort + (1 - effort) * after);
    used = after * PAUSE_LEAVES.value;
    if (done < amount) break;
    setsDone++;
  }
  return { setsDone, amountDone, seconds, worst };
}

/** What it did to the tissue, in units of what is borne. */
function loadOf({ level }: Prescribed, effort: number, seconds: number, tolerance: number): number {
  const strain = level.isPressed ? (level.strain * effort) / level.effort : level.strain;
  return (LOAD_UNIT.value * (seconds / 60) * (Math.min(1.2, strain) / 0.5) ** LOAD_POWER.value) / tolerance;
}

/** Somebody who does not exist does a session: what the coach sees of it, and how they stand after. */
export function respond(who: SimulatedAthlete, from: SimulatedState, prescribed: Prescribed, chance: Chance): Response {
  const { level, effortPercent } = prescribed;
  const effort = level.isPressed ? (effortPercent ?? 50) / 100 : level.effort / from.strength;
  const { setsDone, amountDone, seconds, worst } = worked(prescribed, effort);
  const load = loadOf(prescribed, effort, seconds, from.tolerance);
  const irritation = from.irritation + load;
  const over = irritation / who.threshold;
  const flared = from.flareDays === 0 && chance.happens(1 - Math.exp(-FLARE_RATE.value * Math.max(0, over - 1)));
  const hurts = flared || from.flareDays > 0;
  const scatter = who.scatter * chance.normal();
  const discomfort = whole((hurts ? 5 : 0) + 3 * Math.max(0, over - 0.45) + 0.5 * chance.normal());
  const tomorrow = (irritation * Math.exp(-NIGHT_DAYS / who.recoveryDays)) / who.threshold;
  const sore = whole((hurts ? 3 : 0) + 2.5 * Math.max(0, tomorrow - 0.5) + 0.4 * chance.normal());
  const stimulus = Math.min(1, worst / 0.6) / 3;
  const room = Math.exp(-2.5 * Math.max(0, from.strength / who.strength - 1));
  return {
    ...{ setsDone, amountDone, discomfort, flared },
    exertion: whole(10 * Math.min(1, worst) + who.lean + scatter),
    morning: { left: sore, right: sore },
    state: {
      strength: from.strength * (1 + (hurts ? 0 : who.gainPerWeek * stimulus * room)),
      irritation,
      tolerance: from.tolerance * (flared ? 0.9 : 1 + ADAPTS.value * Math.min(1, load)),
      flareDays: flared ? FLARE_DAYS : from.flareDays,
    },
  };
}

/** Some days pass. */
export function rested(who: SimulatedAthlete, from: SimulatedState, days: number): SimulatedState {
  return {
    ...from,
    // What is not used for longer than a week goes slowly.
    strength: from.strength * (days > 7 ? Math.exp(-0.0015 * (days - 7)) : 1),
    irritation: from.irritation * Math.exp(-days / who.recoveryDays),
    flareDays: Math.max(0, from.flareDays - days),
  };
}

/** Somebody before the first session. */
export const freshState = ({ strength, tolerance }: SimulatedAthlete): SimulatedState => ({
  strength,
  irritation: 0,
  tolerance,
  flareDays: 0,
});
