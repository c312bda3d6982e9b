import { type Sequence, type SessionView, timelineOf, viewOf } from '@clay-pot/core';
import { useMemo, useState } from 'react';
import type { Athlete } from '@clay-pot/contracts';
import { methodOf } from '@clay-pot/core/library';
import { usePast } from '../../api/queries.js';
import { useStudioLibrary } from '../../store/library.js';
import { type ForWhom, useForWhom } from '../athlete/for-whom.js';
import { useStandingCautions } from '../athlete/standing-cautions.js';

/** A sequence with all that is computed of it, and for whom. */
export interface Seen {
  readonly view: SessionView;
  readonly whom: ForWhom;
}

const NO_PAST: never[] = [];

/** Computes a sequence for somebody, once per change: what the editor shows, and whether a session may begin. */
export function useSessionView(document: Sequence, athlete: Athlete | undefined): Seen {
  const whom = useForWhom(athlete?.id);
  const { person } = whom;
  const past = usePast(athlete?.id).data ?? NO_PAST;
  const known = useStudioLibrary();
  // The instant that recency is judged from: that of opening, so that it does not change under the hands.
  const [now] = useState(() => new Date().toISOString());
  const cautions = useStandingCautions(athlete);
  const minded = useMemo(() => (athlete ? { cautions, equipment: athlete.equipment } : null), [athlete, cautions]);
  return useMemo(() => {
    const { movement: lookup, shelf } = known;
    const method = methodOf(document, known.method);
    const asked = { sequence: document, lookup, shelf, person, method, athlete: minded, past, now };
    return { view: viewOf(asked, timelineOf(document, lookup)), whom };
  }, [document, known, person, minded, past, now, whom]);
}
