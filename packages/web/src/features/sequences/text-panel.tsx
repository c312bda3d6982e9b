import { counted, type Sequence } from '@clay-pot/core';
import { readSequenceText, type SequenceRead, writeSequenceText } from '@clay-pot/core/exchange';
import { movementFinder } from '@clay-pot/core/library';
import { useEffect, useMemo, useRef, useState } from 'react';
import { replaceSequence } from '../../store/editor.js';
import { useStudioLibrary } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { useToast } from '../../ui/toast.js';

interface Props {
  document: Sequence;
  /** What was pasted; without it the text of the sequence itself. */
  pasted: string | null;
  onClose: () => void;
}

/** A sequence as plain text: to copy into a message, or to write and paste. The text that is read replaces the sequence, in one step to undo. */
export function TextPanel({ document, pasted, onClose }: Props) {
  const library = useStudioLibrary();
  const find = useMemo(() => movementFinder(library.shelf, library.ownName), [library]);
  const written = useMemo(
    () => writeSequenceText(document, { lookup: library.movement, method: library.method, shelf: library.shelf }),
    [document, library],
  );
  const [text, setText] = useState(pasted ?? written);
  const field = useRef<HTMLTextAreaElement>(null);
  const read = useMemo(
    () => readSequenceText(text, { shelf: library.shelf, methods: library.methods, ownName: library.ownName, find }),
    [text, library, find],
  );
  const isSame = text === written;

  function copy() {
    void navigator.clipboard.writeText(text).then(
      () => useToast.getState().show({ text: 'Copied.' }),
      () => field.current?.select(),
    );
  }
  function take() {
    if (!read.document) return;
    replaceSequence(read.document);
    useToast.getState().show({ text: 'Read from the text. Press Ctrl Z to undo.' });
    onClose();
  }
  return (
    <section aria-label="As text" className="flex flex-col gap-3 pt-3">
      <p className="text-small text-ink-soft">
        One movement a line, as in a message: “Palm lift, knees back: 2x6 tempo1-3 rest40”. Type, paste or copy it.
      </p>
      <textarea
        ref={field}
        aria-label="The sequence as text"
        className={`${INPUT} h-[52vh] resize-y font-mono text-small! leading-snug`}
        spellCheck={false}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <ReadResult read={read} goTo={(line, column) => goTo(field.current, line, column)} />
      <div className="flex flex-wrap gap-2">
        <Button kind="primary" disabled={!read.document || isSame} onClick={take}>
          Use this text
        </Button>
        <Button onClick={copy}>Copy</Button>
        <Button kind="quiet" className="ml-auto" onClick={onClose}>
          Back to the rows
        </Button>
      </div>
    </section>
  );
}

/** What keeps the text from being read, by line; else what was made of what was not written to the letter. */
function ReadResult({ read, goTo: go }: { read: SequenceRead; goTo: (line: number, column: number) => void }) {
  const { faults, interpretations, document } = read;
  if (!document) {
    return (
      <ul role="alert" className="max-h-36 overflow-y-auto border-l-4 border-iron bg-iron-wash px-3 py-1.5 text-small">
        {faults.map(({ line, column, message, nearest }) => (
          <li key={`${line} ${column} ${message}`}>
            <button type="button" className="font-semibold underline underline-offset-2" onClick={() => go(line, column)}>
              Line {line}, {column}
            </button>
            : {message} {nearest.length > 0 && <b>{nearest.join(' · ')}</b>}
          </li>
        ))}
      </ul>
    );
  }
  return (
    <div role="status" className="max-h-36 overflow-y-auto text-small text-ink-soft">
      {counted(document.blocks.length, 'block')}, complete.
      {interpretations.length > 0 && (
        <ul>
          {interpretations.map(({ line, wrote, took }) => (
            <li key={`${line} ${took}`}>
              Line {line}: {wrote && `“${wrote}” was read as `}
              <b>{took}</b>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** Puts the cursor where something is wrong. */
function goTo(field: HTMLTextAreaElement | null, line: number, column: number): void {
  if (!field) return;
  const before = field.value.split('\n').slice(0, line - 1);
  const at = before.reduce((sum, each) => sum + each.length + 1, 0) + column - 1;
  field.focus();
  field.setSelectionRange(at, at + (field.value.slice(at).split('\n')[0]?.length ?? 0));
}

/** More than one line of text that is pasted anywhere but into a field is a sequence to be read. */
export function usePastedText(onPaste: (text: string) => void): void {
  useEffect(() => {
    function take(event: ClipboardEvent) {
      const target = event.target instanceof Element ? event.target : null;
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (target?.closest('input, textarea, select') || text.trim().split('\n').length < 2) return;
      event.preventDefault();
      onPaste(text);
    }
    window.addEventListener('paste', take);
    return () => window.removeEventListener('paste', take);
  }, [onPaste]);
}
