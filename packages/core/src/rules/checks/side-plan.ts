import { say } from '../../vocabulary/sentence.js';
import { ids } from './block-views.js';
import { named } from './choose.js';
import type { Check } from './finding.js';
import type { Edit } from '../../model/edits.js';

/** Finds blocks whose hands work in another way than the method’s. */
export const sidePlan: Check = {
  id: 'side-plan',
  title: 'Hands used differently from the method',
  severity: 'look',
  why: 'The method says whether hands work together or one at a time.',
  source: 'training method',
  find: ({ blocks, method }) => {
    if (method.sides !== 'one at a time' && method.sides !== 'together') return [];
    const together = method.sides === 'together';
    const plan = together ? 'together' : 'left-then-right';
    const concerned = blocks.filter(
      ({ block, movement }) =>
        (block.dose.sides === 'together') !== together &&
        movement.sides.includes(plan) &&
        block.phase !== 'prepare' &&
        block.phase !== 'settle',
    );
    if (concerned.length === 0) return [];
    const edits = concerned.map(({ block }): Edit => ({
      kind: 'change',
      blockId: block.id,
      dose: { ...block.dose, sides: plan },
    }));
    const way = together ? 'both hands together' : 'one hand at a time';
    const text = say`${named(concerned)}: ${together ? 'one hand at a time' : 'both hands together'}; ${method.name} works ${way}.`;
    return [{ blockIds: ids(concerned), text, fix: { label: way.charAt(0).toUpperCase() + way.slice(1), edits } }];
  },
};
