import type { LibraryAnswer } from '@hurrow/contract/library';
import { parseScore } from '@hurrow/core/score';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { fireEvent, hookOnPage, screen } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { library, USUAL } from '../testing/taught.ts';
import { entryKey } from './entry.ts';
import { useEditing } from './useEditing.ts';

const held = library();
const maple = held.taxa[0]!;
const EDIT = '/c/course/species/acer-rubrum/edit';

const editor = (of: LibraryAnswer['taxa'][0] | undefined = maple, at = EDIT) =>
  hookOnPage(
    () =>
      useEditing({
        courseId: 'course',
        library: held,
        vocabulary: BUILT_IN,
        taxon: of?.taxon,
        scores: of?.scores ?? [],
      }),
    at,
  );
const newEditor = () =>
  hookOnPage(
    () =>
      useEditing({ courseId: 'course', library: held, vocabulary: BUILT_IN, taxon: undefined, scores: [] }),
    '/c/course/species/new',
  );
const asking = (more: Answers = {}) => standIn({ ...USUAL, ...more });
const SAVED = { id: 'acer-rubrum', revision: 8 };

/** What the bud's length says in the source that is written in. */
function typed(text: string) {
  const read = parseScore(text, BUILT_IN.get('bud.length')!);
  return {
    characterId: 'bud.length',
    qualifiers: {},
    text,
    ...(read.ok ? { value: read.value } : { problem: read.problem }),
  } as never;
}
const writeBud = (page: ReturnType<typeof editor>, text: string) =>
  page.does(({ setEdits }) =>
    setEdits((before) => ({
      ...before,
      scores: { manual: { ...before.scores['manual'], [entryKey('bud.length', {})]: typed(text) } },
    })),
  );

beforeEach(() => localStorage.clear());

test('it begins with what is stored, in the first source, unchanged', () => {
  asking();
  const { now } = editor();
  expect(now().names).toMatchObject({ genus: 'Acer', epithet: 'rubrum', commonNames: ['red maple'] });
  expect(now().edits).toMatchObject({ base: 7, sourceId: 'manual', scores: {} });
  expect(now().changed).toBe(false);
  expect([...now().entries.values()].map(({ characterId }) => characterId)).toEqual([
    'foliage.kind',
    'twig.arrangement',
    'leaf.lobing',
    'bud.length',
  ]);
});

test('a name is laid over what is stored, sent with the revision it stands on, and the profile is shown', async () => {
  const server = asking({ 'PUT /api/library/taxa/{taxonId}': SAVED });
  const page = editor();
  await page.does(({ setName }) => setName('commonNames', ['scarlet maple']));
  expect(page.now()).toMatchObject({ changed: true, names: { commonNames: ['scarlet maple'] } });
  await page.does(({ save }) => save());
  const [sent] = server.sent('PUT /api/library/taxa/{taxonId}');
  expect(sent).toMatchObject({ baseRevision: 7, changes: [], taxon: { commonNames: ['scarlet maple'] } });
  expect(sent).not.toHaveProperty('taxon.id');
  expect(page.address()).toBe('/c/course/species/acer-rubrum');
  expect(localStorage).toHaveLength(0);
});

test('only scores that were touched are sent, and what was typed outlives the page', async () => {
  const server = asking({ 'PUT /api/library/taxa/{taxonId}': SAVED });
  const first = editor();
  await writeBud(first, '4–8 mm');
  first.leave();
  const page = editor();
  expect(page.now()).toMatchObject({ changed: true });
  expect(page.now().broughtBack).toBeDefined();
  await page.does(({ save }) => save());
  expect(server.sent('PUT /api/library/taxa/{taxonId}')).toMatchObject([
    {
      changes: [
        { characterId: 'bud.length', sourceId: 'manual', value: { kind: 'range', low: 0.004, high: 0.008 } },
      ],
    },
  ]);
});

test('a score that cannot be read is not sent: it is said where it stands, and stays', async () => {
  const server = asking();
  const page = editor();
  await writeBud(page, 'rather long');
  await page.does(({ save }) => save());
  expect(page.now().problem).toBeTruthy();
  expect(page.now().changed).toBe(true);
  expect(server.asked).toEqual([]);
});

test('months that cannot be read are said before anything is sent', async () => {
  const server = asking();
  const page = editor();
  await page.does(({ setEdits }) =>
    setEdits((before) => ({ ...before, months: { leaves: 'when it is warm' } })),
  );
  expect(page.now().monthProblem).toBeTruthy();
  await page.does(({ save }) => save());
  expect(page.now().problem).toBe(page.now().monthProblem);
  expect(server.asked).toEqual([]);
});

test('where somebody else has changed the same, nothing is lost: theirs is taken and the own kept over it', async () => {
  const server = asking({
    'PUT /api/library/taxa/{taxonId}': refusal('stale', 'Somebody has changed red maple meanwhile.'),
  });
  const page = editor();
  await page.does(({ setName }) => setName('fact', 'A fact'));
  await page.does(({ save }) => save());
  expect(page.now()).toMatchObject({
    stale: true,
    problem: 'Somebody has changed red maple meanwhile.',
    changed: true,
  });
  server.answer('GET /api/library/state', { revision: 12, tag: 'a' });
  server.answer('GET /api/library', { ...held, revision: 12 });
  await page.does(({ takeTheirs }) => takeTheirs());
  expect(page.now()).toMatchObject({ stale: false, edits: { base: 12 }, names: { fact: 'A fact' } });
  expect(page.now().problem).toMatch(/You now stand on the newest version/);
  server.answer('PUT /api/library/taxa/{taxonId}', { id: 'acer-rubrum', revision: 13 });
  await page.does(({ save }) => save());
  expect(server.sent('PUT /api/library/taxa/{taxonId}')[1]).toMatchObject({ baseRevision: 12 });
  expect(page.address()).toBe('/c/course/species/acer-rubrum');
});

