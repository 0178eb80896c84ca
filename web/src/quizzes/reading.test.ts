import { resolveName, type NamedTaxon } from '@hurrow/core/names';
import { howItReads, readingInWords } from './reading.ts';

const taxon = (genus: string, epithet: string, ...commonNames: string[]): NamedTaxon => ({
  id: `${genus}-${epithet}`,
  rank: 'species',
  genus,
  epithet,
  family: 'Pinaceae',
  commonNames,
  synonyms: [],
});
const LIST = [
  taxon('Abies', 'grandis', 'grand fir'),
  taxon('Abies', 'lasiocarpa', 'subalpine fir'),
  taxon('Tsuga', 'heterophylla', 'western hemlock'),
];
const said = (text: string) => howItReads(resolveName(text, LIST), LIST);

test.each([
  ['Abies grandis', 'Read as Abies grandis.'],
  ['grand fir', 'Read as grand fir, a name of Abies grandis.'],
  ['Abies granids', 'Read as Abies grandis, 0.8 letters off.'],
  ['Abies', 'Read as the genus Abies; more than one of it is on the list, or none that fits.'],
  ['Tsuga', 'Read as the genus Tsuga, of which only Tsuga heterophylla is on the list.'],
  ['Thuja occidentalis', 'It is Thuja occidentalis, which is not on the list.'],
  ['grand fir or subalpine fir', 'It may be grand fir or subalpine fir.'],
  ['grand fir or noble fir', 'Besides grand fir, it names noble fir.'],
  ['Seattle', 'It names no tree of the list.'],
  ['?', 'Nothing was written.'],
])('“%s”: %s', (text, words) => expect(said(text)).toBe(words));

test('what waits for a ruling says why, where the reading knows', () => {
  expect(readingInWords(resolveName('noble fir', LIST), LIST)).toBe(', noble fir by its name,');
  expect(readingInWords(resolveName('grand fir or subalpine fir', LIST), LIST)).toBe(
    ', which may be grand fir or subalpine fir,',
  );
  expect(readingInWords(resolveName('grandest of all', LIST), LIST)).toBe('');
});
