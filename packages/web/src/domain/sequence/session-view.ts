import { type Sequence, type SessionView, timelineOf, viewOf } from '@clay-pot/core';
import { useMemo, useState } from 'react';
import type { Athlete } from '@clay-pot/contracts';
import { methodOf } from '@clay-pot/core/library';
import { usePast } from '../../api/queries.js';
import { useStudioLibrary } from '../../store/library.js';
import { type NamedSubject, useSubject } from '../athlete/named-subject.js';
import { useStandingCautions } from '../athlete/standing-cautions.js';

/** A sequence with all that is computed of it, and for subject. */
export interface SequenceView {
  readonly view: SessionView;
  readonly subject: NamedSubject;
}

const NO_PAST: never[] = [];

/** Computes a sequence for somebody, once per change: what the editor shows, and whether a session may begin. */
export function useSessionView(document: Sequence, athlete: Athlete | undefined): SequenceView {
  const subject = useSubject(athlete?.id);
  const { person } = subject;
  const past = usePast(athlete?.id).data ?? NO_PAST;
  const library = useStudioLibrary();
  // The instant that recency is judged from: that of opening, so that it does not change under the hands.
  const [now] = useState(() => new Date().toISOString());
  const cautions = useStandingCautions(athlete);
  const restricted = useMemo(
    () => (athlete ? { cautions, equipment: athlete.equipment, leftOut: athlete.leftOut } : null),
    [athlete, cautions],
  );
  return useMemo(() => {
    const { movement: lookup, shelf } = library;
    const method = methodOf(document, library.method);
    const question = { sequence: document, lookup, shelf, person, method, athlete: restricted, past, now };
    return { view: viewOf(question, timelineOf(document, lookup)), subject };
  }, [document, library, person, restricted, past, now, subject]);
}
