import { randomUUID } from 'node:crypto';
import { plantCourse, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';
import { difference } from './live.ts';

let hurrow: TestHurrow | undefined;
afterEach(() => hurrow?.close());

test('only what has changed is told', () => {
  expect(difference({ rowan: 3, selma: 1 }, { rowan: 4, selma: 1, tove: 1 })).toEqual({ rowan: 4, tove: 1 });
});

test('a page that watches hears all counts, and then each answer; students may not watch', async () => {
  hurrow = await startHurrow();
  const { owner } = hurrow;
  const { quizId, code, courseId } = await plantCourse(owner);
  const { students } = (
    await owner.get<{ students: { id: string; name: string }[] }>(`/api/courses/${courseId}`)
  ).body;
  const selma = students.find(({ name }) => name.startsWith('Selma'))!.id;
  await owner.post(`/api/quizzes/${quizId}/open`);
  const rowan = hurrow.caller();
  await rowan.post('/api/session/student', { courseCode: code, personalCode: 'ROWAN1' });
  expect((await rowan.get(`/api/quizzes/${quizId}/live`)).status).toBe(403);
  const { open } = (await rowan.get<{ open: { stations: { id: string; drawn: boolean }[] }[] }>('/api/sit'))
    .body;
  const [first, second] = open[0]!.stations;
  const send = (...stationIds: string[]) =>
    rowan.post<{ received: string[]; refused: unknown[] }>('/api/sit/responses', {
      responses: stationIds.map((stationId, i) => ({
        id: randomUUID(),
        stationId,
        answer: { genus: 'Acer', epithet: 'rubrum' },
        device: 'phone',
        sequence: i + 1,
        writtenAt: '2026-09-10T17:00:00Z',
      })),
    });

  const messages = owner.listen(`/api/quizzes/${quizId}/live`);
  expect((await messages.next()).value).toEqual({ students: {}, answered: {}, right: {} });
  const stray = randomUUID();
  const { received, refused } = (await send(first!.id, stray)).body;
  expect([received.length, refused.length]).toEqual([1, 1]);
  const heard = (await messages.next()).value as Record<'students' | 'answered' | 'right', object>;
  const [student] = Object.keys(heard.students);
  expect(heard).toMatchObject({ answered: { [first!.id]: 1 }, right: { [first!.id]: 1 } });
  await send(second!.id);
  // The second tree is another: it was answered, and not named.
  expect((await messages.next()).value).toEqual({
    students: { [student!]: 2 },
    answered: { [second!.id]: 1 },
    right: {},
  });
  // What staff enter from paper is told, too.
  await owner.post(`/api/quizzes/${quizId}/paper`, {
    studentId: selma,
    stationId: first!.id,
    answer: { genus: 'Acer', epithet: 'rubrum' },
  });
  expect((await messages.next()).value).toMatchObject({
    students: { [selma]: 1 },
    right: { [first!.id]: 2 },
  });
  await messages.return(undefined);

  // A phone that has a drawing already is told so.
  const path = `/api/sit/stations/${first!.id}/drawing.svg`;
  const drawing = await rowan.get(path);
  const tag = drawing.headers.get('etag')!;
  const again = await rowan.call('GET', path, undefined, { 'if-none-match': tag });
  expect([drawing.status, again.status]).toEqual([200, 304]);
  await owner.post(`/api/quizzes/${quizId}/close`);
  expect((await rowan.call('GET', path, undefined, { 'if-none-match': tag })).status).toBe(404);
});
