import { firstOf, lastOf } from '../../vocabulary/lists.js';
import { ids } from './block-views.js';
import { adding, after, choose } from './choose.js';
import { type Check, PRACTICE } from './finding.js';
import { ANSWERED_PERCENT, groupEffort, STRENGTHENED_PERCENT } from './strengthened.js';

/** Finds work that closes the hand, with none that opens it. */
export const gripUnanswered: Check = {
  id: 'grip-unanswered',
  title: 'Gripping without opening',
  severity: 'mend',
  why: 'Everyday life grips; opening against resistance is the counterweight.',
  source: PRACTICE,
  find: (view) => {
    const grips = view.blocks.filter(
      (block) =>
        block.level.loading === 'resisted' &&
        groupEffort(view, block.block.id, 'finger flexors') >= STRENGTHENED_PERCENT,
    );
    const opens = view.blocks.some(
      ({ block, level, movement, index }) =>
        (level.loading !== 'unloaded' && groupEffort(view, block.id, 'finger extensors') >= ANSWERED_PERCENT) ||
        (index > (grips[0]?.index ?? 0) && movement.motions.includes('finger spreading')),
    );
    if (grips.length === 0 || opens) return [];
    const opening = choose(view, ({ motions }) => motions.includes('finger spreading'), [
      'grip.band-opening',
      'isometric.finger-spread',
    ]);
    const text = `${firstOf(grips).movement.name}: the hand closes; nothing opens it against resistance.`;
    const last = lastOf(grips);
    const phase = last.block.phase === 'prepare' || last.block.phase === 'range' ? 'strength' : last.block.phase;
    return [{ blockIds: ids(grips), text, fix: adding(view, phase, opening, after(view, last)) }];
  },
};
