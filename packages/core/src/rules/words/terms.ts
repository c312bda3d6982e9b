import { quantity, say, type Sentence } from '../../vocabulary/sentence.js';
import { SIDES_BAND } from '../../effort/balance.js';
import { RATIO_BAND } from '../../effort/past.js';
import { RANGE_ERROR_DEG } from '../../mechanics/capacity.js';
import { percent } from '../../vocabulary/numbers.js';
import { MUCH_OF_IT } from '../suggestions/after-session.js';
import { DISCOMFORT_GO_ON_MAX, DISCOMFORT_HOLD_MAX } from '../reports/discomfort.js';
import { GRAVITY, kgFromN } from '../../vocabulary/gravity.js';

/** A number that a coach meets: what it is in plain words, the term behind it, what it is made from, and whether a value of it is much. */
export interface Term {
  /** Plain words, as they stand on a screen. */
  readonly plain: string;
  /** The field's own term. */
  readonly term: string;
  readonly what: Sentence;
  readonly from: Sentence;
  /** Which values are usual, and which are much. */
  readonly scale: Sentence;
  /** What a value means. */
  readonly judge?: (value: number) => Sentence;
}

/** Answers by the first limit that a value stays under. */
const under =
  (steps: readonly (readonly [below: number, words: string])[], above: string) =>
  (value: number): string =>
    steps.find(([below]) => value < below)?.[1] ?? above;

/** Where a weight hangs that a turning force is compared with, metres in front of the joint. */
const HUNG_AT_M = 0.1;
const SECONDS_PER_MINUTE = 60;
/** Force over time in kilograms carried for a minute. @example kgMinutes(588.4) ≈ 1.000 */
export const kgMinutes = (impulseNs: number): number => kgFromN(impulseNs) / SECONDS_PER_MINUTE;

