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

/** What a studio calls its movements, by their ids. */
export type OwnNames = ReadonlyMap<string, string>;

/** Why a movement cannot be called so: another one has the name, plain or of the studio's own; empty when it can. */
export function checkOwnName(
  { movementId, name }: OwnName,
  { shelf, names }: { readonly shelf: readonly Movement[]; readonly names: OwnNames },
): Fault[] {
  const wanted = plainName(name);
  const fault = (message: string): Fault[] => [{ pointer: '/name', label: 'Name', message }];
  if (wanted === '') return fault('needs a letter or a number');
  const taken = shelf.find(
    ({ id, name: plain }) =>
      id !== movementId && (plainName(plain) === wanted || plainName(names.get(id) ?? '') === wanted),
  );
  return taken ? fault(`belongs to “${taken.name}” already: choose one that no other movement has`) : [];
}

/** A movement by both of its names. @example bothNames('Hand open and close', 'Jellyfish') → 'Hand open and close, “Jellyfish”' */
export const bothNames = (plain: string, own: string | undefined): string => (own ? `${plain}, “${own}”` : plain);
