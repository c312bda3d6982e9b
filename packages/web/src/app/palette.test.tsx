import { LIBRARY } from '@clay-pot/core/library';
import type { AthleteListItem, SequenceListItem, TodayDue } from '@clay-pot/contracts';
import { describe, expect, jest, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { answering, show } from '../screen.fixture.js';
import Palette from './palette.js';
import { paletteGroups, type PaletteSources } from './palette-entries.js';

const run = jest.fn();
const sources: PaletteSources = {
  people: [
    { id: 'w', name: 'Wren Halloran', practice: 'aerial straps' },
    { id: 'b', name: 'Bram Østby', practice: 'base acrobat' },
  ] as AthleteListItem[],
  sequences: [{ id: 's', title: 'Warm thumbs', durationMs: 600_000 }] as SequenceListItem[],
  programmes: [],
  due: [
    {
      athleteId: 'w',
      athleteName: 'Wren Halloran',
      sequenceId: 's',
      sequenceTitle: 'Warm thumbs',
      state: 'due',
      from: { kind: 'given', id: 'g' },
    },
    {
      athleteId: 'b',
      athleteName: 'Bram Østby',
      sequenceId: 's',
      sequenceTitle: 'Warm thumbs',
      state: 'done',
      from: { kind: 'given', id: 'h' },
    },
  ] as TodayDue[],
  movements: LIBRARY,
  nameOf: ({ name }) => name,
  commands: [{ keys: 'a', label: 'Accept the suggestion', group: 'Today', run }],
};
const found = (typed: string) =>
  paletteGroups(sources, typed).map(({ name, entries }) => [name, entries.map((entry) => entry.name)] as const);
const first = (typed: string) => found(typed)[0];

describe('what the search finds', () => {
  test('a person by name, without accents, with what can be done for them', () => {
    expect(first('ostby')).toEqual(['People', ['Bram Østby']]);
    expect(found('wren').map(([name]) => name)).toEqual(expect.arrayContaining(['People', 'Actions']));
    expect(first('check in wren')).toEqual(['Actions', ['Check in: Wren Halloran']]);
  });

  test('a movement by a word of another trade, and what only comes close is said to', () => {
    expect(found('golfer’s elbow').at(-1)).toEqual(['Movements', expect.arrayContaining(['Wrist curl, supported'])]);
    expect(found('eagle arms').at(-1)?.[0]).toBe('Movements, closest');
  });

  test('what begins with the words stands first: a place before a movement that mentions it', () => {
    expect(first('rec')).toEqual(['Places', ['Records']]);
    expect(first('warm th')).toEqual(['Sequences', ['Warm thumbs']]);
  });

  test('before anything is typed: sessions that are due and not done, the screen’s keys, the places', () => {
    const groups = paletteGroups(sources, ' ');
    expect(groups.map(({ name }) => name)).toEqual(['Actions', 'This screen', 'Places']);
    expect(groups[0]?.entries.map(({ name }) => name)).toContain('Start session with Wren Halloran');
    expect(groups[0]?.entries.map(({ name }) => name)).not.toContain('Start session with Bram Østby');
    const key = groups[1]?.entries[0]?.does;
    if (typeof key === 'function') key();
    expect(run).toHaveBeenCalledTimes(1);
  });

  test('nonsense finds nothing', () => expect(found('zzxqwv')).toEqual([]));
});

describe('the search itself', () => {
  test('arrows and Enter open what is chosen, and close the search', async () => {
    answering({ 'GET /api/athletes': sources.people, 'GET /api/sequences': [], 'GET /api/programmes': [], 'GET /api/today': { due: [] } });
    const close = jest.fn();
    const { user } = show(<Palette onClose={close} />);
    await user.type(screen.getByRole('combobox'), 'wren');
    await screen.findByRole('option', { name: /Check in: Wren Halloran/ });
    await user.keyboard('{Home}{ArrowDown}{Enter}');
    expect(close).toHaveBeenCalledTimes(1);
    expect(screen.getByTestId('where').textContent).toBe('/people/w/check-in');
  });

  test('a complaint is answered with the way to a check-in, before any movement', async () => {
    answering({});
    const { user } = show(<Palette onClose={() => undefined} />);
    await user.type(screen.getByRole('combobox'), 'tennis elbow');
    expect(await screen.findByText('Tennis elbow: check in first.')).toBeTruthy();
    expect(screen.getAllByRole('option')[0]?.textContent).toMatch(/Isometric wrist extension|Reverse wrist curl|Wrist extensor stretch/);
  });
});
