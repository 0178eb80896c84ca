import fc from 'fast-check';
import { randomFrom } from '../random/index.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import {
  ageByGrowth,
  ageByRings,
  alongTheStem,
  angleBy,
  asOfProfile,
  climbInWords,
  besideLargest,
  diameterOf,
  exact,
  girthOf,
  girthOfStems,
  HALF_95,
  heightByStick,
  heightBySine,
  heightByTangent,
  lengthBy,
  lengthInWords,
  pointsOf,
  propagated,
  repeated,
  spreadOfRadii,
  spreadOfWidths,
  wayInWords,
  type Measured,
  type Uncertain,
} from './index.ts';

const at = exact;

describe('worked examples', () => {
  test('by tangent: 20 m away, 45° up and 0° down is 20 m above the eye', () => {
    expect(heightByTangent({ distance: at(20), top: at(45), base: at(0) }, 'metric').value).toBeCloseTo(
      20,
      9,
    );
  });

  test('by tangent: a base below the eye adds', () => {
    // tan 40° = 0.8391, tan 5° = 0.0875.
    const { value, working } = heightByTangent({ distance: at(20), top: at(40), base: at(-5) }, 'metric');
    expect(value).toBeCloseTo(18.53, 2);
    expect(working.join(' ')).toBe('20.0 m × (tan 40° − tan −5°) = 20.0 m × (0.839 − (−0.087)) = 18.5 m.');
  });

  test('by tangent: along a slope of 20° the level distance is less', () => {
    const level = 25 * Math.cos((20 * Math.PI) / 180);
    const by = heightByTangent({ distance: at(25), top: at(30), base: at(-20), slope: at(-20) }, 'metric');
    expect(by.value).toBeCloseTo(level * (Math.tan(Math.PI / 6) + Math.tan(Math.PI / 9)), 9);
    expect(by.working[0]).toBe('Level distance = 25.0 m × cos −20° = 23.5 m.');
  });

  test('a leaning tree: a top 3 m nearer than its base is not 3 m · tan higher', () => {
    // The top is 15 m up, 3 m towards an eye at the height of the base, 20 m from the stem.
    const top = (Math.atan2(15, 17) * 180) / Math.PI;
    const sight = { distance: at(20), top: at(top), base: at(0) };
    expect(heightByTangent(sight, 'metric').value).toBeCloseTo(17.65, 2);
    const leaning = heightByTangent({ ...sight, beneathTop: at(17) }, 'metric');
    expect(leaning.value).toBeCloseTo(15, 9);
    expect(leaning.working.at(-1)).toMatch(/^Along the stem it is 15\.3 m or more/);
    const bySine = { toTop: at(Math.hypot(15, 17)), top: at(top), toBase: at(20), base: at(0) };
    expect(heightBySine(bySine, 'metric').value).toBeCloseTo(15, 9);
    expect(alongTheStem(15, 3)).toBeCloseTo(15.297, 3);
  });

  test('by stick, like triangles', () => {
    expect(heightByStick({ distance: at(18), reach: at(0.65), covers: at(0.65) }, 'metric').value).toBe(18);
    expect(heightByStick({ distance: at(30), reach: at(0.6), covers: at(0.3) }, 'imperial').value).toBe(15);
  });

  test('stems of 60 and 80 cm are one of 100 cm', () => {
    const { value, working } = girthOfStems([at(0.6), at(0.8)], 'metric');
    expect(value).toBeCloseTo(1, 12);
    expect(working[1]).toBe('√(60 cm² + 80 cm²) = 100 cm.');
    expect(diameterOf(girthOf(0.5))).toBeCloseTo(0.5, 12);
  });

  test('spread by two widths, and by eight radii', () => {
    expect(spreadOfWidths([at(9), at(7)], 'metric').value).toBe(8);
    expect(spreadOfRadii([3, 4, 5, 4, 3, 4, 5, 4].map(at), 'metric').value).toBe(8);
  });

  test('points: 100 in + 100 ft + ¼ of 40 ft', () => {
    const none = (value: number) => ({ value, error: 0 });
    expect(pointsOf(none(2.54), none(30.48), none(12.192)).points).toBe(210);
    const largest = [{ place: 'Teasel County', girth: 5.08, height: 30.48, crownSpread: 12.192 }];
    expect(besideLargest(155, largest)).toBe(
      '50 % of the 310 points of the largest known, 30.5 m high (Teasel County).',
    );
    expect(besideLargest(400, largest)).toMatch(/^More than the 310 points/);
    expect(besideLargest(155)).toBeUndefined();
  });

  test('rings: the years up to the cut are added, what is missing at the centre as well', () => {
    expect(ageByRings({ counts: [84, 86], cutHeight: 0.5 }).years).toBe(87);
    const cored = ageByRings({ counts: [100], cutHeight: 0, missing: 10 });
    expect(cored.years).toBe(110);
    expect(cored.from).toBeLessThan(108);
    expect(cored.to).toBeGreaterThan(112);
  });

  test('a growth factor makes a guess that says so', () => {
    const { years, from, to, working } = ageByGrowth({ value: 0.5, sd: 0 }, 2);
    expect([years, from, to]).toEqual([100, 50, 200]);
    expect(working.join(' ')).toMatch(/guess/);
  });

  test('ways and climbs as one would say them', () => {
    expect([323, 1630].map((metres) => wayInWords(metres, 'metric'))).toEqual(['320 m', '1.6 km']);
    expect([100, 1630].map((metres) => wayInWords(metres, 'imperial'))).toEqual(['350 ft', '1.0 mi']);
    expect([climbInWords(119.4, 'metric'), climbInWords(119.4, 'imperial')]).toEqual(['119 m', '390 ft']);
  });

  test('lengths as they are said outdoors', () => {
    expect([0.004, 0.043, 1.37, 19.62].map((metres) => lengthInWords(metres, 'metric'))).toEqual([
      '4 mm',
      '4.3 cm',
      '137 cm',
      '19.6 m',
    ]);
    expect([0.043, 0.61, 19.62, 3.048].map((metres) => lengthInWords(metres, 'imperial'))).toEqual([
      '1.7 in',
      '24 in',
      '64 ft 4 in',
      '10 ft',
    ]);
  });
});

