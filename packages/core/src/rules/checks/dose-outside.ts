import { changing } from './choose.js';
import type { Check, Observation } from './finding.js';
import { unusualInDose, usualDose } from '../doses/usual-dose.js';

/** Finds doses outside what is usual for their kind. */
export const doseOutside: Check = {
  id: 'dose-outside',
  title: 'Outside the usual dose',
  severity: 'look',
  why: 'Usual ranges are where coaches start; depart from them knowingly.',
  source: 'usual ranges, named with each',
  find: ({ blocks }) =>
    blocks.flatMap((block): Observation[] => {
      const unusual = unusualInDose(block.block.dose, block.level.dosing);
      if (unusual.length === 0) return [];
      const fix = changing('Bring it into the usual range', block, usualDose(block.block.dose, block.level.dosing));
      return [{ blockIds: [block.block.id], text: `${block.movement.name}: ${unusual.join(' ')}`, fix }];
    }),
};
