import type { Timeline } from '@clay-pot/core';
import { useEffect, useRef } from 'react';
import { tone, vibrate } from '../../domain/session/tone.js';
import { usePlayhead } from '../../store/playhead.js';

/** How a phone that is held or lies on the floor tells the start and the end of work, milliseconds on and off. */
const START_MS = [200];
const END_MS = [80, 60, 80];

/** Tones for those who do not look: three short ones before work begins, a high one at its start, a low one at its end. */
export function useAudibleCues(timeline: Timeline, index: number, paused: boolean): void {
  const event = timeline.events[index];
  const next = timeline.events[index + 1];
  const leftS = usePlayhead(({ head }) => (event ? Math.ceil((event.durationMs + head.addedMs - head.elapsedMs) / 1000) : 0));
  const beforeWork = event?.stint === null && next !== undefined && next.stint !== null;
  const working = event ? event.stint !== null : false;
  const wasWorking = useRef(working);
  useEffect(() => {
    if (!paused && beforeWork && leftS >= 1 && leftS <= 3) tone(440, 0.12);
  }, [leftS, beforeWork, paused]);
  useEffect(() => {
    if (!paused && working !== wasWorking.current) {
      tone(working ? 880 : 330, 0.3);
      vibrate(working ? START_MS : END_MS);
    }
    wasWorking.current = working;
  }, [working, paused]);
  const repetition = event?.kind === 'repetition' ? event.repetition : null;
  useEffect(() => {
    if (!paused && repetition !== null && repetition > 1) tone(660, 0.06);
  }, [repetition, paused]);
}
