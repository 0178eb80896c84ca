import loadHighs, { type Highs } from 'highs';
import type { Program, Solve } from './program.ts';

let loading: Promise<Highs> | undefined;

/** HiGHS, compiled to WebAssembly; it runs in the thread that asks, and holds it up until it is done: ask in a worker. */
export async function highs(): Promise<Solve> {
  loading ??= loadHighs();
  const loaded = await loading;
  return (program, seconds) =>
    loaded.withModel(dataOf(program), (model) => {
      model.options.set({ output_flag: false, time_limit: seconds, mip_rel_gap: 1e-4, random_seed: 1 });
      model.run();
      const { colValue } = model.getSolution();
      const feasible = model.info.get('primal_solution_status') === 2;
      if (!feasible) return undefined;
      const cost = model.getObjectiveValue();
      const bound = Number(model.info.get('mip_dual_bound'));
      return {
        values: Float64Array.from(colValue),
        cost,
        bound: Number.isFinite(bound) ? Math.min(bound, cost) : cost,
      };
    });
}

/** The program by rows, as HiGHS takes it. */
function dataOf({ costs, lower, upper, whole, rows }: Program) {
  const starts = new Int32Array(rows.length + 1);
  rows.forEach(({ terms }, r) => (starts[r + 1] = starts[r]! + terms.length));
  const terms = rows.flatMap((row) => row.terms);
  return {
    numCols: costs.length,
    numRows: rows.length,
    colCost: costs,
    colLower: lower,
    colUpper: upper,
    rowLower: rows.map(({ from }) => from),
    rowUpper: rows.map(({ to }) => to),
    matrix: {
      format: 'csr' as const,
      numRows: rows.length,
      numCols: costs.length,
      starts,
      indices: Int32Array.from(terms, ([variable]) => variable),
      values: Float64Array.from(terms, ([, by]) => by),
    },
    integrality: Int32Array.from(whole, (is) => (is ? 1 : 0)),
  };
}
