import { easing, effortOf } from './choose.js';
import type { Check, Observation } from './finding.js';

/** Finds levels that ask for more than the own maximum. */
export const demandOver: Check = {
  id: 'demand-over',
  title: 'More strength than there is',
  severity: 'mend',
  why: 'Above the own maximum a level is not available.',
  source: 'demand over capacity',
  find: (view) =>
    view.blocks.flatMap((block): Observation[] => {
      if (block.effortPercent <= 100) return [];
      const text = `${block.movement.name}: ${Math.round(block.effortPercent)} % of the own maximum.`;
      return [
        { blockIds: [block.block.id], text, fix: easing(view, block, (_level, demand) => effortOf(demand) <= 100) },
      ];
    }),
};
