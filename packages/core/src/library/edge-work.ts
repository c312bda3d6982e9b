import type { Movement } from '../model/movement.js';
import { HOLD_SKIN, HOLD_TENDON } from './shared-cautions.js';
import { ALL_FINGERS, avoid, caution, edge, hang, level, lift, movement, practised, specialist } from './writing.js';

const FAULTS = ['Fingers open before the end', 'Slack shoulders', 'Held breath'];
const GROWING = caution('No maximal finger loading and no full crimp; have a doctor check finger-joint pain.', 'under-18');
const SORE = avoid('Not with sore finger joints.', 'arthritis');
const EDGE = [GROWING, HOLD_TENDON, SORE, HOLD_SKIN];
const FINGERS = { trains: ['finger flexors'], motions: ['finger flexion'] } as const;
const LIFTED = {
  sides: ['left-then-right', 'right-then-left', 'left', 'right'] as const,
  strokes: ['lift', 'lower'] as const,
  work: ['time', 'repetitions'] as const,
  equipment: ['edge', 'weight'] as const,
};
const ON_EDGE = ['standing', 'edge', 'free', 'resisted'] as const;
const SHOULDER = caution('Keep the shoulders engaged; no slack hanging.', 'hypermobility');
const HUNG = { sides: ['together'] as const, strokes: ['on', 'off'] as const, work: ['time'] as const };
const HANGING = ['hang', 'edge', 'free', 'resisted'] as const;

