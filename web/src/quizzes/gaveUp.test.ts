import { usualWishes, type Relaxation } from '@hurrow/core/assembly';
import { gaveUpInWords, whyNotShown } from './gaveUp.ts';

const sets = [{ id: 'firs', title: 'The firs', week: 1, taxa: ['a', 'b'] }];
const so = { sets, answered: {}, mixedUp: [], doubtful: {} };
const wishes = {
  ...usualWishes(12, sets),
  kinds: { fruit: { least: 5, most: 6 } },
  asked: { number: { least: 2, most: 3 } },
  pins: ['a cutting', 'b fruit'],
};
const said = (...relaxed: Relaxation[]) =>
  gaveUpInWords({ relaxed, notPossible: {}, so }, wishes, (id) => id.toUpperCase());

test('what could not be had is said with what was wished for, and the least that would have to give', () => {
  expect(said({ wish: 'stations', side: 'least', by: 3 })).toEqual([
    'Only 9 of 12 stations can be set: allow more kinds of station, less fair ones, or a tree twice.',
  ]);
  expect(said({ wish: 'kind', of: 'fruit', side: 'least', by: 2 })[0]).toMatch(
    /^Fruit or cone: 2 stations fewer than the 5 you want\./,
  );
  expect(said({ wish: 'kind', of: 'fruit', side: 'most', by: 1 })[0]).toMatch(
    /^Fruit or cone: 1 station more than the 6 you allow/,
  );
  expect(said({ wish: 'asked', of: 'number', side: 'least', by: 1 })[0]).toMatch(
    /^Stations that ask for a count or a measure: 1 station fewer than the 2 you want\./,
  );
  expect(said({ wish: 'set', of: 'firs', side: 'least', by: 1 })[0]).toMatch(/^The firs: 1 station fewer/);
  expect(said({ wish: 'expected', of: 'low', side: 'least', by: 0.12 })[0]).toContain(
    'about 12 in 100 fewer',
  );
});

test('forms that cannot ask alike say so, though nothing but names was wished for', () => {
  expect(said({ wish: 'asked', of: 'name', side: 'least', by: 1 })[0]).toMatch(
    /^The forms cannot ask for as many of each thing/,
  );
});

test('what was settled and cannot be shown is named first, with why', () => {
  const relaxed: Relaxation[] = [{ wish: 'mixedUp', side: 'least', by: 1 }];
  const words = gaveUpInWords({ relaxed, notPossible: { 'a cutting': 'in leaf' }, so }, wishes, (id) => id);
  expect(words[0]).toBe('a, cutting with leaves, could not be kept: it is not bare that day.');
  expect(words[1]).toMatch(/^Pairs that they mix up: 1 station fewer than the \d+ you want/);
  expect(whyNotShown('protected', 3)).toBe('are protected and may not be cut');
});
