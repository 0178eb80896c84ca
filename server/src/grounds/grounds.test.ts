import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import type { WholeGrounds } from '@hurrow/contract/grounds';
import type { Collecting, CollectingBody, ItemBody, Walk, WalkBody } from '@hurrow/contract/outings';
import { newTree, type TreeFacts } from '@hurrow/core/grounds';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let owner: Caller;
let groundsId: string;
let courseId: string;

const PLACE = { name: 'Lower trail', latitude: 47.6, longitude: -116.4, elevation: 780 };
const facts = (tag: string, more: Partial<TreeFacts> = {}): TreeFacts => ({
  ...newTree(tag, 47.6, -116.4),
  ...more,
});
const keep = (id: string, body: TreeFacts, baseVersion = 0) =>
  owner.put<{ version: number }>(`/api/grounds/${groundsId}/trees/${id}`, { ...body, baseVersion });
const whole = async () => (await owner.get<WholeGrounds>(`/api/grounds/${groundsId}`)).body;

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  courseId = (await plantCourse(owner)).courseId;
  groundsId = (await owner.post<{ id: string }>('/api/grounds', PLACE)).body.id;
});
afterAll(() => hurrow.close());

test('a tree is kept once, changed on what was seen last, and its tag is its own', async () => {
  const id = randomUUID();
  const rubrum = facts('T-1', { taxonId: 'acer-rubrum', reach: { leaf: 'hand' } });
  expect((await keep(id, rubrum)).body.version).toBe(1);
  // Sent again, as a phone does that heard no answer.
  expect((await keep(id, rubrum)).body.version).toBe(1);
  expect((await keep(id, { ...rubrum, height: 12 }, 1)).body.version).toBe(2);
  expect((await keep(id, { ...rubrum, height: 99 }, 1)).status).toBe(409);
  expect((await keep(randomUUID(), facts('t 1'))).body.message).toMatch(/another/);
  expect((await keep(randomUUID(), facts('T-2', { taxonId: 'no-such-tree' }))).status).toBe(404);
  expect((await keep(randomUUID(), facts('T-2', { height: 900 }))).status).toBe(422);
  expect((await whole()).trees).toEqual([{ ...rubrum, height: 12, id, version: 2 }]);
  expect((await owner.get<{ grounds: unknown[] }>('/api/grounds')).body.grounds).toEqual([
    { ...PLACE, id: groundsId, trees: 1 },
  ]);
});

test('a tag that is free again is given to another tree', async () => {
  const [first, second] = [randomUUID(), randomUUID()];
  await keep(first, facts('T-9'));
  await owner.call('DELETE', `/api/grounds/${groundsId}/trees/${first}`);
  expect((await keep(second, facts('T-9'))).status).toBe(200);
  expect((await keep(first, facts('T-10'), 1)).status).toBe(404);
  await owner.call('DELETE', `/api/grounds/${groundsId}/trees/${second}`);
});

test('trees of a file: those with a tag that is there are changed, all or none', async () => {
  const bring = (trees: TreeFacts[]) => owner.post(`/api/grounds/${groundsId}/trees`, { trees });
  expect((await bring([facts('T-1', { note: 'from a file' }), facts('T-30')])).body).toEqual({
    added: 1,
    changed: 1,
  });
  expect((await bring([facts('T-31'), facts('T-32', { taxonId: 'no-such-tree' })])).status).toBe(404);
  expect((await bring([facts('T-33'), facts('t 33')])).body.message).toMatch(/twice/);
  expect((await whole()).trees.map(({ tag }) => tag)).toEqual(['T-1', 'T-30']);
});

test('the map is kept, and not over the change of somebody else', async () => {
  const line = {
    type: 'Feature',
    properties: { kind: 'path', name: 'Loop' },
    geometry: {
      type: 'LineString',
      coordinates: [
        [-116.4, 47.6],
        [-116.39, 47.6],
      ],
    },
  };
  const draw = (features: unknown[], baseVersion: number) =>
    owner.put(`/api/grounds/${groundsId}/map`, {
      features: { type: 'FeatureCollection', features },
      baseVersion,
    });
  expect((await draw([line], 1)).status).toBe(200);
  expect((await draw([], 1)).status).toBe(409);
  expect((await draw([{ ...line, properties: { kind: 'castle', name: '' } }], 2)).status).toBe(422);
  expect((await whole()).features.features).toEqual([line]);
});

