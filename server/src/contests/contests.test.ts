import { randomUUID } from 'node:crypto';
import type { ContestNow } from '@hurrow/contract/contests';
import type { Answer } from '@hurrow/core/names';
import { plantCourse, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let planted: Awaited<ReturnType<typeof plantCourse>>;
beforeEach(async () => {
  hurrow = await startHurrow();
  planted = await plantCourse(hurrow.owner);
});
afterEach(() => hurrow.close());

const view = { organs: ['leaf', 'twig'], nearness: 'hand', aids: ['eye', 'lens'], qualifiers: {} };
const quiz = () => `/api/quizzes/${planted.quizId}`;
const contest = { edition: '2026', aids: 'hand lens', best: 2, tieBreaks: [2], entries: {} };
const put = async (made: object | null) =>
  hurrow.owner.put(`${quiz()}/contest`, { contest: made, before: (await now()).contest });
const set = (part: object = {}) => put({ ...contest, ...part });
const now = async () => (await hurrow.owner.get<ContestNow>(`${quiz()}/contest`)).body;

beforeEach(async () => {
  const stations = [planted.red.id, planted.sugar.id].map((taxonId) => ({
    taxonId,
    medium: 'cutting',
    view,
  }));
  await hurrow.owner.put(quiz(), { title: 'Contest', heldOn: '2026-09-10', stations });
});

const RIGHT: Answer[] = [
  { genus: 'Acer', epithet: 'rubrum' },
  { genus: 'Acer', epithet: 'saccharum' },
];

/** Enters papers: of each student, by the order of the list, which of the two stations are right. */
async function enter(right: readonly (readonly boolean[])[]) {
  await hurrow.owner.post(`${quiz()}/open`);
  const { body } = await hurrow.owner.get<{ students: { id: string }[]; stations: { id: string }[] }>(
    `${quiz()}/marks`,
  );
  for (const [i, of] of right.entries())
    for (const [k, isRight] of of.entries())
      await hurrow.owner.post(`${quiz()}/paper`, {
        studentId: body.students[i]!.id,
        stationId: body.stations[k]!.id,
        answer: isRight ? RIGHT[k] : { genus: 'Ulmus', epithet: 'pumila' },
      });
  return body.students.map(({ id }) => id);
}

test('two who tie are parted by the station that was declared, and a team has the points of its best', async () => {
  const { students } = (
    await hurrow.owner.get<{ students: { id: string }[] }>(`/api/courses/${planted.courseId}`)
  ).body;
  const entries = Object.fromEntries(students.map(({ id }) => [id, { team: 'Alders', division: 'junior' }]));
  expect((await set({ entries })).status).toBe(200);
  const [first, second] = await enter([
    [true, false],
    [false, true],
  ]);
  const { standings, outOf, contest: kept } = await now();
  expect(kept).toEqual({ ...contest, entries });
  expect(standings).toHaveLength(1);
  expect(standings[0]!.entrants.map(({ id, place, by }) => [id, place, by])).toEqual([
    [second, 1, 'station 2'],
    [first, 2, 'station 2'],
  ]);
  expect(standings[0]!.teams).toMatchObject([{ name: 'Alders', points: outOf, members: 2 }]);
  const csv = (await hurrow.owner.get<{ text: string }>(`${quiz()}/contest/standings.csv`)).body.text;
  expect(csv.trim().split('\n')).toHaveLength(4);
  expect(csv).toContain('station 2');
});

test('a station that is credited counts for all, one that is left out parts no tie', async () => {
  await set();
  const ids = await enter([
    [true, false],
    [false, true],
  ]);
  const { body } = await hurrow.owner.get<{ stations: { id: string }[] }>(`${quiz()}/marks`);
  const leave = (credited: boolean) =>
    hurrow.owner.post(`${quiz()}/stations/${body.stations[1]!.id}/void`, {
      voided: true,
      credited,
      reason: 'wilted',
    });
  await leave(false);
  const [only] = (await now()).standings;
  expect(only!.entrants.map(({ id, points }) => [id, points])).toEqual([
    [ids[0], 2],
    [ids[1], 0],
  ]);
  await leave(true);
  expect((await now()).standings[0]!.entrants.map(({ points }) => points)).toEqual([4, 2]);
});

test('stations that part ties are declared before and stand; what else is said can be put right', async () => {
  expect((await set({ tieBreaks: [3] })).status).toBe(422);
  await set();
  await hurrow.owner.post(`${quiz()}/open`);
  expect((await set({ tieBreaks: [1] })).status).toBe(409);
  expect((await put(null)).status).toBe(409);
  expect(
    (await set({ best: 1, entries: { [randomUUID()]: { team: 'Birches', division: '' } } })).status,
  ).toBe(200);
  const { contest: kept, standings } = await now();
  // Who is not in the class competes for nobody.
  expect(kept).toMatchObject({ best: 1, entries: {} });
  expect(standings).toEqual([]);
});

test('who began before somebody else saved is told, and overwrites nothing', async () => {
  await set({ best: 3 });
  const late = { contest: { ...contest, best: 1 }, before: null };
  const sent = await hurrow.owner.put(`${quiz()}/contest`, late);
  expect(sent.status).toBe(409);
  expect(JSON.stringify(sent.body)).toContain('Somebody else changed this contest');
  expect((await now()).contest!.best).toBe(3);
});

test('a quiz that is no contest is ranked all the same, and students see nothing of it', async () => {
  await enter([[true, true]]);
  expect(await now()).toMatchObject({ contest: null, standings: [{ division: '', teams: [] }], odd: [] });
  const rowan = hurrow.caller();
  await rowan.post('/api/session/student', { courseCode: planted.code, personalCode: 'ROWAN1' });
  expect((await rowan.get(`${quiz()}/contest`)).status).toBe(403);
});
