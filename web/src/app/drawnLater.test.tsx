import { vi } from 'vitest';
import { hookOnPage } from '../testing/page.tsx';
import { useDrawnLater } from './drawnLater.ts';

const before = URL.createObjectURL;
const made: Blob[] = [];
beforeEach(() => {
  made.length = 0;
  URL.createObjectURL = (blob) => `blob:${made.push(blob as Blob)}`;
});
afterAll(() => {
  URL.createObjectURL = before;
});

test('a drawing is made once, however many show it, and shown by an address of its own', async () => {
  const of = {};
  const draw = vi.fn(async () => '<svg xmlns="http://www.w3.org/2000/svg"/>');
  const [first, second] = [1, 2].map(() => hookOnPage(() => ({ picture: useDrawnLater(of, 'bare', draw) })));
  await first!.until(({ picture }) => picture);
  await second!.until(({ picture }) => picture);
  expect(second!.now().picture).toBe(first!.now().picture);
  expect(draw).toHaveBeenCalledTimes(1);
  expect(await made[0]!.text()).toMatch(/^<svg/);
  expect(made[0]!.type).toBe('image/svg+xml');
});

test('an image is shown as it was painted', async () => {
  const image = new Blob(['x'], { type: 'image/png' });
  const page = hookOnPage(() => ({ picture: useDrawnLater(image, 'bare', async () => image) }));
  await page.until(({ picture }) => picture);
  expect(made).toEqual([image]);
});

test('where there is nothing to draw there is no picture', async () => {
  const of = {};
  const draw = vi.fn(async () => undefined);
  const page = hookOnPage(() => ({ picture: useDrawnLater(of, 'bare', draw) }));
  await page.until(({ picture }) => picture === '');
  expect(made).toHaveLength(0);
});

test('a drawing that failed is tried anew by whoever asks next', async () => {
  const of = {};
  const draw = vi.fn(async () => '<svg/>');
  draw.mockRejectedValueOnce(new Error('no signal'));
  const first = hookOnPage(() => ({ picture: useDrawnLater(of, 'bare', draw) }));
  await first.until(() => draw.mock.calls.length === 1);
  const second = hookOnPage(() => ({ picture: useDrawnLater(of, 'bare', draw) }));
  await second.until(({ picture }) => picture);
  expect(draw).toHaveBeenCalledTimes(2);
});
