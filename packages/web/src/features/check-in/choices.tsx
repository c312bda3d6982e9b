import { capital, type WorkingSide, WORKING_SIDES } from '@clay-pot/core';
import { Check } from 'lucide-react';
import type { ReactNode } from 'react';
import { Segments } from '../../ui/segments.js';

/** Whose hand an answer is of. */
export const HandChoice = ({ label, hand, choose }: { label: string; hand: WorkingSide; choose: (hand: WorkingSide) => void }) => (
  <Segments label={label} options={WORKING_SIDES} words={capital} chosen={hand} choose={choose} className="text-small" />
);

interface RowProps {
  words: string;
  on: boolean;
  toggle: () => void;
  /** The checks of an answer. */
  children?: ReactNode;
}

/** A row to tick, large enough for a thumb; its details are asked below it. */
export function TickRow({ words, on, toggle, children }: RowProps) {
  return (
    <li className={`border-b border-line ${on ? 'border-l-4 border-l-ink bg-white' : ''}`}>
      <button
        type="button"
        role="checkbox"
        aria-checked={on}
        className="flex min-h-12 w-full items-center gap-3 px-2 py-2 text-left font-semibold hover:bg-ground"
        onClick={toggle}
      >
        <span
          aria-hidden
          className={`grid size-6 shrink-0 place-items-center border-2 border-ink ${on ? 'bg-ink text-white' : 'bg-white'}`}
        >
          {on && <Check size={18} strokeWidth={3} />}
        </span>
        {words}
      </button>
      {on && children && <div className="grid gap-3 px-2 pb-3 sm:pl-11">{children}</div>}
    </li>
  );
}
