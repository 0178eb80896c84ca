import fc from 'fast-check';
import { sampleLike, sampleSpecimen } from '../specimen/index.ts';
import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { besideMistake } from './index.ts';

const shared = {
  'foliage.kind': 'broad',
  'leaf.composition': 'simple',
  'leaf.lobing': 'none',
  'twig.arrangement': 'alternate',
};
const oval = profiled('Ficta', 'ovalis', {
  ...shared,
  'leaf.shape': 'ovate; sometimes elliptic',
  'leaf.length': '4–8 cm',
  'leaf.teeth': 'single',
  'leaf.petioleSection': 'flattened sideways',
});
const round = profiled('Ficta', 'rotunda', {
  ...shared,
  'leaf.shape': 'ovate; sometimes orbicular',
  'leaf.length': '6–14 cm',
  'leaf.teeth': 'none',
  'leaf.petioleSection': 'round',
});
const view = viewOf(['leaf', 'twig'], 190);
const context = { vocabulary: BUILT_IN, units: 'metric' as const, audience: 'technical' as const };

test('the other tree is as like as its kind can be: what both may have is the same, what settles differs', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 2 ** 31 - 1 }), (seed) => {
      const own = sampleSpecimen(oval, BUILT_IN, view, seed);
      const other = sampleLike(own, round, BUILT_IN, view);
      expect(other.values['leaf.teeth']).toBe('none');
      expect(other.values['leaf.petioleSection']).toBe('round');
      if (own.values['leaf.shape'] === 'ovate') expect(other.values['leaf.shape']).toBe('ovate');
      else expect(['ovate', 'orbicular']).toContain(other.values['leaf.shape']);
      const [length, theirs] = [own.values['leaf.length'] as number, other.values['leaf.length'] as number];
      if (length >= 0.06) expect(theirs).toBe(length);
      else expect(theirs).toBeGreaterThanOrEqual(0.06);
      expect(other.values['twig.arrangement']).toBe('alternate');
    }),
  );
});

test('a mistake is shown beside the tree that was there, the very individual, with what tells them apart', () => {
  const traits = sampleSpecimen(oval, BUILT_IN, view, 7);
  const beside = besideMistake({ view, seed: 7, traits }, oval, round, context);
  expect(beside.right).toMatch(/^<svg/);
  expect(beside.taken).toMatch(/^<svg/);
  expect(beside.right).not.toBe(beside.taken);
  expect(beside.lines[0]!.lead).toBe('Look at the');
  expect(beside.lines.map(({ character }) => character)).toContain('teeth');
  expect(beside.settles).toBeDefined();
  // Of a specimen on the table no individual is known: typical ones say the same.
  const table = besideMistake({ view, seed: 7, traits: null }, oval, round, context);
  expect([table.lines, table.right === beside.right]).toEqual([beside.lines, false]);
});
