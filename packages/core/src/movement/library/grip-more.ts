import type { Movement } from '../movement.js';
import { avoid, bar, caution, level, lift, movement, pinch, press, resist } from './writing.js';

const BREATHE = caution('No maximal squeeze; keep breathing.', 'blood-pressure', 'pregnancy');
const GROWING = caution('No maximal finger loading.', 'under-18');
const EASE = caution(
  'Light and warm; stop before the thumb’s base aches.',
  'arthritis',
  'tendon-pain',
  'fluoroquinolones',
);
const USUAL = [BREATHE, GROWING, EASE, caution('Split skin stays off handles.', 'skin-splits')];
const ONE_EACH = {
  sides: ['left-then-right', 'right-then-left', 'left', 'right'] as const,
  strokes: ['close', 'open'] as const,
};
const BOTH = {
  sides: ['together', 'left-then-right', 'right-then-left'] as const,
  work: ['time'] as const,
  strokes: ['up', 'down'] as const,
};
const HELD = ['standing', 'handle', 'free', 'resisted'] as const;

export const GRIP_MORE: readonly Movement[] = [
  movement(
    {
      id: 'grip.gripper-close',
      name: 'Spring gripper closes',
      family: 'grip',
      purpose: 'Crushing strength against a spring whose force is known.',
      climbs: 'effort',
    },
    {
      howTo: ['Set the gripper deep in the palm.', 'Close it, hold a moment, open slowly.'],
      cues: ['All four fingers', 'Open as slowly'],
      faults: ['The wrist bends', 'Little finger slips off'],
      cautions: USUAL,
    },
    {
      trains: ['finger flexors', 'thumb muscles'],
      motions: ['finger flexion'],
      digits: ['index', 'middle', 'ring', 'little'],
    },
    { ...ONE_EACH, work: ['repetitions'], equipment: ['hand gripper'] },
    [
      level(
        ['light', 'Light spring', 'About ten kilograms.'],
        HELD,
        resist('grip', 100),
        'grip-holds',
        '2x10 tempo1-2 rest30 L,R',
      ),
      level(
        ['medium', 'Medium spring', 'About eighteen kilograms.'],
        HELD,
        resist('grip', 180),
        'grip-holds',
        '2x8 2s tempo1-2 rest45 L,R',
      ),
      level(
        ['strong', 'Strong spring', 'About twenty-six kilograms; 48 hours before the next time.'],
        HELD,
        resist('grip', 260),
        'grip-holds',
        '3x5 2s tempo1-2 rest60 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'grip.bar-carry',
      name: 'Carry by handles',
      family: 'grip',
      purpose: 'Support grip that walks: load, distance and time are numbers.',
      climbs: 'effort',
    },
    {
      howTo: ['Lift with straight wrists and a long back.', 'Walk at an easy pace, set down before the grip goes.'],
      cues: ['Tall', 'Quiet shoulders'],
      faults: ['Leaning', 'Fingers open at the end'],
      cautions: USUAL,
    },
    { trains: ['finger flexors', 'thumb muscles', 'shoulder girdle'], motions: ['finger flexion'] },
    { ...BOTH, timed: 'bout', equipment: ['weight'] },
    [
      level(['light', 'Light', 'Twenty metres.'], HELD, lift(8, bar(30), 20), 'carries', '2x20s rest60'),
      level(['medium', 'Medium', 'Thirty metres.'], HELD, lift(14, bar(30), 30), 'carries', '2x25s rest60'),
      level(
        ['heavy', 'Heavy', 'Forty metres; the last one to form failure.'],
        HELD,
        lift(20, bar(30), 40),
        'carries',
        '3x35s rest90',
      ),
    ],
  ),
  movement(
    {
      id: 'grip.pinch-carry',
      name: 'Carry by a pinch',
      family: 'grip',
      purpose: 'Thumb against four fingers over a distance: the thumb cannot hide.',
      climbs: 'effort',
    },
    {
      howTo: ['Pinch a smooth block or plate beside the leg.', 'Walk, and set it down before it slips.'],
      cues: ['Flat pads', 'Thumb across from the middle finger'],
      faults: ['The tip joint collapses', 'The plate rests on the leg'],
      cautions: USUAL,
    },
    {
      trains: ['thumb muscles', 'finger flexors'],
      motions: ['thumb opposition', 'finger flexion'],
      digits: ['thumb', 'index', 'middle', 'ring'],
    },
    {
      ...ONE_EACH,
      sides: ['together', 'left-then-right', 'right-then-left'],
      strokes: ['up', 'down'],
      work: ['time'],
      timed: 'bout',
      equipment: ['plate'],
    },
    [
      level(['light', 'Light block', 'Twenty metres.'], HELD, lift(3, pinch(50), 20), 'carries', '2x18s rest45'),
      level(['medium', 'Medium block', 'Twenty-five metres.'], HELD, lift(5, pinch(50), 25), 'carries', '2x21s rest60'),
      level(
        ['wide', 'Wide block', 'The same weight, twice as wide.'],
        HELD,
        lift(5, pinch(95), 25),
        'carries',
        '2x21s rest60',
      ),
    ],
  ),
  movement(
    {
      id: 'grip.thick-hold',
      name: 'Thick-bar hold',
      family: 'grip',
      purpose: 'A thick handle asks more of thumb and fingers for the same weight.',
      climbs: 'effort',
    },
    {
      howTo: ['Hold the thick handle beside the leg.', 'Stand tall until the fingers begin to open.'],
      cues: ['Thumb wrapped', 'Straight wrist'],
      faults: ['The wrist bends back', 'Held breath'],
      cautions: USUAL,
    },
    { trains: ['finger flexors', 'thumb muscles'], motions: ['finger flexion'] },
    { ...BOTH, equipment: ['thick bar', 'weight'] },
    [
      level(['light', 'Light', 'Five centimetres thick.'], HELD, lift(8, bar(50)), 'grip-holds', '2x15s rest45'),
      level(['medium', 'Heavier', 'Five centimetres thick.'], HELD, lift(12, bar(50)), 'grip-holds', '2x15s rest60'),
      level(['thicker', 'Thicker', 'Seven centimetres thick.'], HELD, lift(12, bar(70)), 'grip-holds', '2x15s rest60'),
    ],
  ),
  movement(
    {
      id: 'grip.hook-hold',
      name: 'Hook hold',
      family: 'grip',
      purpose: 'Holds by the bent fingers, thumb free: the grip of bags, straps and edges.',
      climbs: 'effort',
    },
    {
      howTo: ['Hook a thin handle with the fingers, thumb beside it.', 'Stand tall and hold.'],
      cues: ['Little finger too', 'Thumb rests'],
      faults: ['Slides to the fingertips', 'Shoulder hikes'],
      cautions: USUAL,
    },
    { trains: ['finger flexors'], motions: ['finger flexion'], digits: ['index', 'middle', 'ring', 'little'] },
    { ...BOTH, equipment: ['weight'] },
    [
      level(['light', 'Light', 'A bag’s weight.'], HELD, lift(6, bar(22)), 'grip-holds', '2x20s rest30'),
      level(['medium', 'Medium', 'Twice that.'], HELD, lift(12, bar(22)), 'grip-holds', '2x20s rest45'),
      level(['heavy', 'Heavy', 'Three times that.'], HELD, lift(18, bar(22)), 'grip-holds', '3x20s rest60'),
    ],
  ),
  movement(
    {
      id: 'grip.paper-gather',
      name: 'Paper gathering',
      family: 'grip',
      purpose: 'Crumples a sheet into the palm with one hand: endurance of every finger for the price of a newspaper.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Lay a sheet on the table, palm on its middle.',
        'Gather it into a ball with the fingers alone.',
        'Smooth it out and begin again.',
      ],
      cues: ['Heel of the hand stays', 'All fingers draw'],
      faults: ['The arm pulls', 'The thumb does nothing'],
      cautions: [EASE],
    },
    { trains: ['finger flexors', 'hand intrinsics', 'thumb muscles'], motions: ['finger flexion', 'thumb opposition'] },
    {
      ...ONE_EACH,
      strokes: ['gather', 'smooth'],
      work: ['time', 'repetitions'],
      timed: 'bout',
      equipment: ['paper', 'table'],
    },
    [
      level(
        ['half', 'Half sheet', 'Half a minute a hand.'],
        ['seated', 'open palm', 'forward', 'resisted'],
        press('grip'),
        'grip-holds',
        '1x30s @30% L,R',
      ),
      level(
        ['full', 'Full sheet', 'Tighter at the end.'],
        ['seated', 'open palm', 'forward', 'resisted'],
        press('grip'),
        'grip-holds',
        '2x30s @45% rest20 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'grip.single-finger-opening',
      name: 'Single finger opening, band',
      family: 'grip',
      purpose: 'A band around one finger and the thumb: each extensor by itself.',
      climbs: 'effort',
    },
    {
      howTo: ['Band around the thumb and one finger.', 'Open, wait, close slowly; then the next finger.'],
      cues: ['Straight at the tip', 'Little finger gets its share'],
      faults: ['Wrist tips', 'Snaps back'],
      cautions: [EASE],
    },
    {
      trains: ['finger extensors', 'thumb muscles', 'hand intrinsics'],
      motions: ['finger extension', 'thumb extension', 'finger spreading'],
    },
    { ...ONE_EACH, strokes: ['open', 'close'], work: ['repetitions'], equipment: ['finger band'] },
    [
      level(
        ['light', 'Light band', 'Ten for each finger.'],
        ['seated', 'none', 'free', 'resisted'],
        resist('hand opening', 4),
        'finger-isolation',
        '1x10 tempo1-2 L,R',
      ),
      level(
        ['firm', 'Firm band', 'Ten for each finger.'],
        ['seated', 'none', 'free', 'resisted'],
        resist('hand opening', 7),
        'finger-isolation',
        '1x10 1s tempo1-2 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'grip.putty-pinch',
      name: 'Putty pinch',
      family: 'grip',
      purpose: 'Thumb sinks into putty against each finger: pinching without a hard end.',
      climbs: 'effort',
    },
    {
      howTo: ['Roll putty into a thick rope.', 'Pinch along it, thumb against one finger, then the next.'],
      cues: ['Round tip joints', 'Thumb and finger meet pad to pad'],
      faults: ['Tip joints collapse', 'The wrist bends'],
      cautions: [EASE, avoid('Leave firm putty out.', 'hypermobility')],
    },
    {
      trains: ['thumb muscles', 'finger flexors', 'hand intrinsics'],
      motions: ['thumb opposition', 'finger flexion'],
      digits: ['thumb', 'index'],
    },
    {
      ...ONE_EACH,
      shapes: ['pinch', 'pinch'],
      strokes: ['pinch', 'open'],
      work: ['repetitions'],
      equipment: ['putty'],
    },
    [
      level(
        ['soft', 'Soft putty', 'Gives easily.'],
        ['seated', 'none', 'free', 'resisted'],
        resist('grip', 20),
        'finger-isolation',
        '1x12 tempo1-1 L,R',
      ),
      level(
        ['firm', 'Firm putty', 'Gives slowly.'],
        ['seated', 'none', 'free', 'resisted'],
        resist('grip', 45),
        'finger-isolation',
        '1x12 tempo2-1 L,R',
      ),
    ],
  ),
];
