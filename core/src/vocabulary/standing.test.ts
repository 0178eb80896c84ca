import { BUILT_IN, CONVENTION_LENGTH, conventionOf, saidBehind, STANDINGS, standingOf } from './index.ts';
import { STANDING_IDS } from './standing.ts';

const of = (id: string, genus?: string) => standingOf(BUILT_IN.get(id)!, genus);

test('every character that the table names is a built-in one, and every built-in one has a standing', () => {
  for (const id of STANDING_IDS) expect(BUILT_IN.has(id)).toBe(true);
  for (const { standing } of BUILT_IN.values()) expect(STANDINGS).toContain(standing);
});

test.each([
  ['twig.arrangement', 'mark'],
  ['foliage.kind', 'mark'],
  ['needle.scar', 'mark'],
  ['leaf.odor', 'second'],
  ['twig.hair', 'second'],
  ['twig.color', 'supporting'],
  ['leaf.length', 'supporting'],
  ['habit.growth', 'supporting'],
])('%s is %s', (id, standing) => expect(of(id)).toBe(standing));

test('within a genus that manuals separate by it a character stands one step higher, in others not', () => {
  expect([of('twig.hair'), of('twig.hair', 'Picea'), of('twig.hair', 'Cornus')]).toEqual([
    'second',
    'mark',
    'second',
  ]);
  expect([of('bud.color'), of('bud.color', 'Fraxinus')]).toEqual(['supporting', 'second']);
  expect(of('twig.arrangement', 'Acer')).toBe('mark');
});

test('a character of the library’s own is second until it is given a standing', () => {
  expect(standingOf({})).toBe('second');
  expect(standingOf({ standing: 'mark' })).toBe('mark');
  expect(standingOf({ raisedWithin: ['Tilia'] }, 'Tilia')).toBe('mark');
});

test('arrangement before lobing, lobing before size; buds before color', () => {
  expect(conventionOf('twig.arrangement')).toBeLessThan(conventionOf('leaf.lobing'));
  expect(conventionOf('leaf.length')).toBe(CONVENTION_LENGTH);
  expect(saidBehind('bud.scales')).toBeLessThan(saidBehind('twig.color'));
  expect(saidBehind('foliage.kind')).toBeLessThan(saidBehind('bud.scales'));
});
