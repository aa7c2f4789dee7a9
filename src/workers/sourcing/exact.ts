import loadHighs from 'highs';
import type { LinearModel, Relaxed } from '@/core/sourcing';

type Highs = Awaited<ReturnType<typeof loadHighs>>;
let loading: Promise<Highs> | null = null;

/** The solver, loaded once in each thread. */
export const highs = (): Promise<Highs> => (loading ??= loadHighs());

/** What the solver leaves out where good plans are to be found soon. */
const QUICK = [
  ['mip_pool_soft_limit', 1],
  ['mip_max_start_nodes', 0],
  ['mip_heuristic_run_feasibility_jump', false],
  ['mip_heuristic_run_root_reduced_cost', false],
  ['mip_allow_restart', false],
] as const;

export interface ExactOptions {
  readonly start: Float64Array | null;
  readonly seconds: number;
  /** Relative gap at which it is good enough. */
  readonly gap: number;
  /** Share of the work that goes to finding plans rather than to the bound; left out = the solver's own. */
  readonly effort?: number;
  /** True = good plans soon matter, not the bound: hardly any cuts, which cost more time here than they save. */
  readonly quick?: boolean;
  /** Branches after which it ends, where it is to end alike every time; left out = as many as there is time for. */
  readonly nodes?: number;
  /** Called with every better solution. */
  readonly onBetter?: (values: Float64Array) => void;
  /** Called now and then with the proven bound; true stops it. */
  readonly onBound?: (bound: number) => boolean;
}

export interface ExactAnswer {
  readonly values: Float64Array | null;
  readonly bound: number;
  readonly optimal: boolean;
  /** True where it is proven that there is no solution, and not only that none was found in time. */
  readonly infeasible: boolean;
}

/** A linear model as the solver takes it. */
function modelFor(solver: Highs, p: LinearModel, integrality: LinearModel['integer']) {
  const finite = (a: Float64Array) =>
    a.map((v) => (v === Infinity ? solver.infinity : v === -Infinity ? -solver.infinity : v));
  const rows = p.rowLower.length;
  return {
    numCols: p.columns,
    numRows: rows,
    colCost: p.cost,
    colLower: p.lower,
    colUpper: finite(p.upper),
    rowLower: finite(p.rowLower),
    rowUpper: finite(p.rowUpper),
    matrix: {
      format: 'csr' as const,
      numRows: rows,
      numCols: p.columns,
      starts: p.starts,
      indices: p.indices,
      values: p.values,
    },
    integrality,
  };
}

/** Solves a linear model as though fractions were allowed; null where the time is over before. Blocks its thread. */
export function solveRelaxed(solver: Highs, p: LinearModel, seconds: number): Relaxed | null {
  return solver.withModel(
    modelFor(
      solver,
      p,
      p.integer.map(() => 0),
    ),
    (model) => {
      model.options.set('output_flag', false);
      model.options.set('time_limit', Math.max(0.05, seconds));
      const { modelStatus } = model.run();
      if (modelStatus !== solver.constants.modelStatus.optimal) return null;
      const { colValue, colDual } = model.getSolution();
      return { values: Float64Array.from(colValue), reduced: Float64Array.from(colDual) };
    },
  );
}

/** Solves a linear model with HiGHS (Huangfu and Hall 2018). Blocks its thread. */
export function solveExactly(solver: Highs, p: LinearModel, options: ExactOptions): ExactAnswer {
  return solver.withModel(modelFor(solver, p, p.integer), (model): ExactAnswer => {
    model.options.set('output_flag', false);
    model.options.set('time_limit', Math.max(0.05, options.seconds));
    model.options.set('mip_rel_gap', options.gap);
    if (options.effort !== undefined) model.options.set('mip_heuristic_effort', options.effort);
    if (options.quick) for (const [name, value] of QUICK) model.options.set(name, value);
    if (options.nodes !== undefined) model.options.set('mip_max_nodes', options.nodes);
    if (options.start) model.setSolution({ colValue: options.start });
    const kinds = solver.constants.callbackType;
    const { modelStatus } = model.run({
      [kinds.mipImprovingSolution]: (event) => {
        if (event.data.mip_solution) options.onBetter?.(event.data.mip_solution);
      },
      [kinds.mipInterrupt]: (event) => {
        const bound = event.data.mip_dual_bound;
        if (bound !== undefined && options.onBound?.(bound)) event.interrupt();
      },
    });
    const status = solver.constants.modelStatus;
    const optimal = modelStatus === status.optimal;
    const infeasible = modelStatus === status.infeasible;
    const found = model.info.get('primal_solution_status') === solver.constants.solutionStatus.feasible;
    const values = Float64Array.from(model.getSolution().colValue);
    const bound = Number(model.info.get('mip_dual_bound'));
    return { values: values.length === p.columns && found ? values : null, bound, optimal, infeasible };
  });
}
