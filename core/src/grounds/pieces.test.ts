import { keepingOf, pieceWarnings, type CollectingLine, type PieceAsked } from './index.ts';
import { kindOf } from '../assembly/index.ts';
import { inFull } from '../words/index.ts';

const hemlock = { genus: 'Tsuga', family: 'Pinaceae', cautions: [] };
const fir = { genus: 'Abies', family: 'Pinaceae', cautions: [] };
const source = (treeId: string, share = 1, reach: 'hand' | 'pole' | 'sprouts' = 'hand') => ({
  treeId,
  likely: { share, by: 'calendar' as const, ruledOut: false },
  reach,
});
const line = (more: Partial<CollectingLine> = {}, taxon = fir): CollectingLine => ({
  need: { id: 'station 1', taxonId: 'x', kind: 'cutting', serves: 'station 1' },
  source: source('t1'),
  others: [],
  refused: [],
  why: undefined,
  instead: [],
  amount: '',
  how: [],
  keeping: keepingOf(taxon, kindOf('cutting')!),
  goodUntil: '',
  cautions: [],
  ...more,
});
const said = (more: Partial<PieceAsked>) =>
  pieceWarnings({
    line: line(),
    heldOn: '2026-10-15',
    pieces: [],
    before: [],
    tagOf: (id) => id.toUpperCase(),
    ...more,
  }).map((each) => inFull(each));

test('of a piece that is there, in reach and keeps, nothing is said', () => {
  expect(said({})).toEqual([]);
  expect(said({ pieces: [{ treeId: 't1', goodUntil: '2026-10-15', there: true }] })).toEqual([]);
});

test('where nothing can be cut it is said why, and what can be shown instead', () => {
  const none = line({
    source: undefined,
    why: { words: 'The only tree: #.', put: [{ words: 'nothing may be cut from it' }] },
    instead: [{ kind: 'photo', words: { words: 'A photograph of it.' } }],
  });
  expect(said({ line: none })).toEqual([
    'The only tree: nothing may be cut from it. Instead: A photograph of it.',
  ]);
});

test('what may not be there, is out of reach or wilts soon is said, in this order', () => {
  const [rare, reach, wilts] = said({ line: line({ source: source('t1', 0.6, 'pole') }, hemlock) });
  expect(rare).toMatch(/may not be there that day: T1 has it in 6 of 10 years/);
  expect(reach).toMatch(/T1 is out of reach by hand: a pole pruner, helmet/);
  expect(wilts).toMatch(/keeps 2 days at most/);
  expect(said({ line: line({ source: source('t1', 1, 'sprouts') }) })[0]).toMatch(/only sprouts/);
});

test('a piece that is over by the day, or was lost, has to be cut anew', () => {
  expect(said({ pieces: [{ treeId: 't1', goodUntil: '2026-10-14', there: true }] })).toEqual([
    'What was cut from T1 keeps until 14 Oct only: cut another.',
  ]);
  expect(said({ pieces: [{ treeId: 't1', goodUntil: '2026-10-20', there: false }] })[0]).toMatch(
    /wilted or is lost/,
  );
});

test('the very tree that an earlier quiz showed is named, with another where there is one', () => {
  const before = [{ treeId: 't1', title: 'Quiz 2' }];
  const [alone] = said({ before });
  expect(alone).toBe('T1 was shown in Quiz 2 as well: who remembers the tree need not look.');
  expect(said({ before, line: line({ others: [source('t1'), source('t2')] }) })[0]).toMatch(
    / T2 is another\.$/,
  );
  expect(said({ before, pieces: [{ treeId: 't1', goodUntil: '2026-10-20', there: true }] })[0]).toMatch(
    /Quiz 2/,
  );
});
