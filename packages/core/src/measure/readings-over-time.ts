import type { Reading } from '../model/reading.js';
import { isCold, meanOf } from '../model/reading.js';
import type { Hand } from '../vocabulary/hands.js';
import type { ReadingKind } from '../vocabulary/measures.js';
import { groupedBy } from '../vocabulary/lists.js';
import { changeOf } from './error.js';
import { measuredAs } from './protocols.js';

/** One thing that is measured: its readings are compared with each other and with nothing else. */
export interface MeasuredThing {
  readonly kind: ReadingKind;
  readonly of: string;
  /** The edge and grip, where it is one. */
  readonly detail?: string;
}

const isOf =
  ({ kind, of, detail = '' }: MeasuredThing) =>
  (reading: Reading) =>
    reading.kind === kind && reading.of === of && (reading.detail ?? '') === detail && isCold(reading);

/** What was measured, the most often read first. @example thingsIn([]) → [] */
export function thingsIn(readings: readonly Reading[]): Required<MeasuredThing>[] {
  const things = new Map<string, { thing: Required<MeasuredThing>; count: number }>();
  for (const { kind, of, detail = '' } of readings) {
    const key = keyOfThing({ kind, of, detail });
    const entry = things.get(key);
    if (entry) entry.count++;
    else things.set(key, { thing: { kind, of, detail }, count: 1 });
  }
  return [...things.values()]
    .sort((a, b) => b.count - a.count || keyOfThing(a.thing).localeCompare(keyOfThing(b.thing)))
    .map(({ thing }) => thing);
}

/** Tells things apart, also in an address. @example keyOfThing({ kind: 'maximum', of: 'grip' }) → 'maximum|grip|' */
export const keyOfThing = ({ kind, of, detail = '' }: MeasuredThing): string => [kind, of, detail].join('|');

/**
 * Repeats of one thing, from which its error is known: the trials of each reading, and readings of one hand on one day.
 * @example repeatsOf([], { kind: 'maximum', of: 'grip' }) → []
 */
export const repeatsOf = (readings: readonly Reading[], thing: MeasuredThing): number[][] =>
  setsIn(readings, thing).map(({ values }) => values);

interface DaySet {
  readonly onDay: string;
  readonly values: number[];
}

const setsIn = (readings: readonly Reading[], thing: MeasuredThing): DaySet[] => setsOf(readings.filter(isOf(thing)));

/** @param mine readings of one thing */
function setsOf(mine: readonly Reading[]): DaySet[] {
  const days = new Map<string, DaySet>();
  for (const { hand, onDay, value } of mine) {
    const key = `${hand} ${onDay}`;
    const day = days.get(key);
    if (day) day.values.push(value);
    else days.set(key, { onDay, values: [value] });
  }
  const trials = mine.map(({ onDay, trials: each = [] }) => ({ onDay, values: [...each] }));
  return [...trials, ...days.values()].filter(({ values }) => values.length > 1);
}

/** Repeats of one thing by a coach, whosever hands they are of. */
export interface Repeats extends Required<MeasuredThing> {
  /** Sets of readings of one hand on one day, in the unit of the reading. */
  readonly sets: readonly (readonly number[])[];
}

/** The coach’s own repeats of a thing, pooled over everybody; of these readings alone where the pooled ones are not known or have none. */
export const pooledRepeats = (
  pooled: readonly Repeats[] | undefined,
  readings: readonly Reading[],
  thing: MeasuredThing,
): Repeats['sets'] => pooled?.find((each) => keyOfThing(each) === keyOfThing(thing))?.sets ?? repeatsOf(readings, thing);

/** So many sets tell an error to a tenth; earlier ones were of a hand that measured otherwise. */
const MOST_SETS = 60;

/** A coach’s own repeats of everything, pooled over the people who were measured: how far a coach’s reading is off is the coach’s, not the athlete’s. @param byPerson readings of each, the oldest first */
export function allRepeats(byPerson: readonly (readonly Reading[])[]): Repeats[] {
  // Each reading is looked at once, however many things there are.
  const setsByThing = new Map<string, DaySet[]>();
  for (const readings of byPerson) {
    for (const [key, mine] of groupedBy(readings.filter(isCold), keyOfThing)) {
      setsByThing.set(key, [...(setsByThing.get(key) ?? []), ...setsOf(mine)]);
    }
  }
  return thingsIn(byPerson.flat())
    .map((thing) => ({ ...thing, sets: latestSets(setsByThing.get(keyOfThing(thing)) ?? []) }))
    .filter(({ sets }) => sets.length > 0);
}

const latestSets = (sets: readonly DaySet[]) =>
  sets
    .toSorted((a, b) => a.onDay.localeCompare(b.onDay))
    .slice(-MOST_SETS)
    .map(({ values }) => values);

/** What a hand was measured at on a day. */
export interface DayReading {
  readonly onDay: string;
  /** The mean of the day. */
  readonly value: number;
  /** Whether it differs from the first day by more than the error of two readings. */
  readonly isReal: boolean;
}

/** How one thing went for a hand, day by day, each beside the first. */
export function dayByDay(
  readings: readonly Reading[],
  thing: MeasuredThing,
  hand: Hand,
  repeats: readonly (readonly number[])[],
): DayReading[] {
  const mine = readings.filter((reading) => reading.hand === hand).filter(isOf(thing));
  const days = [...new Set(mine.map(({ onDay }) => onDay))].sort();
  const values = days.map((onDay) => meanOf(mine.filter((reading) => reading.onDay === onDay).map(({ value }) => value)));
  const [first = 0] = values;
  return values.map((value, index) => ({
    onDay: days[index] ?? '',
    value,
    isReal: changeOf(measuredAs(thing), first, value, repeats).isReal,
  }));
}
