import type { ClassForm, ClassMember, ClassSession, KnownClassEvent } from '../../model/class-session.js';
import type { BlockReport, Complaint, DoneSet, FormTick, SessionEnd } from '../../model/session.js';
import type { MovementLookup } from '../../model/movement.js';
import type { Sequence } from '../../model/sequence.js';
import { timesOf } from '../../model/rounds.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { timelineOf } from '../../timeline/timeline-of.js';
import type { Stint, Timeline } from '../../timeline/timeline.js';
import type { WorkingSide } from '../../vocabulary/hands.js';
import { firstOf, groupedBy, itemAt, lastOf, must } from '../../vocabulary/lists.js';
import { isSamePiece, inForm, keepsCount, stintsOfTurn } from './class-fit.js';
import { sequenceOfMember } from './class-plan.js';
import type { ClassPiece, MemberState } from './class-member.js';
import { type ClassState, standingEvents } from './class-state.js';

/** A record of one person’s class: what a session has of it, each part with the id that it is stored under. */
export interface ClassRecord {
  readonly sessionId: string;
  readonly athleteId: string;
  readonly plan: Sequence;
  readonly startedAt: string;
  readonly sets: readonly DoneSet[];
  readonly complaints: readonly (Complaint & { readonly id: string })[];
  readonly form: readonly (FormTick & { readonly id: string })[];
  readonly reports: readonly BlockReport[];
  readonly end: SessionEnd;
}

/** Whether somebody’s class is over: it ended for all, they left, or they were stopped. Null while it goes on or where they were never there. */
function endOf(state: ClassState, member: MemberState): { atMs: number; isEarly: boolean } | null {
  if (member.sinceMs === null) return null;
  if (member.untilMs !== null && !member.here) return { atMs: member.untilMs, isEarly: true };
  return state.endedMs === null ? null : { atMs: state.endedMs, isEarly: false };
}

/**
 * What one person gets from a class: their own plan, and of each piece of the class’s work what they did of it in their form. Null while it goes on for
 * them, and for whoever did nothing and was not stopped: who only stood on the list was not there.
 */
export function classRecord(
  session: ClassSession,
  events: readonly KnownClassEvent[],
  state: ClassState,
  member: ClassMember,
  lookup: MovementLookup,
): ClassRecord | null {
  const now = must(state.members.get(member.id), 'a state of each member');
  const over = endOf(state, now);
  if (!over || (now.pieces.length === 0 && !now.stopped && now.complaints.length === 0)) return null;
  const standing = standingEvents(events).flatMap(({ id, event }) =>
    'memberId' in event && event.memberId === member.id ? [{ id, event }] : [],
  );
  const timeline = timelineOf(session.sequence, lookup);
  const rating = standing.flatMap(({ event }) => (event.kind === 'rate' ? [event] : [])).at(-1);
  const isWhole = !over.isEarly && state.head.event >= timeline.events.length;
  return {
    sessionId: member.id,
    athleteId: member.athleteId,
    plan: sequenceOfMember(session.sequence, member),
    startedAt: iso(now.arrivedMs ?? over.atMs),
    sets: setsOf(session, timeline, member, now.pieces, lookup),
    complaints: now.complaints.map(({ atMs, ...complaint }) => ({ ...complaint, at: iso(atMs) })),
    form: standing.flatMap(({ id, event }) => {
      if (event.kind !== 'fault') return [];
      const { blockId, hand, fault, seen, at } = event;
      return [{ id, blockId, hand, fault, seen, at: iso(at) }];
    }),
    reports: rating ? reportsOf(now, rating) : [],
    end: {
      ...endingOf(now, isWhole),
      ...(rating && rating.exertion !== null && { exertion: rating.exertion }),
      note: standing.flatMap(({ event }) => (event.kind === 'note' ? [event.note] : [])).join('\n'),
      endedAt: iso(over.atMs),
    },
  };
}

function endingOf({ stopped }: MemberState, isWhole: boolean): Pick<SessionEnd, 'ending' | 'stopSign' | 'stopHand'> {
  if (stopped) return { ending: 'stopped', stopSign: stopped.sign, stopHand: stopped.hand };
  return { ending: isWhole ? 'completed' : 'ended early' };
}

const iso = (ms: number): string => new Date(ms).toISOString();

/** One answer for the whole class is kept with each block that was done: the block that hurt has its own. */
function reportsOf({ pieces, complaints }: MemberState, { discomfort, at }: { discomfort: number; at: number }): BlockReport[] {
  const done = [...new Set(pieces.map(({ stint }) => stint.blockId))];
  return done.map((blockId) => {
    const hurt = Math.max(0, ...complaints.filter((each) => each.blockId === blockId).map((each) => each.discomfort));
    return { blockId, discomfort: Math.max(hurt, discomfort), exertion: null, note: '', at: iso(at) };
  });
}

