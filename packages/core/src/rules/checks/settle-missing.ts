import { lastOf } from '../../vocabulary/lists.js';
import { adding, choose } from './choose.js';
import { type Check, PRACTICE } from './finding.js';
import { loads } from './warm-up.js';

/** Finds sessions that end on load. */
export const settleMissing: Check = {
  id: 'settle-missing',
  title: 'No settling at the end',
  severity: 'mend',
  why: 'Shakes, long easy stretches and quiet breathing end a session.',
  source: PRACTICE,
  find: (view) => {
    const loaded = view.blocks.filter(loads);
    if (loaded.length === 0 || view.blocks.some(({ block }) => block.phase === 'settle')) return [];
    const wanted = view.method.afterCare === 'warmth' ? ['settle.warm-hands', 'settle.shakes'] : ['settle.shakes'];
    const settle = choose(view, ({ family }, { loading }) => family === 'settle' && loading === 'unloaded', wanted);
    const text = 'It ends with load: there is no block in the phase settle.';
    return [{ blockIds: [lastOf(loaded).block.id], text, fix: adding(view, 'settle', settle) }];
  },
};
