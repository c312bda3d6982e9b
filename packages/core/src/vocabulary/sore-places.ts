import { HAND_PLACE_IDS, HAND_PLACES, isOnDigit } from './hand-places.js';

/** Where in hand and arm it hurts, in an athlete's words: a place that can be pointed at, or as much as is known of it. */
export const SORE_PLACES = {
  fingers: 'Fingers',
  thumb: 'Thumb',
  forearm: 'Forearm',
  elbow: 'Elbow',
  ...HAND_PLACES,
  elsewhere: 'Somewhere else',
} as const;
/** A place that hurts. */
export type SorePlace = keyof typeof SORE_PLACES;
/** All places. */
export const SORE_PLACE_IDS = Object.keys(SORE_PLACES) as SorePlace[];

/** The places as a list that is short enough to be read while it hurts. */
export const SORE_PLACE_LIST: readonly SorePlace[] = [
  'fingers',
  'thumb',
  ...HAND_PLACE_IDS.filter((place) => !isOnDigit(place) && !/^(?:forearm|elbow)-/.test(place)),
  'forearm',
  'elbow',
  'elsewhere',
];
