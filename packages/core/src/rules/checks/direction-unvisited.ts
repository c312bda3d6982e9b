import { say } from '../../vocabulary/sentence.js';
import { MAIN, MAIN_DIRECTIONS } from '../../effort/coverage.js';
import { unvisitedDirections } from '../../effort/gaps.js';
import { adding, choose } from './choose.js';
import { type Check, type Observation, PRACTICE } from './finding.js';
import { isWhole } from './whole.js';

/** Finds directions of the wrist that are never visited. */
export const directionUnvisited: Check = {
  id: 'direction-unvisited',
  title: 'A wrist direction is missing',
  severity: 'look',
  why: 'The wrist moves in four directions. You lose first what you never use.',
  source: PRACTICE,
  find: (view) => {
    if (!isWhole(view)) return [];
    const unvisited = unvisitedDirections(view.coverage);
    return MAIN_DIRECTIONS.filter((direction) => unvisited.includes(direction)).map((direction): Observation => {
      const choice = choose(view, ({ motions, family }) => family === 'free-motion' && motions.includes(MAIN[direction]), [
        'free.wrist-circles',
        'free.side-sweeps',
      ]);
      const text = say`No block moves the wrist into ${MAIN[direction]}.`;
      return { blockIds: [], text, fix: adding(view, 'prepare', choice) };
    });
  },
};
