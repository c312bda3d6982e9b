import type { Contact, Facing } from '../../anatomy/support.js';
import { FORM } from '../form-checklist.js';
import type { Movement } from '../movement.js';
import {
  BUILD_UP,
  GROWING_FINGERS,
  NO_BREATH_HOLD,
  NO_FINGER_LOAD,
  NO_LOADED_FLEXION,
  SKIN,
  SORE,
} from './planted-form.js';
import { body, caution, level, movement } from './writing.js';

const HELD = {
  equipment: ['mat'] as const,
  sides: ['together'] as const,
  strokes: ['in', 'out'] as const,
  work: ['time', 'breaths'] as const,
};
const BEARS = [BUILD_UP, NO_BREATH_HOLD, SKIN];
const SUPPORT = {
  trains: ['shoulder girdle', 'wrist flexors', 'finger flexors', 'hand intrinsics'],
  motions: ['wrist extension', 'shoulder support'],
  corners: ['open hand, wrist extended'],
} as const;
const STRAIGHT = {
  trains: ['shoulder girdle', 'finger flexors', 'radial deviators', 'ulnar deviators'],
  motions: ['shoulder support'],
} as const;

/** The usual steps from all fours to the plank, on one contact of the hand. */
const steps = (contact: Contact, facing: Facing = 'forward'): Movement['ladder'] => [
  level(
    ['all-fours', 'All fours', 'Knees under the hips.'],
    ['all fours', contact, facing, 'planted'],
    body('allFours'),
    'bearing-holds',
    '2x20s rest20',
  ),
  level(
    ['knees-back', 'Knees back', 'Straight from knees to head.'],
    ['knees back', contact, facing, 'planted'],
    body('kneesBack'),
    'bearing-holds',
    '2x20s rest30',
  ),
  level(
    ['plank', 'Plank', 'On the toes.'],
    ['plank', contact, facing, 'planted'],
    body('plank'),
    'bearing-holds',
    '2x20s rest40',
  ),
];

