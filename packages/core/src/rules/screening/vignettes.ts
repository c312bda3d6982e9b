import type { Sex } from '../../model/body.js';
import type { Health, PastCondition, Symptom } from '../../model/intake.js';
import type { HandPlace } from '../../vocabulary/hand-places.js';
import type { Hand } from '../../vocabulary/hands.js';
import type { Sign, SymptomKind } from '../../vocabulary/intake-words.js';
import type { Verdict } from './screen-rules.js';

/** Somebody with answers, and the verdict that a careful coach would expect, with its source. */
export interface Vignette {
  readonly who: string;
  readonly ageYears: number | null;
  readonly sex: Sex;
  readonly health: Health;
  readonly verdict: Verdict;
  readonly source: string;
}

/** The day of all of them. */
export const VIGNETTE_DAY = '2026-06-10';

const PRACTICE = 'practice: caution and referral';
const SCALE = 'practice: discomfort scale; Boonstra et al. 2016, Front Psychol 7:1466';
const FALL = 'Rhemrev et al. 2011, Int J Emerg Med 4:4 (scaphoid fractures)';
const GROWTH = 'DiFiori et al. 2006, Am J Sports Med 34:840–9';
const CLIMB = 'Hochholzer, Schöffl 2005, Wilderness Environ Med 16:139–42 (young climbers’ fingers)';
const NERVE = 'AAOS 2016, carpal tunnel guideline';
const WORKING = 'working rule';

const sign = (name: Sign, hand: Hand = 'left'): Health => ({ signs: [{ sign: name, hand }] });
const felt = (place: HandPlace, kind: SymptomKind, score?: number, hand: Hand = 'left'): Health => ({
  symptoms: [{ place, kind, hand, ...(score !== undefined && { score }) } satisfies Symptom],
});
const had = (...history: PastCondition[]): Health => ({ history });
const both = (one: Health, other: Health): Health => ({ ...one, ...other });
const CLEARED = { clearedOn: '2026-06-01', clearedBy: 'Dr Example' } as const;
const around = (times: { during?: number; after?: number; nextMorning?: number; atNight?: number }): Health => ({
  discomfort: [{ hand: 'left', ...times }],
});

type Row = readonly [who: string, health: Health, verdict: Verdict, source: string, ageYears?: number | null, sex?: Sex];

