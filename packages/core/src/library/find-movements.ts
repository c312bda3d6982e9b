import MiniSearch from 'minisearch';
import { FAMILIES, type Movement } from '../model/movement.js';
import { COMPLAINTS, type Complaint, SYNONYMS } from './search-words.js';

/** What a movement is also called, and what its family answers to. */
const phrasesOf = (key: string): string[] => (PHRASES[key] ??= phrasesIn(SYNONYMS[key] ?? ''));
const PHRASES: Record<string, string[]> = {};
const phrasesIn = (commaSeparated: string): string[] => commaSeparated.split(', ').filter(Boolean).map(plainName);

/** Which complaint somebody looks for by its name, if any. @example complaintIn('stretches for tennis elbow')?.name → 'Tennis elbow' */
export function complaintIn(text: string): Complaint | undefined {
  const words = meant(text);
  return COMPLAINTS.find((complaint) => phrasesIn(complaint.words).some((phrase) => coverage(phrase, words) > 0));
}
const complaintPhrases = (id: string): string[] =>
  COMPLAINTS.filter(({ movementIds }) => movementIds.includes(id)).flatMap(({ words }) => phrasesIn(words));

/** A movement that answers what was looked for, the better the more. */
export interface Found {
  readonly movement: Movement;
  readonly score: number;
  /** Whether it answers every word, not only some of them. */
  readonly isWhole: boolean;
  /** Whether the words are a name of it: its own, the studio’s, or one that the field has for it. */
  readonly isNamed: boolean;
}

/** Finds movements by words of their names, families, muscles, motions and things, forgiving slips of the finger. */
export type MovementFinder = (text: string) => readonly Found[];

/** What counts how much: what a studio calls it, its name and the words of the field before what it trains. */
const BOOST = {
  own: 8,
  name: 7,
  synonyms: 5,
  levels: 2.5,
  family: 2,
  trains: 2,
  motions: 2,
  things: 1.5,
  purpose: 0.6,
};
/** Words shorter than this are taken as they are: of three letters one is too much to be wrong. */
const FORGIVEN_FROM = 4;
const SLIP = 0.25;

/**
 * An index over movements. Best first; equal matches in the order of the library. Every word has to match; where nothing matches them all, any word does.
 * @param ownName what a studio calls a movement, where it has a name of its own
 */
export function movementFinder(
  shelf: readonly Movement[],
  ownName: (movementId: string) => string | undefined = () => undefined,
): MovementFinder {
  const index = new MiniSearch<Record<string, string>>({
    fields: Object.keys(BOOST),
    searchOptions: { boost: BOOST, prefix: true, fuzzy: (term) => (term.length >= FORGIVEN_FROM ? SLIP : false) },
    tokenize: wordsOf,
    processTerm: (term) => stemmed(term),
  });
  index.addAll(shelf.map((movement) => fieldsOf(movement, ownName(movement.id))));
  const byId = new Map(shelf.map((movement, place) => [movement.id, { movement, place }]));
  return (text) => {
    if (text.trim() === '') return shelf.map((movement) => ({ movement, score: 0, isWhole: true, isNamed: false }));
    const wanted = meant(text);
    const found = index.search(text, { combineWith: 'OR' }).flatMap(({ id, score, match, queryTerms }) => {
      const entry = byId.get(String(id));
      if (!entry) return [];
      const { movement } = entry;
      const answered = new Set(queryTerms).size / Math.max(1, wanted.size);
      const phrase = Math.max(0, ...namesOf(movement).map((name) => coverage(name, wanted)));
      const near = nearness(text, movement, ownName(movement.id));
      const spelt = [...meant(movement.name)].every((word) => match[word]?.includes('name'));
      return [
        {
          ...entry,
          score: score * answered ** 2 * Math.max(near, spelt ? SPELT : 1, 1 + PHRASE * phrase ** 3),
          isNamed: near >= NAMED,
          isWhole: answered === 1 || phrase > MOSTLY,
        },
      ];
    });
    return found
      .toSorted((a, b) => Number(b.isWhole) - Number(a.isWhole) || b.score - a.score || a.place - b.place)
      .map(({ movement, score, isNamed, isWhole }) => ({ movement, score, isNamed, isWhole }));
  };
}

const NAMED = 4;
/** How much more it weighs that every word of a name was meant, with slips. */
const SPELT = 3;
/** How much more it weighs that the words hold a phrase of the field, where the phrase is all of them. */
const PHRASE = 7;
/** A phrase that is more than this share of the words is what was looked for. */
const MOSTLY = 0.5;

/** Everything that names a movement in words of the field: its own synonyms and complaints, not its family's. */
const namesOf = ({ id, name }: Movement): string[] => [plainName(name), ...phrasesOf(id), ...complaintPhrases(id)];

/** How much of the words a phrase is, 0–1; 0 where they do not hold all of it. */
function coverage(phrase: string, words: ReadonlySet<string>): number {
  const own = [...meant(phrase)];
  return own.every((word) => words.has(word)) ? own.length / words.size : 0;
}

/** A name that is the very words weighs more than one that has them among others; so do the words before a comma, after which a level is named. */
function nearness(text: string, movement: Movement, own = ''): number {
  const [head = ''] = text.split(',');
  return Math.max(nearnessOf(plainName(text), movement, own), nearnessOf(plainName(head), movement, own));
}
function nearnessOf(wanted: string, { id, name }: Movement, own: string): number {
  if (plainName(name) === wanted || plainName(own) === wanted) return 8;
  if (phrasesOf(id).includes(wanted)) return NAMED;
  return plainName(name).startsWith(wanted) ? 1.5 : 1;
}

/** A name without what people leave out or write otherwise. @example plainName('Palm rocks, fore and aft') → 'palm rocks fore and aft' */
export const plainName = (text: string): string => wordsOf(text).join(' ');
const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .replaceAll(/['’]/g, '')
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** Words that say nothing of a movement. */
const IDLE = new Set(['a', 'an', 'and', 'at', 'for', 'from', 'in', 'my', 'of', 'on', 'or', 'that', 'the', 'to', 'with']);
/** The words that are looked for, each once and for one thing as for many. */
const meant = (text: string): Set<string> => new Set(wordsOf(text).flatMap((word) => stemmed(word) ?? []));
/** One word for one thing and for many; null where it says nothing. */
const stemmed = (term: string): string | null =>
  IDLE.has(term) ? null : term.length > 3 && term.endsWith('s') && !term.endsWith('ss') ? term.slice(0, -1) : term;

function fieldsOf(movement: Movement, own = ''): Record<string, string> {
  const { id, name, family, ladder, trains, motions, equipment, purpose } = movement;
  const things = [...equipment, ...ladder.flatMap((level) => level.equipment)];
  return {
    id,
    own,
    name,
    synonyms: [...phrasesOf(id), ...complaintPhrases(id), ...phrasesOf(family)].join(' '),
    levels: ladder.map((level) => `${level.name} ${level.posture}`).join(' '),
    family: FAMILIES[family],
    trains: trains.join(' '),
    motions: motions.join(' '),
    things: [...new Set(things)].join(' '),
    purpose,
  };
}
