import { FORM } from '../form-checklist.js';
import type { Movement } from '../movement.js';
import {
  BUILD_UP,
  GROWING_FINGERS,
  NO_BREATH_HOLD,
  NO_END_RANGE,
  NO_FINGER_LOAD,
  NO_LOADED_FLEXION,
  SKIN,
  SORE,
} from './planted-form.js';
import { body, level, movement } from './writing.js';

const ON_MAT = {
  equipment: ['mat'] as const,
  sides: ['together', 'alternating'] as const,
  strokes: ['lift', 'lower'] as const,
  work: ['repetitions', 'time'] as const,
};
const FLOOR = 'all fours' as const;
const BEARS = [BUILD_UP, NO_BREATH_HOLD, SKIN];
const PALM = {
  trains: ['wrist flexors', 'finger flexors', 'hand intrinsics'],
  motions: ['wrist flexion', 'finger flexion'],
  corners: ['open hand, wrist extended'],
} as const;

export const PLANTED_STRENGTH_MORE: readonly Movement[] = [
  movement(
    {
      id: 'strength.outward-palm-lift',
      name: 'Palm lift, fingers outward',
      family: 'planted-strength',
      purpose: 'The palm lift in the turned-out facing, where thumb and index carry more.',
      climbs: 'effort',
    },
    {
      howTo: [
        'All fours, fingers outward.',
        'Lift the heels of the hands by pressing pads and knuckles.',
        'Lower in two or three seconds.',
      ],
      cues: ['Index knuckle heavy', 'Both heels the same height'],
      faults: [FORM.knuckle, FORM.elbows, 'Drops back down'],
      cautions: [...BEARS, NO_END_RANGE],
    },
    PALM,
    ON_MAT,
    [
      level(
        ['hips-back', 'Hips back', 'A light share.'],
        [FLOOR, 'raised palm', 'outward', 'planted'],
        body('hipsBack'),
        'planted-strength',
        '2x8 tempo1-2 rest30',
      ),
      level(
        ['half-way', 'Hips half way', 'Shoulders a little behind the hands.'],
        [FLOOR, 'raised palm', 'outward', 'planted'],
        body('allFours', { leanDeg: -9 }),
        'planted-strength',
        '2x6 tempo1-3 rest40',
      ),
      level(
        ['all-fours', 'Shoulders over the hands', 'All fours.'],
        [FLOOR, 'raised palm', 'outward', 'planted'],
        body('allFours'),
        'planted-strength',
        '2x6 tempo1-3 rest40',
      ),
    ],
  ),
  movement(
    {
      id: 'strength.backward-palm-lift',
      name: 'Palm lift, fingers backward',
      family: 'planted-strength',
      purpose: 'Active strength where most people have only passive range: fingers toward the knees.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Kneel with hips back, fingers toward the knees.',
        'Press the pads and float the heels of the hands.',
        'Lower slowly.',
      ],
      cues: ['Small is enough', 'Elbows straight'],
      faults: ['Elbows bend to help', FORM.pads, FORM.breath],
      cautions: [...BEARS, NO_END_RANGE],
    },
    PALM,
    ON_MAT,
    [
      level(
        ['light', 'Hips on the heels', 'Light hands.'],
        ['kneeling', 'raised palm', 'backward', 'planted'],
        body('hipsBack', { leanDeg: -18, hipAngleDeg: 84 }),
        'planted-strength',
        '2x6 tempo1-2 rest30',
      ),
      level(
        ['further', 'Hips half way', 'More on the hands.'],
        ['kneeling', 'raised palm', 'backward', 'planted'],
        body('hipsBack', { leanDeg: -10, hipAngleDeg: 88 }),
        'planted-strength',
        '2x6 tempo1-3 rest40',
      ),
    ],
  ),
  movement(
    {
      id: 'strength.one-palm-lift',
      name: 'Palm lift, one hand',
      family: 'planted-strength',
      purpose: 'One side alone: the strong hand cannot do the work of both.',
      climbs: 'effort',
    },
    {
      howTo: [
        'All fours, weight toward one hand.',
        'Lift the heel of that hand and lower it slowly.',
        'Then the other side, the same number.',
      ],
      cues: ['Shoulders level', 'Count the weaker side first'],
      faults: ['The trunk turns', FORM.knuckle, FORM.elbows],
      cautions: BEARS,
    },
    PALM,
    { ...ON_MAT, sides: ['left-then-right', 'right-then-left', 'left', 'right'] },
    [
      level(
        ['hips-back', 'Hips back, even', 'Half of a light share.'],
        [FLOOR, 'raised palm', 'forward', 'planted'],
        body('hipsBack'),
        'planted-strength',
        '2x6 tempo1-2 rest30 L,R',
      ),
      level(
        ['shifted', 'Hips back, shifted', 'Seven tenths on the working hand.'],
        [FLOOR, 'raised palm', 'forward', 'planted'],
        body('hipsBack', { leftShare: 0.7 }),
        'planted-strength',
        '2x6 tempo1-2 rest30 L,R',
      ),
      level(
        ['all-fours', 'All fours, shifted', 'Three fifths on the working hand.'],
        [FLOOR, 'raised palm', 'forward', 'planted'],
        body('allFours', { leftShare: 0.6 }),
        'planted-strength',
        '2x5 tempo1-3 rest40 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'strength.thumb-index-pumps',
      name: 'Thumb and index pumps',
      family: 'planted-strength',
      purpose: 'Thumb and index press and let go: the inner side of the hand that steers a balance.',
      climbs: 'effort',
    },
    {
      howTo: [
        'All fours, palms flat.',
        'Press thumb and index pads until the inner heel floats.',
        'Lower with control.',
      ],
      cues: ['Thumb and index share', 'The outer edge stays'],
      faults: [FORM.knuckle, 'Thumb does nothing', 'Tip joints collapse'],
      cautions: [...BEARS, GROWING_FINGERS, NO_FINGER_LOAD],
    },
    {
      trains: ['thumb muscles', 'finger flexors', 'hand intrinsics'],
      motions: ['thumb opposition', 'finger flexion'],
      digits: ['thumb', 'index'],
      corners: ['open hand, wrist extended'],
    },
    ON_MAT,
    [
      level(
        ['hips-back', 'Hips back', 'A light share.'],
        [FLOOR, 'raised palm', 'forward', 'planted'],
        body('hipsBack', { padPressure: 1, heelLiftDeg: 10 }),
        'planted-strength',
        '2x8 tempo1-2 rest30',
      ),
      level(
        ['half-way', 'Hips half way', 'Shoulders a little behind the hands.'],
        [FLOOR, 'raised palm', 'forward', 'planted'],
        body('allFours', { leanDeg: -10, padPressure: 1, heelLiftDeg: 10 }),
        'planted-strength',
        '2x6 tempo1-2 rest40',
      ),
    ],
  ),
  movement(
    {
      id: 'strength.back-press',
      name: 'Back-of-hand press',
      family: 'planted-strength',
      purpose: 'Extensors press the back of the hand into the floor: strength at the far side of the circle.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Kneel with hips back, backs of the hands down.',
        'Press knuckles and fingers down as if to lift the forearms.',
        'Let go slowly.',
      ],
      cues: ['Press, do not drop', 'Breathe'],
      faults: ['Falls onto the wrists', FORM.breath],
      cautions: [NO_LOADED_FLEXION, NO_BREATH_HOLD, SKIN],
    },
    {
      trains: ['wrist extensors', 'finger extensors'],
      motions: ['wrist extension', 'wrist flexion'],
      corners: ['open hand, wrist flexed'],
    },
    { ...ON_MAT, sides: ['together', 'left-then-right', 'right-then-left'], strokes: ['press', 'let go'] },
    [
      level(
        ['light', 'Hips on the heels', 'A few kilograms.'],
        ['kneeling', 'back of hand', 'inward', 'planted'],
        body('hipsBack', { leanDeg: -28, hipAngleDeg: 72 }),
        'planted-strength',
        '2x6 3s tempo1-1 rest30',
      ),
      level(
        ['further', 'Hips half way', 'Toward the knuckles.'],
        ['kneeling', 'back of hand', 'inward', 'planted'],
        body('hipsBack', { leanDeg: -24, hipAngleDeg: 78, padPressure: 0.4 }),
        'planted-strength',
        '2x6 3s tempo1-1 rest40',
      ),
    ],
  ),
  movement(
    {
      id: 'strength.hand-walk',
      name: 'Hand walk with dragged legs',
      family: 'planted-strength',
      purpose: 'Hands walk, the legs are dragged: each step takes the whole share on one hand.',
      climbs: 'hand load',
    },
    {
      howTo: [
        'Lie on the front, push up on straight arms.',
        'Walk the hands forward and let the legs drag.',
        'Fingers spread before each step.',
      ],
      cues: ['Set the hand, then load it', 'Quiet hips'],
      faults: ['Slaps the floor', FORM.shoulders, FORM.fingers],
      cautions: [...BEARS, SORE],
    },
    {
      trains: ['shoulder girdle', 'wrist flexors', 'finger flexors'],
      motions: ['wrist extension', 'shoulder support'],
      corners: ['open hand, wrist extended'],
    },
    {
      ...ON_MAT,
      sides: ['alternating', 'together'],
      strokes: ['step', 'step'],
      work: ['time', 'repetitions'],
      timed: 'bout',
    },
    [
      level(
        ['knees', 'On the knees', 'Crawling, hips low.'],
        ['knees back', 'open palm', 'forward', 'planted'],
        body('kneesBack', { leftShare: 0.7 }),
        'planted-strength',
        '2x8 tempo1-1 rest30 L/R',
      ),
      level(
        ['dragged', 'Legs dragged', 'A plank that walks.'],
        ['plank', 'open palm', 'forward', 'planted'],
        body('plank', { leftShare: 0.75 }),
        'planted-strength',
        '2x8 tempo1-1 rest40 L/R',
      ),
    ],
  ),
  movement(
    {
      id: 'strength.finger-press',
      name: 'Finger pads press, one by one',
      family: 'planted-strength',
      purpose: 'Each pad presses by itself while the palm stays: grip of the floor.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Palm flat, fingers spread.',
        'Press one pad until its nail pales; the others stay easy.',
        'Thumb to little finger.',
      ],
      cues: ['Press, do not bend', 'Ring finger too'],
      faults: [FORM.knuckle, 'All fingers press at once'],
      cautions: [SKIN, GROWING_FINGERS],
    },
    PALM,
    {
      ...ON_MAT,
      sides: ['left-then-right', 'right-then-left', 'together', 'left', 'right'],
      strokes: ['press', 'let go'],
    },
    [
      level(
        ['light', 'Hips back', 'Pads half loaded.'],
        [FLOOR, 'open palm', 'forward', 'planted'],
        body('hipsBack', { padPressure: 0.55 }),
        'finger-isolation',
        '1x10 2s tempo1-1 L,R',
      ),
      level(
        ['all-fours', 'All fours', 'The same over more weight.'],
        [FLOOR, 'open palm', 'forward', 'planted'],
        body('allFours', { padPressure: 0.55 }),
        'finger-isolation',
        '1x10 2s tempo1-1 L,R',
      ),
      level(
        ['forward', 'All fours, shoulders forward', 'The pads have to catch the lean.'],
        [FLOOR, 'open palm', 'forward', 'planted'],
        body('allFours', { leanDeg: 8, padPressure: 0.65 }),
        'finger-isolation',
        '1x10 2s tempo1-1 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'strength.fingertip-hold',
      name: 'Fingertip tent, held',
      family: 'planted-strength',
      purpose: 'Holds the domed hand for time: endurance of fingers and thumb.',
      climbs: 'effort',
    },
    {
      howTo: ['Tent the hands on all five pads.', 'Stay until a joint wants to give.'],
      cues: ['Round arches', 'Thumb works too'],
      faults: ['Tip joints collapse', FORM.shake, FORM.breath],
      cautions: [BUILD_UP, GROWING_FINGERS, NO_FINGER_LOAD, SKIN],
    },
    { trains: ['finger flexors', 'hand intrinsics', 'thumb muscles'], motions: ['finger flexion', 'thumb opposition'] },
    { ...ON_MAT, sides: ['together'], work: ['time'] },
    [
      level(
        ['wall', 'Against a wall', 'Standing.'],
        ['standing', 'fingertips', 'forward', 'planted'],
        body('wallLean'),
        'planted-strength',
        '2x15s rest20',
        ['wall'],
      ),
      level(
        ['hips-back', 'Hips back', 'A fifth on both hands.'],
        [FLOOR, 'fingertips', 'forward', 'planted'],
        body('hipsBack', { hipAngleDeg: 108 }),
        'planted-strength',
        '2x15s rest30',
      ),
      level(
        ['all-fours', 'All fours', 'Hips over knees.'],
        [FLOOR, 'fingertips', 'forward', 'planted'],
        body('allFours', { hipAngleDeg: 125 }),
        'planted-strength',
        '2x15s rest40',
      ),
    ],
  ),
  movement(
    {
      id: 'strength.fist-steady',
      name: 'Steady fists with a lean',
      family: 'planted-strength',
      purpose: 'A straight wrist resists tipping while the shoulders lean: side strength for striking and for handles.',
      climbs: 'effort',
    },
    {
      howTo: ['On fists, thumbs forward.', 'Lean the shoulders forward over straight wrists.', 'Stay, then come back.'],
      cues: ['Two big knuckles carry', 'Wrist like a post'],
      faults: ['The wrist folds', FORM.elbows],
      cautions: BEARS,
    },
    {
      trains: ['radial deviators', 'ulnar deviators', 'finger flexors'],
      motions: ['radial deviation', 'ulnar deviation'],
    },
    { ...ON_MAT, sides: ['together'], strokes: ['lean', 'back'] },
    [
      level(
        ['all-fours', 'All fours, slight lean', 'A hand’s breadth.'],
        [FLOOR, 'fist', 'forward', 'planted'],
        body('allFours', { leanDeg: 6 }),
        'planted-strength',
        '2x6 2s tempo2-2 rest30',
      ),
      level(
        ['more', 'All fours, more lean', 'Twice as far.'],
        [FLOOR, 'fist', 'forward', 'planted'],
        body('allFours', { leanDeg: 11 }),
        'planted-strength',
        '2x6 2s tempo2-2 rest40',
      ),
    ],
  ),
  movement(
    {
      id: 'strength.low-press',
      name: 'Elbows bend and press, hands set',
      family: 'planted-strength',
      purpose: 'The load on the hands grows as the body lowers, although nothing is added: the hands learn to stay.',
      climbs: 'hand load',
    },
    {
      howTo: [
        'Plank on knees or toes, hands under the shoulders.',
        'Bend the elbows without moving hands or feet.',
        'Press back up.',
      ],
      cues: ['Pads grip', 'Body in one line'],
      faults: [FORM.knuckle, FORM.shoulders, 'Hips sag'],
      cautions: BEARS,
    },
    {
      trains: ['shoulder girdle', 'elbow muscles', 'wrist flexors'],
      motions: ['shoulder support', 'wrist extension'],
      corners: ['open hand, wrist extended'],
    },
    { ...ON_MAT, sides: ['together'], strokes: ['lower', 'press'], work: ['repetitions'] },
    [
      level(
        ['knees', 'On the knees, half way', 'Elbows to a right angle.'],
        ['knees back', 'open palm', 'forward', 'planted'],
        body('kneePlank', { leanDeg: 14, hipAngleDeg: 178, elbowBendDeg: 90 }),
        'planted-strength',
        '2x8 tempo2-1 rest40',
      ),
      level(
        ['plank', 'On the toes, half way', 'Elbows to a right angle.'],
        ['plank', 'open palm', 'forward', 'planted'],
        body('plank', { leanDeg: 9, hipAngleDeg: 178, elbowBendDeg: 90 }),
        'planted-strength',
        '2x6 tempo2-1 rest60',
      ),
      level(
        ['low', 'On the toes, low', 'Chest a hand’s breadth off the floor.'],
        ['plank', 'open palm', 'forward', 'planted'],
        body('plank', { leanDeg: 20, hipAngleDeg: 178, elbowBendDeg: 118 }),
        'planted-strength',
        '2x5 tempo2-1 rest60',
      ),
    ],
  ),
];