/** The family of hanging and lifting on edges, in teaching order. */
export const EDGE_WORK: readonly Movement[] = [
  movement({
    id: 'edge.lift-open',
    name: 'Edge lift, open hand',
    family: 'edge-work',
    purpose: 'Lifts a known weight by the fingertips: edge strength without hanging.',
    climbs: 'effort',
    howTo: [
      'Stand over a portable edge tied to a weight.',
      'With an open hand and straight arm, lift by standing up.',
      'Hold, then lower.',
    ],
    cues: ['Load slowly', 'Straight wrist'],
    faults: ['Jerking off the floor', ...FAULTS],
    cautions: EDGE,
    ...FINGERS,
    ...LIFTED,
    ladder: [
      level(
        ['deep', 'Deep edge, light', 'The edge is one finger bone deep.'],
        ON_EDGE,
        lift(8, edge(30)),
        'edge-holds',
        '3x10s rest60 L,R',
      ),
      level(['medium', 'Deep edge, heavier', 'For trained fingers.'], ON_EDGE, lift(14, edge(30)), 'edge-holds', '3x10s rest60 L,R'),
      level(
        ['smaller', 'Smaller edge', 'The same weight on two thirds of the edge.'],
        ON_EDGE,
        lift(14, edge(20)),
        'edge-holds',
        '3x10s rest90 L,R',
      ),
    ],
  }),
  movement({
    id: 'edge.lift-half-crimp',
    name: 'Edge lift, half crimp',
    family: 'edge-work',
    purpose: 'The same with the middle joints at a right angle: trains the grip of small holds.',
    climbs: 'effort',
    howTo: ['Middle joints at a right angle, thumb beside.', 'Lift by standing up; nothing in the hand moves.'],
    cues: ['Keep the right angle', 'Load slowly'],
    faults: ['Closing into a full crimp', ...FAULTS],
    cautions: EDGE,
    ...FINGERS,
    ...LIFTED,
    ladder: [
      level(['deep', 'Deep edge', 'Light, to learn the shape.'], ON_EDGE, lift(8, edge(25, 'half crimp')), 'edge-holds', '3x8s rest60 L,R'),
      level(['medium', 'Deep edge, heavier', 'Nothing moves.'], ON_EDGE, lift(15, edge(25, 'half crimp')), 'edge-holds', '3x8s rest90 L,R'),
    ],
  }),
  movement({
    id: 'edge.feet-assisted',
    name: 'Edge hold, feet on the floor',
    family: 'edge-work',
    purpose: 'The feet decide how much the fingers carry, from a quarter of body weight up.',
    climbs: 'effort',
    howTo: [
      'Both hands on an edge above you, feet on floor or chair.',
      'Bend the knees until the fingers carry the share you want.',
      'Hold, then stand up.',
    ],
    cues: ['Shoulders engaged', 'Take the feet off slowly'],
    faults: FAULTS,
    cautions: [...EDGE, SHOULDER],
    ...FINGERS,
    ...HUNG,
    equipment: ['edge'],
    ladder: [
      level(
        ['most-on-feet', 'Feet carry seven tenths', 'A third on the hands.'],
        HANGING,
        hang(edge(30), 70),
        'edge-holds',
        '3x10s rest60',
      ),
      level(['half', 'Feet carry half', 'Half on the hands.'], HANGING, hang(edge(30), 50), 'edge-holds', '3x10s rest90'),
      level(['little', 'Feet carry a third', 'For trained fingers.'], HANGING, hang(edge(30), 33), 'edge-holds', '3x10s rest90'),
    ],
  }),
  movement({
    id: 'edge.hang',
    name: 'Edge hang',
    family: 'edge-work',
    purpose: 'The whole body on an edge: a test and a stimulus, not a warm-up.',
    climbs: 'effort',
    howTo: ['Set the fingers, engage the shoulders, lift the feet slowly.', 'Stop two seconds before you must.'],
    cues: ['Two seconds in reserve', 'Shoulders engaged'],
    faults: FAULTS,
    cautions: [...EDGE, SHOULDER, caution('Not for beginners in finger training.', 'past-sprain')],
    ...FINGERS,
    ...HUNG,
    equipment: ['edge'],
    ladder: [
      level(['toes', 'Toes on the floor', 'Nearly half stays on the toes.'], HANGING, hang(edge(40), 45), 'edge-holds', '3x8s rest90'),
      practised(level(['deep', 'Deep edge', 'Forty millimetres.'], HANGING, hang(edge(40), 0), 'edge-holds', '3x8s rest120')),
      specialist(level(['medium', 'Medium edge', 'Twenty-five millimetres.'], HANGING, hang(edge(25), 0), 'edge-holds', '3x8s rest120')),
      specialist(
        level(
          ['small', 'Small edge', 'Eighteen millimetres; 48 hours before the next time.'],
          HANGING,
          hang(edge(18), 0),
          'edge-holds',
          '3x7s rest120',
        ),
      ),
    ],
  }),
  movement({
    id: 'edge.finger-curls',
    name: 'Finger curls on an edge',
    family: 'edge-work',
    purpose: 'Fingers open and close around an edge under a light weight: movement where climbing only holds.',
    climbs: 'effort',
    howTo: ['Lift a light weight on a deep edge.', 'Let the fingers open to the pads, then curl them in.'],
    cues: ['Open slowly', 'Even fingers'],
    faults: ['The wrist bends', ...FAULTS],
    cautions: EDGE,
    ...FINGERS,
    ...LIFTED,
    work: ['repetitions', 'time'],
    strokes: ['curl', 'open'],
    hand: { setting: 'curling on an edge' },
    timed: 'bout',
    ladder: [
      level(['light', 'Light', 'To learn the path.'], ON_EDGE, lift(4, edge(35)), 'finger-isolation', '2x8 tempo2-3 rest45 L,R'),
      level(['medium', 'Medium', 'Still smooth.'], ON_EDGE, lift(7, edge(35)), 'finger-isolation', '2x8 tempo2-3 rest60 L,R'),
    ],
  }),
  movement({
    id: 'edge.fast-pulls',
    name: 'Quick edge pulls',
    family: 'edge-work',
    purpose: 'Short pulls on a fixed edge train the fingers to catch.',
    climbs: 'effort',
    howTo: ['Stand under a fixed edge, feet on the floor.', 'Pull down for a second, let go, wait.'],
    cues: ['Quick on, clean off', 'Never maximal'],
    faults: ['Jerks', ...FAULTS],
    cautions: EDGE,
    ...FINGERS,
    ...HUNG,
    work: ['repetitions'],
    equipment: ['edge'],
    ladder: [
      level(
        ['light', 'A quarter of the body', 'The feet carry the rest.'],
        HANGING,
        hang(edge(30), 75),
        'edge-holds',
        '2x6 3s tempo0.5-0.5 rest60',
      ),
      level(
        ['medium', 'Two fifths of the body', 'The feet carry the rest.'],
        HANGING,
        hang(edge(30), 60),
        'edge-holds',
        '2x6 3s tempo0.5-0.5 rest90',
      ),
    ],
  }),
  movement({
    id: 'edge.finger-lifts',
    calls: ALL_FINGERS,
    name: 'Finger lifts on an edge',
    family: 'edge-work',
    purpose: 'Each finger in turn lifts off the edge while the others hold: control before strength.',
    climbs: 'effort',
    howTo: [
      'Take a light pull on a deep edge, wrist straight.',
      'Lift one finger off, set it back, then the next.',
      'Index to little finger counts as one repetition.',
    ],
    cues: ['Light pull', 'The others stay still', 'Ring and little finger too'],
    faults: ['The hand shifts to the strong fingers', ...FAULTS],
    cautions: EDGE,
    trains: ['finger flexors', 'finger extensors', 'hand intrinsics'],
    motions: ['finger flexion', 'finger extension'],
    ...LIFTED,
    work: ['repetitions', 'time'],
    timed: 'bout',
    strokes: ['lift', 'set'],
    ladder: [
      level(['light', 'Light', 'A few kilograms on the edge.'], ON_EDGE, lift(3, edge(30)), 'finger-isolation', '1x6 tempo2-2 rest30 L,R'),
      level(['medium', 'Medium', 'A shallower edge.'], ON_EDGE, lift(5, edge(22)), 'finger-isolation', '2x6 tempo2-2 rest45 L,R'),
    ],
  }),
];
