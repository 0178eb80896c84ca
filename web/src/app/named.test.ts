import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { named } from './named.ts';

const taxon = (genus: string, epithet: string, ...commonNames: string[]) =>
  ({
    taxon: {
      genus,
      epithet,
      rank: 'species',
      commonNames,
      synonyms: genus === 'Acer' ? ['Acer torreyi'] : [],
    },
    scores: [],
  }) as unknown as ProfiledTaxon;
const library = [
  taxon('Larix', 'occidentalis', 'western larch', 'western tamarack'),
  taxon('Acer', 'glabrum', 'Rocky Mountain maple'),
];
const epithets = (typed: string) => named(library, typed).map((found) => found.taxon.epithet);

test('any name finds a taxon, whatever its case: common, second, scientific, older', () => {
  expect(epithets(' Tamarack ')).toEqual(['occidentalis']);
  expect(epithets('larix occ')).toEqual(['occidentalis']);
  expect(epithets('torreyi')).toEqual(['glabrum']);
});

test('nothing typed names none, and marks are no names', () => {
  expect(epithets('  ')).toEqual([]);
  expect(epithets('needles 5')).toEqual([]);
});
