import type { HandShapeName } from '../../posture/hand-shape.js';
import type { Movement } from '../movement.js';
import { caution, FINGERS, level, move, movement, press } from './writing.js';

const EASY = caution('Only as far as no joint catches or clicks painfully.', 'arthritis', 'past-sprain');
const WATCH = caution('Low tension only; ask again the next morning.', 'tendon-pain', 'fluoroquinolones');
const BOTH_FIRST = ['together', 'left-then-right', 'right-then-left', 'left', 'right'] as const;

/** One shape of the hand, glided to and from the straight hand; then the same with tension. */
function glide(slug: string, name: string, purpose: string, shape: string, fault: string, to: HandShapeName): Movement {
  return movement(
    { id: `glide.${slug}`, name, family: 'tendon-glides', purpose, climbs: 'effort' },
    {
      howTo: ['Begin with a straight hand, wrist level.', shape, 'Open the same way, joint by joint.'],
      cues: ['Each joint in its turn', 'The wrist stays level', 'Open all the way'],
      faults: [fault, 'The wrist bends along', 'Racing'],
      cautions: [EASY, WATCH],
    },
    {
      trains: ['finger flexors', 'finger extensors', 'hand intrinsics'],
      motions: ['finger flexion', 'finger extension'],
    },
    { sides: BOTH_FIRST, strokes: ['close', 'open'], work: ['repetitions'], timed: 'bout', shapes: ['together', to] },
    [
      level(
        ['easy', 'Without tension', 'The tendons only slide.'],
        ['seated', 'none', 'free', 'unloaded'],
        move(FINGERS, 70),
        'tendon-glides',
        '2x8 tempo2-2 rest10',
      ),
      level(
        ['full', 'To the end of each shape', 'A second longer each way, to the last degree.'],
        ['seated', 'none', 'free', 'unloaded'],
        move(FINGERS, 95),
        'tendon-glides',
        '2x8 tempo2-2 rest10',
      ),
      level(
        ['tense', 'With high tension', 'Muscles of both sides hard all the way.'],
        ['seated', 'none', 'free', 'resisted'],
        press('grip'),
        'tendon-glides',
        '2x4 @40% 2s tempo3-3 rest20',
      ),
    ],
  );
}

