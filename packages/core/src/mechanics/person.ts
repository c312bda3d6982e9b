import { type Evidence, maximum } from './belief.js';
import { isRecent, type Person } from './capacity.js';
import { USUAL_AGE } from './norms.js';
import { type Body, bodyOf, type BodyRecord } from '../model/body.js';
import { isCold, latestReading, type Reading } from '../model/reading.js';
import { ageOn } from '../vocabulary/days.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { isAction } from '../vocabulary/measures.js';
import { RANGE_MOTIONS, type RangeMotion } from '../vocabulary/motions.js';

/** Whom something is computed for, and what of it is not on record. */
export interface Subject {
  readonly person: Person;
  /** What is taken from a reference person, in words, for screens to say so. */
  readonly estimated: readonly string[];
}

/**
 * A person as the computations read one, from what is on record. `estimated` names what was not, for screens to say so.
 * Ranges that were measured longer ago than a maximum counts as measured are left out. @param seen what holds and sets tell of the hands
 */
export function personOf(
  record: (BodyRecord & { readonly birthDate: string | null }) | null,
  readings: readonly Reading[],
  today: string,
  seen: readonly Evidence[] = [],
): Subject {
  const { body, estimated } = bodyOf(record);
  const ageYears = record?.birthDate ? ageOn(record.birthDate, today) : null;
  if (ageYears === null) estimated.push(`age (${USUAL_AGE})`);
  const unknowns = estimated.filter((what) => !what.startsWith('proportions')).length;
  const evidence = [...maximaOf(readings), ...seen];
  return {
    person: { body, ageYears, evidence, unknowns, rangeDeg: withRanges(undefined, readings, today), today },
    estimated,
  };
}

/** Measured maxima as evidence. */
export const maximaOf = (readings: readonly Reading[]): Evidence[] =>
  readings
    .filter(isCold)
    .flatMap(({ kind, of, hand, value, onDay }) => (kind === 'maximum' && isAction(of) ? [maximum(of, hand, value, onDay)] : []));

/** Ranges with help, with those of some readings in their place: the last of each, where it still counts. */
export function withRanges(measured: Person['rangeDeg'], readings: readonly Reading[], today?: string): NonNullable<Person['rangeDeg']> {
  const ranges: Record<Hand, Partial<Record<RangeMotion, number>>> = {
    left: { ...measured?.left },
    right: { ...measured?.right },
  };
  for (const hand of HANDS) {
    for (const motion of RANGE_MOTIONS) {
      const last = latestReading(readings, 'passive range', motion, hand);
      if (last && (today === undefined || isRecent(last.onDay, today))) ranges[hand][motion] = last.value;
    }
  }
  return ranges;
}

/** A person of the reference body of a sex: what is computed for when nobody is chosen. */
export function referencePerson(body: Body, today: string): Person {
  return { body, ageYears: null, evidence: [], today };
}
