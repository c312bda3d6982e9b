import { type Coil, firstOf, type Hand } from '@clay-pot/core';

/** Pixels of the drawing’s own space. The middle is zero. */
export const HALF = 100;
/** Beside each half: numbers and brackets. */
export const GUTTER = 24;
/** To which side of the middle each hand lies. */
export const SIGN: Record<Hand, 1 | -1> = { left: -1, right: 1 };
/** A coil as far as it is drawn: pixels from the top. */
export interface Layer {
  readonly coil: Coil;
  readonly top: number;
  readonly bottom: number;
}

/** To a tenth of a pixel. */
export const round = (value: number) => Math.round(value * 10) / 10;

/** The coils of one glaze as one path: an edit moves many coils, and each element that moves costs its part of the frame. */
export function boxes(x: number, layers: readonly Layer[], takes: (coil: Coil) => boolean): string {
  return layers
    .filter(({ coil }) => takes(coil))
    .map(({ top, bottom }) => `M${x},${round(top)}h${HALF}V${round(bottom)}h${-HALF}Z`)
    .join('');
}

/** A part of a wall. */
export interface Stretch {
  readonly top: number;
  readonly bottom: number;
  /** Widths at the bottom and the top, 0–1. */
  readonly low: number;
  readonly high: number;
}
/** The wall turns from one coil's width to the next over this much, at most half of either. */
const TURN_PX = 7;

/** The profile of one side from foot to rim, turning softly from coil to coil, as a thrown wall does. */
export function profile(sign: 1 | -1, stretches: readonly Stretch[]): string {
  const first = firstOf(stretches);
  const x = (width: number) => round(sign * width * HALF);
  let path = `M0,${round(first.bottom)}H${x(first.low)}`;
  stretches.forEach(({ top, bottom, high }, index) => {
    const next = stretches[index + 1];
    if (!next) {
      path += `L${x(high)},${round(top)}`;
      return;
    }
    const turn = Math.min(TURN_PX, (bottom - top) / 2, (next.bottom - next.top) / 2);
    path += `L${x(high)},${round(top + turn)}C${x(high)},${round(top)} ${x(next.low)},${round(top)} ${x(next.low)},${round(top - turn)}`;
  });
  return path;
}
