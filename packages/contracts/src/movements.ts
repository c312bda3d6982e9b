import type { Movement } from '@clay-pot/core';

export { MOVEMENT as MOVEMENT_INPUT } from '@clay-pot/core';

/** A studio's own movement with its ladder. Its id is the address it is stored under. */
export type MovementInput = Omit<Movement, 'id'>;

/** A movement of the studio’s own, with its version; one that was removed is kept for what used it. */
export interface StoredMovement {
  id: string;
  etag: string;
  updatedAt: string;
  /** Taken off the shelf: kept for the sequences and records that name it. */
  removed: boolean;
  movement: Movement;
}

export { OWN_NAME as OWN_NAME_INPUT, type OwnName } from '@clay-pot/core/library';

/** What a studio calls a movement. */
export interface OwnNameInput {
  name: string;
}
