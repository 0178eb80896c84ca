import { linearRegression } from 'simple-statistics';
import { tallies, type ChoiceData } from './choice.ts';
import { fitClass, type ClassFit, type FitOptions } from './fit.ts';
import { logistic, outlookOf, totalEvidence } from './likelihood.ts';

/** Share of right answers that a fit expects of those who answered at each situation; NaN where nobody did. */
export function expectedShares({ theta, layout }: ClassFit, data: ChoiceData): number[] {
  return tallies(data).map(({ students }, s) => {
    const situation = data.situations[s]!;
    const { own, others } = outlookOf(situation, totalEvidence(situation), theta, layout);
    let sum = 0;
    for (const student of students) sum += logistic(own + theta[layout.abilities + student]! - others);
    return sum / students.length;
  });
}

/** Mean of −ln P(answer) over the choices, nats. Lower is better. */
export function logLoss({ theta, layout }: ClassFit, data: ChoiceData): number {
  const counted = tallies(data);
  let loss = 0;
  data.situations.forEach((situation, s) => {
    const { own, others, shares } = outlookOf(situation, totalEvidence(situation), theta, layout);
    const { students, right, counts } = counted[s]!;
    students.forEach((student, i) => {
      const p = logistic(own + theta[layout.abilities + student]! - others);
      loss -= Math.log(Math.max(1e-300, right[i] ? p : 1 - p));
    });
    const truthAt = situation.options.indexOf(situation.truth);
    counts.forEach((count, k) => {
      if (k !== truthAt && count > 0) loss -= count * Math.log(Math.max(1e-300, shares[k]!));
    });
  });
  return loss / data.choices.length;
}

/**
 * Mean of −ln P(answer) for one who knows only how often the class was right and how often each wrong name was given, from `learned`: the
 * base rate that the model has to beat. Names never given count half an answer.
 */
export function baseRateLoss(learned: ChoiceData, data: ChoiceData): number {
  const name = ({ situation, answer }: ChoiceData['choices'][number], of: ChoiceData) => {
    const { options, unnamed } = of.situations[situation]!;
    return answer < options.length
      ? options[answer]!
      : learned.taxa.length + unnamed[answer - options.length]!;
  };
  const given = new Float64Array(learned.taxa.length + 4).fill(0.5);
  let right = 0;
  for (const choice of learned.choices)
    if (name(choice, learned) === learned.situations[choice.situation]!.truth) right += 1;
    else given[name(choice, learned)]! += 1;
  const chance = (right + 0.5) / (learned.choices.length + 1);
  let loss = 0;
  for (const choice of data.choices) {
    const { truth, options, unnamed } = data.situations[choice.situation]!;
    const named = name(choice, data);
    if (named === truth) {
      loss -= Math.log(chance);
      continue;
    }
    let all = 0;
    for (const k of options) if (k !== truth) all += given[k]!;
    for (const u of unnamed) all += given[learned.taxa.length + u]!;
    loss -= Math.log(((1 - chance) * given[named]!) / all);
  }
  return loss / data.choices.length;
}

/** The same data with no evidence in it: a model of names and abilities alone. */
export const withoutEvidence = (data: ChoiceData): ChoiceData => ({
  ...data,
  situations: data.situations.map((situation) => ({
    ...situation,
    characters: [],
    evidence: new Float64Array(0),
  })),
});

/** A fit of the class without one quiz, and the choices of that quiz to try it on. */
export function leavingOut(
  data: ChoiceData,
  quizOf: (choice: number) => string,
  quizId: string,
  options: FitOptions,
): { fit: ClassFit; learned: ChoiceData; held: ChoiceData } {
  const part = (there: boolean): ChoiceData => ({
    ...data,
    choices: data.choices.filter((_, i) => (quizOf(i) === quizId) === there),
  });
  const [learned, held] = [part(false), part(true)];
  return { fit: fitClass(learned, options), learned, held };
}

