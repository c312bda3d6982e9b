import type { Level, Movement, MovementCaution } from '../model/movement.js';
import type { Action } from '../vocabulary/actions.js';
import type { Digit } from '../vocabulary/digits.js';
import type { Equipment } from '../vocabulary/places.js';
import { THUMB_WITH_EACH, avoid, caution, down, level, movement, press, roller, weight } from './writing.js';

const LIGHT = caution('Start very light; the last repetition must look like the first.', 'tendon-pain', 'past-sprain', 'fluoroquinolones');
const NO_WEIGHT = avoid('No added weight with sore joints.', 'arthritis');
const BREATHE = caution('Breathe out on the way up.', 'blood-pressure', 'pregnancy');
const USUAL: readonly MovementCaution[] = [LIGHT, NO_WEIGHT, BREATHE];
const ONE_EACH = {
  sides: ['left-then-right', 'right-then-left', 'left', 'right', 'together'] as const,
  strokes: ['up', 'down'] as const,
  work: ['repetitions', 'time'] as const,
  timed: 'bout' as const,
};
/** What lifts of one weight have in common. */
const WITH_WEIGHT = { ...ONE_EACH, family: 'free-weights', climbs: 'effort', cautions: USUAL } as const;

/** Three weights for one action. Kilograms are where an average adult may start; the bench finds them for a person. */
function freeWeightLevels(
  action: Action,
  kg: readonly [number, number, number],
  things: readonly Equipment[],
  more: { leverM?: number; handleMm?: number; angleDeg?: number; digits?: readonly Digit[] } = {},
  posture: 'seated' | 'standing' = 'seated',
): readonly [Level, Level, Level] {
  const at = [posture, 'handle', 'free', 'resisted'] as const;
  return [
    level(['light', 'Light', 'To learn the path.'], at, weight(action, kg[0], more), 'free-weights', '2x12 tempo1-2 rest30 L,R', things),
    level(
      ['medium', 'Medium', 'Still clean at the end.'],
      at,
      weight(action, kg[1], more),
      'free-weights',
      '2x10 tempo1-3 rest45 L,R',
      things,
    ),
    level(
      ['heavy', 'Heavier', 'For trained forearms.'],
      at,
      weight(action, kg[2], more),
      'free-weights',
      '3x8 tempo1-3 rest60 L,R',
      things,
    ),
  ];
}

/** One set in each position instead of several in one. */
const eachOf = (levels: readonly [Level, Level, Level]): readonly [Level, Level, Level] => {
  const [light, medium, heavy] = levels;
  const once = (level: Level): Level => ({ ...level, dose: { ...level.dose, sets: 1 } });
  return [once(light), once(medium), once(heavy)];
};

/** Half of a bar's weight for each hand that hangs behind the legs: about half way between hanging and level while it is rolled in. */
const behindTheLegs = (kg: readonly [number, number, number]): readonly [Level, Level, Level] => {
  const [light, medium, heavy] = freeWeightLevels('wrist flexion', kg, ['bar'], { handleMm: 30, angleDeg: -45 }, 'standing');
  const together = (level: Level): Level => ({ ...level, dose: { ...level.dose, sides: 'together' } });
  return [together(light), together(medium), together(heavy)];
};

