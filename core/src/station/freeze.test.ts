import { drawingToSvg, partsInWords } from '../specimen/index.ts';
import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { freezeStation, individualOf } from './index.ts';

const leafy = profiled('Ficta', 'visa', {
  'foliage.kind': 'broad',
  'leaf.composition': 'simple',
  'leaf.shape': 'ovate; sometimes elliptic',
  'leaf.length': '4–8 cm',
  'leaf.lobing': 'none',
  'leaf.teeth': 'single',
});
const context = {
  revision: 7,
  list: [leafy],
  vocabulary: BUILT_IN,
  marking: {
    policy: 'binomial' as const,
    points: { name: 2, genus: 1, epithet: 1, family: 1 },
    deduction: 0,
  },
  units: 'metric' as const,
};
const station = (medium: 'drawing' | 'cutting') => ({
  taxonId: leafy.taxon.id,
  medium,
  view: viewOf(['leaf', 'twig'], 190),
});

test('what is previewed is what students see: the same individual from the same seed', () => {
  for (const seed of [1, 77, 2 ** 31 - 1]) {
    const frozen = freezeStation(station('drawing'), seed, context);
    const previewed = individualOf(leafy, station('drawing'), seed, context)!;
    expect(frozen.traits).toEqual(previewed.traits);
    expect(frozen.drawing).toBe(
      drawingToSvg(previewed.plate, partsInWords(previewed.traits, ['leaf', 'twig'])),
    );
  }
  const [one, other] = [1, 2].map((seed) => freezeStation(station('drawing'), seed, context).drawing);
  expect(one).not.toBe(other);
});
test('what lies on the table is not drawn, and a drawing says nothing of names', () => {
  expect(freezeStation(station('cutting'), 1, context)).toMatchObject({ traits: null, drawing: null });
  expect(freezeStation(station('drawing'), 1, context).drawing).not.toMatch(/Ficta|visa/);
  expect(() => freezeStation({ ...station('drawing'), taxonId: 'x' }, 1, context)).toThrow('taught list');
});
