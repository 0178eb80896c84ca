import { classWithUses } from '../testing/classes.ts';
import {
  classLoss,
  fitClass,
  fitStudent,
  Laplace,
  layoutOf,
  SCALES,
  studentLoss,
  type ChoiceData,
  type Convex,
  type Scales,
} from './index.ts';

const data = classWithUses([1.2, 0.2, 1, 0.8], 6, 2);
const layout = layoutOf(data.characters.length, data.taxa.length, data.students);
const somewhere = (size: number) =>
  Float64Array.from({ length: size }, (_, i) => 0.4 + 0.3 * Math.sin(3 * i));

/** Gradient and second derivatives of a function against central differences of its value and of its gradient. */
function againstDifferences(f: Convex, at: Float64Array) {
  const gradient = new Float64Array(f.size);
  const hessian = new Float64Array(f.size * f.size);
  f.evaluate(at, gradient, hessian);
  const step = 1e-5;
  const moved = (i: number, by: number) => at.map((x, j) => (i === j ? x + by : x));
  let [ofGradient, ofHessian] = [0, 0];
  for (let i = 0; i < f.size; i += 1) {
    const slope = (f.evaluate(moved(i, step)) - f.evaluate(moved(i, -step))) / (2 * step);
    ofGradient = Math.max(ofGradient, Math.abs(slope - gradient[i]!));
    const [up, down] = [new Float64Array(f.size), new Float64Array(f.size)];
    f.evaluate(moved(i, step), up, new Float64Array(f.size * f.size));
    f.evaluate(moved(i, -step), down, new Float64Array(f.size * f.size));
    // Of the second derivatives the lower triangle is given.
    for (let j = 0; j <= i; j += 1)
      ofHessian = Math.max(ofHessian, Math.abs((up[j]! - down[j]!) / (2 * step) - hessian[i * f.size + j]!));
  }
  return { ofGradient, ofHessian };
}

test('derivatives of the class agree with finite differences', () => {
  const { ofGradient, ofHessian } = againstDifferences(
    classLoss(data, layout, SCALES),
    somewhere(layout.size),
  );
  expect(ofGradient).toBeLessThan(1e-5);
  expect(ofHessian).toBeLessThan(1e-5);
});

test('derivatives of a student agree with finite differences', () => {
  const loss = studentLoss(fitClass(data), 2);
  const { ofGradient, ofHessian } = againstDifferences(loss, somewhere(loss.size));
  expect(ofGradient).toBeLessThan(1e-5);
  expect(ofHessian).toBeLessThan(1e-5);
});

/** The slow reference: one variable at a time by ternary search, until none moves. It knows values only. */
function byCoordinates(f: Convex, start: Float64Array): Float64Array {
  const at = Float64Array.from(start);
  for (let round = 0; round < 2000; round += 1) {
    let moved = 0;
    for (let i = 0; i < f.size; i += 1) {
      const before = at[i]!;
      let [low, high] = [i < f.bounded ? 0 : before - 2, before + 2];
      for (let halving = 0; halving < 40; halving += 1) {
        const [left, right] = [low + (high - low) / 3, high - (high - low) / 3];
        at[i] = left;
        const there = f.evaluate(at);
        at[i] = right;
        if (there < f.evaluate(at)) high = right;
        else low = left;
      }
      at[i] = (low + high) / 2;
      moved = Math.max(moved, Math.abs(at[i]! - before));
    }
    if (moved < 1e-6) break;
  }
  return at;
}

test('the optimum agrees with a slow reference, with a use at its bound', () => {
  // Three taxa of one genus; the second character goes against the grain, so that it is not used at all.
  const evidence = [
    [0, 0, 0.9, 0.2, 0.2, 0.9],
    [0.9, 0.2, 0, 0, 0.3, 0.7],
    [0.2, 0.9, 0.3, 0.7, 0, 0],
  ].map((row) => Float64Array.from(row));
  const answers = [0, 0, 2, 0, 2, 1, 1, 2, 1, 2, 2, 2, 0, 2, 1];
  const small: ChoiceData = {
    taxa: ['a', 'b', 'c'],
    characters: ['bud', 'bark'],
    students: 2,
    situations: evidence.map((row, truth) => ({
      truth,
      options: [0, 1, 2],
      unnamed: [],
      characters: [0, 1],
      evidence: row,
    })),
    choices: [...answers, ...answers, ...answers].map((answer, i) => ({
      student: i % 2,
      situation: Math.floor((i % 15) / 5),
      answer,
    })),
  };
  const scales = { ...SCALES, use: 3 };
  const fit = fitClass(small, { scales });
  const f = classLoss(small, fit.layout, scales);
  const reference = byCoordinates(f, new Float64Array(f.size).fill(0.3));
  expect(fit.value).toBeLessThanOrEqual(f.evaluate(reference) + 1e-6);
  expect(fit.theta[1]).toBe(0);
  expect(fit.gradient[1]).toBeGreaterThan(0);
  for (let i = 0; i < f.size; i += 1) expect(fit.theta[i]).toBeCloseTo(reference[i]!, 2);
});

