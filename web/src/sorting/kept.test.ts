import { sortPile } from '@hurrow/core/sorting';
import { freshTable, keptTable, sortDepth, sortSaid, withPiles } from './kept.ts';

const taxa = ['a', 'b'];
const from = { taxa };

test('a table is kept as it stands, for the trees that it was laid from', () => {
  const table = freshTable(from, 200, 0.5);
  expect(table.piles.specimens).toHaveLength(12);
  expect(keptTable(JSON.stringify(table), from)).toEqual(table);
  expect(keptTable(JSON.stringify(table), { taxa: ['a'] })).toBeUndefined();
  expect(keptTable('{', from)).toBeUndefined();
  expect(keptTable(null, from)).toBeUndefined();
});

test('tables differ, and every seed can be drawn from', () => {
  expect(freshTable(from, 200, 0).seed).toBe(1);
  expect(freshTable(from, 200, 0.999999).seed + 12).toBeLessThan(2 ** 31);
  expect(freshTable(from, 200).id).not.toBe(freshTable(from, 200).id);
});

test('what was said of a pile goes with it', () => {
  const table = freshTable(from, 200);
  const first = sortPile(table.piles, [0, 1, 2]);
  const deeper = { ...first, into: [sortPile(first.into![0], [0]), first.into![1]] as const };
  const said = { '': 1, '0': 2 };
  expect(withPiles({ ...table, said }, deeper).said).toEqual(said);
  expect(withPiles({ ...table, said }, first).said).toEqual({ '': 1 });
  expect(withPiles({ ...table, said }, table.piles).said).toEqual({});
});

test('how far a table is sorted is said', () => {
  const { piles } = freshTable(from, 200);
  expect(sortSaid(sortDepth(piles))).toBe('not sorted');
  const first = sortPile(piles, [0, 1, 2]);
  expect(sortSaid(sortDepth(first))).toBe('sorted once, into 2 piles');
  const deeper = { ...first, into: [sortPile(first.into![0], [0]), first.into![1]] as const };
  expect(sortSaid(sortDepth(deeper))).toBe('sorted twice, into 3 piles');
});

test('real twigs are as many as there are, and another bag is another table', () => {
  const real = ['7', '8', '9'].map((tag, i) => ({ tag, taxonId: taxa[i % 2]! }));
  const table = freshTable({ taxa, real }, 200);
  expect(table.piles.specimens).toEqual([0, 1, 2]);
  const text = JSON.stringify(table);
  expect(keptTable(text, { taxa, real })).toEqual(table);
  expect(keptTable(text, { taxa, real: real.slice(1) })).toBeUndefined();
  expect(keptTable(text, from)).toBeUndefined();
});
