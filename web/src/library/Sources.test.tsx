import type { LibraryAnswer } from '@hurrow/contract/library';
import { FieldDateProvider } from '../app/fieldDate.tsx';
import { fireEvent, screen, shownOnPage, waitFor } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { course, library, scoreOf, USUAL } from '../testing/taught.ts';
import Sources from './Sources.tsx';

const SAVE = 'PUT /api/library/sources';
/** Red maple's bud is of two lengths in two sources. */
const disputed = (): LibraryAnswer => {
  const held = library();
  held.taxa[0]!.scores.push(scoreOf('bud.length', '9–12 mm', 'notes'));
  return held;
};

async function sources(held = library(), more: Answers = {}) {
  const server = standIn({
    ...USUAL,
    'GET /api/library': held,
    'GET /api/courses/{courseId}': course(),
    [SAVE]: { revision: 8, ids: [] },
    ...more,
  });
  shownOnPage(
    <FieldDateProvider today="2026-10-15">
      <Sources courseId="course" />
    </FieldDateProvider>,
    '/c/course/species/sources',
  );
  await screen.findByRole('heading', { name: 'Sources' });
  return server;
}
const nameOf = (i: number) => screen.getByLabelText(`Name of source ${i}`) as HTMLInputElement;
const save = () => fireEvent.click(screen.getByRole('button', { name: 'Save sources and rule' }));

beforeEach(() => localStorage.clear());

test('sources stand in the order of trust, and nothing is to be saved until something is changed', async () => {
  await sources();
  expect([nameOf(1).value, nameOf(2).value]).toEqual(['Manual', 'Notes']);
  expect(screen.queryByRole('button', { name: 'Save sources and rule' })).toBeNull();
  expect((screen.getByRole('button', { name: 'Trust source 1 more' }) as HTMLButtonElement).disabled).toBe(
    true,
  );
});

test('another order, a new source and another rule are saved together, on the revision they stand on', async () => {
  const server = await sources();
  fireEvent.click(screen.getByRole('button', { name: 'Trust source 2 more' }));
  expect(nameOf(1).value).toBe('Notes');
  fireEvent.click(screen.getByRole('button', { name: 'Add a source' }));
  fireEvent.change(nameOf(3), { target: { value: 'Field sheets' } });
  fireEvent.change(screen.getByLabelText('year of source 3'), { target: { value: '2024' } });
  fireEvent.change(screen.getByLabelText('Rule of reconciliation'), { target: { value: 'envelope' } });
  save();
  await waitFor(() =>
    expect(server.sent(SAVE)).toEqual([
      {
        sources: [
          { id: 'notes', label: 'Notes' },
          { id: 'manual', label: 'Manual' },
          { label: 'Field sheets', year: '2024' },
        ],
        rule: 'envelope',
        picks: {},
        baseRevision: 7,
      },
    ]),
  );
});

test('a source that is in use is not removed: it is said, and what was changed stays', async () => {
  await sources(library(), { [SAVE]: refusal('conflict', 'Manual has 11 scores. Move them first.') });
  fireEvent.click(screen.getByRole('button', { name: 'Remove source 1' }));
  save();
  expect((await screen.findByRole('alert')).textContent).toBe('Manual has 11 scores. Move them first.');
  expect(nameOf(1).value).toBe('Notes');
  expect(localStorage).toHaveLength(1);
});

test('where sources differ, another one is trusted with a reason, and with none it cannot be', async () => {
  const server = await sources(disputed());
  expect(screen.getByRole('heading', { name: '1 disagreement' })).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Trust the other one' }));
  const trust = screen.getByRole('button', { name: /^Trust Notes on/ }) as HTMLButtonElement;
  expect(trust.disabled).toBe(true);
  fireEvent.change(screen.getByLabelText(/^Why another source is right/), {
    target: { value: 'measured 30 here' },
  });
  fireEvent.click(trust);
  await waitFor(() =>
    expect(server.sent(SAVE)).toMatchObject([
      { picks: { 'bud.length': { sourceId: 'notes', reason: 'measured 30 here' } } },
    ]),
  );
});

test('an exception is told with its reason, and the rule followed again', async () => {
  const held = disputed();
  held.reconciliation.picks = { 'bud.length': { sourceId: 'notes', reason: 'measured here' } };
  const server = await sources(held);
  expect(screen.getByText(/Notes, because measured here\./)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Follow the rule again' }));
  await waitFor(() => expect(server.sent(SAVE)).toMatchObject([{ picks: {} }]));
});

test('what is missing is told with the trees that lack it, each a way to its editor', async () => {
  await sources();
  expect(screen.getByRole('heading', { name: 'No disagreements' })).toBeTruthy();
  const gaps = [...document.querySelectorAll('summary')].map(({ textContent }) => textContent);
  expect(gaps.length).toBeGreaterThan(2);
  expect(gaps[0]).toMatch(/(lacks|lack) .*; it (would settle|settles)/);
  // The pine is not on the list of the course.
  const ways = () => screen.getAllByRole('link', { hidden: true }).map((link) => link.getAttribute('href'));
  await waitFor(() => expect(ways()).not.toContain('/c/course/species/pinus-strobus/edit'));
  expect(ways()).toContain('/c/course/species/acer-rubrum/edit');
});
