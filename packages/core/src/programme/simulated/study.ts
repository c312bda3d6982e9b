import { mean, quantile, standardDeviation } from 'simple-statistics';
import { referencePerson } from '../../mechanics/person.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import { type Estimate, shareOf } from '../../effort/share.js';
import { type Method, METHOD_LIMITS } from '../../model/method.js';
import type { Movement } from '../../model/movement.js';
import type { Limit } from '../../vocabulary/limit.js';
import { type CourseOutcome, type CourseRules, simulatedCourse } from './course.js';
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
}

/** How often a method trains in a week. */
export const SESSIONS_A_WEEK: Record<Method['frequency'], number> = {
  daily: 6,
  'two or three': 3,
  'every training day': 4,
};

/** Courses between two tellings of how far it is. */
const BATCH = 50;

/** Goes through all courses; yields how many are done, and ends with the rows. The same question comes to the same figures. */
export function* study(question: StudyQuestion): Generator<number, StudyRow[]> {
  const { movement, methods, athletes, seed, weeks, sessionsPerStep, daysPerStep, sessionsPerWeek, easierEvery } = question;
  const levels = simulatedLevels(movement, referencePerson(REFERENCE_BODIES['not stated'], STUDY_DAY));
  if (levels.length === 0) throw new RangeError(`${movement.name} has no level that an average person could do.`);
  const rows: StudyRow[] = [];
  let done = 0;
  for (const method of methods) {
    const often = sessionsPerWeek ?? SESSIONS_A_WEEK[method.frequency];
    const rules: CourseRules = {
      method: {
        ...method,
        ...(sessionsPerStep !== null && { sessionsPerStep }),
        ...(daysPerStep !== null && { daysPerStep }),
      },
      weeks,
      sessionsPerWeek: often,
      easierEvery,
    };
    const outcomes: CourseOutcome[] = [];
    for (let number = 0; number < athletes; number++) {
      // The same people go through every method.
      outcomes.push(simulatedCourse(movement, levels, rules, seed + number * SEED_STEP));
      done++;
      if (done % BATCH === 0) yield done;
    }
    rows.push(rowOf(method, often, outcomes));
  }
  return rows;
}
const STUDY_DAY = '2026-01-05';
/** So that people of one seed are not those of the next. */
const SEED_STEP = 7919;

function rowOf({ id, name }: Method, sessionsPerWeek: number, outcomes: readonly CourseOutcome[]): StudyRow {
  const climbed = outcomes.map((outcome) => outcome.climbed);
  const sessions = outcomes.reduce((sum, outcome) => sum + outcome.sessions, 0);
  return {
    ...{ methodId: id, name, sessionsPerWeek },
    climbed: meanOf(climbed),
    climbedMost: [quantile(climbed, 0.1), quantile(climbed, 0.9)],
    flaredUp: shareOf(outcomes.filter(({ flareUps }) => flareUps > 0).length, outcomes.length),
    soreShare: meanOf(outcomes.map(({ sore, sessions: all }) => (all > 0 ? sore / all : 0))),
    strength: meanOf(outcomes.map(({ strength }) => strength)),
    sessions: sessions / outcomes.length,
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
