import type { Movement } from '../movement.js';
import { BEND, caution, FINGERS, level, move, movement, SIDE, TURN, WRIST } from './writing.js';

const EASY = caution(
  'Stay in the range that the hand reaches by itself and without catching.',
  'arthritis',
  'past-sprain',
);
const BOTH = ['together', 'left-then-right', 'right-then-left', 'left', 'right'] as const;
const SEATED = ['seated', 'none', 'free', 'unloaded'] as const;
const STANDING = ['standing', 'none', 'free', 'unloaded'] as const;

export const FREE_MOTION_MORE: readonly Movement[] = [
  movement(
    {
      id: 'free.spread-close',
      name: 'Finger spread and close',
      family: 'free-motion',
      purpose:
        'Small muscles between the bones of the hand spread and close the fingers: the ground of a wide hand on the floor.',
      climbs: 'effort',
    },
    {
      howTo: ['Straight fingers together.', 'Spread them as wide as they go, thumb too.', 'Close without bending.'],
      cues: ['Thumb goes as far as the little finger', 'Straight fingers'],
      faults: ['Fingers bend to get wider', 'The thumb stays'],
      cautions: [EASY],
    },
    {
      trains: ['hand intrinsics', 'finger extensors', 'thumb muscles'],
      motions: ['finger spreading', 'thumb extension'],
    },
    {
      sides: BOTH,
      shapes: ['together', 'spread'],
      strokes: ['spread', 'close'],
      work: ['repetitions', 'time'],
      timed: 'bout',
    },
    [
      level(
        ['on-table', 'Hands on a table', 'The table carries them.'],
        SEATED,
        move(['hand opening'], 70),
        'finger-isolation',
        '1x10 tempo2-2',
        ['table', 'chair'],
      ),
      level(
        ['free', 'Hands free', 'To the widest.'],
        STANDING,
        move(['hand opening'], 95),
        'finger-isolation',
        '1x12 tempo2-2',
      ),
      level(
        ['arms-forward', 'Arms forward, quick', 'As quick as full width allows.'],
        STANDING,
        move(['hand opening', 'shoulder lift'], 95, { perMinute: 60 }),
        'finger-isolation',
        '1x30s',
      ),
    ],
  ),
  movement(
    {
      id: 'free.finger-waves',
      name: 'Finger waves',
      family: 'free-motion',
      purpose: 'Fingers follow one another like a row of keys: control of each one by itself.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Hand open.',
        'Fold the fingers in one after the other, beginning with the little finger.',
        'Open in the same order.',
      ],
      cues: ['One after the other', 'Even gaps'],
      faults: ['Ring and middle finger stick together', 'The wrist rocks'],
      cautions: [EASY],
    },
    {
      trains: ['finger flexors', 'finger extensors', 'hand intrinsics'],
      motions: ['finger flexion', 'finger extension'],
    },
    {
      sides: BOTH,
      directions: ['little to index', 'index to little'],
      shapes: ['open', 'fist'],
      strokes: ['fold', 'open'],
      work: ['repetitions', 'time'],
      timed: 'bout',
    },
    [
      level(['slow', 'Slow', 'Four seconds a wave.'], SEATED, move(FINGERS, 70), 'finger-isolation', '1x8 tempo2-2 <>'),
      level(
        ['flowing', 'Flowing', 'Two seconds a wave.'],
        SEATED,
        move(FINGERS, 80),
        'finger-isolation',
        '1x12 tempo1-1 <>',
      ),
      level(
        ['arms-forward', 'Flowing, arms forward', 'With the arms held out.'],
        STANDING,
        move([...FINGERS, 'shoulder lift'], 85),
        'finger-isolation',
        '1x12 tempo1-1 <>',
      ),
    ],
  ),
  movement(
    {
      id: 'free.thumb-circles',
      name: 'Thumb circles',
      family: 'free-motion',
      purpose: 'Takes the thumb’s saddle joint through its whole circle.',
      climbs: 'effort',
    },
    {
      howTo: ['Fingers long and still.', 'Draw the largest circle with the thumb’s tip.'],
      cues: ['From the base, not the tip', 'Same size both ways'],
      faults: ['Only the tip joint moves', 'The wrist helps'],
      cautions: [caution('Small and warm when the base of the thumb is sore.', 'arthritis')],
    },
    { trains: ['thumb muscles'], motions: ['thumb opposition', 'thumb extension'], digits: ['thumb'] },
    {
      sides: BOTH,
      directions: ['toward the palm', 'away from the palm'],
      shapes: ['together', 'spread'],
      strokes: ['half', 'round'],
      work: ['repetitions'],
      timed: 'bout',
    },
    [
      level(['small', 'Small', 'Half of the range.'], SEATED, move(FINGERS, 50), 'slow-circles', '1x6 tempo2-2 <>'),
      level(['full', 'Full', 'All of the range.'], SEATED, move(FINGERS, 90), 'slow-circles', '1x6 tempo2-2 <>'),
    ],
  ),
  movement(
    {
      id: 'free.diagonal-sweeps',
      name: 'Diagonal sweeps',
      family: 'free-motion',
      purpose:
        'From back-and-thumb-side to front-and-little-side: the path of throwing a small stone, which spares the inner row of wrist bones.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Forearm level, thumb up.',
        'Draw the hand back toward the thumb side.',
        'Sweep forward and down toward the little finger.',
      ],
      cues: ['One straight diagonal', 'Slow at both ends'],
      faults: ['The forearm turns', 'A curve instead of a line'],
      cautions: [EASY],
    },
    {
      trains: ['wrist flexors', 'wrist extensors', 'radial deviators', 'ulnar deviators'],
      motions: ['wrist extension', 'radial deviation', 'wrist flexion', 'ulnar deviation'],
    },
    { sides: BOTH, strokes: ['draw back', 'sweep'], work: ['repetitions'], timed: 'bout' },
    [
      level(
        ['supported', 'Forearm on a table', 'Hand over the edge.'],
        SEATED,
        move(WRIST, 60),
        'slow-circles',
        '1x10 tempo2-2',
        ['table'],
      ),
      level(['free', 'Arm free', 'Elbow at the ribs.'], STANDING, move(WRIST, 80), 'slow-circles', '1x10 tempo2-2'),
      level(
        ['ball', 'Holding a ball', 'A soft ball adds weight at the far end.'],
        ['standing', 'ball', 'free', 'unloaded'],
        move(WRIST, 90, { heldKg: 0.15 }),
        'slow-circles',
        '1x10 tempo2-2',
        ['soft ball'],
      ),
    ],
  ),
  movement(
    {
      id: 'free.shakes-forward',
      name: 'Loose shakes, two planes',
      family: 'free-motion',
      purpose: 'Fluid and warmth into the hands before anything is asked of them.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Let the hands hang.',
        'Shake them bending and straightening.',
        'Then turning, as if flicking water off.',
      ],
      cues: ['Loose, not hard', 'Both planes'],
      faults: ['Snapping at the end', 'Tense shoulders'],
      cautions: [caution('Small and soft.', 'past-sprain', 'arthritis', 'hypermobility')],
    },
    {
      trains: ['wrist flexors', 'wrist extensors'],
      motions: ['wrist flexion', 'wrist extension', 'pronation', 'supination'],
    },
    { sides: ['together'], strokes: ['out', 'back'], work: ['time'], timed: 'bout' },
    [
      level(
        ['easy', 'Easy', 'About two a second, small.'],
        STANDING,
        move([...BEND, ...TURN], 20, { perMinute: 110 }),
        'fast-free-motion',
        '1x30s',
      ),
      level(
        ['brisk', 'Brisk', 'Faster and a little larger.'],
        STANDING,
        move([...BEND, ...TURN], 30, { perMinute: 150 }),
        'fast-free-motion',
        '1x30s',
      ),
    ],
  ),
  movement(
    {
      id: 'free.ball-in-palm',
      name: 'Ball rolls in the palm',
      family: 'free-motion',
      purpose: 'Fingers and thumb pass a ball around the palm: every finger works lightly and in turn.',
      climbs: 'effort',
    },
    {
      howTo: ['Hold a ball in the open hand.', 'Roll it in a circle by the fingers alone.'],
      cues: ['The ball never leaves the hand', 'The thumb finishes each round'],
      faults: ['The forearm tips the ball', 'The little finger is left out'],
      cautions: [EASY],
    },
    { trains: ['finger flexors', 'hand intrinsics', 'thumb muscles'], motions: ['finger flexion', 'thumb opposition'] },
    {
      equipment: [],
      directions: ['toward the thumb', 'toward the little finger'],
      shapes: ['around a ball', 'dome'],
      strokes: ['half', 'round'],
      work: ['repetitions', 'time'],
      timed: 'bout',
    },
    [
      level(
        ['soft', 'Soft ball', 'It gives and stays.'],
        ['standing', 'ball', 'free', 'unloaded'],
        move(FINGERS, 60, { perMinute: 20, heldKg: 0.06 }),
        'slow-circles',
        '1x20s L,R <>',
        ['soft ball'],
      ),
      level(
        ['firm', 'Firm ball', 'Heavier, and it wants to get away.'],
        ['standing', 'ball', 'free', 'unloaded'],
        move(FINGERS, 75, { perMinute: 30, heldKg: 0.2 }),
        'slow-circles',
        '1x20s L,R <>',
        ['firm ball'],
      ),
    ],
  ),
  movement(
    {
      id: 'free.finger-lifts-air',
      name: 'Single finger lifts in the air',
      family: 'free-motion',
      purpose: 'Extensors lift one finger at a time from a soft fist.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Make a soft fist, wrist level.',
        'Straighten one finger, then fold it in.',
        'Index to little finger is four repetitions.',
      ],
      cues: ['The others stay folded', 'Straight to the tip'],
      faults: ['Two fingers come along', 'The wrist bends'],
      cautions: [EASY],
    },
    { trains: ['finger extensors', 'finger flexors'], motions: ['finger extension', 'finger flexion'] },
    {
      sides: BOTH,
      directions: ['index to little', 'little to index'],
      shapes: ['fist', 'relaxed'],
      strokes: ['straighten', 'fold'],
      work: ['repetitions'],
      timed: 'bout',
    },
    [
      level(
        ['supported', 'Other hand holds the fist', 'Neighbours are kept down.'],
        SEATED,
        move(FINGERS, 60),
        'finger-isolation',
        '1x8 tempo1-1 L,R <>',
      ),
      level(
        ['free', 'Hand free', 'Neighbours stay by themselves.'],
        SEATED,
        move(FINGERS, 85),
        'finger-isolation',
        '1x8 tempo1-1 L,R <>',
      ),
    ],
  ),
  movement(
    {
      id: 'free.turned-side-sweeps',
      name: 'Side sweeps, palm down and up',
      family: 'free-motion',
      purpose: 'Side motion in both turns of the forearm: its range differs with the turn, and sport asks for both.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Elbows at the ribs, palms down.',
        'Sweep thumb side, little-finger side.',
        'Then the same with palms up.',
      ],
      cues: ['Only the wrist', 'Compare both turns'],
      faults: ['Elbows leave the ribs', 'The wrist bends too'],
      cautions: [EASY],
    },
    {
      trains: ['radial deviators', 'ulnar deviators', 'supinators', 'pronators'],
      motions: ['radial deviation', 'ulnar deviation', 'supination', 'pronation'],
    },
    {
      sides: BOTH,
      directions: ['palm down', 'palm up'],
      strokes: ['thumb side', 'little side'],
      work: ['repetitions'],
      timed: 'bout',
    },
    [
      level(
        ['elbows-in', 'Elbows at the ribs', 'Easy size.'],
        STANDING,
        move(SIDE, 65),
        'slow-circles',
        '1x8 tempo2-2 <>',
      ),
      level(
        ['arms-forward', 'Arms forward', 'Full size with straight elbows.'],
        STANDING,
        move([...SIDE, 'shoulder lift'], 90),
        'slow-circles',
        '1x8 tempo2-2 <>',
      ),
    ],
  ),
];
