import type { OpenQuiz, SatStation, Sitting } from '@hurrow/contract/sitting';
import type { Answer } from '@hurrow/core/names';
import { Route, Routes } from 'react-router';
import { fireEvent, screen, shownOnPage, waitFor } from '../testing/page.tsx';
import type { Outbox } from './outbox.ts';
import { Sit } from './Sit.tsx';
import { Today } from './Today.tsx';
import { USUAL_LOOK } from './look.ts';
import { standIn } from '../testing/server.ts';

const station = (position: number, more: Partial<SatStation> = {}): SatStation => ({
  id: `s${position}`,
  position,
  stands: '',
  medium: 'cutting',
  shows: { organs: ['twig', 'leaf'], nearness: 'hand', aids: ['eye'] },
  drawn: false,
  asks: [],
  wentBy: [],
  prompt: null,
  choices: [],
  question: null,
  answer: null,
  ...more,
});
const quiz = (stations: SatStation[], more: Partial<OpenQuiz> = {}): OpenQuiz => ({
  id: 'q',
  title: 'Twigs',
  policy: 'binomial',
  allowed: '',
  names: [],
  stations,
  bell: null,
  ...more,
});
const sitting = (open: OpenQuiz[], more: Partial<Sitting> = {}): Sitting => ({
  now: Date.now(),
  course: 'Trees in autumn',
  courseId: 'course',
  audience: 'technical',
  opens: [],
  name: 'Ava',
  open,
  released: [],
  ...more,
});

