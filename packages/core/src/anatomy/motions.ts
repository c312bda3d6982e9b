/** Joint motions of wrist, forearm, fingers and thumb, and the neighbours that sequences also use. */
export const MOTIONS = [
  'wrist flexion',
  'wrist extension',
  'radial deviation',
  'ulnar deviation',
  'pronation',
  'supination',
  'finger flexion',
  'finger extension',
  'finger spreading',
  'thumb opposition',
  'thumb extension',
  'shoulder support',
] as const;
export type Motion = (typeof MOTIONS)[number];

/**
 * The four ends of the muscles that cross both the wrist and the finger joints: the first two are their long ends, the last two
 * their short ones. Complete work visits all four.
 */
export const CORNERS = [
  'open hand, wrist extended',
  'fist, wrist flexed',
  'fist, wrist extended',
  'open hand, wrist flexed',
] as const;
export type Corner = (typeof CORNERS)[number];

/** Muscle groups that loads and fatigue are kept for, on each side. */
export const MUSCLE_GROUPS = [
  'wrist flexors',
  'wrist extensors',
  'radial deviators',
  'ulnar deviators',
  'pronators',
  'supinators',
  'finger flexors',
  'finger extensors',
  'hand intrinsics',
  'thumb muscles',
  'elbow muscles',
  'shoulder girdle',
] as const;
export type MuscleGroup = (typeof MUSCLE_GROUPS)[number];
