import type { Sequence } from '../model/sequence.js';
import type { Playhead } from './playhead.js';
import type { Timeline } from './timeline.js';

const MINUTE_MS = 60_000;

/**
 * Where the clock goes on when it comes to bonus blocks: past those that the minutes of the session have no room for any more. A bonus block that
 * was begun goes on.
 * @param passedMs since the session began, pauses included
 */
export function pastBonus(
  sequence: Pick<Sequence, 'blocks' | 'budgetMin'>,
  timeline: Timeline,
  head: Playhead,
  passedMs: number,
): Playhead {
  let at = head;
  for (;;) {
    const event = timeline.events[at.event];
    const before = timeline.events[at.event - 1];
    if (!event || !sequence.blocks[event.blockIndex]?.bonus) return at;
    const isBegun = before?.blockIndex === event.blockIndex && before.round === event.round;
    const turn = timeline.turns.find(({ blockIndex, round }) => blockIndex === event.blockIndex && round === event.round);
    if (isBegun || !turn || passedMs + (turn.endMs - turn.startMs) <= sequence.budgetMin * MINUTE_MS) return at;
    const next = timeline.events.findIndex(({ startMs }, index) => index > at.event && startMs >= turn.endMs);
    at = { event: next < 0 ? timeline.events.length : next, elapsedMs: 0, addedMs: 0 };
  }
}
