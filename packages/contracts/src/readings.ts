import { HANDS, type Hand, type Reading, READING_KINDS, type ReadingKind } from '@clay-pot/core';
import { IsIn, IsNumber } from 'class-validator';
import { IsDay, Text } from './bounded.js';

/** One measured maximum or range. Whether `of` and the value fit the kind is checked against the core's list. */
export class ReadingInput implements Reading {
  @IsIn(READING_KINDS, { message: `must be one of ${READING_KINDS.join(', ')}` })
  kind: ReadingKind;

  /** An action for a maximum, a motion for a range. */
  @Text(40, 1)
  of: string;

  @IsIn(HANDS, { message: 'must be left or right' })
  hand: Hand;

  /** N·m or N for a maximum, degrees for a range. */
  @IsNumber({}, { message: 'must be a number' })
  value: number;

  @IsDay()
  onDay: string;
}

export interface StoredReading extends ReadingInput {
  id: string;
}
