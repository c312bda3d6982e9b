import type { Reading } from '@clay-pot/core';

export { READING as READING_INPUT, type Reading as ReadingInput } from '@clay-pot/core';

/** A reading as it is stored. */
export interface StoredReading extends Reading {
  id: string;
}
