/** The part of the hand that carries weight. */
export const CONTACTS = ['none', 'open palm', 'raised palm', 'fist', 'back of hand', 'fingertips', 'edge', 'handle', 'ball'] as const;
/** The part of the hand that carries weight. */
export type Contact = (typeof CONTACTS)[number];

/** Where the fingers point on the floor. `free` when the hand is not planted. */
export const FACINGS = ['free', 'forward', 'outward', 'inward', 'backward'] as const;
/** Where the fingers point. */
export type Facing = (typeof FACINGS)[number];

/** Ways to hold an edge. */
export const EDGE_GRIPS = ['open hand', 'half crimp'] as const;
/** A way to hold an edge. */
export type EdgeGrip = (typeof EDGE_GRIPS)[number];

/** Curled fingers lengthen the extensors, straight ones the flexors. */
export const FINGERS = ['curled', 'relaxed', 'straight'] as const;
/** How the fingers are held in a stretch. */
export type Fingers = (typeof FINGERS)[number];
