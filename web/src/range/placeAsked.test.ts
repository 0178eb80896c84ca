import { degreesInWords, placeAsked } from './placeAsked.ts';

const place = { latitude: '47.6', longitude: '-116.4', elevation: '780' };

test('a place is read when all of it is there and on the earth', () => {
  expect(placeAsked(place)).toEqual({ latitude: 47.6, longitude: -116.4, elevation: 780 });
  expect(placeAsked({ ...place, elevation: '0' })).toMatchObject({ elevation: 0 });
});

test.each([
  { latitude: '' },
  { latitude: '91' },
  { longitude: '-181' },
  { longitude: 'west' },
  { elevation: ' ' },
  { elevation: '7oo' },
])('%j is not asked of', (part) => expect(placeAsked({ ...place, ...part })).toBeUndefined());

test('degrees are said with their hemisphere', () => {
  expect(degreesInWords({ latitude: 47.61, longitude: -116.4 })).toBe('47.6° N, 116.4° W');
  expect(degreesInWords({ latitude: -33.9, longitude: 18.4 })).toBe('33.9° S, 18.4° E');
});
