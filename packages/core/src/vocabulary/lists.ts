/**
 * Takes what must be there by construction, and says loudly when it is not: a fault of the program, never of what somebody typed.
 * @throws Error naming what is missing
 * @example must(4, 'the fourth') → 4
 */
export function must<T>(value: T | null | undefined, what: string): T {
  if (value === null || value === undefined) throw new Error(`There should be ${what}.`);
  return value;
}

/** Whether a list has any items, in a way that its type remembers. @example isSome([]) → false */
export const isSome = <T>(list: readonly T[]): list is readonly [T, ...T[]] => list.length > 0;

/** The item at a place that the list has. @throws RangeError when it does not. @example itemAt(['a', 'b'], 1) → 'b' */
export function itemAt<T>(list: readonly T[], index: number): T {
  if (index in list) return list[index] as T;
  throw new RangeError(`There is no item ${index} in a list of ${list.length}.`);
}

/** The first item of a list that has some. @throws RangeError when it is empty. @example firstOf([3, 1, 2]) → 3 */
export const firstOf = <T>(list: readonly T[]): T => itemAt(list, 0);

/** The last item of a list that has some. @throws RangeError when it is empty. @example lastOf([3, 1, 2]) → 2 */
export const lastOf = <T>(list: readonly T[]): T => itemAt(list, list.length - 1);

/** Items by what they have in common, in the order in which each is first met. @example groupedBy([1, 2, 3], (n) => n % 2).get(1) → [1, 3] */
export function groupedBy<T, K>(list: readonly T[], keyOf: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of list) {
    const key = keyOf(item);
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}

/** The first of what is made one by one; the rest is not made. */
export function take<T>(all: Iterable<T>, count: number): T[] {
  const taken: T[] = [];
  if (count > 0) {
    for (const one of all) if (taken.push(one) === count) break;
  }
  return taken;
}
