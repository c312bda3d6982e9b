import type { RecordedCaution } from '../../model/athlete.js';
import { type HandPlace, isOnDigit } from '../../vocabulary/hand-places.js';
import { DISCOMFORT_GO_ON_MAX, DISCOMFORT_HOLD_MAX } from '../reports/discomfort.js';
import type { Caps } from './caps.js';

/** Places that ask for the same care. */
export type SoreGroup =
  | 'finger'
  | 'thumb'
  | 'palm'
  | 'back of hand'
  | 'wrist, front or back'
  | 'wrist, thumb side'
  | 'wrist, little-finger side'
  | 'flexor side'
  | 'extensor side'
  | 'whole hand';

/** To which group a place belongs. @example soreGroup('index-pip') → 'finger' */
export function soreGroup(place: HandPlace): SoreGroup {
  if (isOnDigit(place)) return place.startsWith('thumb') ? 'thumb' : 'finger';
  return OTHER_PLACES[place as keyof typeof OTHER_PLACES];
}

const OTHER_PLACES = {
  'thumb-base': 'thumb',
  palm: 'palm',
  heel: 'palm',
  back: 'back of hand',
  'wrist-front': 'wrist, front or back',
  'wrist-back': 'wrist, front or back',
  'wrist-thumb-side': 'wrist, thumb side',
  'wrist-little-side': 'wrist, little-finger side',
  'forearm-front': 'flexor side',
  'forearm-back': 'extensor side',
  'elbow-inner': 'flexor side',
  'elbow-outer': 'extensor side',
} as const satisfies Partial<Record<HandPlace, SoreGroup>>;

/** How much a place is felt: up to 2 nothing changes, 3–4 the level is held, from 5 what loads it is off. */
export type SoreSeverity = 'slight' | 'some' | 'much';

/** What is not scored counts by what it feels like. @example severityOf({ symptom: 'sharp' }) → 'much' */
export function severityOf({ symptom, score }: Pick<RecordedCaution, 'symptom' | 'score'>): SoreSeverity {
  if (symptom === 'sharp' || symptom === 'swollen') return 'much';
  if (score === undefined) return 'some';
  return score <= DISCOMFORT_GO_ON_MAX ? 'slight' : score <= DISCOMFORT_HOLD_MAX ? 'some' : 'much';
}

interface SoreRule {
  /** First aid for the place, as shown on a sheet. */
  readonly advice: string;
  readonly some: Caps;
  readonly much: Caps;
}

const GENTLE = 40;
const MEDIUM = 60;

/**
 * What a sore place asks for. The order of remedies is that of practice: hand set-up, angle or wedge, fists or handles, incline, less; the numbers are
 * working values, the gentle and medium efforts those of isometrics for a sensitive wrist.
 */
export const SORE_RULES: Readonly<Record<SoreGroup, SoreRule>> = {
  finger: {
    advice: 'no fingertip supports, no small edges. Close the hand gently; open it against a band.',
    some: { gripEffortPercent: MEDIUM, noCrimp: true },
    much: { gripEffortPercent: GENTLE, noCrimp: true, contactsOff: ['fingertips', 'edge'] },
  },
  thumb: {
    advice: 'pinch gently, use thicker objects, keep weight off the thumb.',
    some: { actionPercent: { pinch: MEDIUM } },
    much: { actionPercent: { pinch: GENTLE }, contactsOff: ['fingertips'], noAddedWeight: true },
  },
  palm: {
    advice:
      'press through the finger pads, keep the heel of the hand light; put a folded towel under it. If that hurts, use fists or handles.',
    some: { effortPercent: MEDIUM },
    much: { contactsOff: ['open palm', 'ball'], effortPercent: MEDIUM },
  },
  'back of hand': {
    advice: 'keep it off the floor; use palms or handles instead.',
    some: { effortPercent: MEDIUM },
    much: { contactsOff: ['back of hand', 'fist'] },
  },
  'wrist, front or back': {
    advice: 'use a wedge under the heel of the hand, fists or handles instead of a flat palm. Press in mid-range.',
    some: { extensionDeg: 70, flexionDeg: 60, effortPercent: MEDIUM },
    much: { extensionDeg: 40, flexionDeg: 40, effortPercent: GENTLE },
  },
  'wrist, thumb side': {
    advice: 'no lever work, no loaded side bending; keep the thumb side of the hand light on the floor.',
    some: { actionPercent: { 'radial deviation': MEDIUM, 'ulnar deviation': MEDIUM, pinch: MEDIUM } },
    much: { actionPercent: { 'radial deviation': GENTLE, 'ulnar deviation': GENTLE, pinch: GENTLE }, extensionDeg: 60 },
  },
  'wrist, little-finger side': {
    advice: 'no loaded turning, no weight on the outer edge. Check side load and hand rotation.',
    some: { actionPercent: { 'ulnar deviation': MEDIUM, pronation: MEDIUM, supination: MEDIUM } },
    much: {
      actionPercent: { 'ulnar deviation': GENTLE, pronation: GENTLE, supination: GENTLE },
      extensionDeg: 60,
      noAddedWeight: true,
    },
  },
  'flexor side': {
    advice: 'grip and curl gently, holds before movements. Check in again the next morning.',
    some: { gripEffortPercent: MEDIUM, actionPercent: { 'wrist flexion': MEDIUM, pronation: MEDIUM, grip: MEDIUM } },
    much: { effortPercent: GENTLE },
  },
  'extensor side': {
    advice: 'lift the back of the hand gently, holds before movements. Grip less hard, with a straight wrist.',
    some: { gripEffortPercent: MEDIUM, actionPercent: { 'wrist extension': MEDIUM, supination: MEDIUM, grip: MEDIUM } },
    much: { effortPercent: GENTLE },
  },
  'whole hand': {
    advice: 'find out exactly where it is; keep or lower the level. Check in again the next morning.',
    some: { effortPercent: MEDIUM },
    much: { effortPercent: GENTLE },
  },
};

const ruleOf = (place: HandPlace | undefined): SoreRule => SORE_RULES[place ? soreGroup(place) : 'whole hand'];

/** What a recorded sore place puts off or caps; nothing while it is slight. Without a place it is the hand as a whole. */
export function soreCaps(entry: Pick<RecordedCaution, 'place' | 'symptom' | 'score'>): Caps | undefined {
  const severity = severityOf(entry);
  return severity === 'slight' ? undefined : ruleOf(entry.place)[severity];
}

/** What a sore place asks for. @example soreAdvice('back') → 'keep it off the floor; use palms or handles instead.' */
export const soreAdvice = (place: HandPlace | undefined): string => ruleOf(place).advice;
