import { expect, test } from '@jest/globals';
import { METHODS } from '../../library/index.js';
import { type Line, write } from '../checks/sessions.fixture.js';
import { athleteSuggestions } from '../../programme/athlete-suggestions.js';
import { asking, nextIn, type Went } from '../../programme/suggestions.fixture.js';

const LINES: readonly Line[] = [
  ['prepare', 'free.wrist-circles', 'free-fist', '1x10'],
  ['range', 'rock.palm-fore-aft', 'over', '1x10'],
  ['range', 'rock.palm-backward', 'both', '1x8'],
  ['load', 'rock.palm-circles', 'all-fours', '1x8'],
  ['strength', 'strength.palm-lift', 'all-fours', '2x8 rest45'],
  ['strength', 'strength.palm-lift-hold', 'all-fours', '2x15s rest40'],
];

test('where everything hurts again and again, nothing is exchanged for what hurts as well', () => {
  const plan = write(LINES, { budgetMin: 20 });
  const sore: Went[] = [9, 5, 1].map((daysAgo) => ({ daysAgo, plan, discomfort: 6, exertion: 5 }));
  const { suggestions } = athleteSuggestions(asking(sore, { programmes: [nextIn(1, plan)], methodOf: () => METHODS['floor-loading'] }));
  const hurting = new Set(LINES.map(([, movementId]) => movementId));
  const into = suggestions.flatMap(({ options }) =>
    options.flatMap(({ effect }) =>
      effect.kind === 'blocks'
        ? effect.plans.flatMap(({ edits }) => edits.flatMap((edit) => (edit.kind === 'change' && edit.movementId ? [edit.movementId] : [])))
        : [],
    ),
  );
  expect(into.length).toBeGreaterThan(0);
  expect(into.filter((movementId) => hurting.has(movementId))).toEqual([]);
});
