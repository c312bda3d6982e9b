/** Where in hand and arm it hurts, in an athlete's words, from the fingertips up. */
export const SORE_PLACES = {
  fingers: 'Fingers',
  thumb: 'Thumb',
  'thumb-base': 'Base of the thumb',
  palm: 'Palm',
  'wrist-front': 'Wrist, palm side',
  'wrist-back': 'Wrist, back',
  'wrist-thumb-side': 'Wrist, thumb side',
  'wrist-little-side': 'Wrist, little-finger side',
  forearm: 'Forearm',
  elbow: 'Elbow',
  elsewhere: 'Somewhere else',
} as const;
/** A place that hurts. */
export type SorePlace = keyof typeof SORE_PLACES;
/** All places, as they are listed. */
export const SORE_PLACE_IDS = Object.keys(SORE_PLACES) as SorePlace[];
