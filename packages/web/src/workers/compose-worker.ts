import { type ComposeAnswer, composeWith, type ComposeWork, swapsIn } from '@clay-pot/contracts';
import { loadSolver } from '@clay-pot/core';
import { expose } from 'comlink';
import wasm from 'highs/runtime?url';

const solver = loadSolver({ locateFile: () => wasm });

/** Sequences are composed beside the page. */
const composeWorker = {
  /** Composes a first answer that nobody reads: what is loaded and compiled by it need not be when somebody waits. */
  warm: async (work: ComposeWork) => void composeWith(work, await solver, () => 0, () => false), // prettier-ignore
  compose: async (work: ComposeWork, better: (answer: ComposeAnswer) => void) =>
    composeWith(
      work,
      await solver,
      () => performance.now(),
      (answer) => {
        better(answer);
        return true;
      },
    ),
  swaps: (work: ComposeWork, blockId: string) => swapsIn(work, blockId),
};
/** What the worker answers. */
export type ComposeWorker = typeof composeWorker;

expose(composeWorker);