describe('what cannot be is refused with what to do', () => {
  test.each([
    ['no stem', () => girthOfStems([], 'metric'), /Number of stems/],
    ['a girth of 70 m', () => girthOfStems([at(70)], 'metric'), /A girth of 70 m cannot be/],
    [
      'an angle near the zenith',
      () => heightByTangent({ distance: at(5), top: at(84), base: at(0) }, 'metric'),
      /An angle of 84°/,
    ],
    [
      'no number',
      () => heightByTangent({ distance: at(NaN), top: at(40), base: at(0) }, 'metric'),
      /of nothing/,
    ],
    [
      'top and base swapped',
      () => heightByTangent({ distance: at(20), top: at(-5), base: at(40) }, 'metric'),
      /check the signs/,
    ],
    ['two radii', () => spreadOfRadii([at(4), at(4)], 'metric'), /Number of radii/],
    ['no reading', () => repeated([], 1), /Take a reading/],
    ['no rings', () => ageByRings({ counts: [], cutHeight: 0 }), /Count them/],
  ])('%s', (_, wrong, words) => expect(wrong).toThrow(words));
});

/** In how many of 4,000 measurings the bar holds the truth. */
function coverage(
  truth: number,
  measure: (noisy: (value: Uncertain) => Uncertain) => Pick<Measured, 'value' | 'error'>,
): number {
  const random = randomFrom(19);
  const noisy = ({ value, sd }: Uncertain) => ({ value: value + sd * random.normal(), sd });
  let held = 0;
  for (let i = 0; i < 4000; i += 1) {
    const { value, error } = measure(noisy);
    if (Math.abs(value - truth) <= error) held += 1;
  }
  return (100 * held) / 4000;
}

const degreesTo = (height: number, away: number) => (Math.atan2(height, away) * 180) / Math.PI;

