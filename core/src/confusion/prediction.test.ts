import { randomFrom } from '../random/index.ts';
import { classWithUses } from '../testing/classes.ts';
import {
  baseRateLoss,
  calibration,
  expectedShares,
  fitClass,
  leavingOut,
  logLoss,
  quizStatistics,
  shrunkShares,
  withoutEvidence,
  type ChoiceData,
  type ScoredAnswer,
} from './index.ts';
import { triedOf } from './predicted.ts';

test('the line through points on a line, and how sure it is', () => {
  const on = [0.2, 0.5, 0.7, 0.9].map((predicted) => ({ predicted, observed: 0.1 + 0.8 * predicted }));
  const line = calibration(on)!;
  expect(line.slope).toBeCloseTo(0.8);
  expect(line.intercept).toBeCloseTo(0.1);
  expect(line.interval[1] - line.interval[0]).toBeLessThan(1e-6);
});

test('of a class with very many answers fewer quizzes are predicted from the others', () => {
  expect([3000, 20_000, 40_000, 2_000_000].map(triedOf)).toEqual([12, 12, 6, 4]);
});

test('interval of a slope: a worked example', () => {
  // x 1..5, y 2 4 5 4 5: slope 0.6, standard error √(2.4/3/10) = 0.2828, t of 3 degrees at 95 % one-sided 2.353.
  const points = [2, 4, 5, 4, 5].map((observed, i) => ({ predicted: i + 1, observed }));
  const { slope, interval } = calibration(points)!;
  expect(slope).toBeCloseTo(0.6);
  expect(interval[1] - slope).toBeCloseTo(2.353 * 0.2828, 3);
  expect(calibration(points.slice(0, 2))).toBeUndefined();
  expect(calibration(points.map((p) => ({ ...p, predicted: 1 })))).toBeUndefined();
});

const data = classWithUses([1.2, 0.1, 1, 0.8], 16, 6);
const quizOf = (choice: number) => (choice % 3 === 0 ? 'second' : 'first');

test('predictions of answers not seen beat the base rate and the model without evidence', () => {
  const { fit, learned, held } = leavingOut(data, quizOf, 'second', {});
  expect(learned.choices.length + held.choices.length).toBe(data.choices.length);
  const loss = logLoss(fit, held);
  expect(loss).toBeLessThan(baseRateLoss(learned, held));
  const plain = withoutEvidence(learned);
  expect(loss).toBeLessThan(logLoss(fitClass(plain), withoutEvidence(held)));
});

test('in sample the expected share right is the observed one, over the whole class', () => {
  const expected = expectedShares(fitClass(data), data);
  const observed = data.choices.filter(({ situation, answer }) => situation === answer).length;
  // Every situation has as many answers; f₀ is free, so that the totals agree.
  const mean = expected.reduce((sum, share) => sum + share, 0) / expected.length;
  expect(mean).toBeCloseTo(observed / data.choices.length, 4);
});

test('base rate: right three times of four, wrong twice to one name', () => {
  const [situation] = data.situations;
  const of = (answers: number[]): ChoiceData => ({
    ...data,
    situations: [situation!],
    choices: answers.map((answer) => ({ student: 0, situation: 0, answer })),
  });
  const learned = of([0, 0, 0, 0, 0, 0, 1, 1]);
  // Right 6.5 of 9; of the wrong, name 1 has 2.5 of 2.5 + 7·½ (other names) + ½ (blank).
  expect(baseRateLoss(learned, of([0]))).toBeCloseTo(-Math.log(6.5 / 9), 6);
  expect(baseRateLoss(learned, of([1]))).toBeCloseTo(-Math.log((2.5 / 9) * (2.5 / 6.5)), 6);
});

/** Rows are students, columns stations; 1 is right. */
const scored = (rows: number[][]): ScoredAnswer[] =>
  rows.flatMap((row, s) =>
    row.map((right, i): ScoredAnswer => ({
      studentId: `s${s}`,
      stationId: String(i),
      right: right === 1,
      named: right === 1 ? 'truth' : 'other',
    })),
  );

test('KR-20: a worked example', () => {
  // Totals 3 2 1 0 1: variance 1.04; Σpq = 0.24 + 0.24 + 0.24; KR-20 = 3/2·(1 − 0.72/1.04).
  const { reliability, standardError } = quizStatistics(
    scored([
      [1, 1, 1],
      [1, 1, 0],
      [1, 0, 0],
      [0, 0, 0],
      [0, 0, 1],
    ]),
  );
  expect(reliability).toBeCloseTo(1.5 * (1 - 0.72 / 1.04), 6);
  expect(standardError).toBeCloseTo(Math.sqrt(1.04 * (1 - reliability!)), 6);
});

test('the station that the stronger half misses is named, and the wrong name that drew many', () => {
  const rows = Array.from({ length: 10 }, (_, s) => [
    s < 5 ? 1 : 0,
    s < 6 ? 1 : 0,
    s < 4 ? 1 : 0,
    s < 5 ? 0 : 1,
  ]);
  const { stations } = quizStatistics(scored(rows));
  expect(stations.map(({ upsideDown }) => upsideDown)).toEqual([false, false, false, true]);
  expect(stations[3]!.discrimination).toBeLessThan(0);
  expect(stations[0]!.discrimination).toBeGreaterThan(0.5);
  expect(stations[0]!.drew).toEqual([{ named: 'other', count: 5 }]);
});

test('where nobody differs nothing is said of reliability', () => {
  const { reliability, stations } = quizStatistics(
    scored([
      [1, 1],
      [1, 1],
    ]),
  );
  expect(reliability).toBeUndefined();
  expect(stations[0]!.discrimination).toBeUndefined();
});

test('expectations that proved too bold in the other quizzes are drawn in, so that what comes lies on them', () => {
  const random = randomFrom(8);
  const quiz = (quizId: string, stations: number) =>
    Array.from({ length: stations }, () => {
      const leftOut = 0.2 + 0.7 * random.uniform();
      return { quizId, leftOut, observed: 0.55 + 0.4 * (leftOut - 0.55) + 0.05 * random.normal() };
    });
  const slopeOf = (points: { leftOut?: number; observed: number }[]) =>
    calibration(points.map(({ leftOut, observed }) => ({ predicted: leftOut!, observed })))!.slope;
  const points = [...quiz('a', 20), ...quiz('b', 20), ...quiz('c', 20)];
  expect(slopeOf(points)).toBeLessThan(0.5);
  expect(slopeOf(shrunkShares(points))).toBeGreaterThan(0.85);
  expect(slopeOf(shrunkShares(points))).toBeLessThan(1.15);
  // One quiz has no others to learn from: half a slope is taken.
  expect(slopeOf(shrunkShares(quiz('a', 20)))).toBeGreaterThan(0.7);
  const without = [{ quizId: 'a', observed: 0.5 }];
  expect(shrunkShares(without)).toEqual(without);
});
