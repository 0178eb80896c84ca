import { randomFrom } from '../random/index.ts';
import { afterReteaching, sinceTaught, type StationCount } from './index.ts';

const at = (mixed: number, asked = 24, expected = 0.12): StationCount => ({ mixed, asked, expected });
/** A class in which most pairs are mixed up now and then. */
const peers = Array.from({ length: 12 }, (_, i) => [at(i % 4), at((i + 1) % 5)]);
const verdict = (before: StationCount[], after: StationCount[]) =>
  afterReteaching(before, after, peers).verdict;

test('resolved, improving, still mixed up, as before, too few', () => {
  const before = [at(12), at(11)];
  expect(verdict(before, [at(0), at(0)])).toBe('resolved');
  expect(verdict(before, [at(4), at(4)])).toBe('improving');
  expect(verdict(before, [at(8), at(7)])).toBe('still mixed up');
  expect(verdict(before, [at(14), at(14)])).toBe('as before');
  expect(verdict(before, [at(1, 3)])).toBe('too few to say');
  expect(verdict(before, [])).toBe('too few to say');
  expect(verdict([], before)).toBe('too few to say');
});

test('what the later specimens are easier by is no improvement', () => {
  const before = [at(12, 24, 0.3), at(12, 24, 0.3)];
  const easier = [at(5, 24, 0.08), at(5, 24, 0.08)];
  expect(afterReteaching(before, easier, peers)).toMatchObject({ specimens: 'easier' });
  expect(['improving', 'resolved']).not.toContain(verdict(before, easier));
  expect(verdict(before, [at(5, 24, 0.3), at(5, 24, 0.3)])).toBe('improving');
});

test('the worst of many pairs that did not change is seldom called better', () => {
  let better = 0;
  for (let seed = 0; seed < 60; seed += 1) {
    const random = randomFrom(seed);
    const draw = (share: number) => {
      let mixed = 0;
      for (let i = 0; i < 12; i += 1) if (random.uniform() < share) mixed += 1;
      return at(mixed, 12);
    };
    const before = Array.from({ length: 20 }, () => [draw(0.2), draw(0.2)]);
    const count = (stations: readonly StationCount[]) => stations.reduce((sum, { mixed }) => sum + mixed, 0);
    const [worst, ...others] = [...before].sort((x, y) => count(y) - count(x));
    const { verdict: said } = afterReteaching(worst!, [draw(0.2), draw(0.2)], others);
    if (said === 'improving' || said === 'resolved') better += 1;
  }
  expect(better).toBeLessThanOrEqual(4);
});

test('the interval lies about the difference, and narrows with answers', () => {
  const few = afterReteaching([at(6, 12)], [at(2, 12)], []);
  const many = afterReteaching([at(30, 60), at(30, 60)], [at(10, 60), at(10, 60)], []);
  for (const { before, after, difference } of [few, many]) {
    expect(difference[0]).toBeLessThan(before - after);
    expect(difference[1]).toBeGreaterThan(before - after);
  }
  expect(many.difference[1] - many.difference[0]).toBeLessThan(few.difference[1] - few.difference[0]);
});

describe('since a pair was taught again', () => {
  const station = (id: string, quizId: string, truth: string, organs = ['leaf']) => ({
    id,
    quizId,
    truth,
    organs,
    taken: [{ taxonId: truth === 'fir' ? 'spruce' : 'fir', share: 0.2 }],
  });
  const answers = (stationId: string, named: string, from: number, to: number) =>
    Array.from({ length: to - from }, (_, i) => ({ studentId: `s${from + i}`, stationId, named }));
  const held = {
    stations: [
      station('1', 'one', 'fir'),
      station('2', 'one', 'fir'),
      station('3', 'two', 'fir', ['bark']),
      station('4', 'two', 'elm'),
    ],
    answers: [
      ...answers('1', 'spruce', 0, 20),
      ...answers('2', 'spruce', 0, 20),
      ...answers('3', 'fir', 0, 20),
      ...answers('4', 'spruce', 0, 20),
    ],
    heldOn: new Map([
      ['one', '2026-09-10'],
      ['two', '2026-10-01'],
    ]),
  };
  test('answers of one student to one tree weigh less than as many students, the very day counts as since, other organs are told', () => {
    const found = sinceTaught(held, 'spruce', 'fir', '2026-10-01');
    expect(found.counted).toEqual({ before: { asked: 40, mixed: 40 }, after: { asked: 20, mixed: 0 } });
    const others = {
      ...held,
      answers: held.answers.map((each) => ({ ...each, studentId: `${each.studentId}${each.stationId}` })),
    };
    const wide = ([low, high]: [number, number]) => high - low;
    expect(wide(found.difference)).toBeGreaterThan(
      wide(sinceTaught(others, 'spruce', 'fir', '2026-10-01').difference),
    );
    expect(found.otherOrgans.sort()).toEqual(['bark', 'leaf']);
    expect(found.verdict).toBe('improving');
  });
  test('it is counted for those whom it was taught to', () => {
    expect(sinceTaught(held, 'fir', 'spruce', '2026-10-01', ['s1', 's2']).counted.before.asked).toBe(4);
    expect(sinceTaught(held, 'fir', 'spruce', '2026-12-01').verdict).toBe('too few to say');
  });
});
