import type { ClassFit } from './fit.ts';
import { tallies } from './choice.ts';
import { totalEvidence } from './likelihood.ts';
import { minimise, type Convex } from './newton.ts';

/** Stage 2: how one student uses each character, u_c = w_c + δ_c ≥ 0. */
export interface StudentFit {
  use: Float64Array;
  ability: number;
}

/** Standard deviation of δ: a student differs from the class by half of a typical use. */
export const OWN_USE_SCALE = 0.5;

/** A student's own uses, shrunk to those of the class; the parameters of the class are held. */
export function fitStudent(fit: ClassFit, student: number): StudentFit {
  const { at } = minimise(studentLoss(fit, student), startOf(fit, student), 2e-3);
  const C = fit.layout.characters;
  return { use: at.slice(0, C), ability: at[C]! };
}

const startOf = ({ theta, layout }: ClassFit, student: number): Float64Array =>
  Float64Array.of(...theta.subarray(0, layout.characters), theta[layout.abilities + student]!);

/** Penalised negative log-likelihood of one student's answers; the variables are the uses, then the ability. */
export function studentLoss({ data, theta, layout, scales }: ClassFit, student: number): Convex {
  const C = layout.characters;
  const own = tallies({ ...data, choices: data.choices.filter((choice) => choice.student === student) });
  const asked = data.situations.flatMap((situation, s) => {
    const { right, counts } = own[s]!;
    if (right.length === 0) return [];
    const { truth, options, unnamed } = situation;
    const total = totalEvidence(situation);
    const fixed = Float64Array.from(counts, (_, k) =>
      k < options.length
        ? theta[layout.overGiven + options[k]!]! + theta[layout.scattered + truth]! * total[k]!
        : theta[layout.unnamed + unnamed[k - options.length]!]!,
    );
    const truthAt = options.indexOf(truth);
    const utility = fixed[truthAt]! + theta[layout.base]! - theta[layout.missed + truth]!;
    return [{ situation, counts, answers: right.length, fixed, truthAt, utility }];
  });
  return {
    size: C + 1,
    bounded: C,
    evaluate: (at, gradient, hessian) => {
      let loss = 0.5 * (at[C]! / scales.ability) ** 2;
      if (gradient) gradient[C]! += at[C]! / scales.ability ** 2;
      if (hessian) hessian[C * (C + 1) + C]! += 1 / scales.ability ** 2;
      for (let c = 0; c < C; c += 1) {
        const off = (at[c]! - theta[c]!) / OWN_USE_SCALE;
        loss += 0.5 * off * off;
        if (gradient) gradient[c]! += off / OWN_USE_SCALE;
        if (hessian) hessian[c * (C + 1) + c]! += 1 / OWN_USE_SCALE ** 2;
      }
      for (const { situation, counts, answers, fixed, truthAt, utility } of asked) {
        const { characters, evidence } = situation;
        const [K, width] = [situation.options.length, characters.length];
        const chance = new Float64Array(fixed.length);
        let most = -Infinity;
        for (let k = 0; k < fixed.length; k += 1) {
          let sum = k === truthAt ? utility + at[C]! : fixed[k]!;
          // The row of the truth is 0, an unnamed answer has none.
          if (k < K) for (let c = 0; c < width; c += 1) sum -= at[characters[c]!]! * evidence[k * width + c]!;
          chance[k] = sum;
          most = Math.max(most, sum);
        }
        let all = 0;
        for (let k = 0; k < chance.length; k += 1) all += Math.exp(chance[k]! - most);
        const others = most + Math.log(all);
        counts.forEach((count, k) => (loss -= count ? count * (chance[k]! - others) : 0));
        if (!gradient) continue;
        const mean = new Float64Array(width);
        for (let k = 0; k < chance.length; k += 1) {
          chance[k] = Math.exp(chance[k]! - others);
          if (k >= K) continue;
          const off = answers * chance[k]! - counts[k]!;
          for (let c = 0; c < width; c += 1) {
            const e = evidence[k * width + c]!;
            mean[c]! += chance[k]! * e;
            gradient[characters[c]!]! -= off * e;
          }
        }
        const right = chance[truthAt]!;
        gradient[C]! += answers * right - counts[truthAt]!;
        if (!hessian) continue;
        // Covariance of (−e, [k = t]) under the chances, times the number of answers.
        const n = answers;
        const square = new Float64Array(width * width);
        for (let k = 0; k < K; k += 1) {
          if (k === truthAt || chance[k]! < 1e-9) continue;
          for (let c = 0; c < width; c += 1) {
            const weight = chance[k]! * evidence[k * width + c]!;
            if (weight === 0) continue;
            for (let d = 0; d <= c; d += 1) square[c * width + d]! += weight * evidence[k * width + d]!;
          }
        }
        for (let c = 0; c < width; c += 1) {
          const x = characters[c]!;
          for (let d = 0; d <= c; d += 1) {
            const y = characters[d]!;
            const cell = x > y ? x * (C + 1) + y : y * (C + 1) + x;
            hessian[cell]! += n * (square[c * width + d]! - mean[c]! * mean[d]!);
          }
          hessian[C * (C + 1) + characters[c]!]! += n * mean[c]! * right;
        }
        hessian[C * (C + 1) + C]! += n * right * (1 - right);
      }
      return loss;
    },
  };
}
