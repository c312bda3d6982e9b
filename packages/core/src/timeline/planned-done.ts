import { type CountedSet, standingSets } from '../model/session.js';
import type { Timeline } from './timeline.js';
import type { WorkingSide } from '../vocabulary/hands.js';
import type { OpenEnd } from '../vocabulary/work.js';

/** One planned piece of work with what was done of it; `doneAmount` is null when it was never reached. */
export interface PlannedDoneRow {
  readonly blockId: string;
  /** 1-based round; 1 where there are none. */
  readonly round: number;
  readonly set: number;
  readonly side: WorkingSide;
  readonly direction: string | null;
  readonly unit: CountedSet['unit'];
  /** Of an open set the most that might be done. */
  readonly plannedAmount: number;
  readonly doneAmount: number | null;
  /** What was to end an open set; null where the amount was fixed. */
  readonly open: OpenEnd | null;
  /** Whether it was to be done only where time is left. */
  readonly bonus?: true;
}

/** A piece of work as one word: block, round, set, hand and direction. */
export const pieceKey = (row: Pick<CountedSet, 'blockId' | 'round' | 'set' | 'side' | 'direction'>) =>
  `${row.blockId}|${row.round ?? 1}|${row.set}|${row.side}|${row.direction ?? ''}`;

/**
 * Lays what was done against the compiled plan. Work that was done twice (after going back) keeps the larger share: the
 * plan asked for it once. Work that was eased to another kind is counted in its own unit. Work that the plan does not know (an
 * easier level taken on the spot keeps its block) is not lost: it follows at the end with a planned amount of its own.
 */
export function plannedAgainstDone(timeline: Timeline, sets: readonly CountedSet[]): PlannedDoneRow[] {
  const done = new Map<string, CountedSet>();
  for (const set of standingSets(sets)) {
    const key = pieceKey(set);
    const before = done.get(key);
    if (!before || shareOf(before) < shareOf(set)) done.set(key, set);
  }
  const undivided = new Map([...done].filter(([, { direction }]) => direction === null));
  const rows: PlannedDoneRow[] = [];
  for (const { key, whole, piece, unit, plannedAmount } of plannedPieces(timeline)) {
    // Before a movement was counted in each position, one row stood for all of them.
    const was = done.get(key) ?? undivided.get(whole);
    const planned = was && was.unit !== unit ? was : { unit, plannedAmount };
    rows.push({ ...piece, unit: planned.unit, plannedAmount: planned.plannedAmount, doneAmount: was?.doneAmount ?? null });
    done.delete(key);
    done.delete(whole);
  }
  return [...rows, ...[...done.values()].map((set) => ({ ...set, round: set.round ?? 1, open: null }))];
}

/** A planned piece of work, with the keys under which it may have been done. */
interface PlannedPiece {
  readonly key: string;
  readonly whole: string;
  readonly piece: Omit<PlannedDoneRow, 'unit' | 'plannedAmount' | 'doneAmount'>;
  readonly unit: CountedSet['unit'];
  readonly plannedAmount: number;
}

/** Each session asks for the pieces of its plan again with every set. */
const pieces = new WeakMap<Timeline, PlannedPiece[]>();

function plannedPieces(timeline: Timeline): PlannedPiece[] {
  const known = pieces.get(timeline);
  if (known) return known;
  const found = timeline.stints.flatMap(({ alternating, blockId, round, set, direction, unit, plannedAmount, open, bonus, ...stint }) => {
    const sides: WorkingSide[] = alternating ? ['left', 'right'] : [stint.side];
    return sides.map((side): PlannedPiece => {
      const place = { blockId, round, set, side, direction };
      return {
        key: pieceKey(place),
        whole: pieceKey({ ...place, direction: null }),
        piece: { ...place, open, ...(bonus && { bonus }) },
        ...{ unit, plannedAmount },
      };
    });
  });
  pieces.set(timeline, found);
  return found;
}

const shareOf = ({ doneAmount, plannedAmount }: CountedSet) => doneAmount / Math.max(1, plannedAmount);

/** Planned and done amounts, summed. */
export interface PlannedDoneTotals {
  readonly plannedAmount: number;
  readonly doneAmount: number;
  /** 0–1 and beyond: done over planned. */
  readonly ratio: number;
}

/** Sums rows of one unit. */
export function totals(rows: readonly PlannedDoneRow[]): PlannedDoneTotals {
  const plannedAmount = rows.reduce((sum, row) => sum + row.plannedAmount, 0);
  const doneAmount = rows.reduce((sum, row) => sum + (row.doneAmount ?? 0), 0);
  return { plannedAmount, doneAmount, ratio: plannedAmount ? doneAmount / plannedAmount : 0 };
}

/** Share of the plan that was done, each planned piece counting the same and at most fully, 0–1. An open set that was done at all is done; a bonus that was left out is none missing. */
export function completion(rows: readonly PlannedDoneRow[]): number {
  const due = rows.filter(({ bonus, doneAmount }) => !bonus || doneAmount !== null);
  if (!due.length) return 0;
  return due.reduce((sum, row) => sum + shareDone(row), 0) / due.length;
}

function shareDone({ doneAmount, plannedAmount, open }: PlannedDoneRow): number {
  if (open) return (doneAmount ?? 0) > 0 ? 1 : 0;
  return Math.min(1, (doneAmount ?? 0) / plannedAmount);
}
