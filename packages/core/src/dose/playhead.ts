import type { WorkingSide } from '../anatomy/sides.js';
import type { Bout, EventPart, Timeline, TimelineEvent } from './timeline.js';

/** Where a session stands on its timeline. Plain data: it is stored as it is, so that a reload goes on from here. */
export interface Playhead {
  /** Index of the current event; equal to the number of events when the session is over. */
  readonly event: number;
  readonly elapsedMs: number;
  /** Time the coach has added to the current event. */
  readonly addedMs: number;
}

export const AT_START: Playhead = { event: 0, elapsedMs: 0, addedMs: 0 };

/** How soon after a bout's start “back” means the one before, in milliseconds: as on any player. */
const BACK_WINDOW_MS = 2000;

/** What one hand, or both together, did of a bout. */
export interface DoneAmount {
  readonly side: WorkingSide;
  readonly amount: number;
}

/** A bout that has just ended, with what was done of it. */
export interface EndedBout {
  readonly bout: Bout;
  readonly done: readonly DoneAmount[];
}

export interface Move {
  readonly head: Playhead;
  /** Bouts that ended by this move, in order. */
  readonly ended: readonly EndedBout[];
}

export const isOver = (timeline: Timeline, head: Playhead) => head.event >= timeline.events.length;

/** Runs the clock on. Crosses any number of events: a phone that slept for a minute catches up in one call. */
export function advance(timeline: Timeline, head: Playhead, deltaMs: number): Move {
  const ended: EndedBout[] = [];
  let { event: index, elapsedMs, addedMs } = head;
  elapsedMs += deltaMs;
  for (let event = timeline.events[index]; event; event = timeline.events[index]) {
    const lengthMs = event.durationMs + addedMs;
    if (elapsedMs < lengthMs) break;
    const bout = event.bout === null ? undefined : timeline.bouts[event.bout];
    if (bout && bout.lastEvent === index) {
      ended.push({ bout, done: doneOf(timeline, bout, { event: index, elapsedMs: lengthMs, addedMs }) });
    }
    elapsedMs -= lengthMs;
    addedMs = 0;
    index += 1;
  }
  const over = index >= timeline.events.length;
  return { head: { event: index, elapsedMs: over ? 0 : elapsedMs, addedMs }, ended };
}

/** Adds time to the current event: ten more seconds of a hold, of a rest. */
export function extend(timeline: Timeline, head: Playhead, extraMs: number): Playhead {
  return isOver(timeline, head) ? head : { ...head, addedMs: head.addedMs + extraMs };
}

/** Leaves the current bout, rest or announcement. A bout left early ends with what was done of it. */
export function skip(timeline: Timeline, head: Playhead): Move {
  const bout = currentBout(timeline, head);
  if (!bout) return { head: jump(Math.min(head.event + 1, timeline.events.length)), ended: [] };
  return { head: jump(bout.lastEvent + 1), ended: [{ bout, done: doneOf(timeline, bout, head) }] };
}

/** Leaves the whole block for the next one, or for the end. */
export function skipBlock(timeline: Timeline, head: Playhead): Move {
  const now = timeline.events[head.event];
  if (!now) return { head, ended: [] };
  const next = timeline.events.findIndex((event) => event.blockIndex > now.blockIndex);
  const bout = currentBout(timeline, head);
  const ended = bout ? [{ bout, done: doneOf(timeline, bout, head) }] : [];
  return { head: jump(next < 0 ? timeline.events.length : next), ended };
}

/** To the start of the current bout; or, when hardly begun or between bouts, of the one before. */
export function back(timeline: Timeline, head: Playhead): Playhead {
  const bout = currentBout(timeline, head);
  if (bout && (head.event > bout.firstEvent || head.elapsedMs >= BACK_WINDOW_MS)) return jump(bout.firstEvent);
  const previous = timeline.bouts.findLast((candidate) => candidate.lastEvent < head.event);
  return jump(previous?.firstEvent ?? 0);
}

const jump = (event: number): Playhead => ({ event, elapsedMs: 0, addedMs: 0 });

function currentBout(timeline: Timeline, head: Playhead): Bout | undefined {
  const bout = timeline.events[head.event]?.bout;
  return bout === null || bout === undefined ? undefined : timeline.bouts[bout];
}

/** What has been done of a bout when the clock stands at `head`: finished repetitions or breaths, or whole seconds. */
export function doneOf(timeline: Timeline, bout: Bout, head: Playhead): DoneAmount[] {
  if (bout.unit === 'seconds') return [{ side: bout.side, amount: Math.floor(head.elapsedMs / 1000) }];
  const finished = timeline.events
    .slice(bout.firstEvent, bout.lastEvent + 1)
    .filter((event, offset) => isFinished(event, bout.firstEvent + offset, head));
  const sides: WorkingSide[] = bout.alternating ? ['left', 'right'] : [bout.side];
  return sides.map((side) => ({ side, amount: finished.filter((event) => event.side === side).length }));
}

function isFinished(event: TimelineEvent, index: number, head: Playhead): boolean {
  return index < head.event || (index === head.event && head.elapsedMs >= event.durationMs);
}

/** The part of the current event that the clock is in, with what is left of it. Added time lengthens the last part. */
export function currentPart(event: TimelineEvent, head: Playhead): { part: EventPart; leftMs: number } {
  let left = head.elapsedMs;
  const last = event.parts.length - 1;
  for (const [index, part] of event.parts.entries()) {
    const lengthMs = part.durationMs + (index === last ? head.addedMs : 0);
    if (left < lengthMs || index === last) return { part, leftMs: Math.max(0, lengthMs - left) };
    left -= lengthMs;
  }
  throw new Error('An event has no parts.');
}

/** Time left of the whole session. */
export function remainingMs(timeline: Timeline, head: Playhead): number {
  const event = timeline.events[head.event];
  return event ? timeline.durationMs - event.startMs - head.elapsedMs + head.addedMs : 0;
}

/**
 * Carries a playhead over to another compilation of the same session, made when a block's level was changed on the spot:
 * the current bout begins anew there, or, between bouts, the same moment before or after it.
 */
export function rejoin(from: Timeline, to: Timeline, head: Playhead): Playhead {
  const now = from.events[head.event];
  if (!now) return jump(to.events.length);
  const bout = currentBout(from, head) ?? from.bouts.find((candidate) => candidate.firstEvent > head.event);
  const there = bout && to.bouts[bout.index];
  if (!bout || !there) return jump(to.events.length);
  if (now.bout !== null) return jump(there.firstEvent);
  const before = to.events.findIndex(
    (event) =>
      event.blockId === now.blockId && event.kind === now.kind && event.set === now.set && event.side === now.side,
  );
  return before >= 0 ? { ...head, event: before } : jump(there.firstEvent);
}
