import { plantCourse, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let planted: Awaited<ReturnType<typeof plantCourse>>;
beforeAll(async () => {
  hurrow = await startHurrow();
  planted = await plantCourse(hurrow.owner);
});
afterAll(() => hurrow.close());

test('what is done otherwise for a student is for staff, takes off nothing for spelling, and goes with the name', async () => {
  const { owner } = hurrow;
  const course = `/api/courses/${planted.courseId}`;
  const listed = async () =>
    (await owner.get<{ students: { id: string; name: string; needs: string[] }[] }>(course)).body.students;
  const [rowan] = await listed();
  expect(rowan!.needs).toEqual([]);
  await owner.post(`/api/quizzes/${planted.quizId}/open`);
  const { body } = await owner.get<{ stations: { id: string }[] }>(`/api/quizzes/${planted.quizId}/marks`);
  await owner.post(`/api/quizzes/${planted.quizId}/paper`, {
    studentId: rowan!.id,
    stationId: body.stations[0]!.id,
    answer: { genus: 'Acer', epithet: 'rubrm' },
  });
  const points = async () =>
    (await owner.get<{ answers: { mark: { points: number } }[] }>(`/api/quizzes/${planted.quizId}/marks`))
      .body.answers[0]!.mark.points;
  expect(await points()).toBe(1.75);
  const needs = ['noSmell', 'spelling'];
  expect((await owner.put(`${course}/students/${rowan!.id}/needs`, { needs })).status).toBe(200);
  expect((await listed())[0]!.needs).toEqual(needs);
  expect(await points()).toBe(2);
  expect((await owner.put(`${course}/students/${rowan!.id}/needs`, { needs: ['wings'] })).status).toBe(422);
  expect((await owner.put(`${course}/students/${planted.courseId}/needs`, { needs })).status).toBe(404);

  const student = hurrow.caller();
  await student.post('/api/session/student', { courseCode: planted.code, personalCode: 'ROWAN1' });
  expect((await student.put(`${course}/students/${rowan!.id}/needs`, { needs: [] })).status).toBe(403);
  expect(JSON.stringify((await student.get(course)).body)).not.toContain('noSmell');
  const history = JSON.stringify((await owner.get(`/api/history?courseId=${planted.courseId}`)).body);
  expect(history).toContain('done otherwise for a student');
  expect(history).not.toContain('noSmell');
});
