import { say } from '../../vocabulary/sentence.js';
import { brokenBy } from '../safety/caution-limits.js';
import { cautionAdvice } from '../safety/cautions.js';
import { goesToFailure, withoutOpenEnds } from '../doses/open-ends.js';
import { changing, easing } from './choose.js';
import type { Check, Fix, Observation } from './finding.js';
import type { BlockForm } from '../../effort/effort-timeline.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Demand } from '../../mechanics/demand.js';
import { type Hand, handsWorking } from '../../vocabulary/hands.js';

/** Finds efforts, angles and loads over what a recorded caution allows. */
export const cautionLimit: Check = {
  id: 'caution-limit',
  title: 'Over a restriction’s limit',
  severity: 'stop',
  stopRule: true,
  why: 'Restrictions, and the limits of a clearance, apply to every level of every movement.',
  source: 'restriction and referral rules',
  find: (view) =>
    (view.athlete?.cautions ?? []).flatMap((entry) =>
      view.blocks.flatMap((seen): Observation[] => {
        const { block, movement } = seen;
        const hands = handsWorking(block.dose.sides);
        const toFailure = goesToFailure(block.dose);
        const [found] = seen.forms.flatMap(
          (form) => brokenBy([entry], hands, { level: form.level, demand: asWorked(seen, form), toFailure }) ?? [],
        );
        if (!found) return [];
        const text = say`${movement.name}: ${found.broken}. ${cautionAdvice(entry)}`;
        return [{ blockIds: [block.id], text, fix: sparing(view, seen, entry, hands) }];
      }),
    ),
};

/** The set with an end where that is all that is asked; else an easier level. */
function sparing(view: SessionView, seen: BlockView, entry: RecordedCaution, hands: readonly Hand[]): Fix {
  const { dose } = seen.block;
  const ended = withoutOpenEnds(dose);
  const isAllowed = seen.forms.every((form) => !brokenBy([entry], hands, { level: form.level, demand: asWorked(seen, form) }));
  if (ended !== dose && isAllowed) return changing('Set a maximum for the open-ended set', seen, ended);
  return easing(view, seen, (form, otherDose) => !brokenBy([entry], hands, { ...form, toFailure: goesToFailure(otherDose) }));
}

/** What a block asks, each hand at the hardest moment of its work: the second of two directions may ask more than the first. */
function asWorked({ account, forms }: BlockView, { demand }: BlockForm): Demand {
  if (forms.length > 1) return demand;
  const of = (hand: Hand) => ({
    ...demand[hand],
    effortPercent: Math.max(demand[hand].effortPercent, account[hand].effortPercent),
  });
  return { ...demand, left: of('left'), right: of('right') };
}
