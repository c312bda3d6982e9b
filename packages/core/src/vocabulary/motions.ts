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
/** The name of a motion. */
export type Motion = (typeof MOTIONS)[number];

/**
 * The four ends of the muscles that cross both the wrist and the finger joints: the first two are their long ends, the last two
 * their short ones. Complete work visits all four.
 */
export const CORNERS = ['open hand, wrist extended', 'fist, wrist flexed', 'fist, wrist extended', 'open hand, wrist flexed'] as const;
/** One of the four ends of the two-joint muscles. */
export type Corner = (typeof CORNERS)[number];

/** How the wrist is worked: moved freely, moved by help, against resistance, or bearing weight on a surface. */
export const LOADINGS = ['unloaded', 'assisted', 'resisted', 'planted'] as const;
/** What is being fetched. */
export type Loading = (typeof LOADINGS)[number];

/** Motions of wrist and forearm whose range is measured in degrees. */
export const RANGE_MOTIONS = [
  'wrist flexion',
  'wrist extension',
  'radial deviation',
  'ulnar deviation',
  'pronation',
  'supination',
] as const;
/** A motion whose range is measured in degrees. */
export type RangeMotion = (typeof RANGE_MOTIONS)[number];
/** Whether a motion is one whose range is measured. @example isRangeMotion('finger spreading') → false */
export const isRangeMotion = (motion: string): motion is RangeMotion => (RANGE_MOTIONS as readonly string[]).includes(motion);

/** What can be stretched: the six motions of wrist and forearm, and the joints of the fingers. */
export const STRETCHES = [...RANGE_MOTIONS, 'finger flexion', 'finger extension', 'finger spreading', 'thumb extension'] as const;
/** A motion that can be stretched toward. */
export type StretchMotion = (typeof STRETCHES)[number];
