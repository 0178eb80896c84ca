import fc from 'fast-check';
import {
  CUTTINGS,
  HAZARDS,
  newTree,
  REACHED_ORGANS,
  REACHES,
  readFeatures,
  SEXES,
  STAGES,
  type TreeFacts,
} from '../grounds/index.ts';
import {
  readTreeGeoJson,
  readTreeGpx,
  readTreeTable,
  writeTrackGpx,
  writeTreeGeoJson,
  writeTreeGpx,
  writeTreeTable,
} from './index.ts';

const NAMES: Record<string, string> = { 'abies-grandis': 'Abies grandis', 'acer-glabrum': 'Acer glabrum' };
const nameOf = (id: string) => NAMES[id]!;
const taxonOf = (name: string) =>
  Object.keys(NAMES).find((id) => NAMES[id]!.toLowerCase() === name.toLowerCase());

const degree = (most: number) => fc.integer({ min: -most * 1e7, max: most * 1e7 }).map((n) => n / 1e7);
const metres = (most: number) => fc.option(fc.integer({ min: 1, max: most * 100 }).map((n) => n / 100));
// Control characters have no place in XML; ends that are blank are trimmed in any table.
const words = fc
  .string({ maxLength: 30, unit: fc.constantFrom(...'abc DEF é"<>&,;:\'=+-@123') })
  .map((text) => text.trim());
const tree: fc.Arbitrary<TreeFacts> = fc.record({
  tag: fc.uuid(),
  taxonId: fc.constantFrom(null, 'abies-grandis', 'acer-glabrum'),
  confirmedBy: words,
  latitude: degree(90),
  longitude: degree(180),
  elevation: fc.option(fc.integer({ min: 0, max: 4000 })),
  stage: fc.constantFrom(...STAGES),
  sex: fc.constantFrom(...SEXES),
  girths: fc.array(
    fc.integer({ min: 1, max: 900 }).map((n) => n / 100),
    { maxLength: 3 },
  ),
  height: metres(80),
  spread: metres(40),
  reach: fc.dictionary(fc.constantFrom(...REACHED_ORGANS), fc.constantFrom(...REACHES)),
  stepFree: fc.boolean(),
  access: words,
  cutting: fc.constantFrom(...CUTTINGS),
  permission: words,
  until: fc.constantFrom(null, '2026-10-31'),
  hazards: fc.subarray([...HAZARDS]),
  note: words,
});
const trees = fc.uniqueArray(tree, { maxLength: 6, minLength: 1, selector: ({ tag }) => tag });

test.each([
  ['CSV', (given: TreeFacts[]) => readTreeTable(writeTreeTable(given, nameOf), taxonOf)],
  [
    'GeoJSON',
    (given: TreeFacts[]) => readTreeGeoJson(JSON.stringify(writeTreeGeoJson(given, nameOf)), taxonOf),
  ],
  ['GPX', (given: TreeFacts[]) => readTreeGpx(writeTreeGpx(given, nameOf), taxonOf)],
])('trees written as %s are read back equal', (_, there) => {
  fc.assert(
    fc.property(trees, (given) => {
      const read = there(given);
      expect(read.ok && read.value).toEqual({ trees: given, problems: [], remarks: [], ignored: [] });
    }),
  );
});

test('a stranger’s table: other columns, inches and feet, several stems, unknown names, bad rows', () => {
  const csv = [
    'Tree No;Species;Lat;Long;DBH (in);Height ft;Condition',
    '12;Acer glabrum;47,6;-116,4;4,0;20;good',
    '13;Quercus robur;47.61;-116.41;3+4;;fair',
    '14;Abies grandis;;;10;50;',
    '15;Abies grandis;147;-11;10;50;',
    ';Abies grandis;47.6;-116.4;10;50;',
    '12;Abies grandis;47.6;-116.4;ten;50;',
  ].join('\n');
  const read = readTreeTable(csv, taxonOf);
  if (!read.ok) throw new Error(read.problem);
  const { trees: found, problems, remarks, ignored } = read.value;
  expect(ignored).toEqual(['Condition']);
  expect(found[0]).toMatchObject({ tag: '12', taxonId: 'acer-glabrum', latitude: 47.6, height: 6.096 });
  expect(found[0]!.girths[0]).toBeCloseTo(4 * 0.0254 * Math.PI, 5);
  expect(found[1]!.girths).toHaveLength(2);
  expect(found[1]).toMatchObject({ taxonId: null, height: null, note: 'Named “Quercus robur”.' });
  expect(remarks.join(' ')).toMatch(/Quercus robur/);
  expect(problems.map(({ line }) => line)).toEqual([4, 5, 6, 7]);
  expect(problems.map(({ message }) => message).join(' ')).toMatch(/no place .* swapped\? .* no tag.* twice/);
});

