import type { Round } from '../model/round.js';
import type { GrowingBlock } from './placed.js';
import type { TextLine } from './text-lines.js';

/** A round while its text is read. */
export type GrowingRound = { -readonly [K in keyof Omit<Round, 'blockIds'>]: Round[K] } & { blockIds: string[] };

/** The rounds of a text while it is read: at most the last is open, and blocks that follow belong to it. */
export class GrowingRounds {
  isOpen = false;
  private readonly rounds: GrowingRound[] = [];

  /** Returns the new round’s ID. */
  open({ times, restS, change }: Extract<TextLine, { kind: 'rounds' }>): string {
    const id = `round-${this.rounds.length + 1}`;
    this.rounds.push({ id, blockIds: [], times: times ?? BY_SETS, restS, ...(change && { change }) });
    this.isOpen = true;
    return id;
  }

  /** A rest at the end of a round is the one between its turns. Returns whether `breakS` was taken for it. */
  close(breakS: number | undefined): boolean {
    const round = this.rounds.at(-1);
    const takesBreak = this.isOpen && round !== undefined && breakS !== undefined;
    if (takesBreak) round.restS = breakS;
    this.isOpen = false;
    return takesBreak;
  }

  get lastHasBlocks(): boolean {
    return (this.rounds.at(-1)?.blockIds.length ?? 0) > 0;
  }

  add(...blockIds: readonly string[]): void {
    if (this.isOpen) this.rounds.at(-1)?.blockIds.push(...blockIds);
  }

  /** Forgets a block that was added last. */
  drop(blockId: string): void {
    const round = this.rounds.at(-1);
    if (round?.blockIds.at(-1) === blockId) round.blockIds.pop();
  }

  /** The rounds with blocks, those without a number counted by their blocks’ sets; `empty`: IDs of those that hold none. */
  ended(blocks: readonly GrowingBlock[]): { readonly rounds: readonly GrowingRound[]; readonly empty: readonly string[] } {
    countBySets(this.rounds, blocks);
    const empty = this.rounds.filter(({ blockIds }) => blockIds.length === 0).map(({ id }) => id);
    return { rounds: this.rounds.filter(({ blockIds }) => blockIds.length > 0), empty };
  }
}

/** Stands for the number of times that the sets of a round say. */
const BY_SETS = 0;

/** Gives rounds without a number the times that their blocks have sets, and those blocks one set each. */
function countBySets(rounds: readonly GrowingRound[], blocks: readonly GrowingBlock[]): void {
  for (const round of rounds) {
    if (round.times !== BY_SETS) continue;
    const mine = blocks.filter(({ id }) => round.blockIds.includes(id));
    const sets = Math.max(1, ...mine.map(({ dose }) => dose.sets));
    round.times = Math.max(2, sets);
    for (const block of mine) if (block.dose.sets === sets && !block.dose.then) block.dose = { ...block.dose, sets: 1, restS: 0 };
  }
}
