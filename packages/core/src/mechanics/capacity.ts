import { atOdds, type Belief, beliefOf, type Evidence, following, FOUR_FIFTHS, updated } from './belief.js';
import { ACTIVE_RANGE, FOREARM_TURN, GRIP_SPREAD, gripNorm, PASSIVE_GAIN, PINCH, WRIST_MOMENT } from './norms.js';
import { segmentsOf } from './segments.js';
import { type Body, REFERENCE_BODIES } from '../model/body.js';
import type { Grade } from '../model/grades.js';
import { type Action, ACTIONS } from '../vocabulary/actions.js';
import { type Constant, published, working } from '../vocabulary/constant.js';
import { dayWords, daysBetween } from '../vocabulary/days.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import type { RangeMotion } from '../vocabulary/motions.js';
import { GRAVITY } from '../vocabulary/gravity.js';

/** What capacities are read from. */
export interface Person {
  readonly body: Body;
  readonly ageYears: number | null;
  /** What was seen of the hands' maxima: tests, holds and sets. */
  readonly evidence: readonly Evidence[];
  /** Maxima are this many times the norm, where that is known; 1 where it is not. */
  readonly strengthOfNorm?: number;
  /** How many of stature, mass and age are not on record: what is taken instead spreads the belief. */
  readonly unknowns?: number;
  /** Measured ranges with help (passive), degrees; what is missing is taken from the norm. */
  readonly rangeDeg?: Partial<Record<Hand, Partial<Record<RangeMotion, number>>>>;
  /** Springs and bands that can be taken: what an effort finds is one of them. Any force where none is listed. */
  readonly grades?: readonly Grade[];
  /** ISO day from which recency is judged. */
  readonly today: string;
}

/** Where a maximum comes from: a test of it, sets and holds that tell of it, or the norm alone. */
export const CAPACITY_SOURCES = ['measured', 'from sets', 'estimated'] as const;
/** Where a maximum comes from. */
export type CapacitySource = (typeof CAPACITY_SOURCES)[number];

/** What is believed of a maximum, with where it comes from. */
export interface Capacity {
  /** The median: as likely more as less. */
  readonly value: number;
  /** Spread of the belief: a log-sd of 0.1 is a tenth either way in two cases of three. */
  readonly logSd: number;
  readonly unit: 'N·m' | 'N';
  readonly source: CapacitySource;
  /** In words, for the screen. */
  readonly from: string;
  /** What was seen of this very action and hand, the newest first. */
  readonly evidence: readonly Evidence[];
  /** Of these, what does not fit the rest. */
  readonly atOdds: readonly Evidence[];
}

/** A measured maximum counts as measured for this long; later it still tells, less surely. */
export const MEASURED_FOR_DAYS = working(
  'Measured',
  120,
  'days',
  'a maximum test is spoken of as measured for four months',
  [60, 180],
).value;

/** Whether what was measured on a day still counts on another. */
export const isRecent = (onDay: string, today: string) => daysBetween(onDay, today) <= MEASURED_FOR_DAYS && onDay <= today;

const ALLOMETRIC = published(
  'Strength by body mass',
  2 / 3,
  'power',
  'Jaric 2002, Sports Med 32(10):615–31',
  'muscle force grows with cross-section, cross-section with mass to the power of two thirds',
);

/** Of grip's spread within a sex and an age, what each hand has to itself. */
const HAND_OWN = working(
  'Spread between the hands of one person',
  0.08,
  'log-sd',
  'hands differ by a tenth as a matter of course (Petersen et al. 1989)',
  [0.05, 0.12],
);
const UNKNOWN_BODY = working(
  'Spread by what is not on record',
  0.1,
  'log-sd for each of height, weight, age',
  'body mass within a sex spreads by a sixth',
  [0.05, 0.15],
);

/** How an action's maximum follows grip: its norm on the men of the grip norm, and how far people spread around it once their grip is known. */
interface Follows {
  readonly ofGrip: (person: Person, hand: Hand, gripN: number) => number;
  readonly spread: Constant;
}

const spreadOf = (of: string, value: number, reason: string) =>
  working(`Spread of ${of} at a known grip`, value, 'log-sd', reason, [value * 0.6, value * 1.5]);
const WRIST_SPREAD = spreadOf(
  'wrist moments',
  0.27,
  'published flexion ranged 5.2–18.7 around 12.2 N·m, a log-sd of 0.35, of which grip explains 0.2',
);
const TURN_SPREAD = spreadOf('forearm turns', 0.27, 'as for the wrist');
const FINGER_SPREAD = spreadOf('finger moments', 0.22, 'fingers press and close by the same long muscles');
const ARM_SPREAD = spreadOf('elbow and shoulder', 0.25, 'less tied to grip than the hand');
const PINCH_SPREAD = spreadOf('pinch', 0.1, 'sd over mean of pinch is that of grip, and both go together (Mathiowetz et al. 1985)');

