import type { StoredSequence } from '@clay-pot/contracts';
import { useCallback, useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { putSequence, queryClient } from '../../api/queries.js';
import { Autosave, type SaveState } from '../../store/autosave.js';
import { openSequence, useEditor } from '../../store/editor.js';
import { keepSteps, restoreSteps } from '../../store/steps.js';

/** Opens a stored sequence in the editor and keeps it stored until it is left. See `Autosave`. */
export function useAutosave(stored: Pick<StoredSequence, 'id' | 'document' | 'etag'>): {
  state: SaveState;
  settle: (keep: 'mine' | 'theirs') => void;
  saveNow: () => Promise<void>;
} {
  // Made once: later answers of the same query must not take the place of what is being edited.
  const { id } = stored;
  const [autosave] = useState(() => autosaveOf(stored));
  useEffect(() => {
    openSequence(autosave.open());
    restoreSteps(id);
    const keep = () => keepSteps(id);
    // Whoever goes on to lead or print it sees the work as it is, stored already or not.
    const leave = () =>
      queryClient.setQueryData<StoredSequence>(['sequences', id], (seen) => {
        const { document } = useEditor.getState();
        return seen && document ? { ...seen, document } : seen;
      });
    window.addEventListener('pagehide', keep);
    const unsubscribe = useEditor.subscribe(({ document }) => document && autosave.changed(document));
    return () => {
      unsubscribe();
      window.removeEventListener('pagehide', keep);
      leave();
      autosave.close();
      keep();
    };
  }, [autosave, id]);
  const settle = useCallback((keep: 'mine' | 'theirs') => autosave.settle(keep), [autosave]);
  const saveNow = useCallback(() => autosave.save(), [autosave]);
  return { state: useStore(autosave.state), settle, saveNow };
}

const autosaveOf = ({ id, document, etag }: Pick<StoredSequence, 'id' | 'document' | 'etag'>) =>
  new Autosave(
    id,
    { document, etag },
    {
      put: async (next, version) => {
        const stored = await putSequence(id, next, version);
        queryClient.setQueryData(['sequences', id], stored);
        return stored;
      },
      stored: () => void queryClient.invalidateQueries({ queryKey: ['sequences'], exact: true }),
      show: (next) => useEditor.setState({ document: next }),
    },
  );
