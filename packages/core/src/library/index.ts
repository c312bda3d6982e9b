import type { Grade } from '../model/grades.js';
import type { Method, MethodLookup } from '../model/method.js';
import type { Movement, MovementLookup } from '../model/movement.js';
import { METHODS, shippedMethod } from './methods.js';
import type { OwnName } from './own-names.js';
import { ASSISTED_STRETCHES } from './assisted-stretches.js';
import { BEARING_HOLDS } from './bearing-holds.js';
import { BY_HAND } from './by-hand.js';
import { EDGE_WORK } from './edge-work.js';
import { FREE_FINGERS } from './free-fingers.js';
import { FREE_MOTION } from './free-motion.js';
import { FREE_WEIGHTS } from './free-weights.js';
import { GRIP } from './grip.js';
import { HANGS } from './hangs.js';
import { ISOMETRICS } from './isometrics.js';
import { NEIGHBOURS } from './neighbours.js';
import { PLANTED_FURTHER } from './planted-further.js';
import { PLANTED_PRESSES } from './planted-presses.js';
import { PLANTED_ROCKS } from './planted-rocks.js';
import { PLANTED_STRENGTH } from './planted-strength.js';
import { SETTLE } from './settle.js';
import { STRETCHES_ON_ONESELF } from './stretches-on-oneself.js';
import { TENDON_GLIDES } from './tendon-glides.js';

/**
 * The shipped library, in teaching order. Ids of movements and levels are kept for ever: stored sequences and records name them.
 */
export const LIBRARY: readonly Movement[] = [
  ...FREE_MOTION,
  ...FREE_FINGERS,
  ...TENDON_GLIDES,
  ...ASSISTED_STRETCHES,
  ...STRETCHES_ON_ONESELF,
  ...PLANTED_ROCKS,
  ...PLANTED_STRENGTH,
  ...PLANTED_FURTHER,
  ...PLANTED_PRESSES,
  ...BEARING_HOLDS,
  ...ISOMETRICS,
  ...FREE_WEIGHTS,
  ...GRIP,
  ...EDGE_WORK,
  ...HANGS,
  ...NEIGHBOURS,
  ...BY_HAND,
  ...SETTLE,
];

const BY_ID = new Map(LIBRARY.map((movement) => [movement.id, movement]));

/** What a studio knows: the shipped movements and methods with its own beside them. */
export interface StudioLibrary {
  /** Finds a movement by id, the studio's own first. */
  readonly movement: MovementLookup;
  readonly method: MethodLookup;
  /** Movements that can be chosen: the shipped ones, then the studio's own that were not taken off. */
  readonly shelf: readonly Movement[];
  readonly methods: readonly Method[];
  /** What the studio calls a movement; undefined where it has no name of its own for it. */
  readonly ownName: (movementId: string) => string | undefined;
  /** The studio’s springs and bands. */
  readonly grades: readonly Grade[];
}

/** Everything of a studio’s own that a library is made of, as plain data. */
export interface LibraryData {
  readonly movements: readonly Own<Movement>[];
  readonly methods: readonly Own<Method>[];
  readonly names: readonly OwnName[];
  readonly grades: readonly Grade[];
}

/** One of a studio's own documents; what was removed stays known to the sequences and records that name it. */
export interface Own<D> {
  readonly removed: boolean;
  readonly document: D;
}

/** The one look-up of movements and methods, for screens and server alike. */
export function libraryWith(
  movements: readonly Own<Movement>[],
  methods: readonly Own<Method>[],
  names: readonly OwnName[] = [],
  grades: readonly Grade[] = [],
): StudioLibrary {
  const ownNames = new Map(names.map(({ movementId, name }) => [movementId, name]));
  const ownMovements = new Map(movements.map(({ document }) => [document.id, document]));
  const ownMethods = new Map(methods.map(({ document }) => [document.id, document]));
  const standing = <D>(own: readonly Own<D>[]) => own.filter(({ removed }) => !removed).map(({ document }) => document);
  return {
    movement: (id) => ownMovements.get(id) ?? shippedMovement(id),
    method: (id) => ownMethods.get(id) ?? shippedMethod(id),
    shelf: [...LIBRARY, ...standing(movements)],
    methods: [...Object.values(METHODS), ...standing(methods)],
    ownName: (movementId) => ownNames.get(movementId),
    grades,
  };
}

/** Finds a shipped movement by id. */
export const shippedMovement: MovementLookup = (movementId) => BY_ID.get(movementId);
export { complaintIn, type Found, movementFinder, type MovementFinder, plainName } from './find-movements.js';
export { methodFor } from './method-for.js';
export * from './methods.js';
export * from './own-names.js';
export * from './goals.js';
export { EASY_GOAL, startingPointOf, STARTING_POINTS } from './starting-points.js';
