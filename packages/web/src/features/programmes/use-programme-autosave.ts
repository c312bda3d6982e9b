import type { StoredProgramme } from '@clay-pot/contracts';
import type { Programme } from '@clay-pot/core';
import { useCallback, useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { putProgramme } from '../../api/programme-queries.js';
import { refresh } from '../../api/queries.js';
import { Autosave, type SaveState } from '../../store/autosave.js';
import { openProgramme, useProgrammeEditor } from '../../store/programme.js';

/** Opens a stored programme on the calendar and keeps it stored until it is left. See `Autosave`. */
export function useProgrammeAutosave(stored: StoredProgramme): {
  state: SaveState<Programme>;
  settle: (keep: 'mine' | 'theirs') => void;
} {
  // Made once: later answers of the same query must not take the place of what is being edited.
  const [autosave] = useState(() => autosaveOf(stored));
  useEffect(() => {
    openProgramme(autosave.open());
    const unsubscribe = useProgrammeEditor.subscribe(({ document }) => document && autosave.changed(document));
    return () => {
      unsubscribe();
      autosave.close();
    };
  }, [autosave]);
  const settle = useCallback((keep: 'mine' | 'theirs') => autosave.settle(keep), [autosave]);
  return { state: useStore(autosave.state), settle };
}

const autosaveOf = ({ id, athleteId, document, etag }: StoredProgramme) =>
  new Autosave<Programme>(
    id,
    { document, etag },
    {
      put: (next, version) => putProgramme(id, { athleteId, document: next }, version),
      stored: () => void refresh('today'),
      show: (next) => useProgrammeEditor.setState({ document: next }),
    },
  );
