import { isThumbForgotten } from '../../effort/gaps.js';
import { adding, choose } from './choose.js';
import { type Check, PRACTICE } from './finding.js';
import { isWhole } from './whole.js';

/** Finds sequences in which the thumb gets nothing of its own. */
export const thumbForgotten: Check = {
  id: 'thumb-forgotten',
  title: 'Thumb left out',
  severity: 'look',
  why: 'The thumb has its own muscles and is left out more often than any finger.',
  source: PRACTICE,
  find: (view) => {
    if (!isWhole(view) || !isThumbForgotten(view.blocks.map(({ movement }) => movement))) return [];
    const choice = choose(view, ({ trains, family }) => family === 'free-motion' && trains.includes('thumb muscles'), [
      'free.finger-touches',
    ]);
    return [{ blockIds: [], text: 'No block works the thumb.', fix: adding(view, 'prepare', choice) }];
  },
};
