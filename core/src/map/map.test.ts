import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { cellAt } from '../range/index.ts';
import { atlasOf, baseMap, placeName, rangeLayers, rangeSvg, viewOf, type MapLook } from './index.ts';

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

const site = { latitude: 47.6, longitude: -116.4 };
const cells = { [cellAt(47.6, -116.4)]: 'native' as const, [cellAt(40, -105)]: 'introduced' as const };

test('a range fills the map, and each status is one layer of its own', () => {
  const view = viewOf(cells, site);
  expect(view.latitude).toBeCloseTo(43.8, 0);
  const { layers, here } = rangeLayers({ cells }, site, atlas);
  expect(layers.filter(({ status }) => status).map(({ status }) => status)).toEqual(['native', 'introduced']);
  expect(here![0]).toBeGreaterThan(0);
  expect(here![0]).toBeLessThan(view.width);
});

test('a range as a picture of its own is closed markup that says where the course is', () => {
  const look: MapLook = {
    sea: '#fff',
    land: '#eee',
    line: '#999',
    ink: '#000',
    here: '#a00',
    status: { native: '#333', introduced: '#777', planted: '#777', rare: '#777', extirpated: '#777' },
  };
  const svg = rangeSvg({ cells }, site, atlas, look, { title: 'Range <of a fir>', here: 'here' });
  expect(svg).toMatch(/^<svg [^>]*viewBox="0 0 720 500"/);
  expect(svg.endsWith('</svg>')).toBe(true);
  expect(svg).toContain('Range &lt;of a fir&gt;');
  expect(svg).toContain('>here<');
  expect(svg.match(/#333/g)).toHaveLength(1);
});
