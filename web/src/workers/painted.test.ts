import { canPaint, putOn } from './painted.ts';

test('paths are filled and stroked in their order; what has no fill or no line is left out', () => {
  const done: string[] = [];
  const canvas = {
    fillStyle: '',
    strokeStyle: '',
    lineWidth: 0,
    lineCap: 'butt' as const,
    lineJoin: 'miter' as const,
    fill: (path: unknown) => void done.push(`fill ${String(path)} ${canvas.fillStyle}`),
    stroke: (path: unknown) =>
      void done.push(`stroke ${String(path)} ${canvas.strokeStyle} ${canvas.lineWidth} ${canvas.lineCap}`),
  };
  putOn(
    canvas as unknown as Parameters<typeof putOn>[0],
    [
      { d: 'blade', fill: 'green', stroke: 'black', strokeWidth: 0.7 },
      { d: 'vein', fill: 'none', stroke: 'grey', strokeWidth: 1 },
      { d: 'bud', fill: 'brown', stroke: 'none', strokeWidth: 1 },
      { d: 'spot', fill: 'white', stroke: 'black', strokeWidth: 0 },
    ],
    (data) => data as unknown as Path2D,
  );
  expect(done).toEqual([
    'fill blade green',
    'stroke blade black 0.7 round',
    'stroke vein grey 1 round',
    'fill bud brown',
    'fill spot white',
  ]);
});

test('where there is nothing to paint on, nothing is painted', () => {
  expect(canPaint()).toBe(false);
});
