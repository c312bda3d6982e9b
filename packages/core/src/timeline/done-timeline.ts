import { itemAt, must } from '../vocabulary/lists.js';
import { turnKey } from '../model/rounds.js';
import type { CountedSet } from '../model/session.js';
import { pieceKey, plannedAgainstDone } from './planned-done.js';
import { blockSpansOf, type EventKind, type Timeline, type TimelineEvent, workedMs } from './timeline.js';

/**
 * The timeline of what was really done: the plan's own, with each piece of work cut (or left out) to what was recorded, and the clock closed
 * up behind it. Whatever leads to work that was not done goes with it. Levels are the plan's: an easier one taken on the spot keeps its block.
 * Work beyond the plan counts as the plan's: the record says how much, not how long.
 */
export function doneTimeline(plan: Timeline, sets: readonly CountedSet[]): Timeline {
  const rows = plannedAgainstDone(plan, sets);
  const ratios = new Map(rows.map((row) => [pieceKey(row), Math.min(1, (row.doneAmount ?? 0) / row.plannedAmount)]));
  const shares = plan.stints.map((stint) => {
    const sides = stint.alternating ? (['left', 'right'] as const) : [stint.side];
    return Object.fromEntries(sides.map((side) => [side, ratios.get(pieceKey({ ...stint, side })) ?? 0]));
  });
  const workedTurns = new Set(
    plan.stints.filter(({ index }) => Object.values(itemAt(shares, index)).some((share) => share > 0)).map(turnKey),
  );
  let clockMs = 0;
  const events: TimelineEvent[] = [];
  for (const event of plan.events) {
    const done = event.stint === null ? leads(event, workedTurns) : cut(event, plan, itemAt(shares, event.stint));
    if (!done) continue;
    events.push({ ...done, startMs: clockMs });
    clockMs += done.durationMs;
  }
  return closed(plan, events, clockMs);
}

/** Announcements, changes and rests stay where their turn was worked at all. */
const leads = (event: TimelineEvent, worked: ReadonlySet<string>) => (worked.has(turnKey(event)) ? event : null);

/** Counted work loses its last pieces, timed work its end. */
const COUNTED: readonly EventKind[] = ['repetition', 'breath'];

function cut(event: TimelineEvent, plan: Timeline, shares: Record<string, number>): TimelineEvent | null {
  const share = shares[event.side] ?? 0;
  const stint = itemAt(plan.stints, must(event.stint, 'a stint of what is worked'));
  if (COUNTED.includes(event.kind)) {
    return (event.repetition ?? 1) <= Math.round(share * stint.plannedAmount) ? { ...event, open: false } : null;
  }
  const durationMs = Math.round(event.durationMs * share);
  if (durationMs === 0) return null;
  return { ...event, open: false, durationMs, parts: event.parts.map((part) => ({ ...part, durationMs })) };
}

function closed(plan: Timeline, events: readonly TimelineEvent[], durationMs: number): Timeline {
  const turns = plan.turns.map((turn) => {
    const mine = events.filter(({ blockIndex, round }) => blockIndex === turn.blockIndex && round === turn.round);
    const startMs = mine[0]?.startMs ?? 0;
    const last = mine.at(-1);
    const workMs = mine.reduce((sum, event) => sum + (event.stint === null ? 0 : workedMs(event)), 0);
    return { ...turn, startMs, endMs: last ? last.startMs + last.durationMs : startMs, workMs };
  });
  const blocks = blockSpansOf(
    turns.filter(({ startMs, endMs }) => endMs > startMs),
    plan.blocks.map(({ blockId: id, phase }) => ({ id, phase })),
  );
  const stints = plan.stints.flatMap((stint) => {
    const first = events.findIndex((event) => event.stint === stint.index);
    if (first < 0) return [];
    const lastEvent = events.findLastIndex((event) => event.stint === stint.index);
    const end = itemAt(events, lastEvent);
    return [
      {
        ...stint,
        firstEvent: first,
        lastEvent,
        startMs: itemAt(events, first).startMs,
        endMs: end.startMs + end.durationMs,
      },
    ];
  });
  return { events, stints: stints.map((stint, index) => ({ ...stint, index })), turns, blocks, durationMs, plannedMs: durationMs };
}
