import { SIDES_BAND } from '../../effort/balance.js';
import { RATIO_BAND } from '../../effort/past.js';
import { RANGE_ERROR_DEG } from '../../mechanics/capacity.js';
import { percent } from '../../vocabulary/numbers.js';
import { MUCH_OF_IT } from '../calls/after-session.js';
import { DISCOMFORT_GO_ON_MAX, DISCOMFORT_HOLD_MAX } from '../reports/discomfort.js';
import { GRAVITY, kgFromN } from '../../vocabulary/gravity.js';

/** A number that a coach meets: what it is in plain words, the term behind it, what it is made from, and whether a value of it is much. */
export interface Term {
  /** Plain words, as they stand on a screen. */
  readonly plain: string;
  /** The field's own term. */
  readonly term: string;
  readonly what: string;
  readonly from: string;
  /** Which values are usual, and which are much. */
  readonly scale: string;
  /** What a value means. */
  readonly judge?: (value: number) => string;
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
    what: 'How much of the most that this hand can do the work asks for.',
    from: 'The force or turning force that the posture or weight asks for, over what was measured or is estimated for this person.',
    scale: 'Up to 20 % is easy, 20–40 % gentle, 40–60 % medium, 60–80 % hard, above that near the most.',
    judge: under(
      [
        [20, 'Easy: it can go on for a long time.'],
        [40, 'Gentle.'],
        [60, 'Medium: it tires within a minute or two.'],
        [80, 'Hard: for short holds and few repetitions.'],
        [101, 'Near the most: seconds only.'],
      ],
      'More than there is: an easier level.',
    ),
  },
  handLoad: {
    plain: 'Weight on the hand',
    term: 'hand load, % of body weight (% BW)',
    what: 'How much of the body’s weight rests on one hand.',
    from: 'Computed from the posture: where the weight of each part of the body lies between hands and feet.',
    scale: 'All fours is about 20 %, a plank about 33 %, a handstand 50 % on each hand.',
    judge: under(
      [
        [12, 'Little: leaning on a table.'],
        [25, 'About as on all fours.'],
        [38, 'About as in a plank.'],
        [55, 'About as in a handstand on both hands.'],
      ],
      'Much: as on one hand.',
    ),
  },
  wristAngle: {
    plain: 'Bend of the wrist',
    term: 'wrist angle, degrees of extension or flexion',
    what: 'How far the wrist is bent, beside how far it goes with help.',
    from: 'The slope of forearm and ground in this posture; the range is measured, or the usual one for adults.',
    scale: `Flat hands under the shoulders ask for about 80–90°. Within ${RANGE_ERROR_DEG}° of the range is its end: readings are no finer.`,
  },
  wristMoment: {
    plain: 'Turning force at the wrist',
    term: 'moment, N·m',
    what: 'How strongly the load would bend the wrist if no muscle held it.',
    from: 'The weight on the hand times its distance from the joint.',
    scale: '5 N·m is 5 kg hung ten centimetres in front of the joint. Wrists of adults hold about 8–15 N·m at most.',
    judge: (value) => `As much as ${(value / (GRAVITY * HUNG_AT_M)).toFixed(1)} kg hung ten centimetres in front of the joint.`,
  },
  enduranceDose: {
    plain: 'Tiring work',
    term: 'endurance dose, in holds to failure',
    what: 'How tiring it was for a muscle: 1 is as tiring as one hold until nothing goes any more.',
    from: 'The time at each effort over how long that effort can be held (Frey Law and Avin 2010), summed up.',
    scale: 'Up to 0.3 is a warm-up, 0.3–1 training, 1–2 a hard day, above that very much for one session.',
    judge: under(
      [
        [0.3, 'Little: a warm-up.'],
        [1, 'Training.'],
        [2, 'A hard day for this muscle.'],
      ],
      'Very much for one session.',
    ),
  },
  impulse: {
    plain: 'Load carried over time',
    term: 'impulse (1 kg·min is 588 N·s)',
    what: 'Weight on the hand times how long it stayed there.',
    from: 'Every second of work with the load that it put on the hand.',
    scale: 'A minute of plank comes to about 20 kg·min on each hand for an adult of 60 kg.',
  },
  underLoad: {
    plain: 'Under load',
    term: 'time under load',
    what: 'How long the hand bore weight or held against force.',
    from: 'The timeline: work only, without rests and changes of place.',
    scale: 'A floor class of an hour comes to some 5–10 minutes on each hand.',
    judge: (seconds) => `${(seconds / SECONDS_PER_MINUTE).toFixed(1)} minutes.`,
  },
  capacityLeft: {
    plain: 'Strength left',
    term: 'capacity left, by the three-compartment model of fatigue',
    what: 'How much of its strength a muscle group still has when it is most tired. Work can be held while more is left than it asks for.',
    from: 'Effort and rest second by second (Looft, Herkert and Frey-Law 2018), from what was done before today.',
    scale: 'Above 80 % is fresh; 60–80 % worked; below 60 % only light work can still be held.',
    judge: under(
      [
        [40, 'Very tired: hardly any load can be held.'],
        [60, 'Tired: light work only.'],
        [80, 'Worked: medium efforts can be held.'],
      ],
      'Fresh.',
    ),
  },
  balance: {
    plain: 'Balance of opposites',
    term: 'agonist to antagonist ratio',
    what: 'How much one muscle group works beside the one that does the opposite, and left beside right.',
    from: 'Tiring work of both, divided.',
    scale: `The green band is what the method allows; left and right should stay within ${SIDES_BAND} : 1.`,
  },
  weekRatio: {
    plain: 'This week against the month',
    term: 'ratio of exponentially weighted means of 7 and 28 days',
    what: 'Whether the last week asked more than the weeks before have prepared for.',
    from: 'Tiring work of every day, the last days counting most.',
    scale: `${RATIO_BAND.join('–')} is steady. Outside it is a prompt to look and nothing more: its worth as a predictor is contested (Impellizzeri et al. 2020).`,
    judge: under(
      [
        [RATIO_BAND[0], 'Less than usual.'],
        [RATIO_BAND[1], 'Steady.'],
      ],
      'More than usual: have a look.',
    ),
  },
  maximum: {
    plain: 'The most a hand can',
    term: 'maximal strength',
    what: 'The strongest that this hand is taken to be, and between what it lies for four in five people of whom as much is known.',
    from: 'Norms by sex, age and body mass, moved by tests, by holds and sets to failure and by sets whose exertion was told: the surer each of them and the later, the further.',
    scale: 'Left and right of most people are within a tenth of each other.',
  },
  criticalForce: {
    plain: 'What can be kept up',
    term: 'critical force, mean of the last three of 24 contractions all out',
    what: 'The force that can go on in this rhythm without tiring further; what is above it can be done only once, then it has to come back.',
    from: 'An all-out test: 24 times 7 s as hard as possible with 3 s between (Giles et al. 2021).',
    scale: 'About two fifths of the best squeeze; climbers who train endurance come to a half.',
  },
  detectableChange: {
    plain: 'Real change',
    term: 'minimal detectable change, 1.96 · √2 · standard error of measurement',
    what: 'From what difference on two readings differ for more than the error of measuring.',
    from: 'Your own repeats of the same hand on the same day, from eight on; before that the usual error of such readings.',
    scale: 'Angles of the wrist about 7°, grip about 5 kg, other forces about a fifth.',
  },
  range: {
    plain: 'How far it goes',
    term: 'range of motion, passive and active',
    what: 'How far the joint goes with help (passive), and by its own muscles (active).',
    from: 'The latest readings; without one, the usual range of adults.',
    scale: `A difference of less than ${RANGE_ERROR_DEG}° is within the error of a goniometer.`,
  },
  completion: {
    plain: 'Done of plan',
    term: 'completion',
    what: 'How much of what was planned was done, hand by hand and set by set.',
    from: 'Each planned piece counts the same, and at most fully.',
    scale: `Most sessions end above 90 %. Below ${percent(MUCH_OF_IT)} the plan was too much that day.`,
    judge: under(
      [
        [100 * MUCH_OF_IT, 'The plan was too much that day.'],
        [90, 'Nearly all of it.'],
      ],
      'All of it, or so.',
    ),
  },
  discomfort: {
    plain: 'Discomfort',
    term: 'numeric rating of pain, 0–10',
    what: 'How much it hurt: 0 is nothing, 10 the worst there is.',
    from: 'Told during the session or at its end; the most that was told of any block.',
    scale: `Up to ${DISCOMFORT_GO_ON_MAX} go on, up to ${DISCOMFORT_HOLD_MAX} hold the level, from ${DISCOMFORT_HOLD_MAX + 1} ease or stop; where the method allows none, a step earlier.`,
  },
  exertion: {
    plain: 'Exertion',
    term: 'rating of perceived exertion, 0–10 (Foster 2001)',
    what: 'How hard it felt: 0 is rest, 10 is all out.',
    from: 'Told at the end; else the mean over the blocks that were told of.',
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
    what: 'How long all of it takes with counting, rests, changes of sides and of place.',
    from: 'The timeline that the player runs by. The dashed line on the pot (its rim) is the time that there is.',
    scale: 'Compared with the minutes that you set beside it.',
  },
} as const satisfies Record<string, Term>;
/** The name of a number that is explained. */
export type TermId = keyof typeof TERMS;

/** A term as it is looked up. @example termOf('effort').plain → 'Effort' */
export const termOf = (id: TermId): Term => TERMS[id];
