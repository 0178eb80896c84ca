import { elevationDoubt, putOnMap, readPlace, whereOneStands, writtenPlace } from './writtenPlace.ts';

const written = writtenPlace({ latitude: 47.6, longitude: -116.4, elevation: 780 });
const coords = { latitude: 46.98765, longitude: -117.04321, altitude: 812.4, altitudeAccuracy: 9 };

test('a place is read as it was written, and nonsense is said to be that', () => {
  expect(readPlace(written)).toEqual({ latitude: 47.6, longitude: -116.4, elevation: 780 });
  expect(readPlace({ ...written, elevation: '' })).toEqual({
    problem: 'Write the elevation in meters, such as 780.',
  });
  expect(readPlace({ ...written, latitude: 'north' })).toHaveProperty('problem');
});
test('a place from a map keeps the elevation, and asks about it', () => {
  const put = putOnMap(written, { latitude: 44.2, longitude: -120.5 });
  expect(readPlace(put)).toEqual({ latitude: 44.2, longitude: -120.5, elevation: 780 });
  expect(elevationDoubt(written, put)).toContain('780 m, is still that of the place before');
  expect(elevationDoubt(written, { ...put, elevation: '900' })).toBeUndefined();
  expect(elevationDoubt(written, written)).toBeUndefined();
  expect(elevationDoubt({ ...written, elevation: '' }, { ...put, elevation: '' })).toBeUndefined();
});
test('where one stands is taken to a kilometer, its height only where the receiver knows it', () => {
  expect(readPlace(whereOneStands(written, coords))).toEqual({
    latitude: 46.99,
    longitude: -117.04,
    elevation: 810,
  });
  expect(whereOneStands(written, { ...coords, altitudeAccuracy: 300 }).elevation).toBe('780');
  expect(whereOneStands(written, { ...coords, altitude: null, altitudeAccuracy: null }).elevation).toBe(
    '780',
  );
});
