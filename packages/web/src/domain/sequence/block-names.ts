import type { Sequence } from '@clay-pot/core';
import { movementById } from '../../store/library.js';

/** Names of a sequence's blocks by their ids. */
export function blockNames({ blocks }: Sequence): (blockId: string) => string {
  const names = new Map(blocks.map(({ id, movementId }) => [id, movementById(movementId)?.name ?? movementId]));
  return (blockId) => names.get(blockId) ?? blockId;
}
