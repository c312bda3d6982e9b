import { say } from '../../vocabulary/sentence.js';
import { lastOf } from '../../vocabulary/lists.js';
import { ids } from './block-views.js';
import { adding, after, choose } from './choose.js';
import { comesAfter } from './order-of-turns.js';
import { type Check, PRACTICE } from './finding.js';
import { ANSWERED_PERCENT, groupEffort, STRENGTHENED_PERCENT } from './strengthened.js';

/** Finds work that closes the hand, with none that opens it. */
export const gripUnanswered: Check = {
  id: 'grip-unanswered',
  title: 'Gripping without opening',
  severity: 'mend',
  why: 'Daily life is all gripping. Balance it by opening the hand against resistance.',
  source: PRACTICE,
  find: (view) => {
    const grips = view.blocks.filter(
      (block) => block.level.loading === 'resisted' && groupEffort(view, block.block.id, 'finger flexors') >= STRENGTHENED_PERCENT,
    );
    const [first] = grips;
    if (!first) return [];
    const opens = view.blocks.some(
      (each) =>
        (each.level.loading !== 'unloaded' && groupEffort(view, each.block.id, 'finger extensors') >= ANSWERED_PERCENT) ||
        (comesAfter(view, each, first) && each.movement.motions.includes('finger spreading')),
    );
    if (opens) return [];
    const opening = choose(view, ({ motions }) => motions.includes('finger spreading'), ['grip.band-opening', 'isometric.finger-spread']);
    const text = say`${first.movement.name}: closes the hand, and no block opens it against resistance.`;
    const last = lastOf(grips);
    const phase = last.block.phase === 'prepare' || last.block.phase === 'range' ? 'strength' : last.block.phase;
    return [{ blockIds: ids(grips), text, fix: adding(view, phase, opening, after(view, last)) }];
  },
};
