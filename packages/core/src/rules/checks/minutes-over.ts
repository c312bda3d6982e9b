import type { SessionView } from '../../effort/session-view.js';
import { applyEdits, type Edit } from '../../model/edits.js';
import { findLevel } from '../../model/movement.js';
import { type Block, SEQUENCE_LIMITS } from '../../model/sequence.js';
import type { Check } from './finding.js';
import { unusualInDose } from '../usual-dose.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';

export const minutesOver: Check = {
  id: 'minutes-over',
  title: 'Longer than there is time',
  severity: 'mend',
  why: 'What is over time is what gets rushed, and it is always the settling.',
  source: 'the minutes that there are',
  find: (view) => {
    const overMs = view.timeline.durationMs - view.sequence.budgetMin * 60_000;
    if (overMs <= 0) return [];
    const edits = trimmed(view);
    const text = `${Math.ceil(overMs / 1000)} s over the ${view.sequence.budgetMin} minutes.`;
    if (edits) return [{ blockIds: [], text, fix: { label: 'Fewer sets where there are most', edits } }];
    const budgetMin = Math.ceil(view.timeline.durationMs / 60_000);
    if (budgetMin > SEQUENCE_LIMITS.budgetMin.max)
      return [{ blockIds: [], text: `${text} ${SEQUENCE_LIMITS.budgetMin.max} minutes are the most.` }];
    return [
      { blockIds: [], text, fix: { label: `Make it ${budgetMin} minutes`, edits: [{ kind: 'budget', budgetMin }] } },
    ];
  },
};

/** Takes a set from the longest block with several, until it fits; null when that is not enough. */
function trimmed(view: SessionView): Edit[] | null {
  let sequence = view.sequence;
  const budgetMs = sequence.budgetMin * 60_000;
  for (let round = 0; round < 60; round++) {
    const { blocks, durationMs } = compileTimeline(sequence, view.lookup);
    if (durationMs <= budgetMs) {
      return sequence.blocks.flatMap((block, index) => {
        const before = view.sequence.blocks[index]!;
        return block === before ? [] : [{ kind: 'change' as const, blockId: block.id, dose: block.dose }];
      });
    }
    const longest = blocks
      .map(({ startMs, endMs }, index) => ({ ms: endMs - startMs, block: sequence.blocks[index]! }))
      .filter(({ block }) => block.dose.sets > 1 && staysUsual(view, block))
      .sort((a, b) => b.ms - a.ms)[0];
    if (!longest) return null;
    const { id, dose } = longest.block;
    sequence = applyEdits(sequence, [{ kind: 'change', blockId: id, dose: { ...dose, sets: dose.sets - 1 } }]);
  }
  return null;
}

/** Whether a set less is not less than usual. */
function staysUsual(view: SessionView, { dose, movementId, levelId }: Block): boolean {
  const { dosing } = findLevel(view.lookup(movementId)!, levelId)!;
  return unusualInDose({ ...dose, sets: dose.sets - 1 }, dosing).length <= unusualInDose(dose, dosing).length;
}
