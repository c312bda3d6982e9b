import { say } from '../../vocabulary/sentence.js';
import { changing } from './choose.js';
import type { Check, Observation } from './finding.js';
import { unusualInDose, usualDose } from '../doses/usual-dose.js';

/** Finds doses outside what is usual for their kind. */
export const doseOutside: Check = {
  id: 'dose-outside',
  title: 'Outside the usual dose',
  severity: 'look',
  why: 'Most coaches start within the usual range. Leave it if you have a reason.',
  source: 'usual ranges, each with its source',
  find: ({ blocks }) =>
    blocks.flatMap((block): Observation[] => {
      const unusual = unusualInDose(block.block.dose, block.level.dosing);
      if (unusual.length === 0) return [];
      const fix = changing('Set the usual dose', block, usualDose(block.block.dose, block.level.dosing));
      return [{ blockIds: [block.block.id], text: say`${block.movement.name}: ${unusual.join(' ')}`, fix }];
    }),
};
