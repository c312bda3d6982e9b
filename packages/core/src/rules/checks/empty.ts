import { adding, choose } from './choose.js';
import { type Check, PRACTICE } from './finding.js';

/** Finds a sequence without a block. */
export const empty: Check = {
  id: 'empty',
  title: 'Empty sequence',
  severity: 'look',
  why: 'You can’t lead a sequence without blocks.',
  source: PRACTICE,
  find: (view) => {
    if (view.blocks.length > 0) return [];
    const free = choose(view, ({ family }) => family === 'free-motion', ['free.wrist-circles']);
    return [{ blockIds: [], text: 'No blocks yet. Start with free movement.', fix: adding(view, 'prepare', free) }];
  },
};
