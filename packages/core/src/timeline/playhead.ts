import type { EventPart, Stint, Timeline, TimelineEvent } from './timeline.js';
import { itemAt } from '../vocabulary/lists.js';
import type { WorkingSide } from '../vocabulary/hands.js';

/** The position of a session on its timeline. Plain data: it is stored as it is, so that a reload goes on from here. */
export interface Playhead {
  /** Index of the current event; equal to the number of events when the session is over. */
  readonly event: number;
  readonly elapsedMs: number;
  /** Time the coach has added to the current event. */
  readonly addedMs: number;
}

/** Before the first event. */
export const AT_START: Playhead = { event: 0, elapsedMs: 0, addedMs: 0 };

/** How soon after a bout's start “back” means the one before, in milliseconds: as on any player. */
const BACK_WINDOW_MS = 2000;

/** What one hand, or both together, did of a stint. */
export interface DoneAmount {
  readonly side: WorkingSide;
  readonly amount: number;
}

/** A stint that has just ended, with what was done of it. */
export interface EndedStint {
  readonly stint: Stint;
  readonly done: readonly DoneAmount[];
}

/** Where a move of the playhead ends, and the work that ended on the way. */
export interface Move {
  readonly head: Playhead;
  /** Stints that ended by this move, in order. */
  readonly ended: readonly EndedStint[];
}

/** Whether the last event is behind. */
export const isOver = (timeline: Timeline, head: Playhead) => head.event >= timeline.events.length;

