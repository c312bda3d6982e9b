import type { Movement } from '../movement.js';
import { avoid, bar, caution, edge, hang, level, lift, movement } from './writing.js';

const GROWING = caution(
  'No maximal finger loading and no full crimp; finger-joint pain is a question for a doctor.',
  'under-18',
);
const TENDON = caution('Stay at a level that feels the same the next morning.', 'tendon-pain', 'fluoroquinolones');
const SORE = avoid('Not on sore finger joints.', 'arthritis');
const SKIN = caution('Split skin stays off edges and bars.', 'skin-splits');
const SHOULDER = caution('Shoulders stay switched on; no slack hanging.', 'hypermobility');
const SPRAIN = caution('Feet carry most at first.', 'past-sprain', 'blood-pressure');
const EDGE = [GROWING, TENDON, SORE, SKIN];
const HANG = [SHOULDER, SKIN, SPRAIN, TENDON];
const FAULTS = ['Fingers open before the end', 'Shoulders slack', 'Held breath'];
const LIFTED = {
  sides: ['left-then-right', 'right-then-left', 'left', 'right'] as const,
  strokes: ['lift', 'lower'] as const,
  work: ['time', 'repetitions'] as const,
  equipment: ['edge', 'weight'] as const,
};
const HUNG = { sides: ['together'] as const, strokes: ['on', 'off'] as const, work: ['time'] as const };
const FINGERS = { trains: ['finger flexors'], motions: ['finger flexion'] } as const;
const ON_EDGE = ['standing', 'edge', 'free', 'resisted'] as const;
const HANGING = ['hang', 'edge', 'free', 'resisted'] as const;
const ON_BAR = ['hang', 'handle', 'free', 'resisted'] as const;

