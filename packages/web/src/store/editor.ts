import {
  applyEdits,
  type Block,
  type Dose,
  type Edit,
  findLevel,
  fittedTo,
  itemAt,
  type Level,
  type Movement,
  neighbourLevel,
  phaseBetween,
  PHASES,
  type Round,
  ROUND_LIMITS,
  roundOf,
  same,
  type Sequence,
  USUAL_PHASE,
  withRoundOver,
  withRounds,
} from '@clay-pot/core';
import { movementById } from './library.js';
import { v7 as uuid } from 'uuid';
import { temporal } from 'zundo';
import { create } from 'zustand';

interface EditorState {
  /** Null until a sequence has been opened. */
  readonly document: Sequence | null;
  readonly selectedId: string | null;
}

/** The sequence in the editor. Every change of the document can be undone, without limit; selecting is not a change. */
export const useEditor = create<EditorState>()(
  temporal((): EditorState => ({ document: null, selectedId: null }), {
    partialize: ({ document }) => ({ document }),
    equality: (past, now) => past.document === now.document,
  }),
);

/** Opens a sequence in the editor and forgets the steps of the one before. */
export function openSequence(document: Sequence): void {
  useEditor.setState({ document, selectedId: document.blocks[0]?.id ?? null });
  useEditor.temporal.getState().clear();
}

/** Replaces the document: one step to undo. */
export function replaceSequence(document: Sequence): void {
  useEditor.setState({ document, selectedId: document.blocks[0]?.id ?? null });
}

/** Takes the last change back. */
export const undo = () => stepping(() => useEditor.temporal.getState().undo());
/** Brings back what was taken back. */
export const redo = () => stepping(() => useEditor.temporal.getState().redo());

/** After a step the block at the selected block’s place is selected; after one that restores a block, that block. */
function stepping(step: () => void): void {
  const before = useEditor.getState();
  step();
  const { document, selectedId } = useEditor.getState();
  const blocks = document?.blocks ?? [];
  const idsBefore = new Set(before.document?.blocks.map(({ id }) => id));
  const back = blocks.find(({ id }) => !idsBefore.has(id));
  if (back) select(back.id);
  else if (!blocks.some(({ id }) => id === selectedId)) {
    const index = before.document?.blocks.findIndex(({ id }) => id === selectedId) ?? 0;
    select(blocks[Math.min(Math.max(0, index), blocks.length - 1)]?.id ?? null);
  }
}

/** Makes a block the one that keys and steppers mean. */
export const select = (selectedId: string | null) => useEditor.setState({ selectedId });

/** Changes the fields beside the blocks. */
export function changeSequence(change: Partial<Omit<Sequence, 'blocks'>>): void {
  useEditor.setState(({ document }) => (document ? { document: { ...document, ...change } } : {}));
}

function changeBlocks(change: (blocks: readonly Block[]) => readonly Block[]): void {
  useEditor.setState(({ document }) => (document ? { document: withRounds({ ...document, blocks: [...change(document.blocks)] }) } : {}));
}

/** Changes something of a block. */
export function changeBlock(id: string, change: Partial<Omit<Loose, 'id'>>): void {
  changeBlocks((blocks) => blocks.map((block) => (block.id === id ? tidied({ ...block, ...change }) : block)));
}

/** An empty note is no note, no seconds are no break, and what is switched off is not written. */
function tidied({ note, breakS, lookAgain, atOnce, bonus, ...block }: Loose): Block {
  return {
    ...block,
    ...(breakS && { breakS }),
    ...(atOnce && { atOnce }),
    ...(bonus && { bonus }),
    ...(lookAgain && lookAgain.length > 0 && { lookAgain }),
    ...(note && { note }),
  };
}
/** What may be set to nothing. */
type Loose = Omit<Block, 'note' | 'breakS' | 'lookAgain' | 'atOnce' | 'bonus'> & {
  readonly [K in 'note' | 'breakS' | 'lookAgain']?: Block[K] | undefined;
} & { readonly atOnce?: boolean; readonly bonus?: boolean };

/** Carries out a fix: one step to undo, however many blocks it touches. */
export function carryOut(edits: readonly Edit[]): void {
  useEditor.setState(({ document, selectedId }) => {
    if (!document) return {};
    const mended = applyEdits(document, edits);
    const added = edits.find((edit) => edit.kind === 'add')?.block.id;
    const kept = mended.blocks.some(({ id }) => id === selectedId) ? selectedId : (mended.blocks[0]?.id ?? null);
    return { document: mended, selectedId: added ?? kept };
  });
}

/** Leaves a check unheeded for this sequence, with the reason; without a reason it is heard again. */
export function muteCheck(check: string, reason: string | null): void {
  const mutes = (useEditor.getState().document?.mutes ?? []).filter((mute) => mute.check !== check);
  changeSequence({ mutes: reason === null ? mutes : [...mutes, { check, reason }] });
}

/** The block that the pointer is over, in the list or on the pot. */
export const useHovered = create<{ readonly id: string | null }>()(() => ({ id: null }));
/** Marks a block in every view that shows it. */
export const hover = (id: string | null) => useHovered.setState({ id });

/** Gives a block another dose. */
export const changeDose = (id: string, dose: Dose) => changeBlock(id, { dose });