describe('what is seen and measured of a tree', () => {
  const id = randomUUID();
  beforeAll(() => keep(id, facts('T-50', { taxonId: 'acer-rubrum' })));
  const tree = async () => (await whole()).trees.find((each) => each.id === id)!;
  const measure = (kind: string, value: number, more: object = {}, measurementId = randomUUID()) =>
    owner.put(`/api/grounds/${groundsId}/measurements/${measurementId}`, {
      treeId: id,
      day: '2026-10-15',
      kind,
      value,
      error: 0.2,
      parts: [],
      working: ['by hand'],
      toProfile: false,
      ...more,
    });

  test('an observation is kept once and can be taken back', async () => {
    const seen = { treeId: id, day: '2026-10-14', part: 'leaves', there: true, note: 'turning' };
    const path = `/api/grounds/${groundsId}/observations/${randomUUID()}`;
    await owner.put(path, seen);
    await owner.put(path, { ...seen, there: false });
    expect((await whole()).observations).toMatchObject([{ ...seen, there: false, by: 'Ines Falk' }]);
    await owner.call('DELETE', path);
    expect((await whole()).observations).toEqual([]);
    expect((await owner.put(path, { ...seen, treeId: randomUUID() })).status).toBe(404);
  });

  test('the tree takes the newest measurement of each kind, once', async () => {
    const once = randomUUID();
    await measure('height', 14.2, {}, once);
    await measure('height', 14.2, {}, once);
    expect((await tree()).version).toBe(2);
    await measure('girth', 1, { parts: [0.6, 0.8] });
    await measure('height', 9, { day: '2025-06-01' });
    expect(await tree()).toMatchObject({ height: 14.2, girths: [0.6, 0.8] });
    expect((await whole()).measurements.map(({ kind, value }) => [kind, value])).toEqual([
      ['girth', 1],
      ['height', 14.2],
      ['height', 9],
    ]);
  });

  test('the profile of its species takes it where that is asked for; what has no place there is refused whole', async () => {
    await measure('height', 14.5, { toProfile: true });
    await measure('height', 15.5, { toProfile: true, day: '2026-10-16' });
    const sheetsAnswer = (
      await owner.get<{ sheets: { characterId: string; values: object[] }[] }>(
        '/api/library/taxa/acer-rubrum/sheets',
      )
    ).body;
    const { sheets } = sheetsAnswer;
    expect(sheets).toMatchObject([
      { characterId: 'habit.height', values: [{ value: 14.5, note: 'T-50, 2026-10-15' }, { value: 15.5 }] },
    ]);
    // A girth is a diameter in a profile, in metres as all lengths are stored.
    await measure('girth', Math.PI * 0.4, { toProfile: true, day: '2026-10-17' });
    const path = '/api/library/taxa/acer-rubrum/sheets';
    const girth = (await owner.get<typeof sheetsAnswer>(path)).body.sheets.find(
      ({ characterId }) => characterId === 'habit.dbh',
    )!;
    expect(girth.values).toMatchObject([{ value: 0.4 }]);
    expect((await measure('furrow', 0.02, { toProfile: true })).body.message).toMatch(/no place/);
    const before = (await whole()).measurements.length;
    expect((await measure('age', 80, { toProfile: true })).status).toBe(422);
    expect((await whole()).measurements).toHaveLength(before);
  });

  test('a photograph is encoded again, kept once, seen by staff alone, and can be taken out', async () => {
    const png = await sharp({ create: { width: 40, height: 30, channels: 3, background: 'green' } })
      .png()
      .toBuffer();
    const pictureId = randomUUID();
    const add = (treeId: string) =>
      owner.upload(`/api/grounds/${groundsId}/trees/${treeId}/pictures/${pictureId}`, png, 'image/png');
    await add(id);
    await add(id);
    expect((await whole()).pictures).toMatchObject([
      { id: pictureId, treeId: id, day: '2026-10-15', by: 'Ines Falk' },
    ]);
    const path = `/api/grounds/${groundsId}/pictures/${pictureId}`;
    expect((await owner.get(path)).headers.get('content-type')).toBe('image/webp');
    expect((await hurrow.caller().get(path)).status).toBe(401);
    expect((await add(randomUUID())).status).toBe(404);
    await owner.call('DELETE', path);
    expect((await owner.get(path)).status).toBe(404);
  });

  test('tags are printed for trees, and said where there are none', async () => {
    const pdf = await owner.get(`/api/grounds/${groundsId}/tags.pdf?trees=${id}`);
    expect(pdf.headers.get('content-type')).toBe('application/pdf');
    expect((await owner.get(`/api/grounds/${groundsId}/tags.pdf?trees=${randomUUID()}`)).status).toBe(422);
  });
});

