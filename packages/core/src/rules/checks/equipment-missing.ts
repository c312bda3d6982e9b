import { say } from '../../vocabulary/sentence.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import type { Edit } from '../../model/edits.js';
import { missingFor } from '../gate/at-hand.js';
import { choose, easing } from './choose.js';
import { type Check, editsOf, type Observation } from './finding.js';

/** Finds things that an athlete does not have. */
export const equipmentMissing: Check = {
  id: 'equipment-missing',
  title: 'Equipment missing',
  severity: 'mend',
  why: 'You can’t train with equipment that isn’t there.',
  source: 'the athlete’s record',
  find: (view) =>
    view.blocks.flatMap((block): Observation[] => {
      const missing = missingFor(view, block.movement, block.level, block.block.dose);
      if (missing.length === 0) return [];
      const text = say`${block.movement.name}: needs ${missing.join(', ')}, which isn’t available.`;
      return [{ blockIds: [block.block.id], text, fix: substitute(view, block) }];
    }),
};

/** An easier level without the thing, else a movement of the same family and muscles for which all is there. */
function substitute(view: SessionView, block: BlockView) {
  const eased = easing(view, block);
  if (editsOf(eased)[0]?.kind !== 'remove') return eased;
  const [main] = block.movement.trains;
  const choice = choose(
    view,
    (movement) =>
      movement.id !== block.movement.id &&
      movement.family === block.movement.family &&
      main !== undefined &&
      movement.trains.includes(main),
  );
  if (!choice) return eased;
  const { movement, level, dose } = choice;
  const edit: Edit = { kind: 'change', blockId: block.block.id, movementId: movement.id, levelId: level.id, dose };
  return { label: say`Use ${movement.name.toLowerCase()} instead`, edits: [edit] };
}
