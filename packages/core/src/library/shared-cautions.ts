import { avoid, caution } from './writing.js';

export const BUILD_UP = caution(
  'Begin two levels below what feels possible; ask again the next morning.',
  'tendon-pain',
  'past-sprain',
  'fluoroquinolones',
);
export const NO_BREATH_HOLD = caution('Keep breathing; no maximal effort.', 'blood-pressure', 'pregnancy');
export const SKIN = caution('Keep split skin off the floor.', 'skin-splits');
export const SORE = caution(
  'On fists or forearms instead while palms hurt.',
  'past-sprain',
  'arthritis',
  'tendon-pain',
);
export const NO_END_RANGE = caution('Stay short of the end of the range.', 'hypermobility');
export const NO_LOADED_FLEXION = avoid(
  'Loaded flexion: not with a sore or recently sprained wrist.',
  'past-sprain',
  'arthritis',
  'tendon-pain',
);
export const NO_FINGER_LOAD = avoid('Leave out: end-range finger joints under load.', 'hypermobility', 'arthritis');
export const GROWING_FINGERS = caution('No maximal finger loading.', 'under-18');
export const HOLD_SKIN = caution('Split skin stays off edges and bars.', 'skin-splits');
export const HOLD_TENDON = caution(
  'Stay at a level that feels the same the next morning.',
  'tendon-pain',
  'fluoroquinolones',
);
