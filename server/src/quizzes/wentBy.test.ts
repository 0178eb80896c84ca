import { randomUUID } from 'node:crypto';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import type { Received, Sitting } from '@hurrow/contract/sitting';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';
import { isPrompted } from '@hurrow/core/station';
import { gather } from '../confusions/gather.ts';
import type { QuizCame } from '@hurrow/core/assembly';
import { classSoFar } from './classSoFar.ts';
import { courseOf } from '../courses/course.ts';

let hurrow: TestHurrow;
let planted: Awaited<ReturnType<typeof plantCourse>>;
let rowan: Caller;
beforeEach(async () => {
  hurrow = await startHurrow();
  planted = await plantCourse(hurrow.owner);
  rowan = hurrow.caller();
});
afterEach(() => hurrow.close());

/** Opens a quiz of which the first station asks what students went by and tells half of them where to look; the second does neither. */
async function asking() {
  const view = { organs: ['leaf', 'twig'], nearness: 'hand', aids: ['eye', 'lens'], qualifiers: {} };
  const stations = [planted.red.id, planted.sugar.id].map((taxonId, i) => ({
    taxonId,
    medium: 'drawing',
    view,
    ...(i === 0 ? { wentBy: true, prompt: 'leaf.shape' } : {}),
  }));
  const { owner } = hurrow;
  await owner.put(`/api/quizzes/${planted.quizId}`, { title: 'Quiz 1', heldOn: '2026-09-10', stations });
  await owner.post(`/api/quizzes/${planted.quizId}/open`);
  await rowan.post('/api/session/student', { courseCode: planted.code, personalCode: 'ROWAN1' });
  const { open } = (await rowan.get<Sitting>('/api/sit')).body;
  return open[0]!.stations;
}

const tell = (stationId: string, wentBy: string[], sequence = 1) =>
  rowan.post<Received>('/api/sit/responses', {
    responses: [
      {
        id: randomUUID(),
        stationId,
        answer: { genus: 'Acer', epithet: 'rubrum', wentBy },
        device: 'phone-1',
        sequence,
        writtenAt: '2026-09-10T17:00:00Z',
      },
    ],
  });

test('a checklist comes in words, organ by organ; what is ticked is kept, bears no points and reaches the report', async () => {
  const [first, second] = await asking();
  expect(second!.wentBy).toEqual([]);
  const offered = first!.wentBy.flatMap(({ characters }) => characters);
  expect(first!.wentBy.map(({ organ }) => organ)).toContain('leaves');
  expect(offered.find(({ id }) => id === 'leaf.shape')).toEqual({ id: 'leaf.shape', word: 'leaf shape' });
  await tell(first!.id, ['leaf.shape', 'leaf.base']);
  const { body } = await hurrow.owner.get<{ answers: { written: object; mark: { points: number } }[] }>(
    `/api/quizzes/${planted.quizId}/marks`,
  );
  expect(body.answers).toMatchObject([
    { written: { wentBy: ['leaf.shape', 'leaf.base'] }, mark: { points: 2 } },
  ]);
  const { input } = await gather(hurrow.db, await courseOf(hurrow.db, planted.courseId), 'now');
  expect(input.wentBy).toMatchObject([{ stationId: first!.id, told: ['leaf.shape', 'leaf.base'] }]);
  expect(input.wentBy[0]!.offered).toEqual(offered.map(({ id }) => id));
});

test('what was told moves what is in doubt of the class, and what came is held against what was expected', async () => {
  const [first] = await asking();
  await tell(first!.id, ['leaf.shape', 'leaf.base']);
  const so = await classSoFar(hurrow.db, await courseOf(hurrow.db, planted.courseId));
  expect(so.answered).toEqual({ [planted.red.id]: { answers: 1, right: 1 } });
  expect(Object.keys(so.doubtful).sort()).toEqual(
    first!.wentBy.flatMap(({ characters }) => characters.map(({ id }) => id)).sort(),
  );
  expect(so.doubtful['leaf.shape']).toBeLessThan(so.doubtful['leaf.apex']!);
  const { body } = await hurrow.owner.get<{ quizzes: QuizCame[] }>(
    `/api/courses/${planted.courseId}/expected-results`,
  );
  expect(body.quizzes).toMatchObject([{ quizId: planted.quizId, came: 1, stations: 1 }]);
  expect(body.quizzes[0]!.expected).toBeLessThan(1);
});

test('a guess is an answer of its own; no tick is none', async () => {
  const [first] = await asking();
  const reports = async () =>
    (await gather(hurrow.db, await courseOf(hurrow.db, planted.courseId), 'now')).input.wentBy;
  await tell(first!.id, []);
  expect(await reports()).toEqual([]);
  await tell(first!.id, ['a guess'], 2);
  expect(await reports()).toMatchObject([{ told: [] }]);
});

test.each([
  [0, ['bark.surface'], 'is not among what station 1 offers'],
  [1, ['leaf.shape'], 'Station 2 does not ask what the tree was named by'],
  [0, ['leaf.shape', 'leaf.base', 'leaf.apex', 'leaf.teeth'], 'Up to 3 things'],
])('at station %i, %j is refused and nothing of it stored', async (place, wentBy, message) => {
  const stations = await asking();
  const answer = await tell(stations[place]!.id, wentBy);
  expect(JSON.stringify(answer.body)).toContain(message);
  const { body } = await hurrow.owner.get<{ answers: object[] }>(`/api/quizzes/${planted.quizId}/marks`);
  expect(body.answers).toEqual([]);
});

