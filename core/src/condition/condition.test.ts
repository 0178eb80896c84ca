import { readingsOf } from '../evidence/index.ts';
import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { conditionInWords, shareMeeting, type Condition } from './index.ts';

const list = [
  profiled('Acer', 'rubrum', {
    'twig.arrangement': 'opposite',
    'bud.length': '3–6 mm',
    'leaf.lobes': '3–5, odd',
  }),
  profiled('Betula', 'nigra', {
    'twig.arrangement': 'usually alternate; sometimes sub-opposite',
    'bud.length': '8–14 mm',
    'bark.surface': 'only papery peeling; sometimes smooth',
  }),
];
const readings = readingsOf(list, BUILT_IN, viewOf(['twig', 'bud', 'leaf', 'bark']), { reader: 'exact' });
const share = (condition: Condition, t: number) => shareMeeting(readings, t, condition);

test('states are met in the share of individuals that the frequencies say', () => {
  const opposite = { characterId: 'twig.arrangement', states: ['opposite'] };
  expect(share(opposite, 0)).toBeCloseTo(1);
  expect(share(opposite, 1)).toBeCloseTo(0);
  expect(share({ characterId: 'twig.arrangement', states: ['subopposite'] }, 1)).toBeCloseTo(3 / 11);
});

test('a number is met from its lower border on, and a cut leaves everyone on one side', () => {
  for (const t of [0, 1]) {
    const below = share({ characterId: 'bud.length', below: 0.007 }, t)!;
    const from = share({ characterId: 'bud.length', from: 0.007 }, t)!;
    expect(below + from).toBeCloseTo(1, 9);
  }
  expect(share({ characterId: 'bud.length', below: 0.007 }, 0)).toBeGreaterThan(0.9);
  expect(share({ characterId: 'bud.length', below: 0.007 }, 1)).toBeLessThan(0.1);
});

test('a state that an exhaustive score does not name is missing; without a score nothing is said', () => {
  const warty = { characterId: 'bark.surface', states: ['wartyRidges'], present: false };
  expect(share(warty, 1)).toBeCloseTo(1);
  expect(share(warty, 0)).toBeUndefined();
});

test.each([
  [{ characterId: 'twig.arrangement', states: ['opposite', 'whorled'] }, /: opposite or whorled$/],
  [
    { characterId: 'bud.shape', states: ['ovoidBlunt', 'ovoidPointed', 'globose'] },
    /: ovoid blunt, ovoid pointed or globose$/,
  ],
  [{ characterId: 'bud.shape', states: ['ovoidBlunt'] }, /: ovoid, blunt$/],
  [{ characterId: 'twig.zigzag', present: false }, /: no$/],
  [{ characterId: 'bark.surface', states: ['papery'], present: false }, /: not papery/],
  [{ characterId: 'bud.length', from: 0.007 }, /: 7 mm or more$/],
  [{ characterId: 'leaf.lobes', below: 6 }, /: 5 or fewer$/],
])('in words: %j', (condition, words) => {
  expect(conditionInWords(condition, BUILT_IN, 'technical', 'metric')).toMatch(words);
});
