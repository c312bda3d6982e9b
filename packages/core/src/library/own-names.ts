import type { Fault } from '../vocabulary/fault.js';
import { MOVEMENT_LIMITS, type Movement } from '../model/movement.js';
import { record, text } from '../vocabulary/schema.js';
import { plainName } from './find-movements.js';

/** What a studio calls a movement. */
export interface OwnName {
  readonly movementId: string;
  readonly name: string;
}

/** A studio's name for a movement, as it is sent. */
export const OWN_NAME = record({ name: text(MOVEMENT_LIMITS.nameLength, 1, 'Name') }, { what: 'a name' });

/** Why a movement cannot be called so: another one has the name, plain or of the studio's own; empty when it can. */
export function checkOwnName(
  { movementId, name }: OwnName,
  { shelf, ownName }: { readonly shelf: readonly Movement[]; readonly ownName: (id: string) => string | undefined },
): Fault[] {
  const wanted = plainName(name);
  const fault = (message: string): Fault[] => [{ pointer: '/name', label: 'Name', message }];
  if (wanted === '') return fault('needs a letter or a number');
  const taken = shelf.find(
    ({ id, name: plain }) =>
      id !== movementId && (plainName(plain) === wanted || plainName(ownName(id) ?? '') === wanted),
  );
  return taken ? fault(`belongs to “${taken.name}” already: choose one that no other movement has`) : [];
}
