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
