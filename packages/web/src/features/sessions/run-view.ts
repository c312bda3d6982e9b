import { type SessionView, viewOf } from '@clay-pot/core';
import { useMemo } from 'react';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { movementById, methodFor, useStudioLibrary } from '../../store/library.js';
import { type Run, ledTimeline } from '../../store/run.js';

/** What is led, and for whom. */
export type Led = Pick<Run, 'sequence' | 'athleteId' | 'cautions' | 'equipment' | 'leftOut'>;

/** What is led with all that is computed of it. Without a network the cautions are those that the session began with. */
export function useRunView({ sequence, athleteId, cautions, equipment, leftOut }: Led): SessionView {
  const { person } = useSubject(athleteId);
  const { shelf } = useStudioLibrary();
  return useMemo(() => {
    const question = { sequence, lookup: movementById, shelf, person, method: methodFor(sequence) };
    const now = `${person.today}T00:00:00.000Z`;
    return viewOf({ ...question, athlete: { cautions, equipment, leftOut }, past: [], now }, ledTimeline(sequence));
  }, [sequence, shelf, person, cautions, equipment, leftOut]);
}