export const TENDON_GLIDES: readonly Movement[] = [
  glide(
    'hook',
    'Hook glide',
    'The two long flexors slide against each other more in the hook than in any other shape.',
    'Bend the end and middle joints; the knuckles stay straight.',
    'Knuckles bend as well',
    'hook',
  ),
  glide(
    'tabletop',
    'Tabletop glide',
    'The small muscles of the palm bend the knuckles while the fingers stay long.',
    'Bend the knuckles only, fingers straight like a table.',
    'Fingers curl',
    'tabletop',
  ),
  glide(
    'flat-fist',
    'Flat-fist glide',
    'The flexor of the middle joints glides its whole way.',
    'Bend knuckles and middle joints; the end joints stay straight against the palm.',
    'End joints curl in',
    'flat fist',
  ),
  glide(
    'full-fist',
    'Full-fist glide',
    'The flexor of the end joints glides its whole way.',
    'Roll every joint in, fingertips to the top of the palm.',
    'Little finger left out',
    'fist',
  ),
  movement(
    {
      id: 'glide.five-shapes',
      name: 'Five shapes in a row',
      family: 'tendon-glides',
      purpose:
        'Straight, hook, tabletop, flat fist and full fist in one slow chain: every tendon of the fingers glides.',
      climbs: 'effort',
    },
    {
      howTo: ['Straight hand.', 'Hook, then tabletop.', 'Flat fist, then full fist, and back to straight.'],
      cues: ['Name each shape', 'Fingers together'],
      faults: ['A shape is skipped', 'The wrist bends along'],
      cautions: [EASY, WATCH],
    },
    {
      trains: ['finger flexors', 'finger extensors', 'hand intrinsics'],
      motions: ['finger flexion', 'finger extension'],
    },
    {
      sides: BOTH_FIRST,
      shapes: ['together', 'fist'],
      strokes: ['through', 'back'],
      work: ['repetitions'],
      timed: 'bout',
    },
    [
      level(
        ['easy', 'Without tension', 'Ten seconds for a round.'],
        ['seated', 'none', 'free', 'unloaded'],
        move(FINGERS, 80),
        'tendon-glides',
        '1x5 tempo5-5',
      ),
      level(
        ['arms-up', 'Arms forward', 'The same with the arms held out.'],
        ['standing', 'none', 'free', 'unloaded'],
        move([...FINGERS, 'shoulder lift'], 80),
        'tendon-glides',
        '1x5 tempo5-5',
      ),
      level(
        ['tense', 'With high tension', 'Four rounds against your own muscles.'],
        ['seated', 'none', 'free', 'resisted'],
        press('grip'),
        'tendon-glides',
        '1x4 @40% 2s tempo4-4',
      ),
    ],
  ),
  movement(
    {
      id: 'glide.thumb-across',
      name: 'Thumb glide across the palm',
      family: 'tendon-glides',
      purpose: 'The long thumb flexor slides from a wide thumb to the foot of the little finger.',
      climbs: 'effort',
    },
    {
      howTo: [
        'Thumb wide, as if holding a jar.',
        'Bend it across to the foot of the little finger.',
        'Open wide again.',
      ],
      cues: ['Tip joint bends last', 'Wide before each return'],
      faults: ['The wrist tips toward the thumb', 'Only the tip joint moves'],
      cautions: [EASY, caution('Within comfort at the thumb’s base.', 'arthritis')],
    },
    { trains: ['thumb muscles'], motions: ['thumb opposition', 'thumb extension'], digits: ['thumb'] },
    {
      sides: BOTH_FIRST,
      shapes: ['spread', 'pinch'],
      strokes: ['across', 'wide'],
      work: ['repetitions'],
      timed: 'bout',
    },
    [
      level(
        ['half', 'To the ring finger', 'Three quarters of the way.'],
        ['seated', 'none', 'free', 'unloaded'],
        move(FINGERS, 60),
        'tendon-glides',
        '2x8 tempo2-2 rest10',
      ),
      level(
        ['full', 'To the little finger', 'All of the way.'],
        ['seated', 'none', 'free', 'unloaded'],
        move(FINGERS, 90),
        'tendon-glides',
        '2x8 tempo2-2 rest10',
      ),
    ],
  ),
  movement(
    {
      id: 'glide.fist-wave',
      name: 'Fist and open hand with the wrist',
      family: 'tendon-glides',
      purpose: 'Goes from the flexors’ long end to the extensors’ long end: the full length of the two-joint muscles.',
      climbs: 'effort',
    },
    {
      howTo: ['Fist with the wrist bent.', 'Open the hand as the wrist extends.', 'Return the same way.'],
      cues: ['Both ends reached', 'Smooth in the middle'],
      faults: ['Fingers open late', 'Elbows swing'],
      cautions: [EASY, caution('Stop before tingling; it is a nerve’s sign.', 'pregnancy')],
    },
    {
      trains: ['wrist flexors', 'wrist extensors', 'finger flexors', 'finger extensors'],
      motions: ['wrist flexion', 'wrist extension', 'finger flexion', 'finger extension'],
      corners: ['open hand, wrist extended', 'fist, wrist flexed'],
    },
    { sides: BOTH_FIRST, shapes: ['fist', 'spread'], strokes: ['open', 'close'], work: ['repetitions'], timed: 'bout' },
    [
      level(
        ['elbows-in', 'Elbows at the ribs', 'Three quarters of the range.'],
        ['seated', 'none', 'free', 'unloaded'],
        move(['wrist flexion', 'wrist extension', ...FINGERS], 70),
        'tendon-glides',
        '2x8 tempo2-2 rest10',
      ),
      level(
        ['elbows-out', 'Arms forward', 'Straight elbows make the path longer.'],
        ['standing', 'none', 'free', 'unloaded'],
        move(['wrist flexion', 'wrist extension', ...FINGERS, 'shoulder lift'], 90),
        'tendon-glides',
        '2x8 tempo2-2 rest10',
      ),
    ],
  ),
];
