import { LRUCache } from 'lru-cache';
import { shared } from '../http/request-context.js';
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

/** Studios of which something is kept in memory between requests. */
const MOST_STUDIOS = 50;

/** The same, kept between requests while nothing is written in the studio. What is read must not be changed. */
export function oncePerRevision<T>(read: (scope: StudioScope) => Promise<T>): (scope: StudioScope) => Promise<T> {
  const kept = new LRUCache<string, { readonly revision: number; readonly reading: Promise<T> }>({ max: MOST_STUDIOS });
  const perScope = oncePerScope(read);
  return (scope) => {
    const { studioId, revision } = scope;
    if (revision === null) return perScope(scope);
    const before = kept.get(studioId);
    const entry = before?.revision === revision ? before : { revision, reading: shared(() => read(scope)) };
    kept.set(studioId, entry);
    // What failed is tried again by whoever asks next.
    entry.reading.catch(() => kept.get(studioId) === entry && kept.delete(studioId));
    return entry.reading;
  };
}
