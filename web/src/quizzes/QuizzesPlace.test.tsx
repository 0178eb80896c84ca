import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz, QuizSummary } from '@hurrow/contract/quizzes';
import { Route, Routes } from 'react-router';
import { fireEvent, screen, shownOnPage, waitFor } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { course, USUAL } from '../testing/taught.ts';
import { PaperEntry } from './PaperEntry.tsx';
import QuizzesPlace from './QuizzesPlace.tsx';

const summary = (id: string, more: Partial<QuizSummary> = {}): QuizSummary => ({
  id,
  courseId: 'course',
  title: `Quiz ${id}`,
  heldOn: '2026-10-15',
  state: 'planned',
  released: false,
  releasedTo: [],
  regradeUntil: null,
  stations: 12,
  students: 0,
  ...more,
});
const student = (id: string) => ({ id, name: id, code: id, nameless: false, needs: [] });

function place(held: Partial<WholeCourse>, more: Answers = {}, courseId = 'course') {
  const server = standIn({ ...USUAL, 'GET /api/courses/{courseId}': course(held), ...more });
  const page = shownOnPage(
    <Routes>
      <Route path="/c/:courseId/quizzes/*" element={<QuizzesPlace courseId={courseId} />} />
    </Routes>,
    `/c/${courseId}/quizzes`,
  );
  return { server, page };
}
const cells = () =>
  [...document.querySelectorAll('tbody tr')].map((row) =>
    [...row.children].map(({ textContent }) => textContent),
  );

test('a quiz is listed with its day, how many answered and how it stands', async () => {
  place({
    students: [student('ava'), student('ben')],
    quizzes: [
      summary('1', { state: 'closed', students: 2, released: true }),
      summary('2', { state: 'open', students: 1, stations: 1 }),
      summary('3'),
    ],
  });
  await screen.findByRole('link', { name: 'Quiz 1' });
  expect(cells()).toEqual([
    ['Quiz 1', '15 Oct', '12', '2 of 2', 'closed, results released', 'marks'],
    ['Quiz 2', '15 Oct', '1', '1 of 2', 'open to students', 'marks'],
    ['Quiz 3', '15 Oct', '12', '0 of 2', 'planned', ''],
  ]);
});

test('a name leads to where its quiz stands: its plan, its running or its marks', async () => {
  place({ quizzes: [summary('1', { state: 'closed' }), summary('2', { state: 'open' }), summary('3')] });
  await screen.findByRole('link', { name: 'Quiz 1' });
  const to = (name: string) => screen.getByRole('link', { name }).getAttribute('href');
  expect(['Quiz 1', 'Quiz 2', 'Quiz 3'].map(to)).toEqual([
    '/c/course/quizzes/1/mark',
    '/c/course/quizzes/2/run',
    '/c/course/quizzes/3/plan',
  ]);
  expect(to('Marks of the term')).toBe('/c/course/quizzes/marks');
});

test('where there is none yet, it is said what one is, and the way to it stands there', async () => {
  const { page } = place({});
  expect(await screen.findByText(/^None yet\. Plan one/)).toBeTruthy();
  expect(screen.queryByRole('link', { name: 'Marks of the term' })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Plan a quiz' }));
  await waitFor(() => expect(page.address()).toBe('/c/course/quizzes/new'));
  expect(await screen.findByRole('heading', { name: 'A new quiz' })).toBeTruthy();
});

test('without a course, one is made first; a course that is closed to somebody says so', async () => {
  place({}, {}, '-');
  expect(screen.getByRole('link', { name: 'Make a course' }).getAttribute('href')).toBe('/c/-/course');
  document.body.innerHTML = '';
  place({}, { 'GET /api/courses/{courseId}': refusal('missing', 'There is no such course.') });
  expect((await screen.findByRole('alert')).textContent).toBe('There is no such course.');
});

describe('papers by keyboard', () => {
  const STORE = 'POST /api/quizzes/{quizId}/paper';
  const station = (id: string, position: number) =>
    ({
      id,
      position,
      taxonId: 'acer-rubrum',
      asks: [],
      wentBy: false,
      choose: false,
      offered: [],
      asking: null,
    }) as unknown as Quiz['stations'][0];
  const quiz = { id: 'q', title: 'Twigs', stations: [station('s1', 1), station('s2', 2)] } as Quiz;
  function typing(more: Answers = {}) {
    localStorage.clear();
    const server = standIn({ ...USUAL, [STORE]: { done: true } as never, ...more });
    let asked = 0;
    shownOnPage(
      <PaperEntry
        course={course({ students: [student('Ava'), student('Ben')] })}
        quiz={quiz}
        marks={undefined}
        onStored={async () => (asked += 1)}
      />,
    );
    return { server, asked: () => asked };
  }
  const paperOf = (id: string) =>
    fireEvent.change(screen.getByLabelText('Paper of'), { target: { value: id } });
  const fields = () => screen.getAllByRole('combobox').filter((field) => field.tagName === 'INPUT');
  const button = () => screen.getByRole('button', { name: 'Store this paper' }) as HTMLButtonElement;

  test('a paper is typed, stored line by line, and the next one is open', async () => {
    const { server, asked } = typing();
    paperOf('Ava');
    expect(button().disabled).toBe(true);
    const [genus, epithet] = fields();
    fireEvent.change(genus!, { target: { value: 'Acer' } });
    fireEvent.change(epithet!, { target: { value: 'rubrum' } });
    expect(screen.getByText('Station 1 is not stored yet.')).toBeTruthy();
    fireEvent.click(button());
    expect(await screen.findByText('The paper of Ava is stored.')).toBeTruthy();
    expect(server.sent(STORE)).toEqual([
      { studentId: 'Ava', stationId: 's1', answer: { genus: 'Acer', epithet: 'rubrum' } },
    ]);
    expect(asked()).toBe(1);
    expect((screen.getByLabelText('Paper of') as HTMLSelectElement).value).toBe('Ben');
  });
  test('half a paper stays its student’s while another is typed', () => {
    typing();
    paperOf('Ava');
    fireEvent.change(fields()[0]!, { target: { value: 'Acer' } });
    paperOf('Ben');
    expect((fields()[0] as HTMLInputElement).value).toBe('');
    expect(screen.getByRole('option', { name: 'Ava, not stored yet' })).toBeTruthy();
    paperOf('Ava');
    expect((fields()[0] as HTMLInputElement).value).toBe('Acer');
  });
  test('a paper that cannot be stored says why, and stands as it was typed', async () => {
    typing({ [STORE]: refusal('conflict', 'The marks are released.') });
    paperOf('Ava');
    fireEvent.change(fields()[0]!, { target: { value: 'Acer' } });
    fireEvent.click(button());
    expect((await screen.findByRole('alert')).textContent).toBe('The marks are released.');
    expect((fields()[0] as HTMLInputElement).value).toBe('Acer');
  });
});
