import { say } from '../../vocabulary/sentence.js';
import { type BlockForm, formOf } from '../../effort/effort-timeline.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import type { Dose } from '../../model/dose.js';
import type { Level } from '../../model/movement.js';
import { goesToFailure } from '../doses/open-ends.js';
import { changing, removing } from './choose.js';
import type { Check, Fix, Observation } from './finding.js';

/** Faster than four seconds there and back, a glide is a jerk. */
const MOST_PER_MINUTE = 15;

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
      const { block, level, movement, forms } = seen;
      if (!isNerveGlide(level)) return [];
      const harsh = harshness(block.dose, forms);
      if (!harsh) return [];
      const text = say`${movement.name}: ${harsh}. Move a nerve slowly and add nothing.`;
      return [{ blockIds: [block.id], text, fix: gently(view, seen) }];
    }),
};

/** Whether a level moves a nerve. */
export const isNerveGlide = ({ dosing }: Pick<Level, 'dosing'>): boolean => dosing === 'nerve-glides';

/** What is not gentle about it, in words; null where all is. */
function harshness(dose: Dose, forms: readonly BlockForm[]): string | null {
  if (dose.holdS) return `held for ${dose.holdS} s at the end`;
  if (dose.effortPercent !== undefined) return `${dose.effortPercent} % effort throughout`;
  if (goesToFailure(dose)) return 'as many as possible';
  return paceOf(forms) > MOST_PER_MINUTE ? 'faster than four seconds per cycle' : null;
}

const paceOf = (forms: readonly BlockForm[]) =>
  Math.max(0, ...forms.map(({ level: { load } }) => (load.kind === 'move' ? load.perMinute : 0)));

/** The level's usual dose; where a round hurries even that, out with it. */
function gently({ person }: SessionView, seen: BlockView): Fix {
  const { block, level, forms } = seen;
  const gentle: Dose = { ...level.dose, sides: block.dose.sides, directions: block.dose.directions };
  const [form, usual] = [formOf(person, level, block.dose), formOf(person, level, gentle)];
  const hurried = form && usual ? (paceOf(forms) / paceOf([form])) * paceOf([usual]) : 0;
  return hurried > MOST_PER_MINUTE ? removing('Remove this block', [seen]) : changing('Do it slowly, at the usual dose', seen, gentle);
}
