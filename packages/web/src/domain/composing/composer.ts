import type { ComposeAnswer, ComposeWork, SwapAnswer } from '@clay-pot/contracts';
import type { Sequence } from '@clay-pot/core';
import { proxy, type Remote, wrap } from 'comlink';
import type { ComposeWorker } from '../../workers/compose-worker.js';

interface Running {
  readonly worker: Worker;
  readonly remote: Remote<ComposeWorker>;
}
let running: Running | undefined;

/** One for the page, started when somebody comes near: what it has loaded once it need not load again. */
function theComposer(): Remote<ComposeWorker> {
  if (!running) {
    const worker = new Worker(new URL('../../workers/compose-worker.ts', import.meta.url), { type: 'module' });
    running = { worker, remote: wrap<ComposeWorker>(worker) };
  }
  return running.remote;
}

/** Gets the composer ready before it is asked. */
export const warmComposer = (work: ComposeWork): void => void theComposer().warm(work);

/** Finds what a composition will choose from, while somebody still says what is wanted. */
export const prepareComposer = (work: ComposeWork): void => void theComposer().prepare(work);

/** Generates; each better answer is reported as it is found. */
export const composeBeside = (work: ComposeWork, better: (answer: ComposeAnswer) => void): Promise<ComposeAnswer> =>
  theComposer().compose(work, proxy(better));

/** Other movements for a block. */
export const swapsBeside = (work: ComposeWork, blockId: string): Promise<SwapAnswer> => theComposer().swaps(work, blockId);

/** The figures of a sequence that somebody has changed since it was composed. */
export const judgeBeside = (work: ComposeWork, sequence: Sequence, before: ComposeAnswer): Promise<ComposeAnswer> =>
  theComposer().judge(work, sequence, before);

/** Ends what is being composed: its thread is let go, and a new one begun with the next question. */
export function stopComposing(): void {
  running?.worker.terminate();
  running = undefined;
}
