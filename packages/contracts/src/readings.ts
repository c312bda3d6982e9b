import { idOf, list, type Of, READING, record, type Reading } from '@clay-pot/core';

export { READING as READING_INPUT, type Reading as ReadingInput, type Repeats as RepeatsAnswer } from '@clay-pot/core';

/** A reading as it is stored. */
export interface StoredReading extends Reading {
  id: string;
}

/** Twice the rows of a file: a row of both hands is two readings. */
export const MOST_READINGS_AT_ONCE = 2000;
/** Many readings of one athlete at once, each with the id that it is to have: all of them are kept, or none. */
export const READINGS_INPUT = record({
  readings: list(record({ id: idOf('a reading'), reading: READING }), { min: 1, max: MOST_READINGS_AT_ONCE }),
});
/** Many readings at once. */
export type ReadingsInput = Of<typeof READINGS_INPUT>;

/** What became of many readings. */
export interface ReadingsAdded {
  /** How many are new. */
  added: number;
  /** How many were there already: the same file came before. */
  known: number;
}
