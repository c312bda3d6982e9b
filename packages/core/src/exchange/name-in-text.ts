import { plainName } from '../library/find-movements.js';
import { FORMER_LEVEL_NAMES } from '../library/former-names.js';
import type { Level, Movement } from '../model/movement.js';
import { byName, forNames, type Names } from './text-names.js';

/** Stands in a text for a name that was taken out. */
export const TAKEN_NAME = 'namedmovement';

/** A name that stands in a text to the letter, and the text with a word in its place. */
export interface NameInText {
  readonly movement: Movement;
  /** Null where only the movement was named. */
  readonly level: Level | null;
  readonly rest: string;
}

interface Named {
  readonly movement: Movement;
  readonly level: Level | null;
}

/** Movements by their names, alone and with each of their levels, and how many words the longest has. */
const allNames = forNames((names) => {
  const all = new Map<string, Named>();
  const add = (name: string, named: Named) => {
    if (!all.has(name)) all.set(name, named);
  };
  for (const [name, movement] of byName(names)) {
    add(name, { movement, level: null });
    for (const level of movement.ladder) {
      for (const called of [level.name, ...Object.keys(FORMER_LEVEL_NAMES).filter((former) => FORMER_LEVEL_NAMES[former] === level.name)]) {
        add(`${name} ${plainName(called)}`, { movement, level });
      }
    }
  }
  return { all, words: Math.max(0, ...[...all.keys()].map((name) => name.split(' ').length)) };
});

/**
 * The longest name of a movement, with its level where that follows, that stands anywhere in a text. It is taken out before a dose is looked for: names hold
 * numbers, hands and seconds themselves.
 */
export function nameInText(text: string, names: Names): NameInText | null {
  const { all, words: most } = allNames(names);
  const words = [...text.matchAll(/[\p{L}\p{N}'’]+/gu)].map((match) => ({
    plain: plainName(match[0]),
    at: match.index,
    end: match.index + match[0].length,
  }));
  for (let count = Math.min(most, words.length); count > 0; count--) {
    for (let from = 0; from + count <= words.length; from++) {
      const mine = words.slice(from, from + count);
      const named = all.get(mine.map(({ plain }) => plain).join(' '));
      if (named) return { ...named, rest: `${text.slice(0, mine[0]?.at)}${TAKEN_NAME}${text.slice(mine.at(-1)?.end)}` };
    }
  }
  return null;
}