/** A box that keeps what is written in the hand of the test. */
function box(before: Record<string, Answer> = {}) {
  const written = new Map(Object.entries(before));
  const state = { ofOthers: 0 };
  const outbox = {
    student: 'ava',
    written: (id: string) => written.get(id),
    write: async (id: string, answer: Answer) => void written.set(id, answer),
    where: () => ({ written: written.size, received: 0 }),
    subscribe: () => () => undefined,
    snapshot: () => state,
  };
  return { written, state, outbox: outbox as unknown as Outbox };
}
function sit(open: OpenQuiz[], at = '/quiz/q/1', before: Record<string, Answer> = {}) {
  localStorage.clear();
  return again(open, at, box(before));
}
function again(open: OpenQuiz[], at: string, held: ReturnType<typeof box>) {
  const element = <Sit sitting={sitting(open)} outbox={held.outbox} ahead={0} />;
  const page = shownOnPage(
    <Routes>
      <Route path="/quiz/:quizId" element={element} />
      <Route path="/quiz/:quizId/:position" element={element} />
      <Route path="/" element={<p>start</p>} />
    </Routes>,
    at,
  );
  return { ...held, page };
}
const write = (label: RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

test('a name is written down as one goes on, and stands there as one comes back', async () => {
  const { written, page } = sit([quiz([station(1), station(2)])]);
  expect(screen.getByText('Look at the cutting at station 1.')).toBeTruthy();
  write(/^Genus/, 'Acer');
  write(/epithet/i, 'rubrum');
  press('Next station ›');
  await waitFor(() => expect(page.address()).toBe('/quiz/q/2'));
  expect(written.get('s1')).toEqual({ genus: 'Acer', epithet: 'rubrum' });
  press('Back to station 1');
  expect((screen.getByLabelText(/^Genus/) as HTMLInputElement).value).toBe('Acer');
});

test('what is half typed is there after a crash, though nothing was written down', async () => {
  const first = sit([quiz([station(1)])]);
  write(/^Genus/, 'Ace');
  first.page.leave();
  document.body.innerHTML = '';
  again([quiz([station(1)])], '/quiz/q/1', box());
  expect((screen.getByLabelText(/^Genus/) as HTMLInputElement).value).toBe('Ace');
});

test('a station that is only looked at is no answer; one that is emptied again is one', async () => {
  const { written } = sit([quiz([station(1), station(2)])]);
  press('Next station ›');
  await screen.findByText('Look at the cutting at station 2.');
  expect(written.size).toBe(0);
  document.body.innerHTML = '';
  const other = sit([quiz([station(1), station(2)])], '/quiz/q/1', { s1: { genus: 'Acer' } });
  write(/^Genus/, '');
  press('Next station ›');
  await waitFor(() => expect(other.written.get('s1')).toEqual({ genus: '' }));
});

test('what is seen, what it was named by and how sure one is go with the name, each taken back by another tap', async () => {
  const asked = station(1, {
    asks: [
      {
        characterId: 'twig.arrangement',
        question: 'arrangement',
        states: [
          { id: 'opposite', word: 'opposite', definition: '' },
          { id: 'alternate', word: 'alternate', definition: '' },
        ],
      },
    ],
    wentBy: [{ organ: 'bud', characters: [{ id: 'bud.scales', word: 'bud scales' }] }],
  } as Partial<SatStation>);
  const { written } = sit([quiz([asked, station(2)])]);
  press('alternate');
  press('opposite');
  press('bud scales');
  press('The whole look of it');
  press('The whole look of it');
  press(/^Sure$|^Certain/i);
  write(/^Genus/, 'Acer');
  press('Next station ›');
  await waitFor(() =>
    expect(written.get('s1')).toMatchObject({
      genus: 'Acer',
      seen: { 'twig.arrangement': 'opposite' },
      wentBy: ['bud.scales'],
    }),
  );
  expect(written.get('s1')).toHaveProperty('sure');
});

test('half of the class reads what to look at first, and a moved station says where it stands', () => {
  sit([quiz([station(1, { prompt: 'the scar: flush or on a peg', stands: 'by the window' })])]);
  expect(screen.getByText('the scar: flush or on a peg')).toBeTruthy();
  expect(screen.getByText('by the window')).toBeTruthy();
});

test('all stations stand on one page with how they stand; a number leads to its station, a wrong one says so', async () => {
  const { page } = sit([quiz([station(1), station(2), station(3)], { allowed: 'a lens' })], '/quiz/q', {
    s1: { genus: 'Acer' },
    s2: { seen: { 'bud.scales': 'none' } },
  });
  expect(screen.getByText('1 of 3 answered.')).toBeTruthy();
  expect(screen.getByText('Allowed: a lens.')).toBeTruthy();
  const standing = screen
    .getAllByRole('link', { name: /^Station/ })
    .map((link) => link.getAttribute('aria-label'));
  expect(standing).toEqual(['Station 1: answered', 'Station 2: no name yet', 'Station 3: nothing written']);
  write(/Number on the card/, '9');
  press('Go');
  expect(screen.getByRole('alert')).toBeTruthy();
  write(/Number on the card/, '3');
  press('Go');
  await waitFor(() => expect(page.address()).toBe('/quiz/q/3'));
});

test('a quiz that was closed meanwhile says that what was written is kept', () => {
  sit([], '/quiz/q/1');
  expect(screen.getByText(/Answers you wrote are kept/)).toBeTruthy();
});

test('the last station finishes on the page of all, the first one goes back to the start', async () => {
  const { page } = sit([quiz([station(1), station(2)])], '/quiz/q/2');
  press('Finish');
  await waitFor(() => expect(page.address()).toBe('/quiz/q'));
  page.leave();
  document.body.innerHTML = '';
  const first = sit([quiz([station(1), station(2)])]);
  press('Back to the start');
  await waitFor(() => expect(first.page.address()).toBe('/'));
});

describe('where a student begins', () => {
  function today(more: Partial<Sitting>, held = box(), fromPhone = false) {
    standIn({});
    shownOnPage(
      <Today
        told={{ sitting: sitting([], more), ahead: 0, fromPhone }}
        outbox={held.outbox}
        look={USUAL_LOOK}
        onLook={(look) => chosen.push(look.theme)}
      />,
    );
  }
  const chosen: string[] = [];

  test('an open quiz begins at its first station, one that was begun where all are seen', () => {
    today({ open: [quiz([station(1), station(2)])] });
    expect(screen.getByRole('link', { name: /^Twigs/ }).getAttribute('href')).toBe('/quiz/q/1');
    document.body.innerHTML = '';
    today({ open: [quiz([station(1), station(2)])] }, box({ s1: { genus: 'Acer' } }));
    const link = screen.getByRole('link', { name: /^Twigs/ });
    expect(link.getAttribute('href')).toBe('/quiz/q');
    expect(link.textContent).toMatch(/1 of 2 answered/);
  });
  test('only what the course opens is offered to learn with', () => {
    today({ opens: ['notebook'] });
    expect(screen.getByRole('link', { name: 'Notebook' })).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'Practice' })).toBeNull();
    expect(screen.queryByRole('link', { name: 'Trees of the course' })).toBeNull();
    expect(screen.getByText(/^No quiz is open now/)).toBeTruthy();
  });
  test('without a signal it says so; answers of somebody else wait and are not lost', () => {
    const held = box();
    held.state.ofOthers = 2;
    today({}, held, true);
    expect(screen.getByText(/No signal: this is what the phone has along/)).toBeTruthy();
    expect(screen.getByText(/2 answers of somebody else wait on this phone/)).toBeTruthy();
  });
  test('the look is chosen here', () => {
    today({});
    fireEvent.change(screen.getByLabelText('Colors'), { target: { value: 'daylight' } });
    expect(chosen).toEqual(['daylight']);
  });
});
