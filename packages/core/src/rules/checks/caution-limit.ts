import { brokenBy } from '../caution-limits.js';
import { cautionAdvice } from '../cautions.js';
import { easing } from './choose.js';
import type { Check, Observation } from './finding.js';
import type { BlockView } from '../../effort/session-view.js';
import type { Demand } from '../../mechanics/demand.js';
import { type Hand, handsWorking } from '../../vocabulary/hands.js';

/** Finds efforts, angles and loads over what a recorded caution allows. */
export const cautionLimit: Check = {
  id: 'caution-limit',
  title: 'More than a caution allows',
  severity: 'stop',
  stopRule: true,
  why: 'What a caution asks, and within what somebody was cleared, holds at every level of every movement.',
  source: 'caution and referral rules',
  find: (view) =>
    (view.athlete?.cautions ?? []).flatMap((entry) =>
      view.blocks.flatMap((seen): Observation[] => {
        const { block, level, movement } = seen;
        const demand = asWorked(seen);
        if (!demand) return [];
        const hands = handsWorking(block.dose.sides);
        const found = brokenBy([entry], hands, { level, demand });
        if (!found) return [];
        const fix = easing(view, seen, (easier, asked) => !brokenBy([entry], hands, { level: easier, demand: asked }));
        return [{ blockIds: [block.id], text: `${movement.name}: ${found.broken}. ${cautionAdvice(entry)}`, fix }];
      }),
    ),
};

/** What a block asks, each hand at the hardest moment of its work: the second of two directions may ask more than the first. */
function asWorked({ demand, account }: BlockView): Demand | null {
  if (!demand) return null;
  const of = (hand: Hand) => ({
    ...demand[hand],
    effortPercent: Math.max(demand[hand].effortPercent, account[hand].effortPercent),
  });
  return { ...demand, left: of('left'), right: of('right') };
}
