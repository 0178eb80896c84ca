import type { Quiz } from '@hurrow/contract/quizzes';
import { fireEvent, screen, shownOnPage, waitFor } from '../testing/page.tsx';
import { answer, marksOf } from '../testing/marked.ts';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { course, USUAL } from '../testing/taught.ts';
import { Rulings } from './Rulings.tsx';

const quiz = { id: 'q', title: 'Quiz', stations: [] } as unknown as Quiz;
const odd = answer('rowan', 's1', { genus: 'Swamp', epithet: 'thing', family: 'Aceraceae' });
const same = answer('selma', 's1', { genus: 'swamp', epithet: 'Thing' });
const other = answer('selma', 's2', { genus: 'Big', epithet: 'leaf' });
const ruledBy = (id: number, alone = false) => ({ id, by: 'Ines', at: '', reason: 'heard so', alone });
const RULE = 'POST /api/quizzes/{quizId}/rulings';
const BACK = 'DELETE /api/quizzes/{quizId}/rulings/{rulingId}';

function ruling(answers: Parameters<typeof marksOf>[0], more: Answers = {}) {
  const server = standIn({ ...USUAL, [RULE]: {} as never, [BACK]: {} as never, ...more });
  shownOnPage(<Rulings marks={marksOf(answers)} quiz={quiz} course={course()} />);
  return server;
}

test('an answer that nobody can read waits once for all who wrote it, and a ruling says what it counts as', async () => {
  const server = ruling([odd, same]);
  expect(screen.getByRole('heading', { name: '1 answer to rule on' })).toBeTruthy();
  expect(screen.getByText(/on 2 papers, station 1/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText('“Swamp thing” counts as'), { target: { value: 'saccharum' } });
  await waitFor(() =>
    expect(server.sent(RULE)).toEqual([
      { truth: 'rubrum', answer: { genus: 'Swamp', epithet: 'thing' }, countsAs: 'saccharum' },
    ]),
  );
});

test('the keyboard rules alone: 0 for no tree of the list, j and k go through what waits', async () => {
  const server = ruling([odd, other]);
  expect(screen.getByText(/^1 of 2/)).toBeTruthy();
  fireEvent.keyDown(document.body, { key: 'j' });
  expect(screen.getByText(/^2 of 2/)).toBeTruthy();
  fireEvent.keyDown(document.body, { key: 'j' });
  expect(screen.getByText(/^1 of 2/)).toBeTruthy();
  fireEvent.keyDown(document.body, { key: '0' });
  await waitFor(() => expect(server.sent(RULE)).toMatchObject([{ countsAs: null }]));
});

test('what is ruled is told with by whom and why, and is taken back; u takes back the newest', async () => {
  const ruled = { ...odd, ruling: ruledBy(4) };
  const alone = { ...other, ruling: ruledBy(9, true) };
  const server = ruling([ruled, alone, answer('selma', 's1', { genus: 'Odd', epithet: 'one' })]);
  expect(screen.getByText(/“Swamp thing” for/).textContent).toMatch(
    /\(1 paper\).*by ruling of Ines: heard so\./,
  );
  expect(screen.getByText(/“Big leaf” for/).textContent).toMatch(/of Selma/);
  fireEvent.keyDown(document.body, { key: 'u' });
  const takenBack = () =>
    server.asked.filter(({ call }) => call === BACK).map(({ params }) => params['rulingId']);
  await waitFor(() => expect(takenBack()).toEqual(['9']));
  fireEvent.click(screen.getAllByRole('button', { name: 'Take the ruling back' })[0]!);
  await waitFor(() => expect(takenBack()).toHaveLength(2));
});

test('a name that another tree bears is asked about, and said yes to or left', async () => {
  const server = ruling([odd], {
    [RULE]: refusal('sharedName', 'Sugar maple is called so in this course. Shall it count for both?'),
  });
  fireEvent.keyDown(document.body, { key: '0' });
  expect(await screen.findByText(/Shall it count for both\?/)).toBeTruthy();
  server.answer(RULE, {} as never);
  const yes = screen.getAllByRole('button').find(({ textContent }) => /both/i.test(textContent ?? ''))!;
  fireEvent.click(yes);
  await waitFor(() => expect(server.sent(RULE).at(-1)).toMatchObject({ both: true }));
});

test('a ruling that is refused says why', async () => {
  ruling([odd], { [RULE]: refusal('conflict', 'The marks are given out.') });
  fireEvent.keyDown(document.body, { key: '0' });
  expect((await screen.findByRole('alert')).textContent).toBe('The marks are given out.');
});

test('where nothing waits and nothing was ruled, nothing is shown', () => {
  ruling([answer('rowan', 's1', { genus: 'Acer', epithet: 'rubrum' })]);
  expect(screen.queryByRole('heading')).toBeNull();
});
