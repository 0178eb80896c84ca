import fc from 'fast-check';
import {
  arcLabel,
  arcLength,
  dateOfDay,
  dayLabel,
  dayOfYear,
  DAYS,
  inArc,
  midMonth,
  MONTHS,
  wrapDay,
  YEAR_ROUND,
} from './arc.ts';

// The same cases at every run: what fails can be found again.
fc.configureGlobal({ seed: 20261129 });
const day = fc.integer({ min: 1, max: DAYS });

test('every day of the year has a date, and the date that day', () => {
  for (let each = 1; each <= DAYS; each += 1) {
    const { month, day: of } = dateOfDay(each);
    const iso = `2026-${String(month).padStart(2, '0')}-${String(of).padStart(2, '0')}`;
    expect(new Date(`${iso}T00:00:00Z`).toISOString().slice(0, 10)).toBe(iso);
    expect(dayOfYear(iso)).toBe(each);
  }
  expect(dayOfYear('2028-02-29')).toBe(dayOfYear('2026-03-01'));
});

test('whole years on or back it is the same day', () => {
  fc.assert(
    fc.property(day, fc.integer({ min: -5, max: 5 }), (each, years) => {
      expect(wrapDay(each + years * DAYS)).toBe(each);
    }),
  );
});

test('an arc holds as many days as it is long, over New Year too', () => {
  fc.assert(
    fc.property(day, day, (from, to) => {
      const within = Array.from({ length: DAYS }, (_, i) => i + 1).filter((each) =>
        inArc({ from, to }, each),
      );
      expect(within).toHaveLength(arcLength({ from, to }));
      expect(inArc({ from, to }, from) && inArc({ from, to }, to)).toBe(true);
    }),
  );
  expect(arcLength(YEAR_ROUND)).toBe(DAYS);
  expect(inArc({ from: 335, to: 60 }, 1)).toBe(true);
  expect(inArc({ from: 335, to: 60 }, 200)).toBe(false);
});

test('dates are said as people say them, arcs by thirds of a month', () => {
  expect(dayLabel(288)).toBe('15 Oct');
  expect(dayLabel(1)).toBe('1 Jan');
  expect(arcLabel({ from: 145, to: 288 })).toBe('late May–mid Oct');
  expect(arcLabel({ from: 121, to: 125 })).toBe('early May');
  expect(arcLabel(YEAR_ROUND)).toBe('all year');
  expect(arcLabel({ from: 340, to: 15 })).toBe('early Dec–mid Jan');
});

test('the middle of each month lies in it', () => {
  MONTHS.forEach((name, month) => expect(dayLabel(midMonth(month))).toBe(`15 ${name}`));
});
