import type { Highs, Model } from 'highs';
import { defined } from '../math/index.js';
import type { Solution, Solver } from './solver.js';

/** Where costs are whole numbers, what comes so near cannot be bettered. */
const GAP = 0.999;

/** The columns of a model by name. */
function columnsOf(model: Model): string[] {
  return Array.from({ length: model.getDimensions().numCols }, (_, i) => model.getColName(i));
}

const named = (names: readonly string[], values: Float64Array): Record<string, number> =>
  Object.fromEntries(
    names.flatMap((name, i): [string, number][] => {
      const value = defined(values[i]);
      return Math.abs(value) > 1e-6 ? [[name, value]] : [];
    }),
  );

/** Solves by HiGHS, which was loaded before. The same programme has the same solution, unless the time ends it. */
export const highsSolver =
  (highs: Highs): Solver =>
  (programme, { seconds, start, gap = GAP, onBetter }) =>
    highs.withModel({ format: 'lp', data: programme }, (model): Solution => {
      const names = columnsOf(model);
      model.options.set({ output_flag: false, time_limit: Math.max(0, seconds), mip_rel_gap: 0, mip_abs_gap: gap });
      if (start) model.setSolution({ colValue: names.map((name) => start[name] ?? 0) });
      const { modelStatus } = model.run({
        [highs.constants.callbackType.mipImprovingSolution]: ({ data }) => {
          if (data.mip_solution)
            onBetter?.({ values: named(names, data.mip_solution), bound: data.mip_dual_bound ?? -Infinity });
        },
      });
      const status = highs.constants.modelStatus;
      const none = { values: {}, bound: -Infinity };
      if (modelStatus === status.infeasible) return { status: 'none', ...none };
      const found = Number(model.info.get('primal_solution_status')) === highs.constants.solutionStatus.feasible;
      if (!found) return { status: 'unknown', ...none };
      return {
        status: modelStatus === status.optimal ? 'optimal' : 'best',
        values: named(names, model.getSolution().colValue),
        bound: Number(model.info.get('mip_dual_bound')),
      };
    });
