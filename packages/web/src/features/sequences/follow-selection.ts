import { useEditor } from '../../store/editor.js';

/** Puts the focus where the selection is, once the rows have been rendered; on the shelf where there is no row any more. */
export function followSelection(stays = false): void {
  requestAnimationFrame(() => {
    const row = document.getElementById(`block-${useEditor.getState().selectedId}`);
    // Where the focus is there already and nothing has moved, looking for its place would only cost time.
    if (stays && row === document.activeElement) return;
    if (!row) document.querySelector<HTMLElement>('[data-shelf-search]')?.focus();
    row?.focus({ preventScroll: true });
    row?.scrollIntoView({ block: 'nearest' });
  });
}
