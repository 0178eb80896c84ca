import { readLibrary } from '@hurrow/core/library';
import { FieldDateProvider } from '../app/fieldDate.tsx';
import { fireEvent, screen, shownOnPage, waitFor } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { library, USUAL } from '../testing/taught.ts';
import { SpeciesList } from './SpeciesList.tsx';

const { profiles } = readLibrary(library());
const SEARCH = 'GET /api/library/search';

// A list draws what is in sight: in a browser without a screen, everything has to be.
Object.defineProperty(HTMLElement.prototype, 'clientHeight', { configurable: true, value: 900 });
Object.defineProperty(HTMLElement.prototype, 'clientWidth', { configurable: true, value: 300 });

function list(more: Answers = {}, open = '') {
  const server = standIn({ ...USUAL, [SEARCH]: { found: [] } as never, ...more });
  const page = shownOnPage(
    <FieldDateProvider today="2026-10-15">
      <SpeciesList
        base="/c/course/species"
        profiles={profiles}
        taught={['betula-lenta', 'acer-rubrum']}
        revision={7}
        open={open}
      />
    </FieldDateProvider>,
    '/c/course/species',
  );
  return { server, page };
}
const names = () =>
  screen.getAllByRole('link').map((link) => link.getAttribute('href')!.replace('/c/course/species/', ''));
const search = (value: string) =>
  fireEvent.change(screen.getByLabelText('Search names and states'), { target: { value } });

test('what is taught comes first in its order, and the list can be put in two others', async () => {
  list();
  await waitFor(() =>
    expect(names()).toEqual(['betula-lenta', 'acer-rubrum', 'acer-saccharum', 'pinus-strobus']),
  );
  const order = screen.getByLabelText('Order') as HTMLSelectElement;
  fireEvent.change(order, { target: { value: 'name' } });
  expect(names()).toEqual(['acer-rubrum', 'acer-saccharum', 'betula-lenta', 'pinus-strobus']);
  expect(order.options[0]!.textContent).toBe('4 taxa, set order');
});

test('a search shows what was found, the best first, and Enter opens it', async () => {
  const { page } = list({ [SEARCH]: { found: [{ id: 'pinus-strobus' }, { id: 'acer-rubrum' }] } as never });
  search('needles 5');
  await waitFor(() => expect(names()).toEqual(['pinus-strobus', 'acer-rubrum']));
  expect((screen.getByLabelText('Order') as HTMLSelectElement).disabled).toBe(true);
  fireEvent.keyDown(screen.getByLabelText('Search names and states'), { key: 'Enter' });
  expect(page.address()).toBe('/c/course/species/pinus-strobus');
});

test('nothing found is said with the way back to all; so is a search that failed', async () => {
  const { server } = list();
  search('zzz');
  expect(await screen.findByText(/No species answers to “zzz”\./)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Show all' }));
  await waitFor(() => expect(names()).toHaveLength(4));
  server.answer(SEARCH, refusal('unexpected', 'The search failed.'));
  search('yyy');
  expect((await screen.findByRole('alert')).textContent).toBe('The search failed.');
});

test('a filter by a state leaves those that show it, also of what was found', async () => {
  list();
  fireEvent.change(screen.getByLabelText('Filter by character'), { target: { value: 'twig.arrangement' } });
  fireEvent.change(screen.getByLabelText(/^State of/), { target: { value: 'opposite' } });
  await waitFor(() => expect(names()).toEqual(['acer-rubrum', 'acer-saccharum']));
  fireEvent.change(screen.getByLabelText('Filter by character'), { target: { value: '' } });
  await waitFor(() => expect(names()).toHaveLength(4));
});

test('keys go through the list from what is open, enter a new one, and edit', async () => {
  const { page } = list({}, 'acer-rubrum');
  await waitFor(() => expect(screen.getAllByRole('link')).toHaveLength(4));
  const key = (name: string) => fireEvent.keyDown(document.body, { key: name });
  key('j');
  expect(page.address()).toBe('/c/course/species/acer-saccharum');
  key('k');
  expect(page.address()).toBe('/c/course/species/betula-lenta');
  key('e');
  expect(page.address()).toBe('/c/course/species/acer-rubrum/edit');
  key('n');
  expect(page.address()).toBe('/c/course/species/new');
  expect(screen.getByRole('link', { current: 'page' }).getAttribute('href')).toMatch(/acer-rubrum$/);
});
