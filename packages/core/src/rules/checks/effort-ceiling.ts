import { quantity, say } from '../../vocabulary/sentence.js';
import { withEffortUpTo } from '../../model/dose-further.js';
import { changing, easing, lowering } from './choose.js';
import type { Check, Observation } from './finding.js';
import { type Doubt, effortWords, isKnown } from '../../effort/doubt.js';
import type { BlockView } from '../../effort/session-view.js';
import { normalShare } from '../../mechanics/belief.js';
import { HANDS } from '../../vocabulary/hands.js';

/** Finds efforts above the method’s ceiling. */
export const effortCeiling: Check = {
  id: 'effort-ceiling',
  title: 'Harder than the method allows',
  severity: 'mend',
  why: 'The method sets how hard a block may be.',
  source: 'training method',
  find: (view) => {
    const { effortCeilingPercent: ceiling, name } = view.method;
    return view.blocks.flatMap((block): Observation[] => {
      if (block.effortPercent <= ceiling + 0.5) return rangeOver(block, ceiling, name);
      if (block.effortPercent > 100) return [];
      const { interval, doubt } = hardestOf(block, ceiling);
      const text = say`${block.movement.name}: ${effortWords(block.effortPercent, interval)} effort; ${name} allows up to ${quantity(ceiling, '%')}.`;
      const fix = lowering(block, ceiling) ?? easing(view, block);
      return [{ blockIds: [block.block.id], text, fix, doubt }];
    });
  },
};

/** A range that begins below the ceiling and ends above it. */
function rangeOver(block: BlockView, ceiling: number, method: string): Observation[] {
  const { dose, id } = block.block;
  if ((dose.effortToPercent ?? 0) <= ceiling) return [];
  const text = say`${block.movement.name}: up to ${quantity(dose.effortToPercent ?? 0, '%')} effort; ${method} allows up to ${quantity(ceiling, '%')}.`;
  return [{ blockIds: [id], text, fix: changing(`Stay within ${ceiling} %`, block, withEffortUpTo(dose, ceiling)) }];
}

/** Where the effort lies for most, and what nobody has measured and could bring it below the ceiling. */
function hardestOf({ demand, effortPercent }: BlockView, ceiling: number) {
  const hand = HANDS.find((each) => demand?.[each].effortPercent === effortPercent) ?? 'left';
  const hardest = demand?.[hand].efforts[0];
  const interval = hardest?.interval ?? ([effortPercent, effortPercent] as const);
  const open = hardest && !isKnown(hardest) && interval[0] < ceiling;
  const doubt: Doubt | undefined = open
    ? { hand, action: hardest.action, chance: normalShare(Math.log(ceiling / effortPercent) / hardest.logSd) }
    : undefined;
  return { interval, doubt };
}
