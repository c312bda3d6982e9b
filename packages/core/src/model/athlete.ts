import { CAUTION_IDS } from '../vocabulary/cautions.js';
import { FIRST_DAY } from '../vocabulary/days.js';
import type { Fault } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import { HANDS } from '../vocabulary/hands.js';
import { EQUIPMENT } from '../vocabulary/places.js';
import { day, list, type Of, oneOf, optional, orNull, record, text, within } from '../vocabulary/schema.js';
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

/** A caution as it stands in an athlete's record. Clearance lifts a `refer`; nothing else does. */
export const RECORDED_CAUTION = record(
  {
    caution: oneOf(CAUTION_IDS, 'What'),
    note: optional(text(ATHLETE_LIMITS.cautionNoteLength, 0, 'Note')),
    /** Day and name of the licensed practitioner who cleared it for loading. */
    clearedOn: optional(day('Cleared for loading on')),
    clearedBy: optional(text(ATHLETE_LIMITS.clearedByLength, 1, 'Cleared by')),
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
  athlete.cautions.forEach(({ caution, clearedOn, clearedBy }, index) => {
    const at = `/cautions/${index}`;
    if (athlete.cautions.findIndex((other) => other.caution === caution) !== index) {
      faults.push({ pointer: `${at}/caution`, message: 'is in the list twice: keep one entry' });
    }
    if ((clearedOn === undefined) !== (clearedBy === undefined)) {
      const pointer = `${at}/${clearedOn === undefined ? 'clearedOn' : 'clearedBy'}`;
      faults.push({ pointer, message: 'clearance needs both a day and the name of who cleared it' });
    }
    if (clearedOn !== undefined && clearedOn > today) {
      faults.push({ pointer: `${at}/clearedOn`, message: `must not lie after today, ${today}` });
    }
  });
  return faults;
}
