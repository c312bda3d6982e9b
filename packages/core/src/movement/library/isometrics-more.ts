import type { Movement } from '../movement.js';
import { caution, level, movement, press } from './writing.js';

const LOW_FIRST = caution(
  'Low effort first: 20 to 40 %, and ask again the next morning.',
  'tendon-pain',
  'past-sprain',
  'arthritis',
  'fluoroquinolones',
);
const BREATHE = caution('No maximal effort; keep breathing.', 'blood-pressure', 'pregnancy');
const PREPARED = caution(
  'End-range effort only in a range that your own muscles reach.',
  'hypermobility',
  'past-sprain',
);
const ONE_EACH = {
  sides: ['left-then-right', 'right-then-left', 'left', 'right'] as const,
  strokes: ['build', 'let go'] as const,
  work: ['repetitions'] as const,
};
const SEATED = ['seated', 'none', 'free', 'resisted'] as const;
const FAULTS = ['Held breath', 'A jerk at the start', 'Shoulder joins in'];

export const ISOMETRICS_MORE: readonly Movement[] = [
  movement(
    {
      id: 'isometric.end-extension',
      name: 'End-range extension press',
      family: 'isometrics',
      purpose: 'The muscle pulls hard where it is shortest, so that the last degrees belong to it.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Bring the hand back as far as it goes by itself.',
        'The other hand stops it; pull further into the range.',
        'Let go over two seconds and test the range again.',
      ],
      cues: ['Into the range', 'Breathe through it'],
      faults: FAULTS,
      cautions: [LOW_FIRST, BREATHE, PREPARED],
    },
    {
      trains: ['wrist extensors', 'finger extensors'],
      motions: ['wrist extension'],
      corners: ['fist, wrist extended'],
    },
    ONE_EACH,
    [
      level(
        ['strong', 'Strong', 'Seven tenths of your most.'],
        SEATED,
        press('wrist extension'),
        'end-range-isometrics',
        '1x5 @70% 6s tempo1-2 L,R',
      ),
      level(
        ['near-most', 'Near your most', 'For prepared wrists.'],
        SEATED,
        press('wrist extension'),
        'end-range-isometrics',
        '1x5 @85% 6s tempo1-2 L,R',
      ),
      level(
        ['most', 'Your most', 'Not more than once or twice a week.'],
        SEATED,
        press('wrist extension'),
        'end-range-isometrics',
        '2x5 @95% 8s tempo1-2 rest90 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'isometric.end-flexion',
      name: 'End-range flexion press',
      family: 'isometrics',
      purpose: 'Flexors pull where they are shortest: the end that hooks and throws use.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Bend the hand down as far as it goes by itself, fist loose.',
        'The other hand stops it; pull further.',
        'Let go over two seconds.',
      ],
      cues: ['Into the range', 'Thumb relaxed'],
      faults: FAULTS,
      cautions: [LOW_FIRST, BREATHE, PREPARED],
    },
    { trains: ['wrist flexors'], motions: ['wrist flexion'], corners: ['fist, wrist flexed'] },
    ONE_EACH,
    [
      level(
        ['strong', 'Strong', 'Seven tenths of your most.'],
        SEATED,
        press('wrist flexion'),
        'end-range-isometrics',
        '1x5 @70% 6s tempo1-2 L,R',
      ),
      level(
        ['near-most', 'Near your most', 'For prepared wrists.'],
        SEATED,
        press('wrist flexion'),
        'end-range-isometrics',
        '1x5 @85% 6s tempo1-2 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'isometric.table-palm',
      name: 'Palm press on a table',
      family: 'isometrics',
      purpose: 'Flexors press a flat hand into a table that does not give: planted strength without the body’s weight.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Stand or sit at a table, palm flat, elbow straight.',
        'Press fingers and knuckles down as if to lift the heel.',
        'Even push, then let go.',
      ],
      cues: ['Pads and knuckles', 'Heel light'],
      faults: ['Leans with the body', ...FAULTS],
      cautions: [LOW_FIRST, BREATHE],
    },
    { trains: ['wrist flexors', 'finger flexors'], motions: ['wrist flexion'], corners: ['open hand, wrist extended'] },
    { ...ONE_EACH, equipment: ['table'] },
    [
      level(
        ['gentle', 'Gentle', 'A quarter of your most.'],
        SEATED,
        press('wrist flexion'),
        'sensitive-isometrics',
        '1x6 @25% 4s tempo1-1 L,R',
      ),
      level(
        ['medium', 'Medium', 'Half of your most.'],
        SEATED,
        press('wrist flexion'),
        'isometrics',
        '1x6 @50% 5s tempo1-1 L,R',
      ),
      level(
        ['strong', 'Strong', 'Three quarters.'],
        SEATED,
        press('wrist flexion'),
        'isometrics',
        '2x5 @75% 5s tempo1-1 rest60 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'isometric.finger-spread',
      name: 'Finger spread against the other hand',
      family: 'isometrics',
      purpose: 'Opening strength with nothing but the other hand: balance for all that closes.',
      climbs: 'effort',
    },
    {
      howTo: ['Bring the fingers together inside the ring of the other hand.', 'Spread against it without moving.'],
      cues: ['Thumb pushes too', 'Straight fingers'],
      faults: ['Fingers bend', ...FAULTS],
      cautions: [LOW_FIRST],
    },
    {
      trains: ['finger extensors', 'hand intrinsics', 'thumb muscles'],
      motions: ['finger spreading', 'finger extension'],
    },
    ONE_EACH,
    [
      level(
        ['gentle', 'Gentle', 'A third of your most.'],
        SEATED,
        press('hand opening'),
        'sensitive-isometrics',
        '1x6 @30% 4s tempo1-1 L,R',
      ),
      level(
        ['medium', 'Medium', 'Half of your most.'],
        SEATED,
        press('hand opening'),
        'isometrics',
        '1x6 @50% 5s tempo1-1 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'isometric.hook-pull',
      name: 'Hooked-finger pull',
      family: 'isometrics',
      purpose: 'Two hooked hands pull apart: finger flexors at an effort that both sides must match.',
      climbs: 'effort',
    },
    {
      howTo: ['Hook the fingers of both hands in front of the chest.', 'Pull apart without moving.'],
      cues: ['All four fingers pull', 'Shoulders low'],
      faults: ['The little fingers slip out', ...FAULTS],
      cautions: [LOW_FIRST, BREATHE, caution('No maximal finger loading.', 'under-18')],
    },
    { trains: ['finger flexors'], motions: ['finger flexion'] },
    { ...ONE_EACH, sides: ['together'] },
    [
      level(
        ['gentle', 'Gentle', 'A third of your most.'],
        ['standing', 'none', 'free', 'resisted'],
        press('grip'),
        'sensitive-isometrics',
        '1x6 @30% 4s tempo1-1',
      ),
      level(
        ['medium', 'Medium', 'Half of your most.'],
        ['standing', 'none', 'free', 'resisted'],
        press('grip'),
        'isometrics',
        '1x6 @50% 5s tempo1-1',
      ),
      level(
        ['strong', 'Strong', 'Three quarters.'],
        ['standing', 'none', 'free', 'resisted'],
        press('grip'),
        'isometrics',
        '2x5 @75% 5s tempo1-1 rest60',
      ),
    ],
  ),
  movement(
    {
      id: 'isometric.wall-fists',
      name: 'Fist press on a wall',
      family: 'isometrics',
      purpose: 'Straight wrists push a wall at a chosen effort: side strength for striking and for handles.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Stand an arm’s length from a wall, fists at shoulder height.',
        'Press the large knuckles as if to tip the wall up.',
      ],
      cues: ['Straight wrists', 'Breathe'],
      faults: ['The wrist folds', ...FAULTS],
      cautions: [LOW_FIRST, BREATHE],
    },
    { trains: ['radial deviators', 'wrist extensors'], motions: ['radial deviation'] },
    { ...ONE_EACH, sides: ['together', 'left-then-right', 'right-then-left'], equipment: ['wall'] },
    [
      level(
        ['gentle', 'Gentle', 'A third of your most.'],
        ['standing', 'none', 'free', 'resisted'],
        press('radial deviation'),
        'sensitive-isometrics',
        '1x6 @30% 4s tempo1-1',
      ),
      level(
        ['medium', 'Medium', 'Half of your most.'],
        ['standing', 'none', 'free', 'resisted'],
        press('radial deviation'),
        'isometrics',
        '1x6 @55% 5s tempo1-1',
      ),
    ],
  ),
];
