import { randomUUID } from 'node:crypto';
import { type TestHurrow, plantCourse, settingsOf, startHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
beforeEach(async () => {
  hurrow = await startHurrow();
});
afterEach(() => hurrow.close());

test('a course calls its trees in the language that it chose, and its students may write either name', async () => {
  const { owner } = hurrow;
  const planted = await plantCourse(owner);
  const library = (await owner.get<{ revision: number; taxa: { taxon: { id: string } }[] }>('/api/library'))
    .body;
  const { id: _id, ...red } = library.taxa.find(({ taxon }) => taxon.id === planted.red.id)!.taxon;
  const named = (namesIn: object) =>
    owner.put<{ message?: string }>(`/api/library/taxa/${planted.red.id}`, {
      taxon: { ...red, namesIn },
      changes: [],
      baseRevision: library.revision,
    });
  const refused = await named({ German: ['Rot-Ahorn'] });
  expect([refused.status, refused.body.message]).toEqual([
    422,
    expect.stringContaining('by its tag, such as de'),
  ]);
  expect((await named({ de: ['Rot-Ahorn', 'Sumpf-Ahorn'] })).status).toBe(200);

  const settings = await settingsOf(owner, planted.courseId);
  const marking = { policy: 'common', points: { name: 1, genus: 1, epithet: 1, family: 1 }, deduction: 0.25 };
  const body = { ...settings, marking, namesIn: 'de' };
  expect((await owner.put(`/api/courses/${planted.courseId}`, body)).status).toBe(200);
  await owner.post(`/api/quizzes/${planted.quizId}/open`);

  const names = ['Rot-Ahorn', 'red maple'];
  for (const [i, personalCode] of ['ROWAN1', 'SELMA2'].entries()) {
    const student = hurrow.caller();
    await student.post('/api/session/student', { courseCode: planted.code, personalCode });
    const { open } = (await student.get<{ open: { stations: { id: string }[] }[] }>('/api/sit')).body;
    const response = {
      id: randomUUID(),
      stationId: open[0]!.stations[0]!.id,
      answer: { name: names[i] },
      device: `phone-${i}`,
      sequence: 1,
      writtenAt: '2026-09-10T17:00:00Z',
    };
    await student.post('/api/sit/responses', { responses: [response] });
  }
  const marks = (
    await owner.get<{ list: { commonNames: string[] }[]; answers: { mark: { points: number } }[] }>(
      `/api/quizzes/${planted.quizId}/marks`,
    )
  ).body;
  expect(marks.list[0]!.commonNames).toEqual(['Rot-Ahorn', 'Sumpf-Ahorn', 'red maple']);
  expect(marks.answers.map(({ mark }) => mark.points)).toEqual([1, 1]);
});
