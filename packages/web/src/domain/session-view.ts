import { compileTimeline, type Sequence, type SessionView, type Timeline, viewOf } from '@clay-pot/core';
import { useMemo } from 'react';
import type { Athlete } from '@clay-pot/contracts';
import { type Known, methodOf } from '@clay-pot/core/library';
import { usePast } from '../api/queries.js';
import { useKnown } from '../store/library.js';
import { type ForWhom, useForWhom } from './for-whom.js';
import { useStandingCautions } from './standing-cautions.js';

/** A sequence with all that is computed of it, and for whom. */
export interface Seen {
  readonly view: SessionView;
  readonly whom: ForWhom;
}

const NO_PAST: never[] = [];

const compiled = new WeakMap<Known, WeakMap<Sequence, Timeline>>();

/** The timeline of a document, compiled once however many ask: the rows at once, the rest a frame later. */
export function timelineOf(document: Sequence, known: Known): Timeline {
  const ofKnown = compiled.get(known) ?? new WeakMap<Sequence, Timeline>();
  compiled.set(known, ofKnown);
  const timeline = ofKnown.get(document) ?? compileTimeline(document, known.movement);
  ofKnown.set(document, timeline);
  return timeline;
}

/** Computes a sequence for somebody, once per change: what the editor shows, and whether a session may begin. */
export function useSessionView(document: Sequence, athlete: Athlete | undefined): Seen {
  const whom = useForWhom(athlete?.id);
  const { person } = whom;
  const past = usePast(athlete?.id).data ?? NO_PAST;
  const known = useKnown();
  // The instant that recency is judged from: that of opening, so that it does not change under the hands.
  const now = useMemo(() => new Date().toISOString(), []);
  const cautions = useStandingCautions(athlete);
  const minded = useMemo(() => (athlete ? { cautions, equipment: athlete.equipment } : null), [athlete, cautions]);
  return useMemo(() => {
    const { movement: lookup, shelf } = known;
    const method = methodOf(document, known.method);
    const asked = { sequence: document, lookup, shelf, person, method, athlete: minded, past, now };
    return { view: viewOf(asked, timelineOf(document, known)), whom };
  }, [document, known, person, minded, past, now, whom]);
}
