import type { Gate, Hand, SetUnit, Step } from '@clay-pot/core';

/** One session of a movement, as it counted for its gate. */
export interface LevelDone {
  sessionId: string;
  endedAt: string;
  levelId: string;
  unit: SetUnit;
  sets: number;
  amount: number;
  effortPercent: number | null;
  isWhole: boolean;
  discomfort: number | null;
  exertion: number | null;
}

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
  /** The newest first. */
  history: LevelDone[];
}
