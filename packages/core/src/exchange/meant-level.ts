import SearchableMap from 'minisearch/SearchableMap';
import { plainName } from '../library/find-movements.js';
import { FORMER_NAMES } from '../library/former-names.js';
import { SYNONYMS } from '../library/search-words.js';
import type { Level, Movement } from '../model/movement.js';
import type { Clause } from './phrases.js';
import { PLAIN_FORMS } from './plain-forms.js';
import { PACES } from './paces.js';
import { spelt, type Vocabulary } from './spelling.js';
import { type AtLevel, forNames, type Names } from './text-names.js';

/** What the words of a line mean, and which of them say nothing of it. */
export interface MeantLevel extends AtLevel {
  /** Whether a level was named. */
  readonly isLevelNamed: boolean;
  readonly unused: readonly string[];
}
/** Several movements or levels that the words may mean; none where they mean nothing that is known. */
export interface Unclear {
  readonly candidates: readonly AtLevel[];
  readonly why: 'movement' | 'level' | 'unknown';
}

/** Words that say nothing of a movement or a level. */
const IDLE = new Set(
  'a an and at by do each every for from in into it its keep my of off on onto or per some that the then this to with x your you exercise exercises drill drills set sets rep reps hold holds each'.split(
    ' ',
  ),
);
/** Words that people have for what a level says. */
const ALIKE: Readonly<Record<string, string>> = {
  heavier: 'heavy',
  lighter: 'light',
  easier: 'easy',
  gentler: 'gentle',
  kneeling: 'knee',
  feet: 'foot',
  desk: 'table',
  quadruped: 'fours',
  sitting: 'seated',
  moderate: 'medium',
  hard: 'strong',
  harder: 'strong',
  loose: 'soft',
  dumbbell: 'weight',
  kettlebell: 'weight',
};
/** Words of a pace say less of a level than others: they are the dose’s as often. */
const OF_PACE = 0.3;
/** A candidate is clear where it is better than the next by this share. */
const CLEARLY = 0.12;
const SHOWN = 4;

const stem = (word: string): string => {
  const one = word.length > 2 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word;
  return ALIKE[word] ?? ALIKE[one] ?? one;
};
const wordsIn = (text: string): string[] =>
  plainName(text)
    .split(' ')
    .filter((word) => word !== '' && !IDLE.has(word))
    .map(stem);

const PLAIN = new Map(Object.entries(PLAIN_FORMS).map(([phrase, form]) => [wordsIn(phrase).join(' '), form] as const));

interface Entry {
  readonly movement: Movement;
  readonly names: readonly (readonly string[])[];
  readonly words: ReadonlySet<string>;
  readonly levels: readonly ReadonlySet<string>[];
}
interface Index {
  readonly entries: readonly Entry[];
  readonly weightOf: (word: string) => number;
  readonly vocabulary: Vocabulary;
  readonly ofLevels: ReadonlySet<string>;
}

const indexOf = forNames(({ shelf, ownName }): Index => {
  const entries = shelf.map((movement): Entry => {
    const { id, name, ladder } = movement;
    const plain = Object.entries(PLAIN_FORMS).flatMap(([phrase, [movementId]]) => (movementId === id ? [phrase] : []));
    const names = [name, ownName?.(id) ?? '', FORMER_NAMES[id] ?? '', ...(SYNONYMS[id] ?? '').split(','), ...plain]
      .map(wordsIn)
      .filter((each) => each.length > 0);
    const levels = ladder.map((level) => new Set([...wordsIn(level.name), ...wordsIn(level.posture)]));
    return { movement, names, words: new Set(names.flat()), levels };
  });
  const counts = new Map<string, number>();
  for (const { words } of entries) for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
  const ofLevels = new Set(entries.flatMap(({ levels }) => levels.flatMap((each) => [...each])));
  return {
    entries,
    weightOf: (word) => (word in PACES ? OF_PACE : 1) * Math.log(1 + entries.length / (counts.get(word) ?? entries.length / 4)),
    vocabulary: SearchableMap.from([...counts.keys(), ...ofLevels].map((word) => [word, word])),
    ofLevels,
  };
});

interface Scored extends MeantLevel {
  readonly rivals: readonly Level[];
  readonly score: number;
  readonly isWholeLevel: boolean;
  readonly isWholeName: boolean;
}

/**
 * The movement and level that the words of a line mean: by the names that the field has for a movement, with the words of its levels counting. What stands
 * behind a dash or in brackets may name a level and otherwise counts for nothing.
 */
export function levelMeant(clauses: readonly Clause[], names: Names, hints: readonly string[] = []): MeantLevel | Unclear {
  const index = indexOf(names);
  const main = clauses.filter(({ isAside }) => !isAside).flatMap(({ text }) => wordsIn(text));
  const asides = [...clauses.filter(({ isAside }) => isAside).map(({ text }) => text), ...hints].flatMap(wordsIn);
  const words = main.map((word) => spelt(word, index.vocabulary));
  if (words.length === 0) return { candidates: [], why: 'unknown' };
  const scored = index.entries.flatMap((entry) => scoredOf(entry, words, asides, index)).sort((a, b) => b.score - a.score);
  return clearest(
    scored,
    words.reduce((sum, word) => sum + index.weightOf(word), 0),
    index,
  );
}

