import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import type { CourseNotebook, Entry, EntryBody } from '@hurrow/contract/notebook';
import { MOST_PICTURES } from '@hurrow/contract/limits';
import type { KeptSort } from '@hurrow/contract/sorts';
import { newTree } from '@hurrow/core/grounds';
import { laidOut, readAsSaid, readingsOfSort, sortPile, tableView } from '@hurrow/core/sorting';
import { readInNotebooks, readInSorts } from '../confusions/noted.ts';
import { courseOf } from '../courses/course.ts';
import { committedLibrary } from '../library/committed.ts';
import { MAPLES, plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let owner: Caller;
let rowan: Caller;
let selma: Caller;
let planted: Awaited<ReturnType<typeof plantCourse>>;

const ENTRY: EntryBody = {
  day: '2026-09-12',
  tag: 'T1',
  organ: 'leaf',
  words: 'Toothed all round, two sizes of teeth',
  chosen: [{ characterId: 'leaf.teeth', state: 'single' }],
  drawing: [
    [
      [0, 0],
      [1000, 1000],
    ],
  ],
};
const write = (id: string, body: object = ENTRY, caller = rowan) =>
  caller.put(`/api/sit/notebook/${id}`, body);
const own = async (caller = rowan) =>
  (await caller.get<{ entries: Entry[] }>('/api/sit/notebook')).body.entries;
const opens = (parts: string[]) => owner.put(`/api/courses/${planted.courseId}`, { ...MAPLES, opens: parts });
const signedIn = async (personalCode: string) => {
  const caller = hurrow.caller();
  await caller.post('/api/session/student', { courseCode: planted.code, personalCode });
  return caller;
};

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  planted = await plantCourse(owner);
  rowan = await signedIn('ROWAN1');
  selma = await signedIn('SELMA2');
  await opens(['notebook', 'lessons']);
});
afterAll(() => hurrow.close());

test('an entry is kept once, changed by who wrote it, and seen by nobody else of the class', async () => {
  const id = randomUUID();
  expect((await write(id)).status).toBe(200);
  await write(id, { ...ENTRY, words: 'Two sizes of teeth' });
  expect(await own()).toEqual([{ ...ENTRY, words: 'Two sizes of teeth', id, pictures: [] }]);
  expect(await own(selma)).toEqual([]);
  expect((await write(id, ENTRY, selma)).status).toBe(404);
  expect((await selma.call('DELETE', `/api/sit/notebook/${id}`)).status).toBe(404);
  expect((await rowan.call('DELETE', `/api/sit/notebook/${id}`)).status).toBe(200);
  expect(await own()).toEqual([]);
});

test('an entry that says nothing, names no state, or comes where none is kept is refused with what to do', async () => {
  const empty = await write(randomUUID(), { ...ENTRY, words: '', chosen: [], drawing: [] });
  expect(empty).toMatchObject({
    status: 422,
    body: { message: expect.stringContaining('Write what you see') as string },
  });
  const stray = await write(randomUUID(), {
    ...ENTRY,
    chosen: [{ characterId: 'leaf.teeth', state: 'wisdom' }],
  });
  expect(stray.status).toBe(422);
  expect((await write('no-uuid')).status).toBe(422);
  await opens([]);
  expect((await write(randomUUID())).body.message).toContain('keeps no notebook now');
  await opens(['notebook', 'lessons']);
});

test('photographs are encoded again, kept once, and shown to the one whose they are and to those who teach', async () => {
  const id = randomUUID();
  await write(id);
  const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#6a6' } })
    .jpeg()
    .toBuffer();
  const ids = Array.from({ length: MOST_PICTURES }, () => randomUUID());
  const send = (pictureId: string) =>
    rowan.upload(`/api/sit/notebook/${id}/pictures/${pictureId}`, picture, 'image/jpeg');
  for (const pictureId of [...ids, ids[0]!]) expect((await send(pictureId)).status).toBe(200);
  expect((await send(randomUUID())).status).toBe(422);
  expect((await own())[0]!.pictures).toHaveLength(MOST_PICTURES);
  const seen = await Promise.all(
    [rowan, owner, selma].map((who) => who.get(`/api/notebook/pictures/${ids[0]!}`)),
  );
  expect(seen.map(({ status }) => status)).toEqual([200, 200, 404]);
  expect(seen[0]!.headers.get('content-type')).toBe('image/webp');
});

test('whoever teaches says which tree a tag is and what words mean, types in paper, and the readings come to the report', async () => {
  const at = `/api/courses/${planted.courseId}`;
  await owner.put(`${at}/tags`, { tag: 'T1', taxonId: planted.red.id });
  expect((await owner.put(`${at}/tags`, { tag: 'T1', taxonId: 'quercus-nowhere' })).status).toBe(404);
  const phrases = [{ phrase: 'bread knife', characterId: 'leaf.teeth', state: 'single' }];
  expect((await owner.put(`${at}/notebook-words`, { phrases })).status).toBe(200);
  expect(
    (await owner.put(`${at}/notebook-words`, { phrases: [{ ...phrases[0], state: 'none such' }] })).status,
  ).toBe(422);
  const students = (await owner.get<{ students: { id: string; name: string }[] }>(at)).body.students;
  const studentId = students.find(({ name }) => name.startsWith('Selma'))!.id;
  const paper = { ...ENTRY, studentId, chosen: [{ characterId: 'leaf.teeth', state: 'double' }] };
  expect((await owner.put(`${at}/notebook/${randomUUID()}`, paper)).status).toBe(200);
  const { body } = await owner.get<CourseNotebook>(`${at}/notebook`);
  expect(body).toMatchObject({ tags: { T1: planted.red.id }, phrases });
  expect(body.entries.map(({ student, onPaper }) => [student.slice(0, 5), onPaper]).sort()).toEqual([
    ['Rowan', false],
    ['Selma', true],
  ]);
  const seen = await readInNotebooks(hurrow.db, await courseOf(hurrow.db, planted.courseId));
  expect(seen.map(({ said, right }) => [said, right]).sort()).toEqual([
    ['double', ['double']],
    ['single', ['double']],
  ]);
});