test('answers from a file tell it in words; the plan says what is offered once it is fixed', async () => {
  await asking();
  const { owner } = hurrow;
  const quiz = (await owner.get<Quiz>(`/api/quizzes/${planted.quizId}`)).body;
  expect(quiz.stations.map(({ wentBy }) => wentBy)).toEqual([true, false]);
  expect(quiz.stations[0]!.offered).toContain('leaf.shape');
  const csv =
    'student,station,genus,epithet,went_by\nSelma Idowu,1,Acer,rubrum,leaf shape and base\nRowan Achterberg,1,Acer,rubrum,the wind\n';
  const report = await owner.post<{ refused: object[]; unknown: { message: string }[] }>(
    `/api/quizzes/${planted.quizId}/responses/import`,
    { csv, dryRun: false },
  );
  expect(report.body.refused).toEqual([]);
  expect(report.body.unknown).toMatchObject([
    { message: expect.stringMatching(/nothing that this station offers.*rule on it/) as string },
  ]);
  const { answers, words } = (await owner.get<Marks>(`/api/quizzes/${planted.quizId}/marks`)).body;
  expect(answers.map(({ written }) => written)).toMatchObject([
    { wentBy: ['leaf.shape', 'leaf.base'] },
    { wentByUnread: ['the wind'] },
  ]);
  expect(words).toEqual([]);
});

test('words on paper that nobody can read are ruled on for all papers, count from then on, and are taken back', async () => {
  const [first] = await asking();
  const { owner } = hurrow;
  const course = await courseOf(hurrow.db, planted.courseId);
  const told = async () => (await gather(hurrow.db, course, 'now')).input.wentBy.map((each) => each.told);
  const ruled = async () => (await owner.get<Marks>(`/api/quizzes/${planted.quizId}/marks`)).body.words;
  const { students } = (await owner.get<WholeCourse>(`/api/courses/${planted.courseId}`)).body;
  const at = `/api/quizzes/${planted.quizId}/words`;
  for (const { id: studentId } of students.slice(0, 2))
    await owner.post(`/api/quizzes/${planted.quizId}/paper`, {
      studentId,
      stationId: first!.id,
      answer: { genus: 'Acer', epithet: 'rubrum', wentBy: ['leaf.base'], wentByUnread: ['How it is Cut'] },
    });
  expect(await told()).toEqual([['leaf.base'], ['leaf.base']]);
  expect((await owner.post(at, { words: 'how it is cut', countsAs: 'leaf.shape' })).status).toBe(200);
  expect(await told()).toEqual([
    ['leaf.base', 'leaf.shape'],
    ['leaf.base', 'leaf.shape'],
  ]);
  const [word] = await ruled();
  expect(word).toMatchObject({ countsAs: 'leaf.shape' });
  expect((await owner.call('DELETE', `${at}/${word!.id}`)).status).toBe(200);
  expect(await told()).toEqual([['leaf.base'], ['leaf.base']]);
  expect(await ruled()).toEqual([]);
  await owner.post(at, { words: 'how it is cut', countsAs: null });
  expect(await ruled()).toMatchObject([{ countsAs: null }]);
  expect((await owner.post(at, { words: 'x', countsAs: 'leaf.gone' })).status).toBe(422);
  expect((await owner.call('DELETE', `${at}/999`)).status).toBe(404);
  expect((await rowan.post(at, { words: 'x', countsAs: null })).status).toBe(403);
  // A phone ticks and writes nothing.
  const sent = await rowan.post('/api/sit/responses', {
    responses: [
      {
        id: randomUUID(),
        stationId: first!.id,
        answer: { genus: 'Acer', wentByUnread: ['x'] },
        device: 'phone-1',
        sequence: 1,
        writtenAt: '2026-09-10T17:00:00Z',
      },
    ],
  });
  expect(JSON.stringify(sent.body)).toContain('wentByUnread');
  expect((await owner.get<Marks>(`/api/quizzes/${planted.quizId}/marks`)).body.answers).toHaveLength(2);
});

test('a hint reaches half of the students by lot; what they answered on their phones is counted, what is on paper is not', async () => {
  const [first, second] = await asking();
  const { owner } = hurrow;
  const { students } = (
    await owner.get<{ students: { id: string; name: string }[] }>(`/api/courses/${planted.courseId}`)
  ).body;
  const own = students.find(({ name }) => name === 'Rowan Achterberg')!;
  const prompted = isPrompted(first!.id, own.id);
  expect(first!.prompt).toBe(prompted ? 'leaf shape' : null);
  expect(second!.prompt).toBeNull();
  await tell(first!.id, []);
  const selma = students.find(({ name }) => name === 'Selma Idowu')!;
  await owner.post(`/api/quizzes/${planted.quizId}/paper`, {
    studentId: selma.id,
    stationId: first!.id,
    answer: { genus: 'Acer', epithet: 'rubrum' },
  });
  const { input } = await gather(hurrow.db, await courseOf(hurrow.db, planted.courseId), 'now');
  expect(input.answers).toHaveLength(2);
  expect(input.prompted).toEqual([
    { characterId: 'leaf.shape', stationId: first!.id, prompted, right: true },
  ]);
});

test('a hint to look at what is not shown is refused with the station', async () => {
  const view = { organs: ['leaf'], nearness: 'hand', aids: ['eye'], qualifiers: {} };
  const refused = await hurrow.owner.put<{ message: string }>(`/api/quizzes/${planted.quizId}`, {
    title: 'Quiz 1',
    heldOn: '2026-09-10',
    stations: [{ taxonId: planted.red.id, medium: 'photo', view, prompt: 'bark.surface' }],
  });
  expect(refused.status).toBe(422);
  expect(refused.body.message).toContain('Station 1 tells half of its students to look at “bark surface”');
});
