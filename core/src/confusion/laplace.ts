import { Matrix, type CholeskyDecomposition } from 'ml-matrix';
import { randomFrom, type Random } from '../random/index.ts';
import type { ClassFit } from './fit.ts';
import { cutNormalInterval } from './interval.ts';
import { choleskyOf } from './newton.ts';

/** How far the data speak about the use of one character. */
export interface UseInterval {
  /** Highest-density interval, 90 % unless asked otherwise. */
  interval: [number, number];
  /** Standard deviation of the normal distribution before it is cut at 0. */
  sd: number;
}

/**
 * The normal approximation around the optimum (Laplace), the bound w ≥ 0 respected. The parameters that are not bounded are integrated
 * out, so that the precision left between the uses is Schur's complement `S = H_ww − H_wo·H_oo⁻¹·H_ow`.
 */
export class Laplace {
  private readonly fit: ClassFit;
  private readonly others: CholeskyDecomposition;
  /** H_oo⁻¹·H_ow: others × characters. */
  private readonly carry: Matrix;
  /** S, characters × characters. */
  private readonly precision: Float64Array[];

  constructor(fit: ClassFit) {
    this.fit = fit;
    const { characters: C, size } = fit.layout;
    const free = Array.from({ length: size - C }, (_, i) => C + i);
    this.others = choleskyOf(fit.hessian, size, free);
    const cross = new Matrix(free.length, C);
    free.forEach((i, row) => {
      for (let c = 0; c < C; c += 1) cross.set(row, c, fit.hessian[i * size + c]!);
    });
    this.carry = C ? this.others.solve(cross) : cross;
    const taken = C ? cross.transpose().mmul(this.carry) : cross;
    this.precision = Array.from({ length: C }, (_, c) =>
      Float64Array.from(
        { length: C },
        (_d, d) => fit.hessian[Math.max(c, d) * size + Math.min(c, d)]! - taken.get(c, d),
      ),
    );
  }

  /**
   * For each character the interval of its use: of `N(ŵ − gradient/curvature, 1/curvature)` cut at 0, the other characters that stand at
   * their bound held there.
   */
  uses(content = 0.9): UseInterval[] {
    const { theta, gradient, layout } = this.fit;
    const all = [...Array(layout.characters).keys()];
    const free = all.filter((c) => !(theta[c]! <= 1e-9 && gradient[c]! > 0));
    const flat = Float64Array.from(all.flatMap((c) => [...this.precision[c]!]));
    const cholesky = free.length ? choleskyOf(flat, all.length, free) : undefined;
    const inverse = cholesky?.solve(Matrix.eye(free.length));
    return all.map((c) => {
      const place = free.indexOf(c);
      if (place >= 0) {
        const sd = Math.sqrt(inverse!.get(place, place));
        return { sd, interval: cutNormalInterval(theta[c]!, sd, content) };
      }
      let curvature = this.precision[c]![c]!;
      if (cholesky) {
        const cross = Matrix.columnVector(free.map((d) => this.precision[c]![d]!));
        const solved = cholesky.solve(cross);
        for (let i = 0; i < free.length; i += 1) curvature -= cross.get(i, 0) * solved.get(i, 0);
      }
      const sd = Math.sqrt(1 / curvature);
      return { sd, interval: cutNormalInterval(theta[c]! - gradient[c]! / curvature, sd, content) };
    });
  }

  /**
   * Draws of all parameters from the approximation: the uses by Gibbs sampling of the normal distribution cut at 0, the rest given them.
   * @returns `count` vectors in the order of the layout.
   */
  draws(count: number, seed: number): Float64Array[] {
    const { theta, gradient, layout } = this.fit;
    const C = layout.characters;
    const random = randomFrom(seed);
    const w = theta.slice(0, C);
    const sweep = () => {
      for (let c = 0; c < C; c += 1) {
        const row = this.precision[c]!;
        let pull = gradient[c]!;
        for (let d = 0; d < C; d += 1) if (d !== c) pull += row[d]! * (w[d]! - theta[d]!);
        w[c] = cutNormal(theta[c]! - pull / row[c]!, 1 / Math.sqrt(row[c]!), random);
      }
    };
    for (let i = 0; i < BURN_IN; i += 1) sweep();
    return Array.from({ length: count }, () => {
      for (let i = 0; i < THINNING; i += 1) sweep();
      return this.complete(w, random);
    });
  }

  /** The parameters that are not bounded, drawn given the uses. */
  private complete(w: Float64Array, random: Random): Float64Array {
    const { theta, layout } = this.fit;
    const C = layout.characters;
    const draw = Float64Array.from(theta);
    draw.set(w);
    const factor = this.others.lowerTriangularMatrix;
    const n = layout.size - C;
    const noise = new Float64Array(n);
    // Lᵀ·noise = z gives noise the covariance (L·Lᵀ)⁻¹.
    for (let i = n - 1; i >= 0; i -= 1) {
      let left = random.normal();
      for (let j = i + 1; j < n; j += 1) left -= factor.get(j, i) * noise[j]!;
      noise[i] = left / factor.get(i, i);
    }
    for (let i = 0; i < n; i += 1) {
      let shift = noise[i]!;
      for (let c = 0; c < C; c += 1) shift -= this.carry.get(i, c) * (w[c]! - theta[c]!);
      draw[C + i]! += shift;
    }
    return draw;
  }
}

const BURN_IN = 60;
const THINNING = 3;

/** A draw from a normal distribution cut at 0 (C. P. Robert 1995, Statistics and Computing 5: 121–125). */
function cutNormal(mean: number, sd: number, random: Random): number {
  const bound = -mean / sd;
  if (bound < 0.45)
    for (;;) {
      const z = random.normal();
      if (z >= bound) return Math.max(0, mean + sd * z);
    }
  const rate = (bound + Math.sqrt(bound * bound + 4)) / 2;
  for (;;) {
    const z = bound - Math.log(1 - random.uniform()) / rate;
    if (random.uniform() <= Math.exp(-0.5 * (z - rate) ** 2)) return Math.max(0, mean + sd * z);
  }
}
