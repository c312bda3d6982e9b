import type { Motion, MuscleGroup } from '../../anatomy/motions.js';
import type { Action } from '../../capacity/actions.js';
import type { Equipment } from '../../anatomy/support.js';
import type { Level, Movement, MovementCaution } from '../movement.js';
import { avoid, caution, level, movement, press, roller, weight } from './writing.js';

const LIGHT = caution(
  'Very light to start; the last repetition must look like the first.',
  'tendon-pain',
  'past-sprain',
  'fluoroquinolones',
);
const NO_WEIGHT = avoid('No added weight with sore joints.', 'arthritis');
const BREATHE = caution('Breathe out on the way up.', 'blood-pressure', 'pregnancy');
const USUAL: readonly MovementCaution[] = [LIGHT, NO_WEIGHT, BREATHE];
const ONE_EACH = {
  sides: ['left-then-right', 'right-then-left', 'left', 'right', 'together'] as const,
  strokes: ['up', 'down'] as const,
  work: ['repetitions'] as const,
};

/** Three weights for one action. Kilograms are where an average adult may start; the bench finds them for a person. */
function rungs(
  action: Action,
  kg: readonly [number, number, number],
  things: readonly Equipment[],
  more: { leverM?: number; handleMm?: number } = {},
  posture: 'seated' | 'standing' = 'seated',
): readonly [Level, Level, Level] {
  const at = [posture, 'handle', 'free', 'resisted'] as const;
  return [
    level(
      ['light', 'Light', 'To learn the path.'],
      at,
      weight(action, kg[0], more),
      'free-weights',
      '2x12 tempo1-2 rest30 L,R',
      things,
    ),
    level(
      ['medium', 'Medium', 'Still clean at the end.'],
      at,
      weight(action, kg[1], more),
      'free-weights',
      '2x10 tempo1-3 rest45 L,R',
      things,
    ),
    level(
      ['heavy', 'Heavier', 'For prepared forearms.'],
      at,
      weight(action, kg[2], more),
      'free-weights',
      '3x8 tempo1-3 rest60 L,R',
      things,
    ),
  ];
}

function lift(
  [slug, name, purpose]: readonly [string, string, string],
  howTo: readonly string[],
  [cues, faults]: readonly [readonly string[], readonly string[]],
  [trains, motions]: readonly [readonly MuscleGroup[], readonly Motion[]],
  ladder: Movement['ladder'],
  way: Partial<Movement> = {},
): Movement {
  return movement(
    { id: `weight.${slug}`, name, family: 'free-weights', purpose, climbs: 'effort' },
    { howTo, cues, faults, cautions: USUAL },
    { trains, motions },
    { ...ONE_EACH, ...way },
    ladder,
  );
}