test('a sort is kept as it lies, and read off the twigs that its seed lays out', async () => {
  const taxa = [planted.red.id, planted.sugar.id];
  const read = await committedLibrary(hurrow.db);
  const { vocabulary } = read;
  const table = laidOut(read.profilesOf(taxa), vocabulary, tableView(200), 7);
  const round = table.flatMap(({ known }, place) => (known['leaf.shape'] === 'orbicular' ? [place] : []));
  expect(round).toHaveLength(6);
  const piles = sortPile({ specimens: table.map((_, place) => place) }, round);
  const ways = [0, 1, 2, 3].find(
    (way) => readAsSaid(piles, { '': way }, table, vocabulary).parting?.characterId === 'leaf.shape',
  );
  const body = { day: 200, seed: 7, taxa, piles, said: { '': ways ?? 0 } };
  const id = randomUUID();
  expect((await rowan.put(`/api/sit/sorts/${id}`, body)).status).toBe(200);
  expect((await selma.put(`/api/sit/sorts/${id}`, body)).status).toBe(404);
  expect((await rowan.get<{ sorts: KeptSort[] }>('/api/sit/sorts')).body.sorts).toMatchObject([
    { ...body, id },
  ]);
  const { seen, wentBy } = await readInSorts(hurrow.db, planted.courseId);
  expect(wentBy).toMatchObject([
    { from: 'sorting', offered: ['leaf.shape', 'leaf.length'], told: ['leaf.shape'] },
  ]);
  expect(seen).toHaveLength(readingsOfSort(readAsSaid(piles, body.said, table, vocabulary), table).length);
  expect(seen.length).toBeGreaterThan(0);
  // One that was kept before its readings were is read anew.
  await hurrow.db.query('update sort set readings = null');
  expect(await readInSorts(hurrow.db, planted.courseId)).toEqual({ seen, wentBy });
  expect(
    (await rowan.put(`/api/sit/sorts/${randomUUID()}`, { ...body, taxa: ['a', 'b'] })).body.message,
  ).toContain('not on the list');
  const at = `/api/courses/${planted.courseId}/sorts`;
  await owner.put(`${at}/${randomUUID()}`, { ...body, who: 'Table 3' });
  const { sorts } = (await owner.get<{ sorts: { who: string }[] }>(at)).body;
  expect(sorts.map(({ who }) => who).sort()).toEqual(['Rowan Achterberg', 'Table 3']);
});

test('a pile is sorted into two that hold its own twigs: anything else is refused, and reads nothing for the class', async () => {
  const body = { day: 200, seed: 7, taxa: [planted.red.id, planted.sugar.id], said: {} };
  const twigs = [0, 1, 2, 3];
  const wrong = [
    [[0, 1], [2]],
    [
      [0, 1],
      [1, 2, 3],
    ],
    [
      [0, 1],
      [2, 3, 50],
    ],
  ];
  for (const [first, second] of wrong) {
    const below = { specimens: twigs, into: [{ specimens: first }, { specimens: second }] };
    for (const piles of [below, { specimens: [0, 1, 2, 3, 4], into: [below, { specimens: [4] }] }]) {
      const answer = await rowan.put(`/api/sit/sorts/${randomUUID()}`, { ...body, piles });
      expect([answer.status, answer.body.message]).toEqual([
        422,
        expect.stringContaining('each twig of it lies on one of the two'),
      ]);
    }
  }
  expect((await owner.get(`/api/courses/${planted.courseId}/confusions`)).status).toBe(200);
});

test('a student who has noted something stays on the list; removed wholly, nothing of it is left', async () => {
  const at = `/api/courses/${planted.courseId}/students`;
  const [student] = (
    await owner.get<{ students: { id: string; name: string }[] }>(`/api/courses/${planted.courseId}`)
  ).body.students;
  expect((await owner.call('DELETE', `${at}/${student!.id}`)).status).toBe(409);
  const everything = await owner.get<{ notebook: unknown[]; sorts: unknown[] }>(
    `${at}/${student!.id}/everything`,
  );
  expect(everything.body.notebook.length).toBeGreaterThan(0);
  await owner.post(`${at}/${student!.id}/remove`, { how: 'wholly', sure: student!.name });
  const left = await owner.get<CourseNotebook>(`/api/courses/${planted.courseId}/notebook`);
  expect(left.body.entries.some(({ studentId }) => studentId === student!.id)).toBe(false);
});

test('a tag of the grounds names its tree, unless the course says otherwise', async () => {
  const { id } = (
    await owner.post<{ id: string }>('/api/grounds', {
      name: 'Loop',
      latitude: 47,
      longitude: -116,
      elevation: 800,
    })
  ).body;
  const tree = { ...newTree('G 5', 47, -116), taxonId: 'acer-rubrum' };
  await owner.post(`/api/grounds/${id}/trees`, { trees: [tree] });
  const path = `/api/courses/${planted.courseId}`;
  const tags = async () => (await owner.get<CourseNotebook>(`${path}/notebook`)).body.tags;
  expect(await tags()).toMatchObject({ 'G 5': 'acer-rubrum' });
  await owner.put(`${path}/tags`, { tag: 'g-5', taxonId: 'acer-saccharum' });
  expect(await tags()).toMatchObject({ 'g-5': 'acer-saccharum' });
  expect(Object.keys(await tags())).not.toContain('G 5');
});
