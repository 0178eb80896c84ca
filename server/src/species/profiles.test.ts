import sharp from 'sharp';
import { cellAt } from '@hurrow/core/range';
import { BUILT_IN, type Character } from '@hurrow/core/vocabulary';
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

interface LibraryBody {
  revision: number;
  sources: { id: string; label: string }[];
  reconciliation: {
    rule: string;
    order: string[];
    picks?: Record<string, { sourceId: string; reason: string }>;
  };
  characters: Character[];
  taxa: {
    taxon: { id: string };
    scores: { characterId: string; sourceId: string; value: { low?: number; n?: number } }[];
  }[];
}
const library = async () => (await owner.get<LibraryBody>('/api/library')).body;
const base = async () => (await library()).revision;
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

describe('photos', () => {
  const picture = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: { r: 40, g: 120, b: 60 } } });
  const send = async (bytes: Buffer, query = '', taxon = red) => {
    const response = await owner.upload<{
      id: string;
      revision: number;
      record: object;
      positionFound: boolean;
    }>(`/api/library/taxa/${taxon}/photos${query}`, bytes, 'image/jpeg');
    return response;
  };
  /** Turned a quarter, taken at 47.61234 N 116.41234 W. */
  const turned = async () =>
    picture(900, 300)
      .withExif({
        IFD0: { Copyright: 'somebody' },
        IFD3: {
          GPSLatitudeRef: 'N',
          GPSLatitude: '47/1 36/1 4442/100',
          GPSLongitudeRef: 'W',
          GPSLongitude: '116/1 24/1 4442/100',
        },
      })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();

  test('are turned upright, encoded again in three sizes, and lose everything else', async () => {
    const { body } = await send(await turned());
    for (const [size, longest] of [
      ['thumb', 240],
      ['screen', 900],
      ['full', 900],
    ] as const) {
      const got = await owner.download(`/api/library/photos/${body.id}/${size}`);
      const seen = await sharp(got).metadata();
      expect([seen.format, seen.width! < seen.height!, seen.height]).toEqual(['webp', true, longest]);
      expect(seen.exif).toBeUndefined();
    }
    expect(body.record).not.toHaveProperty('position');
  });
  test('keep their position only when asked, rounded for a protected tree', async () => {
    const kept = await send(
      await picture(50, 50)
        .withExif({
          IFD3: {
            GPSLatitudeRef: 'N',
            GPSLatitude: '47/1 36/1 4442/100',
            GPSLongitudeRef: 'W',
            GPSLongitude: '116/1 24/1 4442/100',
          },
        })
        .jpeg()
        .toBuffer(),
      '?keepPosition=true',
    );
    expect(kept.body.record).toMatchObject({
      position: {
        latitude: expect.closeTo(47.61234, 4) as number,
        longitude: expect.closeTo(-116.41234, 4) as number,
      },
    });
    const held = (await library()).taxa.find(({ taxon }) => taxon.id === sugar)!;
    const taxon = { ...held.taxon, id: undefined };
    await owner.put(`/api/library/taxa/${sugar}`, {
      taxon: {
        ...taxon,
        cautions: [{ kind: 'protected', part: 'tree', effect: 'rare', care: 'photograph only' }],
      },
      changes: [],
      baseRevision: await base(),
    });
    const rounded = await send(
      await picture(50, 50)
        .withExif({
          IFD3: {
            GPSLatitudeRef: 'N',
            GPSLatitude: '47/1 36/1 4442/100',
            GPSLongitudeRef: 'W',
            GPSLongitude: '116/1 24/1 4442/100',
          },
        })
        .jpeg()
        .toBuffer(),
      '?keepPosition=true',
      sugar,
    );
    expect(rounded.body.record).toMatchObject({ position: { latitude: 47.6, longitude: -116.4 } });
  });
  test('hold credit, licence and annotations, can be taken out and brought back', async () => {
    const { id } = (await send(await picture(60, 40).png().toBuffer())).body;
    const record = {
      organ: 'bud',
      qualifiers: {},
      credit: 'I. Falk',
      licence: 'CC BY 4.0',
      annotations: [
        {
          shape: 'arrow',
          from: { x: 0.1, y: 0.1 },
          to: { x: 0.5, y: 0.5 },
          text: 'scales',
          characterId: 'bud.scales',
          state: 'two',
        },
      ],
    };
    expect(
      (await owner.put(`/api/library/photos/${id}`, { record, baseRevision: await base() })).status,
    ).toBe(200);
    const list = async () =>
      (await owner.get<{ photos: { id: string; record: object }[] }>(`/api/library/taxa/${red}/photos`)).body
        .photos;
    expect((await list()).find((photo) => photo.id === id)!.record).toEqual(record);
    const gone = await owner.call<{ revision: number }>('DELETE', `/api/library/photos/${id}`);
    expect((await list()).some((photo) => photo.id === id)).toBe(false);
    await owner.post(`/api/library/revisions/${gone.body.revision}/undo`);
    expect((await list()).some((photo) => photo.id === id)).toBe(true);
    expect((await owner.call('DELETE', '/api/library/photos/none')).status).toBe(404);
  });
  test('what is no photograph, and a drawing that could hold a script, are refused', async () => {
    for (const bytes of [
      Buffer.from('abies grandis'),
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'),
    ])
      expect((await send(bytes)).body.message).toContain('no photograph');
    const whole = await picture(400, 400).png().toBuffer();
    expect((await send(whole.subarray(0, 200))).status).toBe(422);
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

describe('exchange', () => {
  const exported = async (format: string) =>
    (await owner.download(`/api/library/export/${format}`)).toString('utf8');
  test.each(['json', 'scores', 'table', 'sdd', 'occurrences'])(
    '%s is written, and importing it again changes nothing',
    async (format) => {
      const text = await exported(format);
      expect(text.length).toBeGreaterThan(100);
      const again = await owner.post<{ added: string[]; changed: string[]; refused: { message: string }[] }>(
        '/api/library/import',
        {
          csv: text,
          dryRun: true,
        },
      );
      expect(again.status).toBe(200);
      expect(again.body.added).toEqual([]);
      if (format !== 'json' && format !== 'occurrences') expect(again.body.changed).toEqual([]);
      expect(again.body.refused).toEqual([]);
    },
  );
  test('a bundle fills an empty Hurrow, scores, ranges, characters and sources among them', async () => {
    const other = await startHurrow();
    const text = await exported('json');
    const filled = await other.owner.post<{ added: string[] }>('/api/library/import', {
      csv: text,
      dryRun: false,
    });
    expect(filled.body.added).toHaveLength(2);
    const there = (await other.owner.get<LibraryBody>('/api/library')).body;
    const here = await library();
    expect(there.taxa.map(({ scores }) => scores.length)).toEqual(
      here.taxa.map(({ scores }) => scores.length),
    );
    expect(there.characters).toEqual(here.characters);
    expect((await other.owner.get('/api/library/ranges')).body['ranges']).toEqual(
      (await owner.get('/api/library/ranges')).body['ranges'],
    );
    await other.close();
  });
  test('occurrence rows become a range; GeoJSON holds it; a file of no known kind is refused', async () => {
    const csv =
      'scientificName,decimalLatitude,decimalLongitude,recordedBy\nAcer rubrum,45,-110,I. Falk\nQuercus alba,45,-110,x';
    const done = await owner.post<{ changed: string[]; refused: object[]; ignored: string[] }>(
      '/api/library/import',
      { csv, dryRun: false },
    );
    expect(done.body).toMatchObject({
      changed: ['Acer rubrum: 1 cells of its range'],
      ignored: ['recordedBy'],
    });
    expect(done.body.refused).toHaveLength(1);
    expect(JSON.parse(await exported('geojson'))).toMatchObject({
      features: expect.arrayContaining([
        expect.objectContaining({
          properties: expect.objectContaining({ scientificName: 'Acer rubrum' }) as object,
        }),
      ]) as object,
    });
    expect((await owner.post('/api/library/import', { csv: '{"a":1}', dryRun: true })).status).toBe(422);
    expect((await owner.get('/api/library/export/docx')).status).toBe(422);
  });
  test('a foreign SDD adds what it names; a family it does not give is left open', async () => {
    const xml = `<Datasets xmlns="http://rs.tdwg.org/UBIF/2006/"><Dataset><TaxonNames>
      <TaxonName id="a"><Representation><Label>Acer negundo</Label></Representation></TaxonName>
      <TaxonName id="b"><Representation><Label>Tilia americana</Label></Representation></TaxonName></TaxonNames></Dataset></Datasets>`;
    await owner.post('/api/library/import', { csv: xml, dryRun: false });
    const families = (await library()).taxa.map(
      ({ taxon }) => taxon as unknown as { family: string; genus: string },
    );
    expect(families.find(({ genus }) => genus === 'Tilia')!.family).toBe('incertae sedis');
    expect(families.filter(({ genus, family }) => genus === 'Acer' && family === 'Sapindaceae')).toHaveLength(
      3,
    );
  });
});

describe('a photo station', () => {
  test('shows the photo where one may leave the library and shows the organ, and tells nothing else', async () => {
    const bytes = await sharp({ create: { width: 80, height: 60, channels: 3, background: '#6a8' } })
      .jpeg()
      .toBuffer();
    const { id } = (
      await owner.upload<{ id: string }>(`/api/library/taxa/${sugar}/photos`, bytes, 'image/jpeg')
    ).body;
    const record = {
      organ: 'leaf',
      qualifiers: {},
      credit: 'I. Falk',
      licence: 'CC0 1.0',
      caption: 'sugar maple',
      annotations: [],
    };
    await owner.put(`/api/library/photos/${id}`, { record, baseRevision: await base() });
    const course = (await owner.get<{ id: string }[]>('/api/courses')).body[0]!;
    const view = { organs: ['leaf'], nearness: 'hand', aids: ['eye'], qualifiers: {} };
    const { body: quiz } = await owner.post<{ id: string }>(`/api/courses/${course.id}/quizzes`, {
      title: 'Photos',
      heldOn: '2026-09-20',
      stations: [{ taxonId: sugar, medium: 'photo', view }],
    });
    expect((await owner.post(`/api/quizzes/${quiz.id}/open`)).status).toBe(200);
    const [frozen] = await hurrow.db.query<{ frozen: { drawing: string; traits: null } }>(
      'select frozen from station where quiz_id = $1',
      [quiz.id],
    );
    expect(frozen!.frozen.drawing).toContain('data:image/webp;base64,');
    expect(frozen!.frozen.drawing).not.toMatch(/maple|Acer|Falk/);
    expect(frozen!.frozen.traits).toBeNull();
  });
});

describe('prints', () => {
  const pdf = async (query: string) => owner.download(`/api/prints/${query}`);
  test.each(['a4', 'letter'])('a profile sheet and flash cards are PDF on %s', async (paper) => {
    for (const kind of [`profile.pdf?taxa=${red}`, `cards.pdf?taxa=${red},${sugar}`]) {
      const bytes = (await pdf(`${kind}&paper=${paper}&ink=black&audience=plain&units=imperial`)).toString(
        'latin1',
      );
      expect(bytes.slice(0, 5)).toBe('%PDF-');
      const [, width] = /MediaBox \[0 0 ([\d.]+)/.exec(bytes)!;
      expect(Math.round(Number(width))).toBe(paper === 'a4' ? 595 : 612);
      // Cards come in twos: drawings, then names.
      expect(bytes.match(/\/Type \/Page\b/g)!.length).toBe(kind.startsWith('cards') ? 2 : 1);
    }
  });
  test('a photo goes onto the sheet only with credit and licence', async () => {
    const images = async () =>
      (await pdf(`profile.pdf?taxa=${red}`)).toString('latin1').match(/\/Subtype \/Image/g)?.length ?? 0;
    const { photos } = (
      await owner.get<{ photos: { id: string; record: object }[] }>(`/api/library/taxa/${red}/photos`)
    ).body;
    const withdraw = async (licence: string) => {
      for (const photo of photos)
        await owner.put(`/api/library/photos/${photo.id}`, {
          record: { ...photo.record, credit: 'I. Falk', licence },
          baseRevision: await base(),
        });
    };
    await withdraw('');
    expect(await images()).toBe(0);
    await withdraw('CC BY 4.0');
    expect(await images()).toBeGreaterThan(0);
  });
  test('no species, or one that is not there, is said', async () => {
    expect((await owner.get('/api/prints/profile.pdf?taxa=none')).body.message).toContain('None of these');
    expect((await owner.get('/api/prints/poster.pdf?taxa=x')).status).toBe(422);
  });
});
