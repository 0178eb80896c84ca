import {
  cellAt,
  growsHereInWords,
  RANGE_IN_ENGLISH,
  rangeInWords,
  type GrowsHere,
  type Range,
  type RangeStatus,
} from '@hurrow/core/range';
import { RANGE_WORDS } from './rangeWords.ts';

const places: [number, number, RangeStatus][] = [
  [47.6, -116.4, 'native'],
  [49.2, -118, 'native'],
  [-33.4, 18.5, 'introduced'],
  [51, 0.1, 'planted'],
];
const range = {
  cells: Object.fromEntries(
    places.map(([latitude, longitude, status]) => [cellAt(latitude, longitude), status]),
  ),
} as Range;

test('ranges and places are said on the page as in prints and files', () => {
  expect(rangeInWords(range, RANGE_WORDS)).toBe(rangeInWords(range, RANGE_IN_ENGLISH));
  expect(rangeInWords({ ...range, cells: {} }, RANGE_WORDS)).toBe('No range is recorded.');
  const found: GrowsHere[] = [
    { answer: 'unknown' },
    { answer: 'yes', status: 'native', elevation: 'above' },
    { answer: 'nearby', status: 'introduced', elevation: 'below' },
    { answer: 'nearby', distance: 12.4 },
    { answer: 'no', status: 'extirpated' },
    { answer: 'no', distance: 1234.5 },
    { answer: 'no' },
  ];
  for (const each of found)
    expect(growsHereInWords(each, 'grand fir', RANGE_WORDS)).toBe(growsHereInWords(each, 'grand fir'));
});