/** What somebody did of a piece of work of their own. */
interface OwnPiece {
  readonly piece: Stint;
  readonly side: WorkingSide;
  readonly amount: number;
  readonly endedMs: number;
}

/** What somebody did of each piece of the class’s work, in their own forms. */
function setsOf(
  session: ClassSession,
  timeline: Timeline,
  member: ClassMember,
  pieces: readonly ClassPiece[],
  lookup: MovementLookup,
): DoneSet[] {
  const { sequence } = session;
  const timelineFor = ownTimelines(session, timeline, member, pieces, lookup);
  const turns = groupedBy(pieces, ({ stint: { blockId, round }, form }) => `${blockId} ${round} ${form}`);
  return [...turns.values()].flatMap((ofTurn) => {
    const { stint, form } = firstOf(ofTurn);
    const { blockId, round } = stint;
    const { movementId } = formOf(member, blockId, form) ?? itemAt(sequence.blocks, stint.blockIndex);
    const mine = stintsOfTurn(timelineFor(blockId, form), blockId, round);
    const its = stintsOfTurn(timeline, blockId, round);
    const done = keepsCount(mine, its) ? inItsCount(ofTurn, mine) : inOwnCount(ofTurn, mine, its);
    const inRounds = timesOf(sequence, blockId) > 1 && { round };
    return done.map(({ piece: { levelId, set, direction, unit, plannedAmount }, side, amount, endedMs }): DoneSet => {
      const what = { blockId, movementId, levelId, ...inRounds, set, side, direction, unit };
      return { ...what, plannedAmount, doneAmount: amount, endedAt: iso(endedMs), corrects: null };
    });
  });
}

function formOf(member: ClassMember, blockId: string, form: number): ClassForm | null {
  const plan = must(
    member.blocks.find((block) => block.blockId === blockId),
    'a plan of each block',
  );
  return itemAt(plan.forms, form);
}

/**
 * The timeline in which somebody’s form of a block is. All of their forms go into one sequence; only a block that they did in two forms needs a second, so that
 * a long class is compiled a few times for each person and not once for each block.
 */
function ownTimelines(
  { sequence }: ClassSession,
  timeline: Timeline,
  member: ClassMember,
  pieces: readonly ClassPiece[],
  lookup: MovementLookup,
): (blockId: string, form: number) => Timeline {
  const used = new Map<string, number[]>();
  for (const { stint, form } of pieces) {
    const forms = used.get(stint.blockId) ?? [];
    if (!forms.includes(form) && formOf(member, stint.blockId, form)) used.set(stint.blockId, [...forms, form]);
  }
  const most = Math.max(0, ...[...used.values()].map((forms) => forms.length));
  const timelines = Array.from({ length: most }, (_, variant) => {
    const blocks = sequence.blocks.map((block) => {
      const form = used.get(block.id)?.[variant];
      return form === undefined ? block : inForm(block, formOf(member, block.id, form));
    });
    return compileTimeline({ ...sequence, blocks }, lookup);
  });
  return (blockId, form) => timelines[used.get(blockId)?.indexOf(form) ?? -1] ?? timeline;
}

/** Set by set as the class did it, of each no more than was their own. */
function inItsCount(pieces: readonly ClassPiece[], mine: readonly Stint[]): OwnPiece[] {
  return pieces.flatMap(({ stint, done, endedMs }) => {
    const piece = mine.find((each) => isSamePiece(each, stint));
    return piece ? done.map(({ side, amount }) => ({ piece, side, amount: Math.min(amount, piece.plannedAmount), endedMs })) : [];
  });
}

/** By their own count: as much of their form as the class did of the block. */
function inOwnCount(pieces: readonly ClassPiece[], mine: readonly Stint[], its: readonly Stint[]): OwnPiece[] {
  const share = shareOf(pieces, its);
  const { endedMs } = lastOf(pieces);
  return mine.flatMap((piece) => {
    const amount = Math.floor(piece.plannedAmount * share);
    const sides: WorkingSide[] = piece.alternating ? ['left', 'right'] : [piece.side];
    return amount > 0 ? sides.map((side) => ({ piece, side, amount, endedMs })) : [];
  });
}

/** How much of a turn the class did, 0–1. */
function shareOf(pieces: readonly ClassPiece[], its: readonly Stint[]): number {
  const planned = its.reduce((sum, { plannedAmount, alternating }) => sum + plannedAmount * (alternating ? 2 : 1), 0);
  const done = pieces.reduce((sum, piece) => sum + piece.done.reduce((of, { amount }) => of + amount, 0), 0);
  return planned > 0 ? Math.min(1, done / planned) : 0;
}
