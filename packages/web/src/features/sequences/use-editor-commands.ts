import { type RefObject, useMemo } from 'react';
import { movementById } from '../../store/library.js';
import { type Command, useCommands } from '../../ui/commands.js';
import { duplicateBlock, groupWithNext, moveBlock, redo, select, stepLevel, undo, ungroup, useEditor } from '../../store/editor.js';
import { removeWithUndo } from './block-row.js';
import { followSelection } from './follow-selection.js';

const POT = 'section[aria-label=Pot] svg[role=slider]';
const GROUP = 'Sequence';
const BLOCKS = '[id^="block-"]';

/** How often the first fix is looked for, and how long to wait in between: it may still be sought when its key is pressed. */
const FIX_LOOKS = 25;
const FIX_WAIT_MS = 120;

function toFirstFix(looks = FIX_LOOKS, from = document.activeElement): void {
  const fix = document.querySelector<HTMLElement>('[data-first-fix]');
  if (fix) fix.focus();
  // Whoever has gone on meanwhile is not called back.
  else if (looks > 0) {
    setTimeout(() => {
      if (document.activeElement === from) toFirstFix(looks - 1, from);
    }, FIX_WAIT_MS);
  }
}

function withSelected(run: (id: string) => void, stays = false): void {
  const { selectedId } = useEditor.getState();
  if (!selectedId) return;
  run(selectedId);
  followSelection(stays);
}

function selectNeighbour(step: 1 | -1): void {
  const { document: sequence, selectedId } = useEditor.getState();
  const blocks = sequence?.blocks ?? [];
  const index = blocks.findIndex((block) => block.id === selectedId);
  const next = blocks[index < 0 ? 0 : index + step];
  if (next) select(next.id);
  followSelection();
}

function removeSelected(id: string): void {
  const block = useEditor.getState().document?.blocks.find((candidate) => candidate.id === id);
  const movement = block && movementById(block.movementId);
  if (movement) removeWithUndo(id, movement.name);
}

/** Undoing and doing again keep the focus among the rows when it was there: the row may be gone, or be back. */
function stepBack(step: () => void): void {
  const wasInRows = document.activeElement?.closest(BLOCKS) !== null;
  step();
  if (wasInRows) followSelection();
}

/** Every key of the editor. */
export function useEditorCommands(search: RefObject<HTMLInputElement | null>, save: () => Promise<void>): void {
  const commands = useMemo<Command[]>(
    () => [
      { keys: '/', label: 'Search the shelf', group: GROUP, run: () => search.current?.focus() },
      { keys: 'ArrowDown', label: 'Next block', group: GROUP, run: () => selectNeighbour(1), within: BLOCKS },
      { keys: 'ArrowUp', label: 'Previous block', group: GROUP, run: () => selectNeighbour(-1), within: BLOCKS },
      {
        keys: 'Alt+ArrowDown',
        label: 'Move block down',
        group: GROUP,
        run: () => withSelected((id) => moveBlock(id, 1)),
      },
      { keys: 'Alt+ArrowUp', label: 'Move block up', group: GROUP, run: () => withSelected((id) => moveBlock(id, -1)) },
      { keys: ']', label: 'Harder level', group: GROUP, run: () => withSelected((id) => stepLevel(id, 1), true) },
      { keys: '[', label: 'Easier level', group: GROUP, run: () => withSelected((id) => stepLevel(id, -1), true) },
      {
        keys: 'e',
        label: 'Edit the dose',
        group: GROUP,
        run: () => {
          const row = document.getElementById(`block-${useEditor.getState().selectedId}`);
          row?.querySelector<HTMLInputElement>('[data-dose]')?.select();
        },
      },
      {
        keys: 'f',
        label: 'Go to the first fix',
        group: GROUP,
        run: () => toFirstFix(),
      },
      {
        keys: 'c',
        label: 'Go to its coil on the pot',
        group: GROUP,
        run: () => {
          // The pot may lie under another tab: a press on its own brings it up before the next frame.
          document.querySelector<HTMLElement>('[data-tab=Pot]:not([aria-selected=true])')?.click();
          requestAnimationFrame(() => document.querySelector<SVGElement>(POT)?.focus());
        },
      },
      { keys: 'r', label: 'Group in rounds with the next', group: GROUP, run: () => withSelected(groupWithNext, true) },
      { keys: 'Shift+R', label: 'Ungroup rounds', group: GROUP, run: () => withSelected(ungroup, true) },
      { keys: 'd', label: 'Duplicate block', group: GROUP, run: () => withSelected(duplicateBlock) },
      { keys: 'Delete', label: 'Remove block', group: GROUP, run: () => withSelected(removeSelected) },
      { keys: '$mod+z', label: 'Undo', group: GROUP, run: () => stepBack(undo) },
      { keys: '$mod+Shift+z', label: 'Redo', group: GROUP, run: () => stepBack(redo) },
      { keys: '$mod+s', label: 'Save now', group: GROUP, run: () => void save(), whileTyping: true },
    ],
    [search, save],
  );
  useCommands(commands);
}
