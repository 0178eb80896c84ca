import { plantCourse, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';
import type { LibraryAtRevision } from './store.ts';

let hurrow: TestHurrow;
let planted: Awaited<ReturnType<typeof plantCourse>>;
beforeAll(async () => {
  hurrow = await startHurrow();
  planted = await plantCourse(hurrow.owner);
});
afterAll(() => hurrow.close());

const library = async (revision?: number) =>
  (
    await hurrow.owner.get<LibraryAtRevision>(
      `/api/library${revision === undefined ? '' : `?revision=${revision}`}`,
    )
  ).body;
const red = async () => (await library()).taxa.find(({ taxon }) => taxon.id === 'acer-rubrum')!;
const taxonBody = async () => ({ ...(await red()).taxon, id: undefined });
const length = (low: number, high: number) => ({
  characterId: 'leaf.length',
  sourceId: 'own',
  qualifiers: {},
  value: { kind: 'range', low, high },
});
const lengthOf = (held: LibraryAtRevision['taxa'][number]) =>
  held.scores.find((score) => score.characterId === 'leaf.length')!.value;
const save = async (changes: object[], baseRevision: number) =>
  hurrow.owner.put<{ revision: number }>('/api/library/taxa/acer-rubrum', {
    taxon: await taxonBody(),
    changes,
    baseRevision,
  });

test('a save is a revision; the library can be read as it was before', async () => {
  const before = (await library()).revision;
  const { body } = await save([length(0.07, 0.11)], before);
  expect(body.revision).toBe(before + 1);
  expect(lengthOf(await red())).toMatchObject({ low: 0.07 });
  const past = (await library(before)).taxa.find(({ taxon }) => taxon.id === 'acer-rubrum')!;
  expect(lengthOf(past)).toMatchObject({ low: 0.06 });
});

test('a revision still to come is the newest one, and is not kept as it stands now', async () => {
  const { revision } = await library(999_999);
  await save([length(0.07, 0.12)], revision);
  expect((await library(999_999)).revision).toBe(revision + 1);
  await save([length(0.07, 0.11)], revision + 1);
});

test('undo writes the values before back, as a revision of its own', async () => {
  const { revision } = await library();
  const saved = (
    await save(
      [
        length(0.01, 0.02),
        {
          characterId: 'twig.zigzag',
          sourceId: 'own',
          qualifiers: {},
          value: { kind: 'flag', frequency: 'always' },
        },
      ],
      revision,
    )
  ).body.revision;
  expect((await hurrow.owner.post(`/api/library/revisions/${saved}/undo`)).status).toBe(200);
  const held = await red();
  expect(lengthOf(held)).toMatchObject({ low: 0.07 });
  expect(held.scores.some((score) => score.characterId === 'twig.zigzag')).toBe(false);
  expect((await hurrow.owner.post(`/api/library/revisions/${saved}/undo`)).body.message).toContain(
    'changed again since',
  );
});

test('a revision that is no number, or does not exist, is said so', async () => {
  expect((await hurrow.owner.post('/api/library/revisions/abc/undo')).status).toBe(422);
  expect((await hurrow.owner.post('/api/library/revisions/999999/undo')).status).toBe(404);
});

test('low above high is refused with what to do, and nothing of the save is kept', async () => {
  const { revision } = await library();
  const answer = await save(
    [
      length(0.09, 0.04),
      {
        characterId: 'twig.zigzag',
        sourceId: 'own',
        qualifiers: {},
        value: { kind: 'flag', frequency: 'always' },
      },
    ],
    revision,
  );
  expect(answer).toMatchObject({
    status: 422,
    body: { message: expect.stringContaining('Swap them?') as string },
  });
  expect((await library()).revision).toBe(revision);
});

test('two editors: other characters merge, the same character is a conflict that names it', async () => {
  const base = (await library()).revision;
  await save([length(0.05, 0.08)], base);
  const merged = await save(
    [
      {
        characterId: 'leaf.apex',
        sourceId: 'own',
        qualifiers: {},
        value: { kind: 'states', states: [{ state: 'acute', frequency: 'always' }] },
      },
    ],
    base,
  );
  expect(merged.status).toBe(200);
  expect(lengthOf(await red())).toMatchObject({ low: 0.05 });
  expect(await save([length(0.01, 0.02)], base)).toMatchObject({
    status: 409,
    body: { message: expect.stringContaining('blade length') as string },
  });
});

test('saving what is there already makes no revision', async () => {
  const { revision } = await library();
  await save([], revision);
  expect((await library()).revision).toBe(revision);
});

test('a species cannot be added twice, and bad names say what they should look like', async () => {
  const taxon = await taxonBody();
  expect(
    (await hurrow.owner.post('/api/library/taxa', { taxon, changes: [], baseRevision: 0 })).body.message,
  ).toContain('in the library already');
  const bad = await hurrow.owner.post('/api/library/taxa', {
    taxon: { ...taxon, genus: 'acer 2' },
    changes: [],
    baseRevision: 0,
  });
  expect(bad.body.message).toContain('capital letter');
});

describe('import', () => {
  const csv =
    'scientific name,family,common names,leaf.length\nAcer rubrum,Sapindaceae,red maple,5–9 cm\nUlmus americana,Ulmaceae,American elm,9–4 cm\nBetula nigra,Betulaceae,river birch,4–8 cm';
  test('the preview changes nothing', async () => {
    const before = (await library()).revision;
    const { body } = await hurrow.owner.post('/api/library/import', { csv, dryRun: true });
    expect(body).toMatchObject({
      added: [
        expect.stringContaining('Ulmus americana') as string,
        expect.stringContaining('Betula nigra') as string,
      ],
      changed: [expect.stringContaining('Acer rubrum') as string],
      refused: [{ line: 3 }],
    });
    expect((await library()).revision).toBe(before);
  });
  test('the import does what the preview said', async () => {
    await hurrow.owner.post('/api/library/import', { csv, dryRun: false });
    const after = await library();
    expect(after.taxa.map(({ taxon }) => taxon.id)).toEqual(
      expect.arrayContaining(['ulmus-americana', 'betula-nigra']),
    );
    expect(lengthOf(await red())).toMatchObject({ low: 0.05, high: 0.09 });
  });
  test('a table without its columns is refused', async () => {
    expect(await hurrow.owner.post('/api/library/import', { csv: 'tree\noak', dryRun: true })).toMatchObject({
      status: 422,
      body: { message: expect.stringContaining('“scientific name” is missing') as string },
    });
  });
});

test('the planted species are in the course', async () => {
  const { body } = await hurrow.owner.get<{ sets: { taxa: string[] }[] }>(`/api/courses/${planted.courseId}`);
  expect(body.sets[0]!.taxa).toEqual(['acer-rubrum', 'acer-saccharum']);
});

describe('a species leaves the library', () => {
  const added = async (epithet: string) =>
    (
      await hurrow.owner.post<{ id: string }>('/api/library/taxa', {
        taxon: {
          genus: 'Alnus',
          epithet,
          family: 'Betulaceae',
          commonNames: [],
          synonyms: [],
          calendar: {},
          cautions: [],
        },
        changes: [{ ...length(0.04, 0.06) }],
        baseRevision: 0,
      })
    ).body.id;
  const remove = (id: string) => hurrow.owner.call<{ revision: number }>('DELETE', `/api/library/taxa/${id}`);

  test('one that a list or a quiz rests on is not deleted, and the refusal names them', async () => {
    const { status, body } = await remove(planted.red.id);
    expect(status).toBe(409);
    expect(body.message).toMatch(/stands in Quiz 1 of Maples and the list of Maples. Retire it instead/);
    expect((await red()).taxon.retired).toBeUndefined();
  });

  test('one that nothing rests on is gone, is there as it was before, and comes back by undoing', async () => {
    const id = await added('rubra');
    const before = (await library()).revision;
    const { body } = await remove(id);
    const has = async (revision?: number) =>
      (await library(revision)).taxa.some(({ taxon }) => taxon.id === id);
    expect([await has(), await has(before)]).toEqual([false, true]);
    expect((await remove(id)).status).toBe(404);
    await hurrow.owner.post(`/api/library/revisions/${body.revision}/undo`);
    expect(await has()).toBe(true);
    expect((await library()).taxa.find(({ taxon }) => taxon.id === id)!.taxon).not.toHaveProperty('deleted');
  });
});

describe('a library that has not changed', () => {
  const state = async () =>
    (await hurrow.owner.get<{ revision: number; tag: string }>('/api/library/state')).body;
  test('is not sent again, and is known by its tag', async () => {
    const before = await state();
    expect(await state()).toEqual(before);
    const { headers } = await hurrow.owner.get('/api/library');
    const again = (tag: string) =>
      hurrow.owner.call('GET', '/api/library', undefined, { 'if-none-match': tag, 'x-hurrow': '1' });
    expect((await again(headers.get('etag')!)).status).toBe(304);
    const body = { taxon: await taxonBody(), changes: [length(0.05, 0.06)], baseRevision: before.revision };
    const saved = await hurrow.owner.put<{ revision: number }>('/api/library/taxa/acer-rubrum', body);
    expect(await state()).toMatchObject({ revision: saved.body.revision });
    expect((await state()).tag).not.toBe(before.tag);
    expect((await again(headers.get('etag')!)).status).toBe(200);
  });
  test('is another one where a source was only renamed, and as it was for who looks at an older revision', async () => {
    const { revision, tag } = await state();
    const held = await library();
    const renamed = held.sources.map((source) => ({ ...source, label: `${source.label}, renamed` }));
    const { rule } = held.reconciliation;
    await hurrow.owner.put('/api/library/sources', {
      sources: renamed,
      rule,
      picks: {},
      baseRevision: revision,
    });
    expect((await state()).tag).not.toBe(tag);
    expect((await library()).sources[0]!.label).toContain('renamed');
    expect((await library(revision)).taxa).toEqual(held.taxa);
  });
});
