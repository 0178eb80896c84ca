import { profiled } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { highs } from '../program/index.ts';
import {
  askedCandidates,
  askedKindOf,
  askedWentBy,
  assembleQuiz,
  kindOf,
  NOTHING_SO_FAR,
  usualWishes,
  viewOfKind,
  type AskedKind,
  type Candidate,
} from './index.ts';

const bud = (scales: string, hair: string, arrangement = 'alternate', zigzag = 'always') => ({
  'twig.arrangement': arrangement,
  'bud.scales': scales,
  'bud.hair': hair,
  'twig.zigzag': zigzag,
  'bud.stalked': 'never',
  'twig.pith': 'continuous',
  'leaf.leaflets': '5–7',
});
const LIST = [
  profiled('Aa', 'una', bud('naked', 'none')),
  profiled('Aa', 'bina', bud('two valvate', 'woolly', 'alternate', 'never')),
  profiled('Bb', 'una', bud('two valvate', 'none', 'opposite')),
];
const [una, bina, other] = LIST.map(({ taxon }) => taxon.id) as [string, string, string];
const DAY = 200;
const view = viewOfKind(kindOf('cutting')!, DAY);
const candidate = (taxonId: string, right: number, rivals: Candidate['rivals']): Candidate => ({
  id: `${taxonId} cutting`,
  taxonId,
  kind: 'cutting',
  view,
  right,
  beginner: 0.6,
  rivals,
  taken: rivals,
  tells: ['bud.hair', 'bud.scales'],
});
const table = [
  candidate(una, 0.7, [
    { taxonId: bina, share: 0.25 },
    { taxonId: other, share: 0.05 },
  ]),
  candidate(other, 1, []),
];
const ground = { list: LIST, vocabulary: BUILT_IN };
const asked = (kinds: AskedKind[], so = NOTHING_SO_FAR) => askedCandidates(table, kinds, ground, so);

test('of the rivals those of the same genus take nothing off a question for the genus', () => {
  const [first, second] = asked(['genus']);
  expect(first).toMatchObject({ id: `${una} cutting genus`, question: { kind: 'genus' } });
  expect(first!.right).toBeCloseTo(0.7 + 0.3 * (0.25 / 0.3));
  expect(first!.beginner).toBeGreaterThan(0.6);
  expect(second!.right).toBe(1);
  expect(first!.suits).toBeGreaterThan(second!.suits!);
});

test('a feature that may be passed over is asked for before others, and what is counted can be asked for without a rule', () => {
  const doubtful = { 'bud.hair': 0.02, 'twig.pith': 0.02, 'bud.scales': 1, 'twig.arrangement': 0.02 };
  const [state] = asked(['state'], { ...NOTHING_SO_FAR, doubtful });
  expect(state!.question).toEqual({ kind: 'state', characterId: 'bud.scales' });
  expect(state!.suits).toBe(1);
  expect(asked(['number'])[0]!.question).toEqual({ kind: 'number', characterId: 'leaf.leaflets' });
});

test('what settles it is asked against the tree that the class takes it for', () => {
  const mixed = asked(['settles'], { ...NOTHING_SO_FAR, mixedUp: [{ a: other, b: una }] });
  expect(mixed[0]).toMatchObject({ question: { kind: 'settles', from: other }, suits: 1 });
  expect(asked(['settles'])[0]).toMatchObject({ question: { kind: 'settles', from: bina } });
});

test('a name chosen of four is no harder than a written one; the name itself is no other question', () => {
  const [four] = asked(['choose', 'name']);
  expect(four).toMatchObject({ choose: true, right: 0.7 });
  expect([four!, table[0]!].map(askedKindOf)).toEqual(['choose', 'name']);
  expect(asked(['name'])).toEqual([]);
});

test('a quiz asks for as much of each as is wished, judged anew, and says where it cannot', async () => {
  const so = { ...NOTHING_SO_FAR, sets: [{ id: 's', title: 'S', taxa: [una, bina, other] }] };
  const asked = { name: { least: 0, most: 2 }, genus: { least: 1, most: 1 }, number: { least: 2, most: 2 } };
  const wishes = { ...usualWishes(2, so.sets), fair: 0.6, asked };
  const all = [...table, ...askedCandidates(table, ['genus'], ground, so)];
  const made = assembleQuiz(all, wishes, so, { ...ground, day: DAY }, await highs())!;
  expect(made.forms[0]!.stations.map(askedKindOf).sort()).toEqual(['genus', 'name']);
  const genus = made.forms[0]!.stations.find(({ question }) => question)!;
  expect(genus.right).toBeGreaterThan(0.9);
  expect(made.relaxed).toEqual([{ wish: 'asked', of: 'number', side: 'least', by: 2 }]);
});

test('what students went by is asked where most that is doubtful could tell, and never beside another question', () => {
  const tells = (ids: string[], more: Partial<Candidate> = {}) => ({ ...table[0]!, tells: ids, ...more });
  const stations = [tells(['known']), tells(['a', 'b', 'c'], { question: { kind: 'genus' } }), tells(['a'])];
  expect(askedWentBy(stations, { doubtful: { known: 0.01 } })).toEqual([false, false, true]);
  // Where it is above all to learn what they overlook, half of the stations ask.
  expect(askedWentBy(stations, { doubtful: { known: 0.01 } }, 0.7)).toEqual([true, false, true]);
});
