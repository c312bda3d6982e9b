import type { SequenceListItem } from '@clay-pot/contracts';
import { fitting } from '../../ui/search-choice.js';

/** In which order sequences stand. */
export const SEQUENCE_ORDERS = {
  used: 'Sort by last use',
  title: 'Sort by title',
  length: 'Sort by length',
  changed: 'Sort by last change',
} as const;
/** In which order sequences stand. */
export type SequenceOrder = keyof typeof SEQUENCE_ORDERS;

/** What is looked for among sequences. */
export interface SequenceFilter {
  readonly text: string;
  readonly tag: string;
  readonly order: SequenceOrder;
  readonly isArchived: boolean;
}

const COMPARE: Record<SequenceOrder, (a: SequenceListItem, b: SequenceListItem) => number> = {
  used: (a, b) => (b.lastUsedAt ?? '').localeCompare(a.lastUsedAt ?? ''),
  title: () => 0,
  length: (a, b) => a.durationMs - b.durationMs,
  changed: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
};

/** Sequences that fit, favourites first. Words are looked for in title, purpose, tags and whom it is assigned to. */
export function sequencesThatFit(items: readonly SequenceListItem[], { text, tag, order, isArchived }: SequenceFilter): SequenceListItem[] {
  const found = fitting(
    items.map((item) => ({
      item,
      name: item.title,
      note: [item.purpose, ...item.tags, ...item.athletes.map(({ name }) => name)].join(' '),
    })),
    text,
  ).map(({ item }) => item);
  return found
    .filter((item) => item.isArchived === isArchived && (tag === '' || item.tags.includes(tag)))
    .sort((a, b) => Number(b.isFavourite) - Number(a.isFavourite) || COMPARE[order](a, b) || a.title.localeCompare(b.title));
}

/** Every tag that is in use, once, in order. */
export const tagsIn = (items: readonly SequenceListItem[]): string[] => [...new Set(items.flatMap(({ tags }) => tags))].sort();
