import type { Taxon } from '@hurrow/core/taxon';
import { readFile } from './rangeFile.ts';

const fir = {
  genus: 'Abies',
  epithet: 'grandis',
  synonyms: ['Pinus grandis'],
  rank: 'species',
} as unknown as Taxon;
const rows = (...lines: string[]) => ['scientificName,decimalLatitude,decimalLongitude', ...lines].join('\n');

test('rows of the species are taken, under a synonym too and with an author behind the name', () => {
  const read = readFile(
    rows('Abies grandis,47,-116', 'Pinus grandis,46,-117', 'Abies grandis Lindl.,45,-118'),
    fir,
  );
  expect(typeof read === 'object' && Object.keys(read.cells)).toHaveLength(3);
});
test('rows of others are left out, and that is said; a file of others alone is none of this species', () => {
  const mixed = readFile(rows('Abies grandis,47,-116', 'Tsuga mertensiana,46,-117'), fir);
  expect(mixed).toMatchObject({ said: ['Rows of other taxa were left out.'] });
  expect(readFile(rows('Tsuga mertensiana,46,-117'), fir)).toBe(
    'No row of the file is of Abies grandis; it names Tsuga mertensiana.',
  );
});
test('a row that cannot be read is named with its line; what is no file of places is refused', () => {
  const read = readFile(rows('Abies grandis,47,-116', 'Abies grandis,north,-116'), fir);
  expect(typeof read === 'object' && read.said.join()).toMatch(/^Line 3: /);
  expect(typeof readFile('a,b\n1,2', fir)).toBe('string');
  expect(typeof readFile('{"type":"Feature', fir)).toBe('string');
});
