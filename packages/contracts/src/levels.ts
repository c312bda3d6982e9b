import type { Gate, GateForecast, Hand, Step, WorkDone, Sentence } from '@clay-pot/core';

/** One session of a movement, as it counted for its gate. */
export type LevelDone = Omit<WorkDone, 'movementId' | 'hand' | 'morning'>;

/** The level of each hand in a movement, what comes next, and the evidence for it. */
export interface LevelItem {
  movementId: string;
  hand: Hand;
  levelId: string;
  gate: Gate | null;
  gateWords: string | null;
  streak: number;
  step: Step;
  why: Sentence;
  /** When the gate of this level is likely passed; null where nothing is counted upward: what loads nothing, and what knows no gate. */
  forecast: GateForecast | null;
  /** When the level is likely passed that a running programme’s goal asks for; null where the goal asks nothing of this movement. */
  goal: { words: string; levelName: string; forecast: GateForecast } | null;
  /** The newest first. */
  history: LevelDone[];
}
