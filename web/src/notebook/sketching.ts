import { MOST_POINTS } from '@hurrow/contract/limits';
import type { Strokes } from '@hurrow/contract/notebook';

type Point = Strokes[number][number];
interface Box {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** Thousandths of the sheet that a point must be from the last one. */
const STEP = 8;

/** Where on the sheet a pointer is: 0 to 1,000 across and down. */
export const pointAt = (x: number, y: number, { left, top, width, height }: Box): Point => [
  within(((x - left) / width) * 1000),
  within(((y - top) / height) * 1000),
];

const within = (value: number): number => Math.min(1000, Math.max(0, Math.round(value)));

/** A line with one more point, where that is far enough from the last. */
export function drawnOn(stroke: Strokes[number], point: Point): Strokes[number] {
  const last = stroke.at(-1);
  const near = last && Math.hypot(point[0] - last[0], point[1] - last[1]) < STEP;
  return near || stroke.length >= MOST_POINTS ? stroke : [...stroke, point];
}
