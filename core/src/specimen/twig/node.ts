import type { Point } from '../geometry.ts';

/** Where a leaf or bud stands: −1 above the twig, 1 below, 0 towards us. */
export type Side = -1 | 0 | 1;

export interface TwigNode {
  at: Point;
  /** Angle of the twig at the node, radians. */
  angle: number;
  stands: { side: Side; at: Point }[];
}
