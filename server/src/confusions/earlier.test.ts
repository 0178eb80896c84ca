import { plantCourse, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';
import type { ClassReport } from '@hurrow/contract/confusions';
import { courseOf } from '../courses/course.ts';
import { earlierClasses } from './earlier.ts';
import { gather } from './gather.ts';
import { keepReport } from './queries.ts';

let hurrow: TestHurrow;
beforeEach(async () => {
  hurrow = await startHurrow();
});
afterEach(() => hurrow.close());

/** This year's course, and last year's with the same list or another, whose report found the leaf's shape overlooked. */
async function twoYears(told: boolean, sameList = true) {
  const { owner, db } = hurrow;
  const { courseId, red, sugar } = await plantCourse(owner);
  const { body: held } = await owner.get<Record<string, unknown>>(`/api/courses/${courseId}`);
  const fields = ['weeks', 'audience', 'units', 'marking', 'latitude', 'longitude', 'elevation'];
  const { body: last } = await owner.post<{ id: string }>('/api/courses', {
    ...Object.fromEntries(fields.map((field) => [field, held[field]])),
    name: 'Maples, last year',
    startsOn: '2025-08-31',
  });
  const taxa = sameList ? [red.id, sugar.id] : [];
  await owner.put(`/api/courses/${last.id}/list`, { sets: [{ title: 'Maples', week: 1, taxa }] });
  const found = (chance: number) => ({
    characters: [
      {
        characterId: 'leaf.shape',
        overlooked: chance,
        ...(told ? { told: { offered: 9, told: 0, expected: 8 } } : {}),
      },
    ],
  });
  const keep = (key: string, chance: number, at: string) =>
    keepReport(db, last.id, key, found(chance) as unknown as ClassReport, new Date(at));
  await keep('older', 0.3, '2025-10-01T00:00:00Z');
  await keep('newest', 0.9, '2025-11-01T00:00:00Z');
  return { now: await courseOf(db, courseId), last: await courseOf(db, last.id) };
}

test('what last year’s class with the same list overlooked is taken in from its newest report, unless it is left out', async () => {
  const { now, last } = await twoYears(true);
  expect(await earlierClasses(hurrow.db, now)).toEqual({
    names: ['Maples, last year'],
    overlooked: { 'leaf.shape': 0.9 },
  });
  // Nothing is learnt from later years.
  expect(await earlierClasses(hurrow.db, last)).toBeUndefined();
  const [with_, without] = [await gather(hurrow.db, now, 'now'), await gather(hurrow.db, now, 'now', false)];
  expect(with_.input.earlier).toBeDefined();
  expect(without.input.earlier).toBeUndefined();
  expect(with_.key).not.toBe(without.key);
});

test.each([
  ['a class that told nothing', false, true],
  ['a class with another list', true, false],
])('%s is no guide', async (_, told, sameList) => {
  const { now } = await twoYears(told, sameList);
  expect(await earlierClasses(hurrow.db, now)).toBeUndefined();
});

test('hints of a class that told nothing are pooled, and it is not said to have overlooked anything', async () => {
  const { now, last } = await twoYears(false);
  const prompts = [{ characterId: 'leaf.shape', stations: 2, effect: 0.2, interval: [0.1, 0.3] }];
  const held = { characters: [], prompts } as unknown as ClassReport;
  await keepReport(hurrow.db, last.id, 'hinted', held, new Date('2025-12-01T00:00:00Z'));
  expect(await earlierClasses(hurrow.db, now)).toEqual({ names: [], overlooked: {}, prompts: [prompts] });
});
