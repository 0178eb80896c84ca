import type { QuizProposed } from '@hurrow/contract/assembly';
import { QUIZ_PAPERS } from '@hurrow/contract/limits';
import { USUAL_ROUNDS, type Rounds } from '@hurrow/contract/rounds';
import type { Try } from '@hurrow/contract/tries';
import { usualWishes, type QuizCame } from '@hurrow/core/assembly';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let owner: Caller;
let planted: Awaited<ReturnType<typeof plantCourse>>;
beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  planted = await plantCourse(owner);
});
afterAll(() => hurrow.close());

const course = async () =>
  (
    await owner.get<{
      sets: { id: string; taxa: string[] }[];
      students: { id: string; name: string }[];
    }>(`/api/courses/${planted.courseId}`)
  ).body;

test('a quiz is proposed of the list, and what cannot be had is said', async () => {
  const { sets } = await course();
  const at = `/api/courses/${planted.courseId}/quiz-proposal`;
  const wishes = usualWishes(2, sets);
  const { body } = await owner.post<QuizProposed>(at, { heldOn: '2026-09-10', wishes, forms: 1 });
  expect(body.forms[0]!.stations.map(({ taxonId }) => taxonId).sort()).toEqual([
    planted.red.id,
    planted.sugar.id,
  ]);
  expect(body.relaxed).toEqual([]);
  const many = await owner.post<QuizProposed>(at, {
    heldOn: '2026-09-10',
    wishes: { ...wishes, stations: 9 },
    forms: 1,
  });
  expect(many.body.relaxed).toMatchObject([{ wish: 'stations', side: 'least', by: 7 }]);
  const stray = await owner.post(at, {
    heldOn: '2026-09-10',
    wishes: { ...wishes, kinds: { roots: { least: 0, most: 1 } } },
    forms: 1,
  });
  expect(stray).toMatchObject({
    status: 422,
    body: { message: expect.stringContaining('no kind of station') as string },
  });
  const none = await owner.post(at, {
    heldOn: '2026-01-10',
    wishes: { ...wishes, kinds: { fruit: { least: 0, most: 2 } }, fair: 1 },
    forms: 1,
  });
  expect(none).toMatchObject({
    status: 422,
    body: { message: expect.stringContaining('Choose other sets') as string },
  });
});

test('of a quiz that is not held nothing is said of what came', async () => {
  const { body } = await owner.get<{ quizzes: QuizCame[] }>(
    `/api/courses/${planted.courseId}/expected-results`,
  );
  expect(body.quizzes).toEqual([]);
});

test('the rounds of a quiz are kept, without those who left the class', async () => {
  const at = `/api/quizzes/${planted.quizId}/rounds`;
  expect((await owner.get<{ rounds: Rounds }>(at)).body.rounds).toEqual(USUAL_ROUNDS);
  const [rowan] = (await course()).students;
  const rounds = {
    ...USUAL_ROUNDS,
    seconds: 45,
    away: [rowan!.id, 'gone'],
    extra: { [rowan!.id]: 1.5, gone: 2 },
  };
  expect((await owner.put(at, rounds)).status).toBe(200);
  expect((await owner.get<{ rounds: Rounds }>(at)).body.rounds).toEqual({
    ...rounds,
    away: [rowan!.id],
    extra: { [rowan!.id]: 1.5 },
  });
  const large = await owner.put(at, { ...rounds, together: 3 });
  expect(large).toMatchObject({
    status: 422,
    body: { message: expect.stringContaining('Make the group smaller') as string },
  });
});

test('every paper of the day is a PDF for those who teach; students get none', async () => {
  for (const what of QUIZ_PAPERS) {
    const { body, status } = await owner.get<{ text: string }>(
      `/api/quizzes/${planted.quizId}/papers/${what}.pdf?paper=a4`,
    );
    expect([what, status, body.text.slice(0, 4)]).toEqual([what, 200, '%PDF']);
  }
  const student = hurrow.caller();
  await student.post('/api/session/student', { courseCode: planted.code, personalCode: 'SELMA2' });
  expect((await student.get(`/api/quizzes/${planted.quizId}/papers/key.pdf`)).status).toBe(403);
  expect((await student.get(`/api/quizzes/${planted.quizId}/rounds`)).status).toBe(403);
});

test('a colleague sits it blind: what was missed is listed, and counts for nobody', async () => {
  const at = `/api/quizzes/${planted.quizId}/tries`;
  const answers = [
    { position: 1, answer: { genus: 'Acer', epithet: 'rubrum' } },
    { position: 2, answer: { genus: 'Acer', epithet: 'rubrum' } },
  ];
  const { body } = await owner.post<Try>(at, { answers });
  expect(body).toMatchObject({
    answered: 2,
    missed: [{ position: 2, taxonId: planted.sugar.id, written: 'Acer rubrum' }],
  });
  expect((await owner.get<{ tries: Try[] }>(at)).body.tries).toEqual([body]);
  expect(
    (await owner.get<{ answers: unknown[] }>(`/api/quizzes/${planted.quizId}/marks`)).body.answers ?? [],
  ).toEqual([]);
  const gone = await owner.post(at, { answers: [{ position: 9, answer: {} }] });
  expect(gone).toMatchObject({
    status: 422,
    body: { message: expect.stringContaining('no station 9') as string },
  });
});
