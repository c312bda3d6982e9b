import { idOf, list, READING, record, type Reading } from '@clay-pot/core';
import { bodyOf, IsDocument } from './validation/is-document.js';

export type { Repeats as RepeatsAnswer } from '@clay-pot/core';

/** A reading as it is sent. */
export class ReadingInput extends bodyOf(READING) {}

/** A reading as it is stored. */
export interface StoredReading extends Reading {
  id: string;
}

/** Twice the rows of a file: a row of both hands is two readings. */
export const MOST_READINGS_AT_ONCE = 2000;
const READING_WITH_ID = record({ id: idOf('a reading'), reading: READING });

/** Many readings of one athlete at once, each with the id that it is to have: all of them are kept, or none. */
export class ReadingsInput {
  @IsDocument(list(READING_WITH_ID, { min: 1, max: MOST_READINGS_AT_ONCE }))
  readonly readings: readonly { readonly id: string; readonly reading: Reading }[];
}

/** What became of many readings. */
export interface ReadingsAdded {
  /** How many are new. */
  added: number;
  /** How many were there already: the same file came before. */
  duplicates: number;
}