const KNUCKLE_LEVER = working(
  'Knuckle moment over grip',
  0.22,
  'of hand length',
  'four fingertips press together with about a fifth of the grip’s force, at their length from the knuckles',
  [0.15, 0.35],
);
const OPENING = working(
  'Opening over grip',
  0.1,
  'of grip',
  'four fingertips open with about a tenth of what the hand closes with',
  [0.06, 0.14],
);
const SHOULDER_LIFT = working('Lifting the arm forward, men', 70, 'N·m', 'of the order of published maxima', [55, 90]);
const ELBOW_BEND = working('Bending the elbow, men', 65, 'N·m', 'of the order of published maxima, elbow square', [50, 80]);
const ELBOW_STRAIGHTEN = working(
  'Straightening the elbow, men',
  55,
  'N·m',
  'of the order of published maxima, elbow square; somewhat less than bending',
  [42, 65],
);

/** A maximum of men, scaled by how strong this hand's grip is beside theirs. */
const ofMen = (constant: Constant, spread: Constant): Follows => ({
  ofGrip: (_person, hand, gripN) => (constant.value * gripN) / (gripNorm('male', 20, hand).meanKg * GRAVITY),
  spread,
});

const FOLLOWS: Record<Exclude<Action, 'grip'>, Follows> = {
  'wrist flexion': ofMen(WRIST_MOMENT['wrist flexion'], WRIST_SPREAD),
  'wrist extension': ofMen(WRIST_MOMENT['wrist extension'], WRIST_SPREAD),
  'radial deviation': ofMen(WRIST_MOMENT['radial deviation'], WRIST_SPREAD),
  'ulnar deviation': ofMen(WRIST_MOMENT['ulnar deviation'], WRIST_SPREAD),
  pronation: ofMen(FOREARM_TURN, TURN_SPREAD),
  supination: ofMen(FOREARM_TURN, TURN_SPREAD),
  pinch: { ofGrip: (_person, _hand, gripN) => gripN * PINCH.palmar.value, spread: PINCH_SPREAD },
  'finger extension': { ofGrip: (_person, _hand, gripN) => gripN * OPENING.value, spread: FINGER_SPREAD },
  'MCP flexion': {
    ofGrip: ({ body }, _hand, gripN) => gripN * KNUCKLE_LEVER.value * segmentsOf(body).hand.lengthM,
    spread: FINGER_SPREAD,
  },
  'shoulder flexion': ofMen(SHOULDER_LIFT, ARM_SPREAD),
  'elbow flexion': ofMen(ELBOW_BEND, ARM_SPREAD),
  'elbow extension': ofMen(ELBOW_STRAIGHTEN, ARM_SPREAD),
};

/** Grip by the norm of sex and age and by body mass, N. */
function gripByNorm({ body: { sex, massKg }, ageYears, strengthOfNorm = 1 }: Person, hand: Hand): number {
  const byMass = (massKg / REFERENCE_BODIES[sex].massKg) ** ALLOMETRIC.value;
  // The norms begin at twenty: a lighter youth is scaled down by mass, never up.
  const size = ageYears !== null && ageYears < 20 ? Math.min(1, byMass) : byMass;
  return gripNorm(sex, ageYears, hand).meanKg * GRAVITY * size * strengthOfNorm;
}

/** Where the sex is not stated, half the way between women's and men's norms is added to the spread. */
function gripSpread({ body: { sex }, ageYears, unknowns = 0 }: Person): number {
  const between =
    sex === 'not stated' ? Math.log(gripNorm('male', ageYears, 'right').meanKg / gripNorm('female', ageYears, 'right').meanKg) / 2 : 0;
  return Math.sqrt(GRIP_SPREAD.value ** 2 + between ** 2 + unknowns * UNKNOWN_BODY.value ** 2 - HAND_OWN.value ** 2);
}

/** What is believed of an action of both hands. */
function believed(person: Person, action: Action): Belief {
  const seenOf = (of: Action) => person.evidence.filter((entry) => entry.action === of && entry.onDay <= person.today && entry.value > 0);
  const norms = HANDS.map((hand) => Math.log(gripByNorm(person, hand))) as [number, number];
  const grip = updated(beliefOf(norms, gripSpread(person), HAND_OWN.value), seenOf('grip'), person.today);
  if (action === 'grip') return grip;
  const { ofGrip, spread } = FOLLOWS[action];
  const mean = HANDS.map((hand, index) => Math.log(ofGrip(person, hand, Math.exp(grip.mean[index as 0 | 1])))) as [number, number];
  return updated(following(mean, grip, spread.value, HAND_OWN.value), seenOf(action), person.today);
}

