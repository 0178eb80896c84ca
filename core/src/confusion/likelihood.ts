import type { Situation, Tally } from './choice.ts';
import type { Layout } from './parameters.ts';

/** What a situation is under given parameters, all abilities aside. */
export interface Outlook {
  /** Utility of the truth: β + f₀ − f. */
  own: number;
  /** ln Σ exp(utility) over everything but the truth. */
  others: number;
  /** Shares of the alternatives among the wrong answers, options then unnamed; 0 for the truth. Sums to 1. */
  shares: Float64Array;
}

/** Total evidence between the truth and each option of a situation, nats. */
export function totalEvidence({ options, characters, evidence }: Situation): Float64Array {
  const width = characters.length;
  return Float64Array.from(options, (_, k) => {
    let sum = 0;
    for (let c = 0; c < width; c += 1) sum += evidence[k * width + c]!;
    return sum;
  });
}

/**
 * The utilities of a situation (3-computation 3.7): for a wrong name k of truth t `β_k − Σ_c w_c·e_c(t,k) + g_t·Σ_c e_c(t,k)`, for the truth
 * `β_t + f₀ − f_t`, for an unnamed answer its intercept. R. D. Luce 1959, Individual Choice Behavior; R. M. Nosofsky 1986, JEP: General 115: 39–57.
 */
export function outlookOf(
  situation: Situation,
  total: Float64Array,
  theta: Float64Array,
  layout: Layout,
): Outlook {
  const { truth, options, unnamed, characters, evidence } = situation;
  const [K, width] = [options.length, characters.length];
  const shares = new Float64Array(K + unnamed.length);
  const scatter = theta[layout.scattered + truth]!;
  let [own, most] = [0, -Infinity];
  for (let k = 0; k < K; k += 1) {
    const named = options[k]!;
    let utility = theta[layout.overGiven + named]!;
    if (named === truth) {
      own = utility + theta[layout.base]! - theta[layout.missed + truth]!;
      shares[k] = -Infinity;
      continue;
    }
    for (let c = 0; c < width; c += 1) utility -= theta[characters[c]!]! * evidence[k * width + c]!;
    utility += scatter * total[k]!;
    shares[k] = utility;
    if (utility > most) most = utility;
  }
  unnamed.forEach((which, i) => {
    const utility = theta[layout.unnamed + which]!;
    shares[K + i] = utility;
    if (utility > most) most = utility;
  });
  let sum = 0;
  for (let k = 0; k < shares.length; k += 1) {
    shares[k] = Math.exp(shares[k]! - most);
    sum += shares[k]!;
  }
  for (let k = 0; k < shares.length; k += 1) shares[k]! /= sum;
  return { own, others: most + Math.log(sum), shares };
}

export const logistic = (x: number): number =>
  x >= 0 ? 1 / (1 + Math.exp(-x)) : Math.exp(x) / (1 + Math.exp(x));

/** ln(1 + e^x), without overflow. */
const softplus = (x: number): number => (x > 0 ? x + Math.log1p(Math.exp(-x)) : Math.log1p(Math.exp(x)));

/**
 * Negative log-likelihood of the answers at one situation. An answer falls into two: right or not, `logit P = own + a_s − others`, and if
 * not, which of the others, where ability has no say; so all students share the shares. Adds to gradient and matrix of second
 * derivatives where given.
 */
