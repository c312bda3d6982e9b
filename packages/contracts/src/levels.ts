import { type Gate, type GateForecast, gateForecast, type Hand, type Method, type Movement, type Step, type WorkDone } from '@clay-pot/core'; // prettier-ignore

/** One session of a movement, as it counted for its gate. */
export type LevelDone = Omit<WorkDone, 'movementId' | 'hand' | 'morning'>;

/** Where a hand stands on a movement’s ladder, what comes next, and what it rests on. */
export interface LevelItem {
  movementId: string;
  hand: Hand;
  levelId: string;
  gate: Gate | null;
  gateWords: string | null;
  streak: number;
  step: Step;
  why: string;
  /** When the gate of this level is likely passed; null where nothing is counted upward: what loads nothing, and what knows no gate. */
  forecast: GateForecast | null;
  /** When the level is likely passed that a running programme’s goal asks for; null where the goal asks nothing of this movement. */
  goal: { words: string; levelName: string; forecast: GateForecast } | null;
  /** The newest first. */
  history: LevelDone[];
}

/** A gate that is to be foretold, as plain data. */
export interface ForecastAsked {
  readonly history: readonly WorkDone[];
  readonly movement: Movement;
  readonly method: Method;
  readonly levelId: string;
  readonly today: string;
}

/** Foretells gates away from the event loop: each is some thousand courses. What is not asked is not answered. */
export const answerForecasts = (asked: readonly (ForecastAsked | null)[]): (GateForecast | null)[] =>
  asked.map((each) => each && gateForecast(each.history, each));
