import { must, resolveBlock } from '@clay-pot/core';
import { movementById } from '../../store/library.js';
import type { Run } from '../../store/run.js';

/** How a block is called in a question. */
export const blockName = (run: Run, blockId: string): string =>
  resolveBlock(
    must(
      run.sequence.blocks.find(({ id }) => id === blockId),
      'a block of the session',
    ),
    movementById,
  ).movement.name;
