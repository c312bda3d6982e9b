import { describe, expect, test } from '@jest/globals';
import type { AthleteListItem } from '@clay-pot/contracts';
import { addDays } from '@clay-pot/core';
import { screen, within } from '@testing-library/react';
import { FRONT_DOOR, NEW_COACH, someone } from '../../made-up.fixture.js';
import { queryClient } from '../../api/queries.js';
import { answering, settle, show } from '../../screen.fixture.js';
import { isoToday } from '../../ui/today.js';
import PeoplePage from './people-page.js';

const listed = (name: string, change: Partial<AthleteListItem> = {}): AthleteListItem => ({
  ...someone({ id: `01890000-0000-7000-8000-0000000000${name.length}${name.charCodeAt(0)}`, name }),
  lastSessionAt: null,
  recentDays: [],
  ...change,
});
const day = (ago: number, sessions: number) => ({ onDay: addDays(isoToday(), -ago), sessions });
const ALL = [
  listed('Bram Teller', {
    practice: 'bouldering',
    lastSessionAt: new Date(Date.now() - 86_400_000).toISOString(),
    recentDays: [day(1, 1)] as never,
  }),
  listed('Ada Quill', {
    cautions: [{ caution: 'numbness' }],
    recentDays: [day(3, 2), day(9, 1)] as never,
    lastSessionAt: new Date(0).toISOString(),
  }),
  listed('Cleo Marsh'),
];
async function people(all = ALL) {
  answering({ 'GET /api/athletes': all });
  const shown = show(<PeoplePage />, '/people', '/people');
  await settle();
  return shown;
}
const names = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getByRole('link').textContent);

describe('people', () => {
  test('stand by name, by who came last, and by how often; each leads to their page', async () => {
    const { user } = await people();
    expect(names()).toEqual(['Ada Quill', 'Bram Teller', 'Cleo Marsh']);
    await user.click(screen.getByRole('button', { name: /^Last session/ }));
    expect(names()[0]).toBe('Bram Teller');
    expect(screen.getByRole('columnheader', { name: /^Last session/ }).getAttribute('aria-sort')).toBe('descending');
    await user.click(screen.getByRole('button', { name: /^Last 8 weeks/ }));
    expect(names()).toEqual(['Ada Quill', 'Bram Teller', 'Cleo Marsh']);
    expect(screen.getByRole('link', { name: 'Cleo Marsh' }).getAttribute('href')).toBe(`/people/${ALL[2]!.id}`);
  });

  test('who must not be loaded stands out; who never came is said to have none yet', async () => {
    await people();
    expect(screen.getAllByText(/Numbness or tingling: refer/).length).toBeGreaterThan(0);
    expect(within(screen.getAllByRole('row')[3]!).getByText('none yet')).toBeTruthy();
  });

  test('are found by name or practice; nobody found is said', async () => {
    const { user } = await people();
    await user.type(screen.getByRole('searchbox', { name: 'Search people' }), 'boulder');
    expect(names()).toEqual(['Bram Teller']);
    await user.type(screen.getByRole('searchbox', { name: 'Search people' }), 'ing on ice');
    expect(screen.getByText('No athlete matches “bouldering on ice”.')).toBeTruthy();
  });

  test('an empty studio is offered its first athlete', async () => {
    answering({ ...FRONT_DOOR, 'GET /api/athletes': [] });
    queryClient.setQueryData(['me'], NEW_COACH);
    show(<PeoplePage />);
    expect(await screen.findByRole('button', { name: 'See an example in the demo' })).toBeTruthy();
    for (const link of screen.getAllByRole('link', { name: 'Add athlete' })) expect(link.getAttribute('href')).toBe('/people/new');
  });
});
