import { say } from '../../vocabulary/sentence.js';
import { unvisitedCorners } from '../../effort/gaps.js';
import { adding, choose } from './choose.js';
import { type Check, type Observation, PRACTICE } from './finding.js';
import { isWhole } from './whole.js';

/** Finds ends of the long finger muscles that are never visited. */
export const cornerUnvisited: Check = {
  id: 'corner-unvisited',
  title: 'A finger-and-wrist position is missing',
  severity: 'look',
  why: 'The long finger muscles cross both wrist and fingers. Complete work covers all four end positions.',
  source: PRACTICE,
  find: (view) =>
    !view.method.asksCorners || !isWhole(view)
      ? []
      : unvisitedCorners(view.coverage).map((corner): Observation => {
          const choice = choose(view, ({ corners }) => corners.includes(corner));
          const phase = choice?.level.loading === 'assisted' ? 'range' : 'prepare';
          return { blockIds: [], text: say`Position “${corner}” is not covered.`, fix: adding(view, phase, choice) };
        }),
};
