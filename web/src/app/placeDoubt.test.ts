import { placeDoubt } from './placeDoubt.ts';
import { readPlace, writtenPlace } from './writtenPlace.ts';

/** Two lands: one in the west, one in the east. */
const nameOf = (longitude: number, latitude: number) =>
  latitude < 0 ? undefined : longitude < -100 ? 'Westland' : longitude > 150 ? 'Eastland' : undefined;

test('a place on land is named and not doubted', () => {
  expect(placeDoubt({ latitude: 47.6, longitude: -116.4 }, nameOf, 3)).toEqual({
    text: '47.6° N 116.4° W, Westland.',
  });
});

test('a place at sea asks for the other side where that is land, else for both numbers', () => {
  expect(placeDoubt({ latitude: 47.6, longitude: 116.4 }, nameOf, undefined)).toEqual({
    text: '47.6° N 116.4° E lies in the sea. Did you mean Westland?',
    repair: '116.4° W',
  });
  expect(placeDoubt({ latitude: -40, longitude: 20 }, nameOf, undefined)).toMatchObject({
    text: expect.stringContaining('Check both numbers') as string,
    repair: '',
  });
});

test('a place on land far from every range is questioned', () => {
  expect(placeDoubt({ latitude: 47.6, longitude: 160 }, nameOf, 8200)).toEqual({
    text: '47.6° N 160° E, Eastland: 8,200 km from the nearest range of the library. Did you mean Westland?',
    repair: '160° W',
  });
});

test('a written place is read, and what is written of a place is read back', () => {
  const place = { latitude: 47.6, longitude: -116.4, elevation: 780 };
  expect(readPlace(writtenPlace(place))).toEqual(place);
  expect(readPlace({ latitude: '47.6', longitude: '116.4 W', elevation: '780 m' })).toEqual(place);
  expect(readPlace({ latitude: '47.6', longitude: '116.4 W', elevation: '' })).toMatchObject({
    problem: expect.stringContaining('in meters') as string,
  });
});