test('one optimum, whatever the start', () => {
  const [a, b] = [fitClass(data), fitClass(data, { start: somewhere(layout.size).map((x) => 4 * x - 1) })];
  a.theta.forEach((x, i) => expect(b.theta[i]).toBeCloseTo(x, 3));
});

test('the uses that the answers were made with are found, and the neglected one stands apart', () => {
  const { theta } = fitClass(classWithUses([1.2, 0.1, 1, 0.8], 24, 12));
  [1.2, 0.1, 1, 0.8].forEach((use, c) => expect(Math.abs(theta[c]! - use)).toBeLessThan(0.2));
});

test('doubling all answers narrows the intervals by about √2, the prior flat and all uses inside', () => {
  // Names, species and abilities are held: their priors do not double with the data.
  const held: Scales = {
    ...SCALES,
    use: Infinity,
    meanUse: Infinity,
    ability: 1e-4,
    overGiven: 1e-4,
    missed: 1e-4,
    scattered: 1e-4,
  };
  const width = (of: ChoiceData) =>
    new Laplace(fitClass(of, { scales: held })).uses().map(({ interval: [low, high] }) => high - low);
  const once = classWithUses([1.2, 0.6, 1, 0.8], 20, 6);
  const twice = { ...once, choices: [...once.choices, ...once.choices] };
  const narrow = width(twice);
  width(once).forEach((wide, c) => expect(wide / narrow[c]!).toBeCloseTo(Math.SQRT2, 2));
});

test('relabelling taxa changes nothing', () => {
  const order = [4, 0, 8, 2, 6, 1, 7, 3, 5];
  const renamed: ChoiceData = {
    ...data,
    taxa: order.map((old) => data.taxa[old]!),
    situations: data.situations.map((situation) => ({
      ...situation,
      truth: order.indexOf(situation.truth),
      options: situation.options.map((k) => order.indexOf(k)),
    })),
  };
  const [a, b] = [fitClass(data), fitClass(renamed)];
  expect(b.value).toBeCloseTo(a.value, 4);
  for (let c = 0; c < layout.characters; c += 1) expect(b.theta[c]).toBeCloseTo(a.theta[c]!, 3);
  data.taxa.forEach((_, old) =>
    expect(b.theta[layout.overGiven + order.indexOf(old)]).toBeCloseTo(a.theta[layout.overGiven + old]!, 3),
  );
});

const most = (theta: Float64Array, from: number) => {
  const part = [...theta.slice(from, from + data.taxa.length)];
  return part.indexOf(Math.max(...part));
};

test('a name given where others are meant is over-given', () => {
  const calm = classWithUses([1.2, 0.8, 1, 0.8], 20, 2);
  const choices = calm.choices.map((choice, i) => (i % 6 === 0 ? { ...choice, answer: 4 } : choice));
  expect(most(fitClass({ ...calm, choices }).theta, layout.overGiven)).toBe(4);
});

test('a tree that is called anything is scattered', () => {
  const calm = classWithUses([1.2, 0.8, 1, 0.8], 20, 2);
  const choices = calm.choices.map((choice, i) =>
    choice.situation === 3 && i % 2 ? { ...choice, answer: 8 - (i % 9) } : choice,
  );
  expect(most(fitClass({ ...calm, choices }).theta, layout.scattered)).toBe(3);
});

test('a student is like the class but for what the own answers say', () => {
  const calm = classWithUses([1.2, 0.9, 1, 0.8], 12, 4);
  // Student 0 does not see the leaf: each tree with a twin that differs in it is called by the twin's name.
  const twin = [1, 0, 2, 4, 3, 5, 7, 6, 8];
  const choices = calm.choices.map((choice) =>
    choice.student === 0 ? { ...choice, answer: twin[choice.situation]! } : choice,
  );
  const fit = fitClass({ ...calm, choices });
  const [blind, other] = [fitStudent(fit, 0), fitStudent(fit, 1)];
  expect(blind.use[1]).toBeLessThan(other.use[1]! - 0.3);
  expect(blind.use[0]).toBeGreaterThan(blind.use[1]! + 0.3);
});
