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

interface Named {
  readonly shelf: readonly Movement[];
  readonly ownName: (movementId: string) => string | undefined;
}
const fault = (message: string): Fault[] => [{ pointer: '/name', label: 'Name', message }];
const belongsTo = ({ name }: Movement) => fault(`belongs to “${name}” already: choose one that no other movement has`);

/** Why a movement cannot be called so: another one has the name, plain or of the studio's own; empty when it can. */
export function checkOwnName({ movementId, name }: OwnName, { shelf, ownName }: Named): Fault[] {
  const wanted = plainName(name);
  if (wanted === '') return fault('needs a letter or a number');
  const sameName = shelf.find(({ id, name: plain }) => id !== movementId && [plain, ownName(id) ?? ''].map(plainName).includes(wanted));
  return sameName ? belongsTo(sameName) : [];
}

/** Why one of the studio's movements cannot have its plain name: the studio calls another one so. */
export function checkPlainName({ id, name }: Pick<Movement, 'id' | 'name'>, { shelf, ownName }: Named): Fault[] {
  const sameName = shelf.find((other) => other.id !== id && plainName(ownName(other.id) ?? '') === plainName(name));
  return sameName ? belongsTo(sameName) : [];
}