export function situationLoss(
  situation: Situation,
  tally: Tally,
  total: Float64Array,
  theta: Float64Array,
  layout: Layout,
  gradient?: Float64Array,
  hessian?: Float64Array,
): number {
  const { own, others, shares } = outlookOf(situation, total, theta, layout);
  const { students, right, counts } = tally;
  let loss = 0;
  /** Σ (right − P) and Σ P(1−P) over the answers; Σ (1−P) weighs the spread of the wrong alternatives. */
  let [residual, spread, wrong, errors] = [0, 0, 0, 0];
  const [P, size] = [new Float64Array(students.length), layout.size];
  for (let i = 0; i < students.length; i += 1) {
    const eta = own + theta[layout.abilities + students[i]!]! - others;
    const p = logistic(eta);
    P[i] = p;
    loss += right[i] ? softplus(-eta) : softplus(eta);
    residual += right[i]! - p;
    spread += p * (1 - p);
    wrong += 1 - p;
    if (!right[i]) errors += 1;
    if (gradient) gradient[layout.abilities + students[i]!]! -= right[i]! - p;
  }
  const truthAt = situation.options.indexOf(situation.truth);
  for (let k = 0; k < shares.length; k += 1)
    if (k !== truthAt && counts[k]! > 0) loss -= counts[k]! * Math.log(Math.max(shares[k]!, 1e-300));
  if (!gradient) return loss;

  const { rows, mean } = features(situation, total, shares, layout);
  // d ln P(right) has x_t − mean; d ln P(k | wrong) has x_k − mean.
  const step = new Map(mean);
  for (const [at, value] of step) step.set(at, -value);
  const add = (at: number, value: number) => step.set(at, (step.get(at) ?? 0) + value);
  add(layout.base, 1);
  add(layout.missed + situation.truth, -1);
  add(layout.overGiven + situation.truth, 1);
  for (const [at, value] of step) gradient[at]! -= residual * value;
  rows.forEach((row, k) => {
    if (!row || counts[k] === 0) return;
    for (let i = 0; i < row.at.length; i += 1) gradient[row.at[i]!]! -= counts[k]! * row.value[i]!;
  });
  for (const [at, value] of mean) gradient[at]! += errors * value;
  if (!hessian) return loss;

  // Second derivatives: Σ(1−P)·Cov of the wrong rows + Σ P(1−P)·(x_t − mean + a_s)(…)ᵀ.
  rows.forEach((row, k) => {
    if (row) outer(hessian, size, row.at, row.value, wrong * shares[k]!);
  });
  const meanAt = Int32Array.from(mean.keys());
  outer(hessian, size, meanAt, Float64Array.from(mean.values()), -wrong);
  const stepAt = Int32Array.from(step.keys());
  const stepValue = Float64Array.from(step.values());
  outer(hessian, size, stepAt, stepValue, spread);
  for (let i = 0; i < students.length; i += 1) {
    const a = layout.abilities + students[i]!;
    const weight = P[i]! * (1 - P[i]!);
    hessian[a * size + a]! += weight;
    for (let j = 0; j < stepAt.length; j += 1) {
      const value = weight * stepValue[j]!;
      hessian[a * size + stepAt[j]!]! += value;
      hessian[stepAt[j]! * size + a]! += value;
    }
  }
  return loss;
}

interface Row {
  at: Int32Array;
  value: Float64Array;
}

/** Derivative of each wrong alternative's utility by the parameters, sparse, and their mean under the shares. */
function features(
  { truth, options, unnamed, characters, evidence }: Situation,
  total: Float64Array,
  shares: Float64Array,
  layout: Layout,
) {
  const width = characters.length;
  const mean = new Map<number, number>();
  const rows = Array.from({ length: shares.length }, (_, k): Row | undefined => {
    if (k >= options.length)
      return { at: Int32Array.of(layout.unnamed + unnamed[k - options.length]!), value: Float64Array.of(1) };
    if (options[k] === truth) return undefined;
    const at = new Int32Array(width + 2);
    const value = new Float64Array(width + 2);
    for (let c = 0; c < width; c += 1) {
      at[c] = characters[c]!;
      value[c] = -evidence[k * width + c]!;
    }
    at[width] = layout.scattered + truth;
    value[width] = total[k]!;
    at[width + 1] = layout.overGiven + options[k]!;
    value[width + 1] = 1;
    return { at, value };
  });
  rows.forEach((row, k) => {
    if (!row) return;
    for (let i = 0; i < row.at.length; i += 1)
      mean.set(row.at[i]!, (mean.get(row.at[i]!) ?? 0) + shares[k]! * row.value[i]!);
  });
  return { rows, mean };
}

/** Adds weight·v·vᵀ at the places given. */
function outer(
  matrix: Float64Array,
  size: number,
  at: Int32Array,
  value: Float64Array,
  weight: number,
): void {
  for (let i = 0; i < at.length; i += 1) {
    const scaled = weight * value[i]!;
    if (scaled === 0) continue;
    const row = at[i]! * size;
    for (let j = 0; j < at.length; j += 1) matrix[row + at[j]!]! += scaled * value[j]!;
  }
}
