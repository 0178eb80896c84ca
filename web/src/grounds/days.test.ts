import { isoNear, momentOf, nowOn } from './days.ts';

test('a day of the year is the one nearest to today', () => {
  expect(isoNear(288, '2026-10-15')).toBe('2026-10-15');
  expect(isoNear(5, '2026-12-20')).toBe('2027-01-05');
  expect(isoNear(350, '2026-01-10')).toBe('2025-12-16');
  expect(isoNear(180, '2026-10-15')).toBe('2026-06-29');
});

test('a clock time on a day is a moment', () => {
  expect(momentOf('2026-10-16', '14:30').getMinutes()).toBe(30);
});

test('a phone whose date is wrong does not date what is cut', () => {
  const wrong = new Date('2026-11-28T16:30:00Z');
  expect(nowOn('2026-10-15', wrong).toISOString()).toBe('2026-10-15T16:30:00.000Z');
  // Over midnight, or in another zone, the phone knows better.
  const late = new Date('2026-10-16T03:00:00Z');
  expect(nowOn('2026-10-15', late)).toBe(late);
  // The server has not said yet which day it is.
  expect(nowOn('', late)).toBe(late);
});
