import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** A convex function with its derivatives. Without a gradient only its value is asked for. */
export interface Convex {
  size: number;
  /** The first so many variables may not fall below 0. */
  bounded: number;
  /** The last so many variables have no second derivatives among one another, so that a step can pass over them; 0 if not given. */
  separate?: number;
  /** Adds to the gradient and to the lower triangle of the second derivatives (row by row), where given, and returns the value. */
  evaluate(at: Float64Array, gradient?: Float64Array, hessian?: Float64Array): number;
}

export interface Optimum {
  at: Float64Array;
  value: number;
  gradient: Float64Array;
  hessian: Float64Array;
  steps: number;
}

const STEPS = 60;

/**
 * Minimum of a convex function with some variables bounded below by 0, by projected Newton steps (D. P. Bertsekas 1982, SIAM J. Control Optim.
 * 20: 221–246): variables at their bound whose gradient holds them there stand still, the others take the Newton step, cut at the bound.
 * @param start where to begin; variables below their bound are lifted to it.
 * @param tolerance of the gradient, in the function's unit.
 * @param onStep called before each step; what it throws stops the search.
 */
export function minimise(
  f: Convex,
  start: Float64Array,
  tolerance = 1e-6,
  onStep: (step: number) => void = () => undefined,
): Optimum {
  const n = f.size;
  let at = Float64Array.from(start, (x, i) => (i < f.bounded ? Math.max(0, x) : x));
  let [value, gradient, hessian] = derivatives(f, at);
  for (let steps = 0; steps < STEPS; steps += 1) {
    const held = new Uint8Array(n);
    let slope = 0;
    for (let i = 0; i < n; i += 1) {
      if (i < f.bounded && at[i]! <= 1e-9 && gradient[i]! > 0) held[i] = 1;
      else slope = Math.max(slope, Math.abs(gradient[i]!));
    }
    if (slope <= tolerance) return { at, value, gradient, hessian, steps };
    onStep(steps);
    const step = newtonStep(f, gradient, hessian, held);
    let moved = false;
    for (let length = 1; length > 1e-10; length /= 2) {
      const next = at.map((x, i) =>
        i < f.bounded ? Math.max(0, x + length * step[i]!) : x + length * step[i]!,
      );
      const there = f.evaluate(next);
      let expected = 0;
      for (let i = 0; i < n; i += 1) expected += gradient[i]! * (at[i]! - next[i]!);
      // Near the optimum the gain is less than the rounding of the value.
      if (there > value - 1e-4 * expected + 1e-13 * Math.abs(value)) continue;
      moved = expected > 0;
      at = next;
      break;
    }
    // No step goes down any more: as far as the arithmetic reaches.
    if (!moved) return { at, value, gradient, hessian, steps };
    [value, gradient, hessian] = derivatives(f, at);
  }
  return { at, value, gradient, hessian, steps: STEPS };
}

function derivatives(f: Convex, at: Float64Array): [number, Float64Array, Float64Array] {
  const gradient = new Float64Array(f.size);
  const hessian = new Float64Array(f.size * f.size);
  return [f.evaluate(at, gradient, hessian), gradient, hessian];
}

/**
 * Newton's step of the variables that are not held. Those that stand separate are eliminated first: with their diagonal D and their rows R,
 * the others solve `(H − RᵀD⁻¹R)·p = −(g − RᵀD⁻¹g_s)` (Schur's complement), and each separate one follows.
 */
function newtonStep(
  f: Convex,
  gradient: Float64Array,
  hessian: Float64Array,
  held: Uint8Array,
): Float64Array {
  const n = f.size;
  const shared = n - (f.separate ?? 0);
  const reduced = new Float64Array(shared * shared);
  const slope = Float64Array.from(gradient.subarray(0, shared));
  for (let i = 0; i < shared; i += 1) reduced.set(hessian.subarray(i * n, i * n + i + 1), i * shared);
  for (let s = shared; s < n; s += 1) {
    const row = hessian.subarray(s * n, s * n + shared);
    const diagonal = hessian[s * n + s]!;
    for (let i = 0; i < shared; i += 1) {
      const weight = row[i]! / diagonal;
      if (weight === 0) continue;
      slope[i]! -= weight * gradient[s]!;
      for (let j = 0; j <= i; j += 1) reduced[i * shared + j]! -= weight * row[j]!;
    }
  }
  const free = [...slope.keys()].filter((i) => !held[i]);
  const solved = choleskyOf(reduced, shared, free).solve(Matrix.columnVector(free.map((i) => -slope[i]!)));
  const step = new Float64Array(n);
  free.forEach((i, place) => (step[i] = solved.get(place, 0)));
  for (let s = shared; s < n; s += 1) {
    let pull = gradient[s]!;
    for (let i = 0; i < shared; i += 1) pull += hessian[s * n + i]! * step[i]!;
    step[s] = -pull / hessian[s * n + s]!;
  }
  return step;
}

/** Cholesky's factor of the part of a matrix, given by its lower triangle, that belongs to some variables; a directionless variable is given a little curvature. */
export function choleskyOf(
  hessian: Float64Array,
  size: number,
  free: readonly number[],
): CholeskyDecomposition {
  const part = new Matrix(free.length, free.length);
  free.forEach((i, row) => {
    for (let column = 0; column <= row; column += 1) {
      const value = hessian[i * size + free[column]!]!;
      part.set(row, column, value);
      part.set(column, row, value);
    }
  });
  for (let ridge = 0; ; ridge = ridge ? ridge * 100 : 1e-9) {
    if (ridge) for (let i = 0; i < free.length; i += 1) part.set(i, i, part.get(i, i) + ridge);
    const cholesky = new CholeskyDecomposition(part);
    if (cholesky.isPositiveDefinite()) return cholesky;
  }
}
