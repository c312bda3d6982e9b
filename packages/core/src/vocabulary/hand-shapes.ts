/** Shapes that a hand goes through, by name; their joint angles are in `picture/hand-shape.ts`. */
export const HAND_SHAPE_NAMES = [
  'open',
  'spread',
  'together',
  'relaxed',
  'fist',
  'hook',
  'tabletop',
  'flat fist',
  'around a ball',
  'around a bar',
  'on an edge',
  'pinch',
  'dome',
] as const;
/** The name of a shape of the hand. */
export type HandShapeName = (typeof HAND_SHAPE_NAMES)[number];
