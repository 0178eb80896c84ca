import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { changesDown } from './bulk.ts';

const tree = (id: string) =>
  ({ taxon: { id, genus: 'Ficta', epithet: id, commonNames: [id] }, scores: [] }) as unknown as ProfiledTaxon;
const rows = ['elm', 'oak', 'fir'].map(tree);
const down = (typed: Record<string, string>, held: string[] = []) =>
  changesDown(rows, typed, BUILT_IN.get('leaf.length')!, 'own', ({ taxon }) => held.includes(taxon.id));

test('only cells that were typed in are saved; an emptied one withdraws what is there', () => {
  expect(down({})).toEqual({ changes: [] });
  const read = down({ elm: '5–9 cm', oak: ' ', fir: '' }, ['oak']);
  expect('changes' in read && read.changes.map(({ taxonId, value }) => [taxonId, value?.kind])).toEqual([
    ['elm', 'range'],
    ['oak', undefined],
  ]);
});
test('one cell that cannot be read stops them all, and is named', () => {
  const read = down({ elm: '5–9 cm', oak: 'long' });
  expect(read).toEqual({ problem: expect.stringMatching(/^oak: /) as string });
});
