import type { AthleteListItem, ProgrammeListItem, SequenceListItem, TodayDue } from '@clay-pot/contracts';
import { type Movement, FAMILIES, minutesText } from '@clay-pot/core';
import type { Command } from '../ui/commands.js';
import { fitting } from '../ui/search-choice.js';
import { findMovements, NO_FILTER } from '../domain/movement/movement-filter.js';
import { leadPath } from '../domain/sequence/lead-path.js';
import { PLACES, SCREENS } from './places.js';

/** Something that can be opened or done from the search. */
export interface PaletteEntry {
  readonly id: string;
  readonly name: string;
  readonly note?: string;
  /** An address, or what it does here. */
  readonly does: string | (() => void);
}

/** Entries under one heading. */
export interface PaletteGroup {
  readonly name: string;
  readonly entries: readonly PaletteEntry[];
}

/** What can be found. */
export interface PaletteSources {
  readonly people: readonly AthleteListItem[];
  readonly sequences: readonly SequenceListItem[];
  readonly programmes: readonly ProgrammeListItem[];
  readonly due: readonly TodayDue[];
  readonly movements: readonly Movement[];
  readonly nameOf: (movement: Movement) => string;
  /** What keys do on this screen. */
  readonly commands: readonly Command[];
}

/** More of one kind is found by typing more. */
const SHOWN_OF_KIND = 5;

const ACTIONS: readonly PaletteEntry[] = [
  { id: 'add-athlete', name: 'Add athlete', does: '/people/new' },
  { id: 'generate', name: 'Generate sequence', does: '/compose' },
  { id: 'new-programme', name: 'New programme', does: '/programmes/new' },
  { id: 'new-movement', name: 'New movement', does: '/movements/new/edit' },
];

const PLACE_ENTRIES: readonly PaletteEntry[] = [...PLACES, ...SCREENS].map(({ to, name }) => ({ id: `place ${to}`, name, does: to }));

/** What is found for the words, by kind; a kind with a name that begins with the words comes first. Without words: what is usual here. */
export function paletteGroups(sources: PaletteSources, typed: string): readonly PaletteGroup[] {
  const { people, sequences, programmes, movements, nameOf } = sources;
  const start = sources.due.filter(({ state }) => state === 'due').map(startEntry);
  const screen = sources.commands.map(({ label, keys, run }): PaletteEntry => ({
    id: `key ${keys}`,
    name: label,
    does: () => run(new KeyboardEvent('keydown')),
  }));
  if (typed.trim() === '') {
    return shown([
      { name: 'Actions', entries: [...start, ...ACTIONS].slice(0, SHOWN_OF_KIND) },
      { name: 'This screen', entries: screen },
      { name: 'Places', entries: PLACE_ENTRIES },
    ]);
  }
  const fits = (entries: readonly PaletteEntry[]) => fitting(entries, typed).slice(0, SHOWN_OF_KIND);
  const found = findMovements(movements, { ...NO_FILTER, text: typed });
  const groups: PaletteGroup[] = [
    { name: 'People', entries: fits(people.map(({ id, name, practice }) => ({ id, name, note: practice, does: `/people/${id}` }))) },
    {
      name: 'Sequences',
      entries: fits(
        sequences.map(({ id, title, durationMs }) => ({ id, name: title, note: minutesText(durationMs), does: `/sequences/${id}` })),
      ),
    },
    {
      name: 'Programmes',
      entries: fits(programmes.map(({ id, title, athleteName }) => ({ id, name: title, note: athleteName, does: `/programmes/${id}` }))),
    },
    { name: 'Places', entries: fits(PLACE_ENTRIES) },
    { name: 'Actions', entries: fits([...start, ...people.flatMap(actionsFor), ...ACTIONS, ...screen]) },
    {
      name: found.isClosest ? 'Movements, closest' : 'Movements',
      entries: found.movements.slice(0, SHOWN_OF_KIND).map((movement) => ({
        id: movement.id,
        name: nameOf(movement),
        note: FAMILIES[movement.family],
        does: `/movements/${movement.id}`,
      })),
    },
  ];
  const beginning = typed.trim().toLowerCase();
  const begins = ({ entries }: PaletteGroup) => entries.some(({ name }) => name.toLowerCase().startsWith(beginning));
  return shown([...groups.filter(begins), ...groups.filter((group) => !begins(group))]);
}

const shown = (groups: readonly PaletteGroup[]) => groups.filter(({ entries }) => entries.length > 0);

const startEntry = ({ athleteId, athleteName, sequenceId, sequenceTitle, from }: TodayDue): PaletteEntry => ({
  id: `start ${from.id} ${sequenceId}`,
  name: `Start session with ${athleteName}`,
  note: sequenceTitle,
  does: leadPath(sequenceId, athleteId, from.kind === 'programme' ? { programmeId: from.id, sessionId: from.sessionId } : undefined),
});

const actionsFor = ({ id, name }: AthleteListItem): PaletteEntry[] => [
  { id: `check-in ${id}`, name: `Check in: ${name}`, does: `/people/${id}/check-in` },
  { id: `test ${id}`, name: `Test: ${name}`, does: `/people/${id}/measure` },
  { id: `generate ${id}`, name: `Generate sequence for ${name}`, does: `/compose?athlete=${id}` },
];
