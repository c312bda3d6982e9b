import { isOver } from '@clay-pot/core';
import { useCallback, useEffect, useRef } from 'react';
import { classNow, type ClassRun, press } from '../../store/class-run.js';
import { methodFor } from '../../store/library.js';
import type { ClassMoment } from './class-moment.js';
import { useMediaKeys } from './media-keys.js';
import { useSpeech } from './use-speech.js';

/** Speaks a class on this device, where its voice is on. */
export function useClassSpeech(run: ClassRun, { state, timeline, lookup }: ClassMoment): void {
  const { head, paused, endedMs } = state;
  const seen = useRef({ run, state });
  useEffect(() => {
    seen.current = { run, state };
  });
  const headNow = useCallback(() => {
    const { run: of, state: at } = seen.current;
    const sinceMs = at.paused ? 0 : Math.max(0, classNow(of) - at.nowMs);
    return { ...at.head, elapsedMs: at.head.elapsedMs + sinceMs };
  }, []);
  useSpeech({
    sequence: run.session.sequence,
    lookup,
    method: methodFor(run.session.sequence),
    paused: paused || endedMs !== null || isOver(timeline, head),
    event: head.event,
    addedMs: head.addedMs,
    headNow,
  });
}

/** Has media keys and headset buttons control the clock of a class. */
export function useClassKeys(run: ClassRun, { state: { paused, head } }: ClassMoment): void {
  const { event } = head;
  const play = useCallback(() => void press({ kind: 'play' }), []);
  const pause = useCallback(() => void press({ kind: 'pause' }), []);
  const next = useCallback(() => void press({ kind: 'skip', event }), [event]);
  const previous = useCallback(() => void press({ kind: 'back', event }), [event]);
  useMediaKeys({ title: run.session.sequence.title, paused, play, pause, next, previous });
}
