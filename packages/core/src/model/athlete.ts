import { CAUTION_IDS } from '../vocabulary/cautions.js';
import { FIRST_DAY } from '../vocabulary/days.js';
import { same } from '../vocabulary/same.js';
import { type Fault, under } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import { HANDS, WORKING_SIDES } from '../vocabulary/hands.js';
import type { Limit } from '../vocabulary/limit.js';
import { EQUIPMENT } from '../vocabulary/places.js';
import {
  day,
  idOf,
  list,
  type Of,
  oneOf,
  optional,
  orNull,
  record,
  text,
  trueOrFalse,
  within,
} from '../vocabulary/schema.js';
import { STOP_SIGN_IDS } from '../vocabulary/stop-signs.js';
import { BODY_LIMITS, SEXES } from './body.js';

/** Bounds of an athlete’s record. */
export const ATHLETE_LIMITS = {
  nameLength: 120,
  practiceLength: 200,
  notesLength: 2000,
  cautions: 20,
  cautionNoteLength: 300,
  clearedByLength: 120,
} as const;

/** Bounds of what a clearance may limit. */
export const CLEARANCE_LIMITS = {
  effortPercent: { min: 1, max: 100, step: 1, unit: '% of own maximum' },
  extensionDeg: { min: 0, max: 120, step: 1, unit: '°' },
} as const satisfies Record<string, Limit>;

/** Within what somebody was cleared; what is not named is free. */
export const CLEARANCE = record(
  {
    effortPercent: optional(within(CLEARANCE_LIMITS.effortPercent, 'Effort at most, %')),
    extensionDeg: optional(within(CLEARANCE_LIMITS.extensionDeg, 'Wrist extension at most, °')),
    noBodyWeight: optional(trueOrFalse()),
    /** The limits hold up to and including this day. */
    until: optional(day('Limits hold until')),
  },
  { what: 'the limits of a clearance' },
);
/** Within what somebody was cleared. */
export type Clearance = Of<typeof CLEARANCE>;

/**
 * A caution as it stands in an athlete's record: of which hand, since when, and who cleared it within which limits. Clearance lifts a
 * `refer`; nothing else does.
 */
export const RECORDED_CAUTION = record(
  {
    caution: oneOf(CAUTION_IDS, 'What'),
    /** Of both where it is not said. */
    hand: optional(oneOf(WORKING_SIDES, 'Hand')),
    since: optional(day('Since')),
    note: optional(text(ATHLETE_LIMITS.cautionNoteLength, 0, 'Note')),
    /** Day and name of the licensed practitioner who cleared it for loading. */
    clearedOn: optional(day('Cleared for loading on')),
    clearedBy: optional(text(ATHLETE_LIMITS.clearedByLength, 1, 'Cleared by')),
    within: optional(CLEARANCE),
    /** The session that was stopped, and the sign: written when it ended, lifted by a clearance only. */
    stopped: optional(record({ sessionId: idOf('a session'), sign: oneOf(STOP_SIGN_IDS) })),
  },
  { what: 'a caution' },
);
/** A caution as it stands in an athlete’s record. */
export type RecordedCaution = Of<typeof RECORDED_CAUTION>;

/** Whom a coach trains. */
export const ATHLETE = record({
  name: text(ATHLETE_LIMITS.nameLength, 1, 'Name'),
  /** What the athlete trains for, in a few words. */
  practice: text(ATHLETE_LIMITS.practiceLength, 0, 'Practice'),
  birthDate: orNull(day('Born')),
  sex: oneOf(SEXES, 'Sex, for norms'),
  dominantHand: oneOf(HANDS, 'Dominant hand'),
  statureCm: orNull(within(BODY_LIMITS.statureCm, 'Stature, cm')),
  massKg: orNull(within(BODY_LIMITS.massKg, 'Mass, kg')),
  equipment: list(oneOf(EQUIPMENT), { max: EQUIPMENT.length, unique: true }),
  cautions: list(RECORDED_CAUTION, { max: ATHLETE_LIMITS.cautions }),
  notes: text(ATHLETE_LIMITS.notesLength, 0, 'Notes'),
});
/** What is known of an athlete. */
export type AthleteRecord = Of<typeof ATHLETE>;

/** Everything that keeps an athlete from being recorded. @param today ISO day: nobody is born and nothing cleared after it */
export function checkAthlete(athlete: AthleteRecord, today: string): Fault[] {
  const shape = faultsOf(ATHLETE, athlete);
  if (shape.length > 0) return shape;
  const faults: Fault[] = [];
  if (athlete.birthDate !== null && athlete.birthDate > today) {
    faults.push({ pointer: '/birthDate', message: `must lie between ${FIRST_DAY} and today, ${today}` });
  }
  athlete.cautions.forEach((entry, index) => {
    const others = athlete.cautions.slice(0, index);
    faults.push(...under(`/cautions/${index}`, checkCaution(entry, others, today)));
  });
  return faults;
}

function checkCaution(entry: RecordedCaution, before: readonly RecordedCaution[], today: string): Fault[] {
  const faults: Fault[] = [];
  const { since, stopped } = entry;
  if (before.some((other) => isSameCaution(other, entry))) {
    faults.push({ pointer: '/caution', message: 'is in the list twice: keep one entry' });
  }
  if ((entry.caution === 'stop-sign') !== (stopped !== undefined)) {
    faults.push({ pointer: '/caution', message: 'comes from a session that was stopped, and from nowhere else' });
  }
  if (since !== undefined && since > today) {
    faults.push({ pointer: '/since', message: `must not lie after today, ${today}` });
  }
  return [...faults, ...checkClearance(entry, today)];
}

function checkClearance({ clearedOn, clearedBy, since, within: limits }: RecordedCaution, today: string): Fault[] {
  if (clearedOn === undefined || clearedBy === undefined) return checkUncleared(clearedOn, clearedBy, limits);
  const faults: Fault[] = [];
  if (clearedOn > today) faults.push({ pointer: '/clearedOn', message: `must not lie after today, ${today}` });
  if (since !== undefined && clearedOn < since) {
    faults.push({ pointer: '/clearedOn', message: `must not lie before it began, ${since}` });
  }
  if (limits?.until !== undefined && limits.until < clearedOn) {
    faults.push({ pointer: '/within/until', message: `must not lie before the clearance, ${clearedOn}` });
  }
  return faults;
}

function checkUncleared(day: string | undefined, name: string | undefined, limits: Clearance | undefined): Fault[] {
  const half = day === undefined ? 'clearedOn' : 'clearedBy';
  return [
    ...(day === name
      ? []
      : [{ pointer: `/${half}`, message: 'clearance needs both a day and the name of who cleared it' }]),
    ...(limits ? [{ pointer: '/within', message: 'limits belong to a clearance: say who cleared it and when' }] : []),
  ];
}

/** The same thing of the same hand; each stop is one of its own. */
function isSameCaution(one: RecordedCaution, other: RecordedCaution): boolean {
  if (one.caution !== other.caution || !same<unknown>(one.stopped, other.stopped)) return false;
  const [a, b] = [one.hand ?? 'both', other.hand ?? 'both'];
  return a === b || a === 'both' || b === 'both';
}
