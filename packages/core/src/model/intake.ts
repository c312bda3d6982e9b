import { FIRST_DAY, RECORDS_FROM } from '../vocabulary/days.js';
import { type Fault, under } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import { HAND_PLACE_IDS } from '../vocabulary/hand-places.js';
import { HANDS, WORKING_SIDES } from '../vocabulary/hands.js';
import { CONDITION_IDS, CONDITIONS, GOAL_IDS, SIGN_IDS, SYMPTOM_KIND_IDS } from '../vocabulary/intake-words.js';
import type { Limit } from '../vocabulary/limit.js';
import { EQUIPMENT } from '../vocabulary/places.js';
import { SCORE } from '../vocabulary/scores.js';
import { day, list, type Of, oneOf, optional, orNull, record, text, bounded } from '../vocabulary/schema.js';
import { ATHLETE_LIMITS, type AthleteRecord, checkBirthDate, checkClearanceDays, WHOSE_AND_CLEARED } from './athlete.js';
import { BODY_LIMITS, SEXES } from './body.js';

/** Bounds of what is asked before training. */
export const INTAKE_LIMITS = {
  score: SCORE,
  handHours: { min: 0, max: 16, step: 1, unit: 'hours a day' },
  trainingYears: { min: 0, max: 80, step: 1, unit: 'years' },
  minutes: { min: 5, max: 180, step: 5, unit: 'minutes' },
  daysPerWeek: { min: 1, max: 7, step: 1, unit: 'days a week' },
} as const satisfies Record<string, Limit>;

/** The most places a check-in takes; more don’t help. */
const MOST_SYMPTOMS = 40;
const MOST_ENTRIES = 40;

/** One condition of the past: of which hand, since when, and who cleared it. */
export const PAST_CONDITION = record(
  {
    condition: oneOf(CONDITION_IDS, 'What'),
    ...WHOSE_AND_CLEARED,
  },
  { what: 'a condition' },
);
/** One condition of the past. */
export type PastCondition = Of<typeof PAST_CONDITION>;

/** One place that is felt, on one hand. */
export const SYMPTOM = record(
  {
    place: oneOf(HAND_PLACE_IDS, 'Where'),
    hand: oneOf(HANDS, 'Hand'),
    kind: oneOf(SYMPTOM_KIND_IDS, 'What it feels like'),
    /** How much, 0–10. */
    score: optional(bounded(INTAKE_LIMITS.score, 'How much, 0–10')),
  },
  { what: 'a place that is felt' },
);
/** One place that is felt. */
export type Symptom = Of<typeof SYMPTOM>;

const score = (title: string) => optional(bounded(INTAKE_LIMITS.score, title));
/** How much a hand is felt at four times, 0–10. */
export const DISCOMFORT_TIMES = record(
  {
    hand: oneOf(WORKING_SIDES, 'Hand'),
    during: score('During training'),
    after: score('Right after'),
    nextMorning: score('The next morning'),
    atNight: score('At night'),
  },
  { what: 'discomfort of a hand' },
);
/** How much a hand is felt at four times. */
export type DiscomfortTimes = Of<typeof DISCOMFORT_TIMES>;

/** What decides whether hands may be loaded. All of it may be left out: what is not said was not asked. */
export const HEALTH_ANSWERS = {
  history: optional(list(PAST_CONDITION, { max: MOST_ENTRIES })),
  signs: optional(
    list(record({ sign: oneOf(SIGN_IDS, 'What'), hand: optional(oneOf(WORKING_SIDES, 'Hand')) }, { what: 'a sign' }), {
      max: MOST_ENTRIES,
    }),
  ),
  symptoms: optional(list(SYMPTOM, { max: MOST_SYMPTOMS })),
  discomfort: optional(list(DISCOMFORT_TIMES, { max: 3 })),
};
/** What decides whether hands may be loaded. */
export const HEALTH = record(HEALTH_ANSWERS, { what: 'answers' });
/** What decides whether hands may be loaded. */
export type Health = Of<typeof HEALTH>;

