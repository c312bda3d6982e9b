import { mean, quantile, standardDeviation } from 'simple-statistics';
import { referencePerson } from '../../mechanics/person.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { type Estimate, shareOf } from '../../effort/share.js';
import { type Method, METHOD_LIMITS } from '../../model/method.js';
import type { Movement } from '../../model/movement.js';
import type { Limit } from '../../vocabulary/limit.js';
import { type CourseOutcome, type CourseRules, simulatedCourse } from './course.js';
import { CONSTANT_SETS, withSimulatedConstants } from './constant-sets.js';
import { simulatedLevels } from './simulated-levels.js';

/** Bounds of what may be asked of a study. */
export const STUDY_LIMITS = {
  athletes: { min: 50, max: 5000, step: 50, unit: 'athletes' },
  weeks: { min: 4, max: 26, step: 1, unit: 'weeks' },
  sessionsPerStep: METHOD_LIMITS.sessionsPerStep,
  daysPerStep: METHOD_LIMITS.daysPerStep,
  sessionsPerWeek: { min: 1, max: 7, step: 1, unit: 'sessions a week' },
  easierEvery: { min: 0, max: 8, step: 1, unit: 'weeks' },
} as const satisfies Record<string, Limit>;

/** What a coach asks of a study: one movement, many who do not exist, and by which rules. */
export interface StudyQuestion {
  readonly movement: Movement;
  readonly methods: readonly Method[];
  readonly athletes: number;
  readonly seed: number;
  readonly weeks: number;
  /** Null: as each method has it; so the days. */
  readonly sessionsPerStep: number | null;
  readonly daysPerStep: number | null;
  /** Null: as often as each method trains. */
  readonly sessionsPerWeek: number | null;
  readonly easierEvery: number;
  /** So many of the athletes go through it again with each other set of constants. */
  readonly bandAthletes?: number;
}

/** What came of many courses by one method. */
export interface StudyRow {
  readonly methodId: string;
  readonly name: string;
  readonly sessionsPerWeek: number;
  /** Levels climbed, with the part of the next gate. */
  readonly climbed: Estimate;
  /** Between what it lies for eight of ten athletes. */
  readonly climbedMost: readonly [number, number];
  /** Share of athletes with a flare-up, 0–1. */
  readonly flaredUp: Estimate;
  /** Sessions in which it hurt by five and more, of all. */
  readonly soreShare: Estimate;
  readonly strength: Estimate;
  readonly sessions: number;
  /** Between what each lies where the constants of the simulation are elsewhere in their ranges. */
  readonly band: StudyBand;
}

/** Between what the means of a study lie with other constants. */
export interface StudyBand {
  readonly climbed: readonly [number, number];
  readonly flaredUp: readonly [number, number];
  readonly soreShare: readonly [number, number];
}

/** How often a method trains in a week. */
export const SESSIONS_A_WEEK: Record<Method['frequency'], number> = {
  daily: 6,
  'two or three': 3,
  'every training day': 4,
};

/** Courses between two tellings of how far it is. */
const BATCH = 50;

/** So many courses a study takes: those of its athletes, and those of some of them with other constants. */
export const coursesOf = (question: StudyQuestion): number =>
  question.methods.length * (question.athletes + CONSTANT_SETS * againIn(question));

/** Goes through all courses; yields how many are done, and ends with the rows. The same question comes to the same figures. */
export function* study(question: StudyQuestion): Generator<number, StudyRow[]> {
  const { movement, methods, athletes, seed } = question;
  const levels = simulatedLevels(movement, referencePerson(REFERENCE_BODIES['not stated'], STUDY_DAY));
  if (levels.length === 0) throw new RangeError(`${movement.name} has no level that an average person could do.`);
  const rows: StudyRow[] = [];
  let done = 0;
  for (const method of methods) {
    const rules = rulesFor(method, question);
    // The same people go through every method.
    const course = (number: number) => simulatedCourse(movement, levels, rules, seed + number * SEED_STEP);
    const outcomes: CourseOutcome[] = [];
    for (let number = 0; number < athletes; number++) {
      outcomes.push(course(number));
      if (++done % BATCH === 0) yield done;
    }
    const others: CourseOutcome[][] = [];
    const again = againIn(question);
    for (let set = 0; set < CONSTANT_SETS && again > 0; set++) {
      others.push(withSimulatedConstants(set, () => Array.from({ length: again }, (_, number) => course(number))));
      yield (done += again);
    }
    rows.push(rowOf(method, rules.sessionsPerWeek, outcomes, others));
  }
  return rows;
}

/** Some of the athletes, again with other constants. */
const againIn = ({ athletes, bandAthletes = BAND_ATHLETES }: StudyQuestion): number => Math.min(athletes, bandAthletes);
const BAND_ATHLETES = 60;

function rulesFor(method: Method, { weeks, sessionsPerStep, daysPerStep, sessionsPerWeek, easierEvery }: StudyQuestion): CourseRules {
  return {
    method: {
      ...method,
      ...(sessionsPerStep !== null && { sessionsPerStep }),
      ...(daysPerStep !== null && { daysPerStep }),
    },
    weeks,
    sessionsPerWeek: sessionsPerWeek ?? SESSIONS_A_WEEK[method.frequency],
    easierEvery,
  };
}

const STUDY_DAY = '2026-01-05';
/** So that people of one seed are not those of the next. */
const SEED_STEP = 7919;

/** The least and the most of what a figure is in each of some studies. */
function bandOf(studies: readonly (readonly CourseOutcome[])[], figure: (outcomes: readonly CourseOutcome[]) => number): [number, number] {
  const figures = studies.map(figure);
  return [Math.min(...figures), Math.max(...figures)];
}

const flareShare = (outcomes: readonly CourseOutcome[]) => outcomes.filter(({ flareUps }) => flareUps > 0).length / outcomes.length;
const soreShares = (outcomes: readonly CourseOutcome[]) => outcomes.map(({ sore, sessions }) => (sessions > 0 ? sore / sessions : 0));

function rowOf(
  { id, name }: Method,
  sessionsPerWeek: number,
  outcomes: readonly CourseOutcome[],
  others: readonly (readonly CourseOutcome[])[],
): StudyRow {
  const climbed = outcomes.map((outcome) => outcome.climbed);
  const sessions = outcomes.reduce((sum, outcome) => sum + outcome.sessions, 0);
  return {
    ...{ methodId: id, name, sessionsPerWeek },
    climbed: meanOf(climbed),
    climbedMost: [quantile(climbed, 0.1), quantile(climbed, 0.9)],
    flaredUp: shareOf(outcomes.filter(({ flareUps }) => flareUps > 0).length, outcomes.length),
    soreShare: meanOf(soreShares(outcomes)),
    strength: meanOf(outcomes.map(({ strength }) => strength)),
    sessions: sessions / outcomes.length,
    band: {
      climbed: bandOf([outcomes, ...others], (all) => mean(all.map((outcome) => outcome.climbed))),
      flaredUp: bandOf([outcomes, ...others], flareShare),
      soreShare: bandOf([outcomes, ...others], (all) => mean(soreShares(all))),
    },
  };
}

/** Of the normal distribution, nineteen in twenty. */
const Z = 1.96;

/** A mean with its interval. */
function meanOf(values: readonly number[]): Estimate {
  const value = mean([...values]);
  const error = (Z * standardDeviation([...values])) / Math.sqrt(values.length);
  return { value, low: value - error, high: value + error };
}

/** All of a study at once. */
export function studied(question: StudyQuestion): StudyRow[] {
  const course = study(question);
  for (let next = course.next(); ; next = course.next()) if (next.done) return next.value;
}
