import { dayOfYear } from '@hurrow/core/season';
import { courseWeek, pieces, share } from './weeks.ts';

const course = { startsOn: '2026-08-31', weeks: 14 };
const on = (date: string) => courseWeek(course, dayOfYear(date));

test('the first week begins on the first day, the next seven days on', () => {
  expect(on('2026-08-31')).toBe(1);
  expect(on('2026-09-06')).toBe(1);
  expect(on('2026-09-07')).toBe(2);
  expect(on('2026-10-15')).toBe(7);
});
test('outside the term there is no week, nor without a course', () => {
  expect(on('2026-12-06')).toBe(14);
  expect(on('2026-12-08')).toBeUndefined();
  expect(on('2026-08-30')).toBeUndefined();
  expect(courseWeek(undefined, 100)).toBeUndefined();
});
test('a course over New Year counts on', () => {
  const winter = { startsOn: '2026-12-14', weeks: 10 };
  expect(courseWeek(winter, dayOfYear('2027-01-04'))).toBe(4);
});
test('an arc over New Year is drawn in two pieces that fill the year’s ends', () => {
  expect(pieces({ from: 100, to: 200 })).toEqual([{ from: 100, to: 200 }]);
  expect(pieces({ from: 330, to: 60 })).toEqual([
    { from: 330, to: 365 },
    { from: 1, to: 60 },
  ]);
  expect([share(1), share(366)]).toEqual([0, 100]);
});
