import type { QuizProposed } from '@hurrow/contract/assembly';
import { kindOf, viewOfKind, type Candidate } from '@hurrow/core/assembly';
import { hookOnPage } from '../testing/page.tsx';
import { refusal, standIn } from '../testing/server.ts';
import { course, USUAL } from '../testing/taught.ts';
import { usePlan } from './usePlan.ts';
import { useProposal } from './useProposal.ts';

const candidate = (taxonId: string, kind = 'cutting'): Candidate => ({
  id: `${taxonId} ${kind}`,
  taxonId,
  kind,
  view: viewOfKind(kindOf(kind)!, 288),
  right: 0.97,
  beginner: 0.8,
  rivals: [],
  taken: [],
  tells: [],
});
const expected = { mean: 1, sd: 0.5, from: 0, to: 2 } as unknown as QuizProposed['forms'][0]['expected'];
const answerOf = (...forms: Candidate[][]): QuizProposed => ({
  forms: forms.map((stations) => ({ stations, tooNear: [], expected })),
  relaxed: [],
  worth: 1,
  bound: 1,
  candidates: forms.flat(),
  notPossible: {},
  so: { sets: course().sets, answered: {}, mixedUp: [], doubtful: {} },
});
const [red, sugar, birch] = ['acer-rubrum', 'acer-saccharum', 'betula-lenta'].map((id) => candidate(id));
const PROPOSE = 'POST /api/courses/{courseId}/quiz-proposal';

function proposing(at = '/c/course/quizzes/new') {
  const server = standIn({ ...USUAL, [PROPOSE]: answerOf([red!, birch!]) });
  const held = course();
  const page = hookOnPage(() => {
    const plan = usePlan(held, undefined);
    return { plan, proposal: useProposal(held, plan) };
  }, at);
  const trees = () => page.now().plan.stations.map(({ taxonId }) => taxonId);
  const wishes = (n = 0) =>
    (server.sent(PROPOSE)[n] as { wishes: { stations: number; pins: string[]; bans: string[] } }).wishes;
  return { server, page, trees, wishes };
}

beforeEach(() => localStorage.clear());

test('what is usually wanted is asked for, and what comes stands in the plan, closed', async () => {
  const { page, trees, wishes } = proposing();
  await page.does(({ plan }) => plan.write({ heldOn: '2026-10-15' }));
  await page.does(({ proposal }) => proposal.propose());
  expect(wishes()).toMatchObject({ stations: 10, pins: [], bans: [] });
  expect(trees()).toEqual(['acer-rubrum', 'betula-lenta']);
  expect(page.now().plan.open).toBe(-1);
  expect(page.now().proposal).toMatchObject({ keeps: true, takeBack: undefined });
});

test('what stood there before the proposal can be put back', async () => {
  const { page, trees } = proposing();
  await page.does(({ plan }) => plan.add('acer-saccharum'));
  await page.does(({ proposal }) => proposal.propose());
  expect(trees()).toEqual(['acer-rubrum', 'betula-lenta']);
  await page.does(({ proposal }) => proposal.takeBack!());
  expect(trees()).toEqual(['acer-saccharum']);
  expect(page.now().proposal).toMatchObject({ keeps: false, proposed: undefined });
});

test('a station added by hand after a proposal stays in the next one, and its tree is not proposed beside it', async () => {
  const { server, page, trees, wishes } = proposing();
  await page.does(({ proposal }) => proposal.propose());
  await page.does(({ plan }) => plan.add('acer-saccharum'));
  server.answer(PROPOSE, answerOf([birch!]));
  await page.does(({ proposal }) => proposal.propose());
  expect(wishes(1)).toMatchObject({ stations: 9, bans: ['acer-saccharum'] });
  expect(trees()).toEqual(['betula-lenta', 'acer-saccharum']);
});

test('pieces that were gathered stay from the first proposal on', async () => {
  const { page, trees, wishes } = proposing('/c/course/quizzes/new?taxa=acer-saccharum');
  await page.does(({ proposal }) => proposal.propose());
  expect(wishes()).toMatchObject({ bans: ['acer-saccharum'] });
  expect(trees()).toEqual(['acer-rubrum', 'betula-lenta', 'acer-saccharum']);
});

test('a kept station is sent as settled as long as it stands; one taken out is not proposed again until all are allowed', async () => {
  const { page, wishes } = proposing();
  await page.does(({ proposal }) => proposal.propose());
  await page.does(({ proposal }) => proposal.pin('acer-rubrum cutting'));
  expect(page.now().proposal.pins).toEqual(['acer-rubrum cutting']);
  await page.does(({ proposal }) => proposal.ban('betula-lenta'));
  await page.does(({ proposal }) => proposal.propose());
  expect(wishes(1)).toMatchObject({ pins: ['acer-rubrum cutting'], bans: ['betula-lenta'] });
  await page.does(({ plan }) => plan.setStations([]));
  expect(page.now().proposal.pins).toEqual([]);
  await page.does(({ proposal }) => proposal.allowAll());
  await page.does(({ proposal }) => proposal.propose());
  expect(wishes(2)).toMatchObject({ pins: [], bans: [] });
});

test('a proposal that cannot be had says why and leaves the plan as it was', async () => {
  const { server, page, trees } = proposing();
  await page.does(({ plan }) => plan.add('acer-saccharum'));
  server.answer(PROPOSE, refusal('invalid', 'Choose at least one set to examine.'));
  await page.does(({ proposal }) => proposal.propose());
  expect(page.now().proposal).toMatchObject({ problem: 'Choose at least one set to examine.', keeps: false });
  expect(trees()).toEqual(['acer-saccharum']);
});

test('a second form asks for two, alike in number, and is saved as a quiz of its own', async () => {
  const { server, page } = proposing();
  server.answer('POST /api/courses/{courseId}/quizzes', { id: 'second' });
  await page.does(({ proposal }) => proposal.propose());
  server.answer(PROPOSE, answerOf([red!, birch!], [sugar!, birch!]));
  await page.does(async ({ proposal }) => {
    expect(await proposal.second()).toMatchObject({ id: 'second', wishes: { stations: 2 } });
  });
  expect(server.sent(PROPOSE)[1]).toMatchObject({ forms: 2, wishes: { stations: 2 } });
  expect(server.sent('POST /api/courses/{courseId}/quizzes')).toMatchObject([
    { title: 'Quiz 1, second form', stations: [{ taxonId: 'acer-saccharum' }, { taxonId: 'betula-lenta' }] },
  ]);
});
