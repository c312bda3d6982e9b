import type { StudioScope } from './studio-scope.js';

/**
 * Reads something once for each scope, which is a request or a transaction: whoever asks again within it gets the same answer. What a request
 * changes it must not ask so again.
 */
export function oncePerScope<T>(read: (scope: StudioScope) => Promise<T>): (scope: StudioScope) => Promise<T> {
  const known = new WeakMap<StudioScope, Promise<T>>();
  return (scope) => {
    const before = known.get(scope);
    if (before) return before;
    const reading = read(scope);
    known.set(scope, reading);
    // What failed is tried again by whoever asks next.
    reading.catch(() => known.delete(scope));
    return reading;
  };
}
