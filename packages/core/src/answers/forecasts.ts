import type { Method } from '../model/method.js';
import type { Movement } from '../model/movement.js';
import { type GateForecast, gateForecast } from '../rules/progress/gate-forecast.js';
import type { WorkDone } from '../rules/progress/work-done.js';

/** A gate that is to be predicted, as plain data. */
export interface ForecastQuestion {
  readonly history: readonly WorkDone[];
  readonly movement: Movement;
  readonly method: Method;
  readonly levelId: string;
  readonly today: string;
}

/** Predicts gates away from the event loop: each is some thousand courses. What is not asked is not answered. */
export const answerForecasts = (questions: readonly (ForecastQuestion | null)[]): (GateForecast | null)[] =>
  questions.map((each) => each && gateForecast(each.history, each));
