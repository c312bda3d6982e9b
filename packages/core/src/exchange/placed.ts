import { phaseBetween } from '../model/phase-between.js';
import type { Round } from '../model/round.js';
import type { Block } from '../model/sequence.js';
import { type Phase, PHASES, WORK } from '../vocabulary/phases.js';
import type { AtLevel } from './text-names.js';

/** A block while its text is read. */
export type GrowingBlock = { -readonly [K in keyof Block]: Block[K] };

/**
 * Blocks in the order of their lines; what stands under no phase gets the one that fits there. What is taken in rounds is in one phase.
 * @param unplaced what stands under no phase, by the id of its block
 */
export function placed(
  blocks: readonly GrowingBlock[],
  rounds: readonly Pick<Round, 'blockIds'>[],
  unplaced: ReadonlyMap<string, AtLevel>,
): Block[] {
  let before: Phase | undefined;
  blocks.forEach((block, index) => {
    const free = unplaced.get(block.id);
    const round = rounds.find(({ blockIds }) => blockIds.includes(block.id));
    const isInside = round !== undefined && round.blockIds[0] !== block.id;
    if (free) {
      const later = blocks.slice(index + 1).map(({ phase }) => phase);
      const work = later.filter((phase) => WORK.includes(phase));
      const loadFollows = work.length > 0;
      // What works later keeps its own phase: a plank before palm lifts is strength work, not the skill after it.
      const after = loadFollows ? PHASES.find((phase) => work.includes(phase)) : undefined;
      const mates = round ? blocks.filter(({ id }) => round.blockIds.includes(id)) : [];
      const loaded = mates.find(({ phase }) => WORK.includes(phase)) ?? block;
      const named = unplaced.get(loaded.id) ?? free;
      block.phase = isInside && before ? before : phaseBetween(named.movement, named.level, { before, after, loadFollows });
    }
    before = block.phase;
  });
  return [...blocks];
}
