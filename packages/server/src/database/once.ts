import type { StudioScope } from './studio-scope.js';

/**
 * Reads something once for each scope, which is a request or a transaction: whoever asks again within it gets the same answer. What a request
 * changes it must not ask so again.
 */
export function oncePerScope<T>(read: (scope: StudioScope) => Promise<T>): (scope: StudioScope) => Promise<T> {
  const cache = new WeakMap<StudioScope, Promise<T>>();
  return (scope) => {
    const before = cache.get(scope);
    if (before) return before;
    const reading = read(scope);
    cache.set(scope, reading);
    // What failed is tried again by whoever asks next.
    reading.catch(() => cache.delete(scope));
    return reading;
  };
}
