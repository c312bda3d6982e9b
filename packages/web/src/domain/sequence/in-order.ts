import { type Block, type Round, roundOf, roundWords, type Sequence } from '@clay-pot/core';

/** Blocks by the rounds that they stand in, in their order; a block by itself is a group of its own. */
export function groupsOf(sequence: Sequence, blocks: readonly Block[]): { round: Round | undefined; members: Block[] }[] {
  const groups: { round: Round | undefined; members: Block[] }[] = [];
  for (const block of blocks) {
    const round = roundOf(sequence, block.id);
    const last = groups.at(-1);
    if (round && last?.round === round) last.members.push(block);
    else groups.push({ round, members: [block] });
  }
  return groups;
}

/** A round, said before its movements. @example 'The next 2, 3 rounds, 60 s rest between' */
export const roundHeading = (round: Round): string =>
  `${round.blockIds.length === 1 ? 'The next' : `The next ${round.blockIds.length}, alternating`}: ${roundWords(round)}`;

/** How a block follows and where it stops, in words. */
export function pausesOf({ breakS, atOnce, bonus, lookAgain = [] }: Block): string[] {
  return [
    ...(bonus ? ['bonus: only if there’s time'] : []),
    ...(atOnce ? ['at once after the one before'] : []),
    ...(breakS ? [`after a break of ${breakS} s`] : []),
    ...(lookAgain.includes('between hands') ? ['compare the hands before changing'] : []),
    ...(lookAgain.includes('after') ? ['check again afterwards'] : []),
  ];
}
