import { type MovementFinder, plainName } from '../library/find-movements.js';
import { FORMER_LEVEL_NAMES, FORMER_NAMES } from '../library/former-names.js';
import type { Level, Movement } from '../model/movement.js';
import { PLAIN_FORMS } from './plain-forms.js';

/** What names are looked up in. */
export interface Names {
  readonly shelf: readonly Movement[];
  readonly find: MovementFinder;
  /** What the studio calls a movement, where it has a name of its own. */
  readonly ownName?: (movementId: string) => string | undefined;
}

/** A movement and a level as a line names them to the letter. */
export interface NamedLevel {
  readonly movement: Movement;
  readonly level: Level;
  readonly isLevelNamed: boolean;
  /** Whether nothing had to be made of it: the level was named, or there is only one. */
  readonly isExact: boolean;
}

/** A movement with its level by their names: “Palm lift, knees back”. Names may hold commas themselves; ids stand in brackets. Null where they are not names to the letter. */
export function namedLevel(text: string, names: Pick<Names, 'shelf' | 'ownName'>): NamedLevel | null {
  const parts = text.split(',').map((part) => part.trim());
  for (let count = parts.length; count > 0; count--) {
    const movement = exactly(parts.slice(0, count).join(', '), names);
    if (movement) return withLevel(movement, parts.slice(count).join(', '));
  }
  return null;
}

const BRACKETED = /^\[(.+)\]$/;

function exactly(text: string, { shelf, ownName }: Pick<Names, 'shelf' | 'ownName'>): Movement | undefined {
  const id = BRACKETED.exec(text)?.[1];
  if (id !== undefined) return shelf.find((movement) => movement.id === id);
  const wanted = plainName(text);
  const isCalled = (name: string | undefined) => name !== undefined && plainName(name) === wanted;
  return (
    shelf.find(({ id: own, name }) => isCalled(name) || isCalled(ownName?.(own))) ??
    shelf.find(({ id: own }) => isCalled(FORMER_NAMES[own]))
  );
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
