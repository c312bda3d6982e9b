import type { ReportedSession } from '../effort/evidence.js';
import { type Prediction, predictionsOf } from '../effort/predictions.js';
import type { Method } from '../model/method.js';
import type { Movement } from '../model/movement.js';
import { methodOf } from '../library/methods.js';
import { libraryWith } from '../library/index.js';
import { personIn, type SubjectWork } from './subject.js';

/** What was to be expected of an athlete’s sessions, beside what came; the oldest first. */
export interface PredictionsAnswer {
  blocks: Prediction[];
}

/** Everything that predicting takes, as plain data: for a thread of its own. */
export interface PredictionsWork {
  readonly ownMovements: readonly { readonly removed: boolean; readonly document: Movement }[];
  readonly ownMethods: readonly { readonly removed: boolean; readonly document: Method }[];
  /** Without sessions: what sets tell is found here, session after session. */
  readonly subject: SubjectWork;
  /** Oldest first. */
  readonly sessions: readonly ReportedSession[];
}

/** Holds sessions against what was known before them, away from the event loop. */
export function answerPredictions({ ownMovements, ownMethods, subject, sessions }: PredictionsWork): PredictionsAnswer {
  const library = libraryWith(ownMovements, ownMethods);
  const blocks = predictionsOf({
    person: personIn({ ...subject, sessions: [] }, library.movement),
    sessions,
    lookup: library.movement,
    methodOf: (plan) => methodOf(plan, library.method),
  });
  return { blocks };
}
