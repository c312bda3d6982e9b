import { brokenLimit } from '../caution-limits.js';
import { easing, effortOf } from './choose.js';
import type { Check, Observation } from './finding.js';
import { CAUTIONS } from '../../vocabulary/cautions.js';

/** Finds efforts, angles and loads over what a recorded caution allows. */
export const cautionLimit: Check = {
  id: 'caution-limit',
  title: 'More than a caution allows',
  severity: 'stop',
  stopRule: true,
  why: 'What a caution asks holds at every level of every movement.',
  source: 'caution and referral rules',
  find: (view) =>
    (view.athlete?.cautions ?? []).flatMap(({ caution }) =>
      view.blocks.flatMap((block): Observation[] => {
        const broken = brokenLimit(caution, block.level, block.block.dose, block.effortPercent);
        if (!broken) return [];
        const fix = easing(view, block, (level, demand, dose) => !brokenLimit(caution, level, dose, effortOf(demand)));
        return [
          { blockIds: [block.block.id], text: `${block.movement.name}: ${broken}. ${CAUTIONS[caution].advice}`, fix },
        ];
      }),
    ),
};
