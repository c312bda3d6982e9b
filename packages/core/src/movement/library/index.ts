import type { Movement, MovementLookup } from '../movement.js';
import { ASSISTED_STRETCHES } from './assisted-stretches.js';
import { BEARING_MORE } from './bearing-more.js';
import { BEARING_HOLDS, SETTLE } from './bearing-and-settle.js';
import { EDGE_WORK, HANGS } from './edge-and-hangs.js';
import { FREE_MOTION } from './free-motion.js';
import { FREE_MOTION_MORE } from './free-motion-more.js';
import { FREE_WEIGHTS } from './free-weights.js';
import { GRIP } from './grip.js';
import { GRIP_MORE } from './grip-more.js';
import { ISOMETRICS } from './isometrics.js';
import { ISOMETRICS_MORE } from './isometrics-more.js';
import { NEIGHBOURS, SETTLE_MORE } from './neighbours-and-settle.js';
import { PLANTED_ROCKS } from './planted-rocks.js';
import { PLANTED_ROCKS_MORE } from './planted-rocks-more.js';
import { PLANTED_STRENGTH } from './planted-strength.js';
import { PLANTED_STRENGTH_MORE } from './planted-strength-more.js';
import { STRETCHES_MORE } from './stretches-more.js';
import { TENDON_GLIDES } from './tendon-glides.js';

/**
 * The shipped library, in teaching order. Ids of movements and levels are kept for ever: stored sequences and records name them.
 */
export const LIBRARY: readonly Movement[] = [
  ...FREE_MOTION,
  ...FREE_MOTION_MORE,
  ...TENDON_GLIDES,
  ...ASSISTED_STRETCHES,
  ...STRETCHES_MORE,
  ...PLANTED_ROCKS,
  ...PLANTED_ROCKS_MORE,
  ...PLANTED_STRENGTH,
  ...PLANTED_STRENGTH_MORE,
  ...BEARING_HOLDS,
  ...BEARING_MORE,
  ...ISOMETRICS,
  ...ISOMETRICS_MORE,
  ...FREE_WEIGHTS,
  ...GRIP,
  ...GRIP_MORE,
  ...EDGE_WORK,
  ...HANGS,
  ...NEIGHBOURS,
  ...SETTLE,
  ...SETTLE_MORE,
];

const BY_ID = new Map(LIBRARY.map((movement) => [movement.id, movement]));

/** Finds a shipped movement by id. */
export const shippedMovement: MovementLookup = (movementId) => BY_ID.get(movementId);
