/** Shapes that a hand goes through, by name; their joint angles are in `picture/hand/shapes.ts`. Those of one finger take the next with each repetition. */
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
  'thumb in fist',
  'thumb across',
  'thumb to a finger',
  'one finger up',
  'one finger back',
  'thumb and index',
  'ring and little',
] as const;
/** The name of a shape of the hand. */
export type HandShapeName = (typeof HAND_SHAPE_NAMES)[number];
