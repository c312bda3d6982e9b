import type { EdgeGrip } from '../vocabulary/contacts.js';

/** Thrown for a size that no hand can hold. */
export class HoldError extends Error {
  override readonly name = 'HoldError';
  constructor(
    readonly field: 'handleMm' | 'edgeMm' | 'pinchMm',
    message: string,
  ) {
    super(message);
  }
}

const within = (field: HoldError['field'], value: number, min: number, max: number) => {
  if (!(value >= min && value <= max))
    throw new HoldError(field, `${field} must be within ${min}–${max} mm, not ${value}.`);
};

/** A hand closes best on a handle of about this thickness. */
export const BEST_HANDLE_MM = 38;

/**
 * Share of the best grip that is left on a handle of this diameter. Grip peaks near 38 mm and has lost about two fifths at 76 mm
 * (Edgren, Radwin, Irwin 2004, Human Factors 46:244–51); between, and toward thin handles, straight lines are a working choice.
 * @example handleFactor(120) < handleFactor(32) → true
 * @throws HoldError outside 15–120 mm
 */
export function handleFactor(handleMm: number): number {
  within('handleMm', handleMm, 15, 120);
  const off = handleMm - BEST_HANDLE_MM;
  return off > 0 ? Math.max(0.2, 1 - 0.0108 * off) : 1 + 0.004 * off;
}

/**
 * Share of whole-hand grip force that the fingertips can hang from an edge: a working law. It rises with depth until the end and middle
 * finger bones lie on it (about 45 mm), and a half crimp holds a little more than an open hand.
 * @example edgeFactor(10, 'half crimp') > edgeFactor(10, 'open hand') → true
 * @throws HoldError outside 4–80 mm
 */
export function edgeFactor(edgeMm: number, grip: EdgeGrip): number {
  within('edgeMm', edgeMm, 4, 80);
  const depth = 1 - Math.exp(-edgeMm / 16);
  return depth * (grip === 'half crimp' ? 0.95 : 0.85);
}

/** Pinch of thumb against four fingers, as a share of grip: a working value. It is best at a width of about 50 mm. */
const PINCH_OF_GRIP = 0.4;
const BEST_PINCH_MM = 50;

/** Share of whole-hand grip force that a pinch of this width can press with. @throws HoldError outside 5–150 mm */
export function pinchFactor(pinchMm: number): number {
  within('pinchMm', pinchMm, 5, 150);
  const off = Math.abs(pinchMm - BEST_PINCH_MM);
  return PINCH_OF_GRIP * Math.max(0.4, 1 - 0.006 * off);
}

/** Dry skin on a smooth plate: what a pinch holds up is friction on both faces. Working value. */
export const PINCH_FRICTION = 0.6;
