/** What of the hand bears. */
export const CONTACTS = [
  'none',
  'open palm',
  'raised palm',
  'fist',
  'back of hand',
  'fingertips',
  'edge',
  'handle',
  'ball',
] as const;
export type Contact = (typeof CONTACTS)[number];

/** Where the fingers point on the floor. `free` when the hand is not planted. */
export const FACINGS = ['free', 'forward', 'outward', 'inward', 'backward'] as const;
export type Facing = (typeof FACINGS)[number];

/** What the body does. */
export const POSTURES = [
  'standing',
  'seated',
  'all fours',
  'knees back',
  'plank',
  'pike',
  'side support',
  'reverse support',
  'incline',
  'wall handstand',
  'handstand',
  'kneeling',
  'lying',
  'hang',
] as const;
export type Posture = (typeof POSTURES)[number];

/** How the wrist is worked: moved freely, moved by help, against resistance, or bearing weight on a surface. */
export const LOADINGS = ['unloaded', 'assisted', 'resisted', 'planted'] as const;
export type Loading = (typeof LOADINGS)[number];

/** Things a studio may or may not have in the room. */
export const EQUIPMENT = [
  'mat',
  'chair',
  'table',
  'wall',
  'bench',
  'soft ball',
  'firm ball',
  'light dumbbell',
  'stick',
  'finger band',
  'hand gripper',
  'plate',
  'towel',
  'bar',
  'putty',
  'weight',
  'lever',
  'wrist roller',
  'thick bar',
  'handles',
  'edge',
  'paper',
  'massage tool',
] as const;
export type Equipment = (typeof EQUIPMENT)[number];
