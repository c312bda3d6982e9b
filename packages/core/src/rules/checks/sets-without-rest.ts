import { quantity, say } from '../../vocabulary/sentence.js';
import { hasHandsInTurn } from '../../model/work.js';
import { amountOf, setCount } from '../../model/dose.js';
import { workWords } from '../../model/dose-words.js';
import type { BlockView } from '../../effort/session-view.js';
import { isWork } from './block-views.js';
import { changing } from './choose.js';
import { type Check, type Observation, PRACTICE } from './finding.js';

/** A rest that lets the next set begin as the first one did. Working value. */
const WANTED_REST_S = 30;

/** Finds sets of work that follow each other without a rest: together they are one long set. */
export const setsWithoutRest: Check = {
  id: 'sets-without-rest',
  title: 'Sets without a rest between',
  severity: 'look',
  why: 'Without a rest, several sets are one long set.',
  source: PRACTICE,
  find: ({ blocks }) =>
    blocks.flatMap((view): Observation[] => {
      if (!runTogether(view)) return [];
      const { dose, id } = view.block;
      const sets = setCount(dose);
      const text = say`${view.movement.name}: ${quantity(sets, 'sets')} of ${workWords(dose.work)} follow each other without a rest.`;
      return [{ blockIds: [id], text, fix: changing(`Rest ${WANTED_REST_S} s between sets`, view, { ...dose, restS: WANTED_REST_S }) }];
    }),
};

/** Hard work is asked for its rest elsewhere; while the other hand works, a hand rests. */
function runTogether(view: BlockView): boolean {
  const { dose } = view.block;
  const restsByTurns = hasHandsInTurn(dose.sides) && !dose.oneHandFirst;
  const isCounted = dose.work.kind === 'repetitions' || dose.work.kind === 'time';
  return isWork(view) && !view.hard && setCount(dose) > 1 && dose.restS === 0 && !restsByTurns && isCounted && amountOf(dose.work) > 1;
}
