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
  /** What movements say of that caution counts for this one too. */
  readonly like?: string;
  /** Where what it asks for is published; the rest is common practice. */
  readonly source?: string;
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
  'growing-wrist': {
    label: 'Wrist pain while still growing',
    rule: 'refer',
    ...adviceFor('Wrist pain while still growing can mean a growth-plate injury', 'no loading until a doctor has looked at it.'),
    source: 'DiFiori, Caine, Malina 2006, Am J Sports Med 34:840–9 (gymnast’s wrist)',
  },
  'strong-pain': {
    label: 'Strong pain',
    rule: 'refer',
    ...adviceFor('Strong pain', 'no loading until a doctor or hand therapist has checked it.'),
    source: 'Boonstra et al. 2016, Front Psychol 7:1466 (7 of 10 and more is severe)',
  },
  'one-white-hand': {
    label: 'Fingers turn white, one hand only',
    rule: 'refer',
    ...adviceFor('Fingers of one hand turn white', 'no loading until a doctor has looked for the cause.'),
    source: 'Wigley, Flavahan 2016, N Engl J Med 375:556–65 (one-sided attacks point to another cause)',
  },
  'no-consent': {
    label: 'No consent from a parent or guardian',
    rule: 'refer',
    ...adviceFor('Under 18, and no parent or guardian has agreed', 'no loading until a parent or guardian agrees. Record who and when.'),
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
  'inflammatory-arthritis': {
    label: 'Rheumatoid or psoriatic arthritis',
    rule: 'adapt',
    ...adviceFor(
      'Rheumatoid or psoriatic arthritis',
      'medium effort, mid-range, no added weight. In a flare-up (hot, swollen) only move freely.',
    ),
    like: 'arthritis',
    source: 'Lamb et al. 2015, Lancet 385:421–9 (SARAH: hand exercise in rheumatoid arthritis)',
  },
  'trigger-finger': {
    label: 'Trigger finger (catches or locks)',
    rule: 'adapt',
    ...adviceFor('Trigger finger', 'grip gently, no small edges, no repeated hard squeezes; glide the finger freely.'),
    like: 'tendon-pain',
    source: 'Colbourn et al. 2008, J Hand Ther 21:336–43',
  },
  'white-finger': {
    label: 'Fingers turn white in the cold (Raynaud’s)',
    rule: 'adapt',
    ...adviceFor('Fingers that turn white', 'keep the hands warm, no cold water. Stop when a finger turns white and warm it up.'),
    source: 'Wigley, Flavahan 2016, N Engl J Med 375:556–65',
  },
  ganglion: {
    label: 'Ganglion (lump at the wrist)',
    rule: 'adapt',
    ...adviceFor('Ganglion', 'less wrist extension under load: use fists, handles or a wedge. Numbness or growing pain: have it checked.'),
    source: 'Suen, Fung, Lung 2013, ISRN Orthop 2013:940615',
  },
  osteoporosis: {
    label: 'Osteoporosis',
    rule: 'adapt',
    ...adviceFor('Osteoporosis', 'no positions that risk a fall, no end range, no one-hand hangs; add load slowly.'),
    source: 'Giangregorio et al. 2014, Osteoporos Int 25:821–35 (Too Fit To Fracture)',
  },
  lymphoedema: {
    label: 'Lymphoedema of the arm',
    rule: 'adapt',
    ...adviceFor(
      'Lymphoedema',
      'start light, add slowly, wear the sleeve if prescribed. More swelling the next day: go back and have it checked.',
    ),
    source: 'Schmitz et al. 2009, N Engl J Med 361:664–73',
  },
  diabetes: {
    label: 'Diabetes',
    rule: 'adapt',
    ...adviceFor(
      'Diabetes',
      'check the skin of the hands before and after, keep sugar ready. Less feeling in the fingers: have it checked.',
    ),
    source: 'Colberg et al. 2016, Diabetes Care 39:2065–79',
  },
  'blood-thinner': {
    label: 'Blood thinner (anticoagulant)',
    rule: 'adapt',
    ...adviceFor('Blood thinners', 'no sharp edges, no hard pressure or scraping, nothing that risks a fall. New swelling: stop.'),
  },
  'other-condition': {
    label: 'Another condition (see the note)',
    rule: 'adapt',
    ...adviceFor('Another condition', 'ask what the doctor or therapist allows, and write it in the note.'),
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