/** The family of weights and levers in the hand, in teaching order. */
export const FREE_WEIGHTS: readonly Movement[] = [
  movement({
    ...WITH_WEIGHT,
    id: 'weight.curl',
    name: 'Wrist curl, supported',
    purpose: 'The flexors lift a weight through their range, forearm resting.',
    howTo: ['Forearm on thigh or table, palm up, hand over the edge.', 'Bend the wrist up, lower past level.'],
    cues: ['Full range', 'Lower slowly'],
    faults: ['The forearm lifts', 'Dropping at the bottom'],
    trains: ['wrist flexors'],
    motions: ['wrist flexion'],
    ladder: freeWeightLevels('wrist flexion', [3, 5, 7.5], ['weight', 'chair']),
  }),
  movement({
    ...WITH_WEIGHT,
    id: 'weight.reverse-curl',
    name: 'Reverse wrist curl, supported',
    purpose: 'The extensors lift: balances all gripping.',
    howTo: ['Forearm on thigh or table, palm down.', 'Lift the back of the hand, lower under control.'],
    cues: ['Loose grip', 'Two seconds down'],
    faults: ['The forearm lifts', 'Gripping too hard'],
    trains: ['wrist extensors'],
    motions: ['wrist extension'],
    ladder: freeWeightLevels('wrist extension', [1.5, 2.5, 4], ['light dumbbell', 'chair']),
  }),
  movement({
    ...WITH_WEIGHT,
    id: 'weight.finger-roll-curl',
    name: 'Wrist curl with finger roll',
    purpose: 'The weight rolls to the fingertips and back: finger and wrist flexors in one path.',
    howTo: ['Palm up, forearm resting.', 'Let the handle roll down the fingers, then roll it in and curl.'],
    cues: ['Fingers first, then wrist', 'Catch it early'],
    faults: ['The handle slips', 'Elbow lifts'],
    trains: ['finger flexors', 'wrist flexors'],
    motions: ['finger flexion', 'wrist flexion'],
    ladder: freeWeightLevels('wrist flexion', [2.5, 4, 6], ['weight', 'chair'], { handleMm: 30 }),
  }),
  movement({
    ...WITH_WEIGHT,
    id: 'weight.thumb-one-finger',
    positions: THUMB_WITH_EACH,
    name: 'Wrist curl with thumb and one finger',
    purpose: 'Thumb and a single finger hold a small weight, so each finger gets a turn.',
    howTo: ['Hold a small weight between thumb and one finger.', 'Curl the wrist slowly; change the finger.'],
    cues: ['Same for every finger', 'Thumb works'],
    faults: ['Other fingers help', 'The wrist tips'],
    trains: ['finger flexors', 'thumb muscles', 'wrist flexors'],
    motions: ['wrist flexion', 'thumb opposition'],
    ladder: eachOf(freeWeightLevels('wrist flexion', [1, 1.5, 2], ['light dumbbell'], { digits: ['thumb', 'index'] })),
  }),
  movement({
    ...WITH_WEIGHT,
    id: 'weight.thumb-side-lever',
    name: 'Radial deviation with lever',
    purpose: 'A lever lifts toward the thumb: what paddling, rackets and falls demand.',
    howTo: ['Arm hanging, lever pointing forward.', 'Tip its end up with the wrist only, lower slowly.'],
    cues: ['Elbow still', 'Shorten the lever to make it easier'],
    faults: ['The elbow bends', 'Swinging'],
    trains: ['radial deviators'],
    motions: ['radial deviation'],
    ladder: freeWeightLevels('radial deviation', [0.5, 0.8, 1.2], ['lever'], { leverM: 0.4 }, 'standing'),
  }),
  movement({
    ...WITH_WEIGHT,
    id: 'weight.little-side-lever',
    name: 'Ulnar deviation with lever',
    purpose: 'A lever behind the hand lifts toward the little finger: trains the outer edge.',
    howTo: ['Arm hanging, lever pointing backward.', 'Tip its end up with the wrist only, lower slowly.'],
    cues: ['Elbow straight', 'Small at first'],
    faults: ['The shoulder swings', 'The elbow bends'],
    trains: ['ulnar deviators'],
    motions: ['ulnar deviation'],
    ladder: freeWeightLevels('ulnar deviation', [0.5, 0.8, 1.2], ['lever'], { leverM: 0.4 }, 'standing'),
  }),
  movement({
    ...WITH_WEIGHT,
    id: 'weight.lever-turn-up',
    name: 'Supination with lever',
    purpose: 'Turns a lever from inside to upright, palm up.',
    howTo: ['Forearm resting, lever pointing inward, level.', 'Turn it upright and lower it slowly.'],
    cues: ['Elbow at your side', 'Slow at the bottom'],
    faults: ['The elbow leaves your side', 'Dropping at the bottom'],
    trains: ['supinators'],
    motions: ['supination'],
    ladder: freeWeightLevels('supination', [0.5, 0.8, 1.2], ['lever', 'chair'], { leverM: 0.4 }),
  }),
  movement({
    ...WITH_WEIGHT,
    id: 'weight.lever-turn-down',
    name: 'Pronation with lever',
    purpose: 'Turns a lever from outside to upright, palm down.',
    howTo: ['Forearm resting, lever pointing outward, level.', 'Turn it upright and lower it slowly.'],
    cues: ['Elbow at your side', 'Slow at the bottom'],
    faults: ['The elbow leaves your side', 'Dropping at the bottom'],
    trains: ['pronators'],
    motions: ['pronation'],
    ladder: freeWeightLevels('pronation', [0.5, 0.8, 1.2], ['lever', 'chair'], { leverM: 0.4 }),
  }),
  movement({
    ...WITH_WEIGHT,
    id: 'weight.raises-three',
    positions: [
      { name: 'palm down', action: 'wrist extension' },
      { name: 'thumb up', action: 'radial deviation' },
      { name: 'palm up', action: 'wrist flexion' },
    ],
    name: 'Wrist raises in three positions',
    purpose: 'Light raises with palm down, thumb up and palm up: weak angles show.',
    howTo: ['Light weight, forearm resting.', 'Raise the hand with the palm down; thumb up; palm up.', 'The same number in each.'],
    cues: ['Same number in each', 'Light is right'],
    faults: ['Skipping the weak one', 'Racing'],
    trains: ['wrist extensors', 'radial deviators', 'wrist flexors'],
    motions: ['wrist extension', 'radial deviation', 'wrist flexion'],
    ladder: eachOf(freeWeightLevels('wrist extension', [0.5, 1, 2], ['light dumbbell', 'chair'])),
  }),
  movement({
    id: 'weight.roller-up',
    name: 'Wrist roller, flexors',
    family: 'free-weights',
    purpose: 'Winds a weight up by bending the wrists in turn: turns and effort can be counted.',
    climbs: 'effort',
    howTo: ['Hold the roller, palms up.', 'Wind the rope up hand by hand, then unwind under control.'],
    cues: ['Full turns', 'Unwind just as slowly'],
    faults: ['Letting the weight drop', 'Shoulders creep up'],
    cautions: USUAL,
    trains: ['wrist flexors', 'finger flexors'],
    motions: ['wrist flexion'],
    ...ONE_EACH,
    sides: ['together'],
    strokes: ['wind', 'unwind'],
    work: ['time', 'repetitions'],
    timed: 'bout',
    equipment: ['wrist roller'],
    ladder: [
      level(
        ['resting', 'Forearms resting', 'The rope hangs over an edge.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist flexion', 4),
        'free-weights',
        '2x30s rest60',
      ),
      level(
        ['heavier', 'Forearms resting, heavier', 'Half as heavy again.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist flexion', 6),
        'free-weights',
        '2x30s rest60',
      ),
      level(
        ['in-front', 'Arms in front', 'A little heavier; the shoulders work too.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist flexion', 7, 'in front'),
        'free-weights',
        '2x30s rest90',
      ),
    ],
  }),
  movement({
    id: 'weight.roller-down',
    name: 'Wrist roller, extensors',
    family: 'free-weights',
    purpose: 'The other winding direction, for the extensors.',
    climbs: 'effort',
    howTo: ['Hold the roller, palms down.', 'Wind the rope up, pulling the knuckles back in turn.', 'Unwind under control.'],
    cues: ['Knuckles toward you', 'Unwind just as slowly'],
    faults: ['Letting the weight drop', 'Shoulders creep up'],
    cautions: USUAL,
    trains: ['wrist extensors', 'finger flexors'],
    motions: ['wrist extension'],
    ...ONE_EACH,
    sides: ['together'],
    strokes: ['wind', 'unwind'],
    work: ['time', 'repetitions'],
    timed: 'bout',
    equipment: ['wrist roller'],
    ladder: [
      level(
        ['resting', 'Forearms resting', 'The rope hangs over an edge.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist extension', 2.5),
        'free-weights',
        '2x30s rest60',
      ),
      level(
        ['heavier', 'Forearms resting, heavier', 'Over half as heavy again.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist extension', 4),
        'free-weights',
        '2x30s rest60',
      ),
      level(
        ['in-front', 'Arms in front', 'A little heavier; the shoulders work too.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist extension', 5, 'in front'),
        'free-weights',
        '2x30s rest90',
      ),
    ],
  }),
  movement({
    id: 'weight.towel-turns',
    name: 'Forearm rotation with a towel',
    otherHand: 'resists',
    family: 'free-weights',
    purpose: 'One hand turns, the other brakes: rotation strength with just a towel.',
    climbs: 'effort',
    howTo: ['Hold a rolled towel with both hands.', 'One hand turns palm up, the other brakes all the way.', 'Then palm down.'],
    cues: ['Brake evenly', 'Elbows at your sides'],
    faults: ['The wrists bend', 'Held breath'],
    cautions: [LIGHT, BREATHE],
    trains: ['supinators', 'pronators', 'finger flexors'],
    motions: ['supination', 'pronation'],
    ...ONE_EACH,
    directions: ['palm up', 'palm down'],
    strokes: ['turn', 'back'],
    equipment: ['towel'],
    hand: {
      setting: 'twisting a towel',
      course: [down('around a bar', { supinationDeg: 0 }), down('around a bar', { supinationDeg: 75 })],
    },
    ladder: [
      level(
        ['light', 'Light brake', 'A third of maximum.'],
        ['standing', 'handle', 'free', 'resisted'],
        press('supination'),
        'free-weights',
        '1x8 @30% tempo2-2 L,R <>',
      ),
      level(
        ['firm', 'Firm brake', 'Half of maximum.'],
        ['standing', 'handle', 'free', 'resisted'],
        press('supination'),
        'free-weights',
        '2x8 @50% tempo2-2 rest30 L,R <>',
      ),
    ],
  }),
  movement({
    ...WITH_WEIGHT,
    id: 'weight.bar-roll-behind',
    name: 'Finger-roll wrist curl, bar behind the legs',
    purpose: 'Stand with a bar behind the thighs, let it roll to the fingertips and roll it back in.',
    howTo: [
      'Stand, bar behind the legs, palms facing back.',
      'Let it roll down to the fingertips.',
      'Roll it in with the fingers, then bend the wrists.',
    ],
    cues: ['Arms stay straight', 'Fingers first, then wrists', 'Knees slightly bent'],
    faults: ['The bar slips', 'Elbows bend', 'Leaning back'],
    trains: ['finger flexors', 'wrist flexors'],
    motions: ['finger flexion', 'wrist flexion'],
    sides: ['together'],
    hand: { arms: 'behind the hips' },
    ladder: behindTheLegs([4, 6, 9]),
  }),
];
