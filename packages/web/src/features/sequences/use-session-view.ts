import {
  cautionsOn,
  type Finding,
  findingsOf,
  type Person,
  type Sequence,
  type SessionView,
  viewOf,
} from '@clay-pot/core';
import { useMemo } from 'react';
import type { Athlete } from '@clay-pot/contracts';
import { usePast } from '../../api/queries.js';
import { knownMovement, useLibrary } from '../../store/library.js';
import { useMethod } from '../../store/own-methods.js';
import { isoToday } from '../../ui/today.js';
import { useForWhom } from '../people/use-person.js';

/** For whom it is looked at. */
export interface SeenFor {
  readonly person: Person;
  readonly name: string;
  readonly athleteId: string | undefined;
}

/** A sequence with all that is computed of it, for whom it is looked at. */
export interface Seen {
  readonly view: SessionView;
  readonly findings: readonly Finding[];
  readonly whom: SeenFor;
  /** What was not on record and is taken from norms, in words. */
  readonly estimated: readonly string[];
}

const NO_PAST: never[] = [];

/** Computes everything that the editor shows, once per change. */
export function useSessionView(document: Sequence, athlete: Athlete | undefined): Seen {
  const { person, name, estimated } = useForWhom(athlete?.id);
  const past = usePast(athlete?.id).data ?? NO_PAST;
  const method = useMethod(document.methodId);
  const shelf = useLibrary();
  // The instant that recency is judged from: that of opening, so that it does not change under the hands.
  const now = useMemo(() => new Date().toISOString(), []);
  const known = useMemo(
    () => (athlete ? { cautions: cautionsOn(athlete, isoToday()), equipment: athlete.equipment } : null),
    [athlete],
  );
  const athleteId = athlete?.id;
  const whom = useMemo(() => ({ person, name, athleteId }), [person, name, athleteId]);
  return useMemo(() => {
    const view = viewOf({
      sequence: document,
      lookup: knownMovement,
      shelf,
      person,
      method,
      athlete: known,
      past,
      now,
    });
    return { view, findings: findingsOf(view), whom, estimated };
  }, [document, shelf, person, method, known, past, now, whom, estimated]);
}
