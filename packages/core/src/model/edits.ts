import type { Dose } from './dose.js';
import type { Round } from './round.js';
import { keptRounds } from './rounds.js';
import type { Block, Sequence } from './sequence.js';
import { type Phase, PHASES } from '../vocabulary/phases.js';

/** The result of an edit for one block. */
export interface ChangeEdit {
  readonly kind: 'change';
  readonly blockId: string;
  readonly levelId?: string;
  readonly movementId?: string;
  readonly dose?: Dose;
  /** Seconds of a break before it. */
  readonly breakS?: number;
}
/** A change of a sequence as plain data: what a fix does, and what a screen can undo. */
export type Edit =
  | ChangeEdit
  /** Into a phase: before another block of it, or to its end. */
  | { readonly kind: 'move'; readonly blockId: string; readonly phase: Phase; readonly before: string | null }
  | { readonly kind: 'add'; readonly block: Block; readonly before: string | null }
  | { readonly kind: 'remove'; readonly blockId: string }
  /** Takes neighbouring blocks in rounds, or changes the round that has this id. */
  | { readonly kind: 'round'; readonly round: Round }
  /** Each of its blocks once. */
  | { readonly kind: 'ungroup'; readonly roundId: string }
  | { readonly kind: 'budget'; readonly budgetMin: number };

/**
 * Carries out edits in order; an edit of a block that no longer exists does nothing. Once all are made, rounds keep the blocks that are still adjacent.
 */
export function applyEdits(sequence: Sequence, edits: readonly Edit[]): Sequence {
  return withRounds(edits.reduce(applyEdit, sequence));
}

/** A sequence whose rounds are what its blocks still make of them. */
export function withRounds(sequence: Sequence): Sequence {
  const { rounds, ...rest } = sequence;
  const kept = keptRounds(sequence.blocks, rounds);
  if (!kept) return rounds ? rest : sequence;
  const isSame = kept.length === rounds?.length && kept.every((round, index) => round === rounds[index]);
  return isSame ? sequence : { ...rest, rounds: kept };
}

function applyEdit(sequence: Sequence, edit: Edit): Sequence {
  const { blocks } = sequence;
  switch (edit.kind) {
    case 'budget':
      return { ...sequence, budgetMin: edit.budgetMin };
    case 'round': {
      const others = sequence.rounds?.filter(({ id }) => id !== edit.round.id) ?? [];
      return { ...sequence, rounds: [...others, edit.round] };
    }
    case 'ungroup':
      return { ...sequence, rounds: sequence.rounds?.filter(({ id }) => id !== edit.roundId) ?? [] };
    case 'remove':
      return { ...sequence, blocks: blocks.filter(({ id }) => id !== edit.blockId) };
    case 'add':
      return { ...sequence, blocks: inserted(blocks, edit.block, edit.before) };
    case 'move': {
      const block = blocks.find(({ id }) => id === edit.blockId);
      if (!block) return sequence;
      const rest = blocks.filter(({ id }) => id !== edit.blockId);
      return { ...sequence, blocks: inserted(rest, { ...block, phase: edit.phase }, edit.before) };
    }
    case 'change': {
      const { blockId, kind: _kind, ...change } = edit;
      return { ...sequence, blocks: blocks.map((block) => (block.id === blockId ? changed(block, change) : block)) };
    }
  }
}

/** A block that becomes another movement was not chosen for the same reason. */
function changed(block: Block, change: Partial<Block>): Block {
  const { why, ...rest } = block;
  const isSame = change.movementId === undefined || change.movementId === block.movementId;
  return { ...rest, ...(isSame && why !== undefined && { why }), ...change };
}

/** No other block moves: it goes before the one that is named, where that is of its phase; otherwise to the end of its phase as far as that block. */
function inserted(blocks: readonly Block[], block: Block, before: string | null): Block[] {
  const named = blocks.findIndex(({ id }) => id === before);
  const end = named < 0 ? blocks.length : named;
  if (blocks[end]?.phase === block.phase) return blocks.toSpliced(end, 0, block);
  const reach = blocks.slice(0, end);
  const mate = reach.findLastIndex(({ phase }) => phase === block.phase);
  const place = mate >= 0 ? mate : reach.findLastIndex(({ phase }) => PHASES.indexOf(phase) < PHASES.indexOf(block.phase));
  return blocks.toSpliced(place + 1, 0, block);
}

/** An id that no round of the sequence has. */
export function freshRoundId({ rounds = [] }: Sequence): string {
  let number = rounds.length + 1;
  while (rounds.some(({ id }) => id === `round-${number}`)) number++;
  return `round-${number}`;
}

/** An id that no block of the sequence has: made from the movement, so that the same fix always writes the same document. */
export function freshBlockId(sequence: Sequence, movementId: string): string {
  const taken = new Set(sequence.blocks.map(({ id }) => id));
  let number = 1;
  while (taken.has(`${movementId}-${number}`)) number++;
  return `${movementId}-${number}`;
}
