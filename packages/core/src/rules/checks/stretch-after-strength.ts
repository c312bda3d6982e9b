import { say } from '../../vocabulary/sentence.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import { adding, after, choose } from './choose.js';
import type { Check, Observation } from './finding.js';
import { followersOf } from './order-of-turns.js';
import { STRENGTHENED_PERCENT } from './strengthened.js';

const strengthens = ({ block: { phase }, effortPercent, level: { load } }: BlockView) =>
  phase === 'strength' && effortPercent >= STRENGTHENED_PERCENT && load.kind !== 'stretch';
const shareMuscles = (one: BlockView, other: BlockView) => one.movement.trains.some((group) => other.movement.trains.includes(group));

/** Whether a row of strength blocks ends in a stretch that stretches some of what each of them works. */
function isStretchedInRow({ blocks }: SessionView, { index }: BlockView): boolean {
  const following = blocks.slice(index);
  const stretch = following.find((each) => !strengthens(each));
  if (stretch?.level.load.kind !== 'stretch') return false;
  return following.slice(0, following.indexOf(stretch)).every((each) => shareMuscles(each, stretch));
}

/** Finds strength without its stretch, where the method stretches after each block. */
export const stretchAfterStrength: Check = {
  id: 'stretch-after-strength',
  title: 'No stretch after strength work',
  severity: 'look',
  why: 'This method stretches right after each strength block.',
  source: 'training method',
  find: (view) => {
    if (view.method.stretching !== 'after each strength block') return [];
    return view.blocks.flatMap((block): Observation[] => {
      if (!strengthens(block)) return [];
      const next = followersOf(view, block);
      const shared = (other: BlockView) => shareMuscles(block, other);
      if (next.some((each) => each.level.load.kind === 'stretch' && shared(each))) return [];
      // A row of sets on one muscle is stretched once, after the last.
      if (next.some((each) => each.index > block.index && shared(each) && strengthens(each))) return [];
      if (isStretchedInRow(view, block)) return [];
      const stretch = choose(
        view,
        (movement, level) => level.load.kind === 'stretch' && movement.trains.some((group) => block.movement.trains.includes(group)),
      );
      const text = say`${block.movement.name}: no stretch follows for what it strengthens.`;
      return [{ blockIds: [block.block.id], text, fix: adding(view, 'strength', stretch, after(view, block)) }];
    });
  },
};