/** Every number that is explained. Limits without another source are working values. */
export const TERMS = {
  effort: {
    plain: 'Effort',
    term: 'percent of maximal voluntary contraction, %MVC',
    what: 'How much of this hand’s maximum the work needs.',
    from: 'The force or torque that the posture or weight needs, divided by this person’s tested or estimated maximum.',
    scale: 'Up to 20 % is easy, 20–40 % gentle, 40–60 % medium, 60–80 % hard, above that near maximal.',
    judge: under(
      [
        [20, 'Easy: can last for a long time.'],
        [40, 'Gentle.'],
        [60, 'Medium: tiring within a minute or two.'],
        [80, 'Hard: for short holds and few repetitions.'],
        [101, 'Near maximal: seconds only.'],
      ],
      'More than the maximum: choose an easier level.',
    ),
  },
  handLoad: {
    plain: 'Weight on the hand',
    term: 'hand load, % of body weight (% BW)',
    what: 'How much of the body’s weight rests on one hand.',
    from: 'Calculated from the posture: where each body part’s weight is, between hands and feet.',
    scale: 'All fours is about 20 %, a plank about 33 %, a handstand 50 % on each hand.',
    judge: under(
      [
        [12, 'Light: leaning on a table.'],
        [25, 'About as on all fours.'],
        [38, 'About as in a plank.'],
        [55, 'About as in a handstand on both hands.'],
      ],
      'A lot: as on one hand.',
    ),
  },
  wristAngle: {
    plain: 'Bend of the wrist',
    term: 'wrist angle, degrees of extension or flexion',
    what: 'How far the wrist bends, next to its passive range.',
    from: 'The angle between forearm and ground in this posture. The range is tested, or the usual one for adults.',
    scale: `Flat hands under the shoulders need about 80–90°. The last ${RANGE_ERROR_DEG}° count as end range; readings are no more precise.`,
  },
  wristMoment: {
    plain: 'Wrist torque',
    term: 'torque, N·m',
    what: 'How strongly the load would bend the wrist if no muscle held it.',
    from: 'The weight on the hand times its distance from the joint.',
    scale: say`5 N·m is ${quantity(5, 'kg')} hung ten centimetres in front of the joint. Adult wrists can hold about 8–15 N·m.`,
    judge: (value) => say`As much as ${quantity(value / (GRAVITY * HUNG_AT_M), 'kg', 1)} hung ten centimetres in front of the joint.`,
  },
  enduranceDose: {
    plain: 'Tiring work',
    term: 'endurance dose, in holds to failure',
    what: 'How much the work tires a muscle. 1 equals one hold to failure.',
    from: 'The time at each effort, divided by how long it can be held (Frey Law and Avin 2010), added up.',
    scale: 'Up to 0.3 is a warm-up, 0.3–1 training, 1–2 a hard day, more is a lot for one session.',
    judge: under(
      [
        [0.3, 'Little: a warm-up.'],
        [1, 'Training.'],
        [2, 'A hard day for this muscle.'],
      ],
      'A lot for one session.',
    ),
  },
  impulse: {
    plain: 'Load over time',
    term: 'impulse (588 N·s is 1 kg·min)',
    what: 'Weight on the hand times how long it stayed there.',
    from: 'Every second of work, with its load on the hand.',
    scale: say`A one-minute plank puts about ${quantity(20, 'kg·min')} on each hand of an adult of ${quantity(60, 'kg')}.`,
  },
  underLoad: {
    plain: 'Time under load',
    term: 'time under load',
    what: 'How long the hand bore weight or held against a force.',
    from: 'From the timeline: work only, without rests and changes of position.',
    scale: 'An hour of floor class puts about 5–10 minutes on each hand.',
    judge: (seconds) => `${(seconds / SECONDS_PER_MINUTE).toFixed(1)} minutes.`,
  },
  capacityLeft: {
    plain: 'Strength left',
    term: 'capacity left, by the three-compartment model of fatigue',
    what: 'How much strength a muscle group still has at its most tired moment. A hold lasts while this exceeds its demand.',
    from: 'Effort and rest second by second (Looft, Herkert and Frey-Law 2018), including earlier sessions.',
    scale: 'Above 80 % is fresh, 60–80 % worked. Below 60 %, only light work is possible.',
    judge: under(
      [
        [40, 'Very tired: can hardly hold any load.'],
        [60, 'Tired: light work only.'],
        [80, 'Worked: can hold medium efforts.'],
      ],
      'Fresh.',
    ),
  },
  balance: {
    plain: 'Balance of opposites',
    term: 'agonist to antagonist ratio',
    what: 'How much a muscle group works compared with its opposite, and left compared with right.',
    from: 'Tiring work of one divided by that of the other.',
    scale: `The green band is what the method allows. Left and right should stay within ${SIDES_BAND} : 1.`,
  },
  weekRatio: {
    plain: 'This week against the month',
    term: 'ratio of exponentially weighted means of 7 and 28 days',
    what: 'Whether the last week asked for more than the weeks before prepared for.',
    from: 'Tiring work of every day, with recent days counting most.',
    scale: `${RATIO_BAND.join('–')} is steady. Outside it, take a second look and no more: its value as a predictor is contested (Impellizzeri et al. 2020).`,
    judge: under(
      [
        [RATIO_BAND[0], 'Less than usual.'],
        [RATIO_BAND[1], 'Steady.'],
      ],
      'More than usual: take a second look.',
    ),
  },
  maximum: {
    plain: 'A hand’s maximum',
    term: 'maximal strength',
    what: 'The estimated maximum of this hand, with the band that holds four in five similar people.',
    from: 'Norms by sex, age and weight, updated by tests, by holds and sets to failure, and by rated sets. More certain and more recent ones count more.',
    scale: 'In most people, left and right are within a tenth of each other.',
  },
  criticalForce: {
    plain: 'Sustainable force',
    term: 'critical force, mean of the last three of 24 contractions all out',
    what: 'The force this rhythm allows without tiring further. Work above it draws on a limited reserve.',
    from: 'An all-out test: 24 times 7 s as hard as possible with 3 s between (Giles et al. 2021).',
    scale: 'About two fifths of the best squeeze; climbers who train endurance reach a half.',
  },
  detectableChange: {
    plain: 'Real change',
    term: 'minimal detectable change, 1.96 · √2 · standard error of measurement',
    what: 'The smallest difference between two readings that exceeds measurement error.',
    from: 'Your own same-day repeats of the same hand, from eight on; before that, the usual error of such readings.',
    scale: say`Wrist angles about 7°, grip about ${quantity(5, 'kg')}, other forces about a fifth.`,
  },
  range: {
    plain: 'Range of motion',
    term: 'range of motion, passive and active',
    what: 'How far the joint goes with help (passive), and by its own muscles (active).',
    from: 'The latest readings, or the usual range of adults if there are none.',
    scale: `Less than ${RANGE_ERROR_DEG}° is within the error of a goniometer.`,
  },
  completion: {
    plain: 'Completed',
    term: 'completion',
    what: 'How much of the plan was done, hand by hand and set by set.',
    from: 'Each planned piece counts the same, and at most fully.',
    scale: `Most sessions end above 90 %. Below ${percent(MUCH_OF_IT)}, the plan was too much that day.`,
    judge: under(
      [
        [100 * MUCH_OF_IT, 'The plan was too much that day.'],
        [90, 'Nearly all of it.'],
      ],
      'All of it, more or less.',
    ),
  },
  discomfort: {
    plain: 'Discomfort',
    term: 'numeric rating of pain, 0–10',
    what: 'How much it hurt: 0 is no pain, 10 the worst imaginable.',
    from: 'Rated during the session or at the end; the highest rating of any block.',
    scale: `Up to ${DISCOMFORT_GO_ON_MAX} carry on, up to ${DISCOMFORT_HOLD_MAX} keep the level, from ${DISCOMFORT_HOLD_MAX + 1} ease off or stop. If the method allows none, one step earlier.`,
  },
  exertion: {
    plain: 'Effort (RPE)',
    term: 'rating of perceived exertion, 0–10 (Foster 2001)',
    what: 'How hard it felt: 0 is rest, 10 is all-out.',
    from: 'Rated at the end; otherwise the mean of the rated blocks.',
    scale: '3 is moderate, 5 hard, 7 very hard.',
    judge: under(
      [
        [3, 'Easy.'],
        [5, 'Moderate.'],
        [7, 'Hard.'],
      ],
      'Very hard.',
    ),
  },
  length: {
    plain: 'Length',
    term: 'session time',
    what: 'The whole session with counting, rests and changes of side and position.',
    from: 'The timeline the player follows. The dashed line on the pot (its rim) is the time available.',
    scale: 'Compare it with the minutes you set.',
  },
  goalCoverage: {
    plain: 'Goal coverage',
    term: 'seconds of work that count toward each part of the goal',
    what: 'How much of this sequence serves each part of the goal.',
    from: 'Seconds of work per hand. Where the goal names a load, an effort or an angle, harder levels count more.',
    scale: 'The thin mark is the target. Beyond it, more work adds less and less.',
  },
  bestPossible: {
    plain: 'Distance from the best',
    term: 'optimality gap',
    what: 'How much better any other sequence could be that keeps the same time, rules and equipment.',
    from: 'The search also calculates a limit that no sequence can exceed, and compares.',
    scale: 'Below 1 %, no other sequence would be noticeably better.',
  },
  trend: {
    plain: 'Trend',
    term: 'Theil–Sen slope with its 95 % interval',
    what: 'How much the readings change a week.',
    from: 'The median slope between all pairs of readings of this hand: an outlier changes it little.',
    scale: 'The trend is clear when the whole interval is above zero, or below it.',
  },
  predictedRange: {
    plain: 'Predictions that held',
    term: 'calibration',
    what: 'How often the result fell where it was predicted.',
    from: 'Every rated set of the last twelve weeks, against what was known before it.',
    scale: 'A range that should hold eight of ten is right when about eight of ten fall into it.',
  },
  flareUp: {
    plain: 'Flare-up',
    term: 'load beyond tissue tolerance, simulated',
    what: 'How many simulated athletes had pain that lasted for days.',
    from: 'A model of muscle and tissue that adapt at different speeds, run for many random athletes.',
    scale: 'Compare methods with each other. The numbers themselves are no forecast for a person.',
  },
} as const satisfies Record<string, Term>;
/** The name of a number that is explained. */
export type TermId = keyof typeof TERMS;

/** A term as it is looked up. @example termOf('effort').plain → 'Effort' */
export const termOf = (id: TermId): Term => TERMS[id];
