import { cellAt, type Range } from '@hurrow/core/range';
import { hookOnPage } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { course, library, USUAL } from '../testing/taught.ts';
import { usePainting, type PaintingOptions } from './usePainting.ts';
import { useRange } from './useRange.ts';

const maple = library().taxa[0]!.taxon;
const HERE = cellAt(47.6, -116.4);
const THERE = cellAt(45, -90);
const HELD = { range: { cells: { [HERE]: 'native' }, note: '' } as unknown as Range, revision: 7 };
const SAVE = 'PUT /api/library/taxa/{taxonId}/range';

function painting(answers: Answers = {}) {
  const server = standIn({ ...USUAL, 'GET /api/courses/{courseId}': course(), ...answers });
  const page = hookOnPage(() => useRange('course', maple, HELD));
  return { server, page };
}
const file = (text: string, name = 'rows.csv') => ({ name, text: async () => text }) as unknown as File;

beforeEach(() => localStorage.clear());

test('cells are painted with the tool that is chosen, erased, and taken back stroke by stroke', async () => {
  const { page } = painting();
  const paint = (tool: Parameters<ReturnType<typeof page.now>['setTool']>[0], cells: string[]) =>
    page
      .does(({ setTool, remember }) => {
        setTool(tool);
        remember();
      })
      .then(() => page.does((held) => held.paint(cells)));
  await paint('introduced', [THERE]);
  expect(page.now().cells).toEqual({ [HERE]: 'native', [THERE]: 'introduced' });
  await paint('erase', [HERE]);
  expect(page.now().cells).toEqual({ [THERE]: 'introduced' });
  await page.does(({ undo }) => undo());
  await page.does(({ undo }) => undo());
  expect(page.now().cells).toEqual({ [HERE]: 'native' });
  expect(page.now()).toMatchObject({ canUndo: false, changed: false });
});

test('it is saved on the revision it was begun on, and what is painted outlives the page until then', async () => {
  const { server, page } = painting({ [SAVE]: refusal('stale', 'Somebody painted it meanwhile.') });
  await page.does(({ setTool }) => setTool('native'));
  await page.does((held) => held.paint([THERE]));
  await page.does(({ save }) => save());
  expect(page.now().problem).toBe('Somebody painted it meanwhile.');
  page.leave();
  const again = hookOnPage(() => useRange('course', maple, HELD));
  expect(again.now()).toMatchObject({ changed: true, cells: { [THERE]: 'native' } });
  server.answer(SAVE, { revision: 8 } as never);
  await again.does(({ save }) => save());
  expect(server.sent(SAVE).at(-1)).toMatchObject({ baseRevision: 7, range: { cells: { [HERE]: 'native' } } });
  expect(localStorage).toHaveLength(0);
});

test('rows of a file are added to what is painted; those of other trees and unreadable ones are told', async () => {
  const { page } = painting();
  await page.does(({ take }) =>
    take(
      file(
        'scientificName,decimalLatitude,decimalLongitude\nAcer rubrum,45,-90\nAcer rubrum,nowhere,-90\nBetula lenta,40,-80\n',
      ),
    ),
  );
  expect(Object.keys(page.now().cells)).toHaveLength(2);
  expect(page.now().said[0]).toBe('1 cells taken from rows.csv; save to keep them.');
  expect(page.now().said.join(' ')).toMatch(/Line 3.*Rows of other taxa were left out\./);
  await page.does(({ undo }) => undo());
  expect(page.now().cells).toEqual(HELD.range.cells);
});

test('a file that says nothing of the tree changes nothing and is told why', async () => {
  const { page } = painting();
  await page.does(({ take }) =>
    take(file('scientificName,decimalLatitude,decimalLongitude\nBetula lenta,40,-80\n')),
  );
  expect(page.now().problem).toBe('No row of the file is of Acer rubrum; it names Betula lenta.');
  await page.does(({ take }) => take(undefined));
  expect(page.now().cells).toEqual(HELD.range.cells);
  expect(page.now().canUndo).toBe(false);
});

test('a map begins where the range is, and the keys where the course is', async () => {
  const { page } = painting();
  await page.until(({ site }) => site !== undefined);
  expect(page.now().site).toMatchObject({ latitude: 47.6, longitude: -116.4 });
  expect(page.now().view).toBeDefined();
  await page.does(({ write }) => write('After the county list'));
  expect(page.now()).toMatchObject({ range: { note: 'After the county list' }, changed: true });
});

/** A map of cells in the hand: what it was told, and the keys and pointers that tell it. */
function map(tool: PaintingOptions['tool']) {
  const told = { painted: [] as string[][], cursors: [] as string[], views: 0, strokes: 0 };
  const { page: range } = painting();
  const { view } = range.now();
  const page = hookOnPage(() =>
    usePainting({
      view,
      tool,
      radius: 1,
      cursor: HERE,
      onView: () => (told.views += 1),
      onCursor: (cell) => told.cursors.push(cell),
      onPaint: (cells) => told.painted.push(cells),
      onStroke: () => (told.strokes += 1),
    }),
  );
  const key = (name: string) => {
    let prevented = false;
    page
      .now()
      .keys({ key: name, preventDefault: () => (prevented = true) } as unknown as React.KeyboardEvent);
    return prevented;
  };
  const pointer = (clientX: number, clientY: number) =>
    ({
      clientX,
      clientY,
      pointerId: 1,
      currentTarget: {
        setPointerCapture: () => undefined,
        getBoundingClientRect: () => ({ left: 0, top: 0, width: 800, height: 500 }),
      },
    }) as unknown as React.PointerEvent;
  return { told, page, key, pointer };
}

test('keys move from cell to cell, paint where they stand, and zoom; other keys are left to the browser', () => {
  const { told, key } = map('native');
  expect(key('ArrowRight')).toBe(true);
  expect(told.cursors).toHaveLength(1);
  expect(told.cursors[0]).not.toBe(HERE);
  expect(key('Enter')).toBe(true);
  expect(told.strokes).toBe(1);
  expect(told.painted[0]).toContain(HERE);
  expect(key('+') && key('-') && key('=')).toBe(true);
  expect(told.views).toBeGreaterThanOrEqual(3);
  expect(key('Tab')).toBe(false);
});

test('with the hand nothing is painted by keys, and a drag moves the map', async () => {
  const { told, page, key, pointer } = map('move');
  expect(key('Enter')).toBe(false);
  await page.does(({ pointer: on }) => on.onPointerDown(pointer(400, 250)));
  await page.does(({ pointer: on }) => on.onPointerMove(pointer(420, 250)));
  expect(told).toMatchObject({ painted: [], strokes: 0 });
  expect(told.views).toBeGreaterThan(0);
});

test('a stroke paints from where it begins along its way, and ends where the pointer is lifted', async () => {
  const { told, page, pointer } = map('native');
  await page.does(({ pointer: on }) => on.onPointerDown(pointer(400, 250)));
  await page.does(({ pointer: on }) => on.onPointerMove(pointer(440, 250)));
  expect(told.strokes).toBe(1);
  expect(told.painted).toHaveLength(2);
  await page.does(({ pointer: on }) => on.onPointerUp());
  await page.does(({ pointer: on }) => on.onPointerMove(pointer(480, 250)));
  expect(told.painted).toHaveLength(2);
});
