/**
 * A mixed-integer linear program as plain data, and what a solver says of it. Which solver that is, is no matter of the heart: it is handed
 * over as a function (`Solve`).
 */

/** Least cost under rows; every variable lies between its bounds. */
export interface Program {
  /** Cost of one unit of each variable. */
  costs: number[];
  lower: number[];
  upper: number[];
  /** Whether each variable takes whole numbers only. */
  whole: boolean[];
  rows: Row[];
}

/** `from ≤ Σ by·variable ≤ to`; either end may be infinite. */
export interface Row {
  terms: readonly Term[];
  from: number;
  to: number;
}

/** A variable by its place, and what it is multiplied by. */
export type Term = readonly [variable: number, by: number];

export interface Solution {
  /** One value a variable. */
  values: Float64Array;
  cost: number;
  /** No solution costs less than this; the cost itself where the optimum is proved. */
  bound: number;
}

/** Undefined where no solution exists, or none was found in the time given. */
export type Solve = (program: Program, seconds: number) => Solution | undefined;

/**
 * A program that is still being written.
 *
 * @example
 * const draft = new ProgramDraft();
 * const [tea, milk] = [draft.yesOrNo(3), draft.yesOrNo(2)];
 * draft.row([[tea, 1], [milk, 1]], 1, 1); // exactly one of them
 * solve(draft.program, 1)?.cost; // 2
 */
export class ProgramDraft {
  readonly program: Program = { costs: [], lower: [], upper: [], whole: [], rows: [] };

  /** A variable of whole numbers 0 and 1; by its place. */
  yesOrNo(cost = 0): number {
    return this.variable(cost, 0, 1, true);
  }

  /** A variable; by its place. Throws on a cost that is no number, which would spoil the whole silently. */
  variable(cost: number, lower = 0, upper = Infinity, whole = false): number {
    if (!Number.isFinite(cost)) throw new Error(`A cost must be a finite number, not ${cost}`);
    const { costs, ...bounds } = this.program;
    bounds.lower.push(lower);
    bounds.upper.push(upper);
    bounds.whole.push(whole);
    return costs.push(cost) - 1;
  }

  /** Keeps a variable at one value. */
  fix(variable: number, value: number): void {
    this.program.lower[variable] = value;
    this.program.upper[variable] = value;
  }

  row(terms: readonly Term[], from: number, to: number): void {
    this.program.rows.push({ terms, from, to });
  }
}
