import type { Photo } from '@hurrow/contract/photos';
import { KNOWN_SIZES } from '@hurrow/core/measurement';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { hookOnPage } from '../testing/page.tsx';
import { TOOLS } from './stage.ts';
import { useStage } from './useStage.ts';

const photo = { id: 'p', taxonId: 'acer-rubrum', width: 1000, height: 600, record: {} } as unknown as Photo;
const hint = (tool: string) => TOOLS.find(([id]) => id === tool)![2];

function stage(scale?: number, character = 'bud.length') {
  const told = { scales: [] as number[], values: [] as number[], marks: [] as unknown[] };
  const page = hookOnPage(() =>
    useStage({
      photo,
      scale,
      character: BUILT_IN.get(character),
      onScale: (found) => told.scales.push(found),
      onMeasured: (value) => told.values.push(value),
      onMark: (mark) => told.marks.push(mark),
    }),
  );
  const press = (...points: [number, number][]) =>
    points.reduce(
      (before, [x, y]) => before.then(() => page.does((held) => held.press({ x, y }))),
      Promise.resolve(),
    );
  const key = (name: string, shiftKey = false) =>
    page.does(({ keys }) =>
      keys({ key: name, shiftKey, preventDefault: () => undefined } as React.KeyboardEvent),
    );
  return { told, page, press, key };
}

test('a photo without a scale begins with setting it, after which lengths are measured', async () => {
  const { told, page, press } = stage();
  expect(page.now()).toMatchObject({ tool: 'scale', said: hint('scale') });
  await press([100, 100], [300, 100]);
  expect(told.scales).toEqual([KNOWN_SIZES[1]!.metres / 200]);
  expect(page.now().tool).toBe('length');
  expect(page.now().said).toMatch(/^Scale set: [\d.]+ pixels a centimeter\.$/);
});

test('a line ends where its last point is set again, and its length goes into the sheet', async () => {
  const { told, page, press } = stage(0.0001);
  expect(page.now()).toMatchObject({
    tool: 'length',
    said: 'The scale set before holds: 100.0 pixels a centimeter.',
  });
  await press([0, 0], [30, 0], [30, 40], [30, 41]);
  expect(told.values[0]).toBeCloseTo(0.007, 6);
  expect(page.now()).toMatchObject({ said: '0.70 cm. Written into the sheet.', points: [] });
});

test('what does not fit the character of the sheet is said and not written', async () => {
  const { told, page, press, key } = stage(0.0001);
  await page.does(({ choose }) => choose('count'));
  await press([1, 1], [2, 2], [3, 3]);
  expect(page.now().said).toBe(`${hint('count')} 3 so far.`);
  await key('Enter');
  expect(told.values).toEqual([]);
  expect(page.now().said).toMatch(/^3 counted\. Choose a character in the sheet/);
});

test('all of it can be done by keys: the cross walks, sets points, takes the last one back, and gives up', async () => {
  const { told, page, key } = stage(0.0001);
  expect(page.now().cross).toEqual({ x: 500, y: 300 });
  await key(' ');
  await key('ArrowRight', true);
  expect(page.now().cross).toEqual({ x: 520, y: 300 });
  await key(' ');
  await key('ArrowDown', true);
  await key(' ');
  expect(page.now().points).toHaveLength(3);
  await key('Backspace');
  await key('Enter');
  expect(told.values[0]).toBeCloseTo(0.002, 6);
  await key(' ');
  await key('Escape');
  expect(page.now().points).toEqual([]);
});

test('choosing another tool forgets the points, and marks are told as shares of the photo', async () => {
  const { told, page, press } = stage(0.0001);
  await press([10, 10]);
  await page.does(({ choose }) => choose('circle'));
  expect(page.now()).toMatchObject({ points: [], said: hint('circle') });
  await press([500, 300], [600, 300]);
  expect(told.marks).toEqual([{ shape: 'circle', from: { x: 0.5, y: 0.5 }, to: { x: 0.6, y: 0.5 } }]);
});
