import type { Account } from '@hurrow/contract/accounts';
import type { Backup, Backups as Held } from '@hurrow/contract/backups';
import type { Role } from '@hurrow/contract/endpoint';
import { fireEvent, screen, shownOnPage, waitFor, within } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import PeoplePage from './PeoplePage.tsx';

const tomas: Account = {
  id: 't',
  name: 'Tomas',
  email: 'tomas@college.example',
  role: 'assistant',
  left: false,
};
const owner: Account = { ...tomas, id: 'o', name: 'Ines', email: 'ines@college.example', role: 'owner' };
const backup: Backup = {
  name: 'hurrow-1',
  bytes: 2_500_000,
  made: '2026-10-15T06:00:00Z',
  library: 'Our library',
  holds: { species: 42, courses: 2, students: 36, answers: 1352, photographs: 2 },
  courses: [{ name: 'Trees', students: 1, quizzes: 2, answers: 480 }],
  newestAnswer: '2026-10-14T16:00:00Z',
};
const backups = (more: Partial<Held> = {}): Held => ({
  shelf: '/data/backups',
  days: 30,
  backups: [backup],
  ...more,
});

function people(role: Role = 'owner', more: Answers = {}) {
  const server = standIn({
    'GET /api/accounts': [owner, tomas],
    'GET /api/backups': backups(),
    'GET /api/session/second': { on: false, recovery: 0 },
    'GET /api/keeping': { months: null } as never,
    ...more,
  });
  shownOnPage(
    <PeoplePage
      session={{
        setupNeeded: false,
        demo: false,
        today: '2026-10-15',
        who: { id: 'o', name: 'Ines', role },
        institution: null,
      }}
    />,
  );
  return server;
}
const fill = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

test('the owner sees everyone who teaches with what each may; an assistant only what is one’s own', async () => {
  people();
  expect(await screen.findByText('owner: everything')).toBeTruthy();
  expect(screen.getByText(/enters papers, renews codes/)).toBeTruthy();
  document.body.innerHTML = '';
  const server = people('assistant');
  expect(screen.queryByText('Add someone who teaches')).toBeNull();
  expect(screen.getByText('Your password')).toBeTruthy();
  expect(server.asked.map(({ call }) => call)).not.toContain('GET /api/accounts');
});

test('whoever is added gets a link that is shown once, and the form is empty for the next', async () => {
  const server = people('owner', { 'POST /api/accounts': { id: 'n', invitation: 'secret' } });
  fill('Name', 'Nadia');
  fill('E-mail', 'nadia@college.example');
  fireEvent.click(screen.getByRole('button', { name: 'Add' }));
  const link = await screen.findByLabelText('Link for Nadia');
  expect((link as HTMLInputElement).value).toBe('http://localhost/#invitation/secret');
  expect(server.sent('POST /api/accounts')).toEqual([
    { name: 'Nadia', email: 'nadia@college.example', role: 'instructor' },
  ]);
  expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('');
});

test('one who cannot be added is told why, and what was typed stays', async () => {
  people('owner', { 'POST /api/accounts': refusal('conflict', 'This e-mail is taken.') });
  fill('Name', 'Nadia');
  fill('E-mail', 'tomas@college.example');
  fireEvent.click(screen.getByRole('button', { name: 'Add' }));
  expect((await screen.findByRole('alert')).textContent).toBe('This e-mail is taken.');
  expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('Nadia');
});

test('a list of people that cannot be had is said, in place of an empty one', async () => {
  people('owner', { 'GET /api/accounts': refusal('forbidden', 'Only the owner sees this.') });
  expect((await screen.findByRole('alert')).textContent).toBe('Only the owner sees this.');
});

test('someone has left and is taken back, gets another role or a new link; the owner keeps the own', async () => {
  const CHANGE = 'PUT /api/accounts/{accountId}';
  const server = people('owner', {
    [CHANGE]: {} as never,
    'POST /api/accounts/{accountId}/invitation': { invitation: 'again' },
  });
  fireEvent.click(await screen.findByRole('button', { name: 'Has left' }));
  await waitFor(() => expect(server.sent(CHANGE)).toEqual([{ role: 'assistant', left: true }]));
  fireEvent.change(screen.getByLabelText('Role of Tomas'), { target: { value: 'instructor' } });
  await waitFor(() => expect(server.sent(CHANGE)[1]).toEqual({ role: 'instructor', left: false }));
  fireEvent.click(screen.getByRole('button', { name: 'New link' }));
  expect(await screen.findByLabelText('Link for Tomas')).toBeTruthy();
  expect(screen.queryByLabelText('Role of Ines')).toBeNull();
});

test('the own password is changed, or told why not', async () => {
  const CHANGE = 'PUT /api/session/password';
  const server = people('instructor', { [CHANGE]: refusal('invalid', 'That is not your password.') });
  fill('now', 'old old old old');
  fill(/^new, twelve/, 'new new new new');
  fireEvent.click(screen.getByRole('button', { name: 'Change it' }));
  expect((await screen.findByRole('alert')).textContent).toBe('That is not your password.');
  server.answer(CHANGE, {} as never);
  fireEvent.click(screen.getByRole('button', { name: 'Change it' }));
  expect(await screen.findByText(/Your password is changed/)).toBeTruthy();
  expect((screen.getByLabelText('now') as HTMLInputElement).value).toBe('');
});

test('a backup says what it holds, and is restored only after it was said what that does', async () => {
  const RESTORE = 'POST /api/backups/{name}/restore';
  const server = people('owner', { [RESTORE]: { back: 3 } as never });
  expect(await screen.findByText(/42 species, 2 courses with 36 students, 1,352 answers/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Restore this backup' })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Restore…' }));
  expect(screen.getByText('Trees: 1 student, 2 quizzes, 480 answers')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Leave all as it is' }));
  expect(server.sent(RESTORE)).toEqual([]);
  fireEvent.click(screen.getByRole('button', { name: 'Restore…' }));
  fireEvent.click(screen.getByRole('button', { name: 'Restore this backup' }));
  expect(await screen.findByText(/3 answers that came later are back/)).toBeTruthy();
  expect(server.sent(RESTORE)).toEqual([{ sure: 'hurrow-1' }]);
});

test('where the data are on a server, it is said who keeps them instead', async () => {
  people('owner', { 'GET /api/backups': backups({ shelf: null, backups: [] }) });
  expect(await screen.findByText(/which is backed up by its own tools/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Back up now' })).toBeNull();
});

test('a backup is made at once, and one that fails says why', async () => {
  people('owner', {
    'GET /api/backups': backups({ backups: [] }),
    'POST /api/backups': refusal('unexpected', 'The disk is full.'),
  });
  const section = await screen.findByRole('region', { name: 'Backups' });
  fireEvent.click(within(section).getByRole('button', { name: 'Back up now' }));
  expect((await within(section).findByRole('alert')).textContent).toBe('The disk is full.');
});
