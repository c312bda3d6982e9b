import { highsSolver } from './highs-solver.js';
import type { Solver } from './linear.js';

/** The solver, loaded when it is first asked for. @param options where its WebAssembly is, in a browser */
export async function loadSolver(options?: { readonly locateFile: () => string }): Promise<Solver> {
  const imported = await import('highs');
  // oxlint-disable-next-line house/no-double-cast -- its types take the package for CommonJS, whose default lies one step further in
  const load = imported.default as unknown as typeof imported.default.default;
  return highsSolver(await load(options));
}
