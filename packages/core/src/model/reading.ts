import { RECORDS_FROM } from '../vocabulary/days.js';
import type { Fault } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { GAUGES, READING_KINDS, READING_LIMITS, type ReadingKind, readingUnit } from '../vocabulary/measures.js';
import { MOMENTS } from '../vocabulary/session-tests.js';
import { between, day, idOf, list, type Of, oneOf, optional, record, text, trueOrFalse } from '../vocabulary/schema.js';

/** Bounds of what can be recorded beside a value. */
export const READING_BOUNDS = { trials: 5, ofLength: 40, detailLength: 60 } as const;

/** Of any unit; each has bounds of its own. */
const ANY_VALUE = { min: 0, max: READING_LIMITS['N·s'].max, step: 0.1, unit: 'of what was measured' } as const;

/** One measured value on a day. */
export const READING = record({
  kind: oneOf(READING_KINDS, 'What is measured'),
  /** An action for a maximum, a motion for a range. */
  of: text(READING_BOUNDS.ofLength, 1, 'Of what'),
  hand: oneOf(HANDS, 'Hand'),
  /** In the unit of what it is of. */
  value: between(ANY_VALUE, 'Value'),
  onDay: day('Day'),
  /** The trials that the value is the mean of, in their order. */
  trials: optional(list(between(ANY_VALUE, 'Trial'), { min: 1, max: READING_BOUNDS.trials })),
  /** With what it was measured. */
  gauge: optional(oneOf(GAUGES, 'With')),
  /** What else belongs to it: “20 mm edge, open hand”. */
  detail: optional(text(READING_BOUNDS.detailLength, 0, 'Detail')),
  /** The session that it was measured at, before its work or after it. */
  sessionId: optional(idOf('a session')),
  moment: optional(oneOf(MOMENTS, 'Moment')),
  /** Said by whoever was asked whether an unlikely value is right. */
  isSure: optional(trueOrFalse()),
});
/** One measurement of one hand on a day. */
export type Reading = Of<typeof READING>;

/** Everything that keeps a reading from being recorded. @param today ISO day: nothing is measured ahead of it */
export function checkReading(reading: Reading, today: string): Fault[] {
  const shape = faultsOf(READING, reading);
  if (shape.length > 0) return shape;
  const { kind, of, value, onDay, trials } = reading;
  const unit = readingUnit(kind, of);
  if (!unit) return [{ pointer: '/of', message: `is nothing that a ${kind} is measured of: ${of}` }];
  const { min, max } = READING_LIMITS[unit];
  const outside = (each: number) => !(each >= min && each <= max);
  const wrong = (pointer: string, each: number) => ({ pointer, message: `must be within ${min}–${max} ${unit}, not ${each}` });
  const faults = (trials ?? []).flatMap((each, index) => (outside(each) ? [wrong(`/trials/${index}`, each)] : []));
  if (outside(value)) faults.unshift(wrong('/value', value));
  if (trials && faults.length === 0 && !isMeanOf(value, trials)) {
    faults.push({ pointer: '/value', message: `must be the mean of its trials, ${meanOf(trials)}, not ${value}` });
  }
  if ((reading.sessionId === undefined) !== (reading.moment === undefined)) {
    faults.push({ pointer: '/moment', message: 'and sessionId are given together, or neither is' });
  }
  if (onDay > today) faults.push({ pointer: '/onDay', message: `must not lie after today, ${today}` });
  if (onDay < RECORDS_FROM) faults.push({ pointer: '/onDay', message: `must not lie before ${RECORDS_FROM}` });
  return faults;
}

const PLACES = 2;
/** The mean of trials, as it is kept. @example meanOf([70, 72, 73]) → 71.67 */
export const meanOf = (trials: readonly number[]): number =>
  Number((trials.reduce((sum, each) => sum + each, 0) / trials.length).toFixed(PLACES));
/** To the rounding of either side. */
const isMeanOf = (value: number, trials: readonly number[]) => Math.abs(value - meanOf(trials)) <= 0.06;

/** Readings as they are read back: the newest day first, within a day by what was measured and by hand, left first. */
export const newestFirst = <T extends Reading>(readings: readonly T[]): T[] =>
  readings.toSorted(
    (a, b) => b.onDay.localeCompare(a.onDay) || a.kind.localeCompare(b.kind) || a.of.localeCompare(b.of) || a.hand.localeCompare(b.hand),
  );

/** Whether it represents the hand on an ordinary day: a test after a session’s work is compared with the one before it, and with nothing else. */
export const isCold = ({ moment }: Pick<Reading, 'moment'>): boolean => moment !== 'after';

/** The latest reading of a kind, motion or action, and hand; undefined when there is none. Equal days: the later in the list. */
export function latestReading(readings: readonly Reading[], kind: ReadingKind, of: string, hand: Hand): Reading | undefined {
  return readings
    .filter((reading) => reading.kind === kind && reading.of === of && reading.hand === hand && isCold(reading))
    .reduce<Reading | undefined>((last, reading) => (last && last.onDay > reading.onDay ? last : reading), undefined);
}
