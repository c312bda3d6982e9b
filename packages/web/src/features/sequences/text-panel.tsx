import { counted, type Sequence } from '@clay-pot/core';
import { readSequenceText, type SequenceRead, writeSequenceText } from '@clay-pot/core/exchange';
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
  const written = useMemo(
    () => writeSequenceText(document, { lookup: library.movement, method: library.method, shelf: library.shelf }),
    [document, library],
  );
  const [text, setText] = useState(pasted ?? written);
  const field = useRef<HTMLTextAreaElement>(null);
  const read = useMemo(
    () => readSequenceText(text, { shelf: library.shelf, methods: library.methods, ownName: library.ownName, grades: library.grades }),
    [text, library],
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
    const left = new Set(read.faults.map(({ line }) => line)).size;
    const text =
      left > 0
        ? `Read from the text, without ${counted(left, 'line')}. Press Ctrl Z to undo.`
        : 'Read from the text. Press Ctrl Z to undo.';
    useToast.getState().show({ text });
    onClose();
  }
  return (
    <section aria-label="As text" className="flex flex-col gap-3 pt-3">
      <p className="text-small text-ink-soft">
        Write one movement a line, as you would in a message: “3 sets of 8 palm lifts on the knees, rest 40”.
      </p>
      <textarea
        ref={field}
        aria-label="The sequence as text"
        className={`${INPUT} h-[34vh] resize-y font-mono text-small! leading-snug`}
        spellCheck={false}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <ReadLines
        read={read}
        text={text}
        goTo={(line, column) => goTo(field.current, line, column)}
        choose={(line, choice) =>
          setText((now) =>
            now
              .split('\n')
              .with(line - 1, choice)
              .join('\n'),
          )
        }
      />
      <div className="flex flex-wrap gap-2">
        <Button kind="primary" disabled={!read.document || isSame} onClick={take}>
          {read.document && read.faults.length > 0 ? `Use ${counted(read.document.blocks.length, 'block')}` : 'Use this text'}
        </Button>
        <Button onClick={copy}>Copy</Button>
        <Button kind="quiet" className="ml-auto" onClick={onClose}>
          Back to the rows
        </Button>
      </div>
    </section>
  );
}

interface ReadLinesProps {
  read: SequenceRead;
  text: string;
  goTo: (line: number, column: number) => void;
  choose: (line: number, choice: string) => void;
}

/** Line by line what was understood, beside what was written; a line that was not is asked about, with what could be meant. */
function ReadLines({ read: { document, faults, understood }, text, goTo: go, choose }: ReadLinesProps) {
  const lines = text.split('\n');
  const open = new Set(faults.map(({ line }) => line));
  const rows = [...new Set([...open, ...understood.map(({ line }) => line)])].sort((a, b) => a - b);
  return (
    <>
      <p role="status" className="text-small">
        {document ? `${counted(document.blocks.length, 'block')} read` : 'No line is understood yet'}
        {faults.length > 0 && <b>{`; ${counted(open.size, 'line')} not understood`}</b>}
      </p>
      <ol aria-label="Read as" className="max-h-[34vh] overflow-y-auto border-y border-line text-small">
        {rows.map((line) => (
          <li
            key={line}
            className={`grid gap-x-4 border-b border-line px-2 py-1 last:border-0 sm:grid-cols-2 ${open.has(line) ? 'border-l-4 border-l-iron bg-iron-wash' : ''}`}
          >
            <span className="truncate text-ink-soft">{lines[line - 1]?.trim() || '(empty)'}</span>
            <span>
              {understood
                .filter((each) => each.line === line)
                .map(({ text: meant, isExact }) => (
                  <span key={meant} className={`block ${isExact ? 'text-ink-soft' : ''}`}>
                    {meant}
                  </span>
                ))}
              {faults
                .filter((fault) => fault.line === line)
                .map(({ column, message, nearest, choices }) => (
                  <span key={`${column} ${message}`} role="alert" className="block">
                    <button
                      type="button"
                      className="font-semibold underline underline-offset-2 max-sm:min-h-11"
                      onClick={() => go(line, column)}
                    >
                      Line {line}, {column}
                    </button>
                    : {message} {choices.length === 0 && nearest.length > 0 && <b>{nearest.join(' · ')}</b>}
                    <span className="flex flex-wrap gap-1.5 pt-1">
                      {choices.map((choice) => (
                        <Button key={choice} className="px-2! py-0.5! text-left text-small" onClick={() => choose(line, choice)}>
                          {choice}
                        </Button>
                      ))}
                    </span>
                  </span>
                ))}
            </span>
          </li>
        ))}
      </ol>
    </>
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
