import type { Movement } from '../movement.js';
import { avoid, caution, level, movement, stretch } from './writing.js';

const NO_FORCE = caution('The other hand guides; it never forces.', 'past-sprain', 'arthritis', 'tendon-pain');
const NO_END = avoid('Leave the end of the range out; strengthen its middle.', 'hypermobility');
const SEATED = ['seated', 'none', 'free', 'assisted'] as const;
const ONE_EACH = ['left-then-right', 'right-then-left', 'left', 'right'] as const;
const FAULTS = ['Forced by the other hand', 'Held breath', 'Bouncing'];

/** A stretch of one side at a time: gentler, then further. */
const one = (
  head: Omit<Parameters<typeof movement>[0], 'family' | 'climbs'>,
  howTo: readonly string[],
  cues: readonly string[],
  anatomy: Parameters<typeof movement>[2],
  ladder: Movement['ladder'],
  cautions: Movement['cautions'] = [NO_FORCE, NO_END],
): Movement =>
  movement(
    { ...head, family: 'assisted-stretches', climbs: 'stretch' },
    { howTo, cues, faults: FAULTS, cautions },
    anatomy,
    { sides: ONE_EACH, strokes: ['ease in', 'ease out'], work: ['time', 'breaths'] },
    ladder,
  );

export const STRETCHES_MORE: readonly Movement[] = [
  one(
    {
      id: 'stretch.single-finger',
      name: 'Single finger stretch',
      purpose: 'One finger at a time shows which one is short, which a whole-hand stretch hides.',
    },
    [
      'Elbow straight, palm up.',
      'Ease one finger back from its first bone.',
      'Thumb to little finger, the same time each.',
    ],
    ['Hold the whole finger, not its tip', 'Same time for each'],
    { trains: ['finger flexors'], motions: ['finger extension'], corners: ['open hand, wrist extended'] },
    [
      level(
        ['wrist-level', 'Wrist level', 'Finger muscles half slack.'],
        SEATED,
        stretch('finger extension', 75),
        'stretch-before',
        '1x10s L,R',
      ),
      level(
        ['wrist-back', 'Wrist extended', 'Wrist and finger long together.'],
        SEATED,
        stretch('finger extension', 90),
        'stretch-before',
        '1x10s L,R',
      ),
    ],
  ),
  one(
    {
      id: 'stretch.thumb-back',
      name: 'Thumb stretch, out and back',
      purpose: 'Opens the web of the thumb for wide hands and thick handles.',
    },
    ['Palm up, forearm resting.', 'Ease the thumb out by its lower bone, not by its tip.'],
    ['Lower bone only', 'The web opens'],
    { trains: ['thumb muscles'], motions: ['thumb extension'], digits: ['thumb'] },
    [
      level(
        ['gentle', 'Half way', 'A long first breath.'],
        SEATED,
        stretch('thumb extension', 65),
        'stretch-before',
        '1x15s L,R',
      ),
      level(
        ['further', 'Further', 'Until the web is long.'],
        SEATED,
        stretch('thumb extension', 85),
        'stretch-before',
        '1x20s L,R',
      ),
    ],
  ),
  one(
    {
      id: 'stretch.palm-up-turn',
      name: 'Palm-up turn, helped',
      purpose: 'Supination by help: what carrying a tray and catching underhand need.',
    },
    ['Elbow bent at the ribs.', 'The other hand takes the forearm above the wrist and turns it palm up.'],
    ['Turn the forearm, not the hand', 'Elbow at the ribs'],
    { trains: ['pronators'], motions: ['supination'] },
    [
      level(
        ['gentle', 'To the first pull', 'Three quarters of the way.'],
        SEATED,
        stretch('supination', 75),
        'stretch-before',
        '1x15s L,R',
      ),
      level(
        ['further', 'Further', 'Close to the end.'],
        SEATED,
        stretch('supination', 92),
        'stretch-before',
        '1x20s L,R',
      ),
    ],
  ),
  one(
    {
      id: 'stretch.palm-down-turn',
      name: 'Palm-down turn, helped',
      purpose: 'Pronation by help: flat hands on the floor need all of it.',
    },
    ['Elbow bent at the ribs.', 'The other hand takes the forearm above the wrist and turns it palm down and beyond.'],
    ['Turn the forearm, not the hand', 'Shoulder quiet'],
    { trains: ['supinators'], motions: ['pronation'] },
    [
      level(
        ['gentle', 'To the first pull', 'Three quarters of the way.'],
        SEATED,
        stretch('pronation', 75),
        'stretch-before',
        '1x15s L,R',
      ),
      level(
        ['further', 'Further', 'Close to the end.'],
        SEATED,
        stretch('pronation', 92),
        'stretch-before',
        '1x20s L,R',
      ),
    ],
  ),
  one(
    {
      id: 'stretch.finger-wedge',
      name: 'Finger wedge stretch',
      purpose: 'Widens the hand by the other hand’s fingers between two neighbours.',
    },
    [
      'Hand on the thigh, fingers long.',
      'Lay two fingers of the other hand between two neighbours and let them sink in.',
    ],
    ['At the roots of the fingers', 'Every gap once'],
    { trains: ['hand intrinsics'], motions: ['finger spreading'] },
    [
      level(
        ['one-finger', 'One finger between', 'Each gap in turn.'],
        SEATED,
        stretch('finger spreading', 65),
        'stretch-before',
        '1x20s L,R',
      ),
      level(
        ['two-fingers', 'Two fingers between', 'Wider.'],
        SEATED,
        stretch('finger spreading', 85),
        'stretch-before',
        '1x20s L,R',
      ),
    ],
  ),
  one(
    {
      id: 'stretch.thumb-side',
      name: 'Little-finger-side stretch',
      purpose: 'Tips the hand toward the thumb and lengthens the outer edge that gripping and blades shorten.',
    },
    [
      'Forearm on a table, thumb up.',
      'The other hand lifts the little-finger edge so that the hand tips toward the thumb.',
    ],
    ['Only the hand tips', 'Elbow heavy'],
    { trains: ['ulnar deviators'], motions: ['radial deviation'] },
    [
      level(
        ['gentle', 'To the first pull', 'Own muscles lead, the hand follows.'],
        SEATED,
        stretch('radial deviation', 70),
        'stretch-before',
        '1x15s L,R',
        ['table'],
      ),
      level(
        ['further', 'Further', 'The hand rests in the other.'],
        SEATED,
        stretch('radial deviation', 90),
        'stretch-before',
        '1x20s L,R',
        ['table'],
      ),
    ],
  ),
  one(
    {
      id: 'stretch.edge-push-flexors',
      name: 'Push and ease over an edge, palm down',
      purpose: 'Flexors push on the in-breath and ease further on the out-breath: range with strength in it.',
    },
    [
      'Forearm on a table, hand over the edge, fingers up.',
      'In-breath: push the palm gently against the other hand.',
      'Out-breath: stop pushing and ease further.',
    ],
    ['Push a little, ease a little', 'Each breath a new place'],
    {
      trains: ['wrist flexors', 'finger flexors'],
      motions: ['wrist extension'],
      corners: ['open hand, wrist extended'],
    },
    [
      level(
        ['light-push', 'Light push', 'A tenth of your most.'],
        SEATED,
        stretch('wrist extension', 82, 'relaxed', 10),
        'stretch-before',
        '1x3br L,R',
        ['table'],
      ),
      level(
        ['firm-push', 'Firm push', 'A third of your most.'],
        SEATED,
        stretch('wrist extension', 90, 'relaxed', 30),
        'stretch-before',
        '1x3br L,R',
        ['table'],
      ),
      level(
        ['open-fingers', 'Firm push, fingers open', 'The finger muscles join in.'],
        SEATED,
        stretch('wrist extension', 92, 'straight', 30),
        'stretch-before',
        '1x3br L,R',
        ['table'],
      ),
    ],
  ),
  one(
    {
      id: 'stretch.edge-push-extensors',
      name: 'Push and ease over an edge, back of hand',
      purpose: 'The same for the extensors, whose length is often forgotten.',
    },
    [
      'Forearm on a table, hand hanging over the edge.',
      'In-breath: push the back of the hand up against the other hand.',
      'Out-breath: let it hang further.',
    ],
    ['Elbow heavy', 'Push a little, ease a little'],
    { trains: ['wrist extensors', 'finger extensors'], motions: ['wrist flexion'], corners: ['fist, wrist flexed'] },
    [
      level(
        ['light-push', 'Light push, hand open', 'A tenth of your most.'],
        SEATED,
        stretch('wrist flexion', 80, 'straight', 10),
        'stretch-before',
        '1x3br L,R',
        ['table'],
      ),
      level(
        ['firm-push', 'Firm push, loose fist', 'A third of your most.'],
        SEATED,
        stretch('wrist flexion', 85, 'relaxed', 30),
        'stretch-before',
        '1x3br L,R',
        ['table'],
      ),
      level(
        ['fist', 'Firm push, fist', 'The long end of the extensors.'],
        SEATED,
        stretch('wrist flexion', 88, 'curled', 30),
        'stretch-before',
        '1x3br L,R',
        ['table'],
      ),
    ],
  ),
  one(
    {
      id: 'stretch.own-day-flexors',
      name: 'Long flexor stretch, palm on a table',
      purpose: 'Longer holds on their own day build range; before strength they lower it.',
    },
    [
      'Stand at a table, palm flat, fingers toward you or to the side.',
      'Lean back until the forearm’s underside is long.',
      'Stay and breathe.',
    ],
    ['Heel of the hand heavy', 'Elbow straight, not locked'],
    {
      trains: ['wrist flexors', 'finger flexors'],
      motions: ['wrist extension'],
      corners: ['open hand, wrist extended'],
    },
    [
      level(
        ['short', 'Thirty seconds', 'Two rounds.'],
        ['standing', 'none', 'free', 'assisted'],
        stretch('wrist extension', 84, 'straight'),
        'stretch-after',
        '2x30s rest10 L,R',
        ['table'],
      ),
      level(
        ['long', 'A minute', 'Further, two rounds.'],
        ['standing', 'none', 'free', 'assisted'],
        stretch('wrist extension', 92, 'straight'),
        'stretch-after',
        '2x60s rest15 L,R',
        ['table'],
      ),
    ],
  ),
];
