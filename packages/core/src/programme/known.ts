import type { Movement, MovementLookup } from '../model/movement.js';
import type { Sequence } from '../model/sequence.js';

const isSame = <T>(a: readonly T[], b: readonly T[]) => a.length === b.length && a.every((each, index) => each === b[index]);

/** So many different answers are kept of one thing. */
const MOST_KNOWN = 40;

/**
 * Remembers what was made of something, for as long as that something is there and everything else it was made from is the same.
 * @param make called where nothing is known of these parts
 */
export function rememberer<T>(): (of: object, parts: readonly unknown[], make: () => T) => T {
  const cache = new WeakMap<object, { readonly parts: readonly unknown[]; readonly made: T }[]>();
  return (of, parts, make) => {
    const before = cache.get(of) ?? [];
    const hit = before.find((each) => isSame(each.parts, parts));
    if (hit) return hit.made;
    const made = make();
    cache.set(of, [{ parts, made }, ...before].slice(0, MOST_KNOWN));
    return made;
  };
}

/** The movements that a sequence names: what is known of it holds while they are the same. */
export const movementsOf = ({ blocks }: Pick<Sequence, 'blocks'>, lookup: MovementLookup): (Movement | undefined)[] =>
  blocks.map(({ movementId }) => lookup(movementId));
