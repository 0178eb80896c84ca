import { pointsOfPath } from '../testing/paths.ts';
import type { Point } from './geometry.ts';
import { pathsOf, type Pen } from './pen.ts';
import type { Drawing } from './layout.ts';
import type { Shape } from './scene.ts';
import { drawingToSvg } from './svg.ts';

const drawn = (points: Point[], pen: Partial<Pen> = {}, part: Partial<Shape> = {}) =>
  pathsOf({ role: 'mark', points, closed: false, ...part }, (p) => p, { perPixel: 1, ...pen });

const wave = Array.from({ length: 200 }, (_, i): Point => [i / 4, 20 + 5 * Math.sin(i / 9)]);

test('a path is told point by point from the last one, without drifting off', () => {
  const [path] = drawn(wave);
  expect(path!.d).toMatch(/^M0 20l[^MLlz]+$/);
  const last = pointsOfPath(path!.d).at(-1)!;
  expect(last[0]).toBeCloseTo(49.8, 5);
  expect(Math.abs(last[1] - wave.at(-1)![1])).toBeLessThan(0.051);
});

test('numbers stand as close as they can', () => {
  expect(
    drawn([
      [1, 2],
      [0.5, 4.5],
      [3.5, 3.75],
      [3.5, 9],
    ])[0]!.d,
  ).toBe('M1 2l-.5 2.5 3-.7 0 5.2');
});

test('what is shown smaller is drawn with fewer points, and keeps its ends', () => {
  const [whole, third] = [1, 3].map((reduced) => pointsOfPath(drawn(wave, { reduced })[0]!.d));
  expect(third!.length).toBeLessThan(whole!.length / 1.8);
  expect([third![0], third!.at(-1)]).toEqual([whole![0], whole!.at(-1)]);
});

test('an outline is closed', () => {
  expect(drawn(wave, {}, { closed: true, role: 'blade' })[0]!.d).toMatch(/z$/);
});

test('what paths of one look have in common is said once, and their order stays', () => {
  const path = (d: string, fill: string) => ({ d, fill, stroke: '#000000', strokeWidth: 1 });
  const drawing: Drawing = {
    width: 10,
    height: 10,
    paths: [path('M0 0', 'red'), path('M1 1', 'red'), path('M2 2', 'blue'), path('M3 3', 'red')],
    insets: [],
    scaleBars: [],
    labels: [],
    anchors: {},
  };
  const svg = drawingToSvg(drawing, 'four');
  expect(svg.match(/fill="(red|blue)"/g)).toEqual(['fill="red"', 'fill="blue"', 'fill="red"']);
  expect(svg.match(/d="M\d/g)).toEqual(['d="M0', 'd="M1', 'd="M2', 'd="M3']);
  // Every element that begins also ends.
  expect(svg.match(/<[a-z]+(?![^>]*\/>)[^>]*>/g)).toHaveLength(svg.match(/<\/[a-z]+>/g)!.length);
});
