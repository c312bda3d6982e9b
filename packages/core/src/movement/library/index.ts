import type { Movement, MovementLookup } from '../movement.js';
import { ASSISTED_STRETCHES } from './assisted-stretches.js';
import { BEARING_HOLDS, SETTLE } from './bearing-and-settle.js';
import { FREE_MOTION } from './free-motion.js';
import { GRIP } from './grip.js';
import { ISOMETRICS } from './isometrics.js';
import { PLANTED_ROCKS } from './planted-rocks.js';
import { PLANTED_STRENGTH } from './planted-strength.js';

/**
 * The shipped library, in teaching order. Ids of movements and levels are kept for ever: stored sequences and records name them.
 */
export const LIBRARY: readonly Movement[] = [
  ...FREE_MOTION,
  ...ASSISTED_STRETCHES,
  ...PLANTED_ROCKS,
  ...PLANTED_STRENGTH,
  ...BEARING_HOLDS,
  ...ISOMETRICS,
  ...GRIP,
  ...SETTLE,
];

const BY_ID = new Map(LIBRARY.map((movement) => [movement.id, movement]));

/** Finds a shipped movement by id. */
export const shippedMovement: MovementLookup = (movementId) => BY_ID.get(movementId);
