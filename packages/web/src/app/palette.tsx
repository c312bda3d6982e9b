import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useProgrammes } from '../api/programme-queries.js';
import { useAthletes, useSequences, useToday } from '../api/queries.js';
import { SearchNote } from '../domain/movement/search-note.js';
import { useStudioLibrary } from '../store/library.js';
import { useCommandState } from '../ui/commands.js';
import { Dialog } from '../ui/dialog.js';
import { INPUT } from '../ui/field.js';
import { paletteGroups, type PaletteEntry } from './palette-entries.js';

const NONE: readonly never[] = [];

/** Search over people, sequences, programmes, movements, places and actions: typed for, chosen with arrows or pointer. */
export default function Palette({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const people = useAthletes().data ?? NONE;
  const sequences = useSequences().data ?? NONE;
  const programmes = useProgrammes().data ?? NONE;
  const due = useToday().data?.due ?? NONE;
  const { shelf, ownName } = useStudioLibrary();
  // What keys do on the screen below, as it was when the search opened.
  const [commands] = useState(() =>
    [...useCommandState.getState().active.values()].flat().filter(({ group, within }) => group !== 'All screens' && !within),
  );
  const groups = useMemo(
    () =>
      paletteGroups(
        { people, sequences, programmes, due, movements: shelf, nameOf: ({ id, name }) => ownName(id) ?? name, commands },
        typed,
      ),
    [people, sequences, programmes, due, shelf, ownName, commands, typed],
  );
  function choose(entry: PaletteEntry | null) {
    if (!entry) return;
    onClose();
    const { does } = entry;
    if (typeof does === 'string') void navigate(does);
    // The screen below has the keys again only when the search is gone.
    else requestAnimationFrame(does);
  }
  return (
    <Dialog title="Search" onClose={onClose} place="top">
      <Combobox immediate value={null} onChange={choose}>
        <ComboboxInput
          autoFocus
          autoComplete="off"
          spellCheck={false}
          aria-label="Search people, sequences, movements and actions"
          placeholder="Name, movement, place or action"
          className={`${INPUT} mt-2 mb-2`}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={({ key }) => key === 'Escape' && onClose()}
        />
        <SearchNote text={typed} isClosest={false} />
        <ComboboxOptions static className="mt-2 max-h-[60dvh] overflow-y-auto outline-none">
          {groups.map(({ name, entries }) => (
            <section key={name} aria-label={name}>
              <h3 className="pt-2 pb-0.5 text-small text-ink-soft">{name}</h3>
              {entries.map((entry) => (
                <ComboboxOption
                  key={entry.id}
                  value={entry}
                  className="flex min-h-9 cursor-pointer items-baseline justify-between gap-3 border-l-4 border-transparent px-2 py-1.5 data-focus:border-ink data-focus:bg-ground"
                >
                  <span>{entry.name}</span>
                  {entry.note && <span className="text-right text-small text-ink-soft">{entry.note}</span>}
                </ComboboxOption>
              ))}
            </section>
          ))}
          {groups.length === 0 && <p className="py-3 text-ink-soft">No match for “{typed}”. Try fewer words.</p>}
        </ComboboxOptions>
      </Combobox>
    </Dialog>
  );
}
