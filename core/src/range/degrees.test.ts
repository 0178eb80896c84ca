import fc from 'fast-check';
import { degreesInWords, parseDegrees } from './index.ts';

test.each([
  ['47.6', 'latitude', 47.6],
  ['-116.4', 'longitude', -116.4],
  ['−116.4', 'longitude', -116.4],
  ['116.4 W', 'longitude', -116.4],
  ['116.4w', 'longitude', -116.4],
  ['W 116.4', 'longitude', -116.4],
  ['116,4 west', 'longitude', -116.4],
  ['13.5 O', 'longitude', 13.5],
  ['47° 36′ N', 'latitude', 47.6],
  [`47°36'36" N`, 'latitude', 47.61],
  ['33.9 S', 'latitude', -33.9],
] as const)('%s is %s %d', (text, axis, degrees) => {
  const read = parseDegrees(text, axis);
  expect(read.ok && read.value).toBeCloseTo(degrees, 6);
});

test.each([
  ['', 'longitude', 'Write degrees, such as 116.4 W'],
  ['somewhere', 'latitude', 'is no latitude'],
  ['116.4', 'latitude', 'Are latitude and longitude swapped?'],
  ['47.6 W', 'latitude', '“W” is no side of a latitude'],
  ['N 47.6 N', 'latitude', 'Write one letter'],
  ['47° 75′', 'latitude', 'go up to 60'],
] as const)('“%s” as %s is refused: %s', (text, axis, problem) => {
  expect(parseDegrees(text, axis)).toMatchObject({
    ok: false,
    problem: expect.stringContaining(problem) as string,
  });
});

test('what is written in words is read back', () => {
  fc.assert(
    fc.property(fc.double({ min: -180, max: 180, noNaN: true }), (degrees) => {
      const read = parseDegrees(degreesInWords(degrees, 'longitude'), 'longitude');
      expect(read.ok && read.value).toBeCloseTo(degrees, 3);
    }),
  );
});
