import type SearchableMap from 'minisearch/SearchableMap';

/** Words that are known, each under itself. */
export type Vocabulary = SearchableMap<string>;

const FORGIVEN_FROM = 4;
const LONG = 6;

/** A known word for one that is misspelt by a letter, or two where it is long; the word itself where none is near. */
export function spelt(word: string, vocabulary: Vocabulary): string {
  if (vocabulary.has(word) || word.length < FORGIVEN_FROM) return word;
  const near = [...vocabulary.fuzzyGet(word, word.length >= LONG ? 2 : 1).values()].filter(([known]) => known[0] === word[0]);
  const [best] = near.toSorted(([, slips], [, other]) => slips - other);
  return best?.[0] ?? word;
}
