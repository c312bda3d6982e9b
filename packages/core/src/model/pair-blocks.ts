import { same } from '../vocabulary/same.js';
import type { Block, Sequence } from './sequence.js';

/** A block beside the one that answers it in another sequence; one of them is null where nothing answers. */
export interface BlockPair {
  readonly from: Block | null;
  readonly to: Block | null;
}

/**
 * Which blocks of two sequences belong together. Versions of one sequence are paired by their blocks' ids; what is left, and all of two
 * different sequences, by what the blocks are: the very same first, then the same level, then the same movement, each in order.
 * @returns in the order of `to`, what is only in `from` after the block that it followed
 */
export function pairBlocks(from: Sequence, to: Sequence, versions: boolean): BlockPair[] {
  const partner = new Map<Block, Block>();
  const taken = new Set<Block>();
  const match = (alike: (a: Block, b: Block) => boolean) => {
    for (const b of to.blocks) {
      if (partner.has(b)) continue;
      const a = from.blocks.find((block) => !taken.has(block) && alike(block, b));
      if (!a) continue;
      partner.set(b, a);
      taken.add(a);
    }
  };
  if (versions) match((a, b) => a.id === b.id);
  match((a, b) => isSameWork(a, b) && a.phase === b.phase);
  match(isSameWork);
  match((a, b) => a.movementId === b.movementId && a.levelId === b.levelId);
  match((a, b) => a.movementId === b.movementId);
  const pairs: BlockPair[] = to.blocks.map((b) => ({ from: partner.get(b) ?? null, to: b }));
  for (const [index, gone] of from.blocks.entries()) {
    if (taken.has(gone)) continue;
    const before = from.blocks[index - 1];
    const at = before ? pairs.findIndex((pair) => pair.from === before) : -1;
    pairs.splice(at + 1, 0, { from: gone, to: null });
  }
  return pairs;
}

const isSameWork = (a: Block, b: Block) => a.movementId === b.movementId && a.levelId === b.levelId && same<unknown>(a.dose, b.dose);
