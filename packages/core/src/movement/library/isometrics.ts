import type { Action } from '../../capacity/actions.js';
import type { Motion, MuscleGroup } from '../../anatomy/motions.js';
import type { Movement } from '../movement.js';
import { caution, level, press } from './writing.js';

/** The four wrist directions share everything but where they push: the ladder raises the effort, then changes the angle. */
function againstTheOtherHand(
  slug: string,
  name: string,
  purpose: string,
  place: string,
  trains: readonly MuscleGroup[],
  motion: Motion,
  action: Action,
): Movement {
  return {
    id: `isometric.${slug}`,
    name,
    family: 'isometrics',
    purpose,
    howTo: [place, 'Push without moving; build the push over a second.', 'Let go as slowly as you built it.'],
    cues: ['Nothing moves', 'Breathe through it', 'Even push from first to last'],
    faults: ['Held breath', 'The wrist gives way', 'A jerk at the start'],
    cautions: [
      caution(
        'Low effort first: 20 to 40 %, and ask again the next morning.',
        'tendon-pain',
        'past-sprain',
        'arthritis',
      ),
      caution('No maximal effort; keep breathing.', 'blood-pressure', 'pregnancy'),
    ],
    trains,
    motions: [motion],
    equipment: [],
    sides: ['left-then-right', 'right-then-left', 'left', 'right'],
    directions: null,
    strokes: ['build', 'let go'],
    work: ['repetitions'],
    timed: 'hold',
    climbs: 'effort',
    corners: [],
    ladder: [
      level(
        ['gentle', 'Middle of the range, gentle', 'A fifth to two fifths of full effort.'],
        ['seated', 'none', 'free', 'resisted'],
        press(action),
        'sensitive-isometrics',
        '1x6 @30% 5s tempo1-1 L,R',
      ),
      level(
        ['medium', 'Middle of the range, medium', 'About half of full effort.'],
        ['seated', 'none', 'free', 'resisted'],
        press(action),
        'isometrics',
        '1x6 @50% 5s tempo1-1 L,R',
      ),
      level(
        ['near-end', 'Near the end of the range', 'Medium effort where the muscle is short.'],
        ['seated', 'none', 'free', 'resisted'],
        press(action),
        'isometrics',
        '1x5 @60% 5s tempo1-1 L,R',
      ),
      level(
        ['strong', 'Near the end, strong', 'Up to 85 % of full effort, for prepared wrists.'],
        ['seated', 'none', 'free', 'resisted'],
        press(action),
        'isometrics',
        '2x5 @80% 5s tempo1-1 rest60 L,R',
      ),
    ],
  };
}

export const ISOMETRICS: readonly Movement[] = [
  againstTheOtherHand(
    'extension',
    'Extension press',
    'Wrist extensors push against the other hand: balance for all the gripping.',
    'Forearm on the thigh, palm down; the other hand lies on the knuckles.',
    ['wrist extensors', 'finger extensors'],
    'wrist extension',
    'wrist extension',
  ),
  againstTheOtherHand(
    'flexion',
    'Flexion press',
    'Wrist flexors push without moving: first strength for a sensitive wrist.',
    'Forearm on the thigh, palm up; the other hand lies on the fingers’ base.',
    ['wrist flexors'],
    'wrist flexion',
    'wrist flexion',
  ),
  againstTheOtherHand(
    'radial',
    'Thumb-side press',
    'Holds the wrist against tipping toward the little finger, as a handle or a fall would tip it.',
    'Thumb up, forearm supported; the other hand lies on the thumb side of the knuckles.',
    ['radial deviators'],
    'radial deviation',
    'radial deviation',
  ),
  againstTheOtherHand(
    'ulnar',
    'Little-finger-side press',
    'Strengthens the outer edge that carries throws, blades and straps.',
    'Thumb up, forearm supported; the other hand cups the little-finger edge from below.',
    ['ulnar deviators'],
    'ulnar deviation',
    'ulnar deviation',
  ),
  {
    id: 'isometric.turns',
    name: 'Forearm turn press',
    family: 'isometrics',
    purpose: 'Turning strength in both directions without movement.',
    howTo: ['Elbow bent and at the ribs, thumb up.', 'The other hand holds the wrist and lets nothing turn.'],
    cues: ['Elbow at the ribs', 'Equal both ways'],
    faults: ['Shoulder joins in', 'Held breath'],
    cautions: [caution('Low effort first; ask again the next morning.', 'tendon-pain', 'past-sprain')],
    trains: ['pronators', 'supinators'],
    motions: ['pronation', 'supination'],
    equipment: [],
    sides: ['left-then-right', 'right-then-left', 'left', 'right'],
    directions: ['palm up', 'palm down'],
    strokes: ['build', 'let go'],
    work: ['repetitions'],
    timed: 'hold',
    climbs: 'effort',
    corners: [],
    ladder: [
      level(
        ['gentle', 'Thumb up, gentle', 'A third of full effort.'],
        ['seated', 'none', 'free', 'resisted'],
        press('supination'),
        'sensitive-isometrics',
        '1x5 @30% 4s tempo1-1 L,R <>',
      ),
      level(
        ['medium', 'Thumb up, medium', 'Half of full effort.'],
        ['seated', 'none', 'free', 'resisted'],
        press('supination'),
        'isometrics',
        '1x5 @50% 5s tempo1-1 L,R <>',
      ),
    ],
  },
];