test('without a signal what is typed stays, and goes out when it is saved again', async () => {
  const server = asking({ 'PUT /api/library/taxa/{taxonId}': SAVED });
  const page = editor();
  await page.does(({ setName }) => setName('fact', 'A fact'));
  server.reach(false);
  await page.does(({ save }) => save());
  expect(page.now().problem).toMatch(/No connection to the server/);
  expect(page.now()).toMatchObject({ changed: true, stale: false });
  server.reach(true);
  await page.does(({ save }) => save());
  expect(page.now().problem).toBeUndefined();
  expect(server.sent('PUT /api/library/taxa/{taxonId}')).toHaveLength(1);
});

test('what is typed while it is being saved stays, on the revision that the saving made', async () => {
  asking({ 'PUT /api/library/taxa/{taxonId}': SAVED });
  const page = editor();
  await page.does(({ setName }) => setName('fact', 'A fact'));
  await page.does(({ save, setName }) => {
    const saving = save();
    setName('uses', 'Floors');
    return saving;
  });
  expect(page.now()).toMatchObject({ changed: true, edits: { base: 8, names: { uses: 'Floors' } } });
  expect(page.now().edits.names).not.toHaveProperty('fact');
  expect(page.address()).toBe(EDIT);
});

test('a new species is added, and its profile opened', async () => {
  const server = asking({ 'POST /api/library/taxa': { id: 'acer-nigrum', revision: 8 } });
  const page = newEditor();
  await page.does(({ setName }) => setName('genus', 'Acer'));
  await page.does(({ setName }) => setName('epithet', 'nigrum'));
  await page.does(({ save }) => save());
  expect(server.sent('POST /api/library/taxa')).toMatchObject([
    { taxon: { genus: 'Acer', epithet: 'nigrum', rank: 'species' }, baseRevision: 7 },
  ]);
  expect(page.address()).toBe('/c/course/species/acer-nigrum');
  expect(localStorage).toHaveLength(0);
});

test('what was typed on a new species while it was added goes on in its own editor', async () => {
  asking({ 'POST /api/library/taxa': { id: 'acer-nigrum', revision: 8 } });
  const page = newEditor();
  await page.does(({ setName }) => setName('genus', 'Acer'));
  await page.does(({ save, setName }) => {
    const saving = save();
    setName('fact', 'A fact');
    return saving;
  });
  expect(page.address()).toBe('/c/course/species/acer-nigrum/edit');
  const nigrum = { taxon: { ...maple.taxon, id: 'acer-nigrum', epithet: 'nigrum' }, scores: [] };
  expect(editor(nigrum).now().names.fact).toBe('A fact');
});

test('changes are given up, and what is stored stands again', async () => {
  asking();
  const page = editor();
  await page.does(({ setName }) => setName('genus', 'Aser'));
  await page.does(({ giveUp }) => giveUp());
  expect(page.now()).toMatchObject({ changed: false, names: { genus: 'Acer' } });
  expect(localStorage).toHaveLength(0);
});

test('a species is retired as it is stored: what is only typed is not sent, and stays', async () => {
  const server = asking({ 'PUT /api/library/taxa/{taxonId}': SAVED });
  const page = editor();
  await page.does(({ setName }) => setName('genus', 'Aser'));
  await page.does(({ retire }) => retire(true));
  expect(server.sent('PUT /api/library/taxa/{taxonId}')).toMatchObject([
    { taxon: { genus: 'Acer', retired: true }, changes: [] },
  ]);
  expect(page.now().names.genus).toBe('Aser');
  expect(await screen.findByText('Acer rubrum is retired.')).toBeTruthy();
});

test('a species that is deleted takes its draft along; one that cannot be says why', async () => {
  const server = asking({ 'DELETE /api/library/taxa/{taxonId}': refusal('conflict', 'It is in a quiz.') });
  const page = editor();
  await page.does(({ setName }) => setName('fact', 'A fact'));
  await page.does(({ takeAway }) => takeAway());
  expect(page.now()).toMatchObject({ problem: 'It is in a quiz.', changed: true });
  server.answer('DELETE /api/library/taxa/{taxonId}', { revision: 8 });
  await page.does(({ takeAway }) => takeAway());
  expect(page.address()).toBe('/c/course/species');
  expect(localStorage).toHaveLength(0);
});

test('a saved revision can be taken back from what says that it is saved', async () => {
  const server = asking({
    'PUT /api/library/taxa/{taxonId}': SAVED,
    'POST /api/library/revisions/{revision}/undo': { revision: 9 },
  });
  const page = editor();
  await page.does(({ setName }) => setName('fact', 'A fact'));
  await page.does(({ save }) => save());
  expect(await screen.findByText('Acer rubrum is saved.')).toBeTruthy();
  await page.does(() => fireEvent.click(screen.getByRole('button', { name: 'Undo' })));
  expect(await screen.findByText('Undone: the values before are back.')).toBeTruthy();
  expect(server.asked.at(-1)).toMatchObject({ params: { revision: '8' } });
});
