import { resolveName, type NamedTaxon } from '@hurrow/core/names';
import { randomFrom } from '@hurrow/core/random';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { agreementOf, manyTaxa, namesOffList, readingLists, writtenByHand } from './src/reading/agreement.ts';
import { nameTable, slipped } from './src/reading/nameTable.ts';

const { demo, second } = readingLists();

test.each([
  ['demo', demo],
  ['second flora', second],
])(
  'of the answers made from the %s, 98 in a hundred are read as meant, none as another tree, no other plant as any',
  (_, list) => {
    for (const seed of [11, 12]) {
      const { n, agree, wrongTaxa, accepted } = agreementOf(nameTable(list, seed), list);
      expect(n).toBeGreaterThan(400);
      expect(agree / n).toBeGreaterThanOrEqual(0.98);
      expect({ wrongTaxa, accepted }).toEqual({ wrongTaxa: [], accepted: [] });
    }
  },
);

test('of those written by hand likewise', () => {
  const rows = writtenByHand();
  expect(rows.length).toBeGreaterThanOrEqual(300);
  const { agree, wrongTaxa, accepted } = agreementOf(rows, demo);
  expect(agree / rows.length).toBeGreaterThanOrEqual(0.98);
  expect({ wrongTaxa, accepted }).toEqual({ wrongTaxa: [], accepted: [] });
});

test('one slip in a right name never names another tree, and loses the right one in fewer than one in a hundred', () => {
  const random = randomFrom(3);
  let lost = 0;
  for (let i = 0; i < 1000; i += 1) {
    const list = i % 2 ? demo : second;
    const taxon = random.pick(list);
    const name = random.uniform() < 0.5 ? scientificName(taxon) : commonName(taxon);
    const read = resolveName(slipped(name, random), list);
    expect(read.taxonId ?? taxon.id).toBe(taxon.id);
    if (!read.taxonId) lost += 1;
  }
  expect(lost).toBeLessThanOrEqual(10);
});

test.each<[string, readonly NamedTaxon[]]>([
  ['the second flora', second],
  ['a list of three hundred', manyTaxa(300)],
])('of two thousand names off the list, %s takes none, nor one slip of them', (_, list) => {
  const random = randomFrom(4);
  const off = namesOffList(list, 2000);
  expect(off).toHaveLength(2000);
  const taken = off.flatMap((name) =>
    [name, slipped(name, random)].flatMap((text) => {
      const read = resolveName(text, list);
      return read.taxonId === undefined ? [] : [`${text}: ${read.taxonId}`];
    }),
  );
  expect(taken).toEqual([]);
});
