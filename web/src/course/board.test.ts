import {
  arcsOf,
  BOARD,
  lookalikesOf,
  movedTo,
  placesOf,
  planOf,
  reordered,
  setsOfPlan,
  shifted,
  titleFrom,
} from './board.ts';

const sets = [
  { id: 'one', title: 'Firs', week: 1, taxa: ['grand', 'subalpine'] },
  { title: 'Larch', week: 3, taxa: ['western'] },
];

test('a tree is put into the last set of a week, or into a new set in the order of the weeks', () => {
  expect(movedTo(sets, 'grand', 3, 'New')[1]!.taxa).toEqual(['western', 'grand']);
  expect(movedTo(sets, 'grand', 2, 'New').map(({ title }) => title)).toEqual(['Firs', 'New', 'Larch']);
});
test('a set that was never stored goes with its last tree; a stored one stays, for its lesson', () => {
  expect(movedTo(sets, 'western', 1, 'New')).toHaveLength(1);
  const emptied = movedTo(movedTo(sets, 'grand', 3, ''), 'subalpine', 3, '');
  expect(emptied.map(({ taxa }) => taxa.length)).toEqual([0, 3]);
});
test('by keys a tree goes a week on or back, and not out of the term', () => {
  expect(planOf(shifted(sets, 'western', 1, 4, ''))['western']).toBe(4);
  expect(shifted(sets, 'grand', -1, 4, '')).toEqual(sets);
  const unplaced = [{ title: 'Later', week: null, taxa: ['oak'] }];
  expect(planOf(shifted(unplaced, 'oak', 1, 4, ''))).toEqual({ oak: 1 });
  expect(reordered(sets, 'subalpine', -1)[0]!.taxa).toEqual(['subalpine', 'grand']);
});
test('a proposal keeps the sets it goes on with, their titles where most of them is left', () => {
  const plan = { grand: 1, subalpine: 1, western: 2, oak: 2, elm: 2 };
  const made = setsOfPlan(plan, sets, ['grand', 'subalpine', 'western', 'oak', 'elm'], () => 'Made up');
  expect(made).toEqual([
    { id: 'one', title: 'Firs', week: 1, taxa: ['grand', 'subalpine'] },
    { title: 'Made up', week: 2, taxa: ['western', 'oak', 'elm'] },
  ]);
});
test.each([
  [['western larch', 'alpine larch', 'Engelmann spruce'], 'Larches and spruce'],
  [['grand fir', 'paper birch', 'bitter cherry', 'chokecherry'], 'Fir, birch and others'],
  [['bitter cherry', 'wild cherry'], 'Cherries'],
])('%j are titled %s', (names, title) => expect(titleFrom(names)).toBe(title));

test('an arc joins hard lookalikes, and the easier ones while they are looked at', () => {
  const prospects = {
    taxa: ['grand', 'subalpine', 'western'],
    lookalikes: [
      { a: 0, b: 1, error: 0.3 },
      { a: 0, b: 2, error: 0.1 },
    ],
  };
  const places = placesOf(sets, 4);
  expect(places[2]).toMatchObject({ taxonId: 'western', x: 2.5 * BOARD.column });
  expect(arcsOf(places, prospects, undefined)).toMatchObject([{ a: 'grand', b: 'subalpine', across: false }]);
  expect(arcsOf(places, prospects, 'western')).toHaveLength(2);
  expect(arcsOf(places, prospects, 'western')[1]!.across).toBe(true);
});

test('the lookalikes of a tree are the others of its pairs; of none looked at there are none', () => {
  const prospects = {
    taxa: ['grand', 'subalpine', 'western'],
    lookalikes: [
      { a: 0, b: 1, error: 0.3 },
      { a: 1, b: 2, error: 0.1 },
    ],
  } as never;
  expect([...lookalikesOf('subalpine', prospects)].sort()).toEqual(['grand', 'western']);
  expect([...lookalikesOf('western', prospects)]).toEqual(['subalpine']);
  expect(lookalikesOf(undefined, prospects).size).toBe(0);
  expect(lookalikesOf('western', undefined).size).toBe(0);
});
