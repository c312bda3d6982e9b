import { quantity, say } from '../../vocabulary/sentence.js';
import type { BlockView } from '../../effort/session-view.js';
import { isFree, isWork } from './block-views.js';
import { type Check, type Observation, PRACTICE } from './finding.js';
import { inWarmUp, LOADS_FROM_PERCENT } from './warm-up.js';

/** Finds warm-ups that are harder than what they prepare for. */
export const warmUpOver: Check = {
  id: 'warm-up-over',
  title: 'Warm-up harder than the training',
  severity: 'mend',
  why: 'A warm-up ends near the load of the training, not above it.',
  source: PRACTICE,
  find: (view) => {
    const most = (views: readonly BlockView[]) => Math.max(0, ...views.map(({ effortPercent }) => effortPercent));
    const training = view.blocks.filter(isWork);
    const limit = Math.max(most(training), LOADS_FROM_PERCENT);
    if (training.length === 0) return [];
    return view.blocks.flatMap((block): Observation[] => {
      if (!inWarmUp(block) || isFree(block) || block.effortPercent <= limit * 1.1) return [];
      const text = say`${block.movement.name}: ${quantity(block.effortPercent, '%')} effort in the warm-up; the training only needs ${quantity(limit, '%')}.`;
      const edits = [{ kind: 'move' as const, blockId: block.block.id, phase: 'load' as const, before: null }];
      return [{ blockIds: [block.block.id], text, fix: { label: 'Move it to load', edits } }];
    });
  },
};
