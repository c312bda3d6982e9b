import type { Movement } from '../movement.js';
import { caution, level, move, movement, rest, stretch, weight } from './writing.js';

const SOFT = caution('Within an easy range.', 'past-sprain', 'hypermobility');
const LIGHT = caution('No weight with sore joints.', 'arthritis', 'tendon-pain');
const STANDING = ['standing', 'none', 'free', 'unloaded'] as const;
const HELD = ['standing', 'handle', 'free', 'resisted'] as const;
const CURL = {
  sides: ['together', 'left-then-right', 'right-then-left', 'alternating'] as const,
  strokes: ['up', 'down'] as const,
  work: ['repetitions'] as const,
};

/** An elbow curl in one turn of the forearm. */
const curl = (slug: string, name: string, purpose: string, kg: readonly [number, number]): Movement =>
  movement(
    { id: `near.curl-${slug}`, name, family: 'neighbours', purpose, climbs: 'effort' },
    {
      howTo: ['Elbows at the ribs, wrists straight.', 'Bend the elbows, lower in two or three seconds.'],
      cues: ['Straight wrists', 'Elbows stay'],
      faults: ['The wrist gives way', 'Swinging'],
      cautions: [LIGHT, caution('Breathe out on the way up.', 'blood-pressure')],
    },
    { trains: ['elbow muscles', 'finger flexors'], motions: [] },
    { ...CURL, equipment: ['weight'] },
    [
      level(
        ['light', 'Light', 'Twelve clean ones.'],
        HELD,
        weight('elbow bend', kg[0]),
        'free-weights',
        '2x12 tempo1-2 rest30',
      ),
      level(
        ['medium', 'Medium', 'Ten clean ones.'],
        HELD,
        weight('elbow bend', kg[1]),
        'free-weights',
        '2x10 tempo1-3 rest45',
      ),
    ],
  );

export const NEIGHBOURS: readonly Movement[] = [
  movement(
    {
      id: 'near.arm-circles',
      name: 'Arm circles',
      family: 'neighbours',
      purpose: 'Warms the shoulders that will stand over the hands.',
      climbs: 'effort',
    },
    {
      howTo: ['Arms long.', 'Draw circles from the shoulders, growing slowly.'],
      cues: ['Ribs quiet', 'Same size both sides'],
      faults: ['The back arches', 'Racing'],
      cautions: [SOFT],
    },
    { trains: ['shoulder girdle'], motions: ['shoulder support'] },
    {
      sides: ['together', 'left-then-right', 'right-then-left', 'left', 'right'],
      directions: ['forward', 'backward'],
      strokes: ['half', 'round'],
      work: ['repetitions', 'time'],
      timed: 'bout',
    },
    [
      level(
        ['small', 'Small', 'Below the shoulders.'],
        STANDING,
        move(['shoulder lift'], 45),
        'slow-circles',
        '1x8 tempo1-1 <>',
      ),
      level(
        ['large', 'Large', 'As high as the ribs stay quiet.'],
        STANDING,
        move(['shoulder lift'], 90),
        'slow-circles',
        '1x8 tempo2-2 <>',
      ),
      level(
        ['bottles', 'Large, small weights', 'Half a kilogram in each hand.'],
        ['standing', 'handle', 'free', 'resisted'],
        move(['shoulder lift'], 90, { heldKg: 0.5 }),
        'slow-circles',
        '1x8 tempo2-2 <>',
        ['light dumbbell'],
      ),
    ],
  ),
  curl('palm-up', 'Elbow curl, palms up', 'Elbow flexors with the forearm turned up.', [4, 7]),
  curl('thumb-up', 'Elbow curl, thumbs up', 'The forearm’s own elbow flexor carries most.', [4, 7]),
  curl(
    'palm-down',
    'Elbow curl, palms down',
    'Elbow and wrist extensors hold together; lighter than the others.',
    [2.5, 4.5],
  ),
  movement(
    {
      id: 'near.elbow-push-back',
      name: 'Elbow push-backs',
      family: 'neighbours',
      purpose: 'Straight elbows belong to supports: the back of the upper arm gets its turn.',
      climbs: 'effort',
    },
    {
      howTo: ['Lean forward, upper arms along the trunk.', 'Straighten the elbows, pause, return.'],
      cues: ['Upper arms still', 'All the way straight'],
      faults: ['The shoulder swings', 'The wrist bends'],
      cautions: [LIGHT],
    },
    { trains: ['elbow muscles'], motions: [] },
    { ...CURL, strokes: ['straighten', 'bend'] },
    [
      level(
        ['empty', 'Empty hands', 'The arms’ own weight.'],
        STANDING,
        move(['elbow bend'], 80),
        'free-weights',
        '2x12 tempo1-2 rest20',
      ),
      level(
        ['light', 'Light weights', 'Two kilograms in each hand.'],
        HELD,
        weight('elbow bend', 2),
        'free-weights',
        '2x12 tempo1-2 rest30',
        ['light dumbbell'],
      ),
      level(
        ['medium', 'Medium weights', 'Three and a half kilograms.'],
        HELD,
        weight('elbow bend', 3.5),
        'free-weights',
        '2x10 tempo1-2 rest45',
        ['weight'],
      ),
    ],
  ),
  movement(
    {
      id: 'near.balance-spiral',
      name: 'Balancing spiral',
      family: 'neighbours',
      purpose: 'A cup on the flat palm travels under the arm and over the head: forearm turn and shoulder in one path.',
      climbs: 'effort',
    },
    {
      howTo: [
        'An object rests on the open palm.',
        'Lead it inward under the arm, out, and over the head without dropping it.',
        'Return the same way.',
      ],
      cues: ['The palm looks up all the way', 'Knees help'],
      faults: ['The palm tips', 'The back twists alone'],
      cautions: [SOFT],
    },
    {
      trains: ['supinators', 'pronators', 'shoulder girdle'],
      motions: ['supination', 'pronation', 'shoulder support'],
    },
    {
      sides: ['left-then-right', 'right-then-left', 'left', 'right'],
      strokes: ['under', 'over'],
      work: ['repetitions'],
      timed: 'bout',
    },
    [
      level(
        ['empty', 'Empty hand', 'Learn the path.'],
        STANDING,
        move(['supination', 'pronation', 'shoulder lift'], 80),
        'slow-circles',
        '1x5 tempo4-4 L,R',
      ),
      level(
        ['ball', 'A ball on the palm', 'It tells when the palm tips.'],
        ['standing', 'ball', 'free', 'unloaded'],
        move(['supination', 'pronation', 'shoulder lift'], 90, { heldKg: 0.3 }),
        'slow-circles',
        '1x5 tempo4-4 L,R',
        ['firm ball'],
      ),
    ],
  ),
  movement(
    {
      id: 'near.shoulder-pushes',
      name: 'Shoulder-blade pushes',
      family: 'neighbours',
      purpose: 'Arms stay straight, the shoulder blades slide: pushing the floor away is learnt here.',
      climbs: 'effort',
    },
    {
      howTo: ['Arms forward at shoulder height.', 'Reach further without bending the elbows, then draw back.'],
      cues: ['Elbows straight', 'Neck long'],
      faults: ['Elbows bend', 'Ears and shoulders meet'],
      cautions: [SOFT],
    },
    { trains: ['shoulder girdle'], motions: ['shoulder support'] },
    { sides: ['together'], strokes: ['reach', 'draw back'], work: ['repetitions'], timed: 'bout' },
    [
      level(
        ['standing', 'Standing', 'Arms in front.'],
        STANDING,
        move(['shoulder lift'], 90, { perMinute: 6 }),
        'slow-circles',
        '1x10 tempo2-2',
      ),
      level(
        ['weights', 'Standing, small weights', 'Half a kilogram in each hand.'],
        ['standing', 'handle', 'free', 'resisted'],
        move(['shoulder lift'], 95, { perMinute: 6, heldKg: 0.5 }),
        'slow-circles',
        '1x10 tempo2-2',
        ['light dumbbell'],
      ),
    ],
  ),
];