export const EDGE_WORK: readonly Movement[] = [
  movement(
    {
      id: 'edge.lift-open',
      name: 'Edge lift, open hand',
      family: 'edge-work',
      purpose: 'Lifts a known weight by the fingertips: edge strength without hanging.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Stand over a portable edge tied to a weight.',
        'Open hand, straight arm, lift by standing up.',
        'Hold, then lower.',
      ],
      cues: ['Load slowly', 'Straight wrist'],
      faults: ['Jerks off the floor', ...FAULTS],
      cautions: EDGE,
    },
    FINGERS,
    LIFTED,
    [
      level(
        ['deep', 'Deep edge, light', 'A whole finger bone on it.'],
        ON_EDGE,
        lift(8, edge(30)),
        'edge-holds',
        '3x10s rest60 L,R',
      ),
      level(
        ['medium', 'Deep edge, heavier', 'For prepared fingers.'],
        ON_EDGE,
        lift(14, edge(30)),
        'edge-holds',
        '3x10s rest60 L,R',
      ),
      level(
        ['smaller', 'Smaller edge', 'The same weight on two thirds of it.'],
        ON_EDGE,
        lift(14, edge(20)),
        'edge-holds',
        '3x10s rest90 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'edge.lift-half-crimp',
      name: 'Edge lift, half crimp',
      family: 'edge-work',
      purpose: 'The same with the middle joints at a right angle: the grip of small holds, dosed.',
      climbs: 'effort',
    },
    {
      howTo: ['Middle joints at a right angle, thumb beside.', 'Lift by standing up; nothing in the hand moves.'],
      cues: ['Ninety degrees stay ninety', 'Load slowly'],
      faults: ['Closes into a full crimp', ...FAULTS],
      cautions: EDGE,
    },
    FINGERS,
    LIFTED,
    [
      level(
        ['deep', 'Deep edge', 'Light, to learn the shape.'],
        ON_EDGE,
        lift(8, edge(25, 'half crimp')),
        'edge-holds',
        '3x8s rest60 L,R',
      ),
      level(
        ['medium', 'Deep edge, heavier', 'Nothing moves.'],
        ON_EDGE,
        lift(15, edge(25, 'half crimp')),
        'edge-holds',
        '3x8s rest90 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'edge.feet-assisted',
      name: 'Edge hold, feet on the floor',
      family: 'edge-work',
      purpose: 'The feet decide how much the fingers carry: loads from a quarter of the body up.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Both hands on an edge above, feet on floor or chair.',
        'Bend the knees until the fingers carry the wanted share.',
        'Hold, then stand up.',
      ],
      cues: ['Shoulders on', 'Feet let go slowly'],
      faults: FAULTS,
      cautions: [...EDGE, SHOULDER],
    },
    FINGERS,
    { ...HUNG, equipment: ['edge'] },
    [
      level(
        ['most-on-feet', 'Feet carry seven tenths', 'A third on the hands.'],
        HANGING,
        hang(edge(30), 70),
        'edge-holds',
        '3x10s rest60',
      ),
      level(
        ['half', 'Feet carry half', 'Half on the hands.'],
        HANGING,
        hang(edge(30), 50),
        'edge-holds',
        '3x10s rest90',
      ),
      level(
        ['little', 'Feet carry a third', 'For prepared fingers.'],
        HANGING,
        hang(edge(30), 33),
        'edge-holds',
        '3x10s rest90',
      ),
    ],
  ),
  movement(
    {
      id: 'edge.hang',
      name: 'Edge hang',
      family: 'edge-work',
      purpose: 'All of the body on an edge: a test and a stimulus, not a warm-up.',
      climbs: 'effort',
    },
    {
      howTo: ['Set the fingers, shoulders on, lift the feet slowly.', 'Stop two seconds before you must.'],
      cues: ['Two seconds in hand', 'Shoulders on'],
      faults: FAULTS,
      cautions: [...EDGE, SHOULDER, caution('Not for beginners of finger training.', 'past-sprain')],
    },
    FINGERS,
    { ...HUNG, equipment: ['edge'] },
    [
      level(['deep', 'Deep edge', 'Forty millimetres.'], HANGING, hang(edge(40), 0), 'edge-holds', '3x8s rest120'),
      level(
        ['medium', 'Medium edge', 'Twenty-five millimetres.'],
        HANGING,
        hang(edge(25), 0),
        'edge-holds',
        '3x8s rest120',
      ),
      level(
        ['small', 'Small edge', 'Eighteen millimetres; 48 hours before the next time.'],
        HANGING,
        hang(edge(18), 0),
        'edge-holds',
        '3x7s rest120',
      ),
    ],
  ),
  movement(
    {
      id: 'edge.finger-curls',
      name: 'Finger curls on an edge',
      family: 'edge-work',
      purpose: 'Fingers open and close around an edge under a light weight: movement where climbing only holds.',
      climbs: 'effort',
    },
    {
      howTo: ['Lift a light weight on a deep edge.', 'Let the fingers open to the pads, then curl them in.'],
      cues: ['Open slowly', 'Even fingers'],
      faults: ['The wrist bends', ...FAULTS],
      cautions: EDGE,
    },
    FINGERS,
    { ...LIFTED, work: ['repetitions'], strokes: ['curl', 'open'] },
    [
      level(
        ['light', 'Light', 'To learn the path.'],
        ON_EDGE,
        lift(4, edge(35)),
        'finger-isolation',
        '2x8 tempo2-3 rest45 L,R',
      ),
      level(
        ['medium', 'Medium', 'Still smooth.'],
        ON_EDGE,
        lift(7, edge(35)),
        'finger-isolation',
        '2x8 tempo2-3 rest60 L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'edge.fast-pulls',
      name: 'Quick edge pulls',
      family: 'edge-work',
      purpose: 'Short pulls against a fixed edge: the fingers learn to catch.',
      climbs: 'effort',
    },
    {
      howTo: ['Stand under a fixed edge, feet on the floor.', 'Pull down for a second, let go, wait.'],
      cues: ['Quick on, clean off', 'Never to the most'],
      faults: ['Jerks', ...FAULTS],
      cautions: EDGE,
    },
    FINGERS,
    { ...HUNG, work: ['repetitions'], equipment: ['edge'] },
    [
      level(
        ['light', 'A quarter of the body', 'Feet carry the rest.'],
        HANGING,
        hang(edge(30), 75),
        'edge-holds',
        '2x6 3s tempo0.5-0.5 rest60',
      ),
      level(
        ['medium', 'Two fifths of the body', 'Feet carry the rest.'],
        HANGING,
        hang(edge(30), 60),
        'edge-holds',
        '2x6 3s tempo0.5-0.5 rest90',
      ),
    ],
  ),
];

export const HANGS: readonly Movement[] = [
  movement(
    {
      id: 'hang.feet-supported',
      name: 'Bar hang, feet supported',
      family: 'hangs',
      purpose: 'Hanging with a share on the feet: the counterweight to floor work, from the first day.',
      climbs: 'hand load',
    },
    {
      howTo: ['Hold the bar, feet on floor or chair.', 'Bend the knees until the hands carry the wanted share.'],
      cues: ['Shoulders on', 'Long neck'],
      faults: FAULTS,
      cautions: HANG,
    },
    { trains: ['finger flexors', 'shoulder girdle'], motions: ['finger flexion'] },
    { ...HUNG, equipment: ['bar', 'chair'] },
    [
      level(
        ['light', 'Feet carry two thirds', 'A third on the hands.'],
        ON_BAR,
        hang(bar(), 67),
        'hangs',
        '2x20s rest30',
      ),
      level(
        ['half', 'Feet carry a third', 'Two thirds on the hands.'],
        ON_BAR,
        hang(bar(), 33),
        'hangs',
        '2x20s rest45',
      ),
      level(['toes', 'Toes only touch', 'Nearly all on the hands.'], ON_BAR, hang(bar(), 10), 'hangs', '2x15s rest60'),
    ],
  ),
  movement(
    {
      id: 'hang.one-leg',
      name: 'Bar hang, one leg lifted',
      family: 'hangs',
      purpose: 'One leg leaves the floor: half of the help goes.',
      climbs: 'hand load',
    },
    {
      howTo: ['Hang with both feet on a chair.', 'Lift one leg, then the other in the next set.'],
      cues: ['Shoulders on', 'Hips level'],
      faults: FAULTS,
      cautions: HANG,
    },
    { trains: ['finger flexors', 'shoulder girdle'], motions: ['finger flexion'] },
    { ...HUNG, equipment: ['bar', 'chair'] },
    [
      level(
        ['knee', 'Knee lifted', 'A quarter stays on the other foot.'],
        ON_BAR,
        hang(bar(), 25),
        'hangs',
        '2x15s rest30',
      ),
      level(
        ['light-foot', 'Foot barely touching', 'A twelfth stays on the foot.'],
        ON_BAR,
        hang(bar(), 8),
        'hangs',
        '2x15s rest45',
      ),
    ],
  ),
  movement(
    {
      id: 'hang.full',
      name: 'Bar hang',
      family: 'hangs',
      purpose: 'All of the body from two hands.',
      climbs: 'effort',
    },
    {
      howTo: ['Hold the bar a little wider than the shoulders.', 'Shoulders on, feet leave slowly, let go safely.'],
      cues: ['Let go while it is still safe', 'Breathe'],
      faults: FAULTS,
      cautions: HANG,
    },
    { trains: ['finger flexors', 'shoulder girdle'], motions: ['finger flexion'] },
    { ...HUNG, equipment: ['bar'] },
    [
      level(['bar', 'On a bar', 'Three centimetres thick.'], ON_BAR, hang(bar(30), 0), 'hangs', '3x15s rest60'),
      level(
        ['added', 'With added weight', 'Five kilograms.'],
        ON_BAR,
        hang(bar(30), 0, { addedKg: 5 }),
        'hangs',
        '3x15s rest90',
      ),
      level(
        ['thick', 'On a thick bar', 'Nearly six centimetres thick.'],
        ON_BAR,
        hang(bar(56), 0),
        'hangs',
        '3x10s rest90',
      ),
    ],
  ),
  movement(
    {
      id: 'hang.bent-wrist',
      name: 'Bent-wrist hang',
      family: 'hangs',
      purpose: 'Hangs from a hooked wrist: straps and rings ask for it, step by step.',
      climbs: 'effort',
    },
    {
      howTo: ['Hook the wrist over bar or strap, feet on the floor.', 'Let weight come slowly; the wrist stays bent.'],
      cues: ['Hook first, then hang', 'Feet close'],
      faults: ['The hook opens', ...FAULTS],
      cautions: [
        ...HANG,
        avoid('Loaded flexion: not with a sore or recently sprained wrist.', 'past-sprain', 'arthritis', 'tendon-pain'),
      ],
    },
    { trains: ['wrist flexors', 'finger flexors'], motions: ['wrist flexion'], corners: ['fist, wrist flexed'] },
    { ...HUNG, equipment: ['bar', 'chair'] },
    [
      level(
        ['light', 'Feet carry three quarters', 'Little on the hooks.'],
        ON_BAR,
        hang(bar(), 75, { wristBendDeg: 30 }),
        'hangs',
        '2x10s rest45',
      ),
      level(
        ['half', 'Feet carry three fifths', 'More on the hooks.'],
        ON_BAR,
        hang(bar(), 60, { wristBendDeg: 35 }),
        'hangs',
        '2x10s rest60',
      ),
    ],
  ),
  movement(
    {
      id: 'hang.towel',
      name: 'Towel hang',
      family: 'hangs',
      purpose: 'Two towels over a bar: thick, soft and honest about the grip.',
      climbs: 'effort',
    },
    {
      howTo: ['A towel in each hand, hung over the bar.', 'Feet help as much as needed.'],
      cues: ['Squeeze first', 'Shoulders on'],
      faults: FAULTS,
      cautions: HANG,
    },
    { trains: ['finger flexors', 'thumb muscles', 'shoulder girdle'], motions: ['finger flexion'] },
    { ...HUNG, equipment: ['bar', 'towel', 'chair'] },
    [
      level(
        ['light', 'Feet carry three fifths', 'Two fifths on the hands.'],
        ON_BAR,
        hang(bar(45), 60),
        'hangs',
        '2x15s rest45',
      ),
      level(
        ['half', 'Feet carry a third', 'Two thirds on the hands.'],
        ON_BAR,
        hang(bar(45), 33),
        'hangs',
        '2x12s rest60',
      ),
      level(['full', 'Feet off', 'All of the body.'], ON_BAR, hang(bar(45), 0), 'hangs', '2x10s rest90'),
    ],
  ),
  movement(
    {
      id: 'hang.one-hand',
      name: 'One-hand hang, assisted',
      family: 'hangs',
      purpose: 'One hand at a time with the feet’s help: the weaker side shows.',
      climbs: 'effort',
    },
    {
      howTo: ['One hand on the bar, the other rests.', 'Feet carry what the hand cannot.'],
      cues: ['No twisting', 'Shoulder on'],
      faults: FAULTS,
      cautions: HANG,
    },
    { trains: ['finger flexors', 'shoulder girdle'], motions: ['finger flexion'] },
    { ...HUNG, sides: ['left-then-right', 'right-then-left', 'left', 'right'], equipment: ['bar', 'chair'] },
    [
      level(
        ['light', 'Feet carry three quarters', 'A quarter on the hand.'],
        ON_BAR,
        hang(bar(), 75, { hands: 1 }),
        'hangs',
        '2x10s rest45 L,R',
      ),
      level(
        ['half', 'Feet carry half', 'Half on the hand.'],
        ON_BAR,
        hang(bar(), 50, { hands: 1 }),
        'hangs',
        '2x10s rest60 L,R',
      ),
    ],
  ),
];
