import { type Hand } from '../anatomy/sides.js';
import { ageOn } from '../screen/cautions.js';
import { type Body, bodyOf, type BodyRecord } from '../posture/body.js';
import { type Action, ACTIONS } from './actions.js';
import { isRecent, type Measured, type Person, type RangeMotion } from './capacity.js';
import { ACTIVE_RANGE_DEG, USUAL_AGE } from './norms.js';

/** What a reading is of: a maximum in its action's unit, or how far a motion goes, by own muscles or with help, in degrees. */
export const READING_KINDS = ['maximum', 'active range', 'range with help'] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

/** One measured value on a day. */
export interface Reading {
  readonly kind: ReadingKind;
  /** An action for a maximum, a motion for a range. */
  readonly of: string;
  readonly hand: Hand;
  readonly value: number;
  /** ISO day. */
  readonly onDay: string;
}

export const RANGE_MOTIONS = Object.keys(ACTIVE_RANGE_DEG) as RangeMotion[];

/** Bounds of a reading by kind and unit: beyond them a slip of the finger is likelier than a hand. */
export const READING_LIMITS = {
  'N·m': { min: 0.1, max: 150, step: 0.1, unit: 'N·m' },
  N: { min: 1, max: 1500, step: 1, unit: 'N' },
  '°': { min: 0, max: 130, step: 1, unit: '°' },
} as const;

/** The unit of a reading, or undefined when nothing of that name is measured this way. */
export function readingUnit(kind: ReadingKind, of: string): keyof typeof READING_LIMITS | undefined {
  if (kind === 'maximum') return of in ACTIONS ? ACTIONS[of as Action] : undefined;
  return RANGE_MOTIONS.includes(of as RangeMotion) ? '°' : undefined;
}

/** The latest reading of a kind, motion or action, and hand; undefined when there is none. Equal days: the later in the list. */
export function latestReading(
  readings: readonly Reading[],
  kind: ReadingKind,
  of: string,
  hand: Hand,
): Reading | undefined {
  return readings
    .filter((reading) => reading.kind === kind && reading.of === of && reading.hand === hand)
    .reduce<Reading | undefined>((last, reading) => (last && last.onDay > reading.onDay ? last : reading), undefined);
}

/**
 * A person as the computations read one, from what is on record. `estimated` names what was not, for screens to say so.
 * Ranges that were measured longer ago than a maximum would count are left out in the same way.
 */
export function personOf(
  record: (BodyRecord & { readonly birthDate: string | null }) | null,
  readings: readonly Reading[],
  today: string,
): { person: Person; estimated: string[] } {
  const { body, estimated } = bodyOf(record);
  const ageYears = record?.birthDate ? ageOn(record.birthDate, today) : null;
  if (ageYears === null) estimated.push(`age (${USUAL_AGE})`);
  const measured = readings
    .filter(({ kind }) => kind === 'maximum')
    .map(({ of, hand, value, onDay }): Measured => ({ action: of as Action, hand, value, onDay }));
  return { person: { body, ageYears, measured, rangeDeg: rangesOf(readings, today), today }, estimated };
}

function rangesOf(readings: readonly Reading[], today: string): NonNullable<Person['rangeDeg']> {
  const ranges: Record<Hand, Partial<Record<RangeMotion, number>>> = { left: {}, right: {} };
  for (const hand of ['left', 'right'] as const) {
    for (const motion of RANGE_MOTIONS) {
      const last = latestReading(readings, 'range with help', motion, hand);
      if (last && isRecent(last.onDay, today)) ranges[hand][motion] = last.value;
    }
  }
  return ranges;
}

/** A person of the reference body of a sex: what is computed for when nobody is chosen. */
export function referencePerson(body: Body, today: string): Person {
  return { body, ageYears: null, measured: [], today };
}