export const FREE_WEIGHTS: readonly Movement[] = [
  lift(
    ['curl', 'Supported wrist curl', 'Flexors lift a weight through their range, forearm resting.'],
    ['Forearm on thigh or table, palm up, hand over the edge.', 'Bend the wrist up, lower past level.'],
    [
      ['Whole range', 'Slow down'],
      ['The forearm lifts', 'Drops at the bottom'],
    ],
    [['wrist flexors'], ['wrist flexion']],
    rungs('wrist flexion', [3, 5, 7.5], ['weight', 'chair']),
  ),
  lift(
    ['reverse-curl', 'Supported reverse curl', 'Extensors lift: the balance for all gripping.'],
    ['Forearm on thigh or table, palm down.', 'Lift the back of the hand, lower with control.'],
    [
      ['Loose grip', 'Two seconds down'],
      ['The forearm lifts', 'Grips too hard'],
    ],
    [['wrist extensors'], ['wrist extension']],
    rungs('wrist extension', [1.5, 2.5, 4], ['light dumbbell', 'chair']),
  ),
  lift(
    [
      'finger-roll-curl',
      'Curl with finger roll',
      'The weight rolls to the fingertips and back: finger and wrist flexors in one path.',
    ],
    ['Palm up, forearm resting.', 'Let the handle roll down the fingers, then roll it in and curl.'],
    [
      ['Fingers first, then wrist', 'Catch it early'],
      ['The handle slips', 'Elbow lifts'],
    ],
    [
      ['finger flexors', 'wrist flexors'],
      ['finger flexion', 'wrist flexion'],
    ],
    rungs('wrist flexion', [2.5, 4, 6], ['weight', 'chair'], { handleMm: 30 }),
  ),
  lift(
    [
      'thumb-one-finger',
      'Curl with thumb and one finger',
      'Thumb and a single finger hold a small weight: each finger has its turn.',
    ],
    ['Hold a small weight between thumb and one finger.', 'Curl the wrist slowly; change the finger.'],
    [
      ['Same for every finger', 'Thumb works'],
      ['Other fingers help', 'The wrist tips'],
    ],
    [
      ['finger flexors', 'thumb muscles', 'wrist flexors'],
      ['wrist flexion', 'thumb opposition'],
    ],
    rungs('wrist flexion', [0.5, 1, 1.5], ['light dumbbell']),
  ),
  lift(
    [
      'thumb-side-lever',
      'Thumb-side lever lift',
      'A lever lifts toward the thumb: what a blade, a racket and a fall ask.',
    ],
    ['Arm hanging, lever pointing forward.', 'Tip its end up by the wrist alone, lower slowly.'],
    [
      ['Elbow still', 'Shorten the lever to ease'],
      ['The elbow bends', 'Swinging'],
    ],
    [['radial deviators'], ['radial deviation']],
    rungs('radial deviation', [0.5, 0.8, 1.2], ['lever'], { leverM: 0.4 }, 'standing'),
  ),
  lift(
    [
      'little-side-lever',
      'Little-finger-side lever lift',
      'A lever behind the hand lifts toward the little finger: the outer edge.',
    ],
    ['Arm hanging, lever pointing backward.', 'Tip its end up by the wrist alone, lower slowly.'],
    [
      ['Elbow straight', 'Small at first'],
      ['The shoulder swings', 'The elbow bends'],
    ],
    [['ulnar deviators'], ['ulnar deviation']],
    rungs('ulnar deviation', [0.5, 0.8, 1.2], ['lever'], { leverM: 0.4 }, 'standing'),
  ),
  lift(
    ['lever-turn-up', 'Lever turn, palm up', 'Turns a lever from the inside to upright: supination with a number.'],
    ['Forearm resting, lever pointing inward, level.', 'Turn it upright and lower it slowly.'],
    [
      ['Elbow at the ribs', 'Slow at the bottom'],
      ['The elbow leaves the ribs', 'Drops at the bottom'],
    ],
    [['supinators'], ['supination']],
    rungs('supination', [0.5, 0.8, 1.2], ['lever', 'chair'], { leverM: 0.4 }),
  ),
  lift(
    ['lever-turn-down', 'Lever turn, palm down', 'Turns a lever from the outside to upright: pronation with a number.'],
    ['Forearm resting, lever pointing outward, level.', 'Turn it upright and lower it slowly.'],
    [
      ['Elbow at the ribs', 'Slow at the bottom'],
      ['The elbow leaves the ribs', 'Drops at the bottom'],
    ],
    [['pronators'], ['pronation']],
    rungs('pronation', [0.5, 0.8, 1.2], ['lever', 'chair'], { leverM: 0.4 }),
  ),
  lift(
    [
      'raises-three',
      'Wrist raises in three turns',
      'Light raises with the palm down, thumb up, palm up: weak angles show themselves.',
    ],
    [
      'Light weight, forearm resting.',
      'Raise the hand with the palm down; thumb up; palm up.',
      'The same number in each.',
    ],
    [
      ['Same number in each', 'Light is right'],
      ['Skips the weak one', 'Racing'],
    ],
    [
      ['wrist extensors', 'radial deviators', 'wrist flexors'],
      ['wrist extension', 'radial deviation', 'wrist flexion'],
    ],
    rungs('wrist extension', [0.5, 1, 2], ['light dumbbell', 'chair']),
  ),
  movement(
    {
      id: 'weight.roller-up',
      name: 'Wrist roller, flexors',
      family: 'free-weights',
      purpose: 'Winds a weight up by bending the wrists in turn: turns, work and effort are numbers.',
      climbs: 'effort',
    },
    {
      howTo: ['Hold the roller, palms up.', 'Wind the rope up hand by hand, then unwind under control.'],
      cues: ['Full turns', 'Unwind as slowly'],
      faults: ['Lets the weight drop', 'Shoulders climb'],
      cautions: USUAL,
    },
    { trains: ['wrist flexors', 'finger flexors'], motions: ['wrist flexion'] },
    {
      ...ONE_EACH,
      sides: ['together'],
      strokes: ['wind', 'unwind'],
      work: ['time', 'repetitions'],
      timed: 'bout',
      equipment: ['wrist roller'],
    },
    [
      level(
        ['resting', 'Forearms resting', 'The rope hangs over an edge.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist flexion', 5),
        'free-weights',
        '2x30s rest60',
      ),
      level(
        ['heavier', 'Forearms resting, heavier', 'Twice the weight.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist flexion', 10),
        'free-weights',
        '2x30s rest60',
      ),
      level(
        ['in-front', 'Arms in front', 'The shoulders carry as well.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist flexion', 5, 'in front'),
        'free-weights',
        '2x30s rest90',
      ),
    ],
  ),
  movement(
    {
      id: 'weight.roller-down',
      name: 'Wrist roller, extensors',
      family: 'free-weights',
      purpose: 'The other winding direction: extensors take turns.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Hold the roller, palms down.',
        'Wind the rope up by drawing the knuckles back in turn.',
        'Unwind under control.',
      ],
      cues: ['Knuckles toward you', 'Unwind as slowly'],
      faults: ['Lets the weight drop', 'Shoulders climb'],
      cautions: USUAL,
    },
    { trains: ['wrist extensors', 'finger flexors'], motions: ['wrist extension'] },
    {
      ...ONE_EACH,
      sides: ['together'],
      strokes: ['wind', 'unwind'],
      work: ['time', 'repetitions'],
      timed: 'bout',
      equipment: ['wrist roller'],
    },
    [
      level(
        ['resting', 'Forearms resting', 'The rope hangs over an edge.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist extension', 4),
        'free-weights',
        '2x30s rest60',
      ),
      level(
        ['heavier', 'Forearms resting, heavier', 'Twice the weight.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist extension', 8),
        'free-weights',
        '2x30s rest60',
      ),
      level(
        ['in-front', 'Arms in front', 'The shoulders carry as well.'],
        ['standing', 'handle', 'free', 'resisted'],
        roller('wrist extension', 6, 'in front'),
        'free-weights',
        '2x30s rest90',
      ),
    ],
  ),
  movement(
    {
      id: 'weight.towel-turns',
      name: 'Towel turns against the other hand',
      family: 'free-weights',
      purpose: 'One hand turns, the other brakes: turning strength with no more than a towel.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Hold a rolled towel with both hands.',
        'One hand turns palm up, the other brakes all the way.',
        'Then palm down.',
      ],
      cues: ['Brake evenly', 'Elbows at the ribs'],
      faults: ['The wrists bend', 'Held breath'],
      cautions: [LIGHT, BREATHE],
    },
    { trains: ['supinators', 'pronators', 'finger flexors'], motions: ['supination', 'pronation'] },
    { ...ONE_EACH, directions: ['palm up', 'palm down'], strokes: ['turn', 'back'], equipment: ['towel'] },
    [
      level(
        ['light', 'Light brake', 'A third of your most.'],
        ['standing', 'handle', 'free', 'resisted'],
        press('supination'),
        'free-weights',
        '1x8 @30% tempo2-2 L,R <>',
      ),
      level(
        ['firm', 'Firm brake', 'Half of your most.'],
        ['standing', 'handle', 'free', 'resisted'],
        press('supination'),
        'free-weights',
        '2x8 @50% tempo2-2 rest30 L,R <>',
      ),
    ],
  ),
];
