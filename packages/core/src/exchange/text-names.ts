import { plainName } from '../library/find-movements.js';
import { FORMER_LEVEL_NAMES, FORMER_NAMES } from '../library/former-names.js';
import type { Grade } from '../model/grades.js';
import type { Level, Movement } from '../model/movement.js';
import { PLAIN_FORMS } from './plain-forms.js';

/** What names are looked up in. */
export interface Names {
  readonly shelf: readonly Movement[];
  /** What the studio calls a movement, where it has a name of its own. */
  readonly ownName?: ((movementId: string) => string | undefined) | undefined;
  /** The studio’s springs and bands, which a dose may name. */
  readonly grades?: readonly Grade[] | undefined;
}

/** A movement at one of its levels. */
export interface AtLevel {
  readonly movement: Movement;
  readonly level: Level;
}

/** A movement and a level as a line names them to the letter. */
export interface NamedLevel extends AtLevel {
  readonly isLevelNamed: boolean;
  /** Whether nothing had to be made of it: the level was named, or there is only one. */
  readonly isExact: boolean;
}

const NO_OWN_NAMES = () => undefined;

/** Builds what a reader looks up once for each state of the names: a text is read again with every key. */
export function forNames<T>(build: (names: Names) => T): (names: Names) => T {
  const built = new WeakMap<object, WeakMap<object, { readonly value: T }>>();
  return (names) => {
    const { shelf, ownName = NO_OWN_NAMES } = names;
    let ofShelf = built.get(shelf);
    if (!ofShelf) built.set(shelf, (ofShelf = new WeakMap()));
    let found = ofShelf.get(ownName);
    if (!found) ofShelf.set(ownName, (found = { value: build(names) }));
    return found.value;
  };
}

/** Movements by everything that they are or were called; the names of now come first. */
export const byName = forNames(({ shelf, ownName = NO_OWN_NAMES }) => {
  const movements = new Map<string, Movement>();
  const add = (name: string | undefined, movement: Movement) => {
    const plain = plainName(name ?? '');
    if (plain !== '' && !movements.has(plain)) movements.set(plain, movement);
  };
  for (const movement of shelf) for (const name of [movement.name, ownName(movement.id)]) add(name, movement);
  for (const movement of shelf) add(FORMER_NAMES[movement.id], movement);
  return movements;
});

/** More commas than these no name and level have together. */
const MOST_PARTS = 12;

/** A movement with its level by their names: “Palm lift, knees back”. Names may hold commas themselves; ids stand in brackets. Null where they are not names to the letter. */
export function namedLevel(text: string, names: Names): NamedLevel | null {
  const parts = text.split(',').map((part) => part.trim());
  for (let count = Math.min(MOST_PARTS, parts.length); count > 0; count--) {
    const movement = movementCalled(parts.slice(0, count).join(', '), names);
    if (movement) return withLevel(movement, parts.slice(count).join(', '));
  }
  return null;
}

const BRACKETED = /^\[(.+)\]$/;

function movementCalled(text: string, names: Names): Movement | undefined {
  const id = BRACKETED.exec(text)?.[1];
  return id === undefined ? byName(names).get(plainName(text)) : names.shelf.find((movement) => movement.id === id);
}

function withLevel(movement: Movement, text: string): NamedLevel | null {
  const { ladder, name } = movement;
  if (text === '') {
    const plain = PLAIN_FORMS[plainName(name)];
    const level = ladder.find(({ id }) => id === plain?.[1]) ?? ladder[0];
    return { movement, level, isLevelNamed: false, isExact: ladder.length === 1 };
  }
  const id = BRACKETED.exec(text)?.[1];
  const wanted = plainName(text);
  const isCalled = (called: string | undefined) => called !== undefined && plainName(called) === wanted;
  const level = ladder.find((each) => (id === undefined ? isCalled(each.name) || isCalled(FORMER_LEVEL_NAMES[each.name]) : each.id === id));
  return level ? { movement, level, isLevelNamed: true, isExact: true } : null;
}
