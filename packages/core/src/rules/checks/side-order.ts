import { say } from '../../vocabulary/sentence.js';
import { ids } from './block-views.js';
import { named } from './choose.js';
import type { Check } from './finding.js';
import { otherHand, type SidePlan } from '../../vocabulary/hands.js';

/** One hand after the other, the other way round. */
function swapped(sides: SidePlan): SidePlan {
  if (sides === 'left-then-right') return 'right-then-left';
  return sides === 'right-then-left' ? 'left-then-right' : sides;
}

/** Finds blocks in which the stronger hand goes first, where the method lets the weaker one begin. */
export const sideOrder: Check = {
  id: 'side-order',
  title: 'Stronger hand goes first',
  severity: 'look',
  why: 'The weaker side sets the dose, so it goes first.',
  source: 'training method',
  find: ({ blocks, method, weaker }) => {
    if (method.sides !== 'weaker first' || !weaker) return [];
    const wrong = `${otherHand(weaker)}-then-${weaker}`;
    const concerned = blocks.filter(
      ({ block, movement }) => block.dose.sides === wrong && movement.sides.includes(swapped(block.dose.sides)),
    );
    if (concerned.length === 0) return [];
    const edits = concerned.map(({ block }) => ({
      kind: 'change' as const,
      blockId: block.id,
      dose: { ...block.dose, sides: swapped(block.dose.sides) },
    }));
    const text = say`${named(concerned)}: the stronger hand goes first.`;
    return [{ blockIds: ids(concerned), text, fix: { label: say`Start with the ${weaker} hand`, edits } }];
  },
};
