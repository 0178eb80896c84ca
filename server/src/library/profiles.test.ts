import { cellAt } from '@hurrow/core/range';
import { BUILT_IN, type Character } from '@hurrow/core/vocabulary';
import { baseOf, libraryOf } from '../testing/libraryOf.ts';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let owner: Caller;
let red: string;
let sugar: string;

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  const planted = await plantCourse(owner);
  [red, sugar] = [planted.red.id, planted.sugar.id];
});
afterAll(() => hurrow.close());

const library = () => libraryOf(owner);
const base = () => baseOf(owner);
const scoresOf = async (id: string) => (await library()).taxa.find(({ taxon }) => taxon.id === id)!.scores;

describe('the range of a taxon', () => {
  const cells = { [cellAt(47, -116)]: 'native', [cellAt(46, -115)]: 'planted' };
  test('is saved, read back, and undone', async () => {
    const path = `/api/library/taxa/${red}/range`;
    const saved = await owner.put<{ revision: number }>(path, {
      range: { cells, note: 'by hand' },
      baseRevision: await base(),
    });
    expect(saved.status).toBe(200);
    expect((await owner.get(path)).body).toMatchObject({ range: { cells, note: 'by hand' } });
    expect((await owner.get('/api/library/ranges')).body).toMatchObject({ ranges: { [red]: { cells } } });
    await owner.post(`/api/library/revisions/${saved.body.revision}/undo`);
    expect((await owner.get(path)).body).toMatchObject({ range: { cells: {} } });
  });
  test('refuses a cell that is none, and a save on top of another', async () => {
    const path = `/api/library/taxa/${sugar}/range`;
    const before = await base();
    expect(
      (await owner.put(path, { range: { cells: { nowhere: 'native' } }, baseRevision: before })).status,
    ).toBe(422);
    await owner.put(path, { range: { cells }, baseRevision: before });
    const late = await owner.put(path, { range: { cells: {} }, baseRevision: before });
    expect(late.status).toBe(409);
    expect(late.body.message).toContain('someone else');
    expect((await owner.get('/api/library/taxa/none/range')).status).toBe(404);
  });
});

describe('own measurements', () => {
  const sheet = async (values: number[], more: object = {}) =>
    owner.put<{ revision: number; value: { low: number; n: number } }>(`/api/library/taxa/${red}/sheets`, {
      characterId: 'leaf.width',
      qualifiers: { light: 'shade' },
      values: values.map((value) => ({ value })),
      baseRevision: await base(),
      ...more,
    });
  test('become a score of their own source, with n; taking them back takes it back', async () => {
    const saved = await sheet([0.05, 0.06, 0.07, 0.08]);
    expect(saved.body.value).toMatchObject({ kind: 'range', min: 0.05, max: 0.08, n: 4 });
    expect((await library()).sources.map(({ id }) => id)).toContain('measured');
    const score = (await scoresOf(red)).find(({ sourceId }) => sourceId === 'measured')!;
    expect(score).toMatchObject({ characterId: 'leaf.width', value: { n: 4 } });
    const { body } = await owner.get<{ sheets: { values: { value: number }[] }[] }>(
      `/api/library/taxa/${red}/sheets`,
    );
    expect(body.sheets[0]!.values.map(({ value }) => value)).toEqual([0.05, 0.06, 0.07, 0.08]);
    await owner.post(`/api/library/revisions/${saved.body.revision}/undo`);
    expect((await scoresOf(red)).some(({ sourceId }) => sourceId === 'measured')).toBe(false);
  });
  test('an emptied sheet withdraws its score; what cannot be measured is refused', async () => {
    await sheet([0.05]);
    await sheet([]);
    expect((await scoresOf(red)).some(({ sourceId }) => sourceId === 'measured')).toBe(false);
    expect((await sheet([1], { characterId: 'leaf.shape' })).status).toBe(422);
    expect((await sheet([2.5], { characterId: 'leaf.veinPairs', qualifiers: {} })).body.message).toContain(
      'whole numbers',
    );
    expect((await sheet([-1])).status).toBe(422);
  });
});

describe('sources', () => {
  test('are added, ordered, reconciled, picked by hand; one in use cannot go', async () => {
    const { sources } = await library();
    const wanted = {
      sources: [{ label: 'Regional manual' }, ...sources],
      rule: 'envelope',
      picks: { 'leaf.length': { sourceId: 'own', reason: 'measured on the grounds' } },
      baseRevision: await base(),
    };
    const saved = await owner.put<{ ids: string[]; revision: number }>('/api/library/sources', wanted);
    expect(saved.body.ids[0]).toBe('regional-manual');
    expect((await library()).reconciliation).toMatchObject({ rule: 'envelope', picks: wanted.picks });
    const without = {
      ...wanted,
      sources: [{ id: 'regional-manual', label: 'Regional manual' }],
      baseRevision: await base(),
    };
    expect((await owner.put('/api/library/sources', without)).body.message).toContain('still has scores');
    expect(
      (
        await owner.put('/api/library/sources', {
          ...wanted,
          picks: { 'leaf.length': { sourceId: 'own', reason: '' } },
        })
      ).status,
    ).toBe(422);
  });
});

