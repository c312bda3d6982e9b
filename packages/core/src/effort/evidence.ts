import type { CarriedOut } from './past.js';
import { scaleFelt, workFelt } from './felt.js';
import type { Evidence, EvidenceKind } from '../mechanics/belief.js';
import type { Person } from '../mechanics/capacity.js';
import type { MovementLookup } from '../model/movement.js';
import { doneTimeline } from '../timeline/done-timeline.js';
import { timelineOf } from '../timeline/timeline-of.js';
import { type PlannedDoneRow, plannedAgainstDone } from '../timeline/planned-done.js';
import { working } from '../vocabulary/constant.js';

/** A session that was carried out, with what was said of its blocks. */
export interface ReportedSession extends CarriedOut {
  /** How hard each block was, 0–10; null where nobody said. */
  readonly reports: readonly { readonly blockId: string; readonly exertion: number | null }[];
}

/** Broken off with nothing said: near failure, or it would have gone on. As a rating. */
const BROKEN_OFF = working('A set broken off', 9, 'of 10', 'near failure, or it would have gone on', [8, 10]).value;
/** Less than this share of what was planned was broken off. */
const ENDED_EARLY = working('Ended early', 0.9, 'of what was planned', 'a repetition or two less is a slip of counting', [0.8, 0.95]).value;
/** “Nothing at all” is no measure of a muscle that worked. */
const LEAST_RATING = 1;
/** From this rating on a set that ended early had reached its end. */
const AT_THE_END = 9;

/**
 * What the sets of sessions tell of maxima: the capacity with which the hardest muscle of each rated block would have been felt as hard as was said.
 * A press tells nothing, since it is a share of the own maximum. @param person of whom maxima that were tested may be known
 */
export function evidenceOf(person: Person, sessions: readonly ReportedSession[], lookup: MovementLookup): Evidence[] {
  return sessions.flatMap((session) => evidenceOfSession(person, session, lookup));
}

function evidenceOfSession(person: Person, session: ReportedSession, lookup: MovementLookup): Evidence[] {
  const { plan, sets, reports, onDay } = session;
  const howOf = (blockId: string, done: DoneShare) =>
    howItEnded(reports.findLast((report) => report.blockId === blockId)?.exertion ?? null, done);
  return evidenceOfDone(person, { plan, sets, onDay }, lookup, howOf);
}

/** What was done of a plan on a day. */
export interface Done extends Pick<CarriedOut, 'plan' | 'sets'> {
  readonly onDay: string;
}

/** How much of a block was done: of what had a fixed amount, and whether an open set ended before its ceiling since the form failed. */
export interface DoneShare {
  readonly share: number;
  readonly formFailed: boolean;
}

/** How hard the end of a block was on a scale to ten, as which kind of evidence it counts, and what it is called. */
export interface SetEnding {
  readonly kind: EvidenceKind;
  readonly rating: number;
  readonly words: string;
}

/** What the blocks that were done tell of maxima, by how each ended. @param howOf how a block ended of which a share was done; null where that tells nothing */
export function evidenceOfDone(
  person: Person,
  { plan, sets, onDay }: Done,
  lookup: MovementLookup,
  howOf: (blockId: string, done: DoneShare) => SetEnding | null,
): Evidence[] {
  const planned = timelineOf(plan, lookup);
  const rows = plannedAgainstDone(planned, sets);
  return workFelt(person, plan, doneTimeline(planned, sets), lookup).flatMap((felt): Evidence[] => {
    const { blockId: id, hand, movement, hardest, tellsOfMaximum } = felt;
    if (!tellsOfMaximum) return [];
    const mine = rows.filter(({ blockId, side }) => blockId === id && (side === 'both' || side === hand));
    const how = howOf(id, doneShare(mine));
    const scale = how && scaleFelt(felt, how.rating);
    if (!how || scale === null) return [];
    // The way of doing it changes what of the plain maximum there is: the belief is about the plain one.
    const value = (hardest.capacity.value / hardest.factor) * scale;
    return [{ kind: how.kind, action: hardest.action, hand, value, onDay, what: `${movement.name}, ${how.words}` }];
  });
}

function doneShare(rows: readonly PlannedDoneRow[]): DoneShare {
  // An open set is done whatever was done of it.
  const wanted = rows.map((row) => (row.open ? (row.doneAmount ?? 0) : row.plannedAmount));
  const done = rows.reduce((sum, row) => sum + (row.doneAmount ?? 0), 0);
  const formFailed = rows.some(
    ({ open, doneAmount, plannedAmount }) => open === 'form' && doneAmount !== null && doneAmount > 0 && doneAmount < plannedAmount,
  );
  return { share: done / wanted.reduce((sum, amount) => sum + amount, 0), formFailed };
}

/** What an ending tells: how hard it was, and how surely. Null where it tells nothing. */
function howItEnded(reported: number | null, { share, formFailed }: DoneShare): SetEnding | null {
  if (!(share > 0)) return null;
  const early = share < ENDED_EARLY;
  if (formFailed && (reported === null || reported >= AT_THE_END)) {
    return { kind: 'to failure', rating: 10, words: 'until form broke down' };
  }
  if (early && reported !== null && reported >= AT_THE_END) return { kind: 'to failure', rating: 10, words: 'to failure' };
  if (reported !== null) return { kind: 'rated', rating: Math.max(LEAST_RATING, reported), words: `rated ${reported} of 10` };
  return early ? { kind: 'broken off', rating: BROKEN_OFF, words: 'stopped early' } : null;
}
