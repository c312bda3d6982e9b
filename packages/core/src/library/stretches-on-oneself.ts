import type { Movement } from '../model/movement.js';
import { avoid, caution, down, drawn, level, movement, rest, stretch, thumbUp, up } from './writing.js';

const FAULTS = ['Forcing into the range', 'Held breath', 'Bouncing'];
const NO_FORCE = caution('Ease in; never force it.', 'past-sprain', 'arthritis', 'tendon-pain');
const NO_END = avoid('Stay out of end range; strengthen mid-range instead.', 'hypermobility');
const NERVE = avoid('Bent wrists press on the nerve: stop at the first tingling.', 'numbness', 'pregnancy');
const SEATED = ['seated', 'none', 'free', 'assisted'] as const;
const STANDING = ['standing', 'none', 'free', 'assisted'] as const;
const EASED = {
  family: 'assisted-stretches',
  climbs: 'stretch',
  faults: FAULTS,
  strokes: ['ease in', 'ease out'],
  work: ['breaths', 'time'],
} as const;

/** Stretches in which both hands, the chest, the feet or a ball give the help, in teaching order. */
export const STRETCHES_ON_ONESELF: readonly Movement[] = [
  movement({
    ...EASED,
    id: 'stretch.palms-knuckles-back',
    name: 'Palms together, fingers bent back',
    otherHand: 'helps',
    purpose: 'The fingers of one hand ease those of the other back at the knuckles while the palms stay together.',
    howTo: ['Palms together before the chest.', 'Press the fingers of one hand back from the knuckles with the other’s.', 'Change sides.'],
    cues: ['Palms stay together', 'From the knuckles, not the tips', 'Both wrists still'],
    cautions: [NO_FORCE, NO_END],
    trains: ['finger flexors', 'hand intrinsics'],
    motions: ['finger extension'],
    corners: ['open hand, wrist extended'],
    hand: {
      setting: 'palms together, fingers back',
      arms: 'before the chest',
      course: [thumbUp('together', { wristExtensionDeg: 58 })],
    },
    ladder: [
      level(['light', 'Light', 'Two thirds of the way.'], SEATED, stretch('finger extension', 68), 'stretch-before', '1x2br L,R'),
      level(
        ['further', 'Further', 'To a clear stretch in the palm.'],
        SEATED,
        stretch('finger extension', 86, 'straight'),
        'stretch-before',
        '1x3br L,R',
      ),
    ],
  }),
  movement({
    ...EASED,
    id: 'stretch.pouring',
    name: 'Pouring stretch, thumb tucked in',
    purpose: 'The hand tips and turns as if pouring from a jug: stretches the thumb side of the wrist.',
    howTo: [
      'Arm forward, thumb tucked in the fist.',
      'Tip the fist toward the little finger and turn it as if pouring.',
      'Come back the same way.',
    ],
    cues: ['A small range is enough', 'Shoulder stays low'],
    cautions: [
      avoid('If the thumb side hurts sharply, leave this out and have it checked.', 'tendon-pain'),
      avoid('Leave out if the base of the thumb is sore.', 'arthritis'),
      NO_END,
    ],
    trains: ['radial deviators', 'thumb muscles', 'wrist extensors'],
    motions: ['ulnar deviation', 'pronation'],
    hand: {
      arms: 'ahead',
      setting: 'forearm ahead',
      view: 'thumb side, from above',
      course: [thumbUp('thumb in fist', { wristRadialDeg: 6 }), down('thumb in fist', { supinationDeg: -55, wristRadialDeg: -34 })],
    },
    ladder: [
      level(
        ['elbow-bent', 'Elbow bent', 'With its own muscles.'],
        ['standing', 'none', 'free', 'unloaded'],
        stretch('ulnar deviation', 62, 'curled'),
        'stretch-before',
        '1x10s L,R',
      ),
      level(
        ['elbow-straight', 'Elbow straight', 'Arm forward, a little further.'],
        ['standing', 'none', 'free', 'unloaded'],
        stretch('ulnar deviation', 80, 'curled'),
        'stretch-before',
        '1x15s L,R',
      ),
    ],
  }),
  movement({
    ...EASED,
    id: 'stretch.crossed-arms-turn',
    name: 'Crossed arms, clasped hands, turning in and out',
    purpose: 'Crossed and clasped, the forearms turn each other further than either could alone.',
    howTo: [
      'Arms forward, cross them, palms facing, clasp the hands.',
      'Bend the elbows and turn the clasp in toward the chest.',
      'Out again the same way; then cross the other way.',
    ],
    cues: ['Loose clasp', 'As far as it goes by itself', 'Shoulders low'],
    cautions: [NO_FORCE, NO_END, NERVE],
    trains: ['pronators', 'supinators', 'wrist extensors'],
    motions: ['supination', 'pronation', 'wrist flexion'],
    sides: ['together'],
    directions: ['left arm on top', 'right arm on top'],
    strokes: ['in', 'out'],
    work: ['repetitions', 'breaths', 'time'],
    hand: {
      setting: 'interlaced',
      arms: 'before the chest',
      course: [down('fist', { wristExtensionDeg: 40 }), down('fist', { wristExtensionDeg: -45 })],
    },
    timed: 'bout',
    ladder: [
      level(
        ['half', 'Half way in', 'Elbows bent, hands below the chin.'],
        STANDING,
        stretch('supination', 72),
        'stretch-before',
        '1x2br <>',
      ),
      level(
        ['through', 'In and out again', 'As far as the elbows will straighten.'],
        STANDING,
        stretch('supination', 88),
        'stretch-before',
        '1x3br <>',
      ),
    ],
  }),
  movement({
    ...EASED,
    id: 'stretch.backs-on-ribs',
    name: 'Backs of the hands on the ribs',
    purpose: 'The breath presses the ribs into the backs of the hands: wrist flexion without any push.',
    howTo: [
      'Backs of the hands on the sides of the ribs, fingers forward.',
      'Breathe wide into the hands; let the elbows come forward a little.',
    ],
    cues: ['Let the breath do the work', 'Elbows heavy'],
    cautions: [NO_FORCE, NERVE],
    trains: ['wrist extensors', 'finger extensors'],
    motions: ['wrist flexion'],
    corners: ['open hand, wrist flexed'],
    sides: ['together', 'left-then-right', 'right-then-left'],
    strokes: ['in', 'out'],
    work: ['breaths', 'time'],
    hand: { setting: 'on the ribs', arms: 'at the ribs', course: [up('relaxed', { wristExtensionDeg: -66 })] },
    ladder: [
      level(['low', 'On the lower ribs', 'Let the elbows hang.'], STANDING, stretch('wrist flexion', 66), 'stretch-before', '1x3br'),
      drawn(
        { course: [up('relaxed', { wristExtensionDeg: -78 })] },
        level(
          ['high', 'Higher, elbows forward', 'A clear stretch on the backs of the hands.'],
          STANDING,
          stretch('wrist flexion', 84),
          'stretch-before',
          '1x3br',
        ),
      ),
    ],
  }),
  movement({
    ...EASED,
    id: 'stretch.stand-on-palms',
    name: 'Standing on your palms',
    purpose: 'In a forward fold the feet hold the hands: stretches wrists and the backs of the legs together.',
    howTo: [
      'Fold forward with soft knees, slide the palms up under the soles, toes at the wrists.',
      'Let the head hang; lengthen the arms as you breathe out.',
      'Step off before coming up; come up slowly.',
    ],
    cues: ['Bend the knees as much as you need', 'Toes stay short of the wrist bones', 'Lengthen, don’t pull'],
    faults: [...FAULTS, 'Coming up fast and getting dizzy'],
    cautions: [
      NO_FORCE,
      NERVE,
      NO_END,
      avoid('Head-down positions only if your doctor agrees.', 'blood-pressure'),
      caution('Not on split skin.', 'skin-splits'),
    ],
    trains: ['wrist extensors', 'finger extensors'],
    motions: ['wrist flexion'],
    corners: ['open hand, wrist flexed'],
    sides: ['together'],
    work: ['breaths', 'time'],
    hand: { setting: 'under the foot', arms: 'to the feet', course: [up('together', { wristExtensionDeg: -62 })] },
    ladder: [
      level(
        ['fingers', 'Fingers under the toes', 'Knees well bent.'],
        ['forward fold', 'none', 'free', 'assisted'],
        stretch('wrist flexion', 66),
        'stretch-after',
        '1x3br',
        ['mat'],
      ),
      drawn(
        { course: [up('together', { wristExtensionDeg: -78 })] },
        level(
          ['palms', 'Whole palms under the feet', 'Toes at the wrists.'],
          ['forward fold', 'none', 'free', 'assisted'],
          stretch('wrist flexion', 86),
          'stretch-after',
          '1x4br',
          ['mat'],
        ),
      ),
    ],
  }),
  movement({
    id: 'stretch.ball-on-wall',
    name: 'Palm over a ball on a wall',
    family: 'assisted-stretches',
    purpose: 'A ball under the palm spreads the small hand bones while the body leans in slightly.',
    howTo: [
      'Ball at shoulder height under the palm, fingers up.',
      'Lean in slightly and let the palm spread over it.',
      'Move the ball by a thumb’s width and stay again.',
    ],
    cues: ['Wide palm', 'Slow breaths', 'Never on a single bone'],
    faults: ['Leaning in hard', 'Holding the breath', 'The wrist folds back'],
    cautions: [
      caution('Around sore joints, not on them.', 'arthritis', 'past-sprain'),
      caution('Not over split skin.', 'skin-splits'),
      avoid('No pressure on the palm if it tingles.', 'numbness', 'pregnancy'),
    ],
    trains: ['hand intrinsics', 'thumb muscles'],
    motions: ['finger spreading'],
    strokes: ['lean', 'ease'],
    work: ['breaths', 'time'],
    climbs: 'pressure',
    equipment: ['wall'],
    hand: { setting: 'on a ball' },
    ladder: [
      level(
        ['soft', 'Soft ball', 'About the weight of the hand.'],
        ['standing', 'ball', 'free', 'assisted'],
        rest(20),
        'stretch-before',
        '1x3br L,R',
        ['soft ball'],
      ),
      level(['firm', 'Firm ball', 'A few kilograms.'], ['standing', 'ball', 'free', 'assisted'], rest(45), 'stretch-before', '1x3br L,R', [
        'firm ball',
      ]),
    ],
  }),
];
