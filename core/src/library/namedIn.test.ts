import type { Taxon } from '../taxon/index.ts';
import { namedIn, readLibrary, type Library } from './index.ts';

const taxon = (id: string, namesIn?: Taxon['namesIn']): Taxon => ({
  id,
  rank: 'species',
  genus: 'Abies',
  epithet: id,
  family: 'Pinaceae',
  commonNames: [`${id} fir`],
  ...(namesIn ? { namesIn } : {}),
  synonyms: [],
  calendar: {},
  cautions: [],
});

const library = (...taxa: Taxon[]): Library => ({
  reference: { latitude: 47, longitude: -116, elevation: 700 },
  sources: [],
  reconciliation: { rule: 'preferred', order: [] },
  characters: [],
  taxa: taxa.map((each) => ({ taxon: each, scores: [] })),
});

const two = library(taxon('grandis', { de: ['Küsten-Tanne', 'Riesen-Tanne'] }), taxon('lasiocarpa'));

it('calls trees by the names of a language, and keeps those of the library as further names', () => {
  const read = readLibrary(namedIn(two, 'de'));
  expect(read.profileOf('grandis')!.taxon.commonNames).toEqual([
    'Küsten-Tanne',
    'Riesen-Tanne',
    'grandis fir',
  ]);
  expect(read.profileOf('lasiocarpa')!.taxon.commonNames).toEqual(['lasiocarpa fir']);
  expect(two.taxa[0]!.taxon.commonNames).toEqual(['grandis fir']);
});

it('is the library itself where there is nothing to say otherwise, and else one object for all who ask', () => {
  expect(namedIn(two, null)).toBe(two);
  expect(namedIn(two, 'fr')).toBe(two);
  expect(namedIn(two, 'de')).toBe(namedIn(two, 'de'));
});
