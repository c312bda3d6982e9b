import {
  type Beat,
  type Frame3d,
  frameFor,
  type Hand,
  type HandPicture,
  pushArrow,
  trailOf,
  type Vec3,
  type ViewPoint,
} from '@clay-pot/core';

const kept = new WeakMap<HandPicture, Map<string, unknown>>();
function keep<T>(picture: HandPicture, key: string, make: () => T): T {
  const mine = kept.get(picture) ?? new Map<string, unknown>();
  kept.set(picture, mine);
  if (!mine.has(key)) mine.set(key, make());
  return mine.get(key) as T;
}

/** The frame that holds a picture through its whole repetition, from its own view or another. */
export const frameOf = (picture: HandPicture, side: Hand, view: ViewPoint = picture.view): Frame3d =>
  keep(picture, `frame ${side} ${view.aroundDeg} ${view.upDeg}`, () => frameFor(picture, side, view));

/** The press of a picture that does not move, worked out once. */
export const pushFor = (picture: HandPicture, side: Hand): readonly [Vec3, Vec3] | null =>
  keep(picture, `push ${side}`, () => pushArrow(picture, side));

/** The way of what moves most, worked out once. */
export const trailFor = (picture: HandPicture, side: Hand, { turn }: Beat): readonly Vec3[] | null =>
  keep(picture, `trail ${side} ${turn % 4}`, () => trailOf(picture, side, turn));
