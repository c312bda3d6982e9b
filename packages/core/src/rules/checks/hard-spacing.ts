import { quantity, say } from '../../vocabulary/sentence.js';
import { hardGroups, type PastLoad, SPACED_PERCENT } from '../../effort/past.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import type { Edit } from '../../model/edits.js';
import { ids } from './block-views.js';
import { hardestEffort } from '../gate/gate.js';
import { easing, lowering } from './choose.js';
import { type Check, editsOf, type Observation } from './finding.js';
import { hoursBetween } from '../../vocabulary/days.js';
import { HANDS } from '../../vocabulary/hands.js';
import { MUSCLE_GROUPS, type MuscleGroup, partsOf } from '../../vocabulary/muscles.js';
import { capital, listed } from '../../vocabulary/text.js';

/** Hours since a session that worked a group of either hand hard began, so that every second evening is two days; infinite where none did. */
export function hoursSinceHard({ past, now }: { readonly past: readonly PastLoad[]; readonly now: string }, group: MuscleGroup): number {
  const before = past.filter(({ hard }) => hard.some((key) => partsOf(key).group === group));
  return Math.min(...before.map(({ startedAt }) => hoursBetween(startedAt, now)).filter((hours) => hours >= 0));
}

/** Hard sessions of the same muscles need their days. */
export const hardSpacing: Check = {
  id: 'hard-spacing',
  title: 'Hard work again too soon',
  severity: 'mend',
  why: 'Muscles and tendons that worked hard need days to recover before the next such session.',
  source: 'Bohm, Mersmann, Arampatzis 2015, Sports Med Open 1:7; spacing of the method',
  find: (view): Observation[] => {
    const again = new Set(hardGroups(view.efforts).map((key) => partsOf(key).group));
    const groups = MUSCLE_GROUPS.filter((group) => again.has(group) && hoursSinceHard(view, group) < view.method.hardSpacingH);
    const hard = view.blocks.filter((block) => groups.some((group) => worksHard(view, block, group)));
    if (hard.length === 0) return [];
    const hours = Math.min(...groups.map((group) => hoursSinceHard(view, group)));
    const text = say`${capital(listed(groups))} worked for half a minute or longer at ${quantity(SPACED_PERCENT, '%')} or more ${quantity(hours, 'h')} ago. This method leaves ${quantity(view.method.hardSpacingH, 'h')} between.`;
    const edits = hard.flatMap((block) => softened(view, block));
    return [
      {
        blockIds: ids(hard),
        text,
        fix: { label: say`Keep ${hard.length === 1 ? 'it' : 'them'} below ${quantity(SPACED_PERCENT, '%')}`, edits },
      },
    ];
  },
};

function worksHard({ efforts }: SessionView, { block }: BlockView, group: string): boolean {
  return HANDS.some((hand) =>
    (efforts.spans.get(`${hand} ${group}` as never) ?? []).some(
      ({ blockId, effort }) => blockId === block.id && effort * 100 >= SPACED_PERCENT,
    ),
  );
}

function softened(view: SessionView, block: BlockView): readonly Edit[] {
  return editsOf(lowering(block, SPACED_PERCENT - 5) ?? easing(view, block, (work) => hardestEffort(work) < SPACED_PERCENT));
}
