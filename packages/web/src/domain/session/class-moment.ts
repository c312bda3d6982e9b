import {
  classAfter,
  classAt,
  type ClassSession,
  type ClassState,
  isOver,
  type MovementLookup,
  timelineOf,
  type Timeline,
  untilNextChangeMs,
} from '@clay-pot/core';
import { useEffect, useMemo, useState } from 'react';
import { classNow, type ClassRun } from '../../store/class-run.js';
import { useStudioLibrary } from '../../store/library.js';

/** A class at this moment. */
export interface ClassMoment {
  readonly state: ClassState;
  readonly timeline: Timeline;
  readonly lookup: MovementLookup;
}

/** Finds movements of the studio, and on a device that joined those that came with the class. */
export function useClassLookup({ own }: Pick<ClassRun, 'own'>): MovementLookup {
  const library = useStudioLibrary();
  return useMemo(() => {
    if (own.length === 0) return library.movement;
    const byId = new Map(own.map((movement) => [movement.id, movement]));
    return (id) => byId.get(id) ?? library.movement(id);
  }, [library, own]);
}

const reached = new WeakMap<ClassState, ClassState>();
/** A class at a moment, from the one that was looked at before: a long class isn’t gone through again each second. */
function reachedAt(session: ClassSession, timeline: Timeline, base: ClassState, nowMs: number): ClassState {
  const before = reached.get(base);
  const state = classAt(session, timeline, before && before.nowMs <= nowMs ? before : base, nowMs);
  reached.set(base, state);
  return state;
}

/** A class as it goes: drawn again whenever something that is shown of it changes. */
export function useClassMoment(run: ClassRun): ClassMoment {
  const lookup = useClassLookup(run);
  const { session, events } = run;
  const timeline = timelineOf(session.sequence, lookup);
  const base = useMemo(() => classAfter(session, events, lookup), [session, events, lookup]);
  const [nowMs, look] = useState(() => classNow(run));
  const state = useMemo(() => reachedAt(session, timeline, base, nowMs), [session, timeline, base, nowMs]);
  const { head, paused, endedMs } = state;
  const { shiftMs } = run;
  // A clock that was wrong is right from now on, and a page that slept is behind.
  useEffect(() => {
    const lookNow = () => look(classNow({ shiftMs }));
    lookNow();
    document.addEventListener('visibilitychange', lookNow);
    return () => document.removeEventListener('visibilitychange', lookNow);
  }, [shiftMs]);
  useEffect(() => {
    if (paused || endedMs !== null || isOver(timeline, head)) return;
    const lateMs = classNow({ shiftMs }) - state.nowMs;
    const timer = setTimeout(() => look(classNow({ shiftMs })), Math.max(0, Math.ceil(untilNextChangeMs(timeline, head) - lateMs)));
    return () => clearTimeout(timer);
  }, [timeline, head, paused, endedMs, shiftMs, state.nowMs]);
  return { state, timeline, lookup };
}
