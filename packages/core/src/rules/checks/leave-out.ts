import { say } from '../../vocabulary/sentence.js';
import { removing } from './choose.js';
import type { Check, Observation } from './finding.js';
import { concernsOf } from '../safety/clearance.js';

/** Finds movements that a caution of their own asks this athlete to leave out. */
export const leaveOut: Check = {
  id: 'leave-out',
  title: 'Leave this movement out',
  severity: 'stop',
  stopRule: true,
  why: 'The movement’s precautions name a condition this athlete has.',
  source: 'restriction and referral rules',
  find: ({ athlete, blocks }) =>
    blocks.flatMap((view): Observation[] => {
      const { avoid } = concernsOf(view.movement, view.level, athlete?.cautions ?? []);
      if (avoid.length === 0) return [];
      return [
        { blockIds: [view.block.id], text: say`${view.movement.name}: ${avoid[0] ?? ''}`, fix: removing('Remove this block', [view]) },
      ];
    }),
};
