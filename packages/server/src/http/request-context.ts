import { AsyncLocalStorage } from 'node:async_hooks';
import type { FastifyInstance } from 'fastify';

/** What is known of the request that is being answered, wherever in its answering. */
interface RequestContext {
  /** Of whoever is signed in. */
  studioId: string | null;
  /** Aborts when whoever asked has gone. */
  readonly abandoned: AbortSignal | undefined;
}

const storage = new AsyncLocalStorage<RequestContext>();

/** The request that is being answered; undefined where none is. */
export const currentRequest = (): RequestContext | undefined => storage.getStore();

/** Does something that others may wait for too: it goes on when this request is abandoned. */
export function shared<T>(work: () => T): T {
  const context = storage.getStore();
  return context ? storage.run({ ...context, abandoned: undefined }, work) : work();
}

/** Does something as part of a request. */
export const inRequest = <T>(context: RequestContext, work: () => T): T => storage.run(context, work);

/** Does something for a studio that belongs to no request. */
export const forStudio = <T>(studioId: string, work: () => T): T => inRequest({ studioId, abandoned: undefined }, work);

/** Gives each request its context. */
export function keepRequestContext(fastify: FastifyInstance): void {
  fastify.addHook('onRequest', (_request, reply, done) => {
    const gone = new AbortController();
    reply.raw.once('close', () => {
      if (!reply.raw.writableFinished) gone.abort(new AbandonedError());
    });
    inRequest({ studioId: null, abandoned: gone.signal }, done);
  });
}

/** Thrown where nobody waits for the answer any more. */
export class AbandonedError extends Error {
  override readonly name = 'AbandonedError';
  constructor() {
    super('The client closed the connection.');
  }
}
