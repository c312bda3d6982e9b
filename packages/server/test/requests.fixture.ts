import { AbandonedError, inRequest } from '../src/http/request-context.js';

/** Does something as a request of somebody who can leave. */
export function requestsOf<T>(work: () => Promise<T>): { answer: Promise<T>; leave: () => void } {
  const gone = new AbortController();
  const answer = inRequest({ studioId: 'a', abandoned: gone.signal }, work);
  return { answer, leave: () => gone.abort(new AbandonedError()) };
}
