import type { CarriedOut } from '../../effort/past.js';
import type { MovementLookup } from '../../model/movement.js';
import type { Block } from '../../model/sequence.js';
import { type BlockReport, type Complaint, type FormTick, standingSets } from '../../model/session.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { pieceKey, plannedAgainstDone, type PlannedDoneRow } from '../../timeline/planned-done.js';
import type { Timeline } from '../../timeline/timeline.js';
import { type Hand, HANDS } from '../../vocabulary/hands.js';
import { groupedBy, lastOf, must } from '../../vocabulary/lists.js';
import type { SetUnit } from '../../vocabulary/work.js';
import { isHurt } from '../reports/complaints.js';
import { formFaultsOf } from '../reports/form.js';
import type { MorningAdvice } from '../reports/morning.js';

/** A session that is over, with how it felt: what progress is judged by. */
export interface LedSession extends CarriedOut {
  readonly reports: readonly Pick<BlockReport, 'blockId' | 'discomfort' | 'exertion' | 'at'>[];
  readonly complaints: readonly Pick<Complaint, 'blockId' | 'hand' | 'discomfort'>[];
  readonly form: readonly Pick<FormTick, 'blockId' | 'hand' | 'fault' | 'seen' | 'at'>[];
  /** What the next-day check asks for of each hand; null without one. */
  readonly mornings: Readonly<Record<Hand, MorningAdvice | null>>;
}

/** What one hand did of one movement in one session. */
export interface WorkDone {
  readonly sessionId: string;
  /** ISO instant at which the session ended. */
  readonly endedAt: string;
  /** The studio’s calendar day of the session: two of one evening are one day of evidence. */
  readonly onDay: string;
  readonly movementId: string;
  readonly levelId: string;
  readonly hand: Hand;
  readonly unit: SetUnit;
  /** Sets that were done to their end, and what each had at least; without any, what the best one came to. */
  readonly sets: number;
  readonly amount: number;
  /** All of it, sets that were not finished too; left out where only whole sets are known. */
  readonly total?: number;
  /** The effort that the dose named. */
  readonly effortPercent: number | null;
  /** Whether all of it was done that was planned. */
  readonly isWhole: boolean;
  /** The highest discomfort reported for this hand; null without a report. */
  readonly discomfort: number | null;
  readonly exertion: number | null;
  readonly morning: MorningAdvice | null;
  /** Faults of form that were seen of this hand. */
  readonly formFaults: readonly string[];
}

/** What each hand did of each movement in a session, in the order of its blocks. Of a movement in several blocks the last one counts. */
export function workDoneIn(session: LedSession, lookup: MovementLookup, timeline = compileTimeline(session.plan, lookup)): WorkDone[] {
  const rows = plannedAgainstDone(timeline, session.sets);
  const formOf = formsOf(session, timeline);
  const found = new Map<string, WorkDone>();
  for (const block of session.plan.blocks) {
    for (const hand of HANDS) {
      const mine = rows.filter(({ blockId, side }) => blockId === block.id && (side === hand || side === 'both'));
      const done = doneOfBlock(session, block, hand, mine, formOf);
      if (done && lookup(done.movementId)) found.set(`${done.movementId} ${hand}`, done);
    }
  }
  return [...found.values()];
}

/** In which form a piece of work was done, and whether it was planned in another. */
interface Form {
  readonly movementId: string;
  readonly levelId: string;
  readonly wasEased: boolean;
}

/** The forms in which pieces were done, by their keys: a later round may be planned a rung further, which is no easing. */
function formsOf({ plan, sets }: LedSession, { stints }: Timeline): (row: PlannedDoneRow) => Form {
  const blocks = new Map(plan.blocks.map((block) => [block.id, block]));
  const done = new Map(standingSets(sets).map((set) => [pieceKey(set), set]));
  return ({ blockId, round, ...row }) => {
    const block = must(blocks.get(blockId), `a block ${blockId}`);
    const planned = stints.find((stint) => stint.blockId === blockId && stint.round === round)?.levelId ?? block.levelId;
    const set = done.get(pieceKey({ blockId, round, ...row }));
    const [movementId, levelId] = [set?.movementId ?? block.movementId, set?.levelId ?? planned];
    return { movementId, levelId, wasEased: movementId !== block.movementId || levelId !== planned };
  };
}

/** What of one set is asked and done by a hand: all of its directions together are one effort. */
interface Piece {
  readonly planned: number;
  readonly done: number;
  readonly isFull: boolean;
  readonly unit: SetUnit;
  readonly form: Form;
}

function pieceOf(rows: readonly PlannedDoneRow[], formOf: (row: PlannedDoneRow) => Form): Piece {
  const { open, unit } = lastOf(rows);
  const done = Math.min(...rows.map(({ doneAmount }) => doneAmount ?? 0));
  const planned = Math.max(...rows.map(({ plannedAmount }) => plannedAmount));
  // What is open ends where it ends: it asks for no more than it came to.
  return {
    planned: open ? done : planned,
    done,
    isFull: done > 0 && (open !== null || done >= planned),
    unit,
    form: formOf(lastOf(rows)),
  };
}

function doneOfBlock(
  session: LedSession,
  block: Block,
  hand: Hand,
  rows: readonly PlannedDoneRow[],
  formOf: (row: PlannedDoneRow) => Form,
): WorkDone | null {
  const pieces = [...groupedBy(rows, ({ round, set }) => `${round} ${set}`).values()].map((each) => pieceOf(each, formOf));
  const worked = pieces.filter(({ done }) => done > 0);
  if (worked.length === 0) return null;
  const { form, unit } = lastOf(worked);
  // What went through several forms is judged by the last.
  const mine = worked.filter(
    (piece) => piece.unit === unit && piece.form.levelId === form.levelId && piece.form.movementId === form.movementId,
  );
  const full = mine.filter(({ isFull }) => isFull);
  const amount = full.length > 0 ? Math.min(...full.map(({ planned }) => planned)) : Math.max(...mine.map(({ done }) => done));
  return {
    sessionId: session.id,
    endedAt: session.endedAt,
    onDay: session.onDay,
    movementId: form.movementId,
    levelId: form.levelId,
    hand,
    unit,
    sets: full.length,
    amount,
    total: mine.reduce((sum, { done }) => sum + done, 0),
    effortPercent: form.wasEased ? null : (block.dose.effortPercent ?? null),
    // What hurt was not finished, however much of it was done.
    isWhole: !form.wasEased && !complaintsOf(session, block.id, hand).some(isHurt) && pieces.every(({ isFull }) => isFull),
    ...feltOf(session, block.id, hand),
    morning: session.mornings[hand],
    formFaults: formFaultsOf(session.form, block.id, hand),
  };
}

/** What hurt of a hand in the middle of a block. */
const complaintsOf = ({ complaints }: Pick<LedSession, 'complaints'>, blockId: string, hand: Hand) =>
  complaints.filter((each) => each.blockId === blockId && (each.hand === hand || each.hand === 'both'));

/** The last report of a block counts, and so do complaints in the middle of it. */
function feltOf({ reports, complaints }: LedSession, blockId: string, hand: Hand): Pick<WorkDone, 'discomfort' | 'exertion'> {
  const report = reports
    .filter((each) => each.blockId === blockId)
    .sort((a, b) => a.at.localeCompare(b.at))
    .at(-1);
  const scores = [
    ...(report ? [report.discomfort] : []),
    ...complaintsOf({ complaints }, blockId, hand).map(({ discomfort }) => discomfort),
  ];
  return { discomfort: scores.length > 0 ? Math.max(...scores) : null, exertion: report?.exertion ?? null };
}
