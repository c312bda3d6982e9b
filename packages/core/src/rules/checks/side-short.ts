import { quantity, say } from '../../vocabulary/sentence.js';
import { firstOf } from '../../vocabulary/lists.js';
import { same } from '../../vocabulary/same.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import { ids } from './block-views.js';
import { byMovement } from './by-movement.js';
import { changing, givenToBoth } from './choose.js';
import { type Check, type Fix, type Observation, PRACTICE } from './finding.js';
import { unusualInDose } from '../doses/usual-dose.js';
import { type Hand, otherHand } from '../../vocabulary/hands.js';

/** Hands may differ by this much before it counts: a repetition in ten. */
const SIDE_TOLERANCE = 1.15;

/** Finds movements of which one hand gets less. */
export const sideShort: Check = {
  id: 'side-short',
  title: 'One hand does less',
  severity: 'mend',
  why: 'A lost count on one side turns into a difference between the hands.',
  source: PRACTICE,
  find: (view) =>
    byMovement(view).flatMap(({ views, workS }): Observation[] => {
      const { left, right } = workS;
      // An amount of its own for each hand is meant.
      if (left === 0 || right === 0 || views.some(({ block }) => block.dose.rightAmount !== undefined)) return [];
      const [short, ratio] = left < right ? (['left', right / left] as const) : (['right', left / right] as const);
      // What the weaker hand gets more is counted over all strength work, wherever it is added.
      if (ratio <= SIDE_TOLERANCE || wantsMore(view, otherHand(short))) return [];
      const most = firstOf([...views].sort((a, b) => b.account[otherHand(short)].workS - a.account[otherHand(short)].workS));
      const alone = views.find(({ block }) => block.dose.sides === short);
      const text = say`${most.movement.name}: ${short} ${quantity(workS[short], 's')}, ${otherHand(short)} ${quantity(workS[otherHand(short)], 's')} of work.`;
      // A block of the short hand’s own takes the dose of the longest one; else the other hand shares what it has alone.
      const dose = { ...most.block.dose, sides: short };
      const takes = alone && unusualInDose(dose, alone.level.dosing).length === 0 && !same(dose, alone.block.dose);
      const fix = takes ? changing(`Do as much on the ${short} hand`, alone, dose) : sharing(views, otherHand(short));
      return [{ blockIds: ids(views), text, fix }];
    }),
};

/** Blocks of one hand alone are done with both. */
function sharing(views: readonly BlockView[], hand: Hand): Fix | undefined {
  const edits = givenToBoth(views.filter(({ block }) => block.dose.sides === hand));
  return edits.length > 0 ? { label: say`Do it on the ${otherHand(hand)} hand too`, edits } : undefined;
}

const wantsMore = ({ method, weaker }: SessionView, hand: Hand) =>
  method.sides === 'weaker first' && weaker === hand && method.weakerSideRatio > 1;
