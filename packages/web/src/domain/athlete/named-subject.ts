import { type Subject as SubjectOnRecord, personOf, referencePerson, REFERENCE_BODIES } from '@clay-pot/core';
import { useMemo } from 'react';
import { useAthlete, useEvidence, useReadings } from '../../api/queries.js';
import { useGrades } from '../../store/grades.js';
import { isoToday } from '../../ui/today.js';

/** Whom something is computed for, and what they are called on a screen. */
export interface NamedSubject extends SubjectOnRecord {
  readonly name: string;
  /** Undefined for the reference person. */
  readonly athleteId: string | undefined;
  /** Whether tests and sessions of theirs are still on their way: numbers may change once they are here. */
  readonly isLoading: boolean;
}

/** An athlete as the computations read one; without an athlete the reference person. */
export function useSubject(athleteId: string | undefined): NamedSubject {
  const { data: athlete, isLoading: athleteLoads } = useAthlete(athleteId);
  const { data: readings, isLoading: readingsLoad } = useReadings(athleteId);
  const { data: seen, isLoading: evidenceLoads } = useEvidence(athleteId);
  const isLoading = athleteLoads || readingsLoad || evidenceLoads;
  const grades = useGrades((state) => state.stored);
  return useMemo(() => {
    const today = isoToday();
    if (!athlete) {
      const person = referencePerson(REFERENCE_BODIES['not stated'], today);
      return { person, name: 'an average adult', estimated: [], athleteId: undefined, isLoading };
    }
    const { person, estimated } = personOf(athlete, readings ?? [], today, seen);
    return { person: { ...person, grades }, estimated, name: athlete.name, athleteId: athlete.id, isLoading };
  }, [athlete, readings, seen, grades, isLoading]);
}
