import { quantity, say } from '../../vocabulary/sentence.js';
import type { Dose } from '../../model/dose.js';
import { type Round, ROUND_LIMITS } from '../../model/round.js';
import { roundOf } from '../../model/rounds.js';
import type { DosingKind } from '../../vocabulary/usual-ranges.js';
import { changing } from './choose.js';
import type { Check, Fix, Observation } from './finding.js';
import { unusualInDose, usualDose } from '../doses/usual-dose.js';

/** Finds doses outside what is usual for their kind. */
export const doseOutside: Check = {
  id: 'dose-outside',
  title: 'Outside the usual dose',
  severity: 'look',
  why: 'Most coaches start within the usual range. Leave it if you have a reason.',
  source: 'usual ranges, each with its source',
  find: ({ sequence, blocks }) =>
    blocks.flatMap((block): Observation[] => {
      const { dose, id } = block.block;
      const { dosing } = block.level;
      const round = roundOf(sequence, id);
      const unusual = unusualInDose(dose, dosing, round?.times);
      if (unusual.length === 0) return [];
      // Where one round is usual and all together are not, there are fewer rounds.
      const isByRounds = round !== undefined && unusualInDose(dose, dosing).length === 0;
      const fix = isByRounds ? fewerRounds(round, dose, dosing) : changing('Set the usual dose', block, usualDose(dose, dosing));
      return [{ blockIds: [id], text: say`${block.movement.name}: ${unusual.join(' ')}`, ...(fix && { fix }) }];
    }),
};

/** The most rounds in which the dose is usual; none where it is not in two. */
function fewerRounds(round: Round, dose: Dose, dosing: DosingKind): Fix | undefined {
  for (let times = round.times - 1; times >= ROUND_LIMITS.times.min; times--) {
    if (unusualInDose(dose, dosing, times).length > 0) continue;
    return { label: say`Do ${quantity(times, 'rounds')}`, edits: [{ kind: 'round', round: { ...round, times } }] };
  }
  return undefined;
}
