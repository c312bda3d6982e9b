import { resolveBlock } from './check-sequence.js';
import { equipmentFor, type MovementLookup } from './movement.js';
import type { Block, Sequence } from './sequence.js';
import type { Equipment } from '../vocabulary/places.js';

/** Everything that blocks need, in the order in which they need it. */
export function thingsFor(blocks: readonly Block[], lookup: MovementLookup): Equipment[] {
  const things = blocks.flatMap((block) => {
    const { movement, level } = resolveBlock(block, lookup);
    return equipmentFor(movement, level, block.dose);
  });
  return [...new Set(things)];
}

/** What the break before a block is for: things that its group, up to the next break, needs and nothing needed before. A mat lies there already. */
export function thingsAfterBreak({ blocks }: Sequence, blockIndex: number, lookup: MovementLookup): Equipment[] {
  const before = thingsFor(blocks.slice(0, blockIndex), lookup);
  const next = blocks.findIndex(({ breakS }, index) => index > blockIndex && breakS !== undefined);
  const group = blocks.slice(blockIndex, next < 0 ? undefined : next);
  return thingsFor(group, lookup).filter((thing) => !before.includes(thing) && thing !== 'mat');
}
