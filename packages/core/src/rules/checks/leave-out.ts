import { removing } from './choose.js';
import type { Check, Observation } from './finding.js';
import { concernsOf } from '../safety/clearance.js';

/** Finds movements that a caution of their own asks this athlete to leave out. */
export const leaveOut: Check = {
  id: 'leave-out',
  title: 'To be left out with a caution',
  severity: 'stop',
  stopRule: true,
  why: 'The movement’s own caution names this athlete’s condition.',
  source: 'caution and referral rules',
  find: ({ athlete, blocks }) =>
    blocks.flatMap((view): Observation[] => {
      const { avoid } = concernsOf(view.movement, view.level, athlete?.cautions ?? []);
      if (avoid.length === 0) return [];
      return [{ blockIds: [view.block.id], text: `${view.movement.name}: ${avoid[0]}`, fix: removing('Take it out', [view]) }];
    }),
};
