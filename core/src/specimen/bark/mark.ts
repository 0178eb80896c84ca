import type { Random } from '../../random/index.ts';
import type { Point } from '../geometry.ts';
import type { Role } from '../scene.ts';

/** A piece of bark is so wide and so high, millimetres. Its pattern repeats without a seam at every edge. */
export const BARK_SIZE = 240;

/** Puts a shape on the field; what crosses an edge comes in again at the other. */
export type Mark = (role: Role, points: Point[], closed: boolean, fill?: string) => void;

/** An upright lens: a furrow `high` long and `wide` across, leaning by `lean` of its length, its middle wandering a little. */
export function lens(at: Point, wide: number, high: number, lean: number, random: Random): Point[] {
  const n = 10;
  const [phase, sway] = [random.between(0, 6.3), random.between(0.1, 0.3) * wide];
  const side = (sign: number): Point[] =>
    Array.from({ length: n + 1 }, (_, i) => {
      const t = i / n;
      const half =
        (wide / 2) * Math.sin(Math.PI * t) ** 0.55 * (0.86 + 0.14 * Math.sin(i * 2.3 + sign + phase));
      return [
        at[0] + sway * Math.sin(phase + 5 * t) + lean * high * (t - 0.5) + sign * half,
        at[1] + (t - 0.5) * high,
      ];
    });
  return [...side(-1), ...side(1).reverse()];
}
