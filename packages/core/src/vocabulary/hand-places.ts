import { FINGER_JOINT_WORDS, FINGER_NAMES, type FingerName } from './hand-joints.js';

const ofFinger = <F extends FingerName>(finger: F) =>
  Object.fromEntries(
    (['tip', 'dip', 'pip', 'mcp'] as const).map((place) => [
      `${finger}-${place}`,
      `${finger[0]?.toUpperCase()}${finger.slice(1)} finger, ${FINGER_PLACE_WORDS[place]}`,
    ]),
  ) as Record<`${F}-${'tip' | 'dip' | 'pip' | 'mcp'}`, string>;
const FINGER_PLACE_WORDS = {
  tip: 'tip',
  dip: FINGER_JOINT_WORDS.DipDeg,
  pip: FINGER_JOINT_WORDS.PipDeg,
  mcp: FINGER_JOINT_WORDS.McpDeg,
};

/** The places of hand and forearm that can be pointed at, in an athlete's words, from the fingertips up. */
export const HAND_PLACES = {
  ...ofFinger('index'),
  ...ofFinger('middle'),
  ...ofFinger('ring'),
  ...ofFinger('little'),
  'thumb-tip': 'Thumb, tip',
  'thumb-ip': 'Thumb, end joint',
  'thumb-mcp': 'Thumb, knuckle',
  'thumb-base': 'Base of the thumb',
  palm: 'Palm',
  heel: 'Heel of the hand',
  back: 'Back of the hand',
  'wrist-front': 'Wrist, palm side',
  'wrist-back': 'Wrist, back',
  'wrist-thumb-side': 'Wrist, thumb side',
  'wrist-little-side': 'Wrist, little-finger side',
  'forearm-front': 'Forearm, palm side',
  'forearm-back': 'Forearm, back',
  'elbow-inner': 'Elbow, inner side',
  'elbow-outer': 'Elbow, outer side',
} as const;
/** A place of hand or forearm that can be pointed at. */
export type HandPlace = keyof typeof HAND_PLACES;
/** All places, fingertips first. */
export const HAND_PLACE_IDS = Object.keys(HAND_PLACES) as HandPlace[];

/** The digits' own joints and tips. */
export const isOnDigit = (place: HandPlace): boolean =>
  [...FINGER_NAMES, 'thumb'].some((digit) => place.startsWith(`${digit}-`)) && place !== 'thumb-base';
