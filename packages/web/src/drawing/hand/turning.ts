import type { Hand, ViewPoint } from '@clay-pot/core';

/** Degrees for a pixel of dragging. */
const DRAG_DEG = 0.6;
/** How far one can look from above and from below. */
const MOST_UP_DEG = 88;

/** A hand seen from elsewhere: so far around it and so far up. Around a left hand the other way, as its picture is a mirror. */
export const turnedView = (view: ViewPoint, side: Hand, aroundDeg: number, upDeg: number): ViewPoint => ({
  aroundDeg: view.aroundDeg + (side === 'left' ? -aroundDeg : aroundDeg),
  upDeg: Math.max(-MOST_UP_DEG, Math.min(MOST_UP_DEG, view.upDeg + upDeg)),
});

/** What a drag over so many pixels turns: around and up, degrees. */
export const draggedView = (x: number, y: number): readonly [aroundDeg: number, upDeg: number] => [x * -DRAG_DEG, y * DRAG_DEG];
