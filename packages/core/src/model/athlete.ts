import { CAUTION_IDS } from '../vocabulary/cautions.js';
import { OLDEST_YEARS } from '../vocabulary/days.js';
import { same } from '../vocabulary/same.js';
import { type Fault, under } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import { HAND_PLACE_IDS } from '../vocabulary/hand-places.js';
import { HANDS, WORKING_SIDES } from '../vocabulary/hands.js';
import { SYMPTOM_KIND_IDS } from '../vocabulary/intake-words.js';
import type { Limit } from '../vocabulary/limit.js';
import { EQUIPMENT } from '../vocabulary/places.js';
import { day, idOf, list, type Of, oneOf, optional, orNull, record, text, trueOrFalse, bounded } from '../vocabulary/schema.js';
import { SCORE } from '../vocabulary/scores.js';
import { STOP_SIGN_IDS } from '../vocabulary/stop-signs.js';
import { BODY_LIMITS, SEXES } from './body.js';

/** Bounds of an athlete’s record. */
export const ATHLETE_LIMITS = {
  nameLength: 120,
  practiceLength: 200,
  notesLength: 2000,
  cautions: 60,
  cautionNoteLength: 300,
  clearedByLength: 120,
  movementIdLength: 80,
  leftOut: 200,
} as const;

/** Bounds of what a clearance may limit. */
export const CLEARANCE_LIMITS = {
  effortPercent: { min: 1, max: 100, step: 1, unit: '% of maximum' },
  extensionDeg: { min: 0, max: 120, step: 1, unit: '°' },
} as const satisfies Record<string, Limit>;

/** Within what somebody was cleared; what is not named is free. */
export const CLEARANCE = record(
  {
    effortPercent: optional(bounded(CLEARANCE_LIMITS.effortPercent, 'Maximum effort, %')),
    extensionDeg: optional(bounded(CLEARANCE_LIMITS.extensionDeg, 'Maximum wrist extension, °')),
    noBodyWeight: optional(trueOrFalse()),
    /** The limits hold up to and including this day. */
    until: optional(day('Limits apply until')),
  },
  { what: 'the limits of a clearance' },
);
/** Within what somebody was cleared. */
export type Clearance = Of<typeof CLEARANCE>;

/** A restriction of a hand, since when, and who cleared it: from a check-in, kept in the record. */
export const WHOSE_AND_CLEARED = {
  /** Of both where it is not said. */
  hand: optional(oneOf(WORKING_SIDES, 'Hand')),
  /** The day it happened or began; not known where it is left out. */
  since: optional(day('Since')),
  note: optional(text(ATHLETE_LIMITS.cautionNoteLength, 0, 'Note')),
  /** Day and name of the licensed practitioner who cleared it for loading. */
  clearedOn: optional(day('Cleared on')),
  clearedBy: optional(text(ATHLETE_LIMITS.clearedByLength, 1, 'Cleared by (doctor or therapist)')),
  /** After this day the clearance ends and a new one is needed. */
  clearedUntil: optional(day('Clearance ends on')),
  within: optional(CLEARANCE),
};

/**
 * A caution in an athlete’s record: which hand, since when, and who cleared it within which limits. Clearance lifts a
 * `refer`; nothing else does.
 */
export const RECORDED_CAUTION = record(
  {
    caution: oneOf(CAUTION_IDS, 'What'),
    ...WHOSE_AND_CLEARED,
    /** Of a sore place: where it is, what it feels like and how much, 0–10. */
    place: optional(oneOf(HAND_PLACE_IDS, 'Where')),
    symptom: optional(oneOf(SYMPTOM_KIND_IDS, 'What it feels like')),
    score: optional(bounded(SCORE, 'How much, 0–10')),
    /** The answers that it follows from; the next answers replace it. */
    intakeId: optional(idOf('answers')),
    /** The session in which it was felt; the next answers replace it. */
    sessionId: optional(idOf('a session')),
    /** The stopped session or the check-in that reported it, and the sign: only a clearance lifts it. */
    stopped: optional(
      record({
        sessionId: optional(idOf('a session')),
        intakeId: optional(idOf('answers')),
        sign: oneOf(STOP_SIGN_IDS),
      }),
    ),
  },
  { what: 'a caution' },
);
/** A caution in an athlete’s record. */
export type RecordedCaution = Of<typeof RECORDED_CAUTION>;

/** Whom a coach trains. */
export const ATHLETE = record({
  name: text(ATHLETE_LIMITS.nameLength, 1, 'Name'),
  /** What the athlete trains for, in a few words. */
  practice: text(ATHLETE_LIMITS.practiceLength, 0, 'Practice'),
  birthDate: orNull(day('Born')),
  sex: oneOf(SEXES, 'Sex (for norms)'),
  dominantHand: oneOf(HANDS, 'Dominant hand'),
  statureCm: orNull(bounded(BODY_LIMITS.statureCm, 'Height, cm')),
  massKg: orNull(bounded(BODY_LIMITS.massKg, 'Weight, kg')),
  equipment: list(oneOf(EQUIPMENT), { max: EQUIPMENT.length, unique: true }),
  cautions: list(RECORDED_CAUTION, { max: ATHLETE_LIMITS.cautions }),
  notes: text(ATHLETE_LIMITS.notesLength, 0, 'Notes'),
  /** Movements that are not proposed for them, whatever else speaks for one. */
  leftOut: optional(list(text(ATHLETE_LIMITS.movementIdLength, 1), { max: ATHLETE_LIMITS.leftOut, unique: true })),
});
/** What is known of an athlete. */
export type AthleteRecord = Of<typeof ATHLETE>;

