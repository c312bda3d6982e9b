import { loadSolver } from '../compose/load-solver.js';
import type { Solver } from '../compose/linear.js';
import { type ComposeAnswer, composeWith, type SwapAnswer, swapsIn } from './compose.js';
import type { ComposeWork } from './compose-work.js';

let solverOfThread: Promise<Solver> | undefined;
/** Composes in a thread of its own; past its time it answers with the best that it has. */
export async function answerCompose({ work, withinMs }: { readonly work: ComposeWork; readonly withinMs: number }): Promise<ComposeAnswer> {
  solverOfThread ??= loadSolver();
  return composeWith(work, await solverOfThread, { now: Date.now, goOn: (elapsedMs) => elapsedMs < withinMs });
}

/** Finds other movements for a block in a thread of its own. */
export const answerSwap = ({ work, blockId }: { readonly work: ComposeWork; readonly blockId: string }): SwapAnswer =>
  swapsIn(work, blockId);
