import type { BlockView } from '../../effort/session-view.js';
import { adding, after, choose } from './choose.js';
import type { Check, Observation } from './finding.js';
import { followersOf } from './order-of-turns.js';
import { STRENGTHENED_PERCENT } from './strengthened.js';

/** Finds strength without its stretch, where the method stretches after each block. */
export const stretchAfterStrength: Check = {
  id: 'stretch-after-strength',
  title: 'Strength without its stretch',
  severity: 'look',
  why: 'This method stretches right after each strength block.',
  source: 'policy of the method',
  find: (view) => {
    if (view.method.stretching !== 'after each strength block') return [];
    return view.blocks.flatMap((block): Observation[] => {
      const next = followersOf(view, block);
      const strengthened = block.block.phase === 'strength' && block.effortPercent >= STRENGTHENED_PERCENT;
      if (!strengthened || block.level.load.kind === 'stretch') return [];
      const shared = (candidate: BlockView) =>
        candidate.movement.trains.some((group) => block.movement.trains.includes(group));
      if (next.some((each) => each.level.load.kind === 'stretch' && shared(each))) return [];
      // A row of sets on one muscle is stretched once, after the last.
      const goesOn = (each: BlockView) =>
        each.index > block.index && each.block.phase === 'strength' && each.effortPercent >= STRENGTHENED_PERCENT;
      if (next.some((each) => shared(each) && goesOn(each))) return [];
      const stretch = choose(
        view,
        (movement, level) =>
          level.load.kind === 'stretch' && movement.trains.some((group) => block.movement.trains.includes(group)),
      );
      const text = `${block.movement.name}: no stretch follows of what was strengthened.`;
      return [{ blockIds: [block.block.id], text, fix: adding(view, 'strength', stretch, after(view, block)) }];
    });
  },
};
