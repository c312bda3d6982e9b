import { LIBRARY, METHODS, shippedGoal, shippedMovement } from '../library/index.js';
import { NOW, person } from '../rules/checks/sessions.fixture.js';
import { must } from '../vocabulary/lists.js';
import { EQUIPMENT } from '../vocabulary/places.js';
import { loadSolver } from './load-solver.js';
import type { ComposeQuestion } from './question.js';

export const solver = await loadSolver();

/** A question about somebody with everything at hand and nothing on record. */
export function composeFor(goalId: string, methodId: keyof typeof METHODS, more: Partial<ComposeQuestion> = {}): ComposeQuestion {
  return {
    goal: must(shippedGoal(goalId), `a goal ${goalId}`),
    minutes: 20,
    method: METHODS[methodId],
    person,
    athlete: { cautions: [], equipment: EQUIPMENT },
    past: [],
    now: NOW,
    shelf: LIBRARY,
    lookup: shippedMovement,
    ...more,
  };
}
