import type { Athlete } from '@clay-pot/contracts';
import { cautionsOn, daysBetween, evaluateProgramme, type PastSession, type Person, type Programme, type ProgrammeQuestion, type ProgrammeView } from '@clay-pot/core'; // prettier-ignore
import { useMemo } from 'react';
import { usePlanSequences } from '../../api/programme-queries.js';
import { usePast } from '../../api/queries.js';
import { useForWhom } from '../../domain/for-whom.js';
import { knownMovement, methodFor } from '../../store/library.js';
import { isoToday, localDay } from '../../ui/today.js';

/** Growth is judged by the four weeks before a programme, too. */
const BEFORE_DAYS = 28;
const MOST_DAYS = 220;

/** How far back a programme looks. */
export const daysBackOf = ({ fromDay }: Pick<Programme, 'fromDay'>): number =>
  Math.min(MOST_DAYS, BEFORE_DAYS + Math.max(0, Math.ceil(daysBetween(fromDay, isoToday()))));

/** Everything that a programme of somebody is computed from, besides itself; undefined while it is fetched. */
export function useProgrammeQuestion(
  athlete: Athlete,
  programme: Programme,
): Omit<ProgrammeQuestion, 'programme'> | undefined {
  const { person } = useForWhom(athlete.id);
  const sequences = usePlanSequences(programme.plans);
  const past = usePast(athlete.id, daysBackOf(programme)).data;
  const { methodId } = programme;
  return useMemo(
    () => sequences && past && { ...circumstancesOf(athlete, person, { methodId }, past), sequences },
    [sequences, past, person, methodId, athlete],
  );
}

/** Whose hands, by which method, and what was carried out: what a programme is computed from besides its sequences. */
export function circumstancesOf(
  athlete: Athlete,
  person: Person,
  { methodId }: { readonly methodId?: string | undefined },
  past: readonly PastSession[],
): Omit<ProgrammeQuestion, 'programme' | 'sequences'> {
  const today = isoToday();
  return {
    person,
    lookup: knownMovement,
    method: methodFor(methodId === undefined ? {} : { methodId }),
    athlete: { cautions: cautionsOn(athlete, today), equipment: athlete.equipment },
    ...carriedOut(past),
    today,
  };
}

function carriedOut(past: readonly PastSession[]): Pick<ProgrammeQuestion, 'past' | 'done'> {
  return {
    past: past.map(({ startedAt, doses, hard }) => ({ day: localDay(startedAt), doses, hard })),
    done: past.flatMap(({ startedAt, sequenceId }) =>
      sequenceId === undefined ? [] : [{ sequenceId, day: localDay(startedAt) }],
    ),
  };
}

/** A programme with all that is computed of it. */
export const useProgrammeView = (question: Omit<ProgrammeQuestion, 'programme'>, programme: Programme): ProgrammeView =>
  useMemo(() => evaluateProgramme({ ...question, programme }), [question, programme]);
