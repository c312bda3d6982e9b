import { LIBRARY, shippedMovement } from '../library/index.js';
import type { Movement, MovementLookup } from '../model/movement.js';

/** A studio’s own movements as plain data, and which of them (or of the shipped ones) cannot be chosen any more. */
export interface OwnShelf {
  readonly own: readonly Movement[];
  readonly removedIds: readonly string[];
}

/** Finds every movement, the removed ones too, and lists those that may be chosen: a studio’s own in the place of a shipped one with its id. */
export function shelfOf({ own, removedIds }: OwnShelf): { lookup: MovementLookup; shelf: Movement[] } {
  const byId = new Map(own.map((movement) => [movement.id, movement]));
  return {
    lookup: (id) => byId.get(id) ?? shippedMovement(id),
    shelf: [...LIBRARY.filter(({ id }) => !byId.has(id)), ...own].filter(({ id }) => !removedIds.includes(id)),
  };
}
