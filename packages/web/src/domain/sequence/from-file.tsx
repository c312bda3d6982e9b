import { type RefObject, useRef } from 'react';
import { Button } from '../../ui/button.js';
import { ProblemError } from '../../api/request.js';

interface FileInputProps {
  inputRef: RefObject<HTMLInputElement | null>;
  /** What is chosen, for who hears the page. */
  name: string;
  choose: (file: File) => void;
}

/** Chooses one of our files; a button or an entry of a menu opens it. */
export function FileInput({ inputRef, name, choose }: FileInputProps) {
  return (
    <input
      ref={inputRef}
      type="file"
      accept=".json,application/json"
      aria-label={name}
      className="sr-only"
      tabIndex={-1}
      onChange={(event) => {
        const chosen = event.target.files?.[0];
        event.target.value = '';
        if (chosen) choose(chosen);
      }}
    />
  );
}

/** The same with a button beside it. */
export function FileButton({ name, disabled, choose }: Omit<FileInputProps, 'inputRef'> & { disabled: boolean }) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <FileInput inputRef={file} name={name} choose={choose} />
      <Button disabled={disabled} onClick={() => file.current?.click()}>
        Import a file
      </Button>
    </>
  );
}

/** Where a file is broken: line, field, and what would be right. */
export function ImportTrouble({ error, fileName, dismiss }: { error: Error; fileName: string; dismiss: () => void }) {
  const faults = error instanceof ProblemError ? (error.problem.errors ?? []) : [];
  return (
    <div role="alert" className="mb-6 border-l-4 border-iron bg-iron-wash px-4 py-3">
      <p>
        <b>{fileName}</b>: {error.message}
      </p>
      <ul className="mt-2 grid gap-1">
        {faults.map((fault, index) => (
          <li key={index} className="figures">
            {fault.line !== undefined && <b>Line {fault.line}. </b>}
            {fault.pointer && <code className="font-text">{fault.pointer}: </code>}
            {fault.message}
          </li>
        ))}
      </ul>
      <button type="button" className="mt-2 underline underline-offset-2" onClick={dismiss}>
        Dismiss
      </button>
    </div>
  );
}
