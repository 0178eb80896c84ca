import { ofStudent, practiceGroups, type OwnRecord } from './index.ts';

const answer = (truth: string, named: string | null, quizId = 'q1') => ({
  quizId,
  heldOn: '2026-10-01',
  truth,
  named,
});
const record = (more: Partial<OwnRecord>): OwnRecord => ({
  answers: [],
  wentBy: [],
  seen: [],
  classTold: {},
  classRight: { q1: { asked: 100, right: 70 } },
  ...more,
});
const times = <T>(n: number, one: T): T[] => Array.from({ length: n }, () => one);

test('twice is a habit, once a slip; what was right each time is known', () => {
  const found = ofStudent(
    record({
      answers: [
        ...times(2, answer('fir', 'spruce')),
        answer('fir', 'fir'),
        answer('elm', 'oak'),
        ...times(2, answer('pine', 'pine')),
        answer('yew', 'yew'),
        answer('ash', 'elm'),
        answer('ash', null),
      ],
    }),
  );
  expect(found.takes).toEqual([{ truth: 'fir', named: 'spruce', times: 2, asked: 3 }]);
  expect(found.once.map(({ truth }) => truth)).toEqual(['elm', 'ash']);
  expect(found.knows).toEqual(['pine']);
  expect(found.notNamed).toEqual([{ taxonId: 'ash', asked: 2 }]);
  expect(found.standing).toBe('too few');
});

test('what is passed over is said only where a student like the class would have told it', () => {
  const classTold = { bud: { offered: 100, told: 60 }, hair: { offered: 100, told: 10 } };
  const offered = (n: number) => times(n, { offered: ['bud', 'hair'], told: [] as string[] });
  expect(ofStudent(record({ classTold, wentBy: offered(3) })).passesOver).toEqual([]);
  expect(ofStudent(record({ classTold, wentBy: offered(4) })).passesOver).toEqual([
    { characterId: 'bud', offered: 4, classShare: 0.6 },
  ]);
  const told = ofStudent(record({ classTold, wentBy: times(4, { offered: ['bud'], told: ['bud'] }) }));
  expect(told).toMatchObject({ passesOver: [], goesBy: [{ characterId: 'bud', told: 4, offered: 4 }] });
});

test('one wrong reading is no misreading; three of four are', () => {
  const seen = (wrong: number, asked: number) =>
    Array.from({ length: asked }, (_, i) => ({ characterId: 'scar', right: i >= wrong }));
  expect(ofStudent(record({ seen: seen(1, 2) })).misreads).toEqual([]);
  expect(ofStudent(record({ seen: seen(3, 4) })).misreads).toHaveLength(1);
});

test('a student stands above or below the class only where chance seldom does it', () => {
  const mixed = (right: number, wrong: number) => [
    ...times(right, answer('fir', 'fir')),
    ...times(wrong, answer('fir', 'spruce')),
  ];
  expect(ofStudent(record({ answers: mixed(13, 7) })).standing).toBe('with');
  expect(ofStudent(record({ answers: mixed(4, 16) })).standing).toBe('below');
  expect(ofStudent(record({ answers: mixed(20, 0) })).standing).toBe('above');
});

test('by chance alone one in twenty students stands out, no more', () => {
  let out = 0;
  for (let n = 0; n < 400; n += 1) {
    // A student of the class itself: 20 answers, of which as many are right as chance gives, by a low-discrepancy row.
    const right = times(20, 0).filter((_, i) => ((n * 20 + i) * 0.754877666 + n * 0.1234) % 1 < 0.7).length;
    const { standing } = ofStudent(
      record({ answers: [...times(right, answer('a', 'a')), ...times(20 - right, answer('a', 'b'))] }),
    );
    if (standing !== 'with') out += 1;
  }
  expect(out).toBeLessThanOrEqual(20);
});

test('groups share a pair, each student in one, the largest first', () => {
  const slip = (studentId: string, truth: string, named: string) => ({ studentId, truth, named });
  const groups = practiceGroups([
    slip('s1', 'fir', 'spruce'),
    slip('s2', 'spruce', 'fir'),
    slip('s3', 'fir', 'spruce'),
    slip('s3', 'elm', 'oak'),
    slip('s4', 'elm', 'oak'),
    slip('s5', 'elm', 'oak'),
    slip('s6', 'yew', 'fir'),
  ]);
  expect(groups).toEqual([
    { a: 'elm', b: 'oak', students: ['s3', 's4', 's5'] },
    { a: 'fir', b: 'spruce', students: ['s1', 's2'] },
  ]);
  expect(practiceGroups([])).toEqual([]);
});