test('a walk is kept, printed and given up', async () => {
  const { trees } = await whole();
  const id = randomUUID();
  const at = { latitude: 47.6, longitude: -116.4 };
  const body: WalkBody = {
    groundsId,
    name: 'Lab 6',
    day: '2026-10-16',
    begins: '14:30',
    beginsAt: Date.parse('2026-10-16T21:30:00Z'),
    treeIds: trees.map((tree) => tree.id),
    minutes: 4,
    stepFree: false,
    unlike: false,
    start: at,
    end: at,
    checklists: [
      {
        title: 'Go or no-go',
        points: [
          { words: 'Wind', done: true },
          { words: 'Smoke', done: false },
        ],
      },
    ],
  };
  const path = `/api/courses/${courseId}/walks/${id}`;
  expect((await owner.put(path, { ...body, baseVersion: 0 })).body).toEqual({ version: 1 });
  // Sent again it is the same; another change on what was there before is refused.
  expect((await owner.put(path, { ...body, baseVersion: 0 })).body).toEqual({ version: 1 });
  expect((await owner.put(path, { ...body, name: 'Lab 7', baseVersion: 0 })).status).toBe(409);
  expect((await owner.put(path, { ...body, begins: '25:00', baseVersion: 1 })).status).toBe(422);
  expect((await owner.get<{ walks: Walk[] }>(`/api/courses/${courseId}/walks`)).body.walks).toEqual([
    { ...body, id, version: 1 },
  ]);
  expect((await owner.get(`${path}/walk.pdf?paper=a4`)).headers.get('content-type')).toBe('application/pdf');
  await owner.call('DELETE', path);
  expect((await owner.get(`${path}/walk.pdf`)).status).toBe(404);
});

test('a piece that was cut is kept once, whatever becomes of it leaves a trace, and its label is printed', async () => {
  const { trees } = await whole();
  const id = randomUUID();
  const itemId = randomUUID();
  const list: CollectingBody = {
    groundsId,
    name: 'Quiz 4',
    day: '2026-10-16',
    quizId: null,
    chosen: {},
    pestHosts: false,
    needs: [{ id: 'station 1', taxonId: 'acer-rubrum', kind: 'cutting', serves: 'station 1' }],
  };
  const path = `/api/courses/${courseId}/collecting/${id}`;
  await owner.put(path, { ...list, baseVersion: 0 });
  expect((await owner.put(path, { ...list, name: 'Quiz 5', baseVersion: 0 })).body.message).toMatch(
    /“Quiz 4” was changed by someone else/,
  );
  const item: ItemBody = {
    needId: 'station 1',
    treeId: trees[0]!.id,
    cutAt: '2026-10-16T15:00:00Z',
    cutter: 'Ines Falk',
    stored: 'cooler 1',
    goodUntil: '2026-10-19',
    spares: 1,
    confirmedBy: '',
    state: 'kept',
    note: '',
  };
  const cut = (body: object) => owner.put(`${path}/items/${itemId}`, body);
  expect((await owner.get(`${path}/labels.pdf`)).status).toBe(422);
  await cut(item);
  await cut(item);
  await cut({ ...item, confirmedBy: 'Otto Brandt' });
  await cut({ ...item, confirmedBy: 'Otto Brandt', state: 'wilted' });
  const [kept] = (await owner.get<{ lists: Collecting[] }>(`/api/courses/${courseId}/collecting`)).body.lists;
  expect(kept).toMatchObject({ ...list, id });
  expect(kept!.items).toHaveLength(1);
  expect(kept!.items[0]!.trace.map(({ what }) => what)).toEqual([
    'cut',
    'name confirmed by Otto Brandt',
    'now wilted',
  ]);
  expect((await cut({ ...item, needId: 'station 99' })).body.message).toMatch(/no longer on it/);
  await cut(item);
  expect((await owner.get(`${path}/labels.pdf`)).headers.get('content-type')).toBe('application/pdf');
  await owner.call('DELETE', `${path}/items/${itemId}`);
  await owner.call('DELETE', path);
  expect((await owner.get<{ lists: unknown[] }>(`/api/courses/${courseId}/collecting`)).body.lists).toEqual(
    [],
  );
});

test('students come nowhere near it', async () => {
  const rowan = hurrow.caller();
  await rowan.post('/api/session/student', { courseCode: 'MAPLE', personalCode: 'ROWAN1' });
  for (const path of [
    `/api/grounds`,
    `/api/grounds/${groundsId}`,
    `/api/courses/${courseId}/walks`,
    `/api/courses/${courseId}/collecting`,
    '/api/instruments/live',
  ])
    expect([401, 403]).toContain((await rowan.get(path)).status);
});
