import { SIGNS_THAT_REST_THE_HAND, STOP_SIGNS, type StopSign } from './stop-signs.js';

/** What somebody wants of their hands. */
export const GOALS = {
  'floor-weight': 'Weight on the hands: planks, handstands, yoga',
  grip: 'Grip, hang and carry',
  edges: 'Climbing: edges and small holds',
  swing: 'Throwing, striking, rackets and paddles',
  ease: 'Move freely at work and in daily life',
  return: 'Return after a break or an injury',
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
  fracture: { label: 'Fracture of the hand, wrist or forearm', ofHand: true, when: true, treated: true },
  surgery: { label: 'Surgery on the hand, wrist or forearm', ofHand: true, when: true, treated: true },
  sprain: { label: 'Sprained wrist or finger', ofHand: true, when: true, treated: true },
  tendon: { label: 'Tendon pain', ofHand: true, when: false, treated: false },
  arthritis: { label: 'Arthritis of hand or wrist', ofHand: true, when: false, treated: false },
  nerve: { label: 'Nerve problem in the hand or arm', ofHand: true, when: false, treated: true },
  hypermobility: { label: 'Very mobile joints (hypermobility)', ofHand: false, when: false, treated: false },
  pregnancy: { label: 'Pregnancy', ofHand: false, when: false, treated: false },
  'blood-pressure': { label: 'High blood pressure', ofHand: false, when: false, treated: false },
  fluoroquinolones: { label: 'Fluoroquinolone antibiotics', ofHand: false, when: true, treated: false },
  'steroid-injection': { label: 'Steroid injection into hand or wrist', ofHand: true, when: true, treated: true },
  'skin-splits': { label: 'Stitches or split skin', ofHand: true, when: false, treated: false },
} as const;
/** A condition that is asked about. */
export type Condition = keyof typeof CONDITIONS;
/** All conditions, as they are listed. */
export const CONDITION_IDS = Object.keys(CONDITIONS) as Condition[];

/** Signs after which nothing is loaded until somebody has looked at them, beside those that stop at once. */
export const REFERRAL_SIGNS = {
  'night-tingling': 'Numbness or tingling, especially at night',
  'dropping-things': 'Objects slip out of the hand',
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
