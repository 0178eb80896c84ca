import { figuresOf, type Figure } from './figures.ts';
import { plainMeasure, tokensOf } from './tokens.ts';
import { dimensionOf, unitAtStart } from './units.ts';

const figures = (text: string) => figuresOf(tokensOf(text, ['leaf', 'blade']).tokens);
/** A figure as it is read: its ends with their units. */
const said = ({ from, to, many }: Figure) =>
  [from, to]
    .flatMap((end) => (end ? [`${end.value}${end.unit ? ` ${end.unit.name}` : ''}`] : []))
    .join(' to ') + (many ? ' to many' : '');
const read = (text: string) => figures(text).figures.map(said);

test.each<[string, string, number]>([
  ['cm', 'cm', 0.01],
  ['centimeters long', 'cm', 0.01],
  ['mm', 'mm', 0.001],
  ['metres', 'm', 1],
  ["'", 'ft', 0.3048],
  ['feet', 'ft', 0.3048],
  ['"', 'in', 0.0254],
  ['inches', 'in', 0.0254],
  ['kg/m³', 'kg/m³', 1],
  ['g/cm3', 'g/cm³', 1000],
  ['lb/ft3', 'lb/ft³', 16.0185],
  ['per cm', 'per cm', 1],
  ['/in', 'per inch', 1 / 2.54],
  ['°', '°', 1],
  ['percent', '%', 1],
  ['yrs.', 'years', 1],
])('a unit written “%s” is %s', (text, name, factor) => {
  const found = unitAtStart(text)!;
  expect(found.unit.name).toBe(name);
  expect(found.unit.factor).toBeCloseTo(factor, 9);
});
test.each(['many', 'inner bark', 'mmm', '12 cm', 'x'])('“%s” begins with no unit', (text) =>
  expect(unitAtStart(text)).toBeUndefined(),
);
test('each unit of the vocabulary measures something, a count nothing', () => {
  expect(['m', 'cm', 'mm'].map((unit) => dimensionOf(unit as never))).toEqual(['length', 'length', 'length']);
  expect(dimensionOf('1/cm')).toBe('per length');
  expect(dimensionOf(undefined)).toBeUndefined();
});

test.each([
  ['1½ in', '1 1/2 in'],
  ['4–7 cm', '4-7 cm'],
  ['4 … 7 cm', '4 - 7 cm'],
  ['5–9-lobed', '5-9'],
  ['half an inch', '1/2 inch'],
  ['two to five', '2 to 5'],
  ['6’ tall', "6' tall"],
  ['a foot', '1 foot'],
  ['3 in a bundle', '3 a bundle'],
])('“%s” is made plain as “%s”', (text, plain) => expect(plainMeasure(text)).toBe(plain));

test.each<[string, string[]]>([
  ['4–7 cm', ['4 to 7 cm']],
  ['4 cm to 7 cm', ['4 cm to 7 cm']],
  ['(3)4–7(9) cm', ['3', '4 to 7', '9 cm']],
  ['1 1/2 in', ['1.5 in']],
  ['1-1/2 in', ['1.5 in']],
  ['5 ft 6 in', ['5.5 ft']],
  ['5\'6"', ['5.5 ft']],
  ['1 m 20 cm', ['1.2 m']],
  ['10 ± 2 mm', ['8 mm to 12 mm']],
  ['1,200 years', ['1200 years']],
  ['2,5 cm', ['2.5 cm']],
  ['5 to many', ['5 to many']],
])('“%s” is read as %j', (text, expected) => expect(read(text)).toEqual(expected));

test.each<[string, string[]]>([
  ['about 5 cm', ['about']],
  ['up to 20 m', ['up to']],
  ['20 m or more', ['or more']],
  ['usually 3', ['usually']],
  ['rarely to 30 m', ['rarely', 'up to']],
  ['5 cm more or less', ['or so']],
  ['5 cm, more or less', ['or so']],
  ['20 m, or more', ['or more']],
  ['20 m, rarely', ['rarely']],
  ['4–7 cm, rarely 9', ['rarely']],
])('“%s” says of its figure %j', (text, roles) =>
  expect(figures(text).figures.flatMap((each) => each.roles)).toEqual(roles),
);

test('the same again in another unit is known as such, and two measures as two', () => {
  const both = figures('4 in = 10 cm').figures;
  expect(both.map(({ again }) => again)).toEqual([false, true]);
  expect(figures('4 × 7 cm').times).toBe(true);
  expect(figures('5–9, odd').odd).toBe(true);
});

test.each<[string, string]>([
  ['4–', 'an end'],
  ['(4', 'a bracket'],
  ['4)', 'a bracket'],
  ['((4)', 'a bracket'],
  ['about', 'an end'],
  ['4 7 cm', 'several'],
])('“%s” is not understood for want of %s', (text, problem) => expect(figures(text).problem).toBe(problem));

test('what cannot be read is told by its own word', () => {
  expect(tokensOf('4 furlongs', []).problem).toEqual({ word: 'furlongs' });
  expect(tokensOf('1/0 in', []).problem).toBe('a zero under the line');
  expect(tokensOf('-4 cm', []).problem).toBe('a negative number');
  expect(tokensOf('1O cm', []).problem).toBeDefined();
  expect(tokensOf('blades 4 cm long', ['blade']).problem).toBeUndefined();
});
test('where a comma parts decimals, a point parts thousands', () => {
  const value = (text: string, decimal: '.' | ',') =>
    tokensOf(text, [], { decimal }).tokens.flatMap((token) => (token.is === 'number' ? [token.value] : []));
  expect(value('1.200 m', ',')).toEqual([1200]);
  expect(value('1.200 m', '.')).toEqual([1.2]);
  expect(value('4,5 cm', ',')).toEqual([4.5]);
});
