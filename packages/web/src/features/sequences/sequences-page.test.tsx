import type { SequenceListItem } from '@clay-pot/contracts';
import { describe, expect, test } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { FRONT_DOOR, NEW_COACH } from '../../made-up.fixture.js';
import { queryClient } from '../../api/queries.js';
import { answering, settle, show } from '../../screen.fixture.js';
import SequencesPage from './sequences-page.js';

const item = (id: string, title: string, more: Partial<SequenceListItem> = {}): SequenceListItem => ({
  ...{ id, title, purpose: '', budgetMin: 20, durationMs: 600_000, blocks: 4, updatedAt: '2026-05-01T00:00:00.000Z' },
  ...{ lastUsedAt: null, tags: [], isFavourite: false, isArchived: false, athletes: [] },
  ...more,
});
const ITEMS = [item('a', 'Grip'), item('b', 'Palms', { tags: ['floor'] }), item('c', 'Old one', { isArchived: true })];

async function sequences(items = ITEMS, at = '/sequences') {
  const requests = answering({ ...FRONT_DOOR, 'GET /api/sequences': items, 'PUT /api/sequences/*/filing': undefined });
  queryClient.setQueryData(['me'], NEW_COACH);
  const shown = show(<SequencesPage />, at, '/sequences');
  await settle();
  return { ...shown, filed: () => requests.filter(({ what }) => what.startsWith('PUT')) };
}
const titles = () => screen.getAllByRole('link', { name: /^(Grip|Palms|Old one)$/ }).map(({ textContent }) => textContent);

describe('the sequences of a studio', () => {
  test('words and tag stand in the address; what is archived is apart', async () => {
    const { user } = await sequences();
    expect(titles()).toEqual(['Grip', 'Palms']);
    await user.type(screen.getByRole('searchbox'), 'flo');
    expect(titles()).toEqual(['Palms']);
    expect(screen.getByTestId('where').textContent).toBe('/sequences?find=flo');
    await user.clear(screen.getByRole('searchbox'));
    await user.click(screen.getByRole('button', { name: 'Archived (1)' }));
    expect(titles()).toEqual(['Old one']);
  });

  test('a favourite is filed at once, beside what it was filed by before', async () => {
    const { user, filed } = await sequences();
    await user.click(screen.getByRole('button', { name: 'Add Palms to favourites' }));
    expect(filed()).toEqual([{ what: 'PUT /api/sequences/b/filing', body: { tags: ['floor'], isFavourite: true, isArchived: false } }]);
  });

  test('tags are typed with commas, each once; too long a one is told', async () => {
    const { user, filed } = await sequences();
    await user.click(screen.getByRole('button', { name: 'More for Grip' }));
    await user.click(screen.getByRole('menuitem', { name: 'Edit tags' }));
    const form = screen.getByRole('form', { name: 'Tags of Grip' });
    const field = within(form).getByLabelText('Tags, separated by commas');
    await user.type(field, 'a tag that is much longer than it may be');
    await user.click(within(form).getByRole('button', { name: 'Save tags' }));
    expect(form.textContent).toContain('is too long: use up to 24 characters.');
    await user.clear(field);
    await user.type(field, 'iron, class, iron');
    await user.click(within(form).getByRole('button', { name: 'Save tags' }));
    await waitFor(() => expect(filed()).toMatchObject([{ body: { tags: ['iron', 'class'] } }]));
  });

  test('archiving can be undone rather than asked about', async () => {
    const { user, filed } = await sequences();
    await user.click(screen.getByRole('button', { name: 'More for Grip' }));
    await user.click(screen.getByRole('menuitem', { name: 'Archive' }));
    await waitFor(() => expect(filed()).toMatchObject([{ body: { isArchived: true } }]));
  });

  test('an empty studio is offered a generated one, and an example', async () => {
    await sequences([]);
    expect(screen.getByRole('link', { name: 'Generate sequence' }).getAttribute('href')).toBe('/compose');
    expect(await screen.findByRole('button', { name: 'See an example in the demo' })).toBeTruthy();
  });
});
