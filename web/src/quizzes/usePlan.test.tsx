import type { Quiz } from '@hurrow/contract/quizzes';
import { hookOnPage, screen } from '../testing/page.tsx';
import { refusal, standIn } from '../testing/server.ts';
import { course, USUAL } from '../testing/taught.ts';
import { stationOf } from './planned.ts';
import { usePlan } from './usePlan.ts';

const NEW = '/c/course/quizzes/new';
const planner = (quiz?: Quiz, at = NEW) => hookOnPage(() => usePlan(course(), quiz), at);
const treesOf = (page: ReturnType<typeof planner>) => page.now().stations.map(({ taxonId }) => taxonId);
const saved = {
  id: 'quiz',
  title: 'Twigs',
  heldOn: '2026-10-20',
  stations: ['acer-rubrum', 'betula-lenta'].map((taxonId, i) => ({
    ...stationOf(taxonId, 293),
    id: `s${i}`,
    asks: [],
  })),
} as unknown as Quiz;

beforeEach(() => localStorage.clear());

test('a new plan has a free title and no station, and is open at the one that is added last', async () => {
  standIn(USUAL);
  const page = planner();
  expect(page.now()).toMatchObject({ title: 'Quiz 1', stations: [], gathered: false, shown: -1 });
  await page.does(({ add }) => add('acer-rubrum'));
  await page.does(({ add }) => add('betula-lenta'));
  expect(treesOf(page)).toEqual(['acer-rubrum', 'betula-lenta']);
  expect(page.now()).toMatchObject({ open: 1, shown: 1 });
});

test('the address says which trees, on which day, and whether all are asked what they went by', () => {
  standIn(USUAL);
  const page = planner(undefined, `${NEW}?taxa=acer-rubrum,betula-lenta&on=2026-11-03&ask=all`);
  expect(treesOf(page)).toEqual(['acer-rubrum', 'betula-lenta']);
  expect(page.now()).toMatchObject({ heldOn: '2026-11-03', day: 307, gathered: true });
  expect(page.now().stations.every(({ wentBy }) => wentBy)).toBe(true);
});

test('a station is changed, moved with what is open, and the one shown is never past the last', async () => {
  standIn(USUAL);
  const page = planner(saved);
  await page.does(({ change }) => change(1, { choose: true }));
  await page.does(({ setOpen }) => setOpen(1));
  await page.does(({ move }) => move(1, -1));
  expect(treesOf(page)).toEqual(['betula-lenta', 'acer-rubrum']);
  expect(page.now().stations[0]).toMatchObject({ choose: true });
  expect(page.now().open).toBe(0);
  await page.does(({ setOpen }) => setOpen(1));
  await page.does(({ setStations, stations }) => setStations(stations.slice(0, 1)));
  expect(page.now().shown).toBe(0);
});

test('a new plan is saved under the course and goes on to be run, without a draft left behind', async () => {
  const server = standIn({ ...USUAL, 'POST /api/courses/{courseId}/quizzes': { id: 'made' } });
  const page = planner();
  await page.does(({ add }) => add('acer-rubrum'));
  await page.does(({ write }) => write({ title: 'First twigs' }));
  await page.does(({ savePlan }) => savePlan());
  expect(server.sent('POST /api/courses/{courseId}/quizzes')).toMatchObject([
    { title: 'First twigs', stations: [{ taxonId: 'acer-rubrum', medium: 'cutting' }] },
  ]);
  expect(page.address()).toBe('/c/course/quizzes/made/run');
  expect(localStorage).toHaveLength(0);
  expect(await screen.findByText('The plan is saved.')).toBeTruthy();
});

test('what is typed while a new plan is being saved stays in the plan that it became', async () => {
  standIn({ ...USUAL, 'POST /api/courses/{courseId}/quizzes': { id: 'made' } });
  const page = planner();
  await page.does(({ add }) => add('acer-rubrum'));
  await page.does(({ savePlan, write }) => {
    const saving = savePlan();
    write({ title: 'Another title' });
    return saving;
  });
  expect(page.address()).toBe('/c/course/quizzes/made/plan');
  page.leave();
  const again = planner({ ...saved, id: 'made' });
  expect(again.now().title).toBe('Another title');
  expect(again.now().broughtBack).toBeDefined();
});

test('a plan that is refused says why and keeps all', async () => {
  const server = standIn({
    ...USUAL,
    'PUT /api/quizzes/{quizId}': refusal('hasAnswers', 'It has answers by now.'),
  });
  const page = planner(saved);
  await page.does(({ write }) => write({ heldOn: '2026-10-21' }));
  await page.does(({ savePlan }) => savePlan());
  expect(page.now()).toMatchObject({ problem: 'It has answers by now.', heldOn: '2026-10-21' });
  expect(localStorage).toHaveLength(1);
  server.answer('PUT /api/quizzes/{quizId}', { ok: true } as never);
  await page.does(({ savePlan }) => savePlan());
  expect(page.now().problem).toBeUndefined();
  expect(page.address()).toBe(NEW);
  expect(localStorage).toHaveLength(0);
});

test('changes to a plan are given up, and a planned quiz is removed', async () => {
  const server = standIn({ ...USUAL, 'DELETE /api/quizzes/{quizId}': { ok: true } as never });
  const page = planner(saved);
  await page.does(({ write }) => write({ title: 'No' }));
  await page.does(({ giveUp }) => giveUp());
  expect(page.now().title).toBe('Twigs');
  await page.does(({ drop }) => drop());
  expect(server.asked.at(-1)).toMatchObject({ params: { quizId: 'quiz' } });
  expect(page.address()).toBe('/c/course/quizzes');
});
