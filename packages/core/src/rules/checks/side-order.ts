import { ids } from './block-views.js';
import { named } from './choose.js';
import type { Check } from './finding.js';
import { otherHand, type SidePlan } from '../../vocabulary/hands.js';

const SWAPPED: Partial<Record<SidePlan, SidePlan>> = {
  'left-then-right': 'right-then-left',
  'right-then-left': 'left-then-right',
};

export const sideOrder: Check = {
  id: 'side-order',
  title: 'The stronger hand goes first',
  severity: 'look',
  why: 'The weaker side sets the dose, so it goes first.',
  source: 'policy of the method',
  find: ({ blocks, method, weaker }) => {
    if (method.sides !== 'weaker first' || !weaker) return [];
    const wrong = `${otherHand(weaker)}-then-${weaker}`;
    const concerned = blocks.filter(
      ({ block, movement }) => block.dose.sides === wrong && movement.sides.includes(SWAPPED[block.dose.sides]!),
    );
    if (concerned.length === 0) return [];
    const edits = concerned.map(({ block }) => ({
      kind: 'change' as const,
      blockId: block.id,
      dose: { ...block.dose, sides: SWAPPED[block.dose.sides]! },
    }));
    const text = `${named(concerned)}: the stronger hand goes first.`;
    return [{ blockIds: ids(concerned), text, fix: { label: `Begin with the ${weaker} hand`, edits } }];
  },
};
