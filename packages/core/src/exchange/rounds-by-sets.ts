import type { Round } from '../model/round.js';
import type { GrowingBlock } from './placed.js';

/** A round while its text is read. */
export type GrowingRound = { -readonly [K in keyof Omit<Round, 'blockIds'>]: Round[K] } & { blockIds: string[] };

/** Stands for the number of times that the sets of a round say. */
export const BY_SETS = 0;

/** Gives rounds without a number the times that their blocks have sets, and those blocks one set each. */
export function countBySets(rounds: readonly GrowingRound[], blocks: readonly GrowingBlock[]): void {
  for (const round of rounds) {
    if (round.times !== BY_SETS) continue;
    const mine = blocks.filter(({ id }) => round.blockIds.includes(id));
    const sets = Math.max(1, ...mine.map(({ dose }) => dose.sets));
    round.times = Math.max(2, sets);
    for (const block of mine) if (block.dose.sets === sets && !block.dose.then) block.dose = { ...block.dose, sets: 1, restS: 0 };
  }
}
