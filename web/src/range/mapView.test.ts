import { cellAt, middleOf } from '@hurrow/core/range';
import { projectionOf, viewOf } from '@hurrow/core/map';
import {
  ARROWS,
  asExact,
  neighbourOf,
  nudged,
  placeUnder,
  cellUnder,
  keptInSight,
  pointAt,
  pushed,
  zoomed,
} from './mapView.ts';

const view = { latitude: 47, longitude: -116, scale: 3000, width: 720, height: 500 };
const onScreen = (place: { latitude: number; longitude: number }, at = view) =>
  projectionOf(at)([place.longitude, place.latitude])!;

test('a pointer is where it is, however large the map is shown', () => {
  const box = { left: 100, top: 50, width: 360, height: 250 };
  expect(pointAt({ clientX: 280, clientY: 175 }, box, view)).toEqual({ x: 360, y: 250 });
  expect(cellUnder({ x: 360, y: 250 }, view)).toBe(cellAt(47, -116));
});
test('what is under the pointer stays under it while the map is pushed', () => {
  const under = { latitude: 47.8, longitude: -115.2 };
  const [x, y] = onScreen(under);
  const after = pushed(view, 60, -40);
  const [x2, y2] = onScreen(under, after);
  // Within a pixel or two: the projection turns a little as its middle moves.
  expect(Math.hypot(x2 - (x + 60), y2 - (y - 40))).toBeLessThan(3);
});
test('nobody pushes the map over a pole, nor looks nearer or further than it is drawn', () => {
  let north = view;
  for (let i = 0; i < 200; i += 1) north = pushed(north, 0, 400);
  expect(north.latitude).toBeLessThanOrEqual(75);
  let near = view;
  for (let i = 0; i < 20; i += 1) near = zoomed(near, true);
  expect(near.scale).toBe(20_000);
  for (let i = 0; i < 40; i += 1) near = zoomed(near, false);
  expect(near.scale).toBe(350);
  expect(zoomed(zoomed(view, true), false).scale).toBeCloseTo(view.scale, 6);
});
test('the cursor is kept in sight, and the map stands still while it is', () => {
  expect(keptInSight(view, { latitude: 47.1, longitude: -116.2 })).toBe(view);
  expect(keptInSight(view, { latitude: 20, longitude: -60 })).toMatchObject({ latitude: 20, longitude: -60 });
});
test('a range fills the map; without one the course’s site is in the middle', () => {
  const cells = Object.fromEntries(
    [
      [42, -124],
      [51, -113],
      [47, -118],
    ].map(([lat, long]) => [cellAt(lat!, long!), 'native' as const]),
  );
  const fitted = viewOf(cells, undefined);
  for (const cell of Object.keys(cells)) {
    const [x, y] = onScreen(middleOf(cell), fitted as typeof view);
    expect(x > 0 && x < 720 && y > 0 && y < 500).toBe(true);
  }
  expect(fitted.scale).toBeGreaterThan(1500);
  expect(viewOf({}, { latitude: 10, longitude: 20 })).toMatchObject({ latitude: 10, longitude: 20 });
});

test('a site is put where the map was pressed, as exact as a pixel is wide', () => {
  const [x, y] = onScreen({ latitude: 47.43, longitude: -116.29 });
  const place = placeUnder({ x, y }, view)!;
  expect(place.latitude).toBeCloseTo(47.43, 6);
  expect(asExact(place, view.scale)).toEqual({ latitude: 47.4, longitude: -116.3 });
  expect(asExact(place, 20_000)).toEqual({ latitude: 47.43, longitude: -116.29 });
});
test('an arrow moves the site on the screen, north where the key points up', () => {
  const place = { latitude: 47, longitude: -116 };
  expect(nudged(place, ARROWS['ArrowUp']!, view).latitude).toBeGreaterThan(47);
  expect(nudged(place, ARROWS['ArrowLeft']!, view).longitude).toBeLessThan(-116);
  const back = nudged(nudged(place, ARROWS['ArrowRight']!, view), ARROWS['ArrowLeft']!, view);
  expect(back.longitude).toBeCloseTo(-116, 3);
});
test('the cursor goes to the neighbor that lies where the key points', () => {
  const cell = cellAt(47, -116);
  const up = neighbourOf(cell, ARROWS['ArrowUp']!, projectionOf(view))!;
  expect(middleOf(up).latitude).toBeGreaterThan(middleOf(cell).latitude);
  const right = neighbourOf(cell, ARROWS['ArrowRight']!, projectionOf(view))!;
  expect(middleOf(right).longitude).toBeGreaterThan(middleOf(cell).longitude);
});
