import type { Collecting, Item } from '@hurrow/contract/outings';
import { kindOf, viewOfKind } from '@hurrow/core/assembly';
import { newTree, type GroundTree } from '@hurrow/core/grounds';
import { listFor, piecesOf } from './pieces.ts';

const place = { latitude: 47.6, longitude: -116.4, elevation: 780 };
const tree = (id: string, more: Partial<GroundTree> = {}): GroundTree => ({
  ...newTree(id.toUpperCase(), 47.6, -116.4),
  id,
  taxonId: 'abies-alta',
  confirmedBy: 'Ada Quill',
  cutting: 'yes',
  height: 8,
  reach: { leaf: 'hand', twig: 'hand' },
  ...more,
});
const taxon = {
  id: 'abies-alta',
  rank: 'species' as const,
  genus: 'Abies',
  epithet: 'alta',
  family: 'Pinaceae',
  commonNames: ['high fir'],
  synonyms: [],
  calendar: {},
  cautions: [],
};
const collecting = (id: string, more: Partial<Collecting> = {}): Collecting => ({
  id,
  version: 1,
  groundsId: 'g',
  name: id,
  day: '2026-10-12',
  quizId: null,
  needs: [{ id: 'n', taxonId: 'abies-alta', kind: 'cutting', serves: '' }],
  chosen: {},
  pestHosts: false,
  items: [],
  ...more,
});
const item = (treeId: string, more: Partial<Item> = {}): Item => ({
  id: treeId,
  needId: 'n',
  treeId,
  cutAt: '2026-10-12T10:00:00Z',
  cutter: '',
  stored: '',
  goodUntil: '2026-10-30',
  spares: 0,
  confirmedBy: '',
  state: 'kept',
  note: '',
  trace: [],
  ...more,
});
const view = viewOfKind(kindOf('cutting')!, 288);
const asked = {
  stations: [
    { taxonId: 'abies-alta', medium: 'livingTree' as const, view: viewOfKind(kindOf('tree')!, 288) },
    { taxonId: 'abies-alta', medium: 'cutting' as const, view },
  ],
  heldOn: '2026-10-15',
  quizId: 'q2',
  lists: [] as Collecting[],
  quizzes: [
    { id: 'q1', title: 'Quiz 1', heldOn: '2026-09-20' },
    { id: 'q2', title: 'Quiz 2', heldOn: '2026-10-15' },
  ],
  trees: [tree('t1'), tree('t2', { confirmedBy: '' })],
  observations: [],
  list: [{ taxon, scores: [] }],
  reference: place,
  site: place,
};

test('a quiz is gathered by its own list, else by the latest one of the fortnight before it that is for no other', () => {
  const [own, other, late] = [
    collecting('own', { quizId: 'q2', day: '2026-09-01' }),
    collecting('other', { quizId: 'q1' }),
    collecting('late', { day: '2026-10-14' }),
  ];
  const free = collecting('free');
  const over = collecting('over', { day: '2026-09-01' });
  expect(listFor([free, own, other], 'q2', '2026-10-15')).toBe(own);
  expect(listFor([free, late, other, over], undefined, '2026-10-15')).toBe(late);
  expect(listFor([other, over], undefined, '2026-10-15')).toBeUndefined();
});

test('only what has to be cut needs a piece, and a tree that cannot give one is warned of at its station', () => {
  expect(piecesOf(asked)).toEqual({ needed: 1, had: 1, warnings: new Map() });
  const none = piecesOf({ ...asked, trees: [tree('t1', { cutting: 'no' })] });
  expect(none).toMatchObject({ needed: 1, had: 0 });
  expect(none.warnings.get(1)![0]).toMatch(/nothing may be cut from it\. Instead:/);
});

test('the tree that was chosen counts, and one that an earlier quiz showed is named', () => {
  const before = collecting('before', { quizId: 'q1', items: [item('t2', { state: 'used' })] });
  expect(piecesOf({ ...asked, lists: [before] }).warnings.size).toBe(0);
  const chosen = collecting('own', { quizId: 'q2', chosen: { n: 't2' } });
  expect(piecesOf({ ...asked, lists: [before, chosen] }).warnings.get(1)).toEqual([
    'T2 was shown in Quiz 1 as well: who remembers the tree need not look. T1 is another.',
  ]);
});

test('what has been cut for the list is held against the day of the quiz', () => {
  const own = collecting('own', { quizId: 'q2', items: [item('t1', { goodUntil: '2026-10-13' })] });
  expect(piecesOf({ ...asked, lists: [own] }).warnings.get(1)).toEqual([
    'What was cut from T1 keeps until 13 Oct only: cut another.',
  ]);
});
