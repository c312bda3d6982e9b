import { firstName } from '../../ui/format.js';
import type { Athlete } from '@clay-pot/contracts';
import {
  additionFor,
  type FamilyId,
  FAMILIES,
  type Gap,
  type Hand,
  type Method,
  type Movement,
  type PastSession,
  type RecordedCaution,
} from '@clay-pot/core';
import { type KeyboardEvent, memo, type RefObject, useCallback, useEffect, useId, useMemo, useState } from 'react';
import { addBlock } from '../../store/editor.js';
import { useStudioLibrary } from '../../store/library.js';
import { used, useShelfHabits } from '../../store/shelf-habits.js';
import { INPUT } from '../../ui/field.js';
import type { NamedSubject } from '../../domain/athlete/named-subject.js';
import { findMovements, type MovementFilter, NO_FILTER, passingLevels } from '../../domain/movement/movement-filter.js';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { type Peeked, ShelfCard, type Addition } from './shelf-card.js';
import { onTop } from './shelf-order.js';
import { ShelfRow } from './shelf-row.js';
import { SearchNote } from '../../domain/movement/search-note.js';
import { narrowedBy, WhereSelect } from './where-select.js';
import { Switch } from '../../ui/switch.js';

/** Whether a movement has a caution that concerns this athlete. */
const minds = (movement: Movement, cautions: readonly RecordedCaution[]) =>
  movement.cautions.some((note) => cautions.some(({ caution }) => note.concerns.includes(caution)));

interface Props {
  athlete: Athlete | undefined;
  subject: NamedSubject;
  search: RefObject<HTMLInputElement | null>;
  /** The weaker hand, for methods that let it go first. */
  weaker: Hand | null;
  method: Method;
  /** What the sequence never visits. */
  gaps: readonly Gap[];
  past: readonly PastSession[];
  /** ISO 8601 instant from which ages are counted. */
  now: string;
}

/**
 * The movement shelf: search, family, phase and place, what the sequence leaves out, and what suits the athlete in view. Favourites and what was
 * used lately stand first. Adding takes the level that the athlete did last, else the easiest that passes.
 */
export const Shelf = memo(function Shelf({ athlete, subject, search, weaker, method, gaps, past, now }: Props) {
  const [text, setText] = useState('');
  const [family, setFamily] = useState<FamilyId | ''>('');
  const [where, setWhere] = useState('');
  const [suited, setSuited] = useState(true);
  const { favourites, recent } = useShelfHabits();
  const library = useStudioLibrary().shelf;
  const cautions = useStandingCautions(athlete);
  const filter = useMemo((): MovementFilter => {
    const base = athlete && suited ? { ...NO_FILTER, equipment: athlete.equipment, cautions } : NO_FILTER;
    return { ...base, text, family, ...narrowedBy(where, gaps) };
  }, [athlete, suited, cautions, text, family, where, gaps]);
  const { movements: found, isClosest } = useMemo(() => findMovements(library, filter), [library, filter]);
  const shown = text ? found : onTop(found, [...favourites, ...recent]);
  const cardId = useId();
  /** What would be added of a movement now. */
  const additionOf = useCallback(
    (movement: Movement): Addition => {
      const restricted = athlete ? { cautions, equipment: athlete.equipment } : null;
      const wanted = { person: subject.person, athlete: restricted, method, weaker, past, now };
      return { movement, ...additionFor(wanted, movement, passingLevels(movement, filter)) };
    },
    [filter, past, now, method, weaker, cautions, athlete, subject.person],
  );
  const { peeked, peek } = usePeek(additionOf);
  const add = useCallback(
    (movement: Movement) => {
      const { level, dose } = additionOf(movement);
      used(movement.id);
      addBlock(movement, level, dose);
    },
    [additionOf],
  );
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
        placeholder="Search; Enter adds"
        className={INPUT}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={onKeyDown}
      />
      <select aria-label="Family" className={INPUT} value={family} onChange={(event) => setFamily(event.target.value as FamilyId | '')}>
        <option value="">All families</option>
        {(Object.keys(FAMILIES) as FamilyId[]).map((id) => (
          <option key={id} value={id}>
            {FAMILIES[id]}
          </option>
        ))}
      </select>
      <WhereSelect chosen={where} gaps={gaps} onChange={setWhere} />
      {athlete && <Switch label={`Only what suits ${firstName(athlete.name)}`} className="text-small" on={suited} turn={setSuited} />}
      {filter.gap && <p className="text-small">No movement covers “{filter.gap.words}”; these do.</p>}
      <SearchNote text={text} isClosest={isClosest} athleteId={athlete?.id} />
      <ul className="min-h-0 flex-1 overflow-y-auto border-t border-line" tabIndex={0} aria-label="Movements to add">
        {shown.map((movement) => (
          <ShelfRow
            key={movement.id}
            movement={movement}
            withCare={minds(movement, filter.cautions)}
            isFavourite={favourites.includes(movement.id)}
            describedBy={peeked?.movement === movement ? cardId : undefined}
            add={add}
            peek={peek}
          />
        ))}
        {shown.length === 0 && <li className="py-3 text-small text-ink-soft">No movement matches. Remove a filter.</li>}
      </ul>
      {peeked && <ShelfCard id={cardId} peeked={peeked} person={subject.person} name={subject.name} />}
    </section>
  );
}, isSame);

/** The shelf is rendered for what it shows, not for each edit beside it. */
function isSame(before: Props, after: Props): boolean {
  const words = ({ gaps }: Props) => gaps.map((gap) => gap.words).join();
  return (
    before.athlete === after.athlete &&
    before.subject === after.subject &&
    before.weaker === after.weaker &&
    before.method === after.method &&
    before.now === after.now &&
    before.past === after.past &&
    words(before) === words(after)
  );
}

/** What is looked at: by the pointer or the keys, gone with Escape. */
function usePeek(additionOf: (movement: Movement) => Addition) {
  const [peeked, setPeeked] = useState<Peeked | null>(null);
  const peek = useCallback(
    (movement: Movement, at: Element | null) => setPeeked(at && { ...additionOf(movement), box: at.getBoundingClientRect() }),
    [additionOf],
  );
  useEffect(() => {
    if (!peeked) return;
    const leave = ({ key }: globalThis.KeyboardEvent) => key === 'Escape' && setPeeked(null);
    window.addEventListener('keydown', leave);
    return () => window.removeEventListener('keydown', leave);
  }, [peeked]);
  return { peeked, peek };
}
