import { newTree, NO_FEATURES } from '@hurrow/core/grounds';
import type { Taxon } from '@hurrow/core/taxon';
import { readGroundsFile, tally, taxaByName } from './groundsFile.ts';

const taxa = [
  {
    id: 'acer-glabrum',
    rank: 'species',
    genus: 'Acer',
    epithet: 'glabrum',
    family: 'Sapindaceae',
    commonNames: ['Rocky Mountain maple'],
    synonyms: [],
    calendar: {},
    cautions: [],
  },
] as Taxon[];
const taxonOf = taxaByName(taxa);
const whole = { trees: [{ ...newTree('T-1', 47.6, -116.4), id: 'x', version: 1 }], features: NO_FEATURES };
const line = {
  type: 'Feature',
  properties: { highway: 'path' },
  geometry: {
    type: 'LineString',
    coordinates: [
      [-116.4, 47.6],
      [-116.3, 47.6],
    ],
  },
};
const point = (tag: string) => ({
  type: 'Feature',
  properties: { tag, species: 'Rocky Mountain maple' },
  geometry: { type: 'Point', coordinates: [-116.4, 47.6] },
});

test('a file is known by what is in it, not by its name', () => {
  const csv = readGroundsFile(
    'trees.txt',
    'tag,taxon,lat,lon\nT 1,Acer glabrum,47.6,-116.4\nT-2,Acer,47.6,-116.4',
    taxonOf,
  );
  expect(csv.ok && csv.value.trees?.trees.map(({ taxonId }) => taxonId)).toEqual(['acer-glabrum', null]);
  expect(csv.ok && tally(csv.value, whole)).toEqual(['1 tree would be added, 1 changed.']);
  const gpx = readGroundsFile(
    'x.csv',
    '<gpx version="1.1"><wpt lat="47.6" lon="-116.4"><name>P</name></wpt></gpx>',
    taxonOf,
  );
  expect(gpx.ok && gpx.value.trees?.trees).toHaveLength(1);
});

test('trees and paths in one GeoJSON fall apart', () => {
  const read = readGroundsFile(
    'all.json',
    JSON.stringify({ type: 'FeatureCollection', features: [line, point('T-1'), point('T-9')] }),
    taxonOf,
  );
  if (!read.ok) throw new Error(read.problem);
  expect(read.value.trees?.trees.map(({ taxonId }) => taxonId)).toEqual(['acer-glabrum', 'acer-glabrum']);
  expect(tally(read.value, whole)).toEqual([
    '1 tree would be added, 1 changed.',
    '1 line or area would be added to the map.',
  ]);
});

test('what is broken or empty says what to do', () => {
  expect(readGroundsFile('x.json', '{"features": [', taxonOf)).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/broken/) as string,
  });
  expect(readGroundsFile('x.json', '{}', taxonOf)).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/no points/) as string,
  });
  expect(readGroundsFile('x.csv', 'a,b\n1,2', taxonOf)).toMatchObject({ ok: false });
});
