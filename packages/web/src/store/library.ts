import type { Grade, Method, MovementLookup, Sequence } from '@clay-pot/core';
import { type StudioLibrary, libraryWith, methodOf } from '@clay-pot/core/library';
import type { OwnName, StoredMethod, StoredMovement } from '@clay-pot/contracts';
import { useGrades } from './grades.js';
import { useOwnMethods } from './own-methods.js';
import { useOwnMovements } from './own-movements.js';
import { useOwnNames } from './own-names.js';

type Movements = readonly StoredMovement[];
type Methods = readonly StoredMethod[];
type Names = readonly OwnName[];
type Grades = readonly Grade[];

let last: { movements: Movements; methods: Methods; names: Names; grades: Grades; library: StudioLibrary } | undefined;

/** Built once for each state of what is stored, so that subscribers hear only of changes. */
function knownFrom(movements: Movements, methods: Methods, names: Names, grades: Grades): StudioLibrary {
  if (last?.movements !== movements || last.methods !== methods || last.names !== names || last.grades !== grades) {
    const library = libraryWith(
      movements.map(({ removed, movement }) => ({ removed, document: movement })),
      methods.map(({ removed, method }) => ({ removed, document: method })),
      names,
      grades,
    );
    last = { movements, methods, names, grades, library };
  }
  return last.library;
}

/** What this studio knows now: movements and methods, shipped and its own. */
export const studioLibrary = (): StudioLibrary =>
  knownFrom(useOwnMovements.getState().stored, useOwnMethods.getState().stored, useOwnNames.getState().stored, useGrades.getState().stored);

/** As `studioLibrary`, following changes. */
export function useStudioLibrary(): StudioLibrary {
  const movements = useOwnMovements((state) => state.stored);
  const methods = useOwnMethods((state) => state.stored);
  const names = useOwnNames((state) => state.stored);
  const grades = useGrades((state) => state.stored);
  return knownFrom(movements, methods, names, grades);
}

/** Finds a movement, shipped or the studio's own. */
export const movementById: MovementLookup = (id) => studioLibrary().movement(id);

/** The method of a sequence; the usual one where it names none. */
export const methodFor = (sequence: Pick<Sequence, 'methodId'>): Method => methodOf(sequence, studioLibrary().method);

/** What the studio calls a movement; undefined where it has no name of its own for it. */
export const useOwnName = (movementId: string): string | undefined =>
  useOwnNames((state) => state.stored.find((own) => own.movementId === movementId)?.name);
