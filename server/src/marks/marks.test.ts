import { randomUUID } from 'node:crypto';
import type { QuizMarking, Regrade, SecondWord, TermMarks } from '@hurrow/contract/marking';
import type { Marks } from '@hurrow/contract/quizzes';
import type { Beside, Result, Sitting } from '@hurrow/contract/sitting';
import type { StudentChange } from '@hurrow/core/marks';
import { openedClass, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let owner: Caller;
let planted: Awaited<ReturnType<typeof openedClass>>['planted'];
let rowan: Caller;
let selma: Caller;
let stations: string[];
let ids: Record<string, string>;
const at = (path: string) => `/api/quizzes/${planted.quizId}${path}`;
const marks = async () => (await owner.get<Marks>(at('/marks'))).body;
const result = (who: Caller) => who.get<Result>(`/api/sit/quizzes/${planted.quizId}/result`);

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  ({ planted, rowan, selma, ids } = await openedClass(hurrow));
  stations = (await owner.get<{ stations: { id: string }[] }>(at(''))).body.stations.map(({ id }) => id);
  // Rowan takes the sugar maple for a red one and misspells the first; Selma writes nothing.
  const answers = [
    { genus: 'Acer', epithet: 'rubum', family: 'Sapindaceae' },
    { genus: 'Acer', epithet: 'rubrum', family: 'Sapindaceae' },
  ];
  await rowan.post('/api/sit/responses', {
    responses: answers.map((answer, i) => ({
      id: randomUUID(),
      stationId: stations[i],
      answer,
      device: 'phone',
      sequence: i + 1,
      writtenAt: new Date().toISOString(),
    })),
  });
  await owner.post(at('/close'));
});
afterAll(() => hurrow.close());

test('a second marker says a word of their own, which changes no mark and can be taken back', async () => {
  const before = (await marks()).answers.map(({ mark }) => mark);
  const words = async (who: Caller) => (await who.get<{ words: SecondWord[] }>(at('/second'))).body.words;
  const say = (who: Caller, verdict: string | null, answer = 'acer-rubrum |  | acer rubum | ') =>
    who.put(at('/second'), { answer, verdict });
  expect((await say(rowan, 'full')).status).toBe(403);
  expect((await say(owner, 'half')).status).toBe(422);
  await say(owner, 'full');
  await say(owner, 'none');
  expect(await words(owner)).toEqual([
    { answer: 'acer-rubrum |  | acer rubum | ', verdict: 'none', by: 'Ines Falk', own: true },
  ]);
  expect((await marks()).answers.map(({ mark }) => mark)).toEqual(before);
  await say(owner, null);
  expect(await words(owner)).toEqual([]);
});

test('other points are shown before they are given, mark everything anew, and taken back leave every mark as it was', async () => {
  const before = (await marks()).answers.map(({ mark }) => mark);
  const { now, opened } = (await owner.get<QuizMarking>(at('/marking'))).body;
  expect(now).toEqual(opened);
  const strict = { ...opened, deduction: 1 };
  const put = (body: object) => owner.put<{ changes: StudentChange[] }>(at('/marking'), body);
  const shown = await put({ marking: strict, dryRun: true });
  expect(shown.body.changes).toEqual([expect.objectContaining({ studentId: ids['Rowan'], answers: 1 })]);
  expect((await marks()).answers.map(({ mark }) => mark)).toEqual(before);
  await put({ marking: strict, dryRun: false });
  const after = (await marks()).answers.map(({ mark }) => mark.points);
  expect(after[0]).toBeLessThan(before[0]!.points);
  expect((await owner.get<QuizMarking>(at('/marking'))).body.now).toEqual(strict);
  await put({ marking: null, dryRun: false });
  expect((await marks()).answers.map(({ mark }) => mark)).toEqual(before);
  // What nobody was asked for bears no points.
  const asked = await put({ marking: { ...opened, policy: 'common' }, dryRun: true });
  expect(asked).toMatchObject({
    status: 422,
    body: { message: expect.stringMatching(/never asked for/) as string },
  });
  expect((await rowan.put(at('/marking'), { marking: null, dryRun: true })).status).toBe(403);
});

test('a result is released to one, who sees the tree beside the one it was taken for; the others see nothing', async () => {
  expect((await result(rowan)).status).toBe(403);
  expect((await rowan.get(`/api/sit/stations/${stations[1]}/beside`)).status).toBe(403);
  await owner.post(at('/release'), { released: true, studentId: ids['Rowan'], regradeUntil: '2099-01-01' });
  const { rows } = (await result(rowan)).body;
  expect(rows.map(({ mistaken }) => mistaken)).toEqual([false, true]);
  expect((await result(selma)).status).toBe(403);
  const beside = (await rowan.get<Beside>(`/api/sit/stations/${stations[1]}/beside`)).body;
  expect(beside).toMatchObject({ names: ['Acer saccharum', 'Acer rubrum'], isOwn: true });
  expect(beside.pictures.every((picture) => picture?.startsWith('<svg'))).toBe(true);
  expect(beside.lines.map(({ character }) => character)).toContain('leaf shape');
  // Named rightly, or of another course: there is nothing to be seen beside it.
  const german = (await rowan.get<Beside>(`/api/sit/stations/${stations[1]}/beside?language=de`)).body;
  expect(german.lines).toHaveLength(beside.lines.length);
  expect(german.lines[0]!.shows).not.toEqual(beside.lines[0]!.shows);
  expect((await rowan.get(`/api/sit/stations/${stations[0]}/beside`)).status).toBe(404);
  expect((await rowan.get(`/api/sit/stations/${randomUUID()}/beside`)).status).toBe(404);
  expect((await selma.get(`/api/sit/stations/${stations[1]}/beside`)).status).toBe(403);
});

