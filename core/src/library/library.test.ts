import { gapsOf } from '../evidence/index.ts';
import { parseScore, reconcile, type Score } from '../score/index.ts';
import type { Taxon } from '../taxon/index.ts';
import { MEDIUM_VIEWS } from '../view/index.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import {
  disagreementsOf,
  readLibrary,
  search,
  searchIndex,
  vocabularyOfLibrary,
  type Library,
} from './index.ts';

const taxon = (genus: string, epithet: string, common: string, family = 'Pinaceae'): Taxon => ({
  id: `${genus}-${epithet}`.toLowerCase(),
  rank: 'species',
  genus,
  epithet,
  family,
  commonNames: [common],
  synonyms: [],
  calendar: {},
  cautions: [],
});
const score = (characterId: string, text: string, sourceId = 'manual'): Score => {
  const read = parseScore(text, BUILT_IN.get(characterId)!);
  if (!read.ok) throw new Error(read.problem);
  return { characterId, sourceId, qualifiers: {}, value: read.value };
};
const library: Library = {
  reference: { latitude: 47.6, longitude: -116.4, elevation: 780 },
  sources: [
    { id: 'manual', label: 'Manual' },
    { id: 'notes', label: 'Notes' },
  ],
  reconciliation: { rule: 'preferred', order: ['manual', 'notes'] },
  characters: [],
  taxa: [
    {
      taxon: taxon('Pinus', 'albicaulis', 'whitebark pine'),
      scores: [
        score('foliage.kind', 'bundled'),
        score('needle.perBundle', '5'),
        score('bark.color', 'paleGrey; sometimes white'),
      ],
    },
    {
      taxon: taxon('Pinus', 'ponderosa', 'ponderosa pine'),
      scores: [
        score('foliage.kind', 'bundled'),
        score('needle.perBundle', '2–3'),
        score('needle.length', '12–25 cm'),
        score('needle.length', '4–6 cm', 'notes'),
      ],
    },
    {
      taxon: taxon('Picea', 'pungens', 'blue spruce'),
      scores: [score('foliage.kind', 'single'), score('needle.color', 'blueGreen')],
    },
    {
      taxon: taxon('Frangula', 'purshiana', 'cascara', 'Rhamnaceae'),
      scores: [score('foliage.kind', 'broad'), score('bud.scales', 'none')],
    },
  ],
};
const { profiles } = readLibrary(library);
const index = searchIndex(profiles, BUILT_IN);
const found = (query: string) => search(index, query).map(({ id }) => id);

test.each<[string, string[]]>([
  ['needles 5', ['pinus-albicaulis']],
  ['needles 5 white bark', ['pinus-albicaulis']],
  ['3 needles', ['pinus-ponderosa']],
  ['ponderossa', ['pinus-ponderosa']],
  ['purshana', ['frangula-purshiana']],
  ['naked buds', ['frangula-purshiana']],
  ['Rhamnaceae', ['frangula-purshiana']],
  ['blue', ['picea-pungens']],
  ['pond', ['pinus-ponderosa']],
  ['', []],
  ['zzzz', []],
])('“%s” finds %j', (query, ids) => expect(found(query)).toEqual(ids));

test('names weigh more than states', () => expect(found('white pine')[0]).toBe('pinus-albicaulis'));

test('both statements of a disagreement are there, side by side', () => {
  const [first, ...rest] = disagreementsOf(profiles);
  expect(rest).toEqual([]);
  expect(first!.taxon.id).toBe('pinus-ponderosa');
  expect(first!.score.statements.map((statement) => statement.sourceId)).toEqual(['manual', 'notes']);
});

test('a gap counts the pairs that a clear difference in it would settle', () => {
  const twins = ['one', 'two', 'three'].map((epithet): Library['taxa'][0] => ({
    taxon: taxon('Acer', epithet, epithet),
    scores: [
      score('foliage.kind', 'broad'),
      score('twig.arrangement', epithet === 'three' ? 'alternate' : 'opposite'),
      ...(epithet === 'one' ? [score('leaf.lobing', 'palmate')] : []),
    ],
  }));
  const list = readLibrary({ ...library, taxa: twins }).profiles;
  const gaps = gapsOf(list, BUILT_IN, { ...MEDIUM_VIEWS.cutting, day: 200, qualifiers: {} });
  const lobing = gaps.find(({ character }) => character.id === 'leaf.lobing')!;
  expect(lobing.taxa).toEqual(['acer-two', 'acer-three']);
  expect(lobing.wouldSettle).toEqual([['acer-one', 'acer-two']]);
  // A subjective character, misread once in twenty, does not settle a pair by itself.
  expect(gaps.find(({ character }) => character.id === 'leaf.shape')?.wouldSettle ?? []).toEqual([]);
});

test('a library changes words and adds characters without touching the built-in ones', () => {
  const arrangement = { ...BUILT_IN.get('twig.arrangement')!, plain: 'how leaves pair up' };
  const own = { ...BUILT_IN.get('twig.zigzag')!, id: 'twig.own-squeak', term: 'squeaks when bent' };
  const vocabulary = vocabularyOfLibrary({ characters: [arrangement, own] });
  expect(vocabulary.get('twig.arrangement')!.plain).toBe('how leaves pair up');
  expect(vocabulary.get('twig.own-squeak')!.term).toBe('squeaks when bent');
  expect(BUILT_IN.get('twig.arrangement')!.plain).not.toBe('how leaves pair up');
  expect(vocabularyOfLibrary({ characters: [] })).toBe(BUILT_IN);
});

test('a library that is read reconciles each taxon once, and finds it by its id', () => {
  const read = readLibrary(library);
  const [first] = library.taxa;
  const one = read.profileOf(first!.taxon.id);
  expect(read.profileOf(first!.taxon.id)).toBe(one);
  expect(read.profiles).toEqual(
    library.taxa.map(({ taxon, scores }) => ({
      taxon,
      scores: reconcile(scores, BUILT_IN, library.reconciliation),
    })),
  );
  expect(read.profiles[0]).toBe(one);
  expect(read.profiles).toBe(read.profiles);
  expect(read.statementsOf(first!.taxon.id)).toBe(first);
  expect(read.profileOf('nobody')).toBeUndefined();
  expect(
    read.profilesOf(['picea-pungens', 'nobody', 'pinus-albicaulis']).map(({ taxon }) => taxon.id),
  ).toEqual(['picea-pungens', 'pinus-albicaulis']);
  // Whoever holds the same library shares what was worked out; another one is another.
  expect(readLibrary(library)).toBe(read);
  expect(readLibrary({ ...library })).not.toBe(read);
});
