import type { AssignmentInput } from '@clay-pot/contracts';
import { useCallback } from 'react';
import { v7 as uuid } from 'uuid';
import { useSaveAssignment } from '../../api/queries.js';
import { isoToday } from '../../ui/today.js';

/** Monday, Wednesday, Friday: the most common start; it can be changed on the person’s page. */
const USUAL_WEEKDAYS = [1, 3, 5];

/** Gives somebody a sequence, on the usual days from today on. */
export function useAssignSequence(): (athleteId: string, sequenceId: string) => Promise<unknown> {
  const { mutateAsync } = useSaveAssignment();
  return useCallback(
    (athleteId, sequenceId) => {
      const input: AssignmentInput = { athleteId, sequenceId, weekdays: [...USUAL_WEEKDAYS], fromDay: isoToday() };
      return mutateAsync({ id: uuid(), input });
    },
    [mutateAsync],
  );
}