export const BEARING_MORE: readonly Movement[] = [
  movement(
    {
      id: 'bearing.fist-support',
      name: 'Fist support',
      family: 'bearing-holds',
      purpose: 'The same weight with a straight wrist: training goes on while the palms rest.',
      climbs: 'hand load',
    },
    {
      howTo: ['Fists under the shoulders, thumbs forward.', 'Stand on the two large knuckles.', 'Push the floor away.'],
      cues: ['Wrist like a post', 'Floor away'],
      faults: ['The wrist folds', FORM.shoulders, FORM.breath],
      cautions: [...BEARS, caution('On a folded mat when knuckles are sore.', 'arthritis')],
    },
    STRAIGHT,
    HELD,
    steps('fist'),
  ),
  movement(
    {
      id: 'bearing.handle-support',
      name: 'Handle support',
      family: 'bearing-holds',
      purpose: 'Parallel handles keep the wrist straight and ask the grip to join in.',
      climbs: 'hand load',
    },
    {
      howTo: ['Handles under the shoulders.', 'Grip firmly and push the floor away.'],
      cues: ['Knuckles forward', 'Even grip'],
      faults: ['The handle tips', FORM.shoulders],
      cautions: BEARS,
    },
    STRAIGHT,
    { ...HELD, equipment: ['mat', 'handles'] },
    steps('handle'),
  ),
  movement(
    {
      id: 'bearing.raised-palm-support',
      name: 'Raised-palm support',
      family: 'bearing-holds',
      purpose: 'Stands on knuckle line and pads with the heel floating: holding strength at working angles.',
      climbs: 'effort',
    },
    {
      howTo: ['Plant the palms, then float the heels of the hands.', 'Stay until a knuckle wants to lift.'],
      cues: ['A finger’s breadth', 'Knuckles heavy'],
      faults: [FORM.knuckle, FORM.shake, FORM.breath],
      cautions: BEARS,
    },
    SUPPORT,
    HELD,
    [
      level(
        ['hips-back', 'Hips back', 'A fifth on both hands.'],
        ['kneeling', 'raised palm', 'forward', 'planted'],
        body('hipsBack'),
        'bearing-holds',
        '2x15s rest30',
      ),
      level(
        ['half-way', 'Hips half way', 'Shoulders a little behind the hands.'],
        ['all fours', 'raised palm', 'forward', 'planted'],
        body('allFours', { leanDeg: -9 }),
        'bearing-holds',
        '2x15s rest40',
      ),
      level(
        ['all-fours', 'All fours', 'Hips over knees.'],
        ['all fours', 'raised palm', 'forward', 'planted'],
        body('allFours'),
        'bearing-holds',
        '2x10s rest60',
      ),
    ],
  ),
  movement(
    {
      id: 'bearing.back-of-hand-support',
      name: 'Back-of-hand support',
      family: 'bearing-holds',
      purpose: 'A share of weight on the backs of the hands, for those whose craft goes there.',
      climbs: 'hand load',
    },
    {
      howTo: [
        'Hips on the heels, backs of the hands down, fingers inward.',
        'Let weight come slowly, and take it back.',
      ],
      cues: ['Slow in, slow out', 'Elbows straight'],
      faults: ['Falls into the wrists', FORM.breath],
      cautions: [NO_LOADED_FLEXION, NO_BREATH_HOLD, SKIN],
    },
    {
      trains: ['wrist extensors', 'finger extensors', 'shoulder girdle'],
      motions: ['wrist flexion', 'shoulder support'],
      corners: ['open hand, wrist flexed'],
    },
    HELD,
    [
      level(
        ['light', 'Hips on the heels', 'A few kilograms a hand.'],
        ['kneeling', 'back of hand', 'inward', 'planted'],
        body('hipsBack', { leanDeg: -28, hipAngleDeg: 72 }),
        'bearing-holds',
        '2x10s rest20',
      ),
      level(
        ['half-way', 'Hips half way', 'A fifth on both hands.'],
        ['kneeling', 'back of hand', 'inward', 'planted'],
        body('hipsBack', { leanDeg: -22, hipAngleDeg: 78 }),
        'bearing-holds',
        '2x15s rest30',
      ),
      level(
        ['hips-forward', 'Hips forward', 'Close to all fours.'],
        ['all fours', 'back of hand', 'inward', 'planted'],
        body('hipsBack', { leanDeg: -12, hipAngleDeg: 88 }),
        'bearing-holds',
        '2x15s rest40',
      ),
    ],
  ),
  movement(
    {
      id: 'bearing.fingertip-support',
      name: 'Fingertip support',
      family: 'bearing-holds',
      purpose: 'Bears on the tented hand: fingers as springs.',
      climbs: 'hand load',
    },
    {
      howTo: ['Tent the hands under the shoulders.', 'Push the floor away through all five pads.'],
      cues: ['Arches round', 'Thumb too'],
      faults: ['Tip joints collapse', FORM.shoulders, FORM.shake],
      cautions: [BUILD_UP, GROWING_FINGERS, NO_FINGER_LOAD, SKIN],
    },
    {
      trains: ['finger flexors', 'hand intrinsics', 'thumb muscles', 'shoulder girdle'],
      motions: ['finger flexion', 'shoulder support'],
    },
    HELD,
    [
      level(
        ['hips-back', 'Hips back', 'A quarter on both hands.'],
        ['kneeling', 'fingertips', 'forward', 'planted'],
        body('hipsBack', { hipAngleDeg: 108 }),
        'bearing-holds',
        '2x15s rest20',
      ),
      level(
        ['all-fours', 'All fours', 'Knees a little behind the hips.'],
        ['all fours', 'fingertips', 'forward', 'planted'],
        body('allFours', { hipAngleDeg: 125 }),
        'bearing-holds',
        '2x15s rest20',
      ),
      level(
        ['knees-back', 'Knees back', 'Straight from knees to head.'],
        ['knees back', 'fingertips', 'forward', 'planted'],
        body('kneesBack', { hipAngleDeg: 160 }),
        'bearing-holds',
        '2x15s rest30',
      ),
      level(
        ['plank', 'Plank', 'On the toes.'],
        ['plank', 'fingertips', 'forward', 'planted'],
        body('plank'),
        'bearing-holds',
        '2x10s rest60',
      ),
    ],
  ),
  movement(
    {
      id: 'bearing.incline-support',
      name: 'Incline support',
      family: 'bearing-holds',
      purpose: 'A plank whose load is set by the height of the hands: table, bench, floor.',
      climbs: 'hand load',
    },
    {
      howTo: ['Hands on the raised edge, arms square to the body.', 'One line from heels to head.'],
      cues: ['Pads press', 'Long neck'],
      faults: [FORM.knuckle, FORM.shoulders, 'Hips sag'],
      cautions: [...BEARS, SORE],
    },
    SUPPORT,
    { ...HELD, equipment: [] },
    [
      level(
        ['table', 'On a table', 'About the height of the hips.'],
        ['incline', 'open palm', 'forward', 'planted'],
        body('tableLean'),
        'bearing-holds',
        '2x20s rest20',
        ['table'],
      ),
      level(
        ['bench', 'On a bench', 'About the height of the knees.'],
        ['incline', 'open palm', 'forward', 'planted'],
        body('bench'),
        'bearing-holds',
        '2x20s rest30',
        ['bench'],
      ),
      level(
        ['step', 'On a low step', 'A hand’s length off the floor.'],
        ['incline', 'open palm', 'forward', 'planted'],
        body('bench', { handHeightM: 0.2 }),
        'bearing-holds',
        '2x20s rest30',
        ['bench'],
      ),
      level(
        ['floor', 'On the floor', 'A plank.'],
        ['plank', 'open palm', 'forward', 'planted'],
        body('plank'),
        'bearing-holds',
        '2x20s rest40',
        ['mat'],
      ),
    ],
  ),
  movement(
    {
      id: 'bearing.forearm-support',
      name: 'Forearm support',
      family: 'bearing-holds',
      purpose: 'The same shape on the forearms: the trunk trains while the hands rest.',
      climbs: 'time',
    },
    {
      howTo: ['Forearms parallel, elbows under the shoulders.', 'Push the floor away and stay.'],
      cues: ['Fists soft', 'Long neck'],
      faults: [FORM.shoulders, 'Hips sag', FORM.breath],
      cautions: [NO_BREATH_HOLD],
    },
    { trains: ['shoulder girdle'], motions: ['shoulder support'] },
    HELD,
    [
      level(
        ['knees', 'On the knees', 'Hips straight.'],
        ['knees back', 'none', 'free', 'resisted'],
        body('kneePlank'),
        'bearing-holds',
        '2x15s rest20',
      ),
      level(
        ['plank', 'On the toes', 'One line.'],
        ['plank', 'none', 'free', 'resisted'],
        body('plank'),
        'bearing-holds',
        '2x25s rest30',
      ),
      level(
        ['long', 'On the toes, longer', 'Slow breaths throughout.'],
        ['plank', 'none', 'free', 'resisted'],
        body('plank'),
        'bearing-holds',
        '2x40s rest40',
      ),
    ],
  ),
  movement(
    {
      id: 'bearing.side-support',
      name: 'Side support',
      family: 'bearing-holds',
      purpose: 'One hand carries the body sideways: what the weaker side can do by itself.',
      climbs: 'hand load',
    },
    {
      howTo: [
        'Lie on the side, hand under the shoulder.',
        'Lift the hips to one line.',
        'The other arm rests along the body.',
      ],
      cues: ['Push the floor away', 'Hips forward'],
      faults: [FORM.shoulders, 'The trunk turns', FORM.knuckle],
      cautions: [...BEARS, SORE],
    },
    SUPPORT,
    { ...HELD, sides: ['left-then-right', 'right-then-left', 'left', 'right'] },
    [
      level(
        ['knees', 'On the knees', 'Lower leg bent.'],
        ['side support', 'open palm', 'outward', 'planted'],
        body('sideSupportKnees'),
        'bearing-holds',
        '2x15s rest20 L,R',
      ),
      level(
        ['feet', 'On the feet', 'One line from feet to head.'],
        ['side support', 'open palm', 'outward', 'planted'],
        body('sideSupport'),
        'bearing-holds',
        '2x15s rest40 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'bearing.reverse-support',
      name: 'Reverse support',
      family: 'bearing-holds',
      purpose: 'Belly up on straight arms: shoulders behind, fingers toward the feet or away from them.',
      climbs: 'hand load',
    },
    {
      howTo: ['Sit with legs long, hands beside the hips.', 'Lift the hips to one line.'],
      cues: ['Chest wide', 'Hips high'],
      faults: [FORM.elbows, FORM.shoulders, FORM.breath],
      cautions: [...BEARS, caution('Short, and away from the end of the shoulder’s range.', 'hypermobility')],
    },
    SUPPORT,
    { ...HELD, sides: ['together', 'left-then-right', 'right-then-left'] },
    [
      level(
        ['bench', 'Hands on a bench', 'Legs long, heels on the floor.'],
        ['reverse support', 'open palm', 'backward', 'planted'],
        body('reversePlank', { handHeightM: 0.45, leanDeg: -15 }),
        'bearing-holds',
        '2x15s rest20',
        ['bench'],
      ),
      level(
        ['floor', 'On the floor', 'Heels to head in one line.'],
        ['reverse support', 'open palm', 'backward', 'planted'],
        body('reversePlank'),
        'bearing-holds',
        '2x15s rest30',
      ),
      level(
        ['shifted', 'Weight toward one hand', 'Three fifths on the working hand; both stay down.'],
        ['reverse support', 'open palm', 'backward', 'planted'],
        body('reversePlank', { leftShare: 0.6 }),
        'bearing-holds',
        '2x10s rest40 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'bearing.forward-lean',
      name: 'Plank with a forward lean',
      family: 'bearing-holds',
      purpose: 'Shoulders travel in front of the hands: load and wrist angle rise together.',
      climbs: 'wrist angle',
    },
    {
      howTo: ['Plank on straight arms.', 'Move the whole body forward from the toes.', 'Stay, then come back.'],
      cues: ['Round upper back', 'Pads grip'],
      faults: [FORM.knuckle, FORM.elbows, 'Hips sag'],
      cautions: [...BEARS, SORE, caution('Small leans only.', 'hypermobility')],
    },
    SUPPORT,
    HELD,
    [
      level(
        ['slight', 'Slight lean', 'A hand’s breadth in front.'],
        ['plank', 'open palm', 'forward', 'planted'],
        body('plank', { leanDeg: 8 }),
        'bearing-holds',
        '3x10s rest40',
      ),
      level(
        ['clear', 'Clear lean', 'A hand’s length in front.'],
        ['plank', 'open palm', 'forward', 'planted'],
        body('plank', { leanDeg: 16 }),
        'bearing-holds',
        '3x10s rest60',
      ),
      level(
        ['deep', 'Deep lean', 'Only for wrists with range to spare.'],
        ['plank', 'open palm', 'forward', 'planted'],
        body('plank', { leanDeg: 24 }),
        'bearing-holds',
        '3x10s rest60',
      ),
    ],
  ),
  movement(
    {
      id: 'bearing.pike-support',
      name: 'Pike support',
      family: 'bearing-holds',
      purpose: 'Hips high over the hands: the way from plank to upside down.',
      climbs: 'hand load',
    },
    {
      howTo: ['From a plank walk the feet in.', 'Push the floor away, ears between the arms.'],
      cues: ['Tall shoulders', 'Weight toward the pads'],
      faults: [FORM.shoulders, FORM.knuckle, FORM.breath],
      cautions: [...BEARS, caution('Head-down positions only as a doctor allows.', 'blood-pressure', 'pregnancy')],
    },
    SUPPORT,
    HELD,
    [
      level(
        ['long', 'Feet far', 'Hips half high.'],
        ['pike', 'open palm', 'forward', 'planted'],
        body('pike'),
        'bearing-holds',
        '2x20s rest30',
      ),
      level(
        ['short', 'Shoulders over the hands', 'Feet nearer.'],
        ['pike', 'open palm', 'forward', 'planted'],
        body('pike', { leanDeg: 0 }),
        'bearing-holds',
        '2x20s rest40',
      ),
      level(
        ['raised', 'Feet on a bench', 'Most of the body on the hands.'],
        ['pike', 'open palm', 'forward', 'planted'],
        body('pikeRaised', { leanDeg: 4 }),
        'bearing-holds',
        '2x15s rest60',
        ['bench'],
      ),
    ],
  ),
  movement(
    {
      id: 'bearing.one-hand-shift',
      name: 'Shift to one hand',
      family: 'bearing-holds',
      purpose: 'Brings the weight over one hand by degrees, and shows which side wavers.',
      climbs: 'hand load',
    },
    {
      howTo: [
        'All fours or plank, hands under the shoulders.',
        'Shift over one hand until the other is light.',
        'Stay, then change.',
      ],
      cues: ['Shoulders level', 'The light hand still touches'],
      faults: ['The trunk turns', FORM.elbows, FORM.shake],
      cautions: BEARS,
    },
    SUPPORT,
    { ...HELD, sides: ['left-then-right', 'right-then-left', 'left', 'right'] },
    [
      level(
        ['all-fours', 'All fours', 'Three quarters on one hand.'],
        ['all fours', 'open palm', 'forward', 'planted'],
        body('allFours', { leftShare: 0.75 }),
        'bearing-holds',
        '2x10s rest20 L,R',
      ),
      level(
        ['knees-back', 'Knees back', 'Three quarters on one hand.'],
        ['knees back', 'open palm', 'forward', 'planted'],
        body('kneesBack', { leftShare: 0.75 }),
        'bearing-holds',
        '2x10s rest30 L,R',
      ),
      level(
        ['plank', 'Plank', 'Three quarters on one hand.'],
        ['plank', 'open palm', 'forward', 'planted'],
        body('plank', { leftShare: 0.75 }),
        'bearing-holds',
        '2x10s rest40 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'bearing.handstand',
      name: 'Handstand, wall to free',
      family: 'bearing-holds',
      purpose: 'All of the body on two hands; the pads steer.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Hands set first, then the feet leave the floor.',
        'Push tall, ears between the arms.',
        'Steer with the pads: press when falling over, lighten when falling back.',
      ],
      cues: ['Tall', 'Pads steer'],
      faults: [FORM.shoulders, FORM.elbows, FORM.pads, FORM.breath],
      cautions: [
        ...BEARS,
        caution('Head-down positions only as a doctor allows.', 'blood-pressure', 'pregnancy'),
        SORE,
      ],
    },
    SUPPORT,
    { ...HELD, equipment: ['mat'] },
    [
      level(
        ['wall', 'Belly to the wall', 'Weight over the heels of the hands.'],
        ['wall handstand', 'open palm', 'forward', 'planted'],
        body('wallHandstand', { padPressure: 0.2 }),
        'bearing-holds',
        '3x15s rest60',
        ['wall'],
      ),
      level(
        ['wall-balance', 'Feet leave the wall', 'Toes float, pads catch.'],
        ['wall handstand', 'open palm', 'forward', 'planted'],
        body('wallHandstand', { padPressure: 0.28 }),
        'bearing-holds',
        '3x15s rest60',
        ['wall'],
      ),
      level(
        ['free', 'Free', 'With room around.'],
        ['handstand', 'open palm', 'forward', 'planted'],
        body('handstand', { padPressure: 0.35 }),
        'bearing-holds',
        '4x10s rest60',
      ),
    ],
  ),
];