/** Everything that keeps an athlete from being recorded. @param today ISO day: nobody is born and nothing cleared after it */
export function checkAthlete(athlete: AthleteRecord, today: string): Fault[] {
  const shape = faultsOf(ATHLETE, athlete);
  if (shape.length > 0) return shape;
  const faults: Fault[] = [];
  const { birthDate } = athlete;
  if (birthDate !== null) faults.push(...under('/birthDate', checkBirthDate(birthDate, today)));
  athlete.cautions.forEach((entry, index) => {
    const others = athlete.cautions.slice(0, index);
    faults.push(...under(`/cautions/${index}`, checkCaution(entry, others, today)));
    if (birthDate !== null && entry.since !== undefined && entry.since < birthDate) {
      faults.push({ pointer: `/cautions/${index}/since`, message: `must not lie before the date of birth, ${birthDate}` });
    }
  });
  return faults;
}

/** What is wrong with a date of birth: nobody is born after today, or is older than people get. */
export function checkBirthDate(birthDate: string, today: string): Fault[] {
  const earliest = `${Number(today.slice(0, 4)) - OLDEST_YEARS}${today.slice(4)}`;
  const isPossible = birthDate <= today && birthDate >= earliest;
  return isPossible ? [] : [{ pointer: '', message: `must lie between ${earliest} and today, ${today}` }];
}

function checkCaution(entry: RecordedCaution, before: readonly RecordedCaution[], today: string): Fault[] {
  const faults: Fault[] = [];
  const { since, stopped } = entry;
  if (before.some((other) => isSameCaution(other, entry))) {
    faults.push({ pointer: '/caution', message: 'is listed twice: keep one entry' });
  }
  if ((entry.caution === 'stop-sign') !== (stopped !== undefined)) {
    faults.push({
      pointer: '/caution',
      message: 'can only come from a session that was stopped, or from check-in answers',
    });
  }
  if (stopped && (stopped.sessionId === undefined) === (stopped.intakeId === undefined)) {
    faults.push({ pointer: '/stopped', message: 'must name either a session or the check-in, not both' });
  }
  if (entry.place !== undefined && entry.caution !== 'sore-place') {
    faults.push({ pointer: '/place', message: 'is only allowed for a sore place' });
  }
  if (since !== undefined && since > today) {
    faults.push({ pointer: '/since', message: `must not lie after today, ${today}` });
  }
  return [...faults, ...checkClearance(entry, today)];
}

function checkClearance(entry: RecordedCaution, today: string): Fault[] {
  const { clearedOn } = entry;
  const faults = checkClearanceDays(entry);
  if (clearedOn !== undefined && clearedOn > today) {
    faults.unshift({ pointer: '/clearedOn', message: `must not lie after today, ${today}` });
  }
  return faults;
}

type Cleared = Pick<RecordedCaution, 'since' | 'clearedOn' | 'clearedBy' | 'clearedUntil' | 'within'>;

/** What of a clearance does not go together: half of one, limits without one, days in the wrong order. */
export function checkClearanceDays({ since, clearedOn, clearedBy, clearedUntil, within: limits }: Cleared): Fault[] {
  if (clearedOn === undefined || clearedBy === undefined) {
    const half = clearedOn === undefined ? '/clearedOn' : '/clearedBy';
    return [
      ...(clearedOn === clearedBy ? [] : [{ pointer: half, message: 'needs both the date of the clearance and who gave it' }]),
      ...(limits ? [{ pointer: '/within', message: 'needs a clearance: say who cleared it and when' }] : []),
      ...(clearedUntil === undefined ? [] : [{ pointer: '/clearedUntil', message: 'needs a clearance: say who cleared it and when' }]),
    ];
  }
  const faults: Fault[] = [];
  if (since !== undefined && clearedOn < since) {
    faults.push({ pointer: '/clearedOn', message: `must not lie before it began, ${since}` });
  }
  const ends = [
    ['/within/until', limits?.until],
    ['/clearedUntil', clearedUntil],
  ] as const;
  for (const [pointer, until] of ends) {
    if (until !== undefined && until < clearedOn) {
      faults.push({ pointer, message: `must not lie before the clearance, ${clearedOn}` });
    }
  }
  return faults;
}

/** The same thing of the same hand; each stop and each sore place is one of its own. */
export function isSameCaution(one: RecordedCaution, other: RecordedCaution): boolean {
  if (one.caution !== other.caution || one.place !== other.place || one.symptom !== other.symptom) return false;
  if (!same<unknown>(one.stopped, other.stopped)) return false;
  const [a, b] = [one.hand ?? 'both', other.hand ?? 'both'];
  return a === b || a === 'both' || b === 'both';
}
