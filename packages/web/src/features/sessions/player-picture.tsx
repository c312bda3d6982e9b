import { type Beat, handNow, type Level, type Movement, REFERENCE_BODIES, type TimelineEvent } from '@clay-pot/core';
import { useCallback, useEffect, useRef } from 'react';
import { MovingPicture } from '../../domain/movement/moving-picture.js';
import { usePlayhead } from '../../store/playhead.js';
import type { Run } from '../../store/run.js';

/** The hand does what the count says, now: between two ticks of the clock it goes on by itself. */
export function PlayerPicture({
  run,
  event,
  movement,
  level,
  className,
}: {
  run: Run;
  event: TimelineEvent;
  movement: Movement;
  level: Level;
  className: string;
}) {
  const { paused } = run;
  const now = useRef({ event, paused });
  // When the clock came to where it is: between two of its ticks the hand goes on by itself.
  const seen = useRef({ head: usePlayhead.getState().head, atMs: 0 });
  useEffect(() => {
    now.current = { event, paused };
    seen.current = { head: usePlayhead.getState().head, atMs: performance.now() };
  }, [event, paused]);
  const beat = useCallback((): Beat => {
    const { event: on, paused: isPaused } = now.current;
    const { head } = usePlayhead.getState();
    if (head !== seen.current.head) seen.current = { head, atMs: performance.now() };
    const sinceMs = isPaused ? 0 : Math.min(LONGEST_TICK_MS, performance.now() - seen.current.atMs);
    return handNow(movement, level, on, Math.min(on.durationMs, head.elapsedMs + sinceMs)).beat;
  }, [movement, level]);
  return (
    <MovingPicture
      movement={movement}
      level={level}
      body={REFERENCE_BODIES['not stated']}
      side={event.side === 'right' ? 'right' : 'left'}
      moving={!paused}
      beat={beat}
      className={className}
    />
  );
}

/** The clock looks again at least this often; a page that slept waits for it. */
const LONGEST_TICK_MS = 1200;
