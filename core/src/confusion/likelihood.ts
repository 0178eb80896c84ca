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
 * The utilities of a situation (docs/method.md, The model): for a wrong name k of truth t `β_k − Σ_c w_c·e_c(t,k) + g_t·Σ_c e_c(t,k)`, for the truth
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
 * not, which of the others, where ability has no say; so all students share the shares. Adds to the gradient and to the lower
 * triangle of the matrix of second derivatives, where given; those by abilities are left as crossings.
 */
export function situationLoss(
  situation: Situation,
  tally: Tally,
  total: Float64Array,
  theta: Float64Array,
  layout: Layout,
  gradient?: Float64Array,
  hessian?: Float64Array,
  crossings?: Crossing[],
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

  const slopes = slopesOf(situation, total, shares, layout);
  const { at, mean, step } = slopes;
  for (let i = 0; i < at.length; i += 1) gradient[at[i]!]! += errors * mean[i]! - residual * step[i]!;
  subtractCounted(gradient, situation, total, counts, layout);
  if (!hessian) return loss;

  // Second derivatives: Σ(1−P)·Cov of the wrong alternatives' slopes + Σ P(1−P)·step·stepᵀ.
  const square = meanSquare(situation, total, shares, slopes);
  for (let i = 0; i < at.length; i += 1)
    for (let j = 0; j <= i; j += 1) {
      const value = wrong * (square[i * at.length + j]! - mean[i]! * mean[j]!) + spread * step[i]! * step[j]!;
      const [x, y] = [at[i]!, at[j]!];
      hessian[x > y ? x * size + y : y * size + x]! += value;
    }
  crossings?.push({ students, weights: P.map((p) => p * (1 - p)), at, value: step });
  return loss;
}

/** What a situation adds to the second derivatives by its students' abilities. */
export interface Crossing {
  students: Int32Array;
  /** P(1−P) of each. */
  weights: Float64Array;
  /** The derivative of `own − others`, sparse. */
  at: Int32Array;
  value: Float64Array;
}

/** Adds the crossings of all situations, student by student, so that the row of each is written in one go. */
export function addCrossings(hessian: Float64Array, layout: Layout, crossings: readonly Crossing[]): void {
  const byStudent: { crossing: Crossing; weight: number }[][] = Array.from(
    { length: layout.size - layout.abilities },
    () => [],
  );
  for (const crossing of crossings)
    crossing.students.forEach((student, i) =>
      byStudent[student]!.push({ crossing, weight: crossing.weights[i]! }),
    );
  byStudent.forEach((held, student) => {
    const a = layout.abilities + student;
    const row = a * layout.size;
    for (const { crossing, weight } of held) {
      const { at, value } = crossing;
      hessian[row + a]! += weight;
      for (let j = 0; j < at.length; j += 1) hessian[row + at[j]!]! += weight * value[j]!;
    }
  });
}

interface Slopes {
  /** Places of the parameters that have a say here: visible characters, g of the truth, every wrong alternative, then f₀, f and β of the truth. */
  at: Int32Array;
  /** Derivative of the wrong alternatives' utilities, their mean under the shares. */
  mean: Float64Array;
  /** Derivative of `own − others`. */
  step: Float64Array;
}

function slopesOf(
  { truth, options, unnamed, characters, evidence }: Situation,
  total: Float64Array,
  shares: Float64Array,
  layout: Layout,
): Slopes {
  const [K, width] = [options.length, characters.length];
  const size = width + 1 + (K - 1) + unnamed.length + 3;
  const [at, mean, step] = [new Int32Array(size), new Float64Array(size), new Float64Array(size)];
  for (let c = 0; c < width; c += 1) at[c] = characters[c]!;
  at[width] = layout.scattered + truth;
  let place = width + 1;
  for (let k = 0; k < shares.length; k += 1) {
    if (k < K && options[k] === truth) continue;
    const share = shares[k]!;
    at[place] = k < K ? layout.overGiven + options[k]! : layout.unnamed + unnamed[k - K]!;
    mean[place] = share;
    place += 1;
    if (k >= K) continue;
    for (let c = 0; c < width; c += 1) mean[c]! -= share * evidence[k * width + c]!;
    mean[width]! += share * total[k]!;
  }
  for (let i = 0; i < place; i += 1) step[i] = -mean[i]!;
  at.set([layout.base, layout.missed + truth, layout.overGiven + truth], place);
  step.set([1, -1, 1], place);
  return { at, mean, step };
}

/** Takes the slopes of the alternatives that were given from a gradient, each as often as it was given. */
function subtractCounted(
  gradient: Float64Array,
  { truth, options, unnamed, characters, evidence }: Situation,
  total: Float64Array,
  counts: Float64Array,
  layout: Layout,
): void {
  const [K, width] = [options.length, characters.length];
  for (let k = 0; k < counts.length; k += 1) {
    const count = counts[k]!;
    if (count === 0 || options[k] === truth) continue;
    if (k >= K) {
      gradient[layout.unnamed + unnamed[k - K]!]! -= count;
      continue;
    }
    for (let c = 0; c < width; c += 1) gradient[characters[c]!]! += count * evidence[k * width + c]!;
    gradient[layout.scattered + truth]! -= count * total[k]!;
    gradient[layout.overGiven + options[k]!]! -= count;
  }
}

/** Mean of slope·slopeᵀ over the wrong alternatives, the lower triangle in the order of the slopes. */
function meanSquare(
  { truth, options, characters, evidence }: Situation,
  total: Float64Array,
  shares: Float64Array,
  { at }: Slopes,
): Float64Array {
  const [K, width, size] = [options.length, characters.length, at.length];
  const square = new Float64Array(size * size);
  let place = width + 1;
  for (let k = 0; k < shares.length; k += 1) {
    if (k < K && options[k] === truth) continue;
    const share = shares[k]!;
    const row = place * size;
    square[row + place]! += share;
    place += 1;
    if (k >= K) continue;
    const from = k * width;
    for (let c = 0; c < width; c += 1) square[row + c]! -= share * evidence[from + c]!;
    square[row + width]! += share * total[k]!;
    for (let c = 0; c < width; c += 1) {
      const weight = share * evidence[from + c]!;
      if (weight === 0) continue;
      for (let d = 0; d <= c; d += 1) square[c * size + d]! += weight * evidence[from + d]!;
      square[width * size + c]! -= weight * total[k]!;
    }
    square[width * size + width]! += share * total[k]! * total[k]!;
  }
  return square;
}
