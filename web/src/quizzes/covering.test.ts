import { coverage, nearPlaces, putInOrder } from './covering.ts';
import { viewFor } from './planned.ts';

const station = (taxonId: string) => ({
  taxonId,
  medium: 'cutting' as const,
  view: viewFor('cutting', 250),
  seed: 1,
});

test('sets are covered by stations and by trees; those after the last that is examined are left out', () => {
  const sets = [
    { id: '1', title: 'One', week: 1, taxa: ['a', 'b'] },
    { id: '2', title: 'Two', week: 2, taxa: ['c'] },
    { id: '3', title: 'Three', week: 3, taxa: ['d', 'e'] },
    { id: '4', title: 'Four', week: 4, taxa: ['f'] },
  ];
  expect(
    coverage(sets, ['a', 'a', 'd'].map(station)).map(({ title, count, shown }) => [title, count, shown]),
  ).toEqual([
    ['One', 2, 1],
    ['Two', 0, 0],
    ['Three', 1, 1],
  ]);
  expect(coverage(sets, [])).toEqual([]);
});

test('stations are put in an order in which none gives its neighbour away', () => {
  const stations = ['a', 'b', 'c', 'd', 'e', 'f', 'g'].map(station);
  const judged = stations.map(({ taxonId }) => ({
    right: 1,
    beginner: 1,
    rivals: taxonId === 'a' ? [{ taxonId: 'b', share: 0.3 }] : [],
  }));
  expect(nearPlaces(stations, judged)).toHaveLength(1);
  const ordered = putInOrder(stations, judged);
  expect(ordered.map(({ taxonId }) => taxonId).sort()).toEqual(['a', 'b', 'c', 'd', 'e', 'f', 'g']);
  const again = ordered.map(({ taxonId }) => judged[stations.findIndex((each) => each.taxonId === taxonId)]);
  expect(nearPlaces(ordered, again)).toEqual([]);
});

test('who gives another away next door is found round the circle', () => {
  const stations = ['a', 'b', 'c', 'd', 'e', 'f'].map(station);
  const judged = stations.map(({ taxonId }) => ({
    right: 1,
    beginner: 1,
    rivals: taxonId === 'a' ? [{ taxonId: 'f', share: 0.2 }] : [],
  }));
  expect(nearPlaces(stations, judged)).toEqual([[0, 5]]);
  expect(nearPlaces(stations, judged, [{ a: 'b', b: 'c' }])).toHaveLength(2);
});

test('a question that names two trees stands apart from both', () => {
  const stations = [
    { ...station('a'), question: { kind: 'settles' as const, from: 'b' } },
    ...['b', 'c', 'd', 'e', 'f', 'g'].map(station),
  ];
  const judged = stations.map(() => ({ right: 1, beginner: 1, rivals: [] }));
  expect(nearPlaces(stations, judged)).toEqual([[0, 1]]);
  expect(nearPlaces(putInOrder(stations, judged), judged)).toEqual([]);
});
