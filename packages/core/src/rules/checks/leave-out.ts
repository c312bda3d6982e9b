import { say } from '../../vocabulary/sentence.js';
import { removing } from './choose.js';
import type { Check, Observation } from './finding.js';
import { workIn } from '../gate/moments.js';
import { leftOutBy } from '../gate/restrictions.js';

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
      const [why] = leftOutBy(athlete?.cautions ?? [], workIn(view));
      if (why === undefined) return [];
      return [{ blockIds: [view.block.id], text: say`${view.movement.name}: ${why}`, fix: removing('Remove this block', [view]) }];
    }),
};
