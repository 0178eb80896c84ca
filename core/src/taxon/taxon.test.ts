import { commonName, scientificName, sizePoints, type TaxonNames } from './index.ts';

const names = (more: Partial<TaxonNames>): TaxonNames => ({
  rank: 'species',
  genus: 'Populus',
  epithet: 'balsamifera',
  family: 'Salicaceae',
  commonNames: [],
  synonyms: [],
  ...more,
});

test.each<[Partial<TaxonNames>, string]>([
  [{}, 'Populus balsamifera'],
  [{ rank: 'subspecies', infraEpithet: 'trichocarpa' }, 'Populus balsamifera subsp. trichocarpa'],
  [{ rank: 'variety', infraEpithet: 'reticulata' }, 'Populus balsamifera var. reticulata'],
  [{ hybrid: true, epithet: 'canadensis' }, 'Populus × canadensis'],
  [{ rank: 'genus', epithet: '' }, 'Populus'],
])('%j is %s', (more, written) => expect(scientificName(names(more))).toBe(written));

test('the first common name is the preferred one; without any the scientific one stands', () => {
  expect(commonName(names({ commonNames: ['balsam poplar', 'tacamahac'] }))).toBe('balsam poplar');
  expect(commonName(names({}))).toBe('Populus balsamifera');
});

test('size points: 200 in of girth, 150 ft high, a crown of 40 ft', () => {
  const tree = {
    place: 'a made-up valley',
    girth: 200 * 0.0254,
    height: 150 * 0.3048,
    crownSpread: 40 * 0.3048,
  };
  expect(sizePoints(tree)).toBe(200 + 150 + 10);
});
