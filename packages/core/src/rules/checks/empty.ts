import { adding, choose } from './choose.js';
import { type Check, PRACTICE } from './finding.js';

/** Finds a sequence without a block. */
export const empty: Check = {
  id: 'empty',
  title: 'Nothing in it yet',
  severity: 'look',
  why: 'A sequence needs a block to be led.',
  source: PRACTICE,
  find: (view) => {
    if (view.blocks.length > 0) return [];
    const free = choose(view, ({ family }) => family === 'free-motion', ['free.wrist-circles']);
    return [{ blockIds: [], text: 'No blocks yet: begin with free motion.', fix: adding(view, 'prepare', free) }];
  },
};
