import { BUILT_IN } from '@hurrow/core/vocabulary';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { Key } from '@hurrow/core/key';
import { sortPile, tableView, waysOf, type OnTable } from '@hurrow/core/sorting';
import {
  calledAt,
  keyWorthInWords,
  openPiles,
  partingInWords,
  pileAt,
  pileInWords,
  together,
} from './table.ts';

const onTable = (known: OnTable['known']): OnTable => ({
  taxonId: 'x',
  known,
});
const table = [
  ...['opposite', 'opposite', 'opposite', 'alternate', 'alternate', 'alternate'].map((arrangement, i) =>
    onTable({ 'twig.arrangement': arrangement, 'leaf.lobing': i % 2 ? 'none' : 'palmate' }),
  ),
];
const words = { vocabulary: BUILT_IN, audience: 'plain', units: 'metric' } as const;
const whole = { specimens: [0, 1, 2, 3, 4, 5] };

test('piles are sorted, each again, and put together', () => {
  const first = sortPile(whole, [0, 1, 2]);
  const again = { ...first, into: [sortPile(first.into![0], [1]), first.into![1]] as const };
  expect(openPiles(again).map(({ path }) => path.join(''))).toEqual(['00', '01', '1']);
  expect(pileAt(again, [0, 0]).specimens).toEqual([1]);
  expect(openPiles(together(again, [0]))).toHaveLength(2);
  expect(sortPile(whole, [])).toBe(whole);
});
test('what parts them is said, with who lies on the other side', () => {
  const sorted = sortPile(whole, [0, 1, 2]);
  const [best] = waysOf(sorted, table, BUILT_IN);
  expect(partingInWords(best, sorted, words, table)).toBe('What parts them: leaves and buds on the twig.');
  expect(pileInWords(best!, 0, words)).toBe('leaves and buds on the twig: in pairs across');
  expect(pileInWords(best!, 1, words)).toBe('leaves and buds on the twig: one at a time, by turns');
  const slipped = sortPile(whole, [0, 1, 2, 5]);
  expect(partingInWords(waysOf(slipped, table, BUILT_IN)[0], slipped, words, table)).toContain(
    'only no. 6 lies',
  );
});
test('where nothing parts them, the class is asked what it went by', () => {
  expect(partingInWords(undefined, whole, words, table)).toContain('What did you go by?');
  expect(waysOf(whole, table, BUILT_IN)).toEqual([]);
});

test('a key of the class is appraised with other twigs of the same trees', () => {
  const tree = (id: string, arrangement: string) =>
    ({
      taxon: { id, genus: 'Ficta', epithet: id, calendar: {}, commonNames: [id] },
      scores: [
        {
          characterId: 'twig.arrangement',
          qualifiers: {},
          value: { kind: 'states', states: [{ state: arrangement, frequency: 'always' }] },
        },
      ],
    }) as unknown as ProfiledTaxon;
  const list = [tree('a', 'opposite'), tree('b', 'alternate')];
  const of = (state: string) => ({
    condition: { characterId: 'twig.arrangement', states: [state] },
    also: [],
  });
  const key: Key = {
    view: tableView(200),
    taxa: ['a', 'b'],
    root: {
      kind: 'couplet',
      share: 0,
      leads: [
        { ...of('opposite'), to: { kind: 'end', taxa: ['a'], share: 0 } },
        { ...of('alternate'), to: { kind: 'end', taxa: ['b'], share: 0 } },
      ],
    },
  };
  const right = Number(/(\d+) of 100 beginners/.exec(keyWorthInWords(key, list, BUILT_IN))![1]);
  expect(right).toBeGreaterThan(85);
  const wrong: Key = {
    ...key,
    root: {
      kind: 'couplet',
      share: 0,
      leads: [
        { ...of('opposite'), to: { kind: 'end', taxa: ['b'], share: 0 } },
        { ...of('alternate'), to: { kind: 'end', taxa: ['a'], share: 0 } },
      ],
    },
  };
  expect(Number(/(\d+) of 100/.exec(keyWorthInWords(wrong, list, BUILT_IN))![1])).toBeLessThan(15);
});

test('real twigs are called by their tags', () => {
  const tagged = table.map((each, i) => ({ ...each, tag: `T${10 * (i + 1)}` }));
  expect(calledAt(tagged, 2)).toBe('T30');
  expect(calledAt(table, 2)).toBe('3');
  expect(partingInWords(undefined, { specimens: [0, 1] }, words, tagged)).toContain(
    'all twigs of these trees',
  );
});
