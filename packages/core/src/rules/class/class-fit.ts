import { compileTimeline } from '../../timeline/compile-timeline.js';
import type { Stint, Timeline } from '../../timeline/timeline.js';
import type { Block, Sequence } from '../../model/sequence.js';
import type { MovementLookup } from '../../model/movement.js';
import type { ClassForm } from '../../model/class-session.js';
import { aloneIn } from '../../model/rounds.js';
import { fewerSets, type Dose, withAmounts } from '../../model/dose.js';

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
  const shorter = [form.dose, ...fewerSets(form.dose), ...SHARES.map((share) => scaled(form.dose, share))];
  for (const dose of shorter) {
    if (aloneMs(sequence, { ...block, ...form, dose }, lookup) <= roomMs) return { ...form, dose };
  }
  return null;
}

const scaled = (dose: Dose, share: number): Dose => withAmounts(dose, (now) => Math.max(1, Math.floor(now * share)));

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