/**
 * Adds a movement. Behind the last block it follows in the order of adding; in the middle it goes after the selected block where its usual phase fits there,
 * else to the end of that phase.
 */
export function addBlock(movement: Movement, level: Level, dose: Dose): void {
  const { document, selectedId } = useEditor.getState();
  if (!document) return;
  const { blocks } = document;
  const selected = blocks.findIndex(({ id }) => id === selectedId);
  const later = selected < 0 ? [] : blocks.slice(selected + 1);
  const before = blocks[selected < 0 ? blocks.length - 1 : selected]?.phase;
  const there = phaseBetween(movement, level, { before, after: later[0]?.phase, loadFollows: false });
  const usual = USUAL_PHASE[movement.family];
  const isHere = later.length === 0 || there === usual;
  const block: Block = { id: uuid(), phase: isHere ? there : usual, movementId: movement.id, levelId: level.id, dose };
  if (isHere) changeBlocks((all) => all.toSpliced(all.length - later.length, 0, block));
  else carryOut([{ kind: 'add', block, before: null }]);
  select(block.id);
}

/** Puts a copy behind a block. */
export function duplicateBlock(id: string): void {
  const copyId = uuid();
  changeBlocks((blocks) => blocks.flatMap((block) => (block.id === id ? [block, { ...block, id: copyId }] : [block])));
  select(copyId);
}

/** Takes a block out; the one after it is selected. */
export function removeBlock(id: string): void {
  const blocks = useEditor.getState().document?.blocks ?? [];
  const index = blocks.findIndex((block) => block.id === id);
  changeBlocks((all) => all.filter((block) => block.id !== id));
  select(blocks[index + 1]?.id ?? blocks[index - 1]?.id ?? null);
}

/** One place up or down; at the edge of its phase a block stays where it is and takes on the neighbouring phase. */
export function moveBlock(id: string, step: 1 | -1): void {
  changeBlocks((blocks) => {
    const index = blocks.findIndex((block) => block.id === id);
    const block = itemAt(blocks, index);
    const neighbour = blocks[index + step];
    if (neighbour?.phase === block.phase) return blocks.with(index, neighbour).with(index + step, block);
    const own = PHASES.indexOf(block.phase);
    const isOnTheWay = !neighbour || Math.sign(PHASES.indexOf(neighbour.phase) - own) === step;
    const phase = isOnTheWay ? PHASES[own + step] : neighbour.phase;
    return phase ? blocks.with(index, { ...block, phase }) : blocks;
  });
}

/** Takes the blocks from one to another in rounds. */
export function groupBlocks(fromId: string, toId: string): void {
  useEditor.setState(({ document }) => (document ? { document: withRoundOver(document, fromId, toId, uuid()) } : {}));
}

/** Takes a block in rounds with the one that follows it, or what is in rounds already with the next one too; at the end of its phase with the one before. */
export function groupWithNext(id: string): void {
  const { document } = useEditor.getState();
  const index = document?.blocks.findIndex((block) => block.id === id) ?? -1;
  const block = document?.blocks[index];
  if (!document || !block) return;
  const last = roundOf(document, id)?.blockIds.at(-1) ?? id;
  const behind = document.blocks[document.blocks.findIndex((each) => each.id === last) + 1];
  const before = document.blocks[index - 1];
  const mate = [behind, before].find((each) => each?.phase === block.phase);
  groupBlocks(id, mate?.id ?? id);
}

/** Each block of this block’s round is then done once. */
export function ungroup(id: string): void {
  const { document } = useEditor.getState();
  const round = document && roundOf(document, id);
  if (round) carryOut([{ kind: 'ungroup', roundId: round.id }]);
}

/** Changes how a round goes; a change of nothing is none. */
export function changeRound(round: Round): void {
  const { change, ...rest } = round;
  const kept = change && Object.fromEntries(Object.entries(change).filter(([, value]) => value !== 0));
  const clean: Round = { ...rest, ...(kept && Object.keys(kept).length > 0 && { change: kept }) };
  if (rest.times >= ROUND_LIMITS.times.min) carryOut([{ kind: 'round', round: clean }]);
}

/** Dropped on another block: takes that one's place and phase. */
export function dropBlock(id: string, ontoId: string): void {
  changeBlocks((blocks) => {
    const from = blocks.findIndex((block) => block.id === id);
    const onto = blocks.findIndex((block) => block.id === ontoId);
    if (from < 0 || onto < 0 || from === onto) return blocks;
    const moved = { ...itemAt(blocks, from), phase: itemAt(blocks, onto).phase };
    return blocks.toSpliced(from, 1).toSpliced(onto, 0, moved);
  });
}

/**
 * Takes the next harder or easier level. A dose that was still the level's usual one becomes the new level's usual one; a
 * dose that the coach set stays.
 */
export function stepLevel(id: string, step: 1 | -1): void {
  const block = useEditor.getState().document?.blocks.find((candidate) => candidate.id === id);
  const movement = block && movementById(block.movementId);
  const next = movement && neighbourLevel(movement, block.levelId, step);
  if (!block || !movement || !next) return;
  const now = findLevel(movement, block.levelId);
  const isUsual = same(now?.dose, block.dose);
  changeBlock(id, { levelId: next.id, dose: isUsual ? next.dose : fittedTo(block.dose, next, movement) });
}
