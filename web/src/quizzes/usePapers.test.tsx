import type { Quiz } from '@hurrow/contract/quizzes';
import { hookOnPage } from '../testing/page.tsx';
import { refusal, standIn, type Asked } from '../testing/server.ts';
import { course, USUAL } from '../testing/taught.ts';
import { linesOf } from './paper.ts';
import { useOnePaper, usePapers } from './usePapers.ts';

const quiz = {
  id: 'quiz',
  title: 'Twigs',
  stations: [
    { id: 's1', position: 1 },
    { id: 's2', position: 2 },
  ],
} as Quiz;
const students = ['ava', 'ben'].map((id) => ({ id, name: id, code: id, nameless: false, needs: [] }));
const STORE = 'POST /api/quizzes/{quizId}/paper';
const ELM = { name: 'elm' };
const OAK = { name: 'oak' };

function typing(onStored: () => Promise<unknown> = async () => undefined) {
  const server = standIn({ ...USUAL, [STORE]: { ok: true } as never });
  const page = hookOnPage(() => {
    const papers = usePapers(quiz, onStored);
    return { papers, one: useOnePaper(course({ students }), quiz, papers) };
  });
  const submit = () =>
    page.does(({ one }) => one.submit({ preventDefault: () => undefined } as React.FormEvent));
  return { server, page, submit };
}

beforeEach(() => localStorage.clear());

test('lines are stored one by one, and leave the paper only when what is stored stands behind them', async () => {
  const seen: unknown[] = [];
  const { server, page } = typing(async () => seen.push(server.sent(STORE).length));
  await page.does(({ papers }) => papers.type('ava', 's1', ELM));
  await page.does(({ papers }) => papers.type('ava', 's2', OAK));
  await page.does(({ papers }) => papers.store(linesOf(papers.papers, {})));
  expect(server.sent(STORE)).toEqual([
    { studentId: 'ava', stationId: 's1', answer: ELM },
    { studentId: 'ava', stationId: 's2', answer: OAK },
  ]);
  expect(seen).toEqual([2]);
  expect(linesOf(page.now().papers.papers, {})).toEqual([]);
});

test('where one line is refused, those before it are stored, and it stays with all behind it', async () => {
  const { server, page } = typing();
  server.answer(STORE, ({ body }: Asked) =>
    (body as { stationId: string }).stationId === 's2'
      ? refusal('conflict', 'Station 2 is voided.')
      : ({} as never),
  );
  await page.does(({ papers }) => papers.type('ava', 's1', ELM));
  await page.does(({ papers }) => papers.type('ava', 's2', OAK));
  let done = false;
  await page.does(({ papers }) => papers.store(linesOf(papers.papers, {}), () => (done = true)));
  expect(page.now().papers.problem).toBe('Station 2 is voided.');
  expect(linesOf(page.now().papers.papers, {})).toEqual([{ studentId: 'ava', stationId: 's2', answer: OAK }]);
  expect(done).toBe(false);
});

test('a paper half typed outlives the page', async () => {
  const { page } = typing();
  await page.does(({ papers }) => papers.type('ben', 's1', ELM));
  page.leave();
  expect(linesOf(typing().page.now().papers.papers, { studentId: 'ben' })).toHaveLength(1);
});

test('after a paper is stored the next one is open, after the last none', async () => {
  const { page, submit } = typing();
  for (const [id, next] of [
    ['ava', 'ben'],
    ['ben', ''],
  ] as const) {
    await page.does(({ one }) => one.choose(id));
    await page.does(({ papers }) => papers.type(id, 's1', ELM));
    await submit();
    expect(page.now().one).toMatchObject({ studentId: next, last: id });
  }
});

test('a word that is typed while its paper is stored keeps the paper open', async () => {
  const { page } = typing(async () => {
    page.now().papers.type('ava', 's2', OAK);
  });
  await page.does(({ one }) => one.choose('ava'));
  await page.does(({ papers }) => papers.type('ava', 's1', ELM));
  await page.does(({ one }) => one.submit({ preventDefault: () => undefined } as React.FormEvent));
  expect(page.now().one).toMatchObject({ studentId: 'ava', last: '' });
  expect(linesOf(page.now().papers.papers, {})).toEqual([{ studentId: 'ava', stationId: 's2', answer: OAK }]);
});
