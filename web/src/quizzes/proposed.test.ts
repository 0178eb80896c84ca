import { kindOf, viewOfKind, type Candidate, type ClassSoFar } from '@hurrow/core/assembly';
import { viewFor } from './planned.ts';
import {
  alternativesFor,
  askedBy,
  candidateOf,
  fairInWords,
  keptOut,
  madeByHand,
  planOf,
  plannedOf,
  repairInWords,
  usuallyWanted,
  wishesOf,
  withKind,
} from './proposed.ts';

const set = (id: string, week: number | null, taxa: string[]) => ({ id, title: id, week, taxa });
const sets = [set('one', 1, ['a', 'b']), set('two', 6, ['c', 'd', 'e']), set('none', 2, [])];
const term = { startsOn: '2026-08-31', heldOn: '2026-09-10' };
const candidate = (taxonId: string, kind = 'cutting', more: Partial<Candidate> = {}): Candidate => ({
  id: `${taxonId} ${kind}`,
  taxonId,
  kind,
  view: viewOfKind(kindOf(kind)!, 250),
  right: 0.95,
  beginner: 0.7,
  rivals: [],
  tells: [],
  taken: [],
  ...more,
});
const so: ClassSoFar = { sets, answered: {}, mixedUp: [], doubtful: {} };

test('what has been taught by the day is examined; before anything is, all of it', () => {
  expect(usuallyWanted(sets, term).sets).toEqual(['one']);
  expect(usuallyWanted(sets, { ...term, heldOn: '2026-10-20' }).sets).toEqual(['one', 'two']);
  expect(usuallyWanted([set('two', 6, ['c'])], term).sets).toEqual(['two']);
});

test('wishes name the sets and kinds that are wanted, and no more than there are stations', () => {
  const wanted = { ...usuallyWanted(sets, term), kinds: ['fruit', 'cutting'], mixedUp: 40, again: 40 };
  const wishes = wishesOf(wanted, sets, ['a cutting'], ['b']);
  expect(Object.keys(wishes.kinds)).toEqual(['fruit', 'cutting']);
  expect(Object.keys(wishes.sets)).toEqual(['one']);
  expect(wishes).toMatchObject({
    mixedUp: 10,
    again: { least: 10, most: 10 },
    pins: ['a cutting'],
    bans: ['b'],
  });
});

test('kinds are added in their usual order, and one is always left', () => {
  expect(withKind(['cutting', 'tree'], 'fruit')).toEqual(['cutting', 'fruit', 'tree']);
  expect(withKind(['cutting', 'tree'], 'tree')).toEqual(['cutting']);
  expect(withKind(['cutting'], 'cutting')).toEqual(['cutting']);
});

test('a planned station is known as the candidate that it was, until its view is changed', () => {
  const station = plannedOf(candidate('a', 'leafFruit'));
  expect(candidateOf(station)).toBe('a leafFruit');
  expect(candidateOf({ ...station, view: { ...station.view, organs: ['bark'] } })).toBeUndefined();
  expect(
    candidateOf({ taxonId: 'a', medium: 'cutting', view: viewFor('cutting', 250), seed: 1 }),
  ).toBeUndefined();
});

test('a proposal keeps what was asked at stations that stand already', () => {
  const before = [{ ...plannedOf(candidate('a')), asks: ['leaf.teeth'], seed: 7 }];
  const plan = planOf(
    {
      stations: [candidate('b'), candidate('a')],
      tooNear: [],
      expected: { mean: 0, spread: 0, reliability: 0 },
    },
    before,
    so,
  );
  expect(plan.map(({ taxonId }) => taxonId)).toEqual(['b', 'a']);
  expect(plan[1]).toBe(before[0]);
  expect(plan[0]!.wentBy).toBe(true);
});

test('what is asked for besides names is wished for by its number, never for more stations than there are', () => {
  const wanted = { ...usuallyWanted(sets, term, 4), asked: { choose: 3, genus: 0, state: 5 } };
  expect(wishesOf(wanted, sets, [], []).asked).toEqual({
    name: { least: 0, most: 4 },
    choose: { least: 3, most: 3 },
    state: { least: 1, most: 1 },
  });
});

test('a proposed question stands in the plan, and is known again as what was proposed', () => {
  const asked = candidate('a', 'cutting', { id: 'a cutting genus', question: { kind: 'genus' } });
  const four = candidate('b', 'cutting', { id: 'b cutting choose', choose: true });
  expect(plannedOf(asked).question).toEqual({ kind: 'genus' });
  expect(plannedOf(four).choose).toBe(true);
  expect([asked, four].map(plannedOf).map(candidateOf)).toEqual([asked.id, four.id]);
  expect(askedBy([asked.id, four.id, 'c cutting', 'd fruit genus'])).toEqual({ genus: 2, choose: 1 });
});

test('what was added or changed by hand since a proposal stays; before the first, nothing does', () => {
  const [a, b] = [plannedOf(candidate('a')), plannedOf(candidate('b'))];
  const seeds = new Set([a.seed, b.seed]);
  const changed = { ...b, view: { ...b.view, organs: ['bark' as const] } };
  const added = plannedOf(candidate('c'));
  expect(madeByHand([a, changed, added], seeds)).toEqual([changed, added]);
  expect(madeByHand([a, changed], undefined)).toEqual([]);
});

test('in the place of a station comes another view of the same tree first, then its set; nothing that is in the quiz', () => {
  const wanted = { ...usuallyWanted(sets, term), sets: ['one', 'two'] };
  const candidates = [
    candidate('c'),
    candidate('a', 'fruit'),
    candidate('b'),
    candidate('d'),
    candidate('e', 'cutting', { right: 0.6 }),
  ];
  const here = plannedOf(candidate('a'));
  const found = alternativesFor(here, [here, plannedOf(candidate('d'))], { candidates, so, wanted });
  expect(found.map(({ id }) => id)).toEqual(['a fruit', 'b cutting', 'c cutting']);
  const genus = candidate('b', 'cutting', { id: 'b cutting genus', question: { kind: 'genus' } });
  const instead = alternativesFor({ ...here, question: { kind: 'genus' } }, [here], {
    candidates: [...candidates, genus],
    so,
    wanted,
  });
  expect(instead.map(({ id }) => id)).toEqual(['b cutting genus']);
});

test('a repair is offered in words', () => {
  expect(repairInWords({ adds: 'organs', organs: ['twig', 'bud'], right: 1 })).toBe('Add the twig and buds');
  expect(repairInWords({ adds: 'aid', aid: 'lens', right: 1 })).toBe('Lay a lens beside it');
});

test('fairness is one sentence, and what was kept out is counted', () => {
  const nameOf = () => 'limber pine';
  expect(fairInWords({ right: 0.97, beginner: 1, rivals: [{ taxonId: 'x', share: 0.03 }] }, nameOf)).toBe(
    '97 of 100 careful readers can tell it; else limber pine.',
  );
  expect(fairInWords({ right: 0.999, beginner: 1, rivals: [] }, nameOf)).toBe(
    'Every careful reader can tell it.',
  );
  expect(keptOut({ 'a cutting': 'bare', 'b cutting': 'bare', 'c fruit': 'not there' })).toEqual([
    'cutting with leaves: 2 trees are mostly bare that day',
    'fruit or cone: one tree bears nothing of it that day',
  ]);
});
