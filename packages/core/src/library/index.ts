import type { Movement, MovementLookup } from '../model/movement.js';
import { ASSISTED_STRETCHES } from './assisted-stretches.js';
import { BEARING_HOLDS } from './bearing-holds.js';
import { EDGE_WORK } from './edge-work.js';
import { FREE_MOTION } from './free-motion.js';
import { FREE_WEIGHTS } from './free-weights.js';
import { GRIP } from './grip.js';
import { HANGS } from './hangs.js';
import { ISOMETRICS } from './isometrics.js';
import { NEIGHBOURS } from './neighbours.js';
import { PLANTED_ROCKS } from './planted-rocks.js';
import { PLANTED_STRENGTH } from './planted-strength.js';
import { SETTLE } from './settle.js';
import { TENDON_GLIDES } from './tendon-glides.js';

/**
 * The shipped library, in teaching order. Ids of movements and levels are kept for ever: stored sequences and records name them.
 */
export const LIBRARY: readonly Movement[] = [
  ...FREE_MOTION,
  ...TENDON_GLIDES,
  ...ASSISTED_STRETCHES,
  ...PLANTED_ROCKS,
  ...PLANTED_STRENGTH,
  ...BEARING_HOLDS,
  ...ISOMETRICS,
  ...FREE_WEIGHTS,
  ...GRIP,
  ...EDGE_WORK,
  ...HANGS,
  ...NEIGHBOURS,
  ...SETTLE,
];

const BY_ID = new Map(LIBRARY.map((movement) => [movement.id, movement]));

/** Finds a shipped movement by id. */
export const shippedMovement: MovementLookup = (movementId) => BY_ID.get(movementId);
export * from './methods.js';
