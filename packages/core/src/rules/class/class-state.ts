import type { ClassEvent, ClassMember, ClassSession, KnownClassEvent } from '../../model/class-session.js';
import { CLASS_LIMITS } from '../../model/class-session.js';
import type { MovementLookup } from '../../model/movement.js';
import { pastBonus } from '../../timeline/bonus.js';
import {
  advance,
  AT_START,
  back,
  type EndedStint,
  extend,
  finish,
  isOver,
  type Move,
  type Playhead,
  skip,
  skipBlock,
} from '../../timeline/playhead.js';
import type { Timeline } from '../../timeline/timeline.js';
import { timelineOf } from '../../timeline/timeline-of.js';
import { formAfter, hardestAllowed } from './class-hurt.js';
import type { ClassPiece, MemberState } from './class-member.js';

/** A class at a moment. */
export interface ClassState {
  readonly head: Playhead;
  readonly paused: boolean;
  readonly endedMs: number | null;
  /** The moment, in the class’s time. */
  readonly nowMs: number;
  /** When the piece of work on screen began. */
  readonly stintSinceMs: number;
  readonly members: ReadonlyMap<string, MemberState>;
}

/** At the start everybody of the list who doesn’t come later is in the room, and the clock runs. */
export function classAtStart(session: ClassSession): ClassState {
  const startMs = Date.parse(session.startedAt);
  const members = session.members.map(({ id, blocks, late = false }): [string, MemberState] => [
    id,
    {
      here: !late,
      ...{ arrivedMs: late ? null : startMs, sinceMs: late ? null : startMs },
      untilMs: null,
      stopped: null,
      forms: Object.fromEntries(blocks.map(({ blockId, at }) => [blockId, at])),
      complaints: [],
      pieces: [],
    },
  ]);
  return { head: AT_START, paused: false, endedMs: null, nowMs: startMs, stintSinceMs: startMs, members: new Map(members) };
}

/** Presses in the order of the class’s time, without those that were taken back in time. */
export function standingEvents(events: readonly KnownClassEvent[]): KnownClassEvent[] {
  const at = new Map(events.map(({ id, event }) => [id, event.at]));
  const undone = new Set(
    events.flatMap(({ event }) => {
      if (event.kind !== 'undo') return [];
      const was = at.get(event.id);
      return was !== undefined && event.at - was <= CLASS_LIMITS.undoMs ? [event.id] : [];
    }),
  );
  return events.filter(({ id }) => !undone.has(id)).toSorted((a, b) => a.event.at - b.event.at || (a.id < b.id ? -1 : 1));
}

/**
 * A class from its presses: the same presses give the same class on every device, in whichever order they came in. A press counts at its own time, so one
 * that a device made without a network counts when it arrives as if it had been there.
 */
export function classAfter(session: ClassSession, events: readonly KnownClassEvent[], lookup: MovementLookup): ClassState {
  const timeline = timelineOf(session.sequence, lookup);
  return standingEvents(events).reduce(
    (state, known) => pressed(session, timeline, classAt(session, timeline, state, known.event.at), known),
    classAtStart(session),
  );
}

/** The class as its clock has run on to a moment. Never back: a moment that lies before is the last one. */
export function classAt(session: ClassSession, timeline: Timeline, state: ClassState, nowMs: number): ClassState {
  if (nowMs <= state.nowMs) return state;
  if (state.paused || state.endedMs !== null) return { ...state, nowMs };
  let now = state;
  while (now.nowMs < nowMs && !isOver(timeline, now.head)) {
    const event = timeline.events[now.head.event];
    const restMs = event ? event.durationMs + now.head.addedMs - now.head.elapsedMs : 0;
    const stepMs = event?.untilConfirmed ? nowMs - now.nowMs : Math.max(0, Math.min(restMs, nowMs - now.nowMs));
    const move = advance(timeline, now.head, stepMs);
    now = moved(session, timeline, { ...now, nowMs: now.nowMs + stepMs }, move);
  }
  if (isOver(timeline, now.head) && now.endedMs === null) return { ...now, endedMs: now.nowMs, nowMs };
  return { ...now, nowMs };
}

/** After a move of the clock: whoever took part in what ended gets it. */
function moved(session: ClassSession, timeline: Timeline, state: ClassState, { head, ended }: Move): ClassState {
  const sinceStartMs = state.nowMs - Date.parse(session.startedAt);
  const to = pastBonus(session.sequence, timeline, head, sinceStartMs);
  const [was, is] = [timeline.events[state.head.event], timeline.events[to.event]];
  const isNewPiece = was !== is && (was?.stint !== is?.stint || is?.stint === null);
  const next = { ...state, head: to, ...(isNewPiece && { stintSinceMs: state.nowMs }) };
  if (ended.length === 0) return next;
  const members = new Map([...state.members].map(([id, member]) => [id, withPieces(state, member, ended)]));
  return { ...next, members };
}

