import { readBundle, writeBundle } from '@hurrow/core/bundle';
import { contrast, pairErrors, verdictOf } from '@hurrow/core/evidence';
import { appraise, buildKey } from '@hurrow/core/key';
import { checkCalendar } from '@hurrow/core/season';
import { readLibrary } from '@hurrow/core/library';
import { cellAt } from '@hurrow/core/range';
import { recapOf } from '@hurrow/core/recap';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { starters, secondFlora } from './src/starters.ts';

const flora = secondFlora();
const list = readLibrary(flora).profiles;
const twigOn = (day: number): View => ({
  ...MEDIUM_VIEWS.cutting,
  day,
  qualifiers: { plantAge: 'mature' },
});
const [JANUARY, AUGUST] = [15, 213];

test('the second flora: thirty-six trees, each with 25 scores or more, an aid and months', () => {
  expect(flora.taxa).toHaveLength(36);
  for (const { taxon, scores } of flora.taxa) {
    expect(scores.length).toBeGreaterThanOrEqual(25);
    expect(taxon.memoryAid).toMatch(/\.$/);
    expect(checkCalendar(taxon.calendar, flora.reference.latitude)).toEqual([]);
  }
});

test('what can hurt says so', () => {
  const cautioned = flora.taxa.filter(({ taxon }) => taxon.cautions.length > 0).map(({ taxon }) => taxon.id);
  expect(cautioned).toEqual(
    expect.arrayContaining(['taxus-baccata', 'prunus-padus', 'crataegus-monogyna', 'crataegus-laevigata']),
  );
});

test('every starter is a bundle that the import reads', () => {
  for (const { library, ranges } of starters()) {
    const read = readBundle(writeBundle(library, ranges));
    expect(read.ok && read.value.taxa.length).toBe(library.taxa.length);
    expect(library.sources).toHaveLength(1);
  }
});

test('each tree of a starter has its range, and only its trees have one', () => {
  for (const { library, ranges } of starters())
    expect(Object.keys(ranges).sort()).toEqual(library.taxa.map(({ taxon }) => taxon.id).sort());
});

test('what is known of where they grow: larch in the Alps and not native in Britain, pine native in Scotland, sycamore brought to England', () => {
  const ranges = starters().find(({ id }) => id === 'lowland')!.ranges;
  const at = (id: string, latitude: number, longitude: number) =>
    ranges[id]!.cells[cellAt(latitude, longitude)];
  expect(at('larix-decidua', 46.8, 10)).toBe('native');
  expect(at('larix-decidua', 52, -1)).toBe('planted');
  expect(at('pinus-sylvestris', 57, -4)).toBe('native');
  expect(at('pinus-sylvestris', 52, -1)).toBe('introduced');
  expect(at('acer-pseudoplatanus', 52, -1)).toBe('introduced');
  expect(at('fagus-sylvatica', 51, 9)).toBe('native');
  expect(at('fagus-sylvatica', 53.2, -8)).toBe('planted');
});

test('nothing is fitted to one list: a leafy twig settles all but four near pairs, and no conifer is open against a broadleaf', () => {
  const needled = ({ scores }: (typeof list)[number]) =>
    scores.some(
      ({ characterId, value }) =>
        characterId === 'foliage.kind' && value.kind === 'states' && value.states[0]!.state !== 'broad',
    );
  const open = pairErrors(list, BUILT_IN, twigOn(AUGUST)).filter(
    ({ error }) => verdictOf(error) !== 'settled',
  );
  for (const { a, b } of open) expect(list[a]!.taxon.genus).toBe(list[b]!.taxon.genus);
  expect(open.length).toBeLessThanOrEqual(4);
  for (const day of [JANUARY, 110, 288, 305])
    for (const { a, b, error } of pairErrors(list, BUILT_IN, twigOn(day)))
      if (needled(list[a]!) !== needled(list[b]!)) expect(verdictOf(error)).toBe('settled');
});

test('the hawthorns, the oaks and two limes are left open by a bare twig; the acorn settles the oaks', () => {
  for (const [a, b] of [
    ['crataegus-monogyna', 'crataegus-laevigata'],
    ['quercus-robur', 'quercus-petraea'],
    ['tilia-cordata', 'tilia-europaea'],
  ] as const)
    expect(contrast(list, a, b, BUILT_IN, twigOn(JANUARY)).verdict).toBe('not settled');
  const acorn: View = { ...twigOn(265), organs: ['twig', 'bud', 'leaf', 'fruit'] };
  expect(contrast(list, 'quercus-robur', 'quercus-petraea', BUILT_IN, acorn).verdict).toBe('settled');
});

test('its key begins by the book, is short, and says nothing false', () => {
  const key = buildKey(list, BUILT_IN, twigOn(AUGUST));
  expect(key.root).toMatchObject({
    kind: 'couplet',
    leads: [{ condition: { characterId: 'foliage.kind' } }, { condition: { characterId: 'foliage.kind' } }],
  });
  const found = appraise(key, list, BUILT_IN, { specimens: 60 });
  expect(found.couplets).toBeLessThanOrEqual(1.4 * list.length);
  expect(found.meanQuestions).toBeLessThanOrEqual(1.6 * found.bound);
  expect(found.falseStatements).toEqual([]);
});

test('the birches: smooth or velvet; the ashes: black or gray buds', () => {
  const [pendula, pubescens] = recapOf(
    list,
    ['betula-pendula', 'betula-pubescens'],
    BUILT_IN,
    twigOn(AUGUST),
  ).map(({ marks }) => marks.map(({ characterId }) => characterId));
  expect([...pendula!, ...pubescens!]).toContain('twig.hair');
});