/** Runs the clock on. Crosses any number of events: a phone that slept for a minute catches up in one call. */
export function advance(timeline: Timeline, head: Playhead, deltaMs: number): Move {
  const ended: EndedStint[] = [];
  let { event: index, elapsedMs, addedMs } = head;
  elapsedMs += deltaMs;
  for (let event = timeline.events[index]; event; event = timeline.events[index]) {
    const lengthMs = event.durationMs + addedMs;
    if (elapsedMs < lengthMs || event.untilConfirmed) break;
    const stint = event.stint === null ? undefined : timeline.stints[event.stint];
    if (stint && stint.lastEvent === index) {
      ended.push({ stint, done: doneOf(timeline, stint, { event: index, elapsedMs: lengthMs, addedMs }) });
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

/** Leaves the current stint, rest or announcement. A stint left early ends with what was done of it. */
export function skip(timeline: Timeline, head: Playhead): Move {
  const stint = currentStint(timeline, head);
  if (!stint) return { head: jump(Math.min(head.event + 1, timeline.events.length)), ended: [] };
  return { head: jump(stint.lastEvent + 1), ended: [{ stint, done: doneOf(timeline, stint, head) }] };
}

/**
 * Somebody says that it is over: a distance was walked to its end, hands were compared. An open set ends with what was done of it, as when it is
 * ended early; what ends by itself isn’t reported.
 */
export function finish(timeline: Timeline, head: Playhead): Move {
  const event = timeline.events[head.event];
  if (!event?.untilConfirmed) return skip(timeline, head);
  const stint = currentStint(timeline, head);
  if (stint?.open || !stint) return skip(timeline, head);
  const end = { event: head.event, elapsedMs: Infinity, addedMs: 0 };
  return { head: jump(stint.lastEvent + 1), ended: [{ stint, done: doneOf(timeline, stint, end) }] };
}

/** Leaves the whole turn of a block for the next one, or for the end. */
export function skipBlock(timeline: Timeline, head: Playhead): Move {
  const now = timeline.events[head.event];
  if (!now) return { head, ended: [] };
  const next = timeline.events.findIndex(
    ({ blockIndex, round }, index) => index > head.event && (blockIndex !== now.blockIndex || round !== now.round),
  );
  const stint = currentStint(timeline, head);
  const ended = stint ? [{ stint, done: doneOf(timeline, stint, head) }] : [];
  return { head: jump(next < 0 ? timeline.events.length : next), ended };
}

/** To the start of the current stint; or, when hardly begun or between stints, of the one before. */
export function back(timeline: Timeline, head: Playhead): Playhead {
  const stint = currentStint(timeline, head);
  if (stint && (head.event > stint.firstEvent || head.elapsedMs >= BACK_WINDOW_MS)) return jump(stint.firstEvent);
  const previous = timeline.stints.findLast((candidate) => candidate.lastEvent < head.event);
  return jump(previous?.firstEvent ?? 0);
}

const jump = (event: number): Playhead => ({ event, elapsedMs: 0, addedMs: 0 });

function currentStint(timeline: Timeline, head: Playhead): Stint | undefined {
  const stint = timeline.events[head.event]?.stint;
  return stint === null || stint === undefined ? undefined : timeline.stints[stint];
}

/** What is done of a stint when the clock is at `head`: finished repetitions or breaths, whole seconds, or metres by the pace of a walk. */
export function doneOf(timeline: Timeline, stint: Stint, head: Playhead): DoneAmount[] {
  if (stint.unit === 'seconds') return [{ side: stint.side, amount: Math.floor(head.elapsedMs / 1000) }];
  if (stint.unit === 'metres') {
    const { durationMs } = itemAt(timeline.events, stint.firstEvent);
    const amount = Math.floor(Math.min(1, head.elapsedMs / durationMs) * stint.plannedAmount);
    return [{ side: stint.side, amount }];
  }
  const finished = timeline.events
    .slice(stint.firstEvent, stint.lastEvent + 1)
    .filter((event, offset) => isFinished(event, stint.firstEvent + offset, head));
  const sides: WorkingSide[] = stint.alternating ? ['left', 'right'] : [stint.side];
  return sides.map((side) => ({ side, amount: finished.filter((event) => event.side === side).length }));
}

function isFinished(event: TimelineEvent, index: number, head: Playhead): boolean {
  return index < head.event || (index === head.event && head.elapsedMs >= event.durationMs);
}

/**
 * The part of the current event that the clock is in, with what is left of it. Added time lengthens the last part. What is repeated for a time goes
 * through its beat over and over; where fingers are called one by one, the part is called by the finger.
 */
export function currentPart(event: TimelineEvent, head: Playhead): { part: EventPart; leftMs: number } {
  const { beat, parts } = event;
  if (!beat) {
    const now = partAt(parts, head.elapsedMs, head.addedMs);
    return event.calls ? called(event.calls, parts, head.elapsedMs, now) : now;
  }
  const leftMs = Math.max(0, event.durationMs + head.addedMs - head.elapsedMs);
  const inBeatMs = head.elapsedMs % lengthOf(beat);
  const now = partAt(beat, inBeatMs, 0);
  const { part, leftMs: ofPartMs } = event.calls ? called(event.calls, beat, inBeatMs, now) : now;
  return { part, leftMs: Math.min(leftMs, ofPartMs) };
}

const lengthOf = (parts: readonly EventPart[]): number => parts.reduce((sum, { durationMs }) => sum + durationMs, 0);

interface PartNow {
  readonly part: EventPart;
  readonly leftMs: number;
}

function partAt(parts: readonly EventPart[], elapsedMs: number, addedMs: number): PartNow {
  let left = elapsedMs;
  const last = parts.length - 1;
  for (const [index, part] of parts.entries()) {
    const lengthMs = part.durationMs + (index === last ? addedMs : 0);
    if (left < lengthMs || index === last) return { part, leftMs: Math.max(0, lengthMs - left) };
    left -= lengthMs;
  }
  throw new Error('An event has no parts.');
}

const relabelled = new WeakMap<EventPart, Map<string, EventPart>>();

/** The same part under another label, the same object each time: screens compare what they show by identity. */
function labelled(part: EventPart, label: string): EventPart {
  let labels = relabelled.get(part);
  if (!labels) relabelled.set(part, (labels = new Map<string, EventPart>()));
  let found = labels.get(label);
  if (!found) labels.set(label, (found = { ...part, label }));
  return found;
}

/** The one of the calls that a moment of a repetition falls to: they share its time but the pause evenly. */
function called(calls: readonly string[], parts: readonly EventPart[], elapsedMs: number, now: PartNow): PartNow {
  if (now.part.name === 'pause') return now;
  const eachMs = lengthOf(parts.filter(({ name }) => name !== 'pause')) / calls.length;
  const index = Math.min(calls.length - 1, Math.floor(elapsedMs / eachMs));
  const label = itemAt(calls, index);
  return { part: labelled(now.part, label), leftMs: Math.max(0, (index + 1) * eachMs - elapsedMs) };
}

/**
 * How long until anything that is shown of a moment changes: a whole second of what is left or has passed, of a part of the event or all of it, or
 * the event itself. A clock that looks again then is never late, and need not look ten times a second. Milliseconds; infinite when it is over.
 */
export function untilNextChangeMs(timeline: Timeline, head: Playhead): number {
  const event = timeline.events[head.event];
  if (!event) return Infinity;
  const leftMs = event.durationMs + head.addedMs - head.elapsedMs;
  const shown = [currentPart(event, head).leftMs, leftMs, remainingMs(timeline, head), -head.elapsedMs, -momentMs(timeline, head)];
  return Math.min(...shown.map(toWholeSecond));
}

/** From a time that runs down to its next whole second; a time that runs up is given as its negative. */
const toWholeSecond = (ms: number): number => {
  const rest = ((ms % 1000) + 1000) % 1000;
  return rest === 0 ? 1000 : rest;
};

/** Where the clock stands on the timeline, milliseconds from its start; added time does not move it. */
export function momentMs(timeline: Timeline, head: Playhead): number {
  const event = timeline.events[head.event];
  return event ? event.startMs + Math.min(head.elapsedMs, event.durationMs) : timeline.durationMs;
}

/** Time left of the whole session. */
export function remainingMs(timeline: Timeline, head: Playhead): number {
  const event = timeline.events[head.event];
  if (!event) return 0;
  // While it waits to hear that it is over, no more of the rest passes than was planned.
  const behindMs = event.untilConfirmed ? Math.min(head.elapsedMs, event.durationMs + head.addedMs) : head.elapsedMs;
  return timeline.durationMs - event.startMs - behindMs + head.addedMs;
}

/**
 * Carries a playhead over to another compilation of the same session, made when a block was changed on the spot: the current stint begins
 * at its beginning, or, between stints, the same moment before or after it. Where the changed block has no such piece of work any more, or is out,
 * the next block begins.
 */
export function rejoin(from: Timeline, to: Timeline, head: Playhead): Playhead {
  const now = from.events[head.event];
  if (!now) return jump(to.events.length);
  const stint = currentStint(from, head) ?? from.stints.find((candidate) => candidate.firstEvent > head.event);
  const there = stint && sameWork(to, stint);
  if (now.stint !== null) return jump(there?.firstEvent ?? nextTurn(from, to, now));
  const before = to.events.findIndex(
    (event) =>
      event.blockId === now.blockId &&
      event.round === now.round &&
      event.kind === now.kind &&
      event.set === now.set &&
      event.side === now.side,
  );
  if (before >= 0) return { ...head, event: before };
  return jump(there?.firstEvent ?? nextTurn(from, to, now));
}

/** The same set of the same hand in the other compilation, or what comes nearest to it. */
function sameWork({ stints }: Timeline, { blockId, round, set, side, direction }: Stint): Stint | undefined {
  const ofSet = stints.filter((other) => other.blockId === blockId && other.round === round && other.set === set);
  const ofHand = ofSet.filter((other) => other.side === side);
  return ofHand.find((other) => other.direction === direction) ?? ofHand[0] ?? ofSet[0];
}

/** Where the first of the later turns begins that is still there; the end when there is none. */
function nextTurn(from: Timeline, to: Timeline, { blockIndex, round }: TimelineEvent): number {
  const now = from.turns.findIndex((turn) => turn.blockIndex === blockIndex && turn.round === round);
  for (const later of from.turns.slice(now + 1)) {
    const first = to.events.findIndex((event) => event.blockId === later.blockId && event.round === later.round);
    if (first >= 0) return first;
  }
  return to.events.length;
}