/** Only who was there from the beginning of a piece gets it. */
function withPieces(state: ClassState, member: MemberState, ended: readonly EndedStint[]): MemberState {
  if (!member.here || member.sinceMs === null || member.sinceMs > state.stintSinceMs) return member;
  const pieces = ended.flatMap((piece): ClassPiece[] => {
    const form = member.forms[piece.stint.blockId] ?? -1;
    return form < 0 ? [] : [{ ...piece, form, endedMs: state.nowMs }];
  });
  return pieces.length > 0 ? { ...member, pieces: [...member.pieces, ...pieces] } : member;
}

/** What was begun of the piece on screen, as it is left now. */
function leftNow(timeline: Timeline, head: Playhead): EndedStint[] {
  return skip(timeline, head).ended.filter(({ done }) => done.some(({ amount }) => amount > 0));
}

function pressed(session: ClassSession, timeline: Timeline, state: ClassState, { id, event }: KnownClassEvent): ClassState {
  switch (event.kind) {
    case 'arrive':
    case 'leave':
    case 'form':
    case 'hurts':
    case 'stop':
      return ofMember(timeline, state, session, { id, event });
    case 'undo':
    case 'note':
    case 'fault':
    case 'rate':
      return state;
    default:
      return state.endedMs === null ? clockPressed(session, timeline, state, event) : state;
  }
}

type ClockEvent = Exclude<ClassEvent, { kind: 'undo' | 'note' | 'fault' | 'rate' } | MemberEvent>;
const MOVES = { skip, 'skip block': skipBlock, finish };

function clockPressed(session: ClassSession, timeline: Timeline, state: ClassState, event: ClockEvent): ClassState {
  const { head } = state;
  switch (event.kind) {
    case 'play':
    case 'pause':
      return { ...state, paused: event.kind === 'pause' };
    case 'end': {
      const members = new Map([...state.members].map(([key, member]) => [key, withPieces(state, member, leftNow(timeline, head))]));
      return { ...state, members, endedMs: state.nowMs, paused: true };
    }
    default:
      // It was meant for what was on screen.
      if (event.event !== head.event) return state;
  }
  if (event.kind === 'back') return { ...state, head: back(timeline, head), stintSinceMs: state.nowMs };
  if (event.kind === 'add time') return { ...state, head: extend(timeline, head, event.seconds * 1000) };
  return moved(session, timeline, state, MOVES[event.kind](timeline, head));
}

type MemberEvent = Extract<ClassEvent, { kind: 'arrive' | 'leave' | 'form' | 'hurts' | 'stop' }>;

function ofMember(
  timeline: Timeline,
  state: ClassState,
  session: ClassSession,
  { id, event }: { id: string; event: MemberEvent },
): ClassState {
  const member = state.members.get(event.memberId);
  const plan = session.members.find((each) => each.id === event.memberId);
  // Whoever was stopped stays stopped, whatever is pressed afterwards.
  if (!member || !plan || member.stopped) return state;
  const changed = memberAfter(timeline, state, plan, member, { id, event });
  return { ...state, members: new Map(state.members).set(event.memberId, changed) };
}

function memberAfter(
  timeline: Timeline,
  state: ClassState,
  plan: ClassMember,
  member: MemberState,
  { id, event }: { id: string; event: MemberEvent },
): MemberState {
  switch (event.kind) {
    case 'arrive':
      return member.here
        ? member
        : { ...member, here: true, arrivedMs: member.arrivedMs ?? state.nowMs, sinceMs: state.nowMs, untilMs: null };
    case 'leave': {
      if (!member.here) return member;
      return { ...withPieces(state, member, leftNow(timeline, state.head)), here: false, untilMs: state.nowMs };
    }
    case 'form': {
      if (event.form > hardestAllowed(plan, member, event.blockId)) return member;
      return { ...member, forms: { ...member.forms, [event.blockId]: event.form } };
    }
    case 'hurts': {
      const { blockId, hand, place, discomfort } = event;
      const complaint = { id, blockId, hand, place, discomfort, atMs: state.nowMs };
      const behind = new Set(
        timeline.blocks
          .filter(({ endMs }) => endMs <= (timeline.events[state.head.event]?.startMs ?? Infinity))
          .map((block) => block.blockId),
      );
      const forms = formAfter(plan, member.forms, complaint, behind);
      return { ...member, complaints: [...member.complaints, complaint], forms };
    }
    case 'stop': {
      const { sign, hand } = event;
      const left = withPieces(state, member, leftNow(timeline, state.head));
      return { ...left, here: false, untilMs: state.nowMs, stopped: { sign, hand, atMs: state.nowMs } };
    }
  }
}
