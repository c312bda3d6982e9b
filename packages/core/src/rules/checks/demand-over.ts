import { quantity, say } from '../../vocabulary/sentence.js';
import { easing } from './choose.js';
import type { Check, Observation } from './finding.js';
import { type Doubt, isKnown, measureWords, peopleWords } from '../../effort/doubt.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import { GROUP_OF } from '../../vocabulary/muscles.js';
import { must } from '../../vocabulary/lists.js';
import { HANDS } from '../../vocabulary/hands.js';

/** Finds levels that ask for more than the own maximum. */
export const demandOver: Check = {
  id: 'demand-over',
  title: 'Needs more strength than available',
  severity: 'mend',
  why: 'A level above the athlete’s maximum can’t be done.',
  source: 'demand compared with capacity',
  find: (view) =>
    view.blocks.flatMap((block): Observation[] => {
      if (block.effortPercent <= 100) return [];
      const fix = easing(view, block);
      return [{ blockIds: [block.block.id], ...observationOf(view, block), fix }];
    }),
};

/** Of whose muscles it is too much, and for how many people of whom as much is known. */
function observationOf(view: SessionView, block: BlockView): Pick<Observation, 'text' | 'doubt'> {
  const percent = Math.round(block.effortPercent);
  const demand = must(block.demand, 'a demand of a block with an effort');
  const hand = must(
    HANDS.find((each) => demand[each].effortPercent === block.effortPercent),
    'the hand that it is of',
  );
  const hardest = must(demand[hand].efforts[0], 'an action of an effort');
  const muscles = `the ${hand} ${GROUP_OF[hardest.action]}`;
  const name = block.movement.name;
  if (isKnown(hardest)) return { text: say`${name}: needs ${quantity(percent, '%')} of the maximum of ${muscles}.` };
  const chance = view.chancesIn(`${hand} ${GROUP_OF[hardest.action]}`).get(block.block.id) ?? 0;
  const doubt: Doubt = { hand, action: hardest.action, chance };
  const text = say`${name}: needs ${quantity(percent, '%')} of the estimated maximum of ${muscles}, too much for ${peopleWords(1 - chance)}. Test ${measureWords(doubt)} to be sure.`;
  return { text, doubt };
}
