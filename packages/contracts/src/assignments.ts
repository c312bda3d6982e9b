import { list, oneOf, WEEKDAYS } from '@clay-pot/core';
import { IsDay, IsId } from './validation/fields.js';
import { IsDocument } from './validation/is-document.js';

/** A sequence given to an athlete, and on which days of the week (ISO: Monday 1 … Sunday 7). */
export class AssignmentInput {
  @IsId('a sequence')
  readonly sequenceId: string;
  @IsId('an athlete')
  readonly athleteId: string;
  @IsDocument(list(oneOf<number>(WEEKDAYS), { min: 1, max: WEEKDAYS.length, unique: true, what: 'weekdays, each once' }))
  readonly weekdays: readonly number[];
  @IsDay()
  readonly fromDay: string;
}

/** As it was given, with its id and the names that a list shows. */
export interface AssignmentItem extends AssignmentInput {
  id: string;
  athleteName: string;
  sequenceTitle: string;
}
