import { taxaAsked, withTaxonAt } from './taxaAsked.ts';

test('an address without trees asks for none, and one with a gap keeps it', () => {
  expect(taxaAsked(null)).toEqual([]);
  expect(taxaAsked('')).toEqual([]);
  expect(taxaAsked(',b')).toEqual(['', 'b']);
});

test('whichever of two is chosen first, both stay where they were chosen', () => {
  expect(withTaxonAt(withTaxonAt([], 0, 'a'), 1, 'b')).toEqual(['a', 'b']);
  expect(withTaxonAt(withTaxonAt([], 1, 'b'), 0, 'a')).toEqual(['a', 'b']);
});

test('emptying one of the first two moves nothing; a later one goes', () => {
  expect(withTaxonAt(['a', 'b', 'c'], 0, '')).toEqual(['', 'b', 'c']);
  expect(withTaxonAt(['a', 'b', 'c', 'd'], 2, '')).toEqual(['a', 'b', 'd']);
  expect(withTaxonAt(['a', 'b'], 1, '')).toEqual(['a']);
});