describe('bars of 95 % hold the truth in 93 to 97 of 100 simulated measurings', () => {
  const between = (share: number) => {
    expect(share).toBeGreaterThanOrEqual(93);
    expect(share).toBeLessThanOrEqual(97);
  };

  test.each([
    [8, 8, 'phone', 'paces'],
    [25, 20, 'clinometer', 'tape'],
    [45, 30, 'clinometer', 'rangeFinder'],
    [60, 25, 'protractor', 'tape'],
  ] as const)('a height of %d m from %d m by tangent, with %s and %s', (height, away, angle, length) => {
    between(
      coverage(height, (noisy) =>
        heightByTangent(
          {
            distance: noisy(lengthBy(length, away)),
            top: noisy(angleBy(angle, degreesTo(height - 1.6, away))),
            base: noisy(angleBy(angle, degreesTo(-1.6, away))),
          },
          'metric',
        ),
      ),
    );
  });

  test('along a slope, by sine and by stick', () => {
    const slope = -15;
    const away = 25;
    const down = away * Math.sin((slope * Math.PI) / 180);
    const level = away * Math.cos((slope * Math.PI) / 180);
    between(
      coverage(30, (noisy) =>
        heightByTangent(
          {
            distance: noisy(lengthBy('tape', away)),
            top: noisy(angleBy('clinometer', degreesTo(30 + down, level))),
            base: noisy(angleBy('clinometer', slope)),
            slope: noisy(angleBy('phone', slope)),
          },
          'metric',
        ),
      ),
    );
    between(
      coverage(28, (noisy) =>
        heightBySine(
          {
            toTop: noisy(lengthBy('rangeFinder', Math.hypot(26.4, 18))),
            top: noisy(angleBy('rangeFinder', degreesTo(26.4, 18))),
            toBase: noisy(lengthBy('rangeFinder', Math.hypot(1.6, 18))),
            base: noisy(angleBy('rangeFinder', degreesTo(-1.6, 18))),
          },
          'metric',
        ),
      ),
    );
    between(
      coverage(15, (noisy) =>
        heightByStick(
          {
            distance: noisy(lengthBy('paces', 20)),
            reach: noisy(lengthBy('tape', 0.64)),
            covers: noisy(lengthBy('tape', 0.48)),
          },
          'metric',
        ),
      ),
    );
  });

  test('stems, spreads, points and readings taken again', () => {
    const stems = [0.9, 0.55, 0.3];
    between(
      coverage(Math.hypot(...stems), (noisy) =>
        girthOfStems(
          stems.map((girth) => noisy(lengthBy('girthTape', girth))),
          'metric',
        ),
      ),
    );
    const radii = [3.2, 4.1, 5, 4.4, 3.9, 2.8, 3, 3.6];
    between(
      coverage(7.5, (noisy) =>
        spreadOfRadii(
          radii.map((radius) => noisy(lengthBy('tape', radius))),
          'metric',
        ),
      ),
    );
    between(
      coverage(250, (noisy) => {
        const [girth, height, spread] = [
          lengthBy('girthTape', 3.048),
          lengthBy('rangeFinder', 36.576),
          lengthBy('tape', 12.192),
        ]
          .map(noisy)
          .map(({ value, sd }) => ({ value, error: HALF_95 * sd }));
        const { points, error } = pointsOf(girth!, height!, spread!);
        // Whole points: the half that rounding takes is not an error of the tape.
        return { value: points, error: error + 0.25 };
      }),
    );
    for (const n of [2, 4, 5, 8, 30])
      between(
        coverage(20, (noisy) => {
          const readings = Array.from({ length: n }, () => noisy({ value: 20, sd: 0.3 }).value);
          const { value, sd } = repeated(readings, 0.3);
          return { value, error: HALF_95 * sd };
        }),
      );
  });
});

test('what is measured is of a character that is measured, in metres', () => {
  expect(asOfProfile('girth', Math.PI)).toEqual({ characterId: 'habit.dbh', value: 1 });
  for (const kind of ['girth', 'height', 'spread']) {
    expect(BUILT_IN.get(asOfProfile(kind, 10)!.characterId)!.kind).toBe('measure');
  }
  expect(asOfProfile('bark', 0.02)).toBeUndefined();
});

test('errors add as squares, whatever the function of sums', () => {
  const errors = fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(errors, (sds) => {
      const { sd } = propagated(
        (values) => values.reduce((sum, value) => sum + value, 0),
        sds.map((each) => ({ value: 1, sd: each })),
      );
      expect(sd).toBeCloseTo(Math.hypot(...sds), 6);
    }),
  );
});
