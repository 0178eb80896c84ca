import { BUILT_IN } from '@hurrow/core/vocabulary';
import { sortPile, waysOf, type OnTable } from '@hurrow/core/sorting';
import { openPiles, partingInWords, pileAt, pileInWords, together } from './table.ts';

const onTable = (known: OnTable['known']): OnTable => ({
  taxonId: 'x',
  traits: {} as OnTable['traits'],
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
  expect(partingInWords(best, sorted, words)).toBe('What parts them: leaves and buds on the twig.');
  expect(pileInWords(best!, 0, words)).toBe('leaves and buds on the twig: in pairs across');
  expect(pileInWords(best!, 1, words)).toBe('leaves and buds on the twig: one at a time, by turns');
  const slipped = sortPile(whole, [0, 1, 2, 5]);
  expect(partingInWords(waysOf(slipped, table, BUILT_IN)[0], slipped, words)).toContain('only no. 6 lies');
});
test('where nothing parts them, the class is asked what it went by', () => {
  expect(partingInWords(undefined, whole, words)).toContain('What did you go by?');
  expect(waysOf(whole, table, BUILT_IN)).toEqual([]);
});
