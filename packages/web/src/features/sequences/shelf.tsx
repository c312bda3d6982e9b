import type { Athlete } from '@clay-pot/contracts';
import { FAMILIES, type FamilyId, type Hand, type Movement, type RecordedCaution } from '@clay-pot/core';
import { type KeyboardEvent, memo, type RefObject, useState } from 'react';
import { MovementName } from '../../domain/movement-name.js';
import { addBlock } from '../../store/editor.js';
import { useKnown } from '../../store/library.js';
import { INPUT } from '../../ui/field.js';
import { useStandingCautions } from '../../domain/standing-cautions.js';
import { LevelPicture, middleLevel } from '../../domain/level-picture.js';
import { filterMovements, type MovementFilter, NO_FILTER, passingLevels } from '../../domain/movement-filter.js';

/** Whether a movement has a caution that concerns this athlete. */
const minds = (movement: Movement, cautions: readonly RecordedCaution[]) =>
  movement.cautions.some((note) => cautions.some(({ caution }) => note.concerns.includes(caution)));

/** The movement shelf: search, family, and what suits the athlete in view. Adding takes the easiest level that passes. */
export const Shelf = memo(function Shelf({
  athlete,
  search,
  weaker,
}: {
  athlete: Athlete | undefined;
  search: RefObject<HTMLInputElement | null>;
  /** The weaker hand, for methods that let it go first. */
  weaker: Hand | null;
}) {
  const [text, setText] = useState('');
  const [family, setFamily] = useState<FamilyId | ''>('');
  const [suited, setSuited] = useState(true);
  const library = useKnown().shelf;
  const cautions = useStandingCautions(athlete);
  const base: MovementFilter = athlete && suited ? { ...NO_FILTER, equipment: athlete.equipment, cautions } : NO_FILTER;
  const filter = { ...base, text, family };
  const shown = filterMovements(library, filter);
  const families = (Object.keys(FAMILIES) as FamilyId[]).filter((id) =>
    library.some((movement) => movement.family === id),
  );

  function add(movement: Movement) {
    addBlock(movement, passingLevels(movement, filter)[0] ?? movement.ladder[0], weaker, cautions);
  }
  function onKeyDown(event: KeyboardEvent<HTMLInputElement>) {
    const first = shown[0];
    if (event.key === 'Enter' && first) add(first);
    if (event.key === 'Escape') event.currentTarget.blur();
  }

  return (
    <section aria-label="Movement shelf" className="flex min-h-0 flex-col gap-2">
      <input
        ref={search}
        type="search"
        aria-label="Search the shelf"
        data-shelf-search
        placeholder="Search; Enter adds the first"
        className={INPUT}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={onKeyDown}
      />
      <select
        aria-label="Family"
        className={INPUT}
        value={family}
        onChange={(event) => setFamily(event.target.value as FamilyId | '')}
      >
        <option value="">All families</option>
        {families.map((id) => (
          <option key={id} value={id}>
            {FAMILIES[id]}
          </option>
        ))}
      </select>
      {athlete && (
        <label className="flex items-center gap-2 text-small">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={suited}
            onChange={(event) => setSuited(event.target.checked)}
          />
          Only what suits {athlete.name.split(' ')[0]}
        </label>
      )}
      <ul className="min-h-0 flex-1 overflow-y-auto border-t border-line" tabIndex={0} aria-label="Movements to add">
        {shown.map((movement) => (
          <li key={movement.id}>
            <button
              type="button"
              className="grid w-full grid-cols-[3.25rem_minmax(0,1fr)] items-center gap-x-2 border-b border-line py-1 pr-1.5 text-left hover:bg-ground"
              onClick={() => add(movement)}
              aria-label={`Add ${movement.name}`}
            >
              <LevelPicture silent movement={movement} level={middleLevel(movement)} handOnly className="h-11 w-full" />
              <span className="min-w-0">
                <span className="block leading-tight font-semibold">
                  <MovementName movement={movement} />
                </span>
                <span className="text-fine text-ink-soft">{FAMILIES[movement.family]}</span>
                {minds(movement, base.cautions) && (
                  <span className="ml-2 bg-amber-wash px-1 text-fine text-amber">with care</span>
                )}
              </span>
            </button>
          </li>
        ))}
        {shown.length === 0 && <li className="py-3 text-small text-ink-soft">Nothing suits. Widen the search.</li>}
      </ul>
    </section>
  );
});
