import {
  cuesFor,
  type Method,
  type MovementLookup,
  type Playhead,
  type Sequence,
  timelineOf,
  type Utterance,
  voiceScript,
} from '@clay-pot/core';
import { useEffect, useMemo, useRef } from 'react';
import { useOwnNames } from '../../store/own-names.js';
import { hush, leadMs, prepareVoice, say, useVoice } from './voice.js';

/** A session as it is spoken: where its clock is, and since when. */
interface Spoken {
  readonly sequence: Sequence;
  readonly lookup: MovementLookup;
  readonly method: Method;
  readonly paused: boolean;
  /** The event on screen, and what was added to it. */
  readonly event: number;
  readonly addedMs: number;
  /** Where its clock is this moment. */
  readonly headNow: () => Playhead;
}

/** Later than this it is not said at all: a count off its beat confuses. */
const TOO_LATE_MS = 150;

/** Speaks while the clock runs: what belongs to the event on screen and to the next, each a little before its moment, so that it begins on it. */
export function useSpeech({ sequence, lookup, method, paused, event, addedMs, headNow }: Spoken): void {
  const on = useVoice((state) => state.on);
  const names = useOwnNames((state) => state.stored);
  const script = useMemo(() => {
    if (!on) return null;
    return voiceScript(sequence, timelineOf(sequence, lookup), {
      lookup,
      nameOf: ({ id, name }) => names.find(({ movementId }) => movementId === id)?.name ?? name,
      cuesOf: (movement, level) => cuesFor(movement, level, method),
    });
  }, [on, sequence, lookup, method, names]);
  const begun = useRef<{ script: unknown; event: number; said: Set<Utterance> }>({ script: null, event: -1, said: new Set() });
  useEffect(() => {
    if (on) prepareVoice();
  }, [on]);
  useEffect(() => {
    if (!script || paused) return;
    const { events } = timelineOf(sequence, lookup);
    // Whoever goes back hears it again.
    if (begun.current.script !== script || event < begun.current.event) begun.current = { script, event, said: new Set() };
    begun.current.event = event;
    const { said } = begun.current;
    const head = headNow();
    const nowMs = performance.now();
    const timers = script.flatMap((utterance) => {
      if (said.has(utterance) || utterance.event < event || utterance.event > event + 1) return [];
      const dueInMs = untilDue(events, utterance, { ...head, event, addedMs });
      if (dueInMs === null || dueInMs < -TOO_LATE_MS) return [];
      const speak = () => {
        said.add(utterance);
        say(utterance, nowMs + dueInMs);
      };
      return [setTimeout(speak, Math.max(0, dueInMs - leadMs()))];
    });
    return () => timers.forEach((timer) => clearTimeout(timer));
  }, [script, sequence, lookup, paused, event, addedMs, headNow]);
  useEffect(() => (paused ? hush() : undefined), [paused]);
  useEffect(() => hush, []);
}

/** How long until something is due, milliseconds; null where nobody knows, because the event before it lasts until somebody says that it is over. */
function untilDue(events: ReturnType<typeof timelineOf>['events'], { event, from, offsetMs }: Utterance, head: Playhead): number | null {
  const [now, its] = [events[head.event], events[event]];
  if (!now || !its) return null;
  const isNext = event !== head.event;
  if (isNext && (now.untilConfirmed || now.open)) return null;
  const leftMs = isNext ? now.durationMs + head.addedMs : 0;
  const lengthMs = its.durationMs + (isNext ? 0 : head.addedMs);
  return leftMs + (from === 'start' ? offsetMs : lengthMs - offsetMs) - head.elapsedMs;
}
