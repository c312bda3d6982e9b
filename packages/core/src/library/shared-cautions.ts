import { avoid, caution } from './writing.js';

/** For what loads slowly healing tissue. */
export const BUILD_UP = caution(
  'Start two levels below what feels possible; check in again the next morning.',
  'tendon-pain',
  'past-sprain',
  'fluoroquinolones',
);
/** For holds that invite pressing. */
export const NO_BREATH_HOLD = caution('Keep breathing; no maximal effort.', 'blood-pressure', 'pregnancy');
/** Colours of the near and the far side. */
export const SKIN = caution('Keep split skin off the floor.', 'skin-splits');
/** For the loaded palm. */
export const SORE = caution('Use fists or forearms while the palms hurt.', 'past-sprain', 'arthritis', 'tendon-pain');
/** For ends of a range. */
export const NO_END_RANGE = caution('Stay short of end range.', 'hypermobility');
/** For weight on a bent wrist. */
export const NO_LOADED_FLEXION = avoid(
  'Loaded flexion: not with a sore or recently sprained wrist.',
  'past-sprain',
  'arthritis',
  'tendon-pain',
);
/** For weight on straight or bent-back fingers. */
export const NO_FINGER_LOAD = avoid('Leave out: end-range finger joints under load.', 'hypermobility', 'arthritis');
/** For strong work of the fingers. */
export const GROWING_FINGERS = caution('No maximal finger loading.', 'under-18');
/** For edges and bars. */
export const HOLD_SKIN = caution('Keep split skin off edges and bars.', 'skin-splits');
/** For hangs and pulls. */
export const HOLD_TENDON = caution('Stay at a level that feels the same the next morning.', 'tendon-pain', 'fluoroquinolones');
/** For presses at an effort that is chosen. */
export const LOW_FIRST = caution(
  'Low effort in the first sessions. Check in again the next morning.',
  'tendon-pain',
  'past-sprain',
  'arthritis',
  'fluoroquinolones',
);
/** For the same, where pressure must not rise. */
export const NO_MAXIMAL = caution('No maximal effort; keep breathing.', 'blood-pressure', 'pregnancy');
