import type { BlockView, SessionView } from '../../effort/session-view.js';
import { roundOf, turnsOf } from '../../model/rounds.js';

/** Whether some turn of a block comes after some turn of another: in a round each comes after each. */
export function comesAfter({ sequence }: SessionView, later: BlockView, earlier: BlockView): boolean {
  if (later.index > earlier.index) return true;
  const round = roundOf(sequence, earlier.block.id);
  return later !== earlier && (round?.blockIds.includes(later.block.id) ?? false);
}

/** The blocks that follow a block: in a round the next of it, and after the last one the first again and what comes after the round. */
export function followersOf({ sequence, blocks }: SessionView, { index, block }: BlockView): BlockView[] {
  const turns = turnsOf(sequence);
  const next = turns.flatMap(({ blockIndex }, at) => (blockIndex === index ? (turns[at + 1]?.blockIndex ?? []) : []));
  const round = roundOf(sequence, block.id);
  const behind = round ? index + round.blockIds.length - round.blockIds.indexOf(block.id) : index + 1;
  const found = [...new Set([...next, behind])].filter((at) => at !== index);
  return found.flatMap((at) => blocks[at] ?? []);
}
