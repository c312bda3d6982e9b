import type { SequenceListItem } from '@clay-pot/contracts';
import { describe, expect, test } from '@jest/globals';
import { type SequenceFilter, sequencesThatFit, tagsIn } from './sequence-filter.js';

const item = (title: string, more: Partial<SequenceListItem> = {}): SequenceListItem => ({
  ...{ id: title, title, purpose: '', budgetMin: 20, durationMs: 600_000, blocks: 4, updatedAt: '2026-05-01T00:00:00.000Z' },
  ...{ lastUsedAt: null, tags: [], isFavourite: false, isArchived: false, athletes: [] },
  ...more,
});
const ITEMS = [
  item('Grip', { tags: ['iron'], lastUsedAt: '2026-05-02T00:00:00.000Z', durationMs: 900_000 }),
  item('Palms', { purpose: 'for the floor', athletes: [{ athleteId: 'w', name: 'Wren Østby' }] }),
  item('Class', { isFavourite: true, tags: ['class', 'iron'] }),
  item('Old one', { isArchived: true, tags: ['gone'], lastUsedAt: '2026-05-03T00:00:00.000Z' }),
];
const titles = (filter: Partial<SequenceFilter>) =>
  sequencesThatFit(ITEMS, { text: '', tag: '', order: 'used', isArchived: false, ...filter }).map(({ title }) => title);

describe('the list of sequences', () => {
  test('favourites stand first, then what was led last, then titles; the archive apart', () => {
    expect(titles({})).toEqual(['Class', 'Grip', 'Palms']);
    expect(titles({ isArchived: true })).toEqual(['Old one']);
    expect(titles({ order: 'length' })).toEqual(['Class', 'Palms', 'Grip']);
  });

  test('words are looked for in title, purpose, tags and whom it is assigned to', () => {
    expect(titles({ text: 'floor' })).toEqual(['Palms']);
    expect(titles({ text: 'ostby' })).toEqual(['Palms']);
    expect(titles({ text: 'IRON class' })).toEqual(['Class']);
    expect(titles({ text: 'gone' })).toEqual([]);
  });

  test('a tag narrows; every tag is offered once', () => {
    expect(titles({ tag: 'iron' })).toEqual(['Class', 'Grip']);
    expect(tagsIn(ITEMS)).toEqual(['class', 'gone', 'iron']);
  });
});
