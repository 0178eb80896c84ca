import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { enoughToDraw } from './index.ts';

const JULY = 200;
const JANUARY = 15;

const of = (scores: Record<string, string>, organ: 'leaf' | 'twig' | 'bud' | 'fruit', day = JULY) =>
  enoughToDraw(profiled('Ficta', 'a', scores), viewOf([organ], day), BUILT_IN)[0]!;

const COMPOUND = {
  'foliage.kind': 'broad blade',
  'leaf.composition': 'once pinnate, odd',
  'leaf.shape': 'obovate',
  'leaf.length': '20–35 cm',
  'leaf.lobing': 'unlobed',
  'leaf.teeth': 'singly toothed',
};

test('a compound leaf without its number of leaflets is a guess', () => {
  expect(of(COMPOUND, 'leaf')).toMatchObject({ enough: false, missing: ['leaf.leaflets'] });
  const more = {
    'leaf.leaflets': '5–7, odd',
    'leaf.apex': 'acute',
    'leaf.base': 'wedge',
    'leaf.teethPerCm': '3–4',
  };
  expect(of({ ...COMPOUND, ...more }, 'leaf')).toMatchObject({ enough: true, missing: [] });
});

test('a samara is not drawn before it is known where its wing is', () => {
  const ash = { 'fruit.type': 'single samara', 'fruit.length': '3–4 cm' };
  expect(of(ash, 'fruit')).toMatchObject({ enough: false, missing: ['fruit.samaraWing'] });
});

test('a profile of nothing but a height draws no leaf, and says what is asked for first', () => {
  const found = of({ 'habit.height': '25–35 m' }, 'leaf');
  expect(found).toMatchObject({ enough: false, share: 0 });
  expect(found.missing).toContain('foliage.kind');
});

test('a bare twig needs its buds, a leafy one does not; leaves that have fallen are not asked for', () => {
  const twig = { ...COMPOUND, 'twig.arrangement': 'alternate' };
  expect(of(twig, 'bud').enough).toBe(true);
  expect(of(twig, 'bud', JANUARY)).toMatchObject({
    enough: false,
    missing: ['bud.shape', 'bud.scales', 'bud.length'],
  });
  expect(of(twig, 'leaf', JANUARY).enough).toBe(true);
});

test('needles ask for what needles are drawn from, and not how blades stand', () => {
  const pine = {
    'foliage.kind': 'bundled needles',
    'needle.length': '12–20 cm',
    'needle.width': '1.2–1.6 mm',
    'needle.sheath': 'kept',
  };
  expect(of(pine, 'leaf')).toMatchObject({ enough: false, missing: ['needle.perBundle'] });
  expect(of(pine, 'twig').missing).toEqual([]);
});
