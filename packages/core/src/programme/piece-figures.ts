import { HAND_FIGURES, type HandAccount } from '../effort/session-account.js';
import type { moveTo } from '../timeline/timeline.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { SIDE_GROUPS } from '../vocabulary/muscles.js';

/** What a block, or the blocks of one round, come to by themselves: the same wherever they stand. */
export interface PieceLoad {
  /** Where somebody is at its end, who came from somewhere. */
  readonly moves: readonly Move[];
  /** Sums that can be added up, in the order of `FIGURES`: numbers beside each other, for the sake of a year of sessions. */
  readonly figures: Float64Array;
}

/** Figures of each hand’s account. */
export const HAND_COUNT = HAND_FIGURES.length;
/** Where each sum stands: milliseconds without getting ready and without getting there, doses and hard seconds of each group, the account of each hand. */
export const FIGURES = {
  lengthMs: 0,
  dose: 1,
  hardS: 1 + SIDE_GROUPS.length,
  hands: 1 + 2 * SIDE_GROUPS.length,
  count: 1 + 2 * SIDE_GROUPS.length + HANDS.length * HAND_COUNT,
} as const;

/** The account of a hand out of sums. */
export function handFigures(figures: Float64Array, hand: Hand): HandAccount {
  const from = FIGURES.hands + HANDS.indexOf(hand) * HAND_COUNT;
  return Object.fromEntries(HAND_FIGURES.map((name, index) => [name, figures[from + index] ?? 0])) as Record<keyof HandAccount, number>;
}

/** Where a turn is done, and with what. */
export type Move = Parameters<typeof moveTo> extends [unknown, infer P, infer E] ? readonly [P, E] : never;