const SEATED = ['seated', 'none', 'free', 'assisted'] as const;
const NONE: Movement['cautions'] = [];

export const SETTLE_MORE: readonly Movement[] = [
  movement(
    {
      id: 'settle.long-flexors',
      name: 'Long easy stretch, palm side',
      family: 'settle',
      purpose: 'Lets the flexors go after gripping and floor work.',
      climbs: 'stretch',
    },
    {
      howTo: ['Rest the forearm, palm up, fingers in the other hand.', 'Let the weight of that hand be enough.'],
      cues: ['Nothing to achieve', 'Long out-breath'],
      faults: ['Pulling', 'Held breath'],
      cautions: [caution('Short of the end of the range.', 'hypermobility', 'past-sprain')],
    },
    {
      trains: ['wrist flexors', 'finger flexors'],
      motions: ['wrist extension'],
      corners: ['open hand, wrist extended'],
    },
    { strokes: ['in', 'out'], work: ['time', 'breaths'] },
    [
      level(
        ['easy', 'Easy', 'Seven tenths of the range.'],
        SEATED,
        stretch('wrist extension', 70),
        'settling',
        '1x40s L,R',
      ),
      level(
        ['longer', 'Further', 'A little more, a little longer.'],
        SEATED,
        stretch('wrist extension', 80),
        'settling',
        '1x60s L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'settle.long-extensors',
      name: 'Long easy stretch, back side',
      family: 'settle',
      purpose: 'Lets the extensors go after edges, handles and keys.',
      climbs: 'stretch',
    },
    {
      howTo: ['Rest the forearm, hand hanging over the edge.', 'Lay the other hand on its back.'],
      cues: ['Heavy hand', 'Long out-breath'],
      faults: ['Pulling', 'Held breath'],
      cautions: [caution('Short of the end of the range.', 'hypermobility', 'past-sprain')],
    },
    {
      trains: ['wrist extensors', 'finger extensors'],
      motions: ['wrist flexion'],
      corners: ['open hand, wrist flexed'],
    },
    { strokes: ['in', 'out'], work: ['time', 'breaths'] },
    [
      level(
        ['easy', 'Easy', 'Seven tenths of the range.'],
        SEATED,
        stretch('wrist flexion', 70),
        'settling',
        '1x40s L,R',
      ),
      level(
        ['longer', 'Loose fist', 'The fingers add length.'],
        SEATED,
        stretch('wrist flexion', 75, 'curled'),
        'settling',
        '1x60s L,R',
      ),
    ],
  ),
  movement(
    {
      id: 'settle.ball-palm',
      name: 'Ball under the palm',
      family: 'settle',
      purpose: 'Rolls the small muscles of the palm over a ball.',
      climbs: 'pressure',
    },
    {
      howTo: ['Ball under the palm on a table.', 'Roll slowly from the thumb’s foot to the little finger’s.'],
      cues: ['Slow', 'Breathe into sore places'],
      faults: ['Pressing into pain'],
      cautions: [
        caution('Around sore joints, not on them.', 'arthritis'),
        caution('Not over split skin.', 'skin-splits'),
      ],
    },
    { trains: ['hand intrinsics', 'thumb muscles'], motions: [] },
    { strokes: ['roll', 'back'], work: ['time'], timed: 'bout' },
    [
      level(
        ['soft', 'Soft ball', 'The hand’s own weight.'],
        ['seated', 'ball', 'free', 'assisted'],
        rest(10),
        'settling',
        '1x40s L,R',
        ['soft ball', 'table'],
      ),
      level(
        ['firm', 'Firm ball', 'A few kilograms of pressure.'],
        ['seated', 'ball', 'free', 'assisted'],
        rest(30),
        'settling',
        '1x60s L,R',
        ['firm ball', 'table'],
      ),
    ],
  ),
  movement(
    {
      id: 'settle.forearm-massage',
      name: 'Forearm along a tool',
      family: 'settle',
      purpose: 'Slow strokes along a lengthened muscle, from wrist to elbow.',
      climbs: 'pressure',
    },
    {
      howTo: [
        'Lengthen the muscle a little.',
        'Stroke from the wrist toward the elbow with ball or tool.',
        'Slower where it is tight.',
      ],
      cues: ['Along the muscle', 'Toward the elbow'],
      faults: ['Across the inner elbow', 'Pressing into pain'],
      cautions: [
        caution('No deep pressure on a sore tendon.', 'tendon-pain'),
        caution('Stop at tingling.', 'pregnancy'),
      ],
    },
    { trains: ['wrist flexors', 'wrist extensors'], motions: [] },
    { strokes: ['stroke', 'back'], work: ['time'], timed: 'bout' },
    [
      level(['hand', 'By the other hand', 'Thumb strokes.'], SEATED, rest(15), 'settling', '1x40s L,R'),
      level(['tool', 'With a tool', 'Firmer and even.'], SEATED, rest(35), 'settling', '1x60s L,R', ['massage tool']),
    ],
  ),
  movement(
    {
      id: 'settle.warm-hands',
      name: 'Warmth and easy motion',
      family: 'settle',
      purpose: 'Warm water or a warm cloth and slow opening: for stiff hands, before or after.',
      climbs: 'time',
    },
    {
      howTo: ['Hands in warm water or a warm cloth.', 'Open and close slowly.'],
      cues: ['Comfortably warm', 'Nothing forced'],
      faults: ['Too hot'],
      cautions: [caution('Not on fresh splits.', 'skin-splits')],
    },
    { trains: [], motions: ['finger flexion', 'finger extension'] },
    { sides: ['together'], strokes: ['close', 'open'], work: ['time'], timed: 'bout' },
    [
      level(
        ['short', 'A minute', 'Before the session or after.'],
        ['seated', 'none', 'free', 'unloaded'],
        rest(),
        'settling',
        '1x60s',
      ),
      level(
        ['long', 'Two minutes', 'On stiff days.'],
        ['seated', 'none', 'free', 'unloaded'],
        rest(),
        'settling',
        '1x120s',
      ),
    ],
  ),
  movement(
    {
      id: 'settle.arms-overhead',
      name: 'Lying, hands above the heart',
      family: 'settle',
      purpose: 'Lets fluid drain from tired forearms.',
      climbs: 'time',
    },
    {
      howTo: ['Lie on the back, hands resting higher than the chest.', 'Breathe slowly and let the fingers curl.'],
      cues: ['Arms supported', 'Jaw soft'],
      faults: ['Holding the arms up'],
      cautions: NONE,
    },
    { trains: [], motions: [] },
    { sides: ['together'], strokes: ['in', 'out'], work: ['breaths', 'time'] },
    [
      level(['short', 'Six breaths', 'A minute.'], ['lying', 'none', 'free', 'unloaded'], rest(), 'settling', '1x6br', [
        'mat',
      ]),
      level(
        ['long', 'Twelve breaths', 'Two minutes.'],
        ['lying', 'none', 'free', 'unloaded'],
        rest(),
        'settling',
        '1x12br',
        ['mat'],
      ),
    ],
  ),
];
