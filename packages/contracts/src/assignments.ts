import { day, idOf, list, type Of, oneOf, record, WEEKDAYS } from '@clay-pot/core';

/** Gives a sequence to an athlete on weekdays (ISO: Monday 1 … Sunday 7). */
export const ASSIGNMENT_INPUT = record({
  sequenceId: idOf('a sequence'),
  athleteId: idOf('an athlete'),
  weekdays: list(oneOf<number>(WEEKDAYS), { min: 1, max: WEEKDAYS.length, unique: true, what: 'weekdays, each once' }),
  fromDay: day(),
});
/** A sequence given to an athlete, and on which days of the week. */
export type AssignmentInput = Of<typeof ASSIGNMENT_INPUT>;

/** As it was given, with its id and the names that a list shows. */
export interface AssignmentItem extends AssignmentInput {
  id: string;
  athleteName: string;
  sequenceTitle: string;
}
