import { place, type Point } from '../geometry.ts';

/** A pointed body from `at` along `angle`. */
export const taper = (at: Point, angle: number, length: number, half: number): Point[] =>
  place(
    [
      [0, -half],
      [length * 0.5, -half * 0.42],
      [length, 0],
      [length * 0.5, half * 0.42],
      [0, half],
    ],
    at,
    angle,
  );