export interface Calibration {
  /** Of observed on predicted shares; 1 where predictions are neither too bold nor too timid. */
  slope: number;
  /** 90 % interval of the slope. */
  interval: [number, number];
  intercept: number;
}

/** Student's t, upper 5 %: by degrees of freedom, exact at those given (Fisher & Yates 1963), between them linear in 1/df. */
const T95: [number, number][] = [
  [1, 6.314],
  [2, 2.92],
  [3, 2.353],
  [5, 2.015],
  [10, 1.812],
  [20, 1.725],
  [60, 1.671],
  [Infinity, 1.645],
];

function upperT(freedom: number): number {
  const above = T95.findIndex(([df]) => df >= freedom);
  if (above === 0) return T95[0]![1];
  const [[low, tLow], [high, tHigh]] = [T95[above - 1]!, T95[above]!];
  const share = (1 / low - 1 / freedom) / (1 / low - 1 / high);
  return tLow + share * (tHigh - tLow);
}

/** Least-squares line of observed on predicted shares; undefined for fewer than three points, or points that do not differ. */
export function calibration(
  points: readonly { predicted: number; observed: number }[],
): Calibration | undefined {
  const n = points.length;
  const mean = points.reduce((sum, { predicted }) => sum + predicted, 0) / n;
  const spread = points.reduce((sum, { predicted }) => sum + (predicted - mean) ** 2, 0);
  if (n < 3 || spread < 1e-9) return undefined;
  const { m: slope, b: intercept } = linearRegression(points.map((p) => [p.predicted, p.observed]));
  const rest = points.reduce((sum, p) => sum + (p.observed - intercept - slope * p.predicted) ** 2, 0);
  const half = upperT(n - 2) * Math.sqrt(rest / (n - 2) / spread);
  return { slope, intercept, interval: [slope - half, slope + half] };
}

/** How bold expectations are taken to be before any quiz has shown it: slope of what comes on what is expected, and its deviation. */
const BOLD = { slope: 0.5, sd: 0.2 };
/** Fewer stations than this are no measure of boldness. */
const FEWEST = 6;

/**
 * Expectations drawn towards their mean. A station has a difficulty of its own that no evidence tells, so that expectations from the other quizzes are
 * too bold; by how much, the quizzes other than the station's own say, with half a slope of what is expected as the prior.
 *
 * @param points with what was expected from the other quizzes, where there are some
 * @returns the same with `leftOut` drawn towards the mean of its quiz's expectations
 * @example
 * shrunkShares([{ quizId: 'a', leftOut: 0.9, observed: 0.7 }, { quizId: 'a', leftOut: 0.3, observed: 0.6 }])[0]!.leftOut; // 0.75
 */
export function shrunkShares<P extends { quizId: string; leftOut?: number; observed: number }>(
  points: readonly P[],
): P[] {
  const expected = (of: readonly P[]) =>
    of.flatMap(({ leftOut: predicted, observed }) =>
      predicted === undefined ? [] : [{ predicted, observed }],
    );
  return points.map((point) => {
    if (point.leftOut === undefined) return point;
    const own = expected(points.filter(({ quizId }) => quizId === point.quizId));
    const factor = slopeFrom(expected(points.filter(({ quizId }) => quizId !== point.quizId)));
    const middle = own.reduce((sum, { predicted }) => sum + predicted, 0) / own.length;
    return { ...point, leftOut: middle + factor * (point.leftOut - middle) };
  });
}

/** The slope by which expectations are multiplied, 0–1: that of some stations and the prior, each by its precision. */
function slopeFrom(points: readonly { predicted: number; observed: number }[]): number {
  const line = points.length >= FEWEST ? calibration(points) : undefined;
  if (!line) return BOLD.slope;
  const sd = (line.interval[1] - line.interval[0]) / (2 * upperT(points.length - 2));
  const [own, prior] = [1 / Math.max(1e-6, sd ** 2), 1 / BOLD.sd ** 2];
  return Math.min(1, Math.max(0, (own * line.slope + prior * BOLD.slope) / (own + prior)));
}
