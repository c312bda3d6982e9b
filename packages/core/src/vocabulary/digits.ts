/** Thumb and fingers, from the thumb's side. */
export const DIGITS = ['thumb', 'index', 'middle', 'ring', 'little'] as const;
/** A thumb or a finger. */
export type Digit = (typeof DIGITS)[number];