/** Nothing is kept of a person that is gone. */
const cache = new WeakMap<Person, Map<string, Capacity>>();

/**
 * What is believed of a hand's maximum: the norm of sex, age and body mass with its spread, moved by what was seen of this action, of grip, and
 * of the other hand.
 * @example capacityOf(referencePerson(REFERENCE_BODIES.male, '2026-01-01'), 'wrist flexion', 'right').value ≈ 12.2
 */
export function capacityOf(person: Person, action: Action, hand: Hand): Capacity {
  let ofPerson = cache.get(person);
  if (!ofPerson) cache.set(person, (ofPerson = new Map<string, Capacity>()));
  const key = `${hand} ${action}`;
  let capacity = ofPerson.get(key);
  if (!capacity) ofPerson.set(key, (capacity = computed(person, action, hand)));
  return capacity;
}

function computed(person: Person, action: Action, hand: Hand): Capacity {
  const { mean, cov } = believed(person, action);
  const index = hand === 'left' ? 0 : 1;
  const evidence = person.evidence
    .filter((entry) => entry.action === action && entry.hand === hand && entry.onDay <= person.today)
    .toSorted((a, b) => b.onDay.localeCompare(a.onDay));
  return {
    value: Math.exp(mean[index]),
    logSd: Math.sqrt(cov[index][index]),
    unit: ACTIONS[action],
    ...sourceOf(person, action, hand, evidence),
    evidence,
    atOdds: atOdds(evidence, person.today),
  };
}

function sourceOf(person: Person, action: Action, hand: Hand, evidence: readonly Evidence[]): Pick<Capacity, 'source' | 'from'> {
  const test = evidence.find(({ kind, onDay }) => kind === 'maximum' && isRecent(onDay, person.today));
  if (test) {
    const others = evidence.length - 1;
    const more = others > 0 ? ` and ${others} other ${others === 1 ? 'thing' : 'things'} seen` : '';
    return { source: 'measured', from: `measured on ${test.onDay}${more}` };
  }
  const [newest] = evidence;
  if (newest)
    return {
      source: 'from sets',
      from: `norm, moved by ${evidence.length === 1 ? newest.what : `${evidence.length} sets and tests, the last on ${dayWords(newest.onDay)}`}`,
    };
  const other = hand === 'left' ? 'right' : 'left';
  const about = (of: Action, whose: Hand) =>
    person.evidence.some((entry) => entry.action === of && entry.hand === whose && entry.onDay <= person.today);
  if (about(action, other)) return { source: 'estimated', from: 'norm, scaled by the other hand' };
  if (about('grip', hand) || about('grip', other)) return { source: 'estimated', from: 'norm, scaled by the measured grip' };
  return { source: 'estimated', from: 'norm, scaled by sex, age and body mass' };
}

/** Usual error of a goniometer, degrees: thresholds.csv (`goniometer_error_default`), until the coach's own repeats give one. */
export const RANGE_ERROR_DEG = 7;

/** Whether an angle lies within a range, at its end as closely as can be measured, or past it. @example rangeVerdict(85, 89) → 'at the end' */
export function rangeVerdict(deg: number, rangeDeg: number): 'within' | 'at the end' | 'past' {
  if (Math.abs(deg - rangeDeg) <= RANGE_ERROR_DEG) return 'at the end';
  return deg > rangeDeg ? 'past' : 'within';
}

/** `100 · demand / capacity`; above 100 the demand cannot be met by the likelier half. @example effortPercent(150, { value: 300 }) → 50 */
export const effortPercent = (demand: number, { value }: Pick<Capacity, 'value'>) => (100 * demand) / value;

/** Standard deviations within which nineteen of twenty lie. */
export const NINETEEN_IN_TWENTY = 1.96;
const GAIN_SD = working('Spread of what help adds', 4, '°', 'people differ in it by some degrees', [2, 7]);

const banded = (deg: number, sdDeg: number, source: 'measured' | 'estimated') => ({
  deg,
  bandDeg: [deg - FOUR_FIFTHS * sdDeg, deg + FOUR_FIFTHS * sdDeg] as const,
  source,
});

/** How far a wrist goes with help, and between what that lies for four fifths of people like this: measured, else the norm's active range and the usual gain of help. */
export function rangeWithHelpDeg(
  person: Person,
  motion: RangeMotion,
  hand: Hand,
): { deg: number; bandDeg: readonly [low: number, high: number]; source: 'measured' | 'estimated' } {
  const deg = person.rangeDeg?.[hand]?.[motion];
  if (deg !== undefined) return banded(deg, RANGE_ERROR_DEG / NINETEEN_IN_TWENTY, 'measured');
  const { mean, sd } = ACTIVE_RANGE[motion];
  return banded(mean.value + PASSIVE_GAIN.value, Math.hypot(sd, GAIN_SD.value), 'estimated');
}
