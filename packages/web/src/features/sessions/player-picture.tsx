import { type Beat, handNow, type Level, type Movement, REFERENCE_BODIES, type TimelineEvent } from '@clay-pot/core';
import { useCallback, useEffect, useRef } from 'react';
import { MovingPicture } from '../../domain/moving-picture.js';
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
  const { head, paused } = run;
  const now = useRef({ event, head, paused, seenAt: 0 });
  useEffect(() => {
    now.current = { event, head, paused, seenAt: performance.now() };
  }, [event, head, paused]);
  const beat = useCallback((): Beat => {
    const { event: on, head: at, paused: stands, seenAt } = now.current;
    const sinceMs = stands ? 0 : Math.min(LONGEST_TICK_MS, performance.now() - seenAt);
    return handNow(movement, level, on, Math.min(on.durationMs, at.elapsedMs + sinceMs)).beat;
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

/** The clock is told at least this often; a page that slept waits for it. */
const LONGEST_TICK_MS = 400;
