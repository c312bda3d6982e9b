import type { Highs, InterruptCallbackEvent, Model, PassiveCallbackEvent } from 'highs';
import type { Linear, Relaxed, Solved, SolveOptions, Solver } from './linear.js';

/** A solver of linear programmes by HiGHS, once it is loaded. (Huangfu, Hall 2018, Math Program Comput 10:119–42) */
export function highsSolver(highs: Highs): Solver {
  return {
    solve: (linear, options) => highs.withModel((model) => solved(highs, model, linear, options ?? {})),
    relax: (linear) => highs.withModel((model) => relaxed(highs, model, linear)),
  };
}

function relaxed(highs: Highs, model: Model, linear: Linear): Relaxed {
  pass(highs, model, linear, true);
  model.options.set({ output_flag: false });
  model.run();
  if (model.getModelStatus() !== highs.constants.modelStatus.optimal)
    return { values: null, worth: -Infinity, bound: -Infinity, prices: [], reduced: [] };
  const { colValue, colDual, rowDual } = model.getSolution();
  const worth = model.getObjectiveValue();
  return { values: [...colValue], worth, bound: worth, prices: [...rowDual], reduced: [...colDual] };
}

function solved(highs: Highs, model: Model, linear: Linear, options: SolveOptions): Solved {
  const { gap = 0, chosen, branches, goOn, better } = options;
  pass(highs, model, linear, false);
  model.options.set({
    output_flag: false,
    random_seed: 0,
    mip_rel_gap: gap,
    ...(branches !== undefined && { mip_max_nodes: branches }),
  });
  if (chosen) model.setSolution({ indices: chosen.map((_, at) => at), values: chosen.map(Number) });
  const { callbackType } = highs.constants;
  model.run({
    ...(goOn && {
      [callbackType.mipInterrupt]: (event: InterruptCallbackEvent): undefined => {
        if (!goOn(event.data.mip_primal_bound ?? -Infinity, event.data.mip_dual_bound ?? Infinity)) event.interrupt();
      },
    }),
    ...(better && {
      [callbackType.mipImprovingSolution]: ({ data }: PassiveCallbackEvent): undefined => {
        if (data.mip_solution) better(data.mip_solution, data.objective_function_value ?? -Infinity);
      },
    }),
  });
  // Stopped by its branch limit or by the caller, it may have found nothing: the values are then no solution.
  if (Number(model.info.get('primal_solution_status')) !== highs.constants.solutionStatus.feasible) {
    return { values: null, worth: -Infinity, bound: Infinity };
  }
  return {
    values: [...model.getSolution().colValue],
    worth: model.getObjectiveValue(),
    bound: Number(model.info.get('mip_dual_bound')),
  };
}

function pass(highs: Highs, model: Model, { unknowns, rows }: Linear, relaxed: boolean): void {
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { terms } of rows) {
    for (const [at, factor] of terms) {
      indices.push(at);
      values.push(factor);
    }
    starts.push(indices.length);
  }
  const { integer, continuous } = highs.constants.variableType;
  model.passModel({
    numCols: unknowns.length,
    numRows: rows.length,
    sense: highs.constants.objectiveSense.maximize,
    colCost: unknowns.map(({ worth }) => worth),
    colLower: unknowns.map(() => 0),
    colUpper: unknowns.map(({ most }) => most),
    rowLower: rows.map(({ min }) => min),
    rowUpper: rows.map(({ max }) => max),
    matrix: { format: 'csr', numRows: rows.length, numCols: unknowns.length, starts, indices, values },
    integrality: unknowns.map(({ whole }) => (whole && !relaxed ? integer : continuous)),
  });
}
