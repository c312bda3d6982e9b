import type { BlockView } from '../../effort/session-view.js';
import type { Edit } from '../../model/edits.js';
import { firstOf } from '../../vocabulary/lists.js';
import { PHASE_NAMES, PHASES } from '../../vocabulary/phases.js';
import { say } from '../../vocabulary/sentence.js';
import { ids } from './block-views.js';
import { named } from './choose.js';
import { type Check, PRACTICE } from './finding.js';

const rankOf = ({ block }: BlockView) => PHASES.indexOf(block.phase);

/** Finds blocks that come before or after the rest of their phase. The order stays as it was written unless the coach takes the fix. */
export const phaseOrder: Check = {
  id: 'phase-order',
  title: 'Out of the order of phases',
  severity: 'look',
  why: 'Prepare first, then range, load, strength and skill; cool down last.',
  source: PRACTICE,
  find: ({ blocks }) => {
    const inOrder = longestInOrder(blocks);
    const others = blocks.filter((view) => !inOrder.has(view));
    if (others.length === 0) return [];
    const first = firstOf(others);
    const nameOf = ({ block }: BlockView) => PHASE_NAMES[block.phase].toLowerCase();
    const ahead = blocks.findLast((view) => view.index < first.index && rankOf(view) > rankOf(first));
    const behind = blocks.find((view) => view.index > first.index && rankOf(view) < rankOf(first));
    const phase = nameOf(first);
    const text = say`${named(others)}: ${phase} ${ahead ? `after ${nameOf(ahead)}` : `before ${nameOf(behind ?? first)}`}.`;
    const edits = others.map((view): Edit => {
      const next = blocks.find((other) => inOrder.has(other) && rankOf(other) > rankOf(view));
      return { kind: 'move', blockId: view.block.id, phase: view.block.phase, before: next?.block.id ?? null };
    });
    return [{ blockIds: ids(others), text, fix: { label: `Move ${others.length === 1 ? 'it' : 'them'} to the ${phase}`, edits } }];
  },
};

/** The most blocks that follow each other in the order of their phases: whatever is not among them is early or late. */
function longestInOrder(blocks: readonly BlockView[]): ReadonlySet<BlockView> {
  // The longest so far that ends in each phase.
  const ending: BlockView[][] = PHASES.map(() => []);
  for (const view of blocks) {
    const rank = rankOf(view);
    const before = ending.slice(0, rank + 1).reduce((best, each) => (each.length >= best.length ? each : best), []);
    ending[rank] = [...before, view];
  }
  return new Set(ending.reduce((best, each) => (each.length > best.length ? each : best), []));
}
