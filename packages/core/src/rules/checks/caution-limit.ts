import { say } from '../../vocabulary/sentence.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import type { RecordedCaution } from '../../model/athlete.js';
import { goesToFailure, withoutOpenEnds } from '../doses/open-ends.js';
import { workIn } from '../gate/moments.js';
import { limitBroken } from '../gate/restrictions.js';
import { cautionAdvice } from '../safety/cautions.js';
import { changing, easing } from './choose.js';
import type { Check, Fix, Observation } from './finding.js';

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
        const over = limitBroken(entry, workIn(seen));
        if (!over) return [];
        const text = say`${seen.movement.name}: ${over.broken}. ${cautionAdvice(entry)}`;
        return [{ blockIds: [seen.block.id], text, fix: sparing(view, seen, entry) }];
      }),
    ),
};

/** The set with an end where that is all that is asked; else an easier level. */
function sparing(view: SessionView, seen: BlockView, entry: RecordedCaution): Fix {
  const { dose } = seen.block;
  const ended = withoutOpenEnds(dose);
  const isEnough = goesToFailure(dose) && limitBroken(entry, { ...workIn(seen), dose: ended }) === null;
  return isEnough ? changing('Set a maximum for the open-ended set', seen, ended) : easing(view, seen);
}
