import type { Db } from '../db/index.ts';
import { plantCourse, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';
import { openQuiz } from './opening.ts';
import { quiz, stations } from './queries.ts';

let hurrow: TestHurrow;
beforeEach(async () => {
  hurrow = await startHurrow();
});
afterEach(() => hurrow.close());

const NOW = new Date('2026-09-10T16:00:00Z');
const nothing = async () => undefined;

/** A store in which something happens in the last moment before each of its transactions, as often as told. */
const disturbed = (db: Db, times: number, happens: () => Promise<unknown>): Db => {
  let left = times;
  return {
    ...db,
    transaction: async (work) => {
      if (left > 0) {
        left -= 1;
        await happens();
      }
      return db.transaction(work);
    },
  };
};

test('what a list says when the quiz opens is what its stations are fixed to, even if it changed while they were drawn', async () => {
  const { owner, db } = hurrow;
  const { quizId, courseId, red, sugar } = await plantCourse(owner);
  const shorter = () =>
    owner.put(`/api/courses/${courseId}/list`, {
      sets: [{ title: 'Turned round', week: 1, taxa: [sugar.id, red.id] }],
    });
  await openQuiz(disturbed(db, 1, shorter), quizId, NOW, nothing);
  expect((await quiz(db, quizId))!.state).toBe('open');
  const lists = (await stations(db, quizId)).map(({ frozen }) => frozen!.list.map(({ id }) => id));
  expect(lists).toEqual([
    [sugar.id, red.id],
    [sugar.id, red.id],
  ]);
});

test('where something changes again and again, the quiz stays planned and fixes nothing', async () => {
  const { owner, db } = hurrow;
  const { quizId, courseId, red, sugar } = await plantCourse(owner);
  let week = 1;
  const turned = () =>
    owner.put(`/api/courses/${courseId}/list`, {
      sets: [{ title: 'Turned', week: 1, taxa: week++ % 2 ? [sugar.id, red.id] : [red.id, sugar.id] }],
    });
  await expect(openQuiz(disturbed(db, 9, turned), quizId, NOW, nothing)).rejects.toMatchObject({
    status: 409,
  });
  expect((await quiz(db, quizId))!.state).toBe('planned');
  expect((await stations(db, quizId)).map(({ frozen }) => frozen)).toEqual([null, null]);
});

test('two who open at once open it once', async () => {
  const { owner, db } = hurrow;
  const { quizId } = await plantCourse(owner);
  let opened = 0;
  const count = async () => void (opened += 1);
  await Promise.all([openQuiz(db, quizId, NOW, count), openQuiz(db, quizId, NOW, count)]);
  expect(opened).toBe(1);
});

test('the individual that was previewed is the one that is fixed; where none was chosen, lots decide', async () => {
  const { owner, db } = hurrow;
  const { courseId, red, sugar } = await plantCourse(owner);
  const view = { organs: ['leaf', 'twig'], nearness: 'hand', aids: ['eye'], qualifiers: {} };
  const planned = [red.id, sugar.id].map((taxonId) => ({ taxonId, medium: 'drawing', view }));
  const body = {
    title: 'Quiz 2',
    heldOn: '2026-09-17',
    stations: [{ ...planned[0], seed: 4711 }, planned[1]],
  };
  const { id } = (await owner.post<{ id: string }>(`/api/courses/${courseId}/quizzes`, body)).body;
  await openQuiz(db, id, NOW, nothing);
  const [first, second] = (await stations(db, id)).map(({ frozen }) => frozen!.seed);
  expect(first).toBe(4711);
  expect(second).toBeGreaterThan(0);
});
