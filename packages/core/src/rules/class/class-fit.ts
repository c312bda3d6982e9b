import { compileTimeline } from '../../timeline/compile-timeline.js';
import type { Stint, Timeline } from '../../timeline/timeline.js';
import type { Block, Sequence } from '../../model/sequence.js';
import type { MovementLookup } from '../../model/movement.js';
import { moreIn } from '../doses/asks-more.js';
import type { ClassForm } from '../../model/class-session.js';
import { aloneIn } from '../../model/rounds.js';
import { type Dose, fewerSets, withAmounts } from '../../model/dose.js';

/** A block with another form in its place. */
export const inForm = (block: Block, form: ClassForm | null): Block => (form ? { ...block, ...form } : block);

/** Moving to a wall or fetching a towel differs from form to form: so much later somebody may be ready, milliseconds. Working value. */
const LATE_MS = 5000;
/** What is left of a set that is shortened to fit. */
const SHARES = [0.8, 0.6, 0.5, 0.4, 0.3];

/** How long a block takes by itself. */
function aloneMs(sequence: Sequence, block: Block, lookup: MovementLookup): number {
  return compileTimeline(aloneIn(sequence, block), lookup).durationMs;
}

/**
 * A form as it fits into the time that the class has for the block: as it is, or with fewer sets or less in each. Null where it doesn’t fit at all: nobody
 * is left working when the class goes on.
 */
export function fitted(sequence: Sequence, block: Block, form: ClassForm, lookup: MovementLookup): ClassForm | null {
  const roomMs = aloneMs(sequence, block, lookup) + LATE_MS;
  for (const dose of shorterDoses(form, block)) {
    if (aloneMs(sequence, { ...block, ...form, dose }, lookup) <= roomMs) return { ...form, dose };
  }
  return null;
}

/** The class’s own count first, then the form’s usual dose, and less and less of it. */
function* shorterDoses({ movementId, levelId, dose }: ClassForm, block: Block): Generator<Dose> {
  // What is less of the same stays less.
  const counted = movementId === block.movementId && levelId === block.levelId ? null : inClassCount(dose, block.dose);
  // No more than was vetted: an easier level of the same movement may be counted as the class is.
  if (counted && (movementId === block.movementId || moreIn(counted, dose) === null)) yield counted;
  for (const fewer of [dose, ...fewerSets(dose)]) {
    yield fewer;
    for (const share of SHARES) yield withAmounts(fewer, (now) => Math.max(1, Math.floor(now * share)));
  }
}

/** A dose with the sets, amounts and rests of the class; null where they are of another kind, or for other hands. */
function inClassCount(dose: Dose, its: Dose): Dose | null {
  if (dose.work.kind !== its.work.kind || dose.sides !== its.sides) return null;
  const { sets, work, restS } = its;
  const { then: _then, rightAmount: _right, ...plain } = dose;
  return { ...plain, sets, work, restS, ...(its.then && { then: its.then }) };
}

/** Whether somebody’s form is counted with the class: the same sets of the same hands in the same directions. Otherwise they keep their own count. */
export function keepsCount(mine: readonly Stint[], its: readonly Stint[]): boolean {
  return mine.length > 0 && mine.every((stint) => its.some((other) => isSamePiece(stint, other) && other.unit === stint.unit));
}

/** The same set of the same hand in the same direction. */
export const isSamePiece = (a: Stint, b: Stint): boolean =>
  a.round === b.round && a.set === b.set && a.side === b.side && a.direction === b.direction;

/** Pieces of one turn of a block. */
export const stintsOfTurn = ({ stints }: Timeline, blockId: string, round: number): Stint[] =>
  stints.filter((stint) => stint.blockId === blockId && stint.round === round);
