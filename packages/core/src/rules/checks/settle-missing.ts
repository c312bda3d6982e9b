import { lastOf } from '../../vocabulary/lists.js';
import { adding, choose } from './choose.js';
import { type Check, PRACTICE } from './finding.js';
import { loads } from './warm-up.js';

/** Finds sessions that end on load. */
export const settleMissing: Check = {
  id: 'settle-missing',
  title: 'No cool-down',
  severity: 'mend',
  why: 'End with shaking out, long easy stretches and quiet breathing.',
  source: PRACTICE,
  find: (view) => {
    const loaded = view.blocks.filter(loads);
    if (loaded.length === 0 || view.blocks.some(({ block }) => block.phase === 'settle')) return [];
    const wanted = view.method.afterCare === 'warmth' ? ['settle.warm-hands', 'settle.shakes'] : ['settle.shakes'];
    const settle = choose(view, ({ family }, { loading }) => family === 'settle' && loading === 'unloaded', wanted);
    const text = 'The sequence ends with load and has no cool-down.';
    return [{ blockIds: [lastOf(loaded).block.id], text, fix: adding(view, 'settle', settle) }];
  },
};
