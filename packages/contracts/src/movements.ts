import { GRADES, MOVEMENT, type Movement } from '@clay-pot/core';
import { OWN_NAME } from '@clay-pot/core/library';
import { bodyOf } from './validation/is-document.js';

export type { OwnName } from '@clay-pot/core/library';

/** A studio's own movement with its ladder. Its id is the address it is stored under. */
export class MovementInput extends bodyOf(MOVEMENT) {}

/** Springs and bands that a studio owns: all of them. */
export class GradesInput extends bodyOf(GRADES) {}

/** What a studio calls a movement. */
export class OwnNameInput extends bodyOf(OWN_NAME) {}

/** A movement of the studio’s own, with its version; one that was removed is kept for what used it. */
export interface StoredMovement {
  id: string;
  etag: string;
  updatedAt: string;
  /** Taken off the shelf: kept for the sequences and records that name it. */
  removed: boolean;
  movement: Movement;
}
