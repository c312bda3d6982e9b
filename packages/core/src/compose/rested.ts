import { breakFor, groupRests } from '../effort/group-rests.js';
import { viewOf } from '../effort/session-view.js';
import type { Sequence } from '../model/sequence.js';
import { type Composing, examined } from './question.js';

/** A sequence with breaks where muscles would work again before the rest that their dose names is over; what is locked keeps its own. */
export function rested(composing: Composing, sequence: Sequence): Sequence {
  const lockedIds = new Set(composing.locked?.map(({ id }) => id));
  const rests = groupRests(viewOf(examined(composing, sequence.blocks, sequence.rounds)));
  const at = new Map(sequence.blocks.map(({ id }, index) => [id, index]));
  const added = sequence.blocks.map(() => 0);
  const blocks = sequence.blocks.map((block, index) => {
    const missing = rests
      .filter(({ toId }) => toId === block.id)
      .map(({ fromId, restS, namedS }) => {
        const since = added.slice((at.get(fromId) ?? 0) + 1, index).reduce((sum, each) => sum + each, 0);
        return namedS - restS - since;
      });
    const breakS = breakFor(Math.max(0, ...missing));
    if (breakS === 0 || lockedIds.has(block.id)) return block;
    added[index] = breakS;
    return { ...block, breakS: (block.breakS ?? 0) + breakS };
  });
  return { ...sequence, blocks };
}
