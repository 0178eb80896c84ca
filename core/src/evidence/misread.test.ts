import { BUILT_IN } from '../vocabulary/index.ts';
import { misreadRate, takenFor } from './index.ts';

const kind = BUILT_IN.get('foliage.kind')!;
const [broad, single, bundled, awls] = ['broad', 'single', 'bundled', 'awls'].map((id) =>
  kind.states.findIndex((state) => state.id === id),
) as [number, number, number, number];
const shown = kind.states.map((_, s) => ({ [broad]: 20, [single]: 6, [bundled]: 3, [awls]: 0 })[s] ?? 0);

test('a misreading falls on what the list shows, as often as it shows it', () => {
  const taken = takenFor(kind, single, 0.03, shown);
  expect(taken[single]).toBeCloseTo(0.97);
  expect(taken[bundled]).toBeCloseTo(0.03);
  expect(taken[awls]).toBe(0);
  expect(taken.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1);
});

test('nobody takes a blade for needles, nor needles for a blade', () => {
  expect(takenFor(kind, broad, 0.04, shown)[broad]).toBeCloseTo(0.998);
  expect(takenFor(kind, bundled, 0.04, shown)[broad]).toBe(0);
});

test('ordinal states are taken for their neighbours; where the list shows nothing else, nothing is misread', () => {
  const hair = BUILT_IN.get('twig.hair')!;
  const taken = takenFor(
    hair,
    1,
    0.1,
    hair.states.map(() => 1),
  );
  expect([...taken]).toEqual([0.05, 0.9, 0.05, 0]);
  expect(
    takenFor(
      kind,
      single,
      0.04,
      kind.states.map((_, s) => Number(s === single)),
    )[single],
  ).toBe(1);
});

test('no reader but the exact one is surer than two in a thousand', () => {
  expect(misreadRate({ ...kind, misread: { careful: 0, novice: 0 } }, 'careful')).toBe(0.002);
  expect(misreadRate(kind, 'exact')).toBe(0);
});
