import { coverage, nearPlaces, piecesInWords, putInOrder, trustInWords } from './covering.ts';
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

test('how far an expectation can be trusted is said by the quizzes that were held', () => {
  const quiz = (title: string, expected: number, came: number) => ({ title, expected, came });
  expect(trustInWords([])).toBe('');
  expect(trustInWords([quiz('Quiz 1', 0.68, 0.64), quiz('Quiz 2', 0.7, 0.72)])).toBe(
    'Earlier quizzes, each expected from the others: Quiz 1 would have been 68 %, and came to 64; Quiz 2 70 %, and 72. Trust it within some five in a hundred.',
  );
  expect(trustInWords([quiz('Quiz 1', 0.8, 0.72)])).toMatch(/within some ten/);
  expect(trustInWords([quiz('Quiz 1', 0.8, 0.5)])).toMatch(
    /30 in a hundred off .* the order of the stations/,
  );
});

test.each([
  [1, 1, 'Its one piece can be had'],
  [1, 0, 'Its one piece cannot be had'],
  [5, 0, 'None of 5 pieces can be had'],
  [5, 3, '3 of 5 pieces can be had'],
  [5, 5, 'All 5 pieces can be had'],
])('of %i pieces %i: “%s”', (needed, had, words) => expect(piecesInWords(needed, had)).toBe(words));
