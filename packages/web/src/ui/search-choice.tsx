import { Combobox, ComboboxButton, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { type FocusEvent, useMemo, useRef, useState } from 'react';
import { INPUT } from './field.js';

/** One thing of a list. */
export interface Option {
  readonly id: string;
  readonly name: string;
  /** What else it is found by, and tells it apart. */
  readonly note?: string;
}

interface Props {
  /** What is chosen, for who hears the page. */
  label: string;
  options: readonly Option[];
  /** The id of what is chosen; empty while nothing is. */
  value: string;
  /** What choosing nothing is called; left out where something must be chosen. */
  nothing?: string;
  choose: (id: string) => void;
  /** Finds by more than the words of a name; best match first. */
  find?: (typed: string) => readonly Option[];
  id?: string;
  className?: string;
}

/** A list is not read beyond this many: whoever looks for something types more of it. */
const SHOWN = 60;

/** As it is typed in a hurry: small letters without their accents. */
const plainly = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .replaceAll(/[øłđæœß]/g, (letter) => UNDECOMPOSED[letter] ?? letter);
/** Letters that Unicode doesn't take apart into a plain one and an accent. */
const UNDECOMPOSED: Readonly<Record<string, string>> = { ø: 'o', ł: 'l', đ: 'd', æ: 'ae', œ: 'oe', ß: 'ss' };

/** What fits the words that were typed, wherever they are in a name or note, with their accents or without. */
export function fitting<O extends Pick<Option, 'name' | 'note'>>(options: readonly O[], typed: string): O[] {
  const words = plainly(typed).split(/\s+/).filter(Boolean);
  return options.filter(({ name, note = '' }) => {
    const text = plainly(`${name} ${note}`);
    return words.every((word) => text.includes(word));
  });
}

/** One of a list that is too long to be read: typed for, or chosen with arrows or pointer. */
export function SearchChoice({ label, options, value, nothing, choose, find, id, className = '' }: Props) {
  const [typed, setTyped] = useState('');
  const opener = useRef<HTMLButtonElement>(null);
  const all = useMemo(() => (nothing === undefined ? options : [{ id: '', name: nothing }, ...options]), [options, nothing]);
  const fits = useMemo(() => (find && typed.trim() !== '' ? find(typed) : fitting(all, typed)), [all, typed, find]);
  const chosen = all.find((option) => option.id === value) ?? null;
  return (
    <Combobox by="id" value={chosen} onChange={(option: Option | null) => option && choose(option.id)} onClose={() => setTyped('')}>
      {({ open }) => (
        <>
          <div className={`relative ${className}`}>
            <ComboboxInput
              {...(id ? { id } : { 'aria-label': label })}
              autoComplete="off"
              spellCheck={false}
              className={`${INPUT} pr-8! text-ellipsis`}
              displayValue={(option: Option | null) => option?.name ?? ''}
              onChange={(event) => setTyped(event.target.value)}
              // What is typed takes the place of what is chosen.
              onFocus={(event: FocusEvent<HTMLInputElement>) => event.target.select()}
              // By keys it opens with the first letter or arrow: who only passes through is not held up.
              onClick={() => !open && opener.current?.click()}
            />
            <ComboboxButton ref={opener} aria-hidden className="absolute inset-y-0 right-0 grid w-8 place-items-center text-ink-soft">
              <ChevronDown size={16} />
            </ComboboxButton>
          </div>
          <ComboboxOptions
            modal={false}
            anchor={{ to: 'bottom start', gap: 4, padding: 8 }}
            className="z-50 w-max max-w-[min(28rem,90vw)] min-w-(--input-width) overflow-y-auto border-2 border-ink bg-white shadow-lg [--anchor-max-height:20rem]"
          >
            {fits.slice(0, SHOWN).map((option) => (
              <ComboboxOption
                key={option.id}
                value={option}
                className="flex cursor-pointer items-baseline gap-2 border-b border-line px-2.5 py-1.5 last:border-0 data-focus:bg-ground data-selected:font-bold"
              >
                {option.name}
                {option.note && <span className="text-small font-normal text-ink-soft">{option.note}</span>}
              </ComboboxOption>
            ))}
            {fits.length === 0 && <p className="px-2.5 py-1.5 text-ink-soft">No match for “{typed}”.</p>}
            {fits.length > SHOWN && (
              <p className="px-2.5 py-1.5 text-small text-ink-soft">{fits.length - SHOWN} more: type to narrow the list.</p>
            )}
          </ComboboxOptions>
        </>
      )}
    </Combobox>
  );
}
