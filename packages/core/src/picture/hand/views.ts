import type { HandViewName } from '../../vocabulary/hand-settings.js';
import { RAD } from '../../mechanics/plane.js';
import type { Vec3 } from './space.js';

/** From where a picture is taken: around the vertical from the thumb’s side of a right hand toward its fingertips, and up; degrees. */
export interface ViewPoint {
  readonly aroundDeg: number;
  readonly upDeg: number;
}

/** Where each named view is taken from. */
export const VIEW_POINTS: Readonly<Record<HandViewName, ViewPoint>> = {
  'thumb side': { aroundDeg: 8, upDeg: 14 },
  'thumb side, from above': { aroundDeg: 30, upDeg: 34 },
  'thumb side, from behind': { aroundDeg: -38, upDeg: 14 },
  'from behind': { aroundDeg: -112, upDeg: 16 },
  'little-finger side': { aroundDeg: 172, upDeg: 14 },
  'from above': { aroundDeg: -90, upDeg: 82 },
  'from below': { aroundDeg: -90, upDeg: -78 },
  'from the fingertips': { aroundDeg: 66, upDeg: 10 },
  'from the fingertips, above': { aroundDeg: 62, upDeg: 34 },
  'as one sees it': { aroundDeg: -80, upDeg: 52 },
  facing: { aroundDeg: 90, upDeg: 8 },
};

/** The direction from the picture's middle to the eye. */
export function eyeOf({ aroundDeg, upDeg }: ViewPoint): Vec3 {
  const [a, u] = [aroundDeg * RAD, upDeg * RAD];
  return [-Math.cos(a) * Math.cos(u), Math.sin(a) * Math.cos(u), Math.sin(u)];
}
