import { randomUUID } from 'node:crypto';
import type { KeptSort } from '@hurrow/contract/sorts';
import { openedClass, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';
import { readInSorts } from '../confusions/noted.ts';

let hurrow: TestHurrow;
let owner: Caller;
let rowan: Caller;
let planted: Awaited<ReturnType<typeof openedClass>>['planted'];
let at: string;

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  ({ planted, rowan } = await openedClass(hurrow));
  at = `/api/courses/${planted.courseId}`;
});
afterAll(() => hurrow.close());

const twigs = () =>
  ['7', '8', '9', '12'].map((tag, i) => ({ tag, taxonId: i < 2 ? planted.red.id : planted.sugar.id }));
const openLessons = async () => {
  const {
    sets: _s,
    students: _t,
    quizzes: _q,
    role: _r,
    id: _i,
    code: _c,
    ...settings
  } = (await owner.get<Record<string, unknown>>(at)).body;
  expect((await owner.put(at, { ...settings, opens: ['lessons'] })).status).toBe(200);
  await owner.post(`/api/quizzes/${planted.quizId}/close`);
};

test('a bag is filled by whoever teaches, each twig with a tag of its own and a tree of the list', async () => {
  expect((await owner.get(`${at}/bag`)).body).toEqual({ twigs: [] });
  expect((await owner.put(`${at}/bag`, { twigs: twigs() })).status).toBe(200);
  expect((await owner.get(`${at}/bag`)).body).toEqual({ twigs: twigs() });
  const twice = [twigs()[0], twigs()[0]];
  expect((await owner.put(`${at}/bag`, { twigs: twice })).body.message).toContain('a tag of its own');
  const stray = [{ tag: '1', taxonId: 'quercus-nowhere' }];
  expect((await owner.put(`${at}/bag`, { twigs: stray })).body.message).toContain('not on the list');
  expect((await rowan.put(`${at}/bag`, { twigs: [] })).status).toBe(403);
});

test('students have it where the course opens lessons, of their own course', async () => {
  expect((await rowan.get(`${at}/bag`)).status).toBe(404);
  await openLessons();
  expect((await rowan.get(`${at}/bag`)).body).toEqual({ twigs: twigs() });
});

test('a sort of real twigs is kept with their tags, and read as what the student saw', async () => {
  const body = {
    day: 200,
    seed: 1,
    taxa: [planted.red.id, planted.sugar.id],
    real: twigs(),
    piles: { specimens: [0, 1, 2, 3], into: [{ specimens: [0, 1] }, { specimens: [2, 3] }] },
    said: {},
  };
  const id = randomUUID();
  expect((await rowan.put(`/api/sit/sorts/${id}`, body)).status).toBe(200);
  const { sorts } = (await rowan.get<{ sorts: KeptSort[] }>('/api/sit/sorts')).body;
  expect(sorts[0]!.real).toEqual(twigs());
  const { seen } = await readInSorts(hurrow.db, planted.courseId);
  expect(seen.map(({ characterId, said }) => [characterId, said])).toEqual([
    ['leaf.shape', 'ovate'],
    ['leaf.shape', 'ovate'],
    ['leaf.shape', 'orbicular'],
    ['leaf.shape', 'orbicular'],
  ]);
  // Another bag later changes nothing of what was sorted.
  await owner.put(`${at}/bag`, { twigs: [] });
  expect((await readInSorts(hurrow.db, planted.courseId)).seen).toEqual(seen);
});
