import { unvisitedCorners } from '../../effort/gaps.js';
import { adding, choose } from './choose.js';
import { type Check, type Observation, PRACTICE } from './finding.js';
import { isWhole } from './whole.js';

/** Finds ends of the long finger muscles that are never visited. */
export const cornerUnvisited: Check = {
  id: 'corner-unvisited',
  title: 'A two-joint corner is missing',
  severity: 'look',
  why: 'The long finger muscles cross wrist and fingers: complete work visits all four of their ends.',
  source: PRACTICE,
  find: (view) =>
    !view.method.asksCorners || !isWhole(view)
      ? []
      : unvisitedCorners(view.coverage).map((corner): Observation => {
          const choice = choose(view, ({ corners }) => corners.includes(corner));
          const phase = choice?.level.loading === 'assisted' ? 'range' : 'prepare';
          return { blockIds: [], text: `Nothing goes to “${corner}”.`, fix: adding(view, phase, choice) };
        }),
};
