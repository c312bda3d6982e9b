import { firstOf } from '../../vocabulary/lists.js';
import { adding, choose } from './choose.js';
import { type Check, PRACTICE } from './finding.js';
import { loads } from './warm-up.js';
import { isCoolDown } from './whole.js';

/** Finds load without a warm-up before it. */
export const prepareMissing: Check = {
  id: 'prepare-missing',
  title: 'No warm-up before load',
  severity: 'mend',
  why: 'Start with circulation and free movement.',
  source: PRACTICE,
  find: (view) => {
    const loaded = view.blocks.filter(loads);
    if (loaded.length === 0 || isCoolDown(view) || view.blocks.some(({ block }) => block.phase === 'prepare')) return [];
    const free = choose(view, ({ family }, { loading }) => family === 'free-motion' && loading === 'unloaded', ['free.wrist-circles']);
    const text = 'The sequence starts with load and has no warm-up.';
    return [{ blockIds: [firstOf(loaded).block.id], text, fix: adding(view, 'prepare', free) }];
  },
};
