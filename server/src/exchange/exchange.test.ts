import { cellAt } from '@hurrow/core/range';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { committedLibrary } from '../library/committed.ts';
import { writeScores } from '../library/store.ts';
import { baseOf, libraryOf, type LibraryBody } from '../testing/libraryOf.ts';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';
import { importFile } from './import.ts';

let hurrow: TestHurrow;
let owner: Caller;
let sugar: string;

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  sugar = (await plantCourse(owner)).sugar.id;
});
afterAll(() => hurrow.close());

const library = () => libraryOf(owner);
const base = () => baseOf(owner);

// Something of every kind to write out: a range, and a character of the library's own.
beforeAll(async () => {
  const cells = { [cellAt(47, -116)]: 'native' };
  await owner.put(`/api/library/taxa/${sugar}/range`, { range: { cells }, baseRevision: await base() });
  const own = { ...BUILT_IN.get('twig.zigzag')!, id: 'twig.squeak', term: 'squeaking twig' };
  await owner.put(`/api/library/characters/${own.id}`, { character: own, baseRevision: await base() });
});

describe('exchange', () => {
  const exported = async (format: string) =>
    (await owner.download(`/api/library/export/${format}`)).toString('utf8');
  test.each(['json', 'scores', 'table', 'sdd', 'occurrences', 'geojson'])(
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
      expect(again.body.changed).toEqual([]);
      expect(again.body.refused).toEqual([]);
    },
  );
  test('a long file is read beside everything else, and says the same', async () => {
    const text = `${await exported('scores')}${'\n'.repeat(250_000)}`;
    const read = async (csv: string) =>
      (await owner.post<{ added: string[]; what: string }>('/api/library/import', { csv, dryRun: true }))
        .body;
    expect(await read(text)).toEqual(await read(text.trimEnd()));
    const refused = await owner.post('/api/library/import', {
      csv: `<a>${'b'.repeat(250_000)}`,
      dryRun: true,
    });
    expect(refused.status).toBe(422);
  });

  test('a source, a species or a character whose name is no name is refused, and nothing of the file is stored', async () => {
    const before = await base();
    const statuses: number[] = [];
    const long = Array.from({ length: 2000 }, (_, i) => i.toString(36)).join('');
    for (const row of [
      `Acer rubrum,leaf.length,${long},5 cm`,
      `Acer ${long.replace(/\d/g, 'a')},leaf.length,own,5 cm`,
      `Acer rubrum,${long},own,5 cm`,
    ]) {
      const csv = `scientific name,character,source,value\nAcer rubrum,leaf.length,own,6 cm\n${row}`;
      const { status } = await owner.post('/api/library/import', { csv, dryRun: false });
      statuses.push(status);
      if (status !== 200) expect(await base()).toBe(before);
    }
    // An unknown character is a row that is left out; the others are no file of ours.
    expect(statuses[0]).toBe(422);
    expect(Math.max(...statuses)).toBeLessThan(500);
  });

  test('an import names every stored score that it would replace, with what is stored', async () => {
    const csv = 'scientific name,character,source,value\nAcer saccharum,leaf.length,own,20–30 cm';
    const { body } = await owner.post<{ replaced: { message: string }[]; changed: string[] }>(
      '/api/library/import',
      {
        csv,
        dryRun: true,
      },
    );
    expect(body.changed).toEqual(['Acer saccharum: 1 score']);
    expect(body.replaced).toEqual([
      {
        line: 0,
        message:
          'Acer saccharum, blade length, Own observations: “10–15 cm” is stored and would become “20–30 cm”',
      },
    ]);
  });
  test('occurrences are added to a range and unsay nothing of it', async () => {
    const csv = 'scientificName,decimalLatitude,decimalLongitude\nAcer saccharum,30,-90';
    await owner.post('/api/library/import', { csv, dryRun: false });
    const held = await owner.get<{ range: { cells: object } }>(`/api/library/taxa/${sugar}/range`);
    expect(Object.keys(held.body.range.cells)).toHaveLength(2);
  });
  test('a taxon that stands in a file twice is added once', async () => {
    const other = await startHurrow();
    const csv =
      'scientific name,family,leaf.shape,leaf.length\nUlmus minor,Ulmaceae,ovate,\nUlmus minor,Ulmaceae,elliptic,5–9 cm';
    const { body } = await other.owner.post<{ added: string[]; refused: { message: string }[] }>(
      '/api/library/import',
      { csv, dryRun: false },
    );
    expect(body).toMatchObject({
      added: ['Ulmus minor: 2 scores'],
      refused: [{ message: expect.stringContaining('stands in the file twice') as string }],
    });
    await other.close();
  });
  test.each([
    ['XML', '<a>'.repeat(40_000)],
    ['XML that closes', `<Datasets>${'<a>'.repeat(40_000)}${'</a>'.repeat(40_000)}</Datasets>`],
    ['JSON', '['.repeat(40_000)],
    ['JSON that closes', '['.repeat(40_000) + ']'.repeat(40_000)],
    ['JSON with a prototype', '{"__proto__":{"format":"hurrow-library"},"format":"hurrow-library"}'],
    ['a table of zero bytes', 'scientific name,family\nAcer \u0000,Sapindaceae'],
    ['a year that is none', 'scientific name,family,calendar.leaves\nAcer x,Sapindaceae,0000'],
  ])('%s that can not be read is refused, never an error of the server', async (_, csv) => {
    const { status, body } = await owner.post('/api/library/import', { csv, dryRun: true });
    expect([200, 422]).toContain(status);
    if (status === 422) expect(body.message).toMatch(/.{20}/);
  });
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
  test('a source that only the file knows is added, and said beforehand', async () => {
    const csv = 'scientific name,character,value,source\nAcer rubrum,leaf.texture,thin,herbarium sheet';
    const report = await owner.post<{ also: string[] }>('/api/library/import', { csv, dryRun: true });
    expect(report.body.also).toEqual(['add the source herbarium sheet']);
    await owner.post('/api/library/import', { csv, dryRun: false });
    expect((await library()).sources.map(({ label }) => label)).toContain('herbarium sheet');
  });
  test('occurrence rows become a range; GeoJSON holds it; a file of no known kind is refused', async () => {
    const csv =
      'scientificName,decimalLatitude,decimalLongitude,recordedBy\nAcer rubrum,45,-110,I. Falk\nQuercus alba,45,-110,x';
    const done = await owner.post<{ changed: string[]; refused: object[]; ignored: string[] }>(
      '/api/library/import',
      { csv, dryRun: false },
    );
    expect(done.body).toMatchObject({
      changed: ['Acer rubrum: 1 cell of its range'],
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

describe('an import while others work', () => {
  const file = 'scientific name,character,source,value\nAcer rubrum,leaf.length,own,7 cm';
  const row = async (db: TestHurrow['db']) =>
    (await db.query<{ id: string }>('select id from account limit 1'))[0]!.id;
  /** The store of a Hurrow in which someone scores a maple before each transaction of the import. */
  const disturbed = ({ db, owner: other }: TestHurrow, times: number, id: string): TestHurrow['db'] => {
    let left = times;
    return {
      ...db,
      transaction: async (work) => {
        if (left-- > 0) {
          const value = { kind: 'range', low: 0.1 + left / 1000, high: 0.3 };
          const changes = [
            { taxonId: id, characterId: 'leaf.length', sourceId: 'own', qualifiers: {}, value },
          ];
          const done = await other.post('/api/library/scores', {
            changes,
            baseRevision: 1000,
            summary: 'Scored',
          });
          expect(done.status).toBe(200);
        }
        return db.transaction(work);
      },
    };
  };
  test('is compared with the library again where that changed, and not written half', async () => {
    const other = await startHurrow();
    const { sugar: maple, red } = await plantCourse(other.owner);
    const body = { csv: file, dryRun: false };
    const report = await importFile(disturbed(other, 1, maple.id), body, await row(other.db), new Date());
    expect(report.changed).toEqual(['Acer rubrum: 1 score']);
    const { library: after } = await committedLibrary(other.db);
    expect(after.revision).toBe(report.revision);
    const scored = (id: string) =>
      after.taxa
        .find(({ taxon }) => taxon.id === id)!
        .scores.find(({ characterId }) => characterId === 'leaf.length')!.value;
    expect(scored(red.id)).toMatchObject({ low: 0.07, high: 0.07 });
    expect(scored(maple.id)).toMatchObject({ low: 0.1 });
    await expect(
      importFile(
        disturbed(other, 9, maple.id),
        { ...body, csv: file.replace('7', '8') },
        await row(other.db),
        new Date(),
      ),
    ).rejects.toMatchObject({ status: 409 });
    expect(await other.db.query('select 1 from arriving_score')).toEqual([]);
    await other.close();
  });
  test('a score of a taxon that is not there does not get into the store', async () => {
    const { revision } = (await committedLibrary(hurrow.db)).library;
    const score = {
      taxonId: 'nobody',
      characterId: 'leaf.length',
      sourceId: 'own',
      qualifiers: {},
      value: null,
    };
    await expect(writeScores(hurrow.db, revision, [score])).rejects.toMatchObject({ code: '23503' });
    await expect(writeScores(hurrow.db, 99_999, [{ ...score, taxonId: sugar }])).rejects.toMatchObject({
      code: '23503',
    });
  });
});

test('a table brings names in languages in which a species had none; those that it has stay', async () => {
  const names = async () => (await library()).taxa.find(({ taxon }) => taxon.id === sugar)!.taxon;
  const before = await names();
  const bring = async (german: string, french: string) =>
    (
      await owner.post<{ changed: string[]; refused: object[] }>('/api/library/import', {
        csv: `scientific name,family,common names,common names [de],common names [fr]\nAcer saccharum,Sapindaceae,rock maple,${german},${french}\n`,
        dryRun: false,
      })
    ).body;
  expect(await bring('Zucker-Ahorn', '')).toMatchObject({
    changed: ['Acer saccharum: names in de'],
    refused: [],
  });
  expect(await names()).toEqual({ ...before, namesIn: { de: ['Zucker-Ahorn'] } });
  expect((await bring('Süßer Ahorn', 'érable à sucre')).changed).toEqual(['Acer saccharum: names in fr']);
  expect(await names()).toEqual({ ...before, namesIn: { de: ['Zucker-Ahorn'], fr: ['érable à sucre'] } });
  expect((await bring('Süßer Ahorn', 'érable')).changed).toEqual([]);
});
