import { courseOf } from '../courses/course.ts';
import { openedClass, startHurrow } from '../testing/testHurrow.ts';
import { countsOfEarlier } from './earlierCounts.ts';

test('an earlier class is counted once, and anew when an answer comes or a station is left out', async () => {
  const hurrow = await startHurrow();
  const { planted, rowan } = await openedClass(hurrow);
  const stations = await hurrow.db.query<{ id: string }>('select id from station order by position');
  const answer = (i: number) =>
    rowan.post('/api/sit/responses', {
      responses: [
        {
          id: `0f8fad5b-d9cb-469f-a165-70867728950${i}`,
          stationId: stations[i]!.id,
          answer: { genus: 'Acer', epithet: 'rubrum' },
          device: 'phone',
          sequence: i,
          writtenAt: '2026-10-15T16:00:00Z',
        },
      ],
    });
  const course = await courseOf(hurrow.db, planted.courseId);
  const asked = async () => (await countsOfEarlier(hurrow.db, [course]))[0]!.quizzes[0]?.asked ?? 0;
  const keptNow = async () => (await hurrow.db.query('select 1 from worked_out')).length;

  expect(await asked()).toBe(0);
  await answer(0);
  expect(await asked()).toBe(1);
  const kept = await keptNow();
  expect(await asked()).toBe(1);
  expect(await keptNow()).toBe(kept);
  await answer(1);
  expect(await asked()).toBe(2);
  await hurrow.db.query('update station set left_out = true where id = $1', [stations[0]!.id]);
  expect(await asked()).toBe(1);
  await hurrow.close();
});
