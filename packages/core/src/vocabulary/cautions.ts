/**
 * What makes a coach careful with an athlete. `refer` means: no loading until a licensed practitioner has cleared it;
 * `adapt` means: train, with the stated change. The app states these rules; it does not diagnose.
 */
export interface Caution {
  readonly label: string;
  readonly rule: 'refer' | 'adapt';
  /** What it is called where it is said what to do. */
  readonly when: string;
  /** What to do. */
  readonly asks: string;
  /** Both, in a sentence for a printed sheet. */
  readonly advice: string;
  /** So many days after it happened it holds no longer. */
  readonly holdsDays?: number;
}

/** A caution’s sentence from what it is and what it asks for. */
const adviceFor = (when: string, asks: string) => ({ when, asks, advice: `${when}: ${asks}` });

/** What is recorded of a person that changes what their hands may do, with its rule and its words. */
export const CAUTIONS = {
  numbness: {
    label: 'Numbness or tingling',
    rule: 'refer',
    ...adviceFor('Numbness or tingling, especially at night', 'no loading until a doctor or hand therapist has checked it.'),
  },
  'dropping-things': {
    label: 'Dropping objects',
    rule: 'refer',
    ...adviceFor('Objects slip out of the hand', 'no loading until a doctor or hand therapist has checked it.'),
  },
  'recent-injury': {
    label: 'Surgery or fracture',
    rule: 'refer',
    ...adviceFor('After surgery or a fracture', 'no loading until the treating doctor or therapist clears it.'),
  },
  'rest-pain': {
    label: 'Pain at rest, at night, or growing over a week',
    rule: 'refer',
    ...adviceFor('Pain at rest or at night, or growing over a week', 'no loading until a doctor or hand therapist has checked it.'),
  },
  'steroid-injection': {
    label: 'Steroid injection in the last two weeks',
    rule: 'refer',
    ...adviceFor('Within two weeks of a steroid injection', 'no loading until cleared.'),
    holdsDays: 14,
  },
  'stop-sign': {
    label: 'A warning sign stopped a session',
    rule: 'refer',
    ...adviceFor('A warning sign stopped a session', 'no loading until a doctor or hand therapist has checked it.'),
  },
  'nerve-complaint': {
    label: 'Nerve complaint',
    rule: 'refer',
    ...adviceFor('A nerve problem in the hand or arm', 'no loading until the treating doctor or therapist clears it.'),
  },
  'recent-sprain': {
    label: 'Sprain in the last six weeks',
    rule: 'refer',
    ...adviceFor('A sprain in the last six weeks', 'no loading until cleared.'),
  },
  'swollen-place': {
    label: 'Swelling',
    rule: 'refer',
    ...adviceFor('Swelling', 'no loading until a doctor or hand therapist has checked it.'),
  },
  'growing-finger': {
    label: 'Finger-joint pain under 18',
    rule: 'refer',
    ...adviceFor('Finger-joint pain under 18 can mean a growth-plate injury', 'no loading until a doctor has looked at it.'),
  },
  'sore-place': {
    label: 'Sore place',
    rule: 'adapt',
    ...adviceFor('A sore place', 'remove or lighten what loads it; check in again the next morning.'),
  },
  arthritis: {
    label: 'Arthritis of hand or wrist',
    rule: 'adapt',
    ...adviceFor('Arthritis', 'no added weight, mid-range only, warm the hands first.'),
  },
  'tendon-pain': {
    label: 'Tendon pain',
    rule: 'adapt',
    ...adviceFor('Tendon pain', 'isometric holds first, low effort, check in again the next morning.'),
  },
  hypermobility: {
    label: 'Hypermobility',
    rule: 'adapt',
    ...adviceFor('Hypermobility', 'no end-range hanging; build strength in mid-range.'),
  },
  pregnancy: {
    label: 'Pregnancy',
    rule: 'adapt',
    ...adviceFor('Pregnancy', 'nerve symptoms in the hands are common; ask each time.'),
  },
  'blood-pressure': {
    label: 'High blood pressure',
    rule: 'adapt',
    ...adviceFor('High blood pressure', 'keep breathing, no maximal isometric holds.'),
  },
  fluoroquinolones: {
    label: 'Fluoroquinolone antibiotics in recent months',
    rule: 'adapt',
    ...adviceFor('After fluoroquinolone antibiotics', 'no heavy tendon loading for as long as the prescriber says.'),
  },
  'under-18': {
    label: 'Under 18',
    rule: 'adapt',
    ...adviceFor('Under 18', 'no maximal finger loading, no full crimp; a doctor should check any finger-joint pain.'),
  },
  'skin-splits': {
    label: 'Stitches or skin splits',
    rule: 'adapt',
    ...adviceFor('Stitches or split skin', 'keep that part of the hand off the floor and off handles.'),
  },
  'past-sprain': {
    label: 'Past wrist sprain, cleared',
    rule: 'adapt',
    ...adviceFor('Past sprain', 'compare with the other side each time; stay below the angle that hurt.'),
  },
  'past-injury': {
    label: 'Past fracture or surgery',
    rule: 'adapt',
    ...adviceFor('Past fracture or surgery', 'compare with the other side each time; build load slowly.'),
  },
} as const satisfies Record<string, Caution>;
/** The id of a caution. */
export type CautionId = keyof typeof CAUTIONS;
/** All cautions, as they are listed. */
export const CAUTION_IDS = Object.keys(CAUTIONS) as CautionId[];
/** Those that a coach writes down; the others follow from what happened, or from where somebody points. */
export const WRITTEN_CAUTION_IDS = CAUTION_IDS.filter((id) => id !== 'stop-sign' && id !== 'sore-place');
