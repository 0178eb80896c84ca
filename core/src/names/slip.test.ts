import fc from 'fast-check';
import { latinSlip, lettersOf, mayBeNear, slip, slipsAllowed, WordBank } from './slip.ts';

// The same words at every run: what fails can be found again.
fc.configureGlobal({ seed: 20261129 });
const word = fc.stringMatching(/^[a-z]{1,14}$/);
/** A word with one thing wrong in it. */
const spoiled = fc
  .tuple(word, fc.nat(), fc.constantFrom('drop', 'double', 'swap', 'change'), fc.constantFrom(...'aeioukxz'))
  .map(([right, at, how, letter]) => {
    const i = at % right.length;
    const [before, here, after] = [right.slice(0, i), right[i]!, right.slice(i + 1)];
    const written = {
      drop: before + after,
      double: before + here + here + after,
      swap: before + (after[0] ?? '') + here + after.slice(1),
      change: before + letter + after,
    }[how];
    return { right, written, how };
  });

test('nothing is off itself, and what is off is off both ways alike', () => {
  fc.assert(
    fc.property(word, word, (a, b) => {
      expect(slip(a, a)).toBe(0);
      expect(slip(a, b)).toBeCloseTo(slip(b, a), 9);
      if (a !== b) expect(slip(a, b)).toBeGreaterThan(0);
    }),
  );
});

test('one thing wrong is one letter off at most, a doubled letter less than half of one', () => {
  fc.assert(
    fc.property(spoiled, ({ right, written, how }) => {
      const off = slip(written, right);
      expect(off).toBeLessThanOrEqual(1);
      if (how === 'double') expect(off).toBeLessThanOrEqual(0.4);
    }),
  );
});

test('no word is farther off than all letters of the longer one', () => {
  fc.assert(
    fc.property(word, word, (a, b) => {
      expect(slip(a, b)).toBeLessThanOrEqual(Math.max(a.length, b.length) + 1e-9);
    }),
  );
});

test('within a limit the figure is the true one, beyond it only more than it', () => {
  fc.assert(
    fc.property(word, word, fc.double({ min: 0.2, max: 4, noNaN: true }), (a, b, limit) => {
      const [true_, limited] = [slip(a, b), slip(a, b, limit)];
      if (true_ <= limit) expect(limited).toBeCloseTo(true_, 9);
      else expect(limited).toBeGreaterThan(limit);
    }),
  );
});

test.each([
  ['engleman', 'engelmann', 1.2],
  ['picca', 'picea', 1],
  ['abeis', 'abies', 0.8],
  ['tuja', 'thuja', 0.6],
  ['pinuss', 'pinus', 0.4],
])('“%s” for “%s” is %d letters off', (written, right, off) =>
  expect(slip(written, right)).toBeCloseTo(off, 6),
);

test('vowels and letters that sound alike are nearer than others, neighbours on the keys too', () => {
  expect(slip('betola', 'betula')).toBeLessThan(slip('betxla', 'betula'));
  expect(slip('lariz', 'larix')).toBeLessThan(slip('laric', 'larix') + 1e-9);
  expect(slip('querkus', 'quercus')).toBeLessThan(slip('querpus', 'quercus'));
});

test('of Latin words, spellings that sound alike are a quarter letter off and never farther than as plain words', () => {
  expect(latinSlip('silvestris', 'sylvestris')).toBe(0.25);
  fc.assert(
    fc.property(word, word, (a, b) => {
      expect(latinSlip(a, b)).toBeLessThanOrEqual(slip(a, b) + 1e-9);
    }),
  );
});

test('longer words may be more wrong, short ones not at all', () => {
  const allowed = Array.from({ length: 16 }, (_, length) => slipsAllowed(length));
  expect(allowed.slice(0, 3)).toEqual([0, 0, 0]);
  expect([...allowed].sort((a, b) => a - b)).toEqual(allowed);
});

test('what the letters rule out is really too far off', () => {
  fc.assert(
    fc.property(word, word, fc.double({ min: 0.4, max: 3, noNaN: true }), (a, b, allowed) => {
      if (!mayBeNear(lettersOf(a), lettersOf(b), allowed)) expect(slip(a, b)).toBeGreaterThan(allowed);
    }),
  );
});

const GENERA = [
  'abies',
  'acer',
  'alnus',
  'betula',
  'larix',
  'picea',
  'pinus',
  'populus',
  'quercus',
  'salix',
  'thuja',
  'tsuga',
];
test.each([
  ['picae', 'picea'],
  ['quercos', 'quercus'],
  ['thuya', 'thuja'],
  ['betulla', 'betula'],
])('a bank finds “%s” as “%s” first', (written, right) =>
  expect(new WordBank(GENERA, 'latin').near(written)[0]?.word).toBe(right),
);
test('a bank finds all that a search one by one finds, the nearest first', () => {
  const bank = new WordBank(GENERA, 'english');
  fc.assert(
    fc.property(spoiled, ({ written }) => {
      const found = bank.near(written);
      const one = GENERA.map((each) => ({ word: each, off: slip(written, each) })).filter(
        ({ word: each, off }) =>
          off <= slipsAllowed(each.length) && Math.abs(each.length - written.length) <= 4,
      );
      expect(found.map(({ word: each }) => each).sort()).toEqual(one.map(({ word: each }) => each).sort());
      expect([...found].sort((a, b) => a.off - b.off)).toEqual(found);
    }),
  );
  expect(bank.has('acer')).toBe(true);
  expect(bank.near('pinos', 0.1)).toEqual([]);
});
