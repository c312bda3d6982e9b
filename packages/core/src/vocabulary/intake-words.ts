import { SIGNS_THAT_REST_THE_HAND, STOP_SIGNS, type StopSign } from './stop-signs.js';

/** What somebody wants of their hands. */
export const GOALS = {
  'floor-weight': 'Carry weight on the hands: planks, handstands, yoga',
  grip: 'Grip, hang and carry',
  edges: 'Climb: edges and small holds',
  swing: 'Throw, strike, swing a racket or a blade',
  ease: 'Move without stiffness in work and daily life',
  return: 'Come back after a break or an injury',
} as const;
/** A goal. */
export type Goal = keyof typeof GOALS;
/** All goals, as they are listed. */
export const GOAL_IDS = Object.keys(GOALS) as Goal[];

/** What a place feels like. */
export const SYMPTOM_KINDS = {
  ache: 'aches',
  sharp: 'sharp',
  stiff: 'stiff',
  numb: 'numb',
  tingling: 'tingles',
  swollen: 'swollen',
  hot: 'hot',
} as const;
/** What a place feels like. */
export type SymptomKind = keyof typeof SYMPTOM_KINDS;
/** All kinds, as they are listed. */
export const SYMPTOM_KIND_IDS = Object.keys(SYMPTOM_KINDS) as SymptomKind[];

/** Conditions that are asked about; `ofHand` where it has a hand, `when` where its day changes what follows, `treated` where somebody may have cleared it. */
export const CONDITIONS = {
  fracture: { label: 'A broken bone in hand, wrist or forearm', ofHand: true, when: true, treated: true },
  surgery: { label: 'Surgery on hand, wrist or forearm', ofHand: true, when: true, treated: true },
  sprain: { label: 'A sprained wrist or finger', ofHand: true, when: true, treated: true },
  tendon: { label: 'Tendon pain', ofHand: true, when: false, treated: false },
  arthritis: { label: 'Arthritis of hand or wrist', ofHand: true, when: false, treated: false },
  nerve: { label: 'A nerve complaint of hand or arm', ofHand: true, when: false, treated: true },
  hypermobility: { label: 'Very mobile joints', ofHand: false, when: false, treated: false },
  pregnancy: { label: 'Pregnancy', ofHand: false, when: false, treated: false },
  'blood-pressure': { label: 'Raised blood pressure', ofHand: false, when: false, treated: false },
  fluoroquinolones: { label: 'Fluoroquinolone antibiotics', ofHand: false, when: true, treated: false },
  'steroid-injection': { label: 'A steroid injection into hand or wrist', ofHand: true, when: true, treated: true },
  'skin-splits': { label: 'Stitches or split skin', ofHand: true, when: false, treated: false },
} as const;
/** A condition that is asked about. */
export type Condition = keyof typeof CONDITIONS;
/** All conditions, as they are listed. */
export const CONDITION_IDS = Object.keys(CONDITIONS) as Condition[];

/** Signs after which nothing is loaded until somebody has looked at them, beside those that stop at once. */
export const REFERRAL_SIGNS = {
  'night-tingling': 'Numbness or tingling, at night above all',
  'dropping-things': 'Things slip out of the hand',
  'rest-pain': 'Pain at rest or at night',
  'growing-pain': 'Pain that has grown over the last week',
} as const;

/** Everything that is asked as a plain yes or no: what stops at once first. */
export const SIGNS = {
  ...(Object.fromEntries(SIGNS_THAT_REST_THE_HAND.map((sign) => [sign, STOP_SIGNS[sign]])) as {
    [sign in Exclude<StopSign, 'numbness' | 'sharp'>]: string;
  }),
  ...REFERRAL_SIGNS,
} as const;
/** A sign that is asked about. */
export type Sign = keyof typeof SIGNS;
/** All signs, as they are listed. */
export const SIGN_IDS = Object.keys(SIGNS) as Sign[];
