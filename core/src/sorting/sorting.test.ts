import fc from 'fast-check';
import { BUILT_IN } from '../vocabulary/index.ts';
import { profiled, viewOf } from '../testing/taxa.ts';
import {
  keyOfSorts,
  partingOf,
  partingsOf,
  laidOut,
  readAsSaid,
  readingsOfSort,
  realTable,
  sortPile,
  splitsBy,
  tableOf,
  tableView,
  toldOfSort,
  type Known,
  type OnTable,
} from './index.ts';

const twig = (arrangement: string, more: Record<string, string | number | string[]> = {}) => ({
  'twig.arrangement': arrangement,
  ...more,
});

const onTable = (known: readonly Known[]): OnTable[] => known.map((each) => ({ taxonId: 'x', known: each }));

test('a slip of the hand is allowed for: the one on the wrong pile is named', () => {
  const known = [...Array<string>(5).fill('opposite'), ...Array<string>(5).fill('alternate')].map((each) =>
    twig(each),
  );
  const first = known.map((_, i) => i < 5 || i === 9);
  expect(partingOf(known, first, BUILT_IN)).toMatchObject({
    first: { characterId: 'twig.arrangement', states: ['opposite'] },
    second: { characterId: 'twig.arrangement', states: ['alternate'] },
    slips: [9],
  });
});
test('of two that part them alike, what a class sees first is said first, the other with it', () => {
  const known = ['opposite', 'opposite', 'alternate', 'alternate'].map((each, i) =>
    twig(each, { 'twig.thickness': i < 2 ? 0.004 : 0.001 }),
  );
  const parting = partingOf(known, [true, true, false, false], BUILT_IN)!;
  expect(parting.characterId).toBe('twig.arrangement');
  expect(parting.alike).toEqual(['twig.thickness']);
});
test('what was said to be meant, of several characters that may have parted two piles, is told as gone by', () => {
  const known = ['opposite', 'opposite', 'opposite', 'alternate', 'alternate', 'alternate'].map((each, i) =>
    twig(each, { 'bud.scales': i < 4 ? 'several' : 'naked' }),
  );
  const into: [{ specimens: number[] }, { specimens: number[] }] = [
    { specimens: [0, 1, 2] },
    { specimens: [3, 4, 5] },
  ];
  const pile = { specimens: [0, 1, 2, 3, 4, 5], into };
  const offered = ['twig.arrangement', 'bud.scales'];
  expect(toldOfSort(pile, { '': 1 }, onTable(known), BUILT_IN)).toEqual([{ offered, told: ['bud.scales'] }]);
  expect(toldOfSort(pile, { '': 0 }, onTable(known), BUILT_IN)).toEqual([
    { offered, told: ['twig.arrangement'] },
  ]);
  expect(toldOfSort(pile, {}, onTable(known), BUILT_IN)).toEqual([]);
  // One way alone leaves nothing to choose.
  const plain = ['opposite', 'alternate'].map((each) => twig(each));
  const two = { specimens: [0, 1], into: [{ specimens: [0] }, { specimens: [1] }] as typeof into };
  expect(toldOfSort(two, { '': 0 }, onTable(plain), BUILT_IN)).toEqual([]);
});
test('what shows none of it lies with the others, of which nothing is said', () => {
  const known: Known[] = [
    { 'leaf.teeth': 'single' },
    { 'leaf.teeth': 'single' },
    { 'needle.tip': 'soft' },
    {},
  ];
  const parting = partingOf(known, [true, true, false, false], BUILT_IN)!;
  expect(parting).toMatchObject({ characterId: 'leaf.teeth', first: { states: ['single'] } });
  expect(parting.second).toBeUndefined();
});
test('a sort that nothing explains is said to have no character; one pile alone is no sort', () => {
  const known = Array.from({ length: 10 }, () => twig('alternate'));
  expect(
    partingOf(
      known,
      known.map((_, i) => i % 2 === 0),
      BUILT_IN,
    ),
  ).toBeUndefined();
  expect(() =>
    partingsOf(
      known,
      known.map(() => true),
      BUILT_IN,
    ),
  ).toThrow('Two piles');
});
test('every way of parting has its other side, and between them they hold every specimen', () => {
  const states = fc.constantFrom('none', 'single', 'double', undefined);
  fc.assert(
    fc.property(fc.array(states, { minLength: 3, maxLength: 10 }), (teeth) => {
      const known = teeth.map((each): Known => (each === undefined ? {} : { 'leaf.teeth': each }));
      for (const split of splitsBy(BUILT_IN.get('leaf.teeth')!, known)) {
        expect(split.meets).toContain(true);
        expect(split.meets).toContain(false);
        known.forEach((each, i) => {
          const shown = each['leaf.teeth'] as string | undefined;
          if (shown !== undefined && split.first?.states?.includes(shown)) expect(split.meets[i]).toBe(true);
          if (shown !== undefined && split.second?.states?.includes(shown))
            expect(split.meets[i]).toBe(false);
          // A side that holds one of which nothing is known says nothing of it.
          if (shown === undefined) expect(split.meets[i] ? split.first : split.second).toBeUndefined();
        });
      }
    }),
  );
});
test('the piles of a class make its key', () => {
  const known = [
    twig('opposite', { 'leaf.lobing': 'palmate' }),
    twig('opposite', { 'leaf.lobing': 'none' }),
    twig('alternate', { 'leaf.lobing': 'none' }),
  ];
  const sorted = sortPile({ specimens: [0, 1, 2] }, [0, 1]);
  const again = { ...sorted, into: [sortPile(sorted.into![0], [0]), sorted.into![1]] as const };
  const read = readAsSaid(again, {}, onTable(known), BUILT_IN);
  const key = keyOfSorts(read, viewOf(['leaf', 'twig']), (i) => `tree ${i}`)!;
  expect(key.taxa).toEqual(['tree 0', 'tree 1', 'tree 2']);
  expect(key.root).toMatchObject({
    kind: 'couplet',
    leads: [
      { condition: { characterId: 'twig.arrangement', states: ['opposite'] }, to: { kind: 'couplet' } },
      { condition: { states: ['alternate'] }, to: { kind: 'end', taxa: ['tree 2'] } },
    ],
  });
});

