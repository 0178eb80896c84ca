import { readLibrary } from '@hurrow/core/library';
import { createRef, useState } from 'react';
import { useLocation } from 'react-router';
import { DraftList } from '../drafts/DraftList.tsx';
import { useDrafts } from '../drafts/DraftsProvider.tsx';
import { fireEvent, screen, shownOnPage, waitFor } from '../testing/page.tsx';
import { standIn } from '../testing/server.ts';
import { course, library, USUAL } from '../testing/taught.ts';
import { FieldDateProvider, useFieldDate, useRibbonRows, type RibbonRow } from './fieldDate.tsx';
import { Find } from './Find.tsx';
import { Chips, Fenced, Tabs } from './parts.tsx';
import { Ribbon } from './Ribbon.tsx';
import { Tray } from './Tray.tsx';
import { useVasculum, VasculumProvider } from './vasculum.tsx';

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
});

describe('finding a tree', () => {
  async function finding() {
    const server = standIn({
      ...USUAL,
      'GET /api/library/search': { found: [{ id: 'pinus-strobus' }] } as never,
    });
    const page = shownOnPage(<Find courseId="course" find={createRef()} />);
    await waitFor(() => expect(server.asked.map(({ call }) => call)).toContain('GET /api/library'));
    const field = screen.getByRole('combobox');
    return { server, page, field, type: (value: string) => fireEvent.change(field, { target: { value } }) };
  }
  const found = () => screen.queryAllByRole('option').map(({ textContent }) => textContent);

  test('names are found as one types, without asking the server', async () => {
    const { server, type } = await finding();
    type('maple');
    await waitFor(() => expect(found()).toEqual(['red maple Acer rubrum', 'sugar maple Acer saccharum']));
    expect(server.asked.map(({ call }) => call)).not.toContain('GET /api/library/search');
  });
  test('marks are asked for where no name answers, and what is found is opened', async () => {
    const { server, page, type, field } = await finding();
    type('needles 5');
    await waitFor(() => expect(found()).toEqual(['white pine Pinus strobus']));
    expect(server.asked.at(-1)!.query.get('q') ?? server.asked.at(-1)!.query.toString()).toMatch(/needles/);
    fireEvent.keyDown(field, { key: 'ArrowDown' });
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(page.address()).toBe('/c/course/species/pinus-strobus');
    expect((field as HTMLInputElement).value).toBe('');
  });
  test('a press takes an entry, Escape closes the list, and nothing found is said', async () => {
    const { server, page, type, field } = await finding();
    type('birch');
    await waitFor(() => expect(found()).toHaveLength(1));
    fireEvent.keyDown(field, { key: 'Escape' });
    expect(found()).toEqual([]);
    server.answer('GET /api/library/search', { found: [] } as never);
    type('zzz');
    expect(await screen.findByText('No species answers to “zzz”.')).toBeTruthy();
    type('birch');
    fireEvent.pointerUp(await screen.findByRole('option'));
    expect(page.address()).toBe('/c/course/species/betula-lenta');
  });
});

describe('the season ribbon', () => {
  const ROWS: RibbonRow[] = [{ title: 'leaves', arcs: [{ from: 335, to: 60 }], color: 'green' }];
  function Drawn() {
    useRibbonRows(ROWS);
    return <p>day {useFieldDate().day}</p>;
  }
  const ribbon = () =>
    shownOnPage(
      <FieldDateProvider today="2026-10-15">
        <Ribbon course={course({ startsOn: '2026-09-07', weeks: 12 })} />
        <Drawn />
      </FieldDateProvider>,
    );
  const handle = () => screen.getByRole('slider', { name: 'Field date' });

  test('it begins today, and says the day and the week of the course', () => {
    ribbon();
    expect(handle().getAttribute('aria-valuetext')).toBe('15 Oct · week 6');
    expect((screen.getByRole('button', { name: 'Today' }) as HTMLButtonElement).disabled).toBe(true);
  });
  test('keys move it by days and months over New Year, and Today brings it back', () => {
    ribbon();
    fireEvent.keyDown(handle(), { key: 'ArrowLeft' });
    expect(screen.getByText('day 287')).toBeTruthy();
    for (let i = 0; i < 4; i += 1) fireEvent.keyDown(handle(), { key: 'PageUp' });
    expect(screen.getByText('day 42')).toBeTruthy();
    expect(handle().getAttribute('aria-valuetext')).toBe('11 Feb');
    fireEvent.click(screen.getByRole('button', { name: 'Today' }));
    expect(screen.getByText('day 288')).toBeTruthy();
  });
  test('the day outlives a reload, and is another one in another window', () => {
    const page = ribbon();
    fireEvent.keyDown(handle(), { key: 'ArrowRight' });
    page.leave();
    ribbon();
    expect(screen.getByText('day 289')).toBeTruthy();
  });
  test('a row over New Year is drawn in two pieces, and gone with what drew it', () => {
    function Leaving() {
      const [here, setHere] = useState(true);
      return (
        <>
          <button onClick={() => setHere(false)}>leave</button>
          {here && <Drawn />}
        </>
      );
    }
    shownOnPage(
      <FieldDateProvider today="2026-10-15">
        <Ribbon course={undefined} />
        <Leaving />
      </FieldDateProvider>,
    );
    expect(document.querySelectorAll('.ribbon-row i')).toHaveLength(2);
    fireEvent.click(screen.getByRole('button', { name: 'leave' }));
    expect(document.querySelectorAll('.ribbon-row i')).toHaveLength(0);
  });
});

