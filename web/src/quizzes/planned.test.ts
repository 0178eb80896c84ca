import { freeTitle, stationOf, viewFor } from './planned.ts';

test('a new station looks like the one before it, and shows an individual of its own', () => {
  const first = stationOf('abies-grandis', 288);
  expect(first).toMatchObject({ taxonId: 'abies-grandis', medium: 'cutting', view: viewFor('cutting', 288) });
  const second = stationOf('acer-glabrum', 288, {
    ...first,
    medium: 'barkPiece',
    view: viewFor('barkPiece', 288),
    asks: ['bark.color'],
  });
  expect(second).toMatchObject({ medium: 'barkPiece', view: { organs: ['bark'] } });
  expect(second.asks).toBeUndefined();
  const seeds = Array.from({ length: 200 }, () => stationOf('x', 1).seed);
  expect(new Set(seeds).size).toBeGreaterThan(195);
  expect(seeds.every((seed) => Number.isInteger(seed) && seed >= 1 && seed < 2 ** 31)).toBe(true);
});
test('a title that another quiz has is not offered', () => {
  expect(freeTitle([])).toBe('Quiz 1');
  expect(freeTitle([{ title: 'Quiz 2' }])).toBe('Quiz 3');
  expect(freeTitle([{ title: 'Quiz 3' }, { title: 'Self-check' }])).toBe('Quiz 4');
});