test('waypoints of a plain receiver become trees; a track alone is refused with what to do', () => {
  const gpx = (inner: string) => `<?xml version="1.0"?><gpx version="1.1" creator="x">${inner}</gpx>`;
  const read = readTreeGpx(
    gpx('<wpt lat="47.6" lon="-116.4"><ele>781.2</ele><name>P1</name><cmt>by the gate</cmt></wpt>'),
    taxonOf,
  );
  expect(read.ok && read.value.trees).toEqual([
    { ...newTree('P1', 47.6, -116.4), elevation: 781.2, note: 'by the gate' },
  ]);
  expect(readTreeGpx(gpx('<trk><trkseg/></trk>'), taxonOf)).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/waypoints/) as string,
  });
  expect(readTreeGpx('<gpx', taxonOf).ok).toBe(false);
  expect(
    readTreeGpx('<!DOCTYPE a [<!ENTITY b "c">]><gpx><wpt lat="1" lon="1"/></gpx>', taxonOf),
  ).toMatchObject({ ok: false });
});

test('what is no GeoJSON of points is refused with what to do', () => {
  expect(readTreeGeoJson('nothing', taxonOf)).toMatchObject({ ok: false });
  expect(readTreeGeoJson('{"type":"Feature"}', taxonOf)).toMatchObject({ ok: false });
  const line = {
    type: 'FeatureCollection',
    features: [{ type: 'Feature', properties: {}, geometry: { type: 'LineString', coordinates: [] } }],
  };
  expect(readTreeGeoJson(JSON.stringify(line), taxonOf)).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/no points/) as string,
  });
});

test('a walk as a track, with its stops', () => {
  const at = { latitude: 47.6, longitude: -116.4 };
  const gpx = writeTrackGpx('Lab 6', [at, { ...at, latitude: 47.61 }], [{ ...at, name: '1 · T-7' }]);
  expect(gpx).toContain('<trkpt lat="47.6000000" lon="-116.4000000"/>');
  expect(gpx).toContain('<name>1 · T-7</name>');
});

describe('maps of others', () => {
  const feature = (type: string, coordinates: unknown, properties: object = {}) => ({
    type: 'Feature',
    properties,
    geometry: { type, coordinates },
  });
  const collection = (...features: unknown[]) => ({ type: 'FeatureCollection', features });
  const line = [
    [-116.4, 47.6],
    [-116.39, 47.6],
  ];

  test('kinds are known by their words, guessed by their shape, and said', () => {
    const read = readFeatures(
      collection(
        feature('LineString', line, { highway: 'footway' }),
        feature('LineString', line, { waterway: 'stream', name: 'Alder Brook' }),
        feature('MultiLineString', [line, line], { surface: 'gravel' }),
        feature('Polygon', [[...line, [-116.39, 47.61], line[0]!]], { building: 'yes' }),
        feature('LineString', line, { highway: 'steps' }),
        feature('Point', [512345, 5271234]),
      ),
    );
    if (!read.ok) throw new Error(read.problem);
    expect(read.value.features.features.map(({ properties }) => properties.kind)).toEqual([
      'path',
      'water',
      'path',
      'path',
      'building',
      'path',
    ]);
    expect(read.value.features.features[1]!.properties.name).toBe('Alder Brook');
    expect(read.value.features.features[5]!.properties.steps).toBe(true);
    expect(read.value.remarks).toEqual([
      '1 of 6 features have no place on the ground, and were left out.',
      '2 do not say what they are: lines were taken for paths, areas for plots.',
    ]);
  });

  test('our own comes back as it was; what is no map is refused', () => {
    const own = collection(
      feature('LineString', line, { kind: 'path', name: 'Loop', steps: true }),
      feature('Point', line[0], { kind: 'hazard', name: '', hazard: 'ticks' }),
    );
    const read = readFeatures(own);
    expect(read.ok && read.value.features).toEqual(own);
    for (const wrong of [null, {}, collection(), collection(feature('Point', [512345, 5271234]))])
      expect(readFeatures(wrong).ok).toBe(false);
  });
});
