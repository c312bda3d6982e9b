import { capital, type WorkingSide, WORKING_SIDES } from '@clay-pot/core';
import { Check } from 'lucide-react';
import type { ReactNode } from 'react';
import { Segments } from '../../ui/segments.js';

/** Whose hand an answer is of. */
export const HandChoice = ({
  label,
  hand,
  choose,
}: {
  label: string;
  hand: WorkingSide;
  choose: (hand: WorkingSide) => void;
}) =>
  // prettier-ignore
  <Segments label={label} options={WORKING_SIDES} words={capital} chosen={hand} choose={choose} className="text-small" />;

interface RowProps {
  words: string;
  on: boolean;
  toggle: () => void;
  /** What is asked of an answer that is given. */
  children?: ReactNode;
}

/** A line that is ticked where it is so, large enough for a thumb; what more is asked of it stands under it. */
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

/** Several of a few, as many as are so. */
export function TickChips<T extends string>({
  label,
  options,
  words,
  chosen,
  change,
}: {
  label: string;
  options: readonly T[];
  words: (option: T) => string;
  chosen: readonly T[];
  change: (chosen: readonly T[]) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-1.5">
      {options.map((option) => {
        const on = chosen.includes(option);
        return (
          <button
            key={option}
            type="button"
            aria-pressed={on}
            className={`min-h-11 border px-3 text-small font-semibold ${on ? 'border-ink bg-ink text-white' : 'border-ink/50 bg-white hover:bg-ground'}`}
            onClick={() => change(on ? chosen.filter((each) => each !== option) : [...chosen, option])}
          >
            {words(option)}
          </button>
        );
      })}
    </div>
  );
}
