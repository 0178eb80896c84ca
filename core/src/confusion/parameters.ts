import { UNNAMED } from './choice.ts';

/**
 * Standard deviations of the normal priors. Those of a, β and f are on the scale of log odds: half a unit turns 80 % right into 71 or 87 %.
 * `Infinity` is a flat prior.
 */
export interface Scales {
  /** Of the use of one character around the mean use. */
  use: number;
  /** Of the mean use around 1: what a class does that uses evidence as it stands. */
  meanUse: number;
  ability: number;
  overGiven: number;
  missed: number;
  /** Of g, per nat of likeness. */
  scattered: number;
  /** Of the intercepts of blank and other unnamed answers, around −3: about one answer in twenty of the wrong ones. */
  unnamed: number;
}

/**
 * The scales by rule: differences between students, names and species are taken to be about half a unit of log odds, and a character
 * that is passed over to lie one to two deviations below the mean use of 1. They are the same for every class, so that classes can be compared.
 */
export const SCALES: Scales = {
  use: 0.7,
  meanUse: 1,
  ability: 0.5,
  overGiven: 0.5,
  missed: 0.5,
  scattered: 0.1,
  unnamed: 2,
};

/** Where each kind of parameter begins in the one vector that is fitted. */
export interface Layout {
  /** w: how much the class uses each character, ≥ 0. They come first. */
  characters: number;
  /** f₀: what naming the truth has beyond likeness. */
  base: number;
  /** Intercepts of `UNNAMED`. */
  unnamed: number;
  /** f: species missed more than expected. */
  missed: number;
  /** g: species whose errors scatter regardless of likeness. */
  scattered: number;
  /** β: names given too readily. */
  overGiven: number;
  /** a: abilities. */
  abilities: number;
  size: number;
}

export function layoutOf(characters: number, taxa: number, students: number): Layout {
  const base = characters;
  const unnamed = base + 1;
  const missed = unnamed + UNNAMED.length;
  const scattered = missed + taxa;
  const overGiven = scattered + taxa;
  const abilities = overGiven + taxa;
  return { characters, base, unnamed, missed, scattered, overGiven, abilities, size: abilities + students };
}

/** Centre of the prior of the intercepts of unnamed answers. */
const UNNAMED_AT = -3;

/** Adds the penalty of the priors to a gradient and the lower triangle of the second derivatives, where given; returns its value. */
export function penalty(
  theta: Float64Array,
  layout: Layout,
  scales: Scales,
  gradient?: Float64Array,
  hessian?: Float64Array,
): number {
  const { characters: C, size } = layout;
  let value = 0;
  const normal = (at: number, centre: number, scale: number) => {
    const precision = 1 / (scale * scale);
    const off = theta[at]! - centre;
    value += 0.5 * precision * off * off;
    if (gradient) gradient[at]! += precision * off;
    if (hessian) hessian[at * size + at]! += precision;
  };
  for (let i = layout.unnamed; i < layout.missed; i += 1) normal(i, UNNAMED_AT, scales.unnamed);
  for (let i = layout.missed; i < layout.scattered; i += 1) normal(i, 0, scales.missed);
  for (let i = layout.scattered; i < layout.overGiven; i += 1) normal(i, 0, scales.scattered);
  for (let i = layout.overGiven; i < layout.abilities; i += 1) normal(i, 0, scales.overGiven);
  for (let i = layout.abilities; i < size; i += 1) normal(i, 0, scales.ability);
  if (C === 0) return value;
  let mean = 0;
  for (let c = 0; c < C; c += 1) mean += theta[c]! / C;
  const around = 1 / (scales.use * scales.use);
  const ofMean = 1 / (scales.meanUse * scales.meanUse);
  value += 0.5 * ofMean * (mean - 1) ** 2;
  for (let c = 0; c < C; c += 1) {
    const off = theta[c]! - mean;
    value += 0.5 * around * off * off;
    if (gradient) gradient[c]! += around * off + (ofMean * (mean - 1)) / C;
    if (!hessian) continue;
    for (let d = 0; d <= c; d += 1)
      hessian[c * size + d]! += around * ((c === d ? 1 : 0) - 1 / C) + ofMean / (C * C);
  }
  return value;
}