test('a sort is read as observations: a slip has read the state of its pile, a size says nothing of a slip', () => {
  const known = [
    'opposite',
    'opposite',
    'opposite',
    'opposite',
    'opposite',
    ...Array<string>(5).fill('alternate'),
  ].map((each) => twig(each));
  const table = onTable(known);
  const sorted = readAsSaid(
    sortPile({ specimens: known.map((_, i) => i) }, [0, 1, 2, 3, 4, 9]),
    {},
    table,
    BUILT_IN,
  );
  const readings = readingsOfSort(sorted, table);
  expect(readings).toHaveLength(10);
  expect(readings.filter(({ right, said }) => !right.includes(said))).toEqual([
    { characterId: 'twig.arrangement', specimen: 9, right: ['alternate'], said: 'opposite' },
  ]);
  const sized = [0.001, 0.001, 0.004, 0.004].map((thickness) => ({ 'twig.thickness': thickness }));
  const bySize = readAsSaid(sortPile({ specimens: [0, 1, 2, 3] }, [0, 1]), {}, onTable(sized), BUILT_IN);
  expect(bySize.parting?.characterId).toBe('twig.thickness');
  expect(readingsOfSort(bySize, onTable(sized))).toEqual([]);
});

test('the same list, day and seed lay out the same twigs, no tree twice before each was there', () => {
  const list = ['una', 'bina', 'trina'].map((name) =>
    profiled('Aa', name, { 'twig.arrangement': 'opposite' }),
  );
  const table = laidOut(list, BUILT_IN, tableView(190), 4);
  expect(table).toHaveLength(12);
  expect(new Set(table.slice(0, 3).map(({ taxonId }) => taxonId)).size).toBe(3);
  expect(laidOut(list, BUILT_IN, tableView(190), 4)).toEqual(table);
  expect(table[0]!.known).toMatchObject({ 'twig.arrangement': 'opposite' });
});

describe('real twigs by their tags', () => {
  const maple = profiled('Acer', 'glabrum', {
    'foliage.kind': 'broad',
    'twig.arrangement': 'opposite',
    'leaf.composition': 'simple; sometimes trifoliate',
    'leaf.lobing': 'palmate',
    'bud.stalked': 'no',
  });
  const alder = profiled('Alnus', 'incana', {
    'foliage.kind': 'broad',
    'twig.arrangement': 'alternate',
    'leaf.composition': 'simple',
    'leaf.lobing': 'none',
    'bud.stalked': 'yes',
  });
  const twigs = ['7', '8', '9', '12'].map((tag, i) => ({
    tag,
    taxonId: i < 2 ? maple.taxon.id : alder.taxon.id,
  }));
  const list = [maple, alder];
  const table = realTable(twigs, list, BUILT_IN, tableView(200));

  test('show what their trees always show, and nothing that varies from twig to twig', () => {
    expect(table.map(({ tag, traits }) => [tag, traits])).toEqual(twigs.map(({ tag }) => [tag, undefined]));
    expect(table[0]!.known).toMatchObject({ 'twig.arrangement': 'opposite', 'leaf.lobing': 'palmate' });
    expect(table[0]!.known).not.toHaveProperty(['leaf.composition']);
    expect(table[2]!.known).toHaveProperty(['leaf.composition'], 'simple');
  });
  test('of a tree that is gone nothing is known, and its twig keeps its place', () => {
    const [gone, first] = realTable(
      [{ tag: '1', taxonId: 'gone' }, ...twigs],
      list,
      BUILT_IN,
      tableView(200),
    );
    expect(gone).toEqual({ tag: '1', taxonId: 'gone', known: {} });
    expect(first).toEqual(table[0]);
  });
  test('are parted by what was seen, and read as observations with the slip', () => {
    const piles = sortPile({ specimens: [0, 1, 2, 3] }, [0, 1]);
    const sorted = readAsSaid(piles, {}, table, BUILT_IN);
    expect(sorted.parting!.characterId).toBe('twig.arrangement');
    expect(readingsOfSort(sorted, table)).toHaveLength(4);
  });
  test('lie on the table in the place of drawings', () => {
    const view = tableView(200);
    expect(tableOf(list, BUILT_IN, view, { seed: 1, real: twigs })).toEqual(table);
    expect(tableOf(list, BUILT_IN, view, { seed: 1, real: [] })).toHaveLength(12);
    expect(tableOf(list, BUILT_IN, view, { seed: 1 })[0]!.traits).toBeDefined();
  });
});
