import {
  classAfter,
  classAt,
  type ClassState,
  isOver,
  type MovementLookup,
  timelineOf,
  type Timeline,
  untilNextChangeMs,
} from '@clay-pot/core';
import { useEffect, useMemo, useRef, useState } from 'react';
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

/** A class as it goes: drawn again whenever something that is shown of it changes. */
export function useClassMoment(run: ClassRun): ClassMoment {
  const lookup = useClassLookup(run);
  const { session, events } = run;
  const timeline = timelineOf(session.sequence, lookup);
  const base = useMemo(() => classAfter(session, events, lookup), [session, events, lookup]);
  const [nowMs, look] = useState(() => classNow(run));
  // From the moment that was looked at before: a long class is not gone through again each second.
  const last = useRef<{ base: ClassState; state: ClassState }>({ base, state: base });
  const from = last.current.base === base && last.current.state.nowMs <= nowMs ? last.current.state : base;
  const state = useMemo(() => classAt(session, timeline, from, nowMs), [session, timeline, from, nowMs]);
  useEffect(() => {
    last.current = { base, state };
  }, [base, state]);
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
