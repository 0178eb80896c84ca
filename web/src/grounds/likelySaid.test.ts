import { likelySaid } from './likelySaid.ts';

test('how likely a part is there is said in tenths, with what says so, and without a figure where it is all but certain', () => {
  expect(likelySaid({ share: 0.7, by: 'calendar', ruledOut: false })).toBe('likely, 7 in 10');
  expect(likelySaid({ share: 0.72, by: 'seen', ruledOut: false })).toBe(
    'likely, 7 in 10, by what was seen on it',
  );
  expect(likelySaid({ share: 0.3, by: 'corrected', ruledOut: false })).toBe(
    'unlikely, 3 in 10, by what was seen here',
  );
  expect(likelySaid({ share: 0.2, by: 'calendar', ruledOut: true })).toBe('was looked for and is not there');
  expect(likelySaid({ share: 0.5, by: 'unknown', ruledOut: false })).toMatch(/not known/);
  expect(likelySaid({ share: 0.99, by: 'seen', ruledOut: false })).toBe('there, by what was seen on it');
  expect(likelySaid({ share: 0.01, by: 'calendar', ruledOut: false })).toBe('not there');
});