/** Everything that is asked before training, on a day. What belongs to the person's record is under `person` and goes there. */
export const INTAKE = record({
  onDay: day('Day'),
  goals: list(oneOf(GOAL_IDS), { max: GOAL_IDS.length, unique: true }),
  discipline: text(ATHLETE_LIMITS.practiceLength, 0, 'Practice'),
  handHours: orNull(bounded(INTAKE_LIMITS.handHours, 'Hours of hand use per day')),
  trainingYears: orNull(bounded(INTAKE_LIMITS.trainingYears, 'Years of training')),
  minutes: orNull(bounded(INTAKE_LIMITS.minutes, 'Minutes per session')),
  daysPerWeek: orNull(bounded(INTAKE_LIMITS.daysPerWeek, 'Days per week')),
  person: record(
    {
      birthDate: optional(orNull(day('Born'))),
      sex: optional(oneOf(SEXES, 'Sex (for norms)')),
      dominantHand: optional(oneOf(HANDS, 'Dominant hand')),
      statureCm: optional(orNull(bounded(BODY_LIMITS.statureCm, 'Height, cm'))),
      massKg: optional(orNull(bounded(BODY_LIMITS.massKg, 'Weight, kg'))),
      equipment: optional(list(oneOf(EQUIPMENT), { max: EQUIPMENT.length, unique: true })),
    },
    { what: 'what belongs to the record' },
  ),
  ...HEALTH_ANSWERS,
  /** The path of answers to why it hurts, question by question. */
  path: optional(list(text(40, 1), { max: 12 })),
});
/** What was answered on a day. */
export type Intake = Of<typeof INTAKE>;

/**
 * Answers to begin with: those of the last check-in, so that only changes have to be entered. Current symptoms are asked again, and of the person only what is
 * said now goes into the record.
 * @param last the answers before, or null
 */
export function newIntake({ practice }: Pick<AthleteRecord, 'practice'>, last: Intake | null, today: string): Intake {
  return {
    onDay: today,
    goals: last?.goals ?? [],
    discipline: practice,
    handHours: last?.handHours ?? null,
    trainingYears: last?.trainingYears ?? null,
    minutes: last?.minutes ?? null,
    daysPerWeek: last?.daysPerWeek ?? null,
    person: {},
    ...(last?.history && { history: last.history }),
  };
}

/** What of answers is about health. */
export const healthOf = ({ history, signs, symptoms, discomfort }: Health): Health => ({
  ...(history && { history }),
  ...(signs && { signs }),
  ...(symptoms && { symptoms }),
  ...(discomfort && { discomfort }),
});

/** An athlete’s record with what answers say of the person; what was not said stays as it is. */
export function withPerson(athlete: AthleteRecord, { person, discipline }: Intake): AthleteRecord {
  const given = Object.fromEntries(Object.entries(person).filter(([, value]) => value !== null));
  return { ...athlete, ...given, ...(discipline && { practice: discipline }) };
}

/** What no field alone can tell of answers about health. @param today ISO day: nothing began after it */
export function checkHealth(health: Health, today: string): Fault[] {
  return (health.history ?? []).flatMap((entry, index) =>
    checkCondition(entry, today).map(({ pointer, message }) => ({ pointer: `/history/${index}${pointer}`, message })),
  );
}

function checkCondition(entry: PastCondition, today: string): Fault[] {
  const { condition, hand } = entry;
  const { ofHand, treated, label } = CONDITIONS[condition];
  const faults: Fault[] = [];
  if (hand !== undefined && !ofHand) faults.push({ pointer: '/hand', message: `belongs to no hand: ${label}` });
  if (entry.clearedOn !== undefined && !treated) {
    faults.push({ pointer: '/clearedOn', message: `there is nothing to clear of: ${label}` });
  }
  for (const name of ['since', 'clearedOn'] as const) {
    const value = entry[name];
    if (value !== undefined && value > today) {
      faults.push({ pointer: `/${name}`, message: `must lie between ${FIRST_DAY} and today, ${today}` });
    }
  }
  return [...faults, ...checkClearanceDays(entry)];
}

/** Everything that keeps answers from being recorded. @param today ISO day: nothing is answered ahead of it */
export function checkIntake(intake: Intake, today: string): Fault[] {
  const shape = faultsOf(INTAKE, intake);
  if (shape.length > 0) return shape;
  const faults = checkHealth(intake, today);
  if (intake.onDay > today) faults.push({ pointer: '/onDay', message: `must not lie after today, ${today}` });
  if (intake.onDay < RECORDS_FROM) faults.push({ pointer: '/onDay', message: `must not lie before ${RECORDS_FROM}` });
  const { birthDate } = intake.person;
  if (birthDate) faults.push(...under('/person/birthDate', checkBirthDate(birthDate, today)));
  return faults;
}
