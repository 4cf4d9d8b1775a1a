import type { Highs } from 'highs';
import type { MilpSolution, MilpSolver } from './milp.js';

/**
 * HiGHS as the solver of kits and cutting plans; whoever calls has loaded it.
 *
 * @param highs the loaded library
 * @param onBound told the best solution and the bound while it works
 */
export function highsSolver(
  highs: Highs,
  onBound: (found: number, bound: number) => void = () => undefined,
): MilpSolver {
  const { callbackType, modelStatus } = highs.constants;
  const run = (program: string, limitS: number, presolve: 'choose' | 'off'): MilpSolution =>
    highs.withModel({ format: 'lp', data: program }, (model): MilpSolution => {
      model.options.set({ time_limit: limitS, output_flag: false, presolve });
      const done = model.run({
        [callbackType.mipLogging]: ({ data }) => {
          onBound(data.mip_primal_bound ?? Infinity, data.mip_dual_bound ?? 0);
        },
      });
      return {
        proved: done.modelStatus === modelStatus.optimal,
        bound: Number(model.info.get('mip_dual_bound')),
        values: model.getSolution().colValue,
      };
    });
  return async (program, limitS) => {
    try {
      return await Promise.resolve(run(program, limitS, 'choose'));
    } catch {
      // Some programs it cannot put back together after having made them smaller (version 1.15: status -1); without that they are solved.
      return run(program, limitS, 'off');
    }
  };
}
