import { type MovementFinder, plainName } from '../library/find-movements.js';
import { FORMER_LEVEL_NAMES, FORMER_NAMES } from '../library/former-names.js';
import type { Level, Movement } from '../model/movement.js';

/** What names are looked up in. */
export interface Names {
  readonly shelf: readonly Movement[];
  readonly find: MovementFinder;
  /** What the studio calls a movement, where it has a name of its own. */
  readonly ownName?: (movementId: string) => string | undefined;
}

/** A movement and a level as a line names them, with what was made of it where it was not named to the letter. */
export interface NamedLevel {
  readonly movement: Movement;
  readonly level: Level;
  readonly isExact: boolean;
}
/** Why a name was not found, and the names that come nearest. */
export interface NameFault {
  readonly message: string;
  readonly nearest: readonly string[];
}

/** How many names are proposed. */
const NEAREST = 3;
/** The best hit is taken where it is so much better than the next. */
const CLEARLY = 2;
/** And where it has so much of the name’s words: “palm” alone is none of the palm’s movements. */
const MOST_OF_NAME = 0.6;

/** A movement with its level, as typed: “Palm lift, knees back”. Names may hold commas themselves; ids stand in brackets. */
export function namedLevel(text: string, names: Names): NamedLevel | NameFault {
  const parts = text.split(',').map((part) => part.trim());
  for (let count = parts.length; count > 0; count--) {
    const movement = exactly(parts.slice(0, count).join(', '), names);
    if (movement) return withLevel(movement, parts.slice(count).join(', '), true);
  }
  for (let count = parts.length; count > 0; count--) {
    const meant = clearlyMeant(parts.slice(0, count).join(' '), names);
    if (meant) return withLevel(meant, parts.slice(count).join(', '), false);
  }
  const nearest = names.find(parts[0] ?? '').slice(0, NEAREST);
  const message = `There is no movement “${text}”.${nearest.length > 0 ? ' Choose one of these, or write its full name.' : ''}`;
  return { message, nearest: nearest.map(({ movement }) => movement.name) };
}

/** The one movement that words mean: by a name that the field has for it, or by most of its own name, far better than the next. */
function clearlyMeant(text: string, { find }: Names): Movement | null {
  const hits = find(text).filter(({ isWhole }) => isWhole);
  const named = hits.filter(({ isNamed }) => isNamed);
  if (named.length === 1 && named[0]) return named[0].movement;
  const [best, second] = hits;
  if (!best || (second && best.score <= CLEARLY * second.score)) return null;
  return plainName(text).split(' ').length >= MOST_OF_NAME * plainName(best.movement.name).split(' ').length ? best.movement : null;
}

const BRACKETED = /^\[(.+)\]$/;

function exactly(text: string, { shelf, ownName }: Names): Movement | undefined {
  const id = BRACKETED.exec(text)?.[1];
  if (id !== undefined) return shelf.find((movement) => movement.id === id);
  const wanted = plainName(text);
  const isCalled = (name: string | undefined) => name !== undefined && plainName(name) === wanted;
  return (
    shelf.find(({ id: own, name }) => isCalled(name) || isCalled(ownName?.(own))) ??
    shelf.find(({ id: own }) => isCalled(FORMER_NAMES[own]))
  );
}

function withLevel(movement: Movement, text: string, isExact: boolean): NamedLevel | NameFault {
  const { ladder, name } = movement;
  if (text === '') return { movement, level: ladder[0], isExact: isExact && ladder.length === 1 };
  const id = BRACKETED.exec(text)?.[1];
  const wanted = plainName(text);
  const isCalled = (called: string | undefined) => called !== undefined && plainName(called) === wanted;
  const named = ladder.find((level) =>
    id === undefined ? isCalled(level.name) || isCalled(FORMER_LEVEL_NAMES[level.name]) : level.id === id,
  );
  if (named) return { movement, level: named, isExact };
  const near = ladder.filter((level) => isWithin(wanted, plainName(`${level.name} ${level.id} ${level.posture}`)));
  if (near.length === 1 && near[0]) return { movement, level: near[0], isExact: false };
  return { message: `“${name}” has no level “${text}”.`, nearest: ladder.map((level) => level.name) };
}

/** Whether every word begins some word of the other text. */
const isWithin = (wanted: string, text: string): boolean => {
  const words = text.split(' ');
  return wanted.split(' ').every((part) => words.some((word) => word.startsWith(part)));
};
