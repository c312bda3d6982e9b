import { quantity, say } from '../../vocabulary/sentence.js';
import type { BlockView } from '../../effort/session-view.js';
import { isFree } from './block-views.js';
import { adding, after, choose } from './choose.js';
import { type Check, type Observation, PRACTICE } from './finding.js';
import { followersOf } from './order-of-turns.js';
import { oppositeGroup } from '../../vocabulary/muscles.js';

/** Whether something lets go of the hard work before it: a shake, a stretch, or the opposite muscles, and not hard itself. */
export const letsGoOf = (hard: Pick<BlockView, 'movement'>, next: Pick<BlockView, 'movement' | 'level' | 'hard'>): boolean =>
  !next.hard &&
  (isFree(next) ||
    next.movement.family === 'settle' ||
    next.movement.trains.some((group) => hard.movement.trains.some((worked) => oppositeGroup(worked) === group)));

/** Finds hard blocks without a shake, a stretch or the opposite motion after them. */
export const noRelease: Check = {
  id: 'no-release',
  title: 'No release after hard work',
  severity: 'mend',
  why: 'After each hard block, shake out, stretch or move the opposite way.',
  source: PRACTICE,
  find: (view) =>
    view.blocks.flatMap((block): Observation[] => {
      if (!block.hard || followersOf(view, block).some((next) => letsGoOf(block, next))) return [];
      const shake = choose(view, ({ id }) => id.startsWith('settle.shakes'), ['settle.shakes']);
      const text = say`${block.movement.name}: ${quantity(block.effortPercent, '%')} effort, with no release afterwards.`;
      return [{ blockIds: [block.block.id], text, fix: adding(view, block.block.phase, shake, after(view, block)) }];
    }),
};
