import { itemAt } from '../../vocabulary/lists.js';
import { PLACE_OF } from '../../vocabulary/places.js';
import type { BlockView } from '../../effort/session-view.js';
import type { Edit } from '../../model/edits.js';
import { type Check, PRACTICE } from './finding.js';
import { PHASES } from '../../vocabulary/phases.js';

const placeOf = ({ level }: BlockView) => PLACE_OF[level.posture];
const changesOf = (blocks: readonly BlockView[]) =>
  blocks.filter((block, index) => index > 0 && placeOf(block) !== placeOf(itemAt(blocks, index - 1))).length;

/** Finds sequences that change between floor, chair and standing too often. */
export const positionChanges: Check = {
  id: 'position-changes',
  title: 'Up and down too often',
  severity: 'look',
  why: 'Seated together, floor together: every change costs ten seconds and the thread.',
  source: PRACTICE,
  find: (view) => {
    const minutes = Math.max(10, view.timeline.durationMs / 60_000);
    const changes = changesOf(view.blocks);
    const most = Math.max(2, Math.round((view.method.positionChanges * minutes) / 10));
    if (changes <= most) return [];
    const sorted = gathered(view.blocks);
    const text = `${changes} changes of position in ${Math.round(minutes)} min; this method has at most ${most}.`;
    if (changesOf(sorted) >= changes) return [{ blockIds: [], text }];
    const edits = sorted.map(({ block }): Edit => ({
      kind: 'move',
      blockId: block.id,
      phase: block.phase,
      before: null,
    }));
    return [{ blockIds: [], text, fix: { label: 'Gather each place within its phase', edits } }];
  },
};

/** Within each phase the blocks of one place stand together, the place that the phase before ended in first; order stays otherwise. */
function gathered(blocks: readonly BlockView[]): BlockView[] {
  const result: BlockView[] = [];
  for (const phase of PHASES) {
    const mine = blocks.filter(({ block }) => block.phase === phase);
    const places = [...new Set(mine.map(placeOf))];
    const last = result.at(-1);
    places.sort((a, b) => Number(last && b === placeOf(last)) - Number(last && a === placeOf(last)));
    for (const place of places) result.push(...mine.filter((block) => placeOf(block) === place));
  }
  return result;
}
