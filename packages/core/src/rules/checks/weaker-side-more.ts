import { say } from '../../vocabulary/sentence.js';
import { type BlockView, failingAfter, type SessionView } from '../../effort/session-view.js';
import { applyEdits, type Edit, freshBlockId } from '../../model/edits.js';
import { setCount, withSetGroups } from '../../model/dose.js';
import { timesOf } from '../../model/rounds.js';
import { barredHands } from '../safety/cautions.js';
import { ids } from './block-views.js';
import { byMovement } from './by-movement.js';
import type { Check } from './finding.js';
import { type Hand, otherHand } from '../../vocabulary/hands.js';

/** More than this of one block is added elsewhere. Working value. */
const MOST_MORE_SETS = 3;

/** Sets of one hand after the blocks that it works in already, as far as it can hold them, until the missing seconds are there. */
function moreFor(view: SessionView, hand: Hand, candidates: readonly BlockView[], missingS: number): Edit[] {
  const failing = failingAfter(view, []);
  const edits: Edit[] = [];
  let leftS = missingS;
  for (const { block, index, account } of candidates) {
    const perSetS = account[hand].workS / (setCount(block.dose) * timesOf(view.sequence, block.id));
    const id = freshBlockId(applyEdits(view.sequence, edits), block.movementId);
    const before = view.blocks[index + 1]?.block.id ?? null;
    for (let sets = Math.min(MOST_MORE_SETS, Math.ceil(leftS / perSetS)); sets > 0; sets--) {
      const dose = withSetGroups({ ...block.dose, sides: hand }, [{ sets, work: block.dose.work }]);
      const add: Edit = { kind: 'add', block: { ...block, id, dose }, before };
      if ([...failingAfter(view, [...edits, add])].some((blockId) => !failing.has(blockId))) continue;
      edits.push(add);
      leftS -= sets * perSetS;
      break;
    }
    if (leftS <= 0) break;
  }
  return edits;
}

/** Finds weaker hands that get no more, where the method gives them a stated share. */
export const weakerSideMore: Check = {
  id: 'weaker-side-more',
  title: 'Weaker hand gets no extra work',
  severity: 'look',
  why: 'This method gives the weaker hand a set share of extra work.',
  source: 'training method',
  find: (view) => {
    const { weaker, method } = view;
    if (!weaker || method.sides !== 'weaker first' || method.weakerSideRatio <= 1) return [];
    if (barredHands(view.athlete?.cautions ?? []).length > 0) return [];
    const strength = byMovement(view).filter(({ views }) =>
      views.some(({ level, block }) => level.loading === 'resisted' && block.phase !== 'prepare'),
    );
    const [mine, others] = [weaker, otherHand(weaker)].map((hand) => strength.reduce((sum, { workS }) => sum + workS[hand], 0)) as [
      number,
      number,
    ];
    if (others === 0 || mine / others >= method.weakerSideRatio * 0.95) return [];
    // The largest two-handed block is the one whose extra set tells least.
    const candidates = strength
      .flatMap(({ views }) => views)
      .filter(({ movement, account }) => movement.sides.includes(weaker) && account[weaker].workS > 0)
      .sort((a, b) => b.account[weaker].workS - a.account[weaker].workS);
    const missingS = method.weakerSideRatio * others - mine;
    const text = say`The ${weaker} hand tests weaker and works ${(mine / others).toFixed(2)} × as much as the other. ${method.name} sets ${method.weakerSideRatio} ×.`;
    const edits = () => moreFor(view, weaker, candidates, missingS);
    const fix = candidates.length > 0 ? { label: say`Add sets for the ${weaker} hand`, edits } : undefined;
    return [{ blockIds: ids(candidates.slice(0, 1)), text, fix }];
  },
};
