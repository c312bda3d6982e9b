import { expose } from 'comlink';

/** How many workers were ended. */
export const ended = { count: 0 };

/**
 * Replaces a worker: the same functions in this thread, over a channel as a worker’s.
 * @param serve what the worker would expose
 * @returns takes it away again
 */
export function workersServe(serve: object): () => void {
  const real = globalThis.Worker;
  ended.count = 0;
  class NearWorker {
    constructor() {
      const { port1, port2 } = new MessageChannel();
      expose(serve, port1);
      const terminate = () => {
        ended.count += 1;
        port1.close();
        port2.close();
      };
      return Object.assign(port2, { terminate }) as never;
    }
  }
  globalThis.Worker = NearWorker as unknown as typeof Worker;
  return () => {
    globalThis.Worker = real;
  };
}
