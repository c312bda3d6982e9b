import type { StaleEdit, StoredSequence } from '@clay-pot/contracts';
import type { Sequence } from '@clay-pot/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { putSequence, queryClient } from '../../api/queries.js';
import { isProblem, OfflineError } from '../../api/request.js';
import { openSequence, useEditor } from '../../store/editor.js';

const AFTER_MS = 600;
const RETRY_MS = 4000;

export type SaveState =
  | { kind: 'saved' }
  | { kind: 'unsaved' }
  | { kind: 'saving' }
  | { kind: 'offline' }
  | { kind: 'refused'; reason: string }
  | { kind: 'stale'; stale: StaleEdit };

interface Draft {
  readonly document: Sequence;
  readonly etag: string;
}
const draftKey = (id: string) => `clay-pot-draft-${id}`;

/** What a reload interrupted, if anything. */
function readDraft(id: string): Draft | null {
  const text = localStorage.getItem(draftKey(id));
  return text ? (JSON.parse(text) as Draft) : null;
}

/**
 * Opens a stored sequence on the bench and keeps it stored: a moment after each change, again when nobody answered, and from
 * the browser's own storage after a reload. A version that was changed elsewhere is never overwritten without asking.
 */
export function useAutosave(stored: StoredSequence) {
  const { id } = stored;
  const [state, setState] = useState<SaveState>({ kind: 'saved' });
  const etag = useRef(stored.etag);
  const savedDocument = useRef<Sequence | null>(null);
  /** The newest version of this very sequence: the bench may hold another one by the time an answer comes. */
  const latest = useRef<Sequence>(stored.document);
  const busy = useRef(false);

  const save = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    try {
      // Once more when it was changed while it was being sent.
      while (latest.current !== savedDocument.current) {
        const document = latest.current;
        setState({ kind: 'saving' });
        const answer = await putSequence(id, document, etag.current);
        etag.current = answer.etag;
        savedDocument.current = document;
      }
      localStorage.removeItem(draftKey(id));
      setState({ kind: 'saved' });
      void queryClient.invalidateQueries({ queryKey: ['sequences'], exact: true });
    } catch (error) {
      if (isProblem(error, 'stale-edit')) setState({ kind: 'stale', stale: error.problem as unknown as StaleEdit });
      else if (error instanceof OfflineError) setState({ kind: 'offline' });
      else setState({ kind: 'refused', reason: error instanceof Error ? error.message : String(error) });
    } finally {
      busy.current = false;
    }
  }, [id]);

  useEffect(() => {
    const draft = readDraft(id);
    etag.current = draft?.etag ?? stored.etag;
    latest.current = draft?.document ?? stored.document;
    openSequence(latest.current);
    savedDocument.current = draft ? null : stored.document;
    setState({ kind: draft ? 'unsaved' : 'saved' });
    let timer: ReturnType<typeof setTimeout> | undefined;
    if (draft) timer = setTimeout(() => void save(), 0);
    let keeping: ReturnType<typeof setTimeout> | undefined;
    const keep = () => {
      if (latest.current === savedDocument.current) return;
      const kept: Draft = { document: latest.current, etag: etag.current };
      localStorage.setItem(draftKey(id), JSON.stringify(kept));
    };
    const unsubscribe = useEditor.subscribe(({ document }, before) => {
      if (!document || document === before.document) return;
      latest.current = document;
      // Behind the frame that shows the change, so that writing does not hold it up.
      clearTimeout(keeping);
      keeping = setTimeout(keep, 0);
      setState((now) => (now.kind === 'stale' ? now : { kind: 'unsaved' }));
      clearTimeout(timer);
      timer = setTimeout(() => void save(), AFTER_MS);
    });
    return () => {
      unsubscribe();
      clearTimeout(timer);
      clearTimeout(keeping);
      keep();
      void save();
    };
    // Opening happens once per sequence: later answers of the same query must not replace what is being edited.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id]);

  const { kind } = state;
  useEffect(() => {
    if (kind !== 'offline' && kind !== 'unsaved') return;
    const timer = setTimeout(() => void save(), RETRY_MS);
    return () => clearTimeout(timer);
  }, [kind, save]);

  /** Answers a stale edit: my version goes on top of theirs, or theirs replaces mine. */
  const settle = useCallback(
    (keep: 'mine' | 'theirs') => {
      if (state.kind !== 'stale') return;
      const { current } = state.stale;
      etag.current = current.etag;
      if (keep === 'theirs') {
        savedDocument.current = current.document;
        latest.current = current.document;
        localStorage.removeItem(draftKey(id));
        // Through the history, so that my version can still be brought back with undo.
        useEditor.setState({ document: current.document });
        setState({ kind: 'saved' });
      } else {
        savedDocument.current = null;
        void save();
      }
    },
    [state, id, save],
  );

  return { state, settle, saveNow: save };
}
