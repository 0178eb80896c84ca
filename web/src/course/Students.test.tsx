import type { Student, WholeCourse } from '@hurrow/contract/courses';
import { fireEvent, screen, shownOnPage, waitFor } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { course, USUAL } from '../testing/taught.ts';
import { CopyCourse } from './CopyCourse.tsx';
import { Students } from './Students.tsx';

const rowan: Student = { id: 'rowan', name: 'Rowan Achterberg', code: 'K7Q2', nameless: false, needs: [] };
const nameless: Student = { id: 'gone', name: 'student 3', code: 'X', nameless: true, needs: [] };
const SESSION = USUAL['GET /api/session']!;

async function students(held: Student[], more: Answers = {}, role: WholeCourse['role'] = 'owner') {
  const server = standIn({
    ...USUAL,
    'GET /api/courses/{courseId}': course({ students: held, role }),
    'GET /api/session': { ...(SESSION as object), who: { id: 'ines', name: 'Ines', role } } as never,
    ...more,
  });
  shownOnPage(<Students course={course({ students: held, role })} />, '/c/course/course/students');
  await waitFor(() => expect(server.asked.length).toBeGreaterThan(0));
  return server;
}

test('a class list shows each code, and none for whom the name was taken away', async () => {
  await students([rowan, nameless]);
  expect(screen.getByText('K7Q2')).toBeTruthy();
  expect(screen.queryByText('X')).toBeNull();
  expect(screen.getAllByRole('button', { name: 'New code' })).toHaveLength(1);
});

test('a new code is said with the name, since the old one opens nothing any more', async () => {
  const server = await students([rowan], {
    'POST /api/courses/{courseId}/students/{studentId}/code': { code: 'M3ZZ' } as never,
  });
  fireEvent.click(screen.getByRole('button', { name: 'New code' }));
  expect(await screen.findByText(/^Rowan Achterberg now signs in with M3ZZ\./)).toBeTruthy();
  expect(server.asked.find(({ call }) => call.endsWith('/code'))).toMatchObject({
    params: { courseId: 'course', studentId: 'rowan' },
  });
});

test('whoever has answers is not taken off before it was said what becomes of them', async () => {
  const OFF = 'DELETE /api/courses/{courseId}/students/{studentId}';
  const server = await students([rowan], {
    [OFF]: refusal('hasAnswers', 'Rowan has 12 answers.'),
  });
  fireEvent.click(await screen.findByRole('button', { name: 'Take off the list' }));
  await waitFor(() => expect(server.asked.map(({ call }) => call)).toContain(OFF));
  expect(screen.queryByText('Rowan has 12 answers.')).toBeNull();
  await waitFor(() => expect(document.querySelectorAll('td[colspan="3"]')).toHaveLength(1));
});

test('an assistant renews codes, and takes nobody off the list', async () => {
  await students([rowan], {}, 'assistant');
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Take off the list' })).toBeNull());
  expect(screen.getByRole('button', { name: 'New code' })).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Import a class list' })).toBeNull();
});

test('slips are printed for the address that phones reach; this machine’s own is questioned', async () => {
  await students([rowan]);
  expect(screen.getByText(/Phones do not reach this address/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Address for phones'), {
    target: { value: 'http://trees.lan:4600' },
  });
  expect(screen.queryByText(/Phones do not reach this address/)).toBeNull();
  expect(screen.getByRole('link', { name: 'A4' }).getAttribute('href')).toBe(
    '/api/prints/slips.pdf?courseId=course&paper=a4&at=http%3A%2F%2Ftrees.lan%3A4600',
  );
});

const IMPORT = 'POST /api/courses/{courseId}/students/import';
const paste = (text: string) => fireEvent.change(screen.getByLabelText('Table'), { target: { value: text } });
const look = () => fireEvent.click(screen.getByRole('button', { name: 'See what it would do' }));
const take = () => screen.getByRole('button', { name: 'Import' }) as HTMLButtonElement;

test('an empty course begins with the import: what it would do is seen before it is done', async () => {
  const server = await students([], {
    [IMPORT]: { added: ['Rowan', 'Selma'], changed: [], refused: [], ignored: [] } as never,
  });
  await screen.findByLabelText('Table');
  expect(take().disabled).toBe(true);
  paste('name\nRowan\nSelma');
  look();
  await waitFor(() => expect(take().disabled).toBe(false));
  fireEvent.click(take());
  expect(await screen.findByText('2 students added.')).toBeTruthy();
  expect(server.sent(IMPORT)).toEqual([
    { csv: 'name\nRowan\nSelma', dryRun: true },
    { csv: 'name\nRowan\nSelma', dryRun: false },
  ]);
});

test('what was said of one table is not believed of another, and a refusal keeps what was pasted', async () => {
  const server = await students([], {
    [IMPORT]: { added: ['Rowan'], changed: [], refused: [], ignored: [] } as never,
  });
  await screen.findByLabelText('Table');
  paste('name\nRowan');
  look();
  await waitFor(() => expect(take().disabled).toBe(false));
  paste('name\nRowan\nSelma');
  expect(take().disabled).toBe(true);
  server.answer(IMPORT, refusal('invalid', 'No column is called name.'));
  look();
  expect((await screen.findByRole('alert')).textContent).toBe('No column is called name.');
  expect((screen.getByLabelText('Table') as HTMLTextAreaElement).value).toBe('name\nRowan\nSelma');
});

test('a course is copied for the next class under a name and a day of its own, a year on unless said otherwise', async () => {
  const COPY = 'POST /api/courses/{courseId}/copy';
  const server = standIn({ ...USUAL, [COPY]: { id: 'next' } });
  const page = shownOnPage(<CopyCourse course={course()} />, '/c/course/course/settings');
  expect((screen.getByLabelText('First day of the copy') as HTMLInputElement).value).toMatch(/^2027-09-0/);
  fireEvent.change(screen.getByLabelText('Name of the copy'), { target: { value: 'Trees in spring' } });
  fireEvent.change(screen.getByLabelText('First day of the copy'), { target: { value: '2027-03-01' } });
  fireEvent.click(screen.getByRole('button', { name: 'Copy the course' }));
  await waitFor(() => expect(page.address()).toBe('/c/next/course/term'));
  expect(server.sent(COPY)).toEqual([{ name: 'Trees in spring', startsOn: '2027-03-01' }]);
});
