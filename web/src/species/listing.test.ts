import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { parseScore } from '@hurrow/core/score';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { countOf, inSight, ordered, shows } from './listing.ts';

const tree = (genus: string, epithet: string, common: string, scores: Record<string, string> = {}) =>
  ({
    taxon: { id: `${genus}-${epithet}`.toLowerCase(), genus, epithet, commonNames: [common] },
    scores: Object.entries(scores).map(([characterId, text]) => {
      const read = parseScore(text, BUILT_IN.get(characterId)!);
      if (!read.ok) throw new Error(read.problem);
      return { characterId, qualifiers: {}, value: read.value };
    }),
  }) as unknown as ProfiledTaxon;
const [fir, elm, oak, ash] = [
  tree('Abies', 'grandis', 'grand fir', { 'twig.zigzag': 'no' }),
  tree('Ulmus', 'minor', 'field elm', { 'leaf.shape': 'ovate; rarely elliptic', 'twig.zigzag': 'yes' }),
  tree('Quercus', 'alba', 'white oak'),
  tree('Fraxinus', 'nigra', 'black ash'),
];
const all = [fir!, elm!, oak!, ash!];
const names = (list: readonly ProfiledTaxon[]) => list.map(({ taxon }) => taxon.genus);

test('the taught come first and as they are taught, the rest behind by scientific name', () => {
  expect(names(ordered(all, 'set', ['ulmus-minor', 'quercus-alba']))).toEqual([
    'Ulmus',
    'Quercus',
    'Abies',
    'Fraxinus',
  ]);
  expect(names(ordered(all, 'name', ['ulmus-minor']))).toEqual(['Fraxinus', 'Ulmus', 'Abies', 'Quercus']);
  expect(names(ordered(all, 'latin', ['ulmus-minor']))).toEqual(['Abies', 'Fraxinus', 'Quercus', 'Ulmus']);
  expect(names(all)[0]).toBe('Abies');
});
test('a filter finds what shows a state, however rarely, and not what says it is never there', () => {
  const by = (characterId: string, state: string) =>
    names(all.filter((profiled) => shows(profiled, { characterId, state })));
  expect(by('leaf.shape', 'elliptic')).toEqual(['Ulmus']);
  expect(by('leaf.shape', 'orbicular')).toEqual([]);
  expect(by('twig.zigzag', 'yes')).toEqual(['Ulmus']);
  expect(by('twig.zigzag', 'no')).toEqual(['Abies']);
});
test('a count says how many of how many', () => {
  expect([countOf(1, 1), countOf(42, 42), countOf(7, 42)]).toEqual(['1 taxon', '42 taxa', '7 of 42']);
});

test('a list is scrolled no further than it takes to bring a row into sight', () => {
  const from = (scrollTop: number) => inSight(470, 47, { scrollTop, clientHeight: 300 });
  expect([from(0), from(217), from(400), from(470), from(900)]).toEqual([217, 217, 400, 470, 470]);
});
