import { say } from '../../vocabulary/sentence.js';
import { amountOf, worksOf } from '../../model/dose.js';
import { timesOf } from '../../model/rounds.js';
import { must } from '../../vocabulary/lists.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import { ids, isWork } from './block-views.js';
import { adding, choose } from './choose.js';
import { comesAfter } from './order-of-turns.js';
import { type Check, type Observation, PRACTICE } from './finding.js';
import { ANSWERED_PERCENT, groupEffort, STRENGTHENED_PERCENT, stretches } from './strengthened.js';
import { type MuscleGroup, oppositeGroup } from '../../vocabulary/muscles.js';

/** Muscles of wrist and forearm that are answered once they are strengthened. */
export const ANSWERED_GROUPS = [
  'wrist flexors',
  'wrist extensors',
  'radial deviators',
  'ulnar deviators',
  'pronators',
  'supinators',
] as const satisfies readonly MuscleGroup[];

/** Groups that are worked against resistance and get neither a stretch nor their opposite's work. */
function unanswered(view: SessionView, groups: readonly MuscleGroup[], counts: (block: BlockView) => boolean): Observation[] {
  return groups.flatMap((group): Observation[] => {
    const opposite = must(oppositeGroup(group), `an opposite of the ${group}`);
    const worked = view.blocks.filter(
      (block) => isWork(block) && counts(block) && groupEffort(view, block.block.id, group) >= STRENGTHENED_PERCENT,
    );
    const first = worked[0];
    if (!first) return [];
    const isAnswered = view.blocks.some(
      (block) =>
        (block.level.loading !== 'unloaded' && groupEffort(view, block.block.id, opposite) >= ANSWERED_PERCENT) ||
        isLightAnswer(view, block, opposite) ||
        (comesAfter(view, block, first) && stretches(block, group)),
    );
    if (isAnswered) return [];
    const stretch = choose(view, (movement, level) => level.load.kind === 'stretch' && movement.trains.includes(group), STRETCH_OF[group]);
    const text = say`${first.movement.name}: strengthens the ${group}, but nothing stretches them afterwards or works the ${opposite}.`;
    return [{ blockIds: ids(worked), text, fix: adding(view, 'settle', stretch) }];
  });
}
/** So many repetitions or seconds of light work against resistance are an answer too. Working value. */
const LIGHT_ANSWER = { repetitions: 15, time: 30 } as const;

/** Many light repetitions of the opposite, below the effort from which one set counts. */
function isLightAnswer({ sequence }: SessionView, { block, level, movement }: BlockView, opposite: MuscleGroup): boolean {
  const { work } = block.dose;
  if (level.loading !== 'resisted' || !movement.trains.includes(opposite)) return false;
  if (work.kind !== 'repetitions' && work.kind !== 'time') return false;
  const total = worksOf(block.dose).reduce((sum, each) => sum + amountOf(each), 0) * timesOf(sequence, block.id);
  return total >= LIGHT_ANSWER[work.kind];
}

const STRETCH_OF: Partial<Record<MuscleGroup, readonly string[]>> = {
  'wrist flexors': ['settle.long-flexors'],
  'wrist extensors': ['settle.long-extensors'],
  pronators: ['stretch.palm-up-turn'],
  supinators: ['stretch.palm-down-turn'],
};

/** Finds muscles of wrist and forearm that are strengthened and neither stretched afterwards nor answered by their opposite. */
export const antagonistUnanswered: Check = {
  id: 'antagonist-unanswered',
  title: 'Strengthened but not balanced',
  severity: 'mend',
  why: 'After strengthening a muscle, stretch it or work its opposite.',
  source: PRACTICE,
  find: (view) => unanswered(view, ANSWERED_GROUPS, ({ level }) => level.loading === 'resisted'),
};
