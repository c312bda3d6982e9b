import type { Athlete } from '@clay-pot/contracts';
import {
  carriedOutOn,
  lookBackDays,
  type PastSession,
  type Person,
  type Programme,
  type ProgrammeQuestion,
  type RecordedCaution,
} from '@clay-pot/core';
import { useMemo } from 'react';
import { usePlanSequences } from '../../api/programme-queries.js';
import { usePast } from '../../api/queries.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { methodFor, movementById, studioLibrary } from '../../store/library.js';
import { isoToday } from '../../ui/today.js';

/** Everything that a programme of somebody is computed from, besides itself; undefined while it is fetched. */
export function useProgrammeQuestion(athlete: Athlete, programme: Programme): Omit<ProgrammeQuestion, 'programme'> | undefined {
  const { person } = useSubject(athlete.id);
  const sequences = usePlanSequences(programme.plans);
  const past = usePast(athlete.id, lookBackDays(programme, isoToday())).data;
  const cautions = useStandingCautions(athlete);
  const { methodId } = programme;
  const { equipment, leftOut } = athlete;
  return useMemo(
    () => sequences && past && { ...circumstancesOf({ person, cautions, equipment, leftOut, methodId, past }), sequences },
    [sequences, past, person, cautions, equipment, leftOut, methodId],
  );
}

/** Whose hands, with what on record and at hand, by which method, and what was carried out. */
interface Circumstances {
  readonly person: Person;
  /** As they stand, those of this device among them. */
  readonly cautions: readonly RecordedCaution[];
  readonly equipment: Athlete['equipment'];
  readonly leftOut: Athlete['leftOut'];
  readonly methodId: string | undefined;
  readonly past: readonly PastSession[];
}

/** What a programme is computed from besides its sequences. */
export const circumstancesOf = ({
  person,
  cautions,
  equipment,
  leftOut,
  methodId,
  past,
}: Circumstances): Omit<ProgrammeQuestion, 'programme' | 'sequences'> => ({
  person,
  lookup: movementById,
  shelf: studioLibrary().shelf,
  method: methodFor(methodId === undefined ? {} : { methodId }),
  athlete: { cautions, equipment, leftOut },
  ...carriedOutOn(past),
  today: isoToday(),
});
