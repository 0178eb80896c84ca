import { classWithUses } from '../testing/classes.ts';
import { consequences, cutNormalInterval, fitClass, Laplace } from './index.ts';

test('far above the bound the interval is the familiar one', () => {
  const [low, high] = cutNormalInterval(5, 0.5);
  expect(low).toBeCloseTo(5 - 1.645 * 0.5, 3);
  expect(high).toBeCloseTo(5 + 1.645 * 0.5, 3);
});

test('at and below the bound the interval begins at 0 and holds nine tenths of what is left', () => {
  // Half-normal: P(|Z| ≤ 1.645) = 0.9.
  expect(cutNormalInterval(0, 1)).toEqual([0, expect.closeTo(1.645, 3)]);
  // A mean of −1: P(0 < X < x) over P(X > 0), Φ(−1) = 0.15866, so Φ(x + 1) = 1 − 0.1·0.15866.
  expect(cutNormalInterval(-1, 1)[1]).toBeCloseTo(2.1472 - 1, 2);
  // Φ(−4) = 3.167e−5; a tenth of it lies beyond 4.51.
  expect(cutNormalInterval(-4, 1)[1]).toBeCloseTo(0.51, 1);
  // The two ways of computing it meet.
  expect(cutNormalInterval(-3.001, 1)[1]).toBeCloseTo(cutNormalInterval(-2.999, 1)[1], 2);
});

const data = classWithUses([1.2, 0, 1, 0.8], 20, 4);
const fit = fitClass(data);

test('draws keep the bound, and agree with the intervals inside it', () => {
  const laplace = new Laplace(fit);
  const draws = laplace.draws(2000, 7);
  laplace.uses().forEach(({ interval: [low, high] }, c) => {
    const values = draws.map((theta) => theta[c]!);
    expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
    const inside = values.filter((w) => w >= low && w <= high).length / values.length;
    expect(Math.abs(inside - 0.9)).toBeLessThan(0.04);
  });
  const ability = draws.map((theta) => theta[fit.layout.abilities]!);
  const mean = ability.reduce((sum, a) => sum + a, 0) / ability.length;
  expect(mean).toBeCloseTo(fit.theta[fit.layout.abilities]!, 1);
});

test('a draw with one use raised to the typical one is what a consequence counts', () => {
  const theta = fit.theta;
  const { characters } = consequences(data, fit.layout, [theta], [true, true, true, true]);
  const typical = [...theta.slice(0, 4)].filter((_, c) => c !== 1).sort((x, y) => x - y)[1]!;
  const errors = (use: number) =>
    data.choices.reduce((sum, { student, situation }) => {
      const { truth, evidence } = data.situations[situation]!;
      const utility = (k: number) => {
        let u = theta[fit.layout.overGiven + k]!;
        for (let c = 0; c < 4; c += 1) {
          const e = evidence[k * 4 + c]!;
          u += e * (theta[fit.layout.scattered + truth]! - (c === 1 ? use : theta[c]!));
        }
        if (k !== truth) return u;
        return (
          u +
          theta[fit.layout.base]! -
          theta[fit.layout.missed + truth]! +
          theta[fit.layout.abilities + student]!
        );
      };
      const all =
        data.taxa.reduce((total, _, k) => total + Math.exp(utility(k)), 0) +
        Math.exp(theta[fit.layout.unnamed]!);
      return sum + 1 - Math.exp(utility(truth)) / all;
    }, 0);
  expect(characters[1]!.prevented).toBeCloseTo(errors(theta[1]!) - errors(typical), 6);
  expect(characters[1]!.prevented).toBeGreaterThan(0);
});

test('what the data do not speak about gets no figure', () => {
  const { characters } = consequences(data, fit.layout, [fit.theta], [true, false, true, true]);
  expect(characters[1]).toBeUndefined();
});
