import { FORM } from '../form-checklist.js';
import type { Movement } from '../movement.js';
import { BUILD_UP, NO_END_RANGE, NO_LOADED_FLEXION, SKIN, SORE } from './planted-form.js';
import { body, caution, level, movement } from './writing.js';

const ON_MAT = {
  equipment: ['mat'] as const,
  sides: ['together'] as const,
  strokes: ['over', 'back'] as const,
  work: ['repetitions', 'time', 'breaths'] as const,
  timed: 'bout' as const,
};
const ONE_SIDE = { ...ON_MAT, sides: ['left-then-right', 'right-then-left', 'left', 'right'] as const };
const FLOOR = 'all fours' as const;
const EXTENDS = {
  trains: ['wrist flexors', 'finger flexors', 'shoulder girdle'],
  motions: ['wrist extension'],
  corners: ['open hand, wrist extended'],
} as const;

export const PLANTED_ROCKS_MORE: readonly Movement[] = [
  movement(
    {
      id: 'rock.outward-fore-aft',
      name: 'Palm rocks, fingers outward',
      family: 'planted-rocks',
      purpose: 'Turned-out hands take the load across the palm: the elbow crease faces forward.',
      climbs: 'hand load',
    },
    {
      howTo: ['All fours, fingers pointing out to the sides.', 'Rock the shoulders over the hands and back.'],
      cues: ['Whole palm down', 'Elbow creases forward'],
      faults: [FORM.knuckle, FORM.elbows, 'Weight on the little-finger edge only'],
      cautions: [SORE, SKIN, NO_END_RANGE],
    },
    EXTENDS,
    ON_MAT,
    [
      level(
        ['small', 'Hips back', 'A fifth of the body on both hands.'],
        [FLOOR, 'open palm', 'outward', 'planted'],
        body('hipsBack'),
        'planted-rocks',
        '1x10 tempo2-2',
      ),
      level(
        ['full', 'Shoulders over the hands', 'Full travel.'],
        [FLOOR, 'open palm', 'outward', 'planted'],
        body('allFours'),
        'planted-rocks',
        '1x10 tempo2-2',
      ),
      level(
        ['knees-back', 'Knees back', 'More weight on the hands.'],
        ['knees back', 'open palm', 'outward', 'planted'],
        body('kneesBack'),
        'planted-rocks',
        '1x10 tempo2-2',
      ),
    ],
  ),
  movement(
    {
      id: 'rock.inward-fore-aft',
      name: 'Palm rocks, fingers inward',
      family: 'planted-rocks',
      purpose: 'Fingertips toward each other: a facing that wide presses and low supports use.',
      climbs: 'hand load',
    },
    {
      howTo: ['All fours, fingertips facing each other.', 'Rock forward and back with soft elbows pointing out.'],
      cues: ['Palms flat', 'Shoulders away from the ears'],
      faults: [FORM.knuckle, FORM.shoulders, FORM.fingers],
      cautions: [SORE, SKIN, NO_END_RANGE],
    },
    EXTENDS,
    ON_MAT,
    [
      level(
        ['small', 'Hips back', 'A light share.'],
        [FLOOR, 'open palm', 'inward', 'planted'],
        body('hipsBack'),
        'planted-rocks',
        '1x10 tempo2-2',
      ),
      level(
        ['full', 'Shoulders over the hands', 'Full travel.'],
        [FLOOR, 'open palm', 'inward', 'planted'],
        body('allFours'),
        'planted-rocks',
        '1x10 tempo2-2',
      ),
    ],
  ),
  movement(
    {
      id: 'rock.backward-one',
      name: 'One hand backward, leaning away',
      family: 'planted-rocks',
      purpose: 'Brings the wrist past a right angle by the body moving, not by pulling: how far is a number.',
      climbs: 'wrist angle',
    },
    {
      howTo: [
        'Kneel, one hand planted with the fingers toward the knees.',
        'Let the hips sink back until the forearm leans away.',
        'Come back before it pulls at the wrist’s back.',
      ],
      cues: ['Heel of the hand heavy', 'Straight elbow'],
      faults: ['Heel of the hand peels off', FORM.breath],
      cautions: [BUILD_UP, SKIN, NO_END_RANGE],
    },
    EXTENDS,
    ONE_SIDE,
    [
      level(
        ['slight', 'Slight lean', 'About a right angle.'],
        ['kneeling', 'open palm', 'backward', 'planted'],
        body('hipsBack', { leanDeg: -6 }),
        'planted-rocks',
        '1x8 tempo2-3 L,R',
      ),
      level(
        ['half', 'Half way', 'Hips half way to the heels.'],
        ['kneeling', 'open palm', 'backward', 'planted'],
        body('hipsBack', { leanDeg: -13 }),
        'planted-rocks',
        '1x8 tempo2-3 L,R',
      ),
      level(
        ['deep', 'Deep', 'Hips close to the heels.'],
        ['kneeling', 'open palm', 'backward', 'planted'],
        body('hipsBack', { leanDeg: -20 }),
        'planted-rocks',
        '1x8 tempo2-3 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'rock.back-of-hand-circles',
      name: 'Back-of-hand circles',
      family: 'planted-rocks',
      purpose: 'Answers much extension with loaded flexion, lightly and in every direction.',
      climbs: 'hand load',
    },
    {
      howTo: ['Kneel with hips back, backs of the hands down, fingers inward.', 'Draw small circles with the weight.'],
      cues: ['Light first', 'Circles within the hands'],
      faults: ['Drops into the wrists', FORM.elbows],
      cautions: [NO_LOADED_FLEXION, SKIN],
    },
    {
      trains: ['wrist extensors', 'finger extensors'],
      motions: ['wrist flexion'],
      corners: ['open hand, wrist flexed'],
    },
    { ...ON_MAT, directions: ['clockwise', 'counter-clockwise'] },
    [
      level(
        ['light', 'Hips on the heels', 'Barely more than the arms.'],
        ['kneeling', 'back of hand', 'inward', 'planted'],
        body('hipsBack', { leanDeg: -28, hipAngleDeg: 72 }),
        'planted-rocks',
        '1x8 tempo2-2 <>',
      ),
      level(
        ['further', 'Hips half way', 'A fifth of the body on both.'],
        ['kneeling', 'back of hand', 'inward', 'planted'],
        body('hipsBack', { leanDeg: -22, hipAngleDeg: 78 }),
        'planted-rocks',
        '1x8 tempo2-2 <>',
      ),
    ],
  ),
  movement(
    {
      id: 'rock.forearm-turns',
      name: 'Forearm turns over planted hands',
      family: 'planted-rocks',
      purpose: 'The hands stay, the forearms turn over them: elbow creases forward, then toward each other.',
      climbs: 'hand load',
    },
    {
      howTo: [
        'All fours, palms flat.',
        'Turn the elbow creases forward without moving the palms.',
        'Turn them toward each other again.',
      ],
      cues: ['The palm is glued', 'The turn comes from below the elbow'],
      faults: [FORM.knuckle, 'Elbows bend', FORM.shoulders],
      cautions: [SORE, SKIN, caution('Without locking the elbows.', 'hypermobility')],
    },
    {
      trains: ['pronators', 'supinators', 'shoulder girdle'],
      motions: ['pronation', 'supination'],
      corners: ['open hand, wrist extended'],
    },
    { ...ON_MAT, sides: ['together', 'alternating'], strokes: ['forward', 'inward'] },
    [
      level(
        ['hips-back', 'Hips back', 'Light hands.'],
        [FLOOR, 'open palm', 'forward', 'planted'],
        body('hipsBack'),
        'planted-rocks',
        '1x10 tempo2-2',
      ),
      level(
        ['all-fours', 'Hips over knees', 'Shoulders over the hands.'],
        [FLOOR, 'open palm', 'forward', 'planted'],
        body('allFours'),
        'planted-rocks',
        '1x10 tempo2-2',
      ),
    ],
  ),
  movement(
    {
      id: 'rock.kneeling-walk',
      name: 'Kneeling walk around a planted hand',
      family: 'planted-rocks',
      purpose: 'One palm stays while the knees walk around it: every facing in one go.',
      climbs: 'hand load',
    },
    {
      howTo: [
        'Kneel with one palm planted in front.',
        'Walk the knees around it in small steps, as far as the palm stays flat.',
        'Walk back the same way.',
      ],
      cues: ['The palm is the hub', 'Stop where the heel would lift'],
      faults: ['Heel of the hand peels off', FORM.knuckle, 'Racing'],
      cautions: [BUILD_UP, SKIN, NO_END_RANGE],
    },
    {
      trains: ['wrist flexors', 'radial deviators', 'ulnar deviators'],
      motions: ['wrist extension', 'radial deviation', 'ulnar deviation', 'pronation', 'supination'],
      corners: ['open hand, wrist extended'],
    },
    { ...ONE_SIDE, directions: ['toward the thumb', 'toward the little finger'], strokes: ['around', 'back'] },
    [
      level(
        ['light', 'Hips back', 'A fifth on the hands.'],
        ['kneeling', 'open palm', 'forward', 'planted'],
        body('hipsBack'),
        'planted-rocks',
        '1x30s L,R <>',
      ),
      level(
        ['heavier', 'Shoulder closer', 'The working hand takes more than its half.'],
        ['kneeling', 'open palm', 'forward', 'planted'],
        body('allFours', { leftShare: 0.6 }),
        'planted-rocks',
        '1x30s L,R <>',
      ),
    ],
  ),
  movement(
    {
      id: 'rock.wall-palms',
      name: 'Palm rocks on a wall',
      family: 'planted-rocks',
      purpose: 'The first bearing of all: standing, with a few kilograms on each hand.',
      climbs: 'hand load',
    },
    {
      howTo: ['Stand facing a wall, palms flat at shoulder height.', 'Rock the body toward the wall and away.'],
      cues: ['Pads press', 'Body in one line'],
      faults: [FORM.knuckle, 'Hips bend', FORM.shoulders],
      cautions: [SORE, SKIN],
    },
    EXTENDS,
    { ...ON_MAT, equipment: ['wall'] },
    [
      level(
        ['near', 'Feet near', 'About a foot’s length and a half from the wall.'],
        ['standing', 'open palm', 'forward', 'planted'],
        body('wallLean', { distanceM: 0.68 }),
        'planted-rocks',
        '1x12 tempo2-2',
      ),
      level(
        ['arm', 'Feet an arm’s length away', 'A little more on the hands.'],
        ['standing', 'open palm', 'forward', 'planted'],
        body('wallLean', { distanceM: 0.82 }),
        'planted-rocks',
        '1x12 tempo2-2',
      ),
      level(
        ['far', 'Feet further', 'A good lean.'],
        ['standing', 'open palm', 'forward', 'planted'],
        body('wallLean', { distanceM: 0.98 }),
        'planted-rocks',
        '1x12 tempo2-2',
      ),
    ],
  ),
  movement(
    {
      id: 'rock.fist-side',
      name: 'Fist rocks, side to side',
      family: 'planted-rocks',
      purpose: 'Loads the wrist’s side motion with a straight wrist, for those whose palms are not ready.',
      climbs: 'hand load',
    },
    {
      howTo: ['All fours on fists, thumbs forward.', 'Shift the weight from one fist to the other.'],
      cues: ['Flat knuckles', 'Wrist straight as a post'],
      faults: ['The wrist folds', FORM.shoulders],
      cautions: [SKIN, caution('On a folded mat when knuckles are sore.', 'arthritis')],
    },
    {
      trains: ['radial deviators', 'ulnar deviators', 'finger flexors'],
      motions: ['radial deviation', 'ulnar deviation'],
      corners: ['fist, wrist extended'],
    },
    ON_MAT,
    [
      level(
        ['small', 'Small shift', 'Nearly even.'],
        [FLOOR, 'fist', 'forward', 'planted'],
        body('allFours', { leftShare: 0.55 }),
        'planted-rocks',
        '1x10 tempo2-2',
      ),
      level(
        ['large', 'Large shift', 'Two thirds on one fist.'],
        [FLOOR, 'fist', 'forward', 'planted'],
        body('allFours', { leftShare: 0.67 }),
        'planted-rocks',
        '1x10 tempo2-2',
      ),
    ],
  ),
  movement(
    {
      id: 'rock.fingertip-rocks',
      name: 'Fingertip rocks',
      family: 'planted-rocks',
      purpose: 'The tent of the hand learns to carry in every direction before it must hold still.',
      climbs: 'hand load',
    },
    {
      howTo: ['All fours, hands tented on the pads, thumbs too.', 'Rock fore and aft without the tent sinking.'],
      cues: ['All five pads', 'No joint bends backward'],
      faults: [FORM.shoulders, 'Tip joints collapse', 'The thumb does nothing'],
      cautions: [
        BUILD_UP,
        SKIN,
        caution('No maximal finger loading.', 'under-18'),
        caution('Leave out with sore finger joints.', 'arthritis', 'hypermobility'),
      ],
    },
    { trains: ['finger flexors', 'hand intrinsics', 'thumb muscles'], motions: ['finger flexion', 'thumb opposition'] },
    ON_MAT,
    [
      level(
        ['hips-back', 'Hips back', 'A fifth on both hands.'],
        [FLOOR, 'fingertips', 'forward', 'planted'],
        body('hipsBack', { hipAngleDeg: 102 }),
        'planted-rocks',
        '1x8 tempo2-2',
      ),
      level(
        ['all-fours', 'Hips over knees', 'All fours.'],
        [FLOOR, 'fingertips', 'forward', 'planted'],
        body('allFours', { hipAngleDeg: 125 }),
        'planted-rocks',
        '1x8 tempo2-2',
      ),
    ],
  ),
];
