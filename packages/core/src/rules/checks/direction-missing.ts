import { say } from '../../vocabulary/sentence.js';
import { firstOf } from '../../vocabulary/lists.js';
import { ids } from './block-views.js';
import { byMovement } from './by-movement.js';
import { changing } from './choose.js';
import { type Check, type Observation, PRACTICE } from './finding.js';

/** Finds movements with two directions that go one way only. */
export const directionMissing: Check = {
  id: 'direction-missing',
  title: 'Only one direction',
  severity: 'mend',
  why: 'Direction matters: circling one way doesn’t do the work of the other.',
  source: PRACTICE,
  find: (view) =>
    byMovement(view).flatMap(({ views }): Observation[] => {
      const first = firstOf(views);
      const { directions } = first.movement;
      if (!directions) return [];
      const done = new Set(
        views.flatMap(({ block }) => (block.dose.directions === 'each' ? ['first', 'second'] : [block.dose.directions])),
      );
      if (done.size > 1) return [];
      const missing = directions[done.has('first') ? 1 : 0];
      const text = say`${first.movement.name}: one direction only, “${missing}” is missing.`;
      return [
        {
          blockIds: ids(views),
          text,
          fix: changing('Do both directions', first, { ...first.block.dose, directions: 'each' }),
        },
      ];
    }),
};
