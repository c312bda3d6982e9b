import { type Action, ACTIONS } from '../vocabulary/actions.js';
import type { Fault } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import type { Limit } from '../vocabulary/limit.js';
import { isRangeMotion } from '../vocabulary/motions.js';
import { between, day, type Of, oneOf, record, text } from '../vocabulary/schema.js';

/** What a reading is of: a maximum in its action's unit, or how far a motion goes, by own muscles or with help, in degrees. */
export const READING_KINDS = ['maximum', 'active range', 'passive range'] as const;
/** What kind of thing was measured. */
export type ReadingKind = (typeof READING_KINDS)[number];

/** The kinds in plain words. */
export const READING_NAMES = {
  maximum: 'most strength',
  'active range': 'range by its own muscles',
  'passive range': 'range with help',
} as const satisfies Record<ReadingKind, string>;

/** Bounds of a reading by unit: beyond them a slip of the finger is likelier than a hand. */
export const READING_LIMITS = {
  'N·m': { min: 0.1, max: 150, step: 0.1, unit: 'N·m' },
  N: { min: 1, max: 1500, step: 1, unit: 'N' },
  '°': { min: 0, max: 130, step: 1, unit: '°' },
} as const satisfies Record<string, Limit>;
/** The unit that a reading is kept in. */
export type ReadingUnit = keyof typeof READING_LIMITS;

/** One measured value on a day. */
export const READING = record({
  kind: oneOf(READING_KINDS, 'What is measured'),
  /** An action for a maximum, a motion for a range. */
  of: text(40, 1, 'Of what'),
  hand: oneOf(HANDS, 'Hand'),
  /** In the unit of what it is of. */
  value: between({ min: 0, max: READING_LIMITS.N.max, step: 0.1, unit: 'N, N·m or °' }, 'Value'),
  onDay: day('Day'),
});
/** One measurement of one hand on a day. */
export type Reading = Of<typeof READING>;

/** The unit of a reading, or undefined when nothing of that name is measured this way. */
export function readingUnit(kind: ReadingKind, of: string): ReadingUnit | undefined {
  if (kind === 'maximum') return Object.hasOwn(ACTIONS, of) ? ACTIONS[of as Action] : undefined;
  return isRangeMotion(of) ? '°' : undefined;
}

/** Everything that keeps a reading from being recorded. @param today ISO day: nothing is measured ahead of it */
export function checkReading(reading: Reading, today: string): Fault[] {
  const shape = faultsOf(READING, reading);
  if (shape.length > 0) return shape;
  const { kind, of, value, onDay } = reading;
  const unit = readingUnit(kind, of);
  if (!unit) return [{ pointer: '/of', message: `is nothing that a ${kind} is measured of: ${of}` }];
  const { min, max } = READING_LIMITS[unit];
  if (!(value >= min && value <= max)) {
    return [{ pointer: '/value', message: `must be within ${min}–${max} ${unit}, not ${value}` }];
  }
  return onDay > today ? [{ pointer: '/onDay', message: `must not lie after today, ${today}` }] : [];
}

/** Readings as they are read back: the newest day first, within a day by what was measured and by hand, left first. */
export const newestFirst = <T extends Reading>(readings: readonly T[]): T[] =>
  readings.toSorted(
    (a, b) =>
      b.onDay.localeCompare(a.onDay) ||
      a.kind.localeCompare(b.kind) ||
      a.of.localeCompare(b.of) ||
      a.hand.localeCompare(b.hand),
  );

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
