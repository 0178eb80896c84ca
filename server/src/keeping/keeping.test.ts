import { say } from '../api/say.ts';
import { randomUUID } from 'node:crypto';
import { OWNER, plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';
import { forgetNames, monthsBefore } from './names.ts';

let hurrow: TestHurrow;
let owner: Caller;
let planted: Awaited<ReturnType<typeof plantCourse>>;
let rowan: Caller;
let students: { id: string; name: string }[];

beforeEach(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  planted = await plantCourse(owner);
  await owner.post(`/api/quizzes/${planted.quizId}/open`);
  rowan = hurrow.caller();
  await rowan.post('/api/session/student', { courseCode: planted.code, personalCode: 'ROWAN1' });
  students = await list();
  await answer();
});
afterEach(() => hurrow.close());

const course = () => `/api/courses/${planted.courseId}`;
const list = async () => (await owner.get<{ students: typeof students }>(course())).body.students;
const marks = async () =>
  (await owner.get<{ answers: { studentId: string }[] }>(`/api/quizzes/${planted.quizId}/marks`)).body
    .answers;
const history = async () =>
  (
    await owner.get<{ what: string; by: string | null; said: unknown }[]>(
      `/api/history?courseId=${planted.courseId}`,
    )
  ).body;

async function answer() {
  const { open } = (await rowan.get<{ open: { stations: { id: string }[] }[] }>('/api/sit')).body;
  const responses = open[0]!.stations.map(({ id }, i) => ({
    id: randomUUID(),
    stationId: id,
    answer: { genus: 'Acer', epithet: 'rubrum' },
    device: 'phone',
    sequence: i + 1,
    writtenAt: '2026-09-10T17:00:00Z',
  }));
  expect((await rowan.post('/api/sit/responses', { responses })).status).toBe(200);
}
const remove = (how: string, sure: string) =>
  owner.post(`${course()}/students/${students[0]!.id}/remove`, { how, sure });

test('everything of one student can be handed out, and of nobody else', async () => {
  const { body } = await owner.get<{
    name: string;
    answers: { text: string }[];
    marks: { points: number }[];
  }>(`${course()}/students/${students[0]!.id}/everything`);
  expect(body).toMatchObject({ name: 'Rowan Achterberg', course: 'Maples' });
  expect(body.answers.map(({ text }) => text)).toEqual(['Acer rubrum', 'Acer rubrum']);
  expect(body.marks).toHaveLength(2);
  expect(JSON.stringify(body)).not.toContain('Selma');
  expect((await rowan.get(`${course()}/students/${students[0]!.id}/everything`)).status).toBe(403);
});

test('a name is taken away: the answers stay, and nobody signs in with the code', async () => {
  const before = await marks();
  expect((await remove('name', 'Rowan')).status).toBe(422);
  expect((await remove('name', 'Rowan Achterberg')).status).toBe(200);
  expect((await list()).map(({ name }) => name)).toEqual(['Selma Idowu', 'Former student 1']);
  expect(await marks()).toEqual(before);
  expect((await rowan.get('/api/sit')).status).toBe(401);
  const again = { courseCode: planted.code, personalCode: 'ROWAN1' };
  expect((await hurrow.caller().post('/api/session/student', again)).status).toBe(401);
  expect((await history())[0]).toMatchObject({
    by: OWNER.name,
    what: expect.stringContaining('Former student 1'),
  });
  expect(JSON.stringify(await history())).not.toContain('Rowan');
});

test('a number that stood for a name is not given to another', async () => {
  await remove('name', 'Rowan Achterberg');
  await owner.post(`${course()}/students/import`, { csv: 'name\nTove Lind\nAsk Berg', dryRun: false });
  const named = async (name: string) => (await list()).find((student) => student.name === name)!;
  const take = async (how: string, name: string) =>
    owner.post(`${course()}/students/${(await named(name)).id}/remove`, { how, sure: name });
  await take('name', 'Tove Lind');
  await take('wholly', 'Former student 1');
  await take('name', 'Ask Berg');
  expect((await list()).map(({ name }) => name)).toEqual([
    'Selma Idowu',
    'Former student 2',
    'Former student 3',
  ]);
});

test('a student is removed wholly, from the store and from what was kept beside it', async () => {
  const struck: string[] = [];
  hurrow.db.strike = async (ids) => void struck.push(...ids);
  expect((await remove('wholly', 'Rowan Achterberg')).status).toBe(200);
  expect((await list()).map(({ name }) => name)).toEqual(['Selma Idowu']);
  expect(await marks()).toEqual([]);
  expect(struck).toHaveLength(2);
  // What is not removed so stays: rows of answers are deleted in no other way.
  await expect(hurrow.db.query('delete from ruling')).resolves.toBeDefined();
  await rowan.post('/api/session/student', { courseCode: planted.code, personalCode: 'SELMA2' });
  await answer();
  await expect(hurrow.db.query('delete from response')).rejects.toThrow('never changed or deleted');
});

test('a course is deleted with all that is in it, when its name is typed', async () => {
  await owner.post(`/api/quizzes/${planted.quizId}/rulings`, {
    truth: planted.sugar.id,
    answer: { genus: 'Acer', epithet: 'rubrum' },
    countsAs: planted.sugar.id,
    points: null,
    only: null,
    reason: '',
    both: true,
  });
  expect((await owner.post(`${course()}/remove`, { sure: 'maples' })).status).toBe(422);
  expect((await owner.post(`${course()}/remove`, { sure: 'Maples' })).status).toBe(200);
  expect((await owner.get(course())).status).toBe(404);
  for (const table of ['course', 'student', 'quiz', 'station', 'response', 'ruling', 'course_taxon'])
    expect(await hurrow.db.query(`select 1 from ${table}`)).toEqual([]);
  expect((await owner.get<{ what: string }[]>('/api/history')).body[0]!.what).toBe(
    'deleted the course “Maples”',
  );
});

test('names go when their time is up, and not a day before', async () => {
  expect(monthsBefore(new Date('2026-03-15T00:00:00Z'), 6)).toBe('2025-09-15');
  expect((await owner.put('/api/keeping', { months: 12 })).body).toEqual({ taken: 0 });
  // The course ends on 7 December 2026, fourteen weeks from 31 August.
  expect(await forgetNames(hurrow.db, new Date('2027-12-07T12:00:00Z'))).toBe(0);
  expect(await forgetNames(hurrow.db, new Date('2027-12-09T12:00:00Z'))).toBe(2);
  expect(await forgetNames(hurrow.db, new Date('2027-12-10T12:00:00Z'))).toBe(0);
  expect((await list()).map(({ name }) => name)).toEqual(['Former student 1', 'Former student 2']);
  expect((await history())[0]).toMatchObject({ by: null, what: expect.stringContaining('2 students') });
  expect((await owner.put('/api/keeping', { months: null })).status).toBe(200);
});

test('what staff change is told with who did it', async () => {
  await owner.post(`/api/quizzes/${planted.quizId}/close`);
  await owner.post(`/api/quizzes/${planted.quizId}/release`, { released: true });
  expect((await history()).slice(0, 3).map(({ what }) => what)).toEqual([
    'released the results of “Quiz 1”',
    'closed the quiz “Quiz 1”',
    'opened the quiz “Quiz 1”',
  ]);
  const { message: _message, ...said } = say`closed the quiz “${'Quiz 1'}”`;
  expect((await history())[1]!.said).toEqual(said);
  // A line of before Hurrow spoke any other language has its English alone.
  await hurrow.db.query('update history set said = null');
  expect((await history())[0]).toMatchObject({ what: 'released the results of “Quiz 1”', said: null });
});
