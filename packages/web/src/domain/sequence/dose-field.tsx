import { checkFit, type Dose, doseCompletions, type Level, type Movement, printDose, ShorthandError } from '@clay-pot/core';
import { typedDose } from '@clay-pot/core/exchange';
import { type KeyboardEvent, useId, useRef, useState } from 'react';
import { studioLibrary } from '../../store/library.js';
import { INPUT } from '../../ui/field.js';

interface Props {
  dose: Dose;
  movement: Movement;
  level: Level;
  onChange: (dose: Dose) => void;
}

/** The dose as shorthand, typed in place as shorthand or in words: what is not typed stays. What cannot be read stays in the field with the reason beside it. */
export function DoseField({ dose, movement, level, onChange }: Props) {
  const id = useId();
  const printed = printDose(dose);
  const [typed, setTyped] = useState<string | null>(null);
  // Leaving the field by a key has settled it already.
  const settled = useRef(false);
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const proposed = typed === null ? [] : doseCompletions(typed, movement, level);
  /** Which of the proposals the arrows stand on; none at first, so that Enter takes what is typed. */
  const [at, setAt] = useState<number | null>(null);
  const chosen = at === null ? undefined : proposed[at];

  function type(text: string) {
    setTyped(text);
    setAt(null);
  }

  function restore() {
    setTyped(null);
    setTrouble(null);
  }

  /** @returns whether the field says now what the dose is */
  function commit(): boolean {
    if (typed === null) return true;
    try {
      const read = typedDose(typed, dose, movement, level, studioLibrary().grades);
      const misfit = checkFit(read, movement, level)[0];
      if (misfit) throw new ShorthandError('', misfit.message, 0);
      setTrouble(null);
      setTyped(null);
      if (printDose(read) !== printed) onChange(read);
      return true;
    } catch (error) {
      if (!(error instanceof ShorthandError)) throw error;
      setTrouble(error.message);
      // What is wrong is marked in the field, so that typing takes its place.
      if (error.part) input.current?.setSelectionRange(error.at, error.at + error.part.length);
      return false;
    }
  }

  /** Enter takes what is typed, Escape brings back what was; both lead back to the row, whose keys go on from there. */
  function onKey(event: KeyboardEvent<HTMLInputElement>) {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step && proposed.length > 0) {
      event.preventDefault();
      setAt(((at ?? (step > 0 ? -1 : 0)) + step + proposed.length) % proposed.length);
      return;
    }
    if (event.key === 'Enter' && chosen) {
      event.preventDefault();
      type(`${chosen.text} `);
      return;
    }
    if (event.key === 'Escape') restore();
    else if (event.key !== 'Enter' || !commit()) return;
    settled.current = true;
    event.preventDefault();
    event.currentTarget.closest<HTMLElement>('li[tabindex]')?.focus({ preventScroll: true });
    settled.current = false;
  }

  return (
    <div className="min-w-0">
      <input
        ref={input}
        role="combobox"
        aria-expanded={proposed.length > 0}
        aria-controls={`${id}-list`}
        aria-autocomplete="list"
        aria-activedescendant={chosen && `${id}-${at}`}
        aria-label={`Dose of ${movement.name}`}
        data-dose
        className={`${INPUT} px-2! text-small! font-semibold figures`}
        value={typed ?? printed}
        spellCheck={false}
        autoComplete="off"
        aria-invalid={trouble ? true : undefined}
        aria-describedby={trouble ? id : undefined}
        onChange={(event) => type(event.target.value)}
        onBlur={() => {
          if (!settled.current) commit();
        }}
        onKeyDown={onKey}
      />
      {proposed.length > 0 && (
        <ul id={`${id}-list`} role="listbox" aria-label="Suggestions" className="mt-1 flex flex-wrap gap-x-1 gap-y-0.5">
          {proposed.map(({ text, part, means }, index) => (
            <li
              key={part}
              id={`${id}-${index}`}
              role="option"
              aria-selected={index === at}
              className="cursor-pointer border border-line bg-white px-1.5 text-fine figures aria-selected:border-ink aria-selected:bg-ground"
              onPointerDown={(event) => {
                // The field keeps the focus: one goes on typing.
                event.preventDefault();
                type(`${text} `);
              }}
            >
              <b>{part}</b> {means}
            </li>
          ))}
        </ul>
      )}
      {trouble && (
        <p id={id} role="alert" className="mt-1 text-small font-semibold text-iron">
          {trouble} Press Escape to go back to {printed}.
        </p>
      )}
    </div>
  );
}