/** The best where it is clear; what may be meant instead where it is not. @param total what all words weigh */
function clearest(scored: readonly Scored[], total: number, { ofLevels }: Index): MeantLevel | Unclear {
  const [best, second] = scored;
  if (!best || best.score < total * ENOUGH) return { candidates: shown(scored), why: 'unknown' };
  if (second && best.score - second.score < marginOf(best, second) * total) {
    return { candidates: shown(scored.filter(({ score }) => best.score - score < 2 * CLEARLY * total)), why: 'movement' };
  }
  const { movement, rivals } = best;
  const asked = best.isLevelNamed ? undefined : best.unused.find((word) => ofLevels.has(word) && !(word in PACES));
  const levels = rivals.length > 1 ? rivals : asked === undefined ? [] : movement.ladder;
  return levels.length > 0 ? { candidates: levels.map((level) => ({ movement, level })), why: 'level' } : best;
}

/** How much better the best has to be. Who names all of one thing does not mean another of which a word is missing. */
function marginOf(best: Scored, second: Scored): number {
  if (best.isWholeName && !second.isWholeName) return 0;
  return best.isWholeLevel && !second.isWholeLevel ? CLEARLY / 2 : CLEARLY;
}

/** Of what the words weigh, the best has to have this share. */
const ENOUGH = 0.3;
const MISSING = 0.5;
const WHOLE = 0.6;
const OF_LEVEL = 0.9;
const UNUSED = 0.5;
/** Words that stand in so many names that they name no level by themselves. */
const OF_EVERY_HAND = new Set(['palm', 'hand', 'finger', 'wrist', 'forearm', 'arm']);
const [SHARED, UNSAID, NEARLY_NOTHING] = [0.3, 0.1, 0.01];

const shown = (scored: readonly Scored[]): Unclear['candidates'] =>
  scored.slice(0, SHOWN).map(({ movement, level }) => ({ movement, level }));

function scoredOf(entry: Entry, words: readonly string[], asides: readonly string[], { weightOf }: Index): Scored[] {
  const { movement, names, words: own } = entry;
  const weigh = (some: Iterable<string>) => [...some].reduce((sum, word) => sum + weightOf(word), 0);
  const matched = new Set(words.filter((word) => own.has(word)));
  if (matched.size === 0) return [];
  const { value: named, whole } = nearestName(names, matched, weigh);
  const rest = words.filter((word) => !whole.has(word));
  const values = levelValues(entry, { rest, asides, whole }, weigh);
  const most = Math.max(...values);
  const at = most > 0 ? values.indexOf(most) : usualLevel(movement, words, whole);
  const level = movement.ladder[at] ?? movement.ladder[0];
  const rivals = most > 0 ? movement.ladder.filter((_, index) => values[index] === most) : [];
  const ofLevel = new Set(rest.filter((word) => entry.levels[at]?.has(word)));
  const unused = words.filter((word) => !matched.has(word) && !ofLevel.has(word));
  // A level whose every word stands there was meant.
  const isWholeLevel = ofLevel.size > 0 && wordsIn(level.name).every((word) => ofLevel.has(word));
  const fresh = weigh([...ofLevel].filter((word) => !matched.has(word)));
  const score = weigh(matched) + named + (OF_LEVEL + (isWholeLevel ? WHOLE : 0)) * fresh - UNUSED * weigh(unused);
  return [{ movement, level, rivals, score, isLevelNamed: most > 0, isWholeLevel, isWholeName: whole.size > 0, unused }];
}

type Weigh = (words: Iterable<string>) => number;

/** The name that is nearest: where all of it was said that counts, else what is missing counts against it. */
function nearestName(names: Entry['names'], matched: ReadonlySet<string>, weigh: Weigh): { value: number; whole: ReadonlySet<string> } {
  let best = { value: -Infinity, whole: new Set<string>() };
  for (const name of names) {
    const missing = name.filter((word) => !matched.has(word));
    const value = missing.length === 0 ? WHOLE * weigh(name) : -MISSING * weigh(missing);
    if (value > best.value) best = { value, whole: new Set(missing.length === 0 ? name : []) };
  }
  return best;
}

interface SaidWords {
  /** Words that are not the movement’s name. */
  readonly rest: readonly string[];
  readonly asides: readonly string[];
  readonly whole: ReadonlySet<string>;
}

/** How much was said of each level; 0 of one of which nothing was. */
function levelValues({ movement, levels }: Entry, { rest, asides, whole }: SaidWords, weigh: Weigh): number[] {
  return movement.ladder.map(({ name }, at) => {
    const own = levels[at] ?? new Set<string>();
    const said = new Set([...rest, ...asides].filter((word) => own.has(word)));
    if ([...said].every((word) => OF_EVERY_HAND.has(word))) return 0;
    // What the name of the movement took may be the level’s as well, and of two levels the one that says nothing else is meant.
    const shared = [...whole].filter((word) => own.has(word));
    const missing = wordsIn(name).filter((word) => !said.has(word) && !shared.includes(word));
    return Math.max(NEARLY_NOTHING, weigh(said) + SHARED * weigh(shared) - UNSAID * new Set(missing).size);
  });
}

/** The level that a plain name means; the first where it means none. */
function usualLevel({ id, ladder }: Movement, words: readonly string[], whole: ReadonlySet<string>): number {
  const plain = PLAIN.get(words.join(' ')) ?? PLAIN.get([...whole].join(' '));
  return plain?.[0] === id
    ? Math.max(
        0,
        ladder.findIndex((level) => level.id === plain[1]),
      )
    : 0;
}
