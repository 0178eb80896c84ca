import type { Session } from '@hurrow/contract/session';
import { fireEvent, screen, shownOnPage, waitFor, within } from '../testing/page.tsx';
import { refusal, standIn } from '../testing/server.ts';
import { SignIn } from './SignIn.tsx';

const session = (more: Partial<Session> = {}): Session => ({
  setupNeeded: false,
  demo: false,
  today: '2026-10-15',
  who: null,
  institution: null,
  ...more,
});
const show = (more: Partial<Session> = {}, hash = '') => {
  window.location.hash = hash;
  return shownOnPage(<SignIn session={session(more)} />);
};
const write = (label: string | RegExp, value: string, within_ = screen) =>
  fireEvent.change(within_.getByLabelText(label), { target: { value } });
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

test('a student signs in with both codes, and a wrong one is told without losing what was typed', async () => {
  const server = standIn({ 'POST /api/session/student': refusal('invalid', 'No course has the code LEAV.') });
  show();
  write('Course code', 'LEAV');
  write('Personal code', 'K7');
  press('Start');
  expect((await screen.findByRole('alert')).textContent).toBe('No course has the code LEAV.');
  expect((screen.getByLabelText('Personal code') as HTMLInputElement).value).toBe('K7');
  expect(server.sent('POST /api/session/student')).toEqual([{ courseCode: 'LEAV', personalCode: 'K7' }]);
});

test('a slip with a picture to scan fills in both codes', () => {
  standIn({});
  show({}, '#LEAF/K7Q2');
  expect((screen.getByLabelText('Course code') as HTMLInputElement).value).toBe('LEAF');
  expect((screen.getByLabelText('Personal code') as HTMLInputElement).value).toBe('K7Q2');
});

test('whoever uses a second factor is asked for its code after the password, and both are sent', async () => {
  const server = standIn({
    'POST /api/session/account': refusal('secondFactor', 'Write the code that your telephone shows.'),
  });
  show();
  expect(screen.queryByLabelText(/Code of your telephone/)).toBeNull();
  write('E-mail', 'ines@college.example');
  write('Password', 'a long password');
  press('Sign in');
  write(
    await screen.findByLabelText(/Code of your telephone/).then(() => /Code of your telephone/),
    '123456',
  );
  press('Sign in');
  await waitFor(() => expect(server.sent('POST /api/session/account')).toHaveLength(2));
  expect(server.sent('POST /api/session/account')).toEqual([
    { email: 'ines@college.example', password: 'a long password' },
    { email: 'ines@college.example', password: 'a long password', code: '123456' },
  ]);
});

test('the demo is entered as either of its people, and only where there is one', async () => {
  const server = standIn({ 'POST /api/session/demo': {} as never });
  show({ demo: true });
  press('Enter as a student');
  await waitFor(() => expect(server.sent('POST /api/session/demo')).toEqual([{ as: 'student' }]));
  document.body.innerHTML = '';
  show();
  expect(screen.queryByText('The demo')).toBeNull();
});

test('an institution that vouches is offered first, and whoever it turned away is told why', () => {
  standIn({});
  show({ institution: 'Marlow College' }, '#institution-unknown');
  const link = screen.getByRole('link', { name: 'Sign in through Marlow College' });
  expect(link.getAttribute('href')).toBe('/api/session/institution');
  expect(screen.getByRole('alert').textContent).toMatch(/nobody has added you here/);
});

test('whoever is invited chooses a password, and a link that is used up leads to the usual door', async () => {
  const server = standIn({
    'POST /api/session/invited': { name: 'Tomas', email: 'tomas@college.example' } as never,
    'POST /api/session/invitation': {} as never,
  });
  show({}, '#invitation/abc');
  expect(await screen.findByText('Welcome, Tomas')).toBeTruthy();
  write(/Password, twelve/, 'twelve letters');
  press('Choose it and come in');
  await waitFor(() =>
    expect(server.sent('POST /api/session/invitation')).toEqual([
      { token: 'abc', password: 'twelve letters' },
    ]),
  );
  await waitFor(() => expect(window.location.hash).toBe(''));
  server.answer('POST /api/session/invited', refusal('missing', 'This link was used.'));
  show({}, '#invitation/old');
  expect((await screen.findByRole('alert')).textContent).toBe('This link was used.');
  expect(screen.getByRole('link', { name: 'Sign in with a password that you have' })).toBeTruthy();
});

test('a new installation is set up at a place that can be read; one that cannot is said before anything is sent', async () => {
  const server = standIn({ 'POST /api/setup': {} as never });
  show({ setupNeeded: true });
  const form = within(screen.getByRole('region', { name: 'Set up this Hurrow' })) as never;
  write('Your name', 'Ines', form);
  write('E-mail', 'ines@college.example', form);
  write(/Password, twelve/, 'twelve letters', form);
  write('Name of the library', 'Our trees', form);
  write('Latitude', 'somewhere', form);
  press('Create owner and library');
  expect(await screen.findByRole('alert')).toBeTruthy();
  expect(server.asked).toEqual([]);
  write('Latitude', '47.6 N', form);
  write('Longitude', '116.4 W', form);
  write('Elevation, m', '780', form);
  press('Create owner and library');
  await waitFor(() =>
    expect(server.sent('POST /api/setup')).toMatchObject([
      { name: 'Ines', libraryName: 'Our trees', latitude: 47.6, longitude: -116.4, elevation: 780 },
    ]),
  );
});
