import {
  checkFit,
  type Dose,
  type Level,
  type Movement,
  printDose,
  retypeDose,
  ShorthandError,
  usualWay,
} from '@clay-pot/core';
import { type KeyboardEvent, useId, useRef, useState } from 'react';
import { INPUT } from '../ui/field.js';

interface Props {
  dose: Dose;
  movement: Movement;
  level: Level;
  onChange: (dose: Dose) => void;
}

/** The dose as shorthand, typed in place: what is not typed stays. What cannot be read stays in the field with the reason beside it. */
export function DoseField({ dose, movement, level, onChange }: Props) {
  const id = useId();
  const printed = printDose(dose);
  const [typed, setTyped] = useState<string | null>(null);
  // Leaving the field by a key has settled it already.
  const settled = useRef(false);
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);

  function restore() {
    setTyped(null);
    setTrouble(null);
  }

  /** @returns whether the field says now what the dose is */
  function commit(): boolean {
    if (typed === null) return true;
    try {
      const read = retypeDose(typed, dose, usualWay(movement));
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
        aria-label={`Dose of ${movement.name}`}
        data-dose
        className={`${INPUT} px-2! text-small! font-semibold figures`}
        value={typed ?? printed}
        spellCheck={false}
        autoComplete="off"
        aria-invalid={trouble ? true : undefined}
        aria-describedby={trouble ? id : undefined}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => {
          if (!settled.current) commit();
        }}
        onKeyDown={onKey}
      />
      {trouble && (
        <p id={id} role="alert" className="mt-1 text-small font-semibold text-iron">
          {trouble} Escape brings back {printed}.
        </p>
      )}
    </div>
  );
}
