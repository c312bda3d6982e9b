import { checkSequence } from '../model/check-sequence.js';
import type { Movement } from '../model/movement.js';
import type { Round } from '../model/round.js';
import { type Block, type Sequence, SEQUENCE, SEQUENCE_LIMITS, USUAL_PACING } from '../model/sequence.js';
import { checkMutes } from '../rules/checks/check-mutes.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { sentence } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';

/** What a text amounts to. */
interface Assembled {
  /** Null where it is no sound sequence: `faults` says why. */
  readonly document: Sequence | null;
  /** `id`: the block or round that is meant, if any. */
  readonly faults: readonly { readonly id: string | undefined; readonly message: string }[];
  /** What the text left open, as it was taken. */
  readonly assumed: readonly string[];
}

const UNNAMED = 'Sequence without a title';

/** Puts what was read together to a sequence, held to all that a sequence is held to; without a number of minutes it has those that it takes. */
export function assemble(
  head: Partial<Sequence>,
  blocks: readonly Block[],
  rounds: readonly Round[],
  shelf: readonly Movement[],
): Assembled {
  const draft: Sequence = { title: UNNAMED, purpose: '', budgetMin: 1, pacing: USUAL_PACING, ...head, blocks };
  const document = rounds.length > 0 ? { ...draft, rounds } : draft;
  const lookup = (id: string) => shelf.find((movement) => movement.id === id);
  const shape = faultsOf(SEQUENCE, document);
  const wrong = shape.length > 0 ? shape : [...checkSequence(document, lookup), ...checkMutes(document)];
  if (wrong.length > 0) {
    const faults = wrong.map((fault) => ({ id: idAt(fault.pointer, document), message: sentence(fault) }));
    return { document: null, faults, assumed: [] };
  }
  const assumed = head.title === undefined ? [UNNAMED] : [];
  if (head.budgetMin !== undefined) return { document, faults: [], assumed };
  const minutes = Math.max(1, Math.ceil(compileTimeline(document, lookup).plannedMs / 60_000));
  const budgetMin = Math.min(SEQUENCE_LIMITS.budgetMin.max, minutes);
  return { document: { ...document, budgetMin }, faults: [], assumed: [...assumed, `${budgetMin} min, as long as it takes`] };
}

/** The block or round that a pointer into the document means. */
function idAt(pointer: string, { blocks, rounds = [] }: Sequence): string | undefined {
  const at = /^\/(blocks|rounds)\/(\d+)/.exec(pointer);
  return (at?.[1] === 'blocks' ? blocks : rounds)[Number(at?.[2])]?.id;
}
