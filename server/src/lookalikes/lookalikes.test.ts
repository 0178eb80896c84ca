import { buildKey } from '@hurrow/core/key';
import { readLibrary, type Library } from '@hurrow/core/library';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';
import { baseOf } from '../testing/libraryOf.ts';

let hurrow: TestHurrow;
let owner: Caller;
let ids: string[];
let library: Library;

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  await plantCourse(owner);
  library = (await owner.get<Library>('/api/library')).body;
  ids = library.taxa.map(({ taxon }) => taxon.id);
});
afterAll(() => hurrow.close());

interface Held {
  revision: number;
  sureWays: Record<string, { text: string; characters: string[] }>;
  rules: { id: string; conditions: unknown[] }[];
  keys: { id: string; title: string; key: unknown }[];
}
const held = async () => (await owner.get<Held>('/api/library/lookalikes')).body;
const view = {
  organs: ['twig', 'bud', 'leaf'],
  day: 200,
  nearness: 'hand',
  aids: ['eye', 'touch'],
  qualifiers: {},
};

test('the sure way of a pair is one record, whichever way round it is asked for, and can be undone', async () => {
  const [a, b] = ids as [string, string];
  const write = (from: string, to: string, text: string, baseRevision: number) =>
    owner.put<{ revision: number; message: string }>(`/api/library/pairs/${from}/${to}/sure-way`, {
      text,
      characters: ['twig.arrangement'],
      baseRevision,
    });
  const base = await baseOf(owner);
  await write(a, b, 'Look at the buds.', base);
  const stale = await write(b, a, 'No: at the bark.', base);
  expect(stale.status).toBe(409);
  expect(stale.body.message).toContain('changed by someone else');
  const { revision } = (await write(b, a, 'Buds, then bark.', await baseOf(owner))).body;
  expect(Object.values((await held()).sureWays)).toEqual([
    { text: 'Buds, then bark.', characters: ['twig.arrangement'] },
  ]);
  await owner.post(`/api/library/revisions/${revision}/undo`, {});
  expect(Object.values((await held()).sureWays)[0]!.text).toBe('Look at the buds.');
  await write(a, b, '', await baseOf(owner));
  expect((await held()).sureWays).toEqual({});
});

test('a rule without a condition or a conclusion says what is missing; a good one is kept and taken away', async () => {
  const rule = {
    conditions: [{ characterId: 'twig.arrangement', states: ['opposite'] }],
    then: { kind: 'genus', name: 'Acer' },
  };
  const add = (body: object) =>
    owner.post<{ id: string; message: string }>('/api/library/rules', { rule: body, baseRevision: 0 });
  expect((await add({ ...rule, conditions: [] })).body.message).toContain('at least one state after IF');
  expect((await add({ ...rule, then: { kind: 'shrub' } })).body.message).toContain('Say after THEN');
  const { id } = (await add(rule)).body;
  expect((await held()).rules).toEqual([{ id, ...rule }]);
  await owner.call('DELETE', `/api/library/rules/${id}`);
  expect((await held()).rules).toEqual([]);
  expect((await owner.call('DELETE', `/api/library/rules/${id}`)).status).toBe(404);
});

test('a key is kept with all its couplets, changed, and printed in both layouts', async () => {
  const key = buildKey(readLibrary(library).profiles, BUILT_IN, view as never);
  const options = { level: 'advanced', banned: [], manyLeads: false };
  const { id } = (
    await owner.post<{ id: string }>('/api/library/keys', {
      title: 'Two poplars',
      key,
      options,
      baseRevision: 0,
    })
  ).body;
  expect((await held()).keys).toEqual([{ id, title: 'Two poplars', key, options }]);
  await owner.put(`/api/library/keys/${id}`, {
    title: 'Poplars',
    key,
    options,
    baseRevision: await baseOf(owner),
  });
  expect((await held()).keys[0]!.title).toBe('Poplars');
  for (const layout of ['bracketed', 'indented']) {
    const pdf = await owner.post<{ text: string }>('/api/prints/key.pdf', { title: 'Poplars', key, layout });
    expect(pdf.body.text.slice(0, 4)).toBe('%PDF');
  }
  const broken = await owner.post<{ message: string }>('/api/library/keys', {
    title: 'Broken',
    key: { ...key, root: { kind: 'fork' } },
    options,
    baseRevision: 0,
  });
  expect(broken.status).toBe(422);
});

test('contrast sheets and lists of marks are PDF; a tree that is gone is said', async () => {
  const pdf = await owner.post<{ text: string }>('/api/prints/contrast.pdf', { taxa: ids.slice(0, 2), view });
  expect(pdf.body.text.slice(0, 4)).toBe('%PDF');
  const rows = [{ taxonId: ids[0], marks: ['buds: sticky'], notSettled: [ids[1]] }];
  const recap = await owner.post<{ text: string }>('/api/prints/marks.pdf', { title: 'Recap', rows });
  expect(recap.body.text.slice(0, 4)).toBe('%PDF');
  const gone = await owner.post<{ message: string }>('/api/prints/contrast.pdf', {
    taxa: [ids[0], 'gone'],
    view,
  });
  expect(gone.body.message).toContain('no longer in the library');
  const undated = { ...view, day: undefined };
  const refused = await owner.post('/api/prints/contrast.pdf', { taxa: ids.slice(0, 2), view: undated });
  expect(refused.body.message).toContain('Day of the year');
});