describe('characters of the library’s own', () => {
  const own: Character = {
    ...BUILT_IN.get('twig.zigzag')!,
    id: 'twig.squeak',
    term: 'squeaking twig',
    plain: 'squeaks when bent',
  };
  const save = async (character: Character) =>
    owner.put(`/api/library/characters/${character.id}`, { character, baseRevision: await base() });
  test('are added, scored, renamed; their uses are counted before they go', async () => {
    expect((await save(own)).status).toBe(200);
    const change = {
      characterId: own.id,
      sourceId: 'own',
      qualifiers: {},
      value: { kind: 'flag', frequency: 'always' },
    };
    const bulk = await owner.post('/api/library/scores', {
      changes: [
        { ...change, taxonId: red },
        { ...change, taxonId: sugar },
      ],
      baseRevision: await base(),
      summary: 'Squeaking twigs',
    });
    expect(bulk.status).toBe(200);
    expect((await owner.get(`/api/library/characters/${own.id}/uses`)).body).toMatchObject({
      scores: 2,
      taxa: [red, sugar].sort(),
    });
    await save({ ...own, term: 'squeaky twig' });
    expect((await library()).characters.find(({ id }) => id === own.id)!.term).toBe('squeaky twig');
    const gone = await owner.call<{ revision: number }>('DELETE', `/api/library/characters/${own.id}`);
    expect((await library()).characters).toEqual([]);
    await owner.post(`/api/library/revisions/${gone.body.revision}/undo`);
    expect((await library()).characters).toHaveLength(1);
  });
  test('a built-in one takes other words and more states, not another kind, and keeps the states in use', async () => {
    const shape = BUILT_IN.get('leaf.shape')!;
    const star = { id: 'star', term: 'star-shaped', plain: 'a star', definition: 'Five long points.' };
    expect((await save({ ...shape, states: [...shape.states, star] })).status).toBe(200);
    const scored = await owner.post('/api/library/scores', {
      changes: [
        {
          taxonId: red,
          characterId: 'leaf.shape',
          sourceId: 'own',
          qualifiers: { light: 'sun' },
          value: { kind: 'states', states: [{ state: 'star', frequency: 'always' }] },
        },
      ],
      baseRevision: await base(),
      summary: 'Stars',
    });
    expect(scored.status).toBe(200);
    expect((await save({ ...shape, kind: 'ordinal' })).body.message).toContain('cannot be changed');
    expect((await save({ ...shape, states: shape.states.slice(1) })).body.message).toContain('may be in use');
    expect((await save({ ...own, id: 'twig.none', kind: 'categorical', states: [] })).body.message).toContain(
      'at least two',
    );
  });
});

describe('search', () => {
  test('by names and states, with a slip, and again after a change', async () => {
    const find = async (q: string) =>
      (
        await owner.get<{ found: { id: string }[] }>(`/api/library/search?q=${encodeURIComponent(q)}`)
      ).body.found.map(({ id }) => id);
    expect(await find('red maple')).toEqual([red]);
    expect(await find('sacharum')).toEqual([sugar]);
    expect(await find('opposite')).toEqual([red, sugar].sort());
    expect(await find('pine')).toEqual([]);
    await owner.post('/api/library/scores', {
      changes: [
        {
          taxonId: red,
          characterId: 'bud.scales',
          sourceId: 'own',
          qualifiers: {},
          value: { kind: 'states', states: [{ state: 'none', frequency: 'always' }] },
        },
      ],
      baseRevision: await base(),
      summary: 'Naked',
    });
    expect(await find('naked')).toEqual([red]);
  });
});

describe('a bulk edit', () => {
  test('is refused whole when one of its scores is wrong or was changed by someone else', async () => {
    const length = (taxonId: string, low: number, high: number) => ({
      taxonId,
      characterId: 'leaf.length',
      sourceId: 'own',
      qualifiers: {},
      value: { kind: 'range', low, high },
    });
    const before = await base();
    const bad = {
      changes: [length(red, 0.05, 0.1), length(sugar, 0.2, 0.1)],
      baseRevision: before,
      summary: 'x',
    };
    expect((await owner.post('/api/library/scores', bad)).body.message).toContain('above the high end');
    expect(await base()).toBe(before);
    const good = { ...bad, changes: [length(red, 0.05, 0.11)] };
    expect((await owner.post('/api/library/scores', good)).status).toBe(200);
    expect((await owner.post('/api/library/scores', good)).status).toBe(409);
  });
});
