import fc from 'fast-check';
import Papa from 'papaparse';
import { readFileSync } from 'node:fs';
import { brush, cellAt, paint, RANGE_STATUSES, type Range } from '../range/index.ts';
import {
  FREQUENCIES,
  qualifierKey,
  unitFactor,
  type Qualifiers,
  type RangeValue,
  type Score,
  type ScoreValue,
} from '../score/index.ts';
import { CAUTION_KINDS, scientificName, type Taxon } from '../taxon/index.ts';
import type { Library } from '../library/index.ts';
import { BUILT_IN, type Character } from '../vocabulary/index.ts';
import { BUNDLE_SCHEMA, readBundle, writeBundle } from '../bundle/index.ts';

import {
  charactersInMarkdown,
  readDarwinCore,
  readScoreTable,
  readSdd,
  readTaxonTable,
  writeDarwinCore,
  writeScoreTable,
  writeSdd,
  writeTaxonTable,
} from './index.ts';

const SCORED = [...BUILT_IN.values()].filter((character) => !character.derived);
const words = fc.stringMatching(/^[A-Za-zäéß0-9(][A-Za-zäéß0-9<>&"'=,;:.()+-]{0,8}( [a-z<>&"'=]{1,6}){0,3}$/);
const notes = fc.oneof(
  words,
  words.map((text) => `=${text}`),
);
const frequency = fc.constantFrom(...FREQUENCIES);

function valueFor(character: Character): fc.Arbitrary<ScoreValue> {
  switch (character.kind) {
    case 'flag':
      return frequency.map((chosen) => ({ kind: 'flag', frequency: chosen }));
    case 'months':
      return fc.constant({ kind: 'months', arcs: [{ from: 10, to: 40 }] });
    case 'categorical':
    case 'ordinal':
      return fc
        .record({
          states: fc.uniqueArray(fc.constantFrom(...character.states), { minLength: 1, maxLength: 3 }),
          frequencies: fc.array(fc.constantFrom(...FREQUENCIES.slice(1)), { minLength: 3, maxLength: 3 }),
          exhaustive: fc.boolean(),
        })
        .map(({ states, frequencies, exhaustive }) => ({
          kind: 'states',
          states: states.map((state, i) => ({ state: state.id, frequency: frequencies[i]! })),
          ...(exhaustive && character.anyOf ? { exhaustive } : {}),
        }));
    case 'measure':
    case 'count':
      return range(character);
  }
}

/** Ends in order; any but low may be missing. Tenths of the display unit, whole numbers for counts. */
function range(character: Character): fc.Arbitrary<RangeValue> {
  const scale = character.kind === 'count' ? 1 : unitFactor(character) / 10;
  return fc
    .record({
      ends: fc.uniqueArray(fc.integer({ min: 10, max: 99 }), { minLength: 4, maxLength: 4 }),
      has: fc.record({ min: fc.boolean(), high: fc.boolean(), max: fc.boolean(), typical: fc.boolean() }),
      step: fc.boolean(),
      n: fc.option(fc.integer({ min: 1, max: 90 }), { nil: undefined }),
    })
    .map(({ ends, has, step, n }) => {
      const at = [...ends].sort((a, b) => a - b).map((end) => Number((end * scale).toPrecision(8)));
      return {
        kind: 'range' as const,
        ...(has.min ? { min: at[0]! } : {}),
        low: at[1]!,
        ...(has.high ? { high: at[2]! } : {}),
        ...(has.max ? { max: at[3]! } : {}),
        ...(has.typical ? { typical: at[1]! } : {}),
        ...(step && character.kind === 'count' ? { step: 2 } : {}),
        ...(!has.high && !has.max && character.kind === 'count' ? { open: true } : {}),
        ...(n === undefined ? {} : { n }),
      };
    });
}

const qualifiers: fc.Arbitrary<Qualifiers> = fc.constantFrom<Qualifiers>(
  {},
  { plantAge: 'young' },
  { plantAge: 'mature', setting: 'open' },
  { sex: 'female' },
);

const scores: fc.Arbitrary<Score[]> = fc
  .array(
    fc.constantFrom(...SCORED).chain((character) =>
      fc.record({
        characterId: fc.constant(character.id),
        sourceId: fc.constantFrom('manual', 'notes'),
        qualifiers,
        value: valueFor(character),
        note: fc.option(notes, { nil: undefined }),
      }),
    ),
    { maxLength: 10 },
  )
  .map((made) =>
    made
      .filter(
        (score, i) =>
          made.findIndex(
            (other) =>
              other.characterId === score.characterId &&
              other.sourceId === score.sourceId &&
              qualifierKey(other.qualifiers) === qualifierKey(score.qualifiers),
          ) === i,
      )
      .map(({ note, ...score }) => ({ ...score, ...(note ? { note } : {}) })),
  );

const taxon: fc.Arbitrary<Omit<Taxon, 'id'>> = fc.record(
  {
    rank: fc.constant('species' as const),
    genus: fc.stringMatching(/^[A-Z][a-z]{2,8}$/),
    epithet: fc.stringMatching(/^[a-z]{3,9}$/),
    hybrid: fc.constant(true),
    authority: words,
    family: fc.stringMatching(/^[A-Z][a-z]{2,7}aceae$/),
    commonNames: fc.array(fc.stringMatching(/^[A-Za-zé][a-zé'-]{1,7}( [a-z&<]{1,7})?$/), { maxLength: 3 }),
    namesIn: fc.constantFrom<Taxon['namesIn']>(
      { de: ['Rot-Ahorn', 'Sumpf-Ahorn'] },
      { fr: ['érable'], 'pt-BR': ['bordo'] },
    ),
    synonyms: fc.array(fc.stringMatching(/^[A-Z][a-z]{2,6} [a-z]{2,6}$/), { maxLength: 2 }),
    meaning: words,
    calendar: fc.constant({ leaves: [{ from: 120, to: 290 }] }),
    cautions: fc.array(
      fc.record({ kind: fc.constantFrom(...CAUTION_KINDS), part: words, effect: words, care: words }),
      { maxLength: 2 },
    ),
    memoryAid: words,
    largest: fc.constant([{ place: 'a slope', year: 2020, girth: 3.2, height: 41, crownSpread: 12 }]),
  },
  { requiredKeys: ['rank', 'genus', 'epithet', 'family', 'commonNames', 'synonyms', 'calendar', 'cautions'] },
);

const library: fc.Arbitrary<Library & { name: string }> = fc
  .array(fc.record({ taxon, scores }), { minLength: 1, maxLength: 4 })
  .map((taxa) => ({
    name: 'Trees & shrubs of “nowhere”',
    reference: { latitude: 47.6, longitude: -116.4, elevation: 780 },
    sources: [
      { id: 'manual', label: 'Manual <1>' },
      { id: 'notes', label: 'Notes & more' },
    ],
    reconciliation: { rule: 'preferred' as const, order: ['manual', 'notes'] },
    characters: [{ ...BUILT_IN.get('twig.zigzag')!, id: 'twig.own', term: 'squeaks' }],
    taxa: taxa
      .filter(
        ({ taxon: one }, i) =>
          taxa.findIndex(
            ({ taxon: other }) => scientificName(other as Taxon) === scientificName(one as Taxon),
          ) === i,
      )
      .map(({ taxon: names, scores: said }, i) => ({
        taxon: { ...names, id: `taxon-${i}` },
        scores: said,
      })),
  }));

/** Scores as a set: the order of rows is no part of what a file says. */
const asSet = (list: readonly Score[]) =>
  list
    .map((score) => ({ ...score, value: rounded(score.value) }))
    .sort((a, b) =>
      `${a.characterId}|${a.sourceId}|${qualifierKey(a.qualifiers)}`.localeCompare(
        `${b.characterId}|${b.sourceId}|${qualifierKey(b.qualifiers)}`,
      ),
    );
const rounded = (value: ScoreValue): ScoreValue =>
  value.kind === 'range'
    ? (Object.fromEntries(
        Object.entries(value).map(([end, n]) => [end, typeof n === 'number' ? Number(n.toPrecision(9)) : n]),
      ) as unknown as RangeValue)
    : value;

test('JSON bundle: what is written is read back equal, and follows the published schema', () => {
  fc.assert(
    fc.property(library, fc.constantFrom(...RANGE_STATUSES), (lib, status) => {
      const range: Range = { cells: paint({}, brush(cellAt(47, -116), 1), status), note: 'by hand' };
      const ranges = { 'taxon-0': range };
      const read = readBundle(writeBundle(lib, ranges));
      expect(read).toEqual({ ok: true, value: { format: 'hurrow-library', version: 1, ...lib, ranges } });
    }),
    { numRuns: 60 },
  );
});

test('a bundle may hold any built-in character as it stands, changed by an instructor or not', () => {
  const lib = { ...fc.sample(library, 1)[0]!, characters: [...BUILT_IN.values()] };
  expect(readBundle(writeBundle(lib, {}))).toMatchObject({ ok: true });
});

test('the list of characters in docs is the one that is used', () => {
  const published = readFileSync(new URL('../../../docs/formats.md', import.meta.url), 'utf8');
  // Behind “npm run docs” the formatter has its way with the white space.
  const plain = (text: string) => text.replace(/\s+/g, ' ');
  expect(plain(published)).toContain(plain(charactersInMarkdown(BUILT_IN)).trim());
});

test('the schema in docs is the one that is used', () => {
  const published = readFileSync(new URL('../../../docs/library.schema.json', import.meta.url), 'utf8');
  expect(JSON.parse(published)).toEqual(JSON.parse(JSON.stringify(BUNDLE_SCHEMA)));
});

test.each([
  ['{', 'is no JSON'],
  ['{"type":"FeatureCollection"}', 'Mend the file'],
  ['[]', 'Mend the file'],
])('%s is no bundle', (text, message) => {
  const read = readBundle(text);
  expect(!read.ok && read.problem).toContain(message);
});

test('a bundle with a cell that is none, or a state of frequency unknown, says where', () => {
  fc.assert(
    fc.property(library, (lib) => {
      const bad = readBundle(writeBundle(lib, { 'taxon-0': { cells: { nowhere: 'native' } } }));
      expect(!bad.ok && bad.problem).toContain('nowhere');
      const text = writeBundle(lib, {}).replace('"rule": "preferred"', '"rule": "loudest"');
      const loud = readBundle(text);
      expect(!loud.ok && loud.problem).toContain('reconciliation › rule');
    }),
    { numRuns: 5 },
  );
});

test('CSV of scores: every value comes back equal, notes that look like formulas among them', () => {
  fc.assert(
    fc.property(library, (lib) => {
      const csv = writeScoreTable(lib.taxa, BUILT_IN);
      const read = readScoreTable(csv, BUILT_IN, 'manual');
      if (!read.ok) throw new Error(read.problem);
      expect(read.value.problems).toEqual([]);
      for (const { taxon: one, scores: said } of lib.taxa) {
        const back = read.value.taxa.find(({ name }) => name === scientificName(one));
        expect(asSet(back?.scores ?? [])).toEqual(asSet(said));
      }
      // A spreadsheet must find no formula in it.
      const cells = Papa.parse<string[]>(csv).data.flat();
      expect(cells.filter((cell) => /^[=+@\t]/.test(cell))).toEqual([]);
    }),
    { numRuns: 120 },
  );
});

test('CSV of taxa × characters: one source comes back equal but for what a cell cannot say', () => {
  fc.assert(
    fc.property(library, (lib) => {
      const read = readTaxonTable(writeTaxonTable(lib.taxa, BUILT_IN, 'manual'), BUILT_IN, 'manual');
      if (!read.ok) throw new Error(read.problem);
      const flags = (list: readonly Score[]) =>
        asSet(list.filter((score) => score.value.kind !== 'range')).map((score) => ({
          ...score,
          note: undefined,
        }));
      for (const { taxon: one, scores: said } of lib.taxa) {
        const back = read.value.rows.find(
          (row) => scientificName(row.taxon as Taxon) === scientificName(one),
        )!;
        const wrong = read.value.problems.length > 0;
        if (!wrong)
          expect(flags(back.scores)).toEqual(flags(said.filter((score) => score.sourceId === 'manual')));
        expect(back.taxon.family).toBe(one.family);
        expect(back.taxon.namesIn).toEqual(one.namesIn);
      }
    }),
    { numRuns: 60 },
  );
});

test('SDD: names, sources and scores come back equal', () => {
  fc.assert(
    fc.property(library, (lib) => {
      const read = readSdd(writeSdd(lib, BUILT_IN, '2026-10-15T16:00:00Z'), BUILT_IN);
      if (!read.ok) throw new Error(read.problem);
      expect(read.value.ignored).toEqual([]);
      expect(read.value.name).toBe(lib.name);
      expect(read.value.sources).toEqual(lib.sources);
      for (const [i, { taxon: one, scores: said }] of lib.taxa.entries()) {
        const back = read.value.taxa[i]!;
        expect(back.taxon).toEqual({
          id: one.id,
          name: scientificName(one),
          commonNames: one.commonNames,
          ...(one.namesIn ? { namesIn: one.namesIn } : {}),
          ...(one.authority ? { authority: one.authority } : {}),
        });
        expect(asSet(back.scores)).toEqual(asSet(said.filter((score) => score.value.kind !== 'months')));
      }
    }),
    { numRuns: 80 },
  );
});

test('names of an SDD file in what is no language are names all the same', () => {
  const label = (lang: string, name: string) => `<Label xml:lang="${lang}">${name}</Label>`;
  const names = [
    ['en', 'dogwood'],
    ['de', 'Hartriegel'],
    ['__proto__', 'cornel'],
    ['German', 'Hornstrauch'],
    ['pt-br', 'corniso'],
  ];
  const labels = label('la', 'Cornus sericea') + names.map(([lang, name]) => label(lang!, name!)).join('');
  const xml = `<Datasets><Dataset xml:lang="en"><TaxonNames><TaxonName id="x"><Representation>${labels}</Representation></TaxonName></TaxonNames></Dataset></Datasets>`;
  const read = readSdd(xml, BUILT_IN);
  if (!read.ok) throw new Error(read.problem);
  expect(read.value.taxa[0]!.taxon).toMatchObject({
    commonNames: ['dogwood', 'cornel', 'Hornstrauch'],
    namesIn: { de: ['Hartriegel'], 'pt-BR': ['corniso'] },
  });
});

test('a foreign SDD file: what is known by its label is read, the rest is reported', () => {
  const xml = `<?xml version="1.0"?>
<sdd:Datasets xmlns:sdd="http://rs.tdwg.org/UBIF/2006/"><sdd:Dataset xml:lang="en">
 <sdd:Representation><sdd:Label>Shrubs</sdd:Label></sdd:Representation>
 <sdd:TaxonNames><sdd:TaxonName id="x1"><sdd:Representation><sdd:Label>Cornus sericea</sdd:Label></sdd:Representation></sdd:TaxonName></sdd:TaxonNames>
 <sdd:TaxonHierarchies><sdd:TaxonHierarchy id="h"/></sdd:TaxonHierarchies>
 <sdd:Characters>
  <sdd:CategoricalCharacter id="k1"><sdd:Representation><sdd:Label>Leaf shape</sdd:Label></sdd:Representation>
   <sdd:States><sdd:StateDefinition id="k1a"><sdd:Representation><sdd:Label>Ovate</sdd:Label></sdd:Representation></sdd:StateDefinition>
   <sdd:StateDefinition id="k1b"><sdd:Representation><sdd:Label>runcinate</sdd:Label></sdd:Representation></sdd:StateDefinition></sdd:States></sdd:CategoricalCharacter>
  <sdd:QuantitativeCharacter id="k2"><sdd:Representation><sdd:Label>Blade length</sdd:Label></sdd:Representation></sdd:QuantitativeCharacter>
  <sdd:CategoricalCharacter id="k3"><sdd:Representation><sdd:Label>Taste</sdd:Label></sdd:Representation></sdd:CategoricalCharacter>
 </sdd:Characters>
 <sdd:CodedDescriptions><sdd:CodedDescription id="d1"><sdd:Representation><sdd:Label>C. sericea</sdd:Label></sdd:Representation>
  <sdd:Scope><sdd:TaxonName ref="x1"/></sdd:Scope><sdd:SummaryData>
   <sdd:Categorical ref="k1"><sdd:State ref="k1a"/><sdd:State ref="k1b"/></sdd:Categorical>
   <sdd:Quantitative ref="k2"><sdd:Measure type="UMethLower" value="4"/><sdd:Measure type="UMethUpper" value="10"/><sdd:Measure type="Var" value="2"/></sdd:Quantitative>
   <sdd:TextChar ref="k4"><sdd:Content>red</sdd:Content></sdd:TextChar>
  </sdd:SummaryData></sdd:CodedDescription>
  <sdd:CodedDescription id="d2"><sdd:Scope><sdd:TaxonName ref="gone"/></sdd:Scope></sdd:CodedDescription></sdd:CodedDescriptions>
</sdd:Dataset></sdd:Datasets>`;
  const read = readSdd(xml, BUILT_IN);
  if (!read.ok) throw new Error(read.problem);
  expect(read.value.taxa[0]!.taxon.name).toBe('Cornus sericea');
  expect(read.value.taxa[0]!.scores).toEqual([
    {
      characterId: 'leaf.shape',
      sourceId: '',
      qualifiers: {},
      value: { kind: 'states', states: [{ state: 'ovate', frequency: 'always' }] },
    },
    {
      characterId: 'leaf.length',
      sourceId: '',
      qualifiers: {},
      value: { kind: 'range', low: 0.04, high: 0.1 },
    },
  ]);
  const report = read.value.ignored.join('\n');
  for (const part of ['TaxonHierarchies', 'runcinate', 'Taste', 'TextChar', 'belongs to no taxon'])
    expect(report).toContain(part);
});

test.each([
  ['<Datasets>', 'is no XML'],
  ['<a/>', 'no SDD dataset'],
  ['<Datasets><Dataset><Characters/></Dataset></Datasets>', 'describes no taxon'],
  ['<!DOCTYPE a [<!ENTITY x "y">]><Datasets/>', 'entities'],
])('%s is refused with what is wrong', (xml, message) => {
  const read = readSdd(xml, BUILT_IN);
  expect(!read.ok && read.problem).toContain(message);
});

test('Darwin Core: a range goes out cell by cell and comes back the same', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...RANGE_STATUSES),
      fc.double({ min: 40, max: 55, noNaN: true }),
      fc.integer({ min: 0, max: 3 }),
      (status, latitude, radius) => {
        const range: Range = { cells: paint({}, brush(cellAt(latitude, -115), radius), status) };
        const csv = writeDarwinCore([{ scientificName: 'Abies grandis', range }]);
        const read = readDarwinCore(csv);
        expect(read.ok && read.value.ranges).toEqual([{ scientificName: 'Abies grandis', range }]);
      },
    ),
    { numRuns: 40 },
  );
});

test('foreign Darwin Core: unknown columns are named, bad rows are refused one by one', () => {
  const read = readDarwinCore(
    [
      'occurrenceID,scientificName,decimalLatitude,decimalLongitude,establishmentMeans,occurrenceStatus,coordinateUncertaintyInMeters',
      '1,Acer glabrum,47.6,-116.4,native,present,100',
      '2,Acer glabrum,-116.4,47.6,native,present,100',
      '3,Acer glabrum,0,0,,present,',
      '4,Acer glabrum,47.6,,,present,',
      '5,Acer glabrum,48.9,-118,,present,90000',
      '6,Acer glabrum,48.9,-118,,absent,10',
      '7,Acer platanoides,47.6,-116.4,naturalised,present,10',
    ].join('\n'),
  );
  if (!read.ok) throw new Error(read.problem);
  expect(read.value.rows).toBe(2);
  expect(
    read.value.ranges.map(({ scientificName, range }) => [scientificName, Object.values(range.cells)]),
  ).toEqual([
    ['Acer glabrum', ['native']],
    ['Acer platanoides', ['introduced']],
  ]);
  expect(read.value.problems.map(({ line }) => line)).toEqual([3, 4, 5, 6]);
  expect(read.value.ignored).toEqual(['occurrenceID']);
  const none = readDarwinCore('scientificName,latitude\nAcer glabrum,47');
  expect(!none.ok && none.problem).toContain('decimalLatitude');
});
