import fc from 'fast-check';
import {
  arcLabel,
  arcLength,
  arcsAsText,
  dayOfYear,
  dayLabel,
  hopkinsDelay,
  inArc,
  leafShare,
  parseArcs,
  partPresent,
  shiftArc,
  shiftCalendar,
  wrapDay,
} from './index.ts';

const arc = fc.record({ from: fc.integer({ min: 1, max: 365 }), to: fc.integer({ min: 1, max: 365 }) });

test('days of the year', () => {
  expect(dayOfYear('2026-01-01')).toBe(1);
  expect(dayOfYear('2026-10-15')).toBe(288);
  expect(dayOfYear('2028-12-31')).toBe(365);
  expect(dayLabel(288)).toBe('15 Oct');
});

test('an arc over New Year is one arc', () => {
  const winter = { from: 335, to: 60 };
  expect(inArc(winter, 1)).toBe(true);
  expect(inArc(winter, 200)).toBe(false);
  expect(arcLength(winter)).toBe(91);
  expect(arcLabel(winter)).toBe('early Dec–early Mar');
});

test('as many days are in an arc as it is long', () => {
  fc.assert(
    fc.property(arc, (each) => {
      const days = Array.from({ length: 365 }, (_, i) => i + 1).filter((day) => inArc(each, day));
      expect(days).toHaveLength(arcLength(each));
    }),
  );
});

test('what is written as text is read back equal', () => {
  fc.assert(
    fc.property(fc.array(arc, { minLength: 1, maxLength: 3 }), (arcs) => {
      const plain = arcs.filter((each) => !(each.from === 1 && each.to === 365));
      fc.pre(plain.length > 0);
      expect(parseArcs(arcsAsText(plain))).toEqual({ ok: true, value: plain });
    }),
  );
});

test.each([
  ['10 May – 15 Oct', { from: 130, to: 288 }],
  ['Apr–May', { from: 91, to: 151 }],
  ['late Jun–Aug', { from: 172, to: 243 }],
  ['all year', { from: 1, to: 365 }],
  ['Nov - Feb', { from: 305, to: 59 }],
])('%s', (text, expected) => {
  expect(parseArcs(text)).toEqual({ ok: true, value: [expected] });
});

test('a month that is none is refused with an example', () => {
  expect(parseArcs('Smarch')).toMatchObject({
    ok: false,
    problem: expect.stringContaining('10 May – 15 Oct') as string,
  });
  expect(parseArcs('31 Feb')).toMatchObject({ ok: false });
});

test("Hopkins' law: four days for a degree of latitude, five of longitude, 122 m", () => {
  const here = { latitude: 47, longitude: -116, elevation: 500 };
  expect(hopkinsDelay(here, here)).toBe(0);
  expect(hopkinsDelay(here, { latitude: 48, longitude: -111, elevation: 622 })).toBeCloseTo(12);
});

test('a later spring shortens the season at both ends and leaves evergreens alone', () => {
  expect(shiftArc({ from: 130, to: 280 }, 10)).toEqual({ from: 140, to: 270 });
  expect(shiftArc({ from: 1, to: 365 }, 10)).toEqual({ from: 1, to: 365 });
  expect(shiftCalendar({ flowers: [{ from: 100, to: 120 }] }, -4).flowers).toEqual([{ from: 96, to: 116 }]);
});

test('a season that is shifted away altogether shrinks to its middle day', () => {
  const shifted = shiftArc({ from: 190, to: 200 }, 30);
  expect(shifted.from).toBe(shifted.to);
});

test('parts come and go with the calendar; what it does not record is taken as present', () => {
  const calendar = { leaves: [{ from: 130, to: 290 }], fruitRipe: [{ from: 240, to: 280 }] };
  expect(partPresent('leaves', calendar, true, 15)).toBe(false);
  expect(partPresent('leaves', calendar, true, 200)).toBe(true);
  expect(partPresent('fruit', calendar, true, 200)).toBe(false);
  expect(partPresent('flowers', calendar, true, 15)).toBe(true);
  expect(partPresent('buds', calendar, true, 150)).toBe(false);
  expect(partPresent('buds', calendar, true, 15)).toBe(true);
  expect(partPresent('leaves', {}, true, 15)).toBe(false);
  expect(partPresent('leaves', {}, false, 15)).toBe(true);
});

test('days wrap', () => {
  expect(wrapDay(0)).toBe(365);
  expect(wrapDay(366)).toBe(1);
});

describe('the share of trees in leaf', () => {
  const calendar = { leaves: [{ from: 125, to: 285 }] };
  test('is a half on the dates themselves, and nearly none or all three weeks off', () => {
    expect(leafShare(calendar, true, 125)).toBeCloseTo(0.5, 1);
    expect(leafShare(calendar, true, 285)).toBeCloseTo(0.55, 1);
    expect(leafShare(calendar, true, 200)).toBeCloseTo(1, 3);
    expect(leafShare(calendar, true, 103)).toBeLessThan(0.01);
    expect(leafShare(calendar, true, 310)).toBeLessThan(0.01);
    expect(leafShare(calendar, true, 15)).toBeLessThan(1e-6);
  });
  test('rises and falls once a year, over New Year as well', () => {
    const southern = { leaves: [{ from: 280, to: 110 }] };
    expect(leafShare(southern, true, 365)).toBeCloseTo(1, 3);
    expect(leafShare(southern, true, 1)).toBeCloseTo(1, 3);
    expect(leafShare(southern, true, 195)).toBeLessThan(1e-6);
  });
  test('is one for evergreens and where no dates are known', () => {
    expect(leafShare({ leaves: [{ from: 1, to: 365 }] }, false, 15)).toBe(1);
    expect(leafShare({}, false, 15)).toBe(1);
    expect(leafShare({}, true, 15)).toBeLessThan(0.01);
  });
});
