import type { Athlete, ComposeWork, StoredIntake } from '@clay-pot/contracts';
import { type Block, cautionsOn, type Equipment, type Place, type Sequence } from '@clay-pot/core';
import { GOAL_OF_ASKED, methodFor, methodOf, TRAINING_GOALS } from '@clay-pot/core/library';
import { useMemo } from 'react';
import { useLevels, usePast } from '../../api/queries.js';
import { useStudioLibrary } from '../../store/library.js';
import { isoToday } from '../../ui/today.js';
import { useOwnMovements } from '../../store/own-movements.js';
import { useSubject } from '../athlete/named-subject.js';
import { useStandingCautions } from '../athlete/standing-cautions.js';

/** What a coach wants composed. */
export interface Wishes {
  readonly goalId: string;
  readonly minutes: number;
  readonly methodId: string;
  /** Things at hand today. */
  readonly equipment: readonly Equipment[];
  readonly notAt: readonly Place[];
  /** Movements left out for this once; those left out for the athlete are on their record. */
  readonly leftOut: readonly string[];
}

const USUAL_MINUTES = 20;
/** What is found in any room. */
const ANY_ROOM: readonly Equipment[] = ['mat', 'chair', 'table', 'wall', 'towel'];

/**
 * Where wishes begin for somebody: what they said they want, the minutes that they have, the things that are theirs, and the method that suits goal and hands.
 * @param intakes the newest first @param methodId of a sequence that has one
 */
export function firstWishes(athlete: Athlete | undefined, intakes: readonly StoredIntake[], methodId?: string): Wishes {
  const last = intakes[0]?.answers;
  const wanted = last?.goals[0];
  const goalId = wanted ? GOAL_OF_ASKED[wanted] : TRAINING_GOALS[0].id;
  return {
    goalId,
    minutes: last?.minutes ?? USUAL_MINUTES,
    methodId: methodId ?? methodFor(goalId, athlete ? cautionsOn(athlete, isoToday()) : []).id,
    equipment: athlete?.equipment ?? ANY_ROOM,
    notAt: [],
    leftOut: [],
  };
}

/** What a composition takes besides the wishes. */
export interface Around {
  readonly locked?: readonly Block[];
  readonly rounds?: Sequence['rounds'];
  readonly from?: Sequence | undefined;
  readonly others?: boolean | undefined;
}

/** Makes the work of a composition for somebody out of wishes. */
export function useComposeWork(athlete: Athlete | undefined): (wishes: Wishes, around?: Around) => ComposeWork {
  const { person } = useSubject(athlete?.id);
  const past = usePast(athlete?.id).data;
  const levels = useLevels(athlete?.id).data;
  const cautions = useStandingCautions(athlete);
  const library = useStudioLibrary();
  const stored = useOwnMovements((state) => state.stored);
  return useMemo(
    () =>
      ({ goalId, minutes, methodId, equipment, notAt, leftOut }, { locked, rounds, from, others } = {}) => ({
        goalId,
        minutes,
        method: methodOf({ methodId }, library.method),
        person,
        athlete: { cautions, equipment, leftOut: athlete?.leftOut },
        past: past ?? [],
        standings: (levels ?? []).flatMap(({ movementId, levelId, step, history: [last] }) =>
          last ? [{ movementId, levelId, step, last }] : [],
        ),
        now: new Date().toISOString(),
        own: stored.map(({ movement }) => movement),
        removedIds: stored.filter(({ removed }) => removed).map(({ id }) => id),
        notAt,
        leftOut,
        ...(locked && { locked }),
        ...(rounds && { rounds }),
        from,
        others,
      }),
    [person, past, levels, cautions, library, stored, athlete?.leftOut],
  );
}
