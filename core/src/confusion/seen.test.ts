import { randomFrom } from '../random/index.ts';
import { betaInterval, misreadOrOverlooked, readingFindings, type Seen } from './index.ts';

const NOVICE = () => 0.1;
/** So many readings of a character, so many of them wrong. */
const seen = (characterId: string, readings: number, wrong: number): Seen[] =>
  Array.from({ length: readings }, (_, i) => ({
    characterId,
    stationId: `station ${i % 4}`,
    studentId: `s${i % 10}`,
    right: ['lower'],
    said: i < wrong ? (i % 3 ? 'upper' : 'both') : 'lower',
  }));
const verdict = (readings: number, wrong: number) =>
  misreadOrOverlooked(readingFindings(seen('needle.bands', readings, wrong), NOVICE)[0]!);

test('intervals of Beta distributions: known values', () => {
  const near = ([low, high]: [number, number], [a, b]: [number, number]) => {
    expect(low).toBeCloseTo(a, 2);
    expect(high).toBeCloseTo(b, 2);
  };
  near(betaInterval(1, 1, 0.9), [0.05, 0.95]);
  // The distribution function of Beta(2, 1) is p², that of Beta(1, 3) is 1 − (1 − p)³.
  near(betaInterval(2, 1, 0.9), [Math.sqrt(0.05), Math.sqrt(0.95)]);
  near(betaInterval(1, 3, 0.9), [1 - Math.cbrt(0.95), 1 - Math.cbrt(0.05)]);
  // Of Beta(1/5, 1) it is the fifth root, steep at 0.
  near(betaInterval(0.2, 1, 0.9), [0.05 ** 5, 0.95 ** 5]);
});

test('the interval holds the true share about nine times in ten', () => {
  const random = randomFrom(11);
  let held = 0;
  for (let turn = 0; turn < 400; turn += 1) {
    const share = random.between(0.05, 0.6);
    const wrong = Array.from({ length: 40 }, () => random.uniform() < share).filter(Boolean).length;
    const [finding] = readingFindings(seen('c', 40, wrong), () => 0.3);
    if (finding!.interval[0] <= share && share <= finding!.interval[1]) held += 1;
  }
  expect(held / 400).toBeGreaterThan(0.85);
  expect(held / 400).toBeLessThan(0.96);
});

test('read well: overlooked; read badly: misread; in between, or of few readings, nothing is said', () => {
  expect(verdict(60, 4)).toBe('overlooked');
  expect(verdict(60, 28)).toBe('misread');
  expect(verdict(60, 13)).toBeUndefined();
  expect(verdict(4, 0)).toBeUndefined();
  expect(verdict(3, 3)).toBeUndefined();
});

test('wrong readings are counted by what was there and what was said, the most frequent first', () => {
  const [first, second] = readingFindings(
    [...seen('needle.bands', 20, 6), ...seen('leaf.shape', 5, 0)],
    NOVICE,
  );
  expect(first).toMatchObject({ characterId: 'needle.bands', readings: 20, wrong: 6 });
  expect(first!.mistaken).toEqual([
    { right: ['lower'], said: 'upper', count: 4, students: ['s1', 's2', 's4', 's5'] },
    { right: ['lower'], said: 'both', count: 2, students: ['s0', 's3'] },
  ]);
  expect(second).toMatchObject({ wrong: 0, mistaken: [] });
  expect(readingFindings([], NOVICE)).toEqual([]);
});
