import type { StoredSequence } from '@clay-pot/contracts';
import { useCallback, useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { putSequence, queryClient } from '../../api/queries.js';
import { Autosave, type SaveState } from '../../store/autosave.js';
import { openSequence, useEditor } from '../../store/editor.js';

/** Opens a stored sequence in the editor and keeps it stored until it is left. See `Autosave`. */
export function useAutosave(stored: StoredSequence): {
  state: SaveState;
  settle: (keep: 'mine' | 'theirs') => void;
  saveNow: () => Promise<void>;
} {
  // Made once: later answers of the same query must not take the place of what is being edited.
  const [autosave] = useState(() => autosaveOf(stored));
  useEffect(() => {
    openSequence(autosave.open());
    const unsubscribe = useEditor.subscribe(({ document }) => document && autosave.changed(document));
    return () => {
      unsubscribe();
      autosave.close();
    };
  }, [autosave]);
  const settle = useCallback((keep: 'mine' | 'theirs') => autosave.settle(keep), [autosave]);
  const saveNow = useCallback(() => autosave.save(), [autosave]);
  return { state: useStore(autosave.state), settle, saveNow };
}

const autosaveOf = ({ id, document, etag }: StoredSequence) =>
  new Autosave(
    id,
    { document, etag },
    {
      put: (next, version) => putSequence(id, next, version),
      stored: () => void queryClient.invalidateQueries({ queryKey: ['sequences'], exact: true }),
      show: (next) => useEditor.setState({ document: next }),
    },
  );