test('who may answer still is told no result, released or not', async () => {
  const open = (reopened: boolean) => owner.put(at(`/students/${ids['Rowan']}`), { was: 'there', reopened });
  await open(true);
  expect((await result(rowan)).status).toBe(403);
  expect((await rowan.get(`/api/sit/stations/${stations[1]}/beside`)).status).toBe(403);
  expect((await rowan.get<Sitting>('/api/sit')).body.released).toEqual([]);
  await open(false);
  expect((await result(rowan)).status).toBe(200);
});

test('a mark is asked about, answered in place, and not asked about again', async () => {
  const ask = (who: Caller, note: string) => who.post(`/api/sit/stations/${stations[0]}/regrade`, { note });
  expect((await ask(rowan, 'I wrote rubrum, the ink ran.')).status).toBe(200);
  expect((await ask(rowan, 'I wrote rubrum; the ink ran.')).status).toBe(200);
  expect((await ask(selma, 'And mine?')).status).toBe(403);
  const { regrades } = (await owner.get<{ regrades: Regrade[] }>(at('/regrades'))).body;
  expect(regrades).toMatchObject([
    { note: 'I wrote rubrum; the ink ran.', answer: null, studentId: ids['Rowan'] },
  ]);
  await owner.post(at(`/regrades/${regrades[0]!.id}`), {
    answer: 'The paper says rubum; the rule holds for all.',
  });
  expect((await result(rowan)).body.rows[0]!.regrade).toEqual({
    note: 'I wrote rubrum; the ink ran.',
    answer: 'The paper says rubum; the rule holds for all.',
  });
  expect((await ask(rowan, 'Please!')).status).toBe(409);
  await owner.post(at('/release'), { released: true, studentId: ids['Rowan'], regradeUntil: '2000-01-01' });
  expect((await rowan.post(`/api/sit/stations/${stations[1]}/regrade`, { note: 'Late.' })).status).toBe(409);
});

test('a station that was not fair counts for nobody, or gives its points to everybody', async () => {
  const points = async () => (await result(rowan)).body;
  const all = await points();
  const voiding = (body: object) => owner.post(at(`/stations/${stations[1]}/void`), body);
  await voiding({ voided: true, reason: 'the leaf had wilted' });
  expect((await points()).outOf).toBe(all.outOf / 2);
  await voiding({ voided: true, credited: true, reason: 'the leaf had wilted' });
  const credited = await points();
  expect(credited.outOf).toBe(all.outOf);
  expect(credited.rows[1]).toMatchObject({ points: 2, credited: 'the leaf had wilted' });
  const term = (await owner.get<TermMarks>(`/api/courses/${planted.courseId}/marks`)).body;
  expect(term.students.find(({ id }) => id === ids['Rowan'])!.results[0]!.points).toBeCloseTo(
    credited.points,
    6,
  );
  await voiding({ voided: false });
  expect(await points()).toEqual(all);
});

test('the term is put together: who was excused loses nothing, weights and what is on top count, and files say the same', async () => {
  const of = `/api/courses/${planted.courseId}/marks`;
  const term = async () => (await owner.get<TermMarks>(of)).body;
  const student = async (name: string) => (await term()).students.find(({ id }) => id === ids[name])!;
  expect(await student('Selma')).toMatchObject({ percent: 0, results: [{ was: 'absent' }] });
  await owner.put(at(`/students/${ids['Selma']}`), { was: 'excused', reopened: false });
  expect((await student('Selma')).percent).toBeUndefined();
  const before = (await student('Rowan')).percent!;
  await owner.put(`${of}/scheme`, { weights: {}, drop: 0, bonus: { [ids['Rowan']!]: 2 } });
  expect((await student('Rowan')).percent).toBeCloseTo(before + 2, 6);
  const table = await owner.call<{ text: string }>('GET', `${of}/table.csv`);
  expect(table.body.text).toMatch(
    /^student,Quiz 1,percent\r?\nRowan Achterberg,[\d.]+,[\d.]+\r?\nSelma Idowu,excused,/,
  );
  const packed = await owner.call<{ text: string }>('GET', `${of}/one-roster.zip`);
  expect(packed.headers.get('content-type')).toBe('application/zip');
  for (const name of ['manifest.csv', 'users.csv', 'lineItems.csv', 'results.csv'])
    expect(packed.body.text).toContain(name);
  expect((await rowan.get(of)).status).toBe(403);
});
