import type { Limit } from '../vocabulary/limit.js';

/** How far from the joint a gauge pushes, for what is kept as a moment. */
export const LEVER_CM = { min: 2, max: 40, step: 0.5, unit: 'cm' } as const satisfies Limit;
/** Where it usually pushes on a hand: at the knuckles. */
export const USUAL_LEVER_CM = 8;

const CM_PER_M = 100;
/** The moment of a force at a right angle to the hand, N·m. @example momentOf(100, 8) → 8 */
export const momentOf = (forceN: number, leverCm: number): number => (forceN * leverCm) / CM_PER_M;
