import { counted } from '../vocabulary/text.js';
import type { Round, RoundChange } from './round.js';
import type { Block, Sequence } from './sequence.js';

/** What changes from round to round, as a coach says it. @example roundChangeWords({ fasterPercent: 20, levels: 1 }) → '20 % faster, a level up each round' */
export function roundChangeWords({ fasterPercent = 0, fasterS = 0, morePercent = 0, levels = 0 }: RoundChange): string {
  const parts = [
    fasterS !== 0 && `${fasterS} s a rep faster`,
    fasterPercent !== 0 && `${Math.abs(fasterPercent)} % ${fasterPercent > 0 ? 'faster' : 'slower'}`,
    morePercent !== 0 && `${Math.abs(morePercent)} % ${morePercent > 0 ? 'more' : 'less'}`,
    levels !== 0 && `${Math.abs(levels) === 1 ? 'a level' : `${Math.abs(levels)} levels`} ${levels > 0 ? 'up' : 'down'}`,
  ].filter(Boolean);
  return parts.length > 0 ? `${parts.join(', ')} each round` : '';
}

/** A round as a coach says it. @example roundWords({ id: 'r', blockIds: ['a', 'b'], times: 3, restS: 60 }) → '3 rounds, 60 s rest between' */
export function roundWords({ times, restS, change }: Round): string {
  const rest = restS > 0 ? `, ${restS} s rest between` : '';
  const changes = change && roundChangeWords(change);
  return `${counted(times, 'round')}${rest}${changes ? `, ${changes}` : ''}`;
}

/** What is different in the rounds of two sequences, by the names of their blocks. */
export function roundChanges(before: Sequence, after: Sequence, nameOf: (block: Block) => string): string[] {
  const named = ({ blocks }: Sequence, { blockIds }: Round) =>
    blockIds.flatMap((id) => blocks.filter((block) => block.id === id).map(nameOf)).join(', ');
  const was = new Map(before.rounds?.map((round) => [round.id, round]));
  const is = new Map(after.rounds?.map((round) => [round.id, round]));
  const lines = [...is.values()].flatMap((round): string[] => {
    const old = was.get(round.id);
    if (!old) return [`In rounds: ${named(after, round)}, ${roundWords(round)}`];
    const [oldWords, words] = [roundWords(old), roundWords(round)];
    // Blocks that were added or removed are reported as that.
    const stays = (id: string) => before.blocks.some((block) => block.id === id) && after.blocks.some((block) => block.id === id);
    const [oldIds, ids] = [old.blockIds.filter(stays), round.blockIds.filter(stays)];
    const isSame = oldIds.length === ids.length && oldIds.every((id) => ids.includes(id));
    return [
      ...(oldWords === words ? [] : [`Rounds of ${named(after, round)}: ${oldWords} → ${words}`]),
      ...(isSame ? [] : [`Rounds of ${named(before, old)} → of ${named(after, round)}`]),
    ];
  });
  const stillExists = ({ blockIds }: Round) => blockIds.some((id) => after.blocks.some((block) => block.id === id));
  const gone = [...was.values()].filter((round) => !is.has(round.id) && stillExists(round));
  return [...lines, ...gone.map((round) => `No longer in rounds: ${named(before, round)}`)];
}
