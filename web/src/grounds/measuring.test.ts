import {
  bodyOfResult,
  numberOf,
  pressed,
  resultOf,
  unitOf,
  withShot,
  type Method,
  type Setup,
} from './measuring.ts';

const metric: Setup = { units: 'metric', length: 'tape', angle: 'clinometer' };
const imperial: Setup = { ...metric, units: 'imperial' };
const value = (method: Method, texts: Record<string, string>, setup = metric) => {
  const found = resultOf(method, texts, setup);
  if (!found.ok) throw new Error(found.problem);
  return found.value;
};

test('numbers as they are written outdoors', () => {
  const long = { in: 'long' as const };
  expect(numberOf('20,5', long, 'metric')).toBe(20.5);
  expect(numberOf('60', { in: 'girth' }, 'metric')).toBeCloseTo(0.6);
  expect(numberOf('12', { in: 'small' }, 'metric')).toBeCloseTo(0.012);
  expect(numberOf("64'4", long, 'imperial')).toBeCloseTo(64 * 0.3048 + 4 * 0.0254);
  expect(numberOf('64 4', long, 'imperial')).toBeCloseTo(64 * 0.3048 + 4 * 0.0254);
  expect(numberOf('64.5', long, 'imperial')).toBeCloseTo(64.5 * 0.3048);
  expect(numberOf('−5.5°', { in: 'angle' }, 'metric')).toBe(-5.5);
  for (const wrong of ['', 'x', '1.2.3', '12 m']) expect(numberOf(wrong, long, 'metric')).toBeUndefined();
  expect([
    unitOf(long, 'imperial'),
    unitOf({ in: 'girth' }, 'metric'),
    unitOf({ in: 'angle' }, 'metric'),
  ]).toEqual(['ft', 'cm', '°']);
});

test('each way of measuring comes to its value', () => {
  expect(value('girth', { girth: '60 + 80' })).toMatchObject({
    kind: 'girth',
    parts: [0.6, 0.8],
    words: expect.stringMatching(/^100 cm ±/) as string,
  });
  expect(value('tangent', { distance: '20', top: '45', base: '0' }).value).toBeCloseTo(20);
  expect(value('tangent', { distance: '20', top: '45', base: '0', slope: '10' }).value).toBeCloseTo(
    20 * Math.cos(Math.PI / 18),
  );
  expect(value('tangent', { distance: '20', top: '45', base: '0', beneath: '17' }).value).toBeCloseTo(17);
  expect(value('sine', { toTop: '30', top: '30', toBase: '20', base: '-30' }).value).toBeCloseTo(25);
  expect(value('stick', { distance: '18', reach: '0.65', covers: '0.65' }).value).toBeCloseTo(18);
  expect(value('widths', { longest: '9', across: '7' }).value).toBe(8);
  expect(value('radii', { radii: '4;4;5;3' }).value).toBe(8);
  expect(value('bark', { thickness: '20; 30' }).value).toBeCloseTo(0.025);
  expect(value('rings', { counts: '84; 86', cutHeight: '0.5' }).words).toMatch(/^about 87 years/);
  expect(value('growth', { girth: '157.08', factor: '2' }).words).toBe('about 100 years, between 50 and 200');
  expect(value('girth', { girth: '40' }, imperial).value).toBeCloseTo(1.016);
});

test('readings taken again make it surer', () => {
  const once = value('tangent', { distance: '20', top: '45', base: '0' });
  const again = value('tangent', { distance: '20; 20', top: '45;45;45;45', base: '0;0;0;0' });
  expect(again.error).toBeLessThan(0.7 * once.error);
});

test('what is missing or cannot be says so', () => {
  const problem = (method: Method, texts: Record<string, string>) => {
    const found = resultOf(method, texts, metric);
    return found.ok ? '' : found.problem;
  };
  expect(problem('tangent', { distance: '20', top: '45' })).toMatch(/foot.*nothing is read/);
  expect(problem('girth', { girth: 'sixty' })).toMatch(/no number/);
  expect(problem('tangent', { distance: '20', top: '-5', base: '40' })).toMatch(/check the signs/);
  expect(problem('radii', { radii: '4;4' })).toMatch(/Number of radii/);
  expect(problem('bark', { thickness: '900' })).toMatch(/cannot be/);
});

test('shots go to the top first, then to the foot; a third begins with the top again', () => {
  const top = withShot({}, { distance: 31.42, angle: 47.3, bearing: undefined }, 'metric');
  expect(top).toEqual({ toTop: '31.42', top: '47.3' });
  const both = withShot(top, { distance: 21.36, angle: -4.2, bearing: undefined }, 'metric');
  expect(value('sine', both).value).toBeCloseTo(
    31.42 * Math.sin((47.3 * Math.PI) / 180) + 21.36 * Math.sin((4.2 * Math.PI) / 180),
  );
  expect(withShot(both, { distance: 30, angle: 45, bearing: undefined }, 'metric')).toMatchObject({
    toTop: '30.00',
    toBase: '21.36',
  });
});

test('big keys write, change the sign and rub out', () => {
  expect(['4', '.', '2', '−', '⌫', '5'].reduce(pressed, '')).toBe('-4.5');
  expect(pressed('-4', '−')).toBe('4');
  expect(pressed('', '⌫')).toBe('');
});

test('what is kept says how it was measured', () => {
  const body = bodyOfResult(
    't',
    '2026-10-15',
    'widths',
    value('widths', { longest: '9', across: '7' }),
    true,
  );
  expect(body).toMatchObject({ kind: 'spread', value: 8, toProfile: true, treeId: 't' });
  expect(body.working[0]).toBe('Crown, two widths.');
});
