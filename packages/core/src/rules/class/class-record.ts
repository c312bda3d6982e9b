import type { ClassMember, ClassSession, KnownClassEvent } from '../../model/class-session.js';
import type { BlockReport, Complaint, DoneSet, FormTick, SessionEnd } from '../../model/session.js';
import type { MovementLookup } from '../../model/movement.js';
import type { Sequence } from '../../model/sequence.js';
import { timesOf } from '../../model/rounds.js';
import { timelineOf } from '../../timeline/timeline-of.js';
import type { Stint, Timeline } from '../../timeline/timeline.js';
import { itemAt, must } from '../../vocabulary/lists.js';
import { isSamePiece, inForm, keepsCount, stintsOfTurn } from './class-fit.js';
import { sequenceOfMember } from './class-plan.js';
import { type ClassPiece, type ClassState, type MemberState, standingEvents } from './class-state.js';

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
  const standing = standingEvents(events).filter(({ event }) => 'memberId' in event && event.memberId === member.id);
  const notes = standing.flatMap(({ event }) => (event.kind === 'note' ? [event.note] : []));
  const rating = standing.findLast(({ event }) => event.kind === 'rate')?.event;
  const endedAt = iso(over.atMs);
  const timeline = timelineOf(session.sequence, lookup);
  const isWhole = !over.isEarly && state.head.event >= timeline.events.length;
  return {
    sessionId: member.id,
    athleteId: member.athleteId,
    plan: sequenceOfMember(session.sequence, member),
    startedAt: iso(now.arrivedMs ?? over.atMs),
    sets: setsOf(session, timeline, member, now.pieces, lookup),
    complaints: now.complaints.map(({ id, blockId, hand, place, discomfort, atMs }) => ({
      id,
      blockId,
      hand,
      place,
      discomfort,
      at: iso(atMs),
    })),
    form: standing.flatMap(({ id, event }) => {
      if (event.kind !== 'fault') return [];
      const { blockId, hand, fault, seen, at } = event;
      return [{ id, blockId, hand, fault, seen, at: iso(at) }];
    }),
    reports: rating?.kind === 'rate' ? reportsOf(now, rating) : [],
    end: {
      ending: now.stopped ? 'stopped' : isWhole ? 'completed' : 'ended early',
      ...(now.stopped && { stopSign: now.stopped.sign, stopHand: now.stopped.hand }),
      ...(rating?.kind === 'rate' && rating.exertion !== null && { exertion: rating.exertion }),
      note: notes.join('\n'),
      endedAt,
    },
  };
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

/** What somebody did of each piece of the class’s work, in their own forms. */
function setsOf(
  session: ClassSession,
  timeline: Timeline,
  member: ClassMember,
  pieces: readonly ClassPiece[],
  lookup: MovementLookup,
): DoneSet[] {
  const plans = new Map(member.blocks.map((plan) => [plan.blockId, plan]));
  const sets: DoneSet[] = [];
  const turns = new Map<string, ClassPiece[]>();
  for (const piece of pieces) {
    const { blockId, round } = piece.stint;
    const key = `${blockId} ${round} ${piece.form}`;
    const sofar = turns.get(key);
    if (sofar) sofar.push(piece);
    else turns.set(key, [piece]);
  }
  for (const ofTurn of turns.values()) {
    const { stint, form } = itemAt(ofTurn, 0);
    const chosen = itemAt(must(plans.get(stint.blockId), 'a plan of each block').forms, form);
    const own = chosen === null ? timeline : timelineOf(inOneForm(session.sequence, stint.blockId, chosen), lookup);
    const movementId =
      chosen?.movementId ??
      must(
        session.sequence.blocks.find(({ id }) => id === stint.blockId),
        'the block',
      ).movementId;
    const mine = stintsOfTurn(own, stint.blockId, stint.round);
    const its = stintsOfTurn(timeline, stint.blockId, stint.round);
    const add = (piece: Stint, amounts: readonly { side: DoneSet['side']; amount: number }[], endedMs: number) => {
      const inRounds = timesOf(session.sequence, piece.blockId) > 1 && { round: piece.round };
      const { blockId, levelId, set, direction, unit, plannedAmount } = piece;
      for (const { side, amount } of amounts) {
        sets.push({
          blockId,
          movementId,
          levelId,
          ...inRounds,
          set,
          side,
          direction,
          unit,
          plannedAmount,
          doneAmount: amount,
          endedAt: iso(endedMs),
          corrects: null,
        });
      }
    };
    if (keepsCount(mine, its)) {
      for (const { stint: led, done, endedMs } of ofTurn) {
        const piece = mine.find((each) => isSamePiece(each, led));
        if (piece)
          add(
            piece,
            done.map(({ side, amount }) => ({ side, amount: Math.min(amount, piece.plannedAmount) })),
            endedMs,
          );
      }
    } else {
      // By their own count: as much of their form as the class did of the block.
      const share = shareOf(ofTurn, its);
      const endedMs = itemAt(ofTurn, ofTurn.length - 1).endedMs;
      for (const piece of mine) {
        const amount = Math.floor(piece.plannedAmount * share);
        const sides: DoneSet['side'][] = piece.alternating ? ['left', 'right'] : [piece.side];
        if (amount > 0)
          add(
            piece,
            sides.map((side) => ({ side, amount })),
            endedMs,
          );
      }
    }
  }
  return sets;
}

const forms = new WeakMap<object, WeakMap<Sequence, Sequence>>();
/** The class’s sequence with one block in another form, the same document each time. */
function inOneForm(sequence: Sequence, blockId: string, form: Parameters<typeof inForm>[1] & object): Sequence {
  const ofForm = forms.get(form) ?? new WeakMap<Sequence, Sequence>();
  forms.set(form, ofForm);
  const kept = ofForm.get(sequence);
  if (kept) return kept;
  const made = { ...sequence, blocks: sequence.blocks.map((block) => (block.id === blockId ? inForm(block, form) : block)) };
  ofForm.set(sequence, made);
  return made;
}

/** How much of a turn the class did, 0–1. */
function shareOf(pieces: readonly ClassPiece[], its: readonly Stint[]): number {
  const planned = its.reduce((sum, { plannedAmount, alternating }) => sum + plannedAmount * (alternating ? 2 : 1), 0);
  const done = pieces.reduce((sum, piece) => sum + piece.done.reduce((of, { amount }) => of + amount, 0), 0);
  return planned > 0 ? Math.min(1, done / planned) : 0;
}
