import { randomUUID } from 'node:crypto';
import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import type { Received, Result, Sitting } from '@hurrow/contract/sitting';
import type { Try } from '@hurrow/contract/tries';
import type { Answer } from '@hurrow/core/names';
import { gather } from '../confusions/gather.ts';
import { courseOf } from '../courses/course.ts';
import { countedAnswers } from '../learning/record.ts';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let planted: Awaited<ReturnType<typeof plantCourse>>;
let rowan: Caller;
beforeEach(async () => {
  hurrow = await startHurrow();
  planted = await plantCourse(hurrow.owner);
  rowan = hurrow.caller();
});
afterEach(() => hurrow.close());

const view = { organs: ['leaf', 'twig'], nearness: 'hand', aids: ['eye', 'lens'], qualifiers: {} };
const QUESTIONS = [
  null,
  { kind: 'family' },
  { kind: 'state', characterId: 'leaf.shape' },
  { kind: 'number', characterId: 'leaf.length', within: 0.3 },
];
const quiz = () => `/api/quizzes/${planted.quizId}`;

const plan = (questions: readonly unknown[]) =>
  hurrow.owner.put(quiz(), {
    title: 'Quiz 1',
    heldOn: '2026-09-10',
    stations: questions.map((question) => ({
      taxonId: planted.red.id,
      medium: 'cutting',
      view,
      question,
      // Whatever was asked besides a name is not asked besides something else.
      asks: ['leaf.shape'],
      wentBy: true,
      prompt: 'leaf.shape',
      choose: question !== null,
    })),
  });

/** Opens a quiz that asks for a name, a family, a feature and a measure of one tree, and lets Rowan sign in. */
async function opened() {
  expect((await plan(QUESTIONS)).status).toBe(200);
  expect((await hurrow.owner.post(`${quiz()}/open`)).status).toBe(200);
  await rowan.post('/api/session/student', { courseCode: planted.code, personalCode: 'ROWAN1' });
  return (await rowan.get<Sitting>('/api/sit')).body.open[0]!.stations;
}

const answer = (stationId: string, said: Answer, sequence = 1) =>
  rowan.post<Received>('/api/sit/responses', {
    responses: [
      { id: randomUUID(), stationId, answer: said, device: 'p', sequence, writtenAt: '2026-09-10T17:00:00Z' },
    ],
  });

const marks = async () => (await hurrow.owner.get<Marks>(`${quiz()}/marks`)).body;

test('a phone is told what is asked and what there is to choose from, and nothing of what is right', async () => {
  const [name, family, feature, measure] = await opened();
  expect(name!.question).toBeNull();
  expect(name!.asks).toHaveLength(1);
  for (const { asks, wentBy, prompt, choices } of [family!, feature!, measure!])
    expect([asks, wentBy, prompt, choices]).toEqual([[], [], null, []]);
  expect(family!.question).toEqual({ kind: 'family', asked: 'To which family does it belong?', offered: [] });
  expect(feature!.question).toMatchObject({ kind: 'state', asked: 'Leaf shape: which is it here?' });
  expect(feature!.question!.offered.length).toBeGreaterThan(4);
  expect(measure!.question!.asked).toMatch(/^Measure the .*, in (inches|centimeters)\.$/);
  const told = JSON.stringify((await rowan.get('/api/sit')).body);
  for (const secret of ['"right"', '"from"', '"number":', 'Sapindaceae', planted.red.id])
    expect(told).not.toContain(secret);
});

test('each is worth a station, is marked by what is there, and comes back with what was right', async () => {
  const stations = await opened();
  const { body } = await hurrow.owner.get<Quiz>(quiz());
  const [right] = body.stations[2]!.asking!.right;
  await answer(stations[1]!.id, { family: 'Sapindaceae' });
  await answer(stations[2]!.id, { said: right! });
  await answer(stations[3]!.id, { said: '9 m' });
  const { answers, outOf } = await marks();
  expect(answers.map(({ mark }) => [mark.points, mark.outOf, mark.resolution.how])).toEqual([
    [outOf, outOf, 'unasked'],
    [outOf, outOf, 'unasked'],
    [0, outOf, 'unasked'],
  ]);
  await hurrow.owner.post(`${quiz()}/close`);
  await hurrow.owner.post(`${quiz()}/release`, { released: true });
  const { rows, points } = (await rowan.get<Result>(`/api/sit/quizzes/${planted.quizId}/result`)).body;
  expect(points).toBe(2 * outOf);
  expect(rows[1]).toMatchObject({ question: { right: 'Sapindaceae' }, family: null, written: 'Sapindaceae' });
  expect(rows[3]!.question!.right).toMatch(/\d/);
});

