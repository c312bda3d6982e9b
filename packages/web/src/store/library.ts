import type { Method, MovementLookup, Sequence } from '@clay-pot/core';
import { type Known, knownWith, methodOf } from '@clay-pot/core/library';
import type { StoredMethod, StoredMovement } from '@clay-pot/contracts';
import { useOwnMethods } from './own-methods.js';
import { useOwnMovements } from './own-movements.js';

type Movements = readonly StoredMovement[];
type Methods = readonly StoredMethod[];

let last: { movements: Movements; methods: Methods; known: Known } | undefined;

/** Built once for each state of what is stored, so that whoever follows it is only told of changes. */
function knownFrom(movements: Movements, methods: Methods): Known {
  if (last?.movements !== movements || last.methods !== methods) {
    const known = knownWith(
      movements.map(({ removed, movement }) => ({ removed, document: movement })),
      methods.map(({ removed, method }) => ({ removed, document: method })),
    );
    last = { movements, methods, known };
  }
  return last.known;
}

/** What this studio knows now: movements and methods, shipped and its own. */
export const known = (): Known => knownFrom(useOwnMovements.getState().stored, useOwnMethods.getState().stored);

/** As `known`, following changes. */
export function useKnown(): Known {
  const movements = useOwnMovements((state) => state.stored);
  const methods = useOwnMethods((state) => state.stored);
  return knownFrom(movements, methods);
}

/** Finds a movement, shipped or the studio's own. */
export const knownMovement: MovementLookup = (id) => known().movement(id);

/** The method of a sequence; the usual one where it names none. */
export const methodFor = (sequence: Pick<Sequence, 'methodId'>): Method => methodOf(sequence, known().method);
