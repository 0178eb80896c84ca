import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { atlasOf } from './atlas.ts';
import { baseMap, placeName } from './baseMap.ts';

const { resolve } = createRequire(import.meta.url);
const file = (name: string) => JSON.parse(readFileSync(resolve(name), 'utf8')) as never;
const atlas = atlasOf(file('world-atlas/countries-50m.json'), file('us-atlas/counties-10m.json'));
const view = { latitude: 47, longitude: -116, width: 600, height: 400 };

test('a place has the name of its state or country, and none at sea', () => {
  expect(placeName(atlas, -116.2, 43.6)).toBe('Idaho');
  expect(placeName(atlas, 36.8, -1.3)).toBe('Kenya');
  expect(placeName(atlas, -140, 30)).toBeUndefined();
});
test('counties are drawn from near by, and before the atlas is there the graticule alone', () => {
  const far = baseMap({ ...view, scale: 500 }, atlas);
  expect(far.land).toMatch(/^M/);
  expect(far.counties).toBe('');
  expect(baseMap({ ...view, scale: 4000 }, atlas).counties.length).toBeGreaterThan(1000);
  const bare = baseMap({ ...view, scale: 500 }, undefined);
  expect(bare).toMatchObject({ land: '', borders: '', states: '', counties: '' });
  expect(bare.graticule).toMatch(/^M/);
});
