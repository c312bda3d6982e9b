import { AsyncLocalStorage } from 'node:async_hooks';
import type { ServerResponse } from 'node:http';
import type { FastifyInstance } from 'fastify';

/** What is known of the request that is being answered, wherever in its answering. */
interface RequestContext {
  /** Of whoever is signed in. */
  studioId: string | null;
  /** Aborts when whoever asked has gone. */
  readonly abandoned: AbortSignal | undefined;
}

/** The context of a request over the network. Most need nothing that could be aborted: its signal is made when it is asked for. */
class NetworkRequest implements RequestContext {
  studioId: string | null = null;
  private gone: AbortController | undefined;

  constructor(private readonly answer: ServerResponse) {}

  get abandoned(): AbortSignal {
    if (this.gone) return this.gone.signal;
    const gone = new AbortController();
    this.gone = gone;
    const leave = () => {
      if (!this.answer.writableFinished) gone.abort(new AbandonedError());
    };
    if (this.answer.destroyed) leave();
    else this.answer.once('close', leave);
    return gone.signal;
  }
}

const storage = new AsyncLocalStorage<RequestContext>();

/** The request that is being answered; undefined where none is. */
export const currentRequest = (): RequestContext | undefined => storage.getStore();

/** Does something that others may wait for too: it goes on when this request is abandoned. */
export function shared<T>(work: () => T): T {
  const context = storage.getStore();
  return context ? storage.run({ studioId: context.studioId, abandoned: undefined }, work) : work();
}

/** Does something as part of a request. */
export const inRequest = <T>(context: RequestContext, work: () => T): T => storage.run(context, work);

/** Does something for a studio that belongs to no request. */
export const forStudio = <T>(studioId: string, work: () => T): T => inRequest({ studioId, abandoned: undefined }, work);

/** Gives each request its context. */
export function keepRequestContext(fastify: FastifyInstance): void {
  fastify.addHook('onRequest', (_request, reply, done) => inRequest(new NetworkRequest(reply.raw), done));
}

/** Thrown where nobody waits for the answer any more. */
export class AbandonedError extends Error {
  override readonly name = 'AbandonedError';
  constructor() {
    super('The client closed the connection.');
  }
}
