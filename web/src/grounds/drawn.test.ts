import { asFeature, enoughPoints } from './drawn.ts';

const points = [
  [47.6, -116.4],
  [47.61, -116.4],
  [47.61, -116.39],
].map(([latitude, longitude]) => ({ latitude: latitude!, longitude: longitude! }));

test('paths are lines, buildings are closed, a hazard is the last point and says which', () => {
  expect(asFeature({ facts: { kind: 'path', name: ' Loop ', steps: true }, points })).toEqual({
    type: 'Feature',
    properties: { kind: 'path', name: 'Loop', steps: true },
    geometry: {
      type: 'LineString',
      coordinates: [
        [-116.4, 47.6],
        [-116.4, 47.61],
        [-116.39, 47.61],
      ],
    },
  });
  const building = asFeature({ facts: { kind: 'building', name: '', steps: true }, points });
  expect(building.properties).toEqual({ kind: 'building', name: '' });
  expect(building.geometry.coordinates[0]).toHaveLength(4);
  expect(asFeature({ facts: { kind: 'hazard', name: '', hazard: 'ticks' }, points })).toMatchObject({
    properties: { hazard: 'ticks' },
    geometry: { type: 'Point', coordinates: [-116.39, 47.61] },
  });
});

test('there are points enough for what it is', () => {
  expect(enoughPoints({ facts: { kind: 'path', name: '' }, points: points.slice(0, 1) })).toBe(false);
  expect(enoughPoints({ facts: { kind: 'path', name: '' }, points: points.slice(0, 2) })).toBe(true);
  expect(enoughPoints({ facts: { kind: 'plot', name: '' }, points: points.slice(0, 2) })).toBe(false);
  expect(enoughPoints({ facts: { kind: 'hazard', name: '' }, points })).toBe(false);
});
