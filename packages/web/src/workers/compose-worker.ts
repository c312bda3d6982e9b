import { type ComposeAnswer, composeWith, type ComposeWork, judgedWith, prepareFor, swapsIn } from '@clay-pot/core/answers';
import { loadSolver, type Sequence } from '@clay-pot/core';
import { expose } from 'comlink';
import wasm from 'highs/runtime?url';

const solver = loadSolver({ locateFile: () => wasm });

const now = () => performance.now();

/** Sequences are composed beside the page. */
const composeWorker = {
  /** Composes a first answer that nobody reads: what is loaded and compiled by it need not be when somebody waits. */
  warm: async (work: ComposeWork) => void composeWith(work, await solver, { now, better: () => false }),
  /** Finds what will be chosen from. */
  prepare: (work: ComposeWork) => prepareFor(work),
  compose: async (work: ComposeWork, better: (answer: ComposeAnswer) => void) =>
    composeWith(work, await solver, {
      now,
      better: (answer) => {
        better(answer);
        return true;
      },
    }),
  swaps: (work: ComposeWork, blockId: string) => swapsIn(work, blockId),
  judge: (work: ComposeWork, sequence: Sequence, before: ComposeAnswer) => judgedWith(work, sequence, before),
};
/** What the worker answers. */
export type ComposeWorker = typeof composeWorker;

expose(composeWorker);