/** In the order in which a coach would ask. Days are before the day of the answers, 10 June 2026. */
const ROWS: readonly Row[] = [
  // Signs that stop
  [
    'A pop in the ring finger and no strength after it',
    sign('pop'),
    'stop now',
    'Schöffl et al. 2003, Wilderness Environ Med 14:94–100 (pulley injuries)',
  ],
  ['A swollen, bent wrist after a fall', sign('swelling'), 'stop now', PRACTICE],
  ['Pain in the hollow at the thumb base after a fall', sign('thumb-hollow'), 'stop now', FALL],
  ['A hot red knuckle and a fever', sign('hot-joint'), 'stop now', PRACTICE],
  ['A hand that is cold and blue', sign('colour'), 'stop now', PRACTICE],
  ['A hand that is suddenly weak', sign('weakness'), 'stop now', PRACTICE],
  ['A right hand that is suddenly weak, aged 70', sign('weakness', 'right'), 'stop now', PRACTICE, 70],
  // Signs that refer
  ['Tingling that wakes at night', sign('night-tingling'), 'refer first', NERVE],
  ['Cups slip out of the hand', sign('dropping-things'), 'refer first', NERVE],
  ['Pain at rest', sign('rest-pain'), 'refer first', PRACTICE],
  ['Pain that has grown over a week', sign('growing-pain'), 'refer first', PRACTICE],
  // Scores
  ['No complaint at all', {}, 'go', PRACTICE],
  ['An ache of 1 in the palm', felt('palm', 'ache', 1), 'adapt', SCALE],
  ['An ache of 4 at the back of the wrist', felt('wrist-back', 'ache', 4), 'adapt', SCALE],
  ['An ache of 6 at the heel of the hand', felt('heel', 'ache', 6), 'adapt', SCALE],
  ['An ache of 7 at the back of the wrist', felt('wrist-back', 'ache', 7), 'refer first', SCALE],
  ['Stiff, 8 of 10, whole palm', felt('palm', 'stiff', 8), 'refer first', SCALE],
  ['Pain of 10 at the inner elbow', felt('elbow-inner', 'ache', 10), 'refer first', SCALE],
  ['Sore, 3, forearm', felt('forearm-front', 'sore', 3), 'adapt', SCALE],
  ['Something else, 5, back of the hand', felt('back', 'other', 5), 'adapt', SCALE],
  ['Something else, 9, back of the hand', felt('back', 'other', 9), 'refer first', SCALE],
  ['A place that is sore, with no number', felt('index-pip', 'sore'), 'adapt', SCALE],
  ['Sharp, 5, little-finger side of the wrist', felt('wrist-little-side', 'sharp', 5), 'adapt', WORKING],
  ['Sharp, 6, little-finger side of the wrist', felt('wrist-little-side', 'sharp', 6), 'refer first', WORKING],
  ['Sharp, 6, base of the thumb', felt('thumb-base', 'sharp', 6), 'refer first', WORKING],
  ['Sharp, 6, palm', felt('palm', 'sharp', 6), 'adapt', WORKING],
  ['Sharp, no number, thumb side of the wrist', felt('wrist-thumb-side', 'sharp'), 'adapt', WORKING],
  ['In training 2 of 10', around({ during: 2 }), 'go', SCALE],
  ['In training 4 of 10', around({ during: 4 }), 'adapt', SCALE],
  ['In training 6 of 10', around({ during: 6 }), 'adapt', SCALE],
  ['In training 7 of 10', around({ during: 7 }), 'refer first', SCALE],
  ['Right after 8 of 10', around({ after: 8 }), 'refer first', SCALE],
  ['The next morning 3 after 1', around({ after: 1, nextMorning: 3 }), 'adapt', SCALE],
  ['The next morning 7', around({ after: 6, nextMorning: 7 }), 'refer first', SCALE],
  ['At night 2', around({ atNight: 2 }), 'go', PRACTICE],
  ['At night 3', around({ atNight: 3 }), 'refer first', PRACTICE],
  // What it feels like
  ['A numb little finger, 2', felt('little-tip', 'numb', 2), 'refer first', NERVE],
  ['Tingling of the middle finger, 3', felt('middle-tip', 'tingling', 3), 'refer first', NERVE],
  ['A swollen middle joint, 3', felt('middle-pip', 'swollen', 3), 'refer first', PRACTICE],
  ['A hot wrist, 3', felt('wrist-back', 'hot', 3), 'stop now', PRACTICE],
  // Falls
  ['A fall ten days ago, nothing felt', had({ condition: 'fall', hand: 'left', since: '2026-05-31' }), 'go', FALL],
  [
    'A fall ten days ago, sharp at the thumb side',
    both(had({ condition: 'fall', hand: 'left', since: '2026-05-31' }), felt('wrist-thumb-side', 'sharp', 3)),
    'stop now',
    FALL,
  ],
  [
    'A fall ten days ago, sharp at the base of the thumb',
    both(had({ condition: 'fall', hand: 'left', since: '2026-05-31' }), felt('thumb-base', 'sharp', 2)),
    'stop now',
    FALL,
  ],
  [
    'A fall without a date, sharp at the thumb side',
    both(had({ condition: 'fall', hand: 'left' }), felt('wrist-thumb-side', 'sharp', 4)),
    'stop now',
    FALL,
  ],
  [
    'A fall ten days ago, an ache at the back of the wrist',
    both(had({ condition: 'fall', hand: 'left', since: '2026-05-31' }), felt('wrist-back', 'ache', 3)),
    'refer first',
    FALL,
  ],
  [
    'A fall on the right, the left thumb side is sharp, 3',
    both(had({ condition: 'fall', hand: 'right', since: '2026-05-31' }), felt('wrist-thumb-side', 'sharp', 3)),
    'adapt',
    FALL,
  ],
  [
    'A fall nine weeks ago, sharp at the thumb side, 4',
    both(had({ condition: 'fall', hand: 'left', since: '2026-04-01' }), felt('wrist-thumb-side', 'sharp', 4)),
    'adapt',
    FALL,
  ],
  [
    'A sprain three weeks ago, sharp at the thumb side, 4',
    both(had({ condition: 'sprain', hand: 'left', since: '2026-05-20' }), felt('wrist-thumb-side', 'sharp', 4)),
    'stop now',
    FALL,
  ],
  [
    'A fall last week, seen and cleared, sharp at the thumb side, 4',
    both(had({ condition: 'fall', hand: 'left', since: '2026-05-28', ...CLEARED }), felt('wrist-thumb-side', 'sharp', 4)),
    'adapt',
    FALL,
  ],
  // Bones and operations
  ['A fracture without a date', had({ condition: 'fracture', hand: 'left' }), 'refer first', PRACTICE],
  ['A fracture five months ago', had({ condition: 'fracture', hand: 'left', since: '2026-01-10' }), 'refer first', PRACTICE],
  ['A fracture five months ago, cleared', had({ condition: 'fracture', hand: 'left', since: '2026-01-10', ...CLEARED }), 'adapt', PRACTICE],
  [
    'A fracture fourteen months ago, discharged',
    had({ condition: 'fracture', hand: 'left', since: '2025-04-10', ...CLEARED }),
    'adapt',
    PRACTICE,
  ],
  [
    'A fracture fourteen months ago, never discharged',
    had({ condition: 'fracture', hand: 'left', since: '2025-04-10' }),
    'refer first',
    PRACTICE,
  ],
  ['A fracture as a child, twenty years ago', had({ condition: 'fracture', hand: 'left', since: '2006-05-01' }), 'adapt', WORKING],
  ['Surgery on the right hand two months ago', had({ condition: 'surgery', hand: 'right', since: '2026-04-10' }), 'refer first', PRACTICE],
  [
    'Surgery two months ago, cleared up to 60° of extension',
    had({ condition: 'surgery', hand: 'right', since: '2026-04-10', ...CLEARED, within: { extensionDeg: 60 } }),
    'adapt',
    PRACTICE,
  ],
  [
    'Surgery, whose clearance ended yesterday',
    had({ condition: 'surgery', hand: 'right', since: '2026-04-10', ...CLEARED, clearedUntil: '2026-06-09' }),
    'refer first',
    PRACTICE,
  ],
  ['A sprain two weeks ago', had({ condition: 'sprain', hand: 'left', since: '2026-05-27' }), 'refer first', PRACTICE],
  ['A sprain without a date', had({ condition: 'sprain', hand: 'left' }), 'refer first', WORKING],
  ['A sprain two weeks ago, cleared', had({ condition: 'sprain', hand: 'left', since: '2026-05-27', ...CLEARED }), 'adapt', PRACTICE],
  ['A sprain three months ago', had({ condition: 'sprain', hand: 'left', since: '2026-03-10' }), 'adapt', PRACTICE],
  // Conditions
  ['Tendon pain', had({ condition: 'tendon', hand: 'left' }), 'adapt', PRACTICE],
  ['Arthritis of the thumb base', had({ condition: 'arthritis', hand: 'both' }), 'adapt', PRACTICE],
  ['Rheumatoid arthritis', had({ condition: 'inflammatory-arthritis', hand: 'both' }), 'adapt', 'Lamb et al. 2015, Lancet 385:421–9'],
  [
    'Rheumatoid arthritis, a hot joint today',
    both(had({ condition: 'inflammatory-arthritis', hand: 'both' }), felt('index-mcp', 'hot', 4)),
    'stop now',
    PRACTICE,
  ],
  ['Trigger finger', had({ condition: 'trigger-finger', hand: 'right' }), 'adapt', 'Colbourn et al. 2008, J Hand Ther 21:336–43'],
  [
    'Fingers of both hands turn white in the cold',
    had({ condition: 'white-finger', hand: 'both' }),
    'adapt',
    'Wigley, Flavahan 2016, N Engl J Med 375:556–65',
  ],
  [
    'Fingers of the right hand alone turn white',
    had({ condition: 'white-finger', hand: 'right' }),
    'refer first',
    'Wigley, Flavahan 2016, N Engl J Med 375:556–65',
  ],
  [
    'A ganglion at the back of the wrist',
    had({ condition: 'ganglion', hand: 'left' }),
    'adapt',
    'Suen, Fung, Lung 2013, ISRN Orthop 2013:940615',
  ],
  ['A nerve problem', had({ condition: 'nerve', hand: 'left' }), 'refer first', NERVE],
  ['A nerve problem, cleared', had({ condition: 'nerve', hand: 'left', ...CLEARED }), 'adapt', NERVE],
  ['Hypermobility', had({ condition: 'hypermobility' }), 'adapt', PRACTICE],
  ['Pregnancy', had({ condition: 'pregnancy' }), 'adapt', PRACTICE, 32, 'female'],
  [
    'Pregnancy and tingling fingers',
    both(had({ condition: 'pregnancy' }), felt('index-tip', 'tingling', 2)),
    'refer first',
    NERVE,
    32,
    'female',
  ],
  ['High blood pressure', had({ condition: 'blood-pressure' }), 'adapt', PRACTICE, 60],
  ['Diabetes', had({ condition: 'diabetes' }), 'adapt', 'Colberg et al. 2016, Diabetes Care 39:2065–79', 55],
  [
    'Diabetes and a numb fingertip',
    both(had({ condition: 'diabetes' }), felt('ring-tip', 'numb', 1)),
    'refer first',
    'Colberg et al. 2016, Diabetes Care 39:2065–79',
    55,
  ],
  ['A blood thinner', had({ condition: 'blood-thinner' }), 'adapt', WORKING, 66],
  ['Osteoporosis', had({ condition: 'osteoporosis' }), 'adapt', 'Giangregorio et al. 2014, Osteoporos Int 25:821–35', 68, 'female'],
  [
    'Lymphoedema of the left arm',
    had({ condition: 'lymphoedema', hand: 'left' }),
    'adapt',
    'Schmitz et al. 2009, N Engl J Med 361:664–73',
    58,
    'female',
  ],
  ['Fluoroquinolones two months ago', had({ condition: 'fluoroquinolones', since: '2026-04-12' }), 'adapt', PRACTICE],
  ['Fluoroquinolones a year ago', had({ condition: 'fluoroquinolones', since: '2025-06-01' }), 'go', PRACTICE],
  ['A steroid injection ten days ago', had({ condition: 'steroid-injection', hand: 'left', since: '2026-05-31' }), 'refer first', PRACTICE],
  ['A steroid injection three weeks ago', had({ condition: 'steroid-injection', hand: 'left', since: '2026-05-20' }), 'go', PRACTICE],
  ['Split skin on the palm', had({ condition: 'skin-splits', hand: 'left' }), 'adapt', PRACTICE],
  ['Something else, with a note', had({ condition: 'other', note: 'Dupuytren’s contracture, no pain' }), 'adapt', WORKING],
  // Who grows
  ['Fifteen years old, no complaint', {}, 'adapt', CLIMB, 15, 'male'],
  ['Seventeen, an ache of 2 at a middle finger joint', felt('middle-pip', 'ache', 2), 'refer first', CLIMB, 17, 'male'],
  ['A boy of fifteen, an ache of 2 at the wrist', felt('wrist-back', 'ache', 2), 'refer first', GROWTH, 15, 'male'],
  ['A boy of sixteen, an ache of 3 at the wrist', felt('wrist-back', 'ache', 3), 'adapt', GROWTH, 16, 'male'],
  ['A girl of thirteen, stiff at the wrist, 3', felt('wrist-front', 'stiff', 3), 'refer first', GROWTH, 13, 'female'],
  ['A girl of fourteen, an ache of 3 at the wrist', felt('wrist-back', 'ache', 3), 'adapt', GROWTH, 14, 'female'],
  ['Fifteen, sex not stated, an ache of 3 at the wrist', felt('wrist-back', 'ache', 3), 'refer first', GROWTH, 15, 'not stated'],
  ['A girl of twelve, an ache of 3 at the elbow', felt('elbow-inner', 'ache', 3), 'adapt', GROWTH, 12, 'female'],
  ['Sixteen, no consent of a guardian', had({ condition: 'no-consent' }), 'refer first', WORKING, 16, 'female'],
  ['Sixteen, a guardian has agreed', had({ condition: 'no-consent', ...CLEARED }), 'adapt', WORKING, 16, 'female'],
  ['Forty: consent of a guardian is no question', had({ condition: 'no-consent' }), 'go', WORKING, 40],
  ['Grown, a sore finger joint, 3', felt('middle-pip', 'ache', 3), 'adapt', SCALE, 24],
];

/** Vignettes of people before training: what they say, and what follows. A test holds the rules to them. */
export const VIGNETTES: readonly Vignette[] = ROWS.map(([who, health, verdict, source, ageYears = 34, sex = 'not stated']) => ({
  who,
  health,
  verdict,
  source,
  ageYears,
  sex,
}));
