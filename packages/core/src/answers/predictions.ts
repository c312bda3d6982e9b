import type { ToldSession } from '../effort/evidence.js';
import { type Prediction, predictionsOf } from '../effort/predictions.js';
import type { Method } from '../model/method.js';
import type { Movement } from '../model/movement.js';
import { methodOf } from '../library/methods.js';
import { libraryWith } from '../library/index.js';
import { personIn, type WhomWork } from './whom.js';

/** What was to be expected of an athlete’s sessions, beside what came; the oldest first. */
export interface PredictionsAnswer {
  blocks: Prediction[];
}

/** Everything that predicting takes, as plain data: for a thread of its own. */
export interface PredictionsWork {
  readonly ownMovements: readonly { readonly removed: boolean; readonly document: Movement }[];
  readonly ownMethods: readonly { readonly removed: boolean; readonly document: Method }[];
  /** Without sessions: what sets tell is found here, session after session. */
  readonly whom: WhomWork;
  /** Oldest first. */
  readonly sessions: readonly ToldSession[];
}

/** Holds sessions against what was known before them, away from the event loop. */
export function answerPredictions({ ownMovements, ownMethods, whom, sessions }: PredictionsWork): PredictionsAnswer {
  const known = libraryWith(ownMovements, ownMethods);
  const blocks = predictionsOf({
    person: personIn({ ...whom, sessions: [] }, known.movement),
    sessions,
    lookup: known.movement,
    methodOf: (plan) => methodOf(plan, known.method),
  });
  return { blocks };
}
