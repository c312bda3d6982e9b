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
  sore: 'sore',
  numb: 'numb',
  tingling: 'tingles',
  swollen: 'swollen',
  hot: 'hot',
  other: 'something else',
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
  fall: { label: 'A fall onto the hand', ofHand: true, when: true, treated: true },
  tendon: { label: 'Tendon pain', ofHand: true, when: false, treated: false },
  arthritis: { label: 'Arthritis of hand or wrist', ofHand: true, when: false, treated: false },
  nerve: { label: 'Nerve problem in the hand or arm', ofHand: true, when: false, treated: true },
  'inflammatory-arthritis': { label: 'Rheumatoid or psoriatic arthritis', ofHand: true, when: false, treated: false },
  'trigger-finger': { label: 'Trigger finger (catches or locks)', ofHand: true, when: false, treated: false },
  'white-finger': { label: 'Fingers that turn white in the cold', ofHand: true, when: false, treated: true },
  ganglion: { label: 'Ganglion (lump at the wrist)', ofHand: true, when: false, treated: false },
  osteoporosis: { label: 'Osteoporosis', ofHand: false, when: false, treated: false },
  lymphoedema: { label: 'Lymphoedema of the arm', ofHand: true, when: false, treated: false },
  diabetes: { label: 'Diabetes', ofHand: false, when: false, treated: false },
  'blood-thinner': { label: 'Blood thinner (anticoagulant)', ofHand: false, when: false, treated: false },
  hypermobility: { label: 'Very mobile joints (hypermobility)', ofHand: false, when: false, treated: false },
  pregnancy: { label: 'Pregnancy', ofHand: false, when: false, treated: false },
  'blood-pressure': { label: 'High blood pressure', ofHand: false, when: false, treated: false },
  fluoroquinolones: { label: 'Fluoroquinolone antibiotics', ofHand: false, when: true, treated: false },
  'steroid-injection': { label: 'Steroid injection into hand or wrist', ofHand: true, when: true, treated: true },
  'skin-splits': { label: 'Stitches or split skin', ofHand: true, when: false, treated: false },
  'no-consent': { label: 'Under 18 without consent from a parent or guardian', ofHand: false, when: false, treated: true },
  other: { label: 'Something else (write it in the note)', ofHand: true, when: false, treated: false },
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
