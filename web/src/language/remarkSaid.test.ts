import { remarkSaid, remarksSaid } from './remarkSaid.ts';

test('remarks are said as the heart says them, the names in them as they are', () => {
  for (const remark of [
    'spelling: grandis',
    'that is Abies grandis',
    'that is beech, which is not on the list',
    'no answer',
    'a remark of nobody',
  ])
    expect(remarkSaid(remark)).toBe(remark);
  expect(
    remarksSaid([
      { part: 'epithet', remark: 'spelling: grandis' },
      { part: 'said', remark: 'not recognized' },
    ]),
  ).toBe('epithet: spelling: grandis; not recognized');
});