test('what is not offered, and what nobody asked, is refused by station', async () => {
  const stations = await opened();
  const refusal = async (at: number, said: string) =>
    JSON.stringify((await answer(stations[at]!.id, { said })).body);
  expect(await refusal(2, 'triangular-ish')).toContain('is not among what station 3 offers');
  expect(await refusal(0, 'ovate')).toContain('Station 1 asks for a name');
});

test('no analysis of names takes it for a mix-up; a feature that was read is what was seen', async () => {
  const stations = await opened();
  const { body } = await hurrow.owner.get<Quiz>(quiz());
  await answer(stations[0]!.id, { genus: 'Acer', epithet: 'saccharum' });
  await answer(stations[1]!.id, { family: 'Pinaceae' });
  await answer(stations[2]!.id, { said: stations[2]!.question!.offered[0]!.id });
  const { input } = await gather(hurrow.db, await courseOf(hurrow.db, planted.courseId), 'now');
  expect(input.stations.map(({ id }) => id)).toEqual([stations[0]!.id]);
  expect(input.answers).toHaveLength(1);
  expect(input.seen).toEqual([
    {
      characterId: 'leaf.shape',
      stationId: stations[2]!.id,
      studentId: expect.any(String),
      right: body.stations[2]!.asking!.right,
      said: stations[2]!.question!.offered[0]!.id,
    },
  ]);
  expect(await countedAnswers(hurrow.db, planted.courseId)).toHaveLength(1);
});

test('points given by hand hold for all who said the same to that question', async () => {
  const stations = await opened();
  await answer(stations[1]!.id, { family: 'Aceraceous' });
  const body = {
    truth: planted.red.id,
    answer: { family: 'Aceraceous' },
    countsAs: null,
    stationId: stations[1]!.id,
    reason: 'as the old book has it',
  };
  expect((await hurrow.owner.post(`${quiz()}/rulings`, body)).status).toBe(422);
  const elsewhere = { ...body, stationId: randomUUID(), points: { family: 1 } };
  expect((await hurrow.owner.post(`${quiz()}/rulings`, elsewhere)).status).toBe(404);
  expect((await hurrow.owner.post(`${quiz()}/rulings`, { ...body, points: { family: 1 } })).status).toBe(200);
  expect((await marks()).answers[0]!.mark).toMatchObject({ points: 1, parts: [{ remark: 'given by hand' }] });
});

test('papers of such stations are typed and read from files, and refused in words', async () => {
  const stations = await opened();
  const { id: studentId } = (await marks()).students[0]!;
  const typed = await hurrow.owner.post(`${quiz()}/paper`, {
    studentId,
    stationId: stations[2]!.id,
    answer: { said: 'nonsense' },
  });
  expect(typed.status).toBe(422);
  const { name } = (await marks()).students[0]!;
  const { word } = stations[2]!.question!.offered[1]!;
  const csv = `student,station,answer\n${name},2,Sapindaceae\n${name},3,${word}\n${name},4,8 cm`;
  expect((await hurrow.owner.post(`${quiz()}/responses/import`, { csv, dryRun: false })).status).toBe(200);
  expect((await marks()).answers.map(({ text }) => text)).toEqual(['Sapindaceae', word, '8 cm']);
});

test('a plan that asks for what is not to be seen is refused, and says the station', async () => {
  const bark = await plan([null, { kind: 'state', characterId: 'bark.surface' }]);
  expect(bark.status).toBe(422);
  expect(JSON.stringify(bark.body)).toContain('Station 2 asks for');
  const itself = await plan([{ kind: 'settles', from: planted.red.id }]);
  expect(JSON.stringify(itself.body)).toContain('Station 1 asks what tells it from');
  expect((await plan([{ kind: 'riddle' }])).status).toBe(422);
});

test('a colleague who sits it blind is marked by what is asked', async () => {
  await plan(QUESTIONS);
  const tried = await hurrow.owner.post<Try>(`${quiz()}/tries`, {
    answers: [
      { position: 2, answer: { family: 'Pinaceae' } },
      { position: 1, answer: { genus: 'Acer', epithet: 'rubrum' } },
    ],
  });
  expect(tried.body).toMatchObject({ answered: 2, missed: [{ position: 2, written: 'Pinaceae' }] });
});