describe('the vasculum', () => {
  const { profiles } = readLibrary(library());
  function Gathering() {
    const { toggle } = useVasculum();
    return profiles.map(({ taxon }) => (
      <button key={taxon.id} onClick={() => toggle(taxon.id)}>
        gather {taxon.id}
      </button>
    ));
  }
  const tray = (courseId = 'course') =>
    shownOnPage(
      <FieldDateProvider today="2026-10-15">
        <VasculumProvider>
          <Tray courseId={courseId} profiles={profiles} />
          <Gathering />
        </VasculumProvider>
      </FieldDateProvider>,
    );
  const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
  const isOff = (name: string) => (screen.getByRole('button', { name }) as HTMLButtonElement).disabled;

  test('two trees make a contrast or a key, one a set or a quiz, none nothing', () => {
    standIn(USUAL);
    const page = tray();
    expect(['Contrast', 'Key', 'Set', 'Quiz', 'Empty'].map(isOff)).toEqual([true, true, true, true, true]);
    press('gather acer-rubrum');
    expect(['Contrast', 'Set', 'Quiz'].map(isOff)).toEqual([true, false, false]);
    expect(screen.getByText('One more makes a contrast.')).toBeTruthy();
    press('gather betula-lenta');
    press('Contrast');
    expect(page.address()).toBe('/c/course/lookalikes?taxa=acer-rubrum,betula-lenta');
  });
  test('what is gathered outlives a reload, is taken out one by one, or emptied', () => {
    standIn(USUAL);
    const page = tray();
    press('gather acer-rubrum');
    press('gather betula-lenta');
    page.leave();
    tray();
    press('Take red maple out of the vasculum');
    expect(screen.queryByText('red maple')).toBeNull();
    expect(screen.getByText('sweet birch')).toBeTruthy();
    press('Empty');
    expect(isOff('Empty')).toBe(true);
  });
  test.each(['{', '{"a":1}', '[3,"betula-lenta"]'])(
    'kept as %s it is read as far as it makes sense',
    (text) => {
      standIn(USUAL);
      sessionStorage.setItem('hurrow.vasculum', text);
      tray();
      expect(screen.queryAllByText('sweet birch')).toHaveLength(
        text.includes('birch') || text.includes('lenta') ? 1 : 0,
      );
      expect(isOff('Contrast')).toBe(true);
    },
  );
  test('without a course there is no set and no quiz to make of it', () => {
    standIn(USUAL);
    tray('-');
    press('gather acer-rubrum');
    press('gather betula-lenta');
    expect(['Contrast', 'Set', 'Quiz'].map(isOff)).toEqual([false, true, true]);
  });
});

describe('what all pages are built of', () => {
  function Failing({ at }: { at: string }) {
    if (at === 'here') throw new Error('no profile');
    return <p>well</p>;
  }
  test('a part that fails says so and offers a way on; another page is not taken with it', () => {
    const silent = console.error;
    console.error = () => undefined;
    function Pages() {
      const [at, setAt] = useState('here');
      return (
        <>
          <button onClick={() => setAt('there')}>go</button>
          <Fenced where={at}>
            <Failing at={at} />
          </Fenced>
        </>
      );
    }
    shownOnPage(<Pages />);
    expect(screen.getByRole('alert').textContent).toMatch(/This page has failed.*no profile/);
    fireEvent.click(screen.getByRole('button', { name: 'go' }));
    expect(screen.getByText('well')).toBeTruthy();
    console.error = silent;
  });
  test('tabs say which one is open; chips which are chosen', () => {
    function At() {
      return <output>{useLocation().pathname}</output>;
    }
    const flipped: string[] = [];
    shownOnPage(
      <>
        <Tabs
          label="Steps"
          tabs={[
            { to: '/plan', title: 'Plan' },
            { to: '/run', title: 'Run' },
          ]}
        />
        <Chips
          title="shown"
          all={['leaf', 'bark']}
          chosen={['bark']}
          name={(item) => item}
          flip={(item) => flipped.push(item)}
        />
        <At />
      </>,
      '/plan',
    );
    expect(screen.getByRole('link', { name: 'Plan' }).getAttribute('aria-current')).toBe('page');
    fireEvent.click(screen.getByRole('link', { name: 'Run' }));
    expect(screen.getByRole('status').textContent).toBe('/run');
    expect(screen.getByRole('button', { name: 'bark' }).getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(screen.getByRole('button', { name: 'leaf' }));
    expect(flipped).toEqual(['leaf']);
  });
  test('drafts are listed with the way back to them, and given up in every window', () => {
    function Keeping() {
      const drafts = useDrafts();
      const value = {
        title: 'Edit Acer rubrum',
        where: '/c/course/species/acer-rubrum/edit',
        at: '2026-10-15T16:00:00Z',
        value: 1,
      };
      return <button onClick={() => drafts.keep('taxon/acer-rubrum', value)}>type</button>;
    }
    const page = shownOnPage(
      <>
        <DraftList />
        <Keeping />
      </>,
    );
    expect(screen.queryByText(/^Drafts/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'type' }));
    expect(screen.getByText('Drafts 1')).toBeTruthy();
    fireEvent.click(screen.getByRole('link', { name: 'Edit Acer rubrum', hidden: true }));
    expect(page.address()).toBe('/c/course/species/acer-rubrum/edit');
    fireEvent.click(screen.getByRole('button', { name: 'Give up', hidden: true }));
    expect(screen.queryByText(/^Drafts/)).toBeNull();
    expect(localStorage).toHaveLength(0);
  });
});
