import { besideOption, holdsFor } from './holdsFor.ts';

test('the usual choices, and whatever else is scored, once', () => {
  const usual = holdsFor([]);
  expect(usual[0]).toEqual(['in general', '']);
  expect(holdsFor([{ qualifiers: {} }, { qualifiers: { plantAge: 'young' } }])).toEqual(usual);
  const more = holdsFor([{ qualifiers: { plantAge: 'young', light: 'sun' } }]);
  expect(more.at(-1)).toEqual(['young, sun', 'light=sun;plantAge=young']);
  expect(more).toHaveLength(usual.length + 1);
});

test('Alt+Q goes through them and round, with Shift the other way', () => {
  const options = [
    ['a', ''],
    ['b', 'x'],
    ['c', 'y'],
  ] as const;
  expect([besideOption(options, '', false), besideOption(options, 'y', false)]).toEqual(['x', '']);
  expect([besideOption(options, '', true), besideOption(options, 'x', true)]).toEqual(['y', '']);
});
