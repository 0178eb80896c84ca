import type { ClassCounts, QuizCounts } from '@hurrow/contract/learning';
import { concernedBy } from './concerned.ts';
import { lessonAt, lessonPair } from './lessonPair.ts';
import { practiceSlips, slipsOf, standings, timesSaid } from './standings.ts';
import { recordOf, standingSaid } from './studentRecord.ts';
import { chartRows, shareOfClass, trendLines } from './trendLines.ts';

const station = (id: string, truth: string, more: object = {}) =>
  ({ id, quizId: 'q', truth, voided: false, leftOut: false, ...more }) as never;
const answer = (studentId: string, stationId: string, named: string | null) =>
  ({ studentId, stationId, quizId: 'q', named }) as never;
const data = {
  stations: [
    station('1', 'fir'),
    station('2', 'spruce'),
    station('3', 'fir', { voided: true }),
    station('4', 'elm'),
  ],
  answers: [
    answer('s1', '1', 'spruce'),
    answer('s1', '2', 'fir'),
    answer('s1', '3', 'spruce'),
    answer('s2', '1', 'spruce'),
    answer('s2', '4', 'elm'),
    answer('s3', '4', null),
  ],
};
const students = [
  { id: 's3', name: 'Ada' },
  { id: 's2', name: 'Bo' },
  { id: 's1', name: 'Cy' },
];

test('a lesson concerns those who mixed the two up, in either direction and where it counts', () => {
  expect(concernedBy(data, students, 'fir', 'spruce')).toEqual([
    { id: 's1', name: 'Cy', times: 2 },
    { id: 's2', name: 'Bo', times: 1 },
    { id: 's3', name: 'Ada', times: 0 },
  ]);
});

test('each student in a line: what counts, and only what was taken twice', () => {
  const twice = { ...data, answers: [...data.answers, answer('s2', '1', 'spruce')] };
  const rows = standings(twice, students);
  expect(rows.map(({ name, asked, right }) => [name, asked, right])).toEqual([
    ['Ada', 1, 0],
    ['Bo', 3, 1],
    ['Cy', 2, 0],
  ]);
  expect(rows[1]!.again).toEqual([{ truth: 'fir', named: 'spruce', times: 2 }]);
  expect(rows[2]!.again).toEqual([]);
  expect(slipsOf(data)).toHaveLength(3);
  expect([1, 2, 3, 7].map(timesSaid)).toEqual(['once', 'twice', 'three times', '7 times']);
});

test('a finding is taught on the pair it names, else on the commonest mistake behind it', () => {
  const behind = ['1 s1', '2 s1', '1 s2', '4 s3'];
  expect(lessonPair({ truth: 'a', answer: 'b' }, behind, data)).toEqual({ truth: 'a', answer: 'b' });
  expect(lessonPair(undefined, behind, data)).toEqual({ truth: 'fir', answer: 'spruce' });
  expect(lessonPair(undefined, ['4 s3'], data)).toBeUndefined();
  const found = { kind: 'character', character: { characterId: 'leaf.teeth' } } as never;
  expect(lessonAt('/c', { truth: 'a', answer: 'b' }, found)).toBe('/c/a/b/lesson?first=leaf.teeth');
  expect(lessonAt('/c', { truth: 'a', answer: 'b' }, { kind: 'name' } as never)).toBe('/c/a/b/lesson');
});

test('slips of practice are a student’s own, the most often first', () => {
  const slip = (studentId: string, cardId: string, named: string) => ({ studentId, cardId, named });
  expect(
    practiceSlips(
      [
        slip('s1', 'fir leaf', 'elm'),
        slip('s1', 'fir bark', 'spruce'),
        slip('s1', 'fir leaf', 'spruce'),
        slip('s2', 'fir leaf', 'elm'),
      ],
      's1',
    ),
  ).toEqual([
    { truth: 'fir', named: 'spruce', times: 2 },
    { truth: 'fir', named: 'elm', times: 1 },
  ]);
});

test('a student’s answers are read with their days, and stand against the class in a sentence', () => {
  const record = recordOf({
    quizzes: [{ id: 'q', title: 'Quiz', heldOn: '2026-10-01' }],
    answers: [{ quizId: 'q', truth: 'fir', named: null }],
  } as never);
  expect(record.answers).toEqual([{ quizId: 'q', heldOn: '2026-10-01', truth: 'fir', named: null }]);
  expect(standingSaid('too few', 1)).toBe('1 answer: too few to hold against the class.');
  expect(standingSaid('below', 20)).toContain('fewer of them right than chance');
  expect(standingSaid('with', 0)).toBe('No answers yet.');
});

describe('lines over quizzes', () => {
  const quiz = (id: string, week: number, mixed: number, more: Partial<QuizCounts> = {}): QuizCounts => ({
    id,
    title: id,
    heldOn: `2026-09-0${week}`,
    week,
    asked: 40,
    right: 40 - mixed,
    taxa: { fir: { asked: 20, right: 20 - mixed }, spruce: { asked: 20, right: 20 } },
    pairs: mixed > 0 ? [{ a: 'fir', b: 'spruce', mixed, asked: 40 }] : [],
    characters: { bud: { offered: 10, told: mixed, asked: 0, right: 0 } },
    ...more,
  });
  const own: ClassCounts = {
    courseId: 'c',
    name: 'This year',
    startsOn: '2026-08-31',
    quizzes: [quiz('Q1', 1, 8), quiz('Q2', 3, 0)],
  };
  test('a pair that was asked and not mixed up is a point at nothing', () => {
    const [line] = trendLines(own, 'pairs');
    expect(line!.points.map(({ share, of }) => [share, of])).toEqual([
      [0.2, 40],
      [0, 40],
    ]);
    expect(line!.points[0]!.interval[0]).toBeLessThan(0.2);
    expect(chartRows([line!])).toEqual([
      { title: 'Q1', week: 1, 'fir spruce': 20 },
      { title: 'Q2', week: 3, 'fir spruce': 0 },
    ]);
  });
  test('species are followed by what is missed, characters by what is told', () => {
    expect(trendLines(own, 'species').map(({ key }) => key)).toEqual(['fir']);
    expect(trendLines(own, 'characters')[0]!.points.map(({ share }) => share)).toEqual([0.8, 0]);
  });
  test('a quiz that asked too little has no point, an earlier class no share', () => {
    const little = quiz('Q1', 1, 2, { taxa: { fir: { asked: 3, right: 1 } } });
    expect(trendLines({ ...own, quizzes: [little] }, 'species')).toEqual([]);
    expect(shareOfClass({ ...own, quizzes: [little] }, 'species', ['fir'])).toBeUndefined();
    expect(shareOfClass(own, 'pairs', ['fir', 'spruce'])).toEqual({ share: 0.1, of: 80 });
    expect(shareOfClass({ ...own, quizzes: [quiz('Q', 1, 0)] }, 'pairs', ['fir', 'spruce'])).toEqual({
      share: 0,
      of: 40,
    });
  });
});
