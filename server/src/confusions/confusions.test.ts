import { randomUUID } from 'node:crypto';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';
import { courseOf } from '../courses/course.ts';
import { classSoFar } from '../quizzes/classSoFar.ts';
import type { ClassReport } from '@hurrow/contract/confusions';

let hurrow: TestHurrow;
let owner: Caller;
let planted: Awaited<ReturnType<typeof plantCourse>>;
let stations: { id: string; position: number; leftOut?: boolean }[];

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  planted = await plantCourse(owner);
  await owner.post(`/api/quizzes/${planted.quizId}/open`);
  const rowan = hurrow.caller();
  await rowan.post('/api/session/student', { courseCode: planted.code, personalCode: 'ROWAN1' });
  const { open } = (await rowan.get<{ open: { stations: typeof stations }[] }>('/api/sit')).body;
  stations = open[0]!.stations;
  await rowan.post('/api/sit/responses', {
    responses: stations.map(({ id }, i) => ({
      id: randomUUID(),
      stationId: id,
      answer: { genus: 'Acer', epithet: 'saccharum' },
      device: 'phone-1',
      sequence: i + 1,
      writtenAt: '2026-09-10T17:00:00Z',
    })),
  });
});
afterAll(() => hurrow.close());

const path = () => `/api/courses/${planted.courseId}/confusions`;
const ask = async (scores = 'now') =>
  (await owner.get<{ key: string; report?: ClassReport }>(`${path()}/report?scores=${scores}`)).body;

/** Asks until the report is there. */
async function reportOf(scores = 'now') {
  for (;;) {
    const { key, report } = await ask(scores);
    if (report) return { key, report };
    const under = async () =>
      (await owner.get<{ computing: object | null }>(`${path()}/report/${key}`)).body.computing;
    while (await under()) await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

test('a report is computed once, kept, and there at once when it is asked for again', async () => {
  const first = await reportOf();
  expect(first.report).toMatchObject({ state: 'too few', students: 1, answers: 2, errors: 1 });
  expect(first.report.fairness).toHaveLength(2);
  expect(first.report.pairs).toMatchObject([{ truth: planted.red.id, answer: planted.sugar.id }]);
  expect(await ask()).toEqual(first);
});

test('how fair a station is, is worked out once and taken from there for another report', async () => {
  await reportOf();
  const [{ n }] = (await hurrow.db.query<{ n: number }>('select count(*)::int as n from worked_out')) as [
    { n: number },
  ];
  expect(n).toBe(2);
  await hurrow.db.query(`update worked_out set value = jsonb_set(value, '{right}', '0.125')`);
  await hurrow.db.query('delete from confusion_report');
  const { report } = await reportOf();
  expect(report.fairness.map(({ right }) => right)).toEqual([0.125, 0.125]);
  await hurrow.db.script('delete from worked_out; delete from confusion_report');
});

test('a quiz is put together from answers that count: those at a station that was left out say nothing', async () => {
  const shown = async () => {
    const { answered } = await classSoFar(hurrow.db, await courseOf(hurrow.db, planted.courseId));
    return [planted.sugar, planted.red].map(({ id }) => answered[id] ?? { answers: 0, right: 0 });
  };
  const both = await shown();
  expect(both.map(({ answers }) => answers)).toEqual([1, 1]);
  expect(both.map(({ right }) => right)).toEqual([1, 0]);
  const leave = (leftOut: boolean) => owner.post(`${path()}/stations/${stations[0]!.id}`, { leftOut });
  await leave(true);
  const left = await shown();
  expect(left.map(({ answers }) => answers).sort()).toEqual([0, 1]);
  await leave(false);
});

test('a station left out is another report; taken in again, the first is there without computing', async () => {
  const before = await reportOf();
  const leave = (leftOut: boolean) => owner.post(`${path()}/stations/${stations[0]!.id}`, { leftOut });
  expect((await leave(true)).status).toBe(200);
  const without = await reportOf();
  expect(without.key).not.toBe(before.key);
  expect(without.report).toMatchObject({ answers: 1, errors: 0 });
  const { body } = await owner.get<{ stations: { leftOut: boolean }[] }>(path());
  expect(body.stations.map(({ leftOut }) => leftOut)).toEqual([true, false]);
  // Its marks stay.
  const marks = await owner.get<{ answers: object[] }>(`/api/quizzes/${planted.quizId}/marks`);
  expect(marks.body.answers).toHaveLength(2);
  await leave(false);
  expect(await ask()).toEqual(before);
});

test('an edited score makes a report of today stale, but not one of the day of the quiz', async () => {
  const [now, then] = [await reportOf('now'), await reportOf('then')];
  const { body: held } = await owner.get<{
    revision: number;
    taxa: { taxon: { id: string } }[];
  }>('/api/library');
  const { id, ...taxon } = held.taxa.find((entry) => entry.taxon.id === planted.red.id)!.taxon;
  await owner.put(`/api/library/taxa/${id}`, {
    taxon,
    baseRevision: held.revision,
    changes: [
      {
        characterId: 'twig.zigzag',
        sourceId: 'own',
        qualifiers: {},
        value: { kind: 'flag', frequency: 'always' },
      },
    ],
  });
  expect((await ask('now')).key).not.toBe(now.key);
  expect(await ask('then')).toEqual(then);
});

test('a ruling changes what was named, and with it the report', async () => {
  const before = await reportOf();
  await owner.post(`/api/quizzes/${planted.quizId}/rulings`, {
    truth: planted.red.id,
    answer: { genus: 'Acer', epithet: 'saccharum' },
    countsAs: planted.red.id,
    both: true,
  });
  const after = await reportOf();
  expect(after.key).not.toBe(before.key);
  expect(after.report.errors).toBe(0);
});

test('a stopped computation is begun anew for whoever asks', async () => {
  await owner.post(`${path()}/stations/${stations[1]!.id}`, { leftOut: true });
  const { key, report } = await ask();
  expect(report).toBeUndefined();
  expect((await owner.post(`${path()}/report/stop`, { key })).status).toBe(200);
  expect((await reportOf()).report.answers).toBe(1);
  await owner.post(`${path()}/stations/${stations[1]!.id}`, { leftOut: false });
});

test('a station of another course cannot be left out here', async () => {
  const answer = await owner.post(`${path()}/stations/${randomUUID()}`, { leftOut: true });
  expect(answer.status).toBe(404);
});

test('a pair taught again is noted in either order, once, and taken back', async () => {
  const [a, b] = [planted.sugar.id, planted.red.id];
  const note = (body: object) => owner.post(`/api/courses/${planted.courseId}/reteachings`, body);
  const noted = async () => (await owner.get<{ reteachings: object[] }>(path())).body.reteachings;
  await note({ a, b, taughtOn: '2026-10-01' });
  await note({ a: b, b: a, taughtOn: '2026-10-01' });
  expect(await noted()).toEqual([{ a: b, b: a, taughtOn: '2026-10-01', students: null }]);
  const back = { a, b, taughtOn: '2026-10-01' };
  await owner.post(`/api/courses/${planted.courseId}/reteachings/remove`, back);
  expect(await noted()).toEqual([]);
  expect((await note({ a, b, taughtOn: '1 October' })).body.message).toContain('a date such as 2026-10-01');
  expect((await note({ a, b, taughtOn: '2026-02-31' })).body.message).toContain('no day 2026-02-31');
  expect((await note({ a, b: 'quercus-alba', taughtOn: '2026-10-01' })).body.message).toContain(
    'on the course’s list',
  );
  expect((await note({ a, b: a, taughtOn: '2026-10-01' })).status).toBe(422);
});
