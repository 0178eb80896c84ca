import fc from 'fast-check';
import { profiled } from '../testing/taxa.ts';
import {
  areaOf,
  brush,
  canMeet,
  cellAt,
  comparedHabitats,
  distanceTo,
  EMPTY_RANGE,
  growsHere,
  growsHereInWords,
  isRangeCell,
  middleOf,
  paint,
  RANGE_STATUSES,
  rangeAsGeoJson,
  rangeInWords,
  readRangeGeoJson,
  shareInside,
  type Range,
  type RangeCells,
} from './index.ts';

const COLLEGE = { latitude: 47.6, longitude: -116.4, elevation: 780 };
const around = (latitude: number, longitude: number, radius: number): RangeCells =>
  paint({}, brush(cellAt(latitude, longitude), radius), 'native');

const cells = fc
  .array(
    fc.record({
      latitude: fc.double({ min: 30, max: 62, noNaN: true }),
      longitude: fc.double({ min: -135, max: -70, noNaN: true }),
      radius: fc.integer({ min: 0, max: 3 }),
      status: fc.constantFrom(...RANGE_STATUSES),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((strokes) =>
    strokes.reduce<RangeCells>(
      (held, { latitude, longitude, radius, status }) =>
        paint(held, brush(cellAt(latitude, longitude), radius), status),
      {},
    ),
  );

test('a painted range goes out as GeoJSON and comes back with the same cells, holes and islands among them', () => {
  fc.assert(
    fc.property(cells, fc.option(fc.constant('generalized by hand'), { nil: undefined }), (painted, note) => {
      const range: Range = { cells: painted, ...(note ? { note } : {}) };
      const back = readRangeGeoJson(JSON.stringify(rangeAsGeoJson(range, 'Abies grandis')));
      expect(back).toEqual({ ok: true, value: { range, ignored: [] } });
    }),
    { numRuns: 60 },
  );
});

test('a ring with a hole keeps its hole', () => {
  const ring = paint(around(47, -116, 2), brush(cellAt(47, -116), 0), undefined);
  const back = readRangeGeoJson(JSON.stringify(rangeAsGeoJson({ cells: ring }, 'x')));
  expect(back.ok && Object.keys(back.value.range.cells)).toHaveLength(18);
});

test('foreign GeoJSON: a bare polygon, points, a line that is passed over, a status not known', () => {
  const square = [
    [
      [-117, 46],
      [-114, 46],
      [-114, 49],
      [-117, 49],
      [-117, 46],
    ],
  ];
  const bare = readRangeGeoJson(JSON.stringify({ type: 'Polygon', coordinates: square }));
  expect(bare.ok && Object.keys(bare.value.range.cells).length).toBeGreaterThan(25);
  const mixed = readRangeGeoJson(
    JSON.stringify({
      type: 'FeatureCollection',
      features: [
        {
          type: 'Feature',
          properties: { status: 'vagrant' },
          geometry: { type: 'Point', coordinates: [-116, 47] },
        },
        {
          type: 'Feature',
          properties: {},
          geometry: {
            type: 'LineString',
            coordinates: [
              [0, 0],
              [1, 1],
            ],
          },
        },
        { type: 'Feature', properties: {}, geometry: null },
        { type: 'Feature', properties: {}, geometry: { type: 'Point', coordinates: [47, -116] } },
      ],
    }),
  );
  expect(mixed.ok && mixed.value.range.cells).toEqual({ [cellAt(47, -116)]: 'native' });
  expect(mixed.ok && mixed.value.ignored).toHaveLength(4);
});

test.each([
  ['no JSON', '{', 'could not be read as JSON'],
  ['no feature', '{"type":"FeatureCollection","features":[]}', 'no GeoJSON feature'],
  ['coordinates out of the world', '{"type":"Point","coordinates":[500,10]}', 'longitude, latitude'],
])('%s is refused with what to do', (_what, text, message) => {
  const read = readRangeGeoJson(text);
  expect(!read.ok && read.problem).toContain(message);
});

test('a polygon smaller than a cell still marks the cell it lies in', () => {
  const tiny = [
    [
      [-116.41, 47.6],
      [-116.4, 47.6],
      [-116.4, 47.61],
      [-116.41, 47.6],
    ],
  ];
  const read = readRangeGeoJson(JSON.stringify({ type: 'Polygon', coordinates: tiny }));
  expect(read.ok && Object.keys(read.value.range.cells)).toEqual([cellAt(47.603, -116.403)]);
});

test('brushes hold 1, 7 and 19 cells; a cell of the grid is about 1,770 km²', () => {
  expect([0, 1, 2].map((radius) => brush(cellAt(47, -116), radius).length)).toEqual([1, 7, 19]);
  expect(areaOf([cellAt(47, -116)])).toBeGreaterThan(1200);
  expect(areaOf([cellAt(47, -116)])).toBeLessThan(2200);
});

test('painting and erasing leave the range as it was', () => {
  fc.assert(
    fc.property(cells, (painted) => {
      const stroke = brush(cellAt(10, 10), 1);
      expect(paint(paint(painted, stroke, 'planted'), stroke, undefined)).toEqual(painted);
    }),
    { numRuns: 30 },
  );
});

test('share of one range inside another, by area', () => {
  const [small, large] = [around(47, -116, 1), around(47, -116, 3)];
  expect(shareInside(small, large)).toBeCloseTo(1, 10);
  expect(shareInside(large, small)).toBeGreaterThan(0.15);
  expect(shareInside(large, small)).toBeLessThan(0.23);
  expect(shareInside({}, large)).toBe(0);
});

test('distance: none inside, and on the great circle outside', () => {
  expect(distanceTo(COLLEGE, around(47.6, -116.4, 1))).toBe(0);
  const far = distanceTo(COLLEGE, around(44, -72, 0))!;
  // From 47.6 N 116.4 W to 44 N 72 W is about 3,460 km by the haversine formula.
  expect(far).toBeGreaterThan(3380);
  expect(far).toBeLessThan(3500);
  expect(distanceTo(COLLEGE, {})).toBeUndefined();
});

test('does it grow here: inside, beside, far, died out, too high, not recorded', () => {
  const here = around(47.6, -116.4, 1);
  expect(growsHere(COLLEGE, here, {}).answer).toBe('yes');
  expect(growsHere(COLLEGE, here, { low: 1700 })).toMatchObject({ answer: 'nearby', elevation: 'below' });
  expect(growsHere(COLLEGE, around(40, -90, 0), {}).answer).toBe('no');
  expect(growsHere(COLLEGE, {}, {}).answer).toBe('unknown');
  const gone = paint({}, [cellAt(47.6, -116.4)], 'extirpated');
  expect(growsHereInWords(growsHere(COLLEGE, gone, {}), 'it')).toContain('died out');
  const beside = paint(here, [cellAt(47.6, -116.4)], undefined);
  expect(growsHereInWords(growsHere(COLLEGE, beside, {}), 'it')).toMatch(/^Nearly: .* km away/);
});

test('two taxa meet where both grow, and nobody says so of what is not recorded', () => {
  const yes = growsHere(COLLEGE, around(47.6, -116.4, 1), {});
  const no = growsHere(COLLEGE, around(30, -90, 0), {});
  expect(canMeet(yes, yes)).toBe('yes');
  expect(canMeet(yes, no)).toBe('no');
  expect(canMeet(yes, growsHere(COLLEGE, {}, {}))).toBe('unknown');
});

test('a cell of the grid is known as one; other text and other resolutions are not', () => {
  const cell = cellAt(47, -116);
  expect([cell, cellAt(47, -116, 7), 'abies'].map(isRangeCell)).toEqual([true, false, false]);
  expect(Math.abs(middleOf(cell).latitude - 47)).toBeLessThan(0.4);
});

test('a taxon known only from where it has died out elsewhere', () => {
  const gone = paint({}, [cellAt(40, -90)], 'extirpated');
  expect(growsHereInWords(growsHere(COLLEGE, gone, {}), 'it')).toContain(
    'known only from where it has died out',
  );
});

test('a range is said in words', () => {
  const words = rangeInWords({ cells: around(47.6, -116.4, 1) });
  expect(words).toMatch(/^Native in 7 cells, about 1\d,000 km²/);
  expect(words).toContain('° N');
  expect(words).toContain('° W');
  expect(rangeInWords(EMPTY_RANGE)).toBe('No range is recorded.');
});

test('habitats of two taxa: shared, and of each alone; rare ones do not count', () => {
  const scored = (text: string) => profiled('G', 'e', { 'site.habitat': text }).scores;
  expect(
    comparedHabitats(scored('moist forest; sometimes streamside'), scored('streamside; floodplain')),
  ).toEqual({
    shared: ['streamside'],
    onlyFirst: ['moistForest'],
    onlySecond: ['floodplain'],
  });
  expect(comparedHabitats(scored('dry forest; rarely streamside'), scored('streamside'))!.shared).toEqual([]);
  expect(comparedHabitats(scored('dry forest'), profiled('G', 'e', {}).scores)).toBeUndefined();
});
