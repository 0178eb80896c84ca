import type { WholeCourse } from '@hurrow/contract/courses';
import { fireEvent, screen, shownOnPage, waitFor } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { course, USUAL } from '../testing/taught.ts';
import Settings from './Settings.tsx';

const SAVE = 'PUT /api/courses/{courseId}';
const MAKE = 'POST /api/courses';

async function settings(held: WholeCourse | undefined, more: Answers = {}) {
  const server = standIn({
    ...USUAL,
    'GET /api/courses/{courseId}': held ?? course(),
    'GET /api/courses/{courseId}/staff': [],
    'GET /api/library/ranges': { ranges: [] } as never,
    'GET /api/keeping': { months: null } as never,
    ...more,
  });
  const page = shownOnPage(<Settings course={held} />, held ? '/c/course/course/settings' : '/c/-/course');
  await screen.findByRole('button', { name: held ? 'Save settings' : 'Make the course' });
  return { server, page };
}
const name = () => screen.getAllByRole('textbox')[0] as HTMLInputElement;

beforeEach(() => localStorage.clear());

test('settings stand as they are stored, and what was changed is saved with all the others', async () => {
  const { server } = await settings(course({ opens: ['profiles'], closedWeeks: [4] }), {
    [SAVE]: { done: true },
  });
  fireEvent.click(screen.getByRole('checkbox', { name: /practice on the phone/ }));
  fireEvent.click(screen.getByRole('button', { name: 'Save settings' }));
  expect(await screen.findByText('The settings are saved.')).toBeTruthy();
  expect(server.sent(SAVE)).toMatchObject([
    {
      name: 'Trees in autumn',
      opens: ['profiles', 'practice'],
      closedWeeks: [4],
      latitude: 47.6,
      longitude: -116.4,
      elevation: 780,
    },
  ]);
  expect(localStorage).toHaveLength(0);
});

test('a class may be taught in German, and what is in German then is said', async () => {
  const { server } = await settings(course(), { [SAVE]: { done: true } });
  expect(screen.queryByText(/Lessons on trees, their slides/)).toBeNull();
  fireEvent.change(screen.getByLabelText('Common names are in'), { target: { value: 'de' } });
  expect(
    screen.getByText(/Lessons on trees, their slides and handouts, and the glossary are in German/),
  ).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Save settings' }));
  await screen.findByText('The settings are saved.');
  expect(server.sent(SAVE)).toMatchObject([{ namesIn: 'de' }]);
});

test('a place that cannot be read is said before anything is sent, and stays as it was typed', async () => {
  const { server } = await settings(course());
  fireEvent.change(screen.getByLabelText('Latitude'), { target: { value: 'north' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save settings' }));
  expect(await screen.findByRole('alert')).toBeTruthy();
  expect(server.sent(SAVE)).toEqual([]);
  expect((screen.getByLabelText('Latitude') as HTMLInputElement).value).toBe('north');
});

test('settings that are refused stay, are brought back after a reload, and can be given up', async () => {
  const { page } = await settings(course(), { [SAVE]: refusal('invalid', '“Weeks” must be at most 60.') });
  fireEvent.change(name(), { target: { value: 'Trees in winter' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save settings' }));
  expect((await screen.findByRole('alert')).textContent).toBe('“Weeks” must be at most 60.');
  page.leave();
  await settings(course());
  expect(screen.getByText(/were not saved; here they are again/)).toBeTruthy();
  const [, again] = [null, name()];
  expect(again.value).toBe('Trees in winter');
  fireEvent.click(screen.getAllByRole('button', { name: 'Give them up' })[0]!);
  expect(name().value).toBe('Trees in autumn');
});

test('a new course begins today where the library is noted, and opens on its term', async () => {
  const { server, page } = await settings(undefined, { [MAKE]: { id: 'made' } as never });
  fireEvent.change(name(), { target: { value: 'Trees in spring' } });
  fireEvent.click(screen.getByRole('button', { name: 'Make the course' }));
  await waitFor(() => expect(page.address()).toBe('/c/made/course/term'));
  expect(server.sent(MAKE)).toMatchObject([
    { name: 'Trees in spring', startsOn: '2026-10-15', latitude: 47.6, elevation: 780, opens: [] },
  ]);
});

test('one press says whom a new course is for, and keeps the name that was typed', async () => {
  const { server } = await settings(undefined, { [MAKE]: { id: 'made' } as never });
  fireEvent.change(name(), { target: { value: 'For teachers' } });
  const presets = screen
    .getAllByRole('button')
    .filter(({ textContent }) => !/course|map|stand/i.test(textContent ?? ''));
  fireEvent.click(presets[0]!);
  fireEvent.click(screen.getByRole('button', { name: 'Make the course' }));
  await waitFor(() => expect(server.sent(MAKE)).toHaveLength(1));
  expect(server.sent(MAKE)).toMatchObject([{ name: 'For teachers' }]);
});
