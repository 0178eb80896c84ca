import type { ConfusionData } from '@hurrow/contract/confusions';
import { countedOf } from './counting.ts';
import { reteachingOf } from './reteaching.ts';

const station = (id: string, quizId: string, truth: string, more: object = {}) =>
  ({
    id,
    quizId,
    truth,
    view: { organs: ['leaf'] },
    voided: false,
    leftOut: false,
    ...more,
  }) as ConfusionData['stations'][number];
let n = 0;
const answers = (stationId: string, quizId: string, named: string | null, times: number) =>
  Array.from({ length: times }, () => ({
    studentId: `s${(n += 1)}`,
    student: 'Ada',
    stationId,
    quizId,
    written: '',
    how: 'exact',
    named,
    sure: null,
  }));

test('both directions of a pair stand under one head, the most frequent pair first', () => {
  const data = {
    stations: [station('1', 'q', 'fir'), station('2', 'q', 'spruce'), station('3', 'q', 'elm')],
    answers: [
      ...answers('1', 'q', 'spruce', 4),
      ...answers('1', 'q', 'fir', 6),
      ...answers('2', 'q', 'fir', 1),
      ...answers('3', 'q', 'oak', 3),
      ...answers('3', 'q', null, 2),
    ],
  };
  const { pairs, directed, answers: counted } = countedOf(data);
  expect(counted).toHaveLength(16);
  expect(directed.map(({ truth, answer, count }) => [truth, answer, count])).toEqual([
    ['fir', 'spruce', 4],
    ['elm', 'oak', 3],
    ['spruce', 'fir', 1],
  ]);
  expect(pairs.map(({ a, b, count }) => [a, b, count])).toEqual([
    ['fir', 'spruce', 5],
    ['elm', 'oak', 3],
  ]);
  expect(pairs[0]!.ba).toMatchObject({ truth: 'spruce', count: 1 });
  expect(pairs[1]!.ba).toBeUndefined();
});
test('stations that are voided or left out count nowhere', () => {
  const data = {
    stations: [station('1', 'q', 'fir', { voided: true }), station('2', 'q', 'fir', { leftOut: true })],
    answers: [...answers('1', 'q', 'spruce', 4), ...answers('2', 'q', 'spruce', 4)],
  };
  expect(countedOf(data)).toEqual({ answers: [], directed: [], pairs: [] });
});

describe('a pair that was taught again', () => {
  const quiz = (id: string, heldOn: string) => ({ id, title: id, heldOn, state: 'closed' as const });
  const data = (after: number): ConfusionData => ({
    quizzes: [quiz('before', '2026-09-10'), quiz('after', '2026-10-01')],
    stations: [station('1', 'before', 'fir'), station('2', 'after', 'spruce'), station('3', 'after', 'elm')],
    answers: [
      ...answers('1', 'before', 'spruce', 20),
      ...answers('1', 'before', 'fir', 20),
      ...answers('2', 'after', 'fir', after),
      ...answers('2', 'after', 'spruce', 40 - after),
      ...answers('3', 'after', 'fir', 9),
    ],
    reteachings: [{ a: 'fir', b: 'spruce', taughtOn: '2026-10-01', students: null }],
  });
  test('is counted before and since, in both directions, and the very day counts as since', () => {
    expect(reteachingOf(data(0), undefined, 'spruce', 'fir')).toMatchObject({
      counted: { before: { mixed: 20, asked: 40 }, after: { mixed: 0, asked: 40 } },
      verdict: 'resolved',
    });
    expect(reteachingOf(data(20), undefined, 'fir', 'spruce')!.verdict).not.toBe('resolved');
  });
  test('another pair was not taught again', () => {
    expect(reteachingOf(data(0), undefined, 'fir', 'elm')).toBeUndefined();
  });
});
