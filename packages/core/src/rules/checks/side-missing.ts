import { say } from '../../vocabulary/sentence.js';
import { firstOf } from '../../vocabulary/lists.js';
import { ids } from './block-views.js';
import { byMovement } from './by-movement.js';
import { bothWays, changing } from './choose.js';
import { type Check, type Observation, PRACTICE } from './finding.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import { openSides } from '../safety/clearance.js';
import { type Hand, HANDS, handsWorking, otherHand } from '../../vocabulary/hands.js';

/** Finds movements that one hand does and the other does not. */
export const sideMissing: Check = {
  id: 'side-missing',
  title: 'Only one hand works',
  severity: 'mend',
  why: 'A hand that is left out falls behind without anyone deciding it.',
  source: PRACTICE,
  find: (view) =>
    byMovement(view).flatMap(({ views, workS }): Observation[] => {
      const missing = HANDS.find((hand) => workS[hand] === 0 && workS[otherHand(hand)] > 0);
      const first = firstOf(views);
      // Work of its own for the weaker hand is meant.
      if (!missing || otherHand(missing) === view.weaker || !mayDo(view, first, missing)) return [];
      const plan = bothWays(first.movement);
      const text = say`${first.movement.name}: leaves out the ${missing} hand.`;
      const fix = plan && changing(`Add the ${missing} hand`, first, { ...first.block.dose, sides: plan });
      return [{ blockIds: ids(views), text, fix }];
    }),
};

/** A hand that may not do a movement is not left out: the other one works alone meanwhile. */
function mayDo({ athlete }: SessionView, { movement, level }: BlockView, hand: Hand): boolean {
  const cautions = athlete?.cautions ?? [];
  return cautions.length === 0 || openSides(movement, level, cautions).some((plan) => handsWorking(plan).includes(hand));
}
