import { BUILT_IN } from '@hurrow/core/vocabulary';
import { crossAfter, outcomeOf, withPoint, type Tool } from './stage.ts';

const photo = { width: 1000, height: 500 };
const on = (id?: string, scale?: number) => ({
  photo,
  scale,
  size: { metres: 0.05 },
  character: id ? BUILT_IN.get(id) : undefined,
});
const at = (x: number, y: number) => ({ x, y });
const set = (tool: Tool, ...points: { x: number; y: number }[]) => {
  let line: { x: number; y: number }[] = [];
  for (const point of points) {
    const next = withPoint(tool, line, point);
    if (next.whole) return { line: next.points, whole: true };
    line = next.points;
  }
  return { line, whole: false };
};

test('a tool is done with as many points as it needs; a line where its last point is set again', () => {
  expect(set('scale', at(0, 0), at(100, 0)).whole).toBe(true);
  expect(set('angle', at(0, 0), at(9, 0)).whole).toBe(false);
  expect(set('count', at(0, 0), at(9, 0), at(20, 0)).whole).toBe(false);
  const line = set('length', at(0, 0), at(100, 0), at(101, 1));
  expect(line).toEqual({ line: [at(0, 0), at(100, 0)], whole: true });
  // A first click that trembles is no line of one point.
  expect(set('length', at(0, 0), at(1, 1)).whole).toBe(false);
});
test('a scale is set by something of known size, and lengths are measured along the line', () => {
  const { scale } = outcomeOf('scale', [at(0, 0), at(300, 400)], on());
  expect(scale).toBeCloseTo(0.05 / 500, 9);
  const bent = [at(0, 0), at(300, 400), at(300, 900)];
  expect(outcomeOf('length', bent, on('leaf.length', scale))).toEqual({
    said: '10.00 cm. Written into the sheet.',
    value: expect.closeTo(0.1, 9) as number,
  });
  expect(outcomeOf('scale', [at(5, 5), at(5, 5)], on())).toEqual({ said: 'Click two different points.' });
});
test('without a scale a length is none, and what does not fit the sheet is said and not written', () => {
  expect(outcomeOf('length', [at(0, 0), at(9, 9)], on('leaf.length'))).toEqual({
    said: 'Set the scale first: a length in pixels says nothing.',
  });
  const count = outcomeOf('count', [at(0, 0), at(1, 1), at(2, 2)], on('leaf.length', 1e-4));
  expect(count.value).toBeUndefined();
  expect(count.said).toContain('3 counted. Choose a character');
  const counted = [...BUILT_IN.values()].find(({ kind }) => kind === 'count')!;
  expect(outcomeOf('count', [at(0, 0), at(1, 1)], on(counted.id)).value).toBe(2);
});
test('an angle is measured at its corner', () => {
  const degrees = [...BUILT_IN.values()].find(({ unit }) => unit === '°')!;
  const right = outcomeOf('angle', [at(0, 100), at(0, 0), at(100, 0)], on(degrees.id));
  expect(right.value).toBeCloseTo(90, 6);
  expect(outcomeOf('angle', [at(0, 0), at(0, 0), at(1, 0)], on(degrees.id)).value).toBeUndefined();
});
test('a mark stays within the photo, whatever its size on the screen', () => {
  expect(outcomeOf('arrow', [at(500, 250), at(1200, -30)], on()).mark).toEqual({
    shape: 'arrow',
    from: at(0.5, 0.5),
    to: at(1, 0),
  });
});
test('arrow keys move the crosshair, far with Shift; other keys are left alone', () => {
  expect(crossAfter('ArrowLeft', at(10, 10), false)).toEqual(at(8, 10));
  expect(crossAfter('ArrowDown', at(10, 10), true)).toEqual(at(10, 30));
  expect(crossAfter('Enter', at(10, 10), false)).toBeUndefined();
});
