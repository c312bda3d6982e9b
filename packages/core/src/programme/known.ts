import type { Movement, MovementLookup } from '../model/movement.js';
import type { Sequence } from '../model/sequence.js';

/** So many different answers are kept of one thing: a year of weeks, each of another amount or another growth. */
const MOST_KNOWN = 400;

const numbers = new WeakMap<object, number>();
let lastNumber = 0;

/** The same text for the same thing: objects are the same where they are one. */
function nameOf(part: unknown): string {
  if ((typeof part !== 'object' && typeof part !== 'function') || part === null) return String(part);
  let number = numbers.get(part);
  if (number === undefined) numbers.set(part, (number = ++lastNumber));
  return `#${number}`;
}

/**
 * Remembers what was made of something, for as long as that something is there and everything else it was made from is the same.
 * @param make called where nothing is known of these parts
 */
export function rememberer<T>(): (of: object, parts: readonly unknown[], make: () => T) => T {
  const cache = new WeakMap<object, Map<string, T>>();
  return (of, parts, make) => {
    let known = cache.get(of);
    if (!known) cache.set(of, (known = new Map<string, T>()));
    const key = parts.map(nameOf).join(' ');
    const hit = known.get(key);
    if (hit !== undefined) return hit;
    const made = make();
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, made);
    return made;
  };
}

/** The movements that a sequence names: what is known of it holds while they are the same. */
export const movementsOf = ({ blocks }: Pick<Sequence, 'blocks'>, lookup: MovementLookup): (Movement | undefined)[] =>
  blocks.map(({ movementId }) => lookup(movementId));
