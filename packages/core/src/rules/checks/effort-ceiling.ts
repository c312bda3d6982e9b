import { easing, effortOf, lowering } from './choose.js';
import type { Check, Observation } from './finding.js';

/** Finds efforts above the method’s ceiling. */
export const effortCeiling: Check = {
  id: 'effort-ceiling',
  title: 'Harder than the method goes',
  severity: 'mend',
  why: 'The method sets how hard a block may be.',
  source: 'policy of the method',
  find: (view) => {
    const { effortCeilingPercent: ceiling, name } = view.method;
    return view.blocks.flatMap((block): Observation[] => {
      if (block.effortPercent <= ceiling + 0.5 || block.effortPercent > 100) return [];
      const text = `${block.movement.name}: ${Math.round(block.effortPercent)} % effort; ${name} goes to ${ceiling} %.`;
      const fix = lowering(block, ceiling) ?? easing(view, block, (_level, demand) => effortOf(demand) <= ceiling);
      return [{ blockIds: [block.block.id], text, fix }];
    });
  },
};
