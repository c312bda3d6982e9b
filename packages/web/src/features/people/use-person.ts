import { type Person, personOf, referencePerson, REFERENCE_BODIES } from '@clay-pot/core';
import { useMemo } from 'react';
import { useAthlete, useReadings } from '../../api/queries.js';
import { isoToday } from '../../ui/today.js';

/** Whom something is computed for. */
export interface ForWhom {
  readonly person: Person;
  readonly name: string;
  /** What is taken from a reference person because it is not on record. */
  readonly estimated: readonly string[];
  readonly known: boolean;
}

/** An athlete as the computations read one; without an athlete the reference person. */
export function useForWhom(athleteId: string | undefined): ForWhom {
  const athlete = useAthlete(athleteId).data;
  const readings = useReadings(athleteId).data;
  return useMemo(() => {
    const today = isoToday();
    if (!athlete) {
      const person = referencePerson(REFERENCE_BODIES['not stated'], today);
      return { person, name: 'an average adult', estimated: [], known: false };
    }
    const { person, estimated } = personOf(athlete, readings ?? [], today);
    return { person, name: athlete.name, estimated, known: true };
  }, [athlete, readings]);
}
