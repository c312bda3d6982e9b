import { PINCH } from './norms.js';
import { type Constant, published, working } from '../vocabulary/constant.js';
import type { EdgeGrip } from '../vocabulary/contacts.js';
import type { Digit } from '../vocabulary/digits.js';

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

const clampTo = (field: HoldError['field'], value: number, min: number, max: number) => {
  if (!(value >= min && value <= max)) throw new HoldError(field, `${field} must be within ${min}–${max} mm, not ${value}.`);
};

const EDGREN = 'Edgren, Radwin, Irwin 2004, Human Factors 46:244–51';
/** A hand closes best on a handle of about this thickness. */
export const BEST_HANDLE_MM = 38;
const THICK = published('Grip lost on thick handles', 0.0108, 'per mm beyond 38 mm', EDGREN, 'about two fifths at 76 mm');
const THIN = working('Grip lost on thin handles', 0.004, 'per mm below 38 mm', 'a straight line to the thinnest rod', [0.001, 0.01]);

/**
 * Share of the best grip that is left on a handle of this diameter.
 * @example handleFactor(120) < handleFactor(32) → true
 * @throws HoldError outside 15–120 mm
 */
export function handleFactor(handleMm: number): number {
  clampTo('handleMm', handleMm, 15, 120);
  const off = handleMm - BEST_HANDLE_MM;
  return off > 0 ? Math.max(0.2, 1 - THICK.value * off) : 1 + THIN.value * off;
}

const EDGE_DEPTH = working(
  'Depth at which an edge holds well',
  16,
  'mm',
  'an edge holds nearly all from some 45 mm on, where end and middle bones lie on it',
  [12, 20],
);
const EDGE_SHARE: Record<EdgeGrip, Constant> = {
  'open hand': working('Open hand on an edge', 0.85, 'of grip', 'fingertips hang less than the whole hand squeezes', [0.7, 1]),
  'half crimp': working('Half crimp on an edge', 0.95, 'of grip', 'bent middle joints hold a little more', [0.8, 1.1]),
};

/**
 * Share of whole-hand grip force that the fingertips can hang from an edge.
 * @example edgeFactor(10, 'half crimp') > edgeFactor(10, 'open hand') → true
 * @throws HoldError outside 4–80 mm
 */
export function edgeFactor(edgeMm: number, grip: EdgeGrip): number {
  clampTo('edgeMm', edgeMm, 4, 80);
  return (1 - Math.exp(-edgeMm / EDGE_DEPTH.value)) * EDGE_SHARE[grip].value;
}

const BEST_PINCH = working('Best width of a pinch', 50, 'mm', 'thumb and fingers stand opposite each other', [40, 65]);
const PINCH_OFF = working('Pinch lost by width', 0.006, 'per mm off 50 mm', 'a straight line either way', [0.003, 0.01]);

/** Share of the best pinch that is left at this width. @throws HoldError outside 5–150 mm */
export function pinchFactor(pinchMm: number): number {
  clampTo('pinchMm', pinchMm, 5, 150);
  return Math.max(0.4, 1 - PINCH_OFF.value * Math.abs(pinchMm - BEST_PINCH.value));
}

/** What a pinch holds up is friction on both faces. */
export const PINCH_FRICTION = working(
  'Friction of dry skin on a plate',
  0.6,
  'of the pressing force',
  'dry skin on a smooth plate',
  [0.4, 0.8],
);

/** A hand hangs from a bar with more than it squeezes: the bar opens the fingers, it is not closed by them. */
export const SUPPORT = published(
  'Support over squeeze',
  1.45,
  'of grip',
  'Young et al. 2009, Human Factors 51(5):705–17',
  'break-away forces on a horizontal bar ran 1.3–1.6 times grip',
);

const shareOf = (digit: Digit, value: number) =>
  working(
    `Share of the ${digit} finger`,
    value,
    'of grip',
    'four fingers share a grip unevenly; published shares differ by some hundredths',
    [value * 0.8, value * 1.2],
  );
const DIGIT_SHARE: Record<Exclude<Digit, 'thumb'>, Constant> = {
  index: shareOf('index', 0.26),
  middle: shareOf('middle', 0.32),
  ring: shareOf('ring', 0.26),
  little: shareOf('little', 0.16),
};

/** What the named fingers have of the whole hand’s grip; all of it where none is named. @example fingersFactor(['index', 'middle', 'ring', 'little']) ≈ 1 */
export function fingersFactor(digits: readonly Digit[] | undefined): number {
  const fingers = (digits ?? []).filter((digit) => digit !== 'thumb');
  if (fingers.length === 0) return 1;
  return fingers.reduce((sum, digit) => sum + DIGIT_SHARE[digit].value, 0);
}

/** The thumb opens with three muscles of its own. */
const THUMB_OPENS = working(
  'Opening of the thumb alone',
  0.5,
  'of the four fingers’ opening',
  'three long muscles open it; by hand it is held shut with about half of what holds the fingers shut',
  [0.35, 0.7],
);
/** What the named digits have of the whole hand’s opening; the thumb counts where it opens alone. @example openingFactor(['thumb']) → 0.5 */
export const openingFactor = (digits: readonly Digit[] | undefined): number =>
  digits?.every((digit) => digit === 'thumb') ? THUMB_OPENS.value : fingersFactor(digits);

/** What a pinch of the thumb against these fingers has of the best: one finger’s tip, or two and more. @example pinchOf(['thumb', 'middle', 'index']) → 1 */
export const pinchOf = (digits: readonly Digit[] | undefined): number =>
  (digits ?? []).filter((digit) => digit !== 'thumb').length === 1 ? PINCH.tip.value / PINCH.palmar.value : 1;
