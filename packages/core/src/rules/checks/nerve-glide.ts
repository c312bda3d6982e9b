import { say } from '../../vocabulary/sentence.js';
import { formOf } from '../../effort/turn-work.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import type { Dose } from '../../model/dose.js';
import { MOST_PER_MINUTE, nerveHarshness, paceOf } from '../gate/nerve-glides.js';
import { workIn } from '../gate/moments.js';
import { changing, removing } from './choose.js';
import type { Check, Fix, Observation } from './finding.js';

/** Finds glides of a nerve that are held, pressed, hurried or driven to failure: they are moved through gently or left out. */
export const nerveGlide: Check = {
  id: 'nerve-glide',
  title: 'Nerve glide too strong',
  severity: 'stop',
  stopRule: true,
  why: 'A nerve needs to slide. Stretching, squeezing or jerking it can cause tingling that lasts.',
  source: 'restriction and referral rules',
  find: (view) =>
    view.blocks.flatMap((seen): Observation[] => {
      const { block, movement } = seen;
      const harsh = nerveHarshness(workIn(seen));
      if (harsh === null) return [];
      const text = say`${movement.name}: ${harsh}. Move a nerve slowly and add nothing.`;
      return [{ blockIds: [block.id], text, fix: gently(view, seen) }];
    }),
};

/** The level's usual dose; where a round hurries even that, out with it. */
function gently({ person }: SessionView, seen: BlockView): Fix {
  const { block, movement, level, forms } = seen;
  const gentle: Dose = { ...level.dose, sides: block.dose.sides, directions: block.dose.directions };
  const [form, usual] = [formOf(person, movement, level, block.dose), formOf(person, movement, level, gentle)];
  const hurried = form && usual ? (paceOf(forms) / paceOf([form])) * paceOf([usual]) : 0;
  return hurried > MOST_PER_MINUTE ? removing('Remove this block', [seen]) : changing('Do it slowly, at the usual dose', seen, gentle);
}
