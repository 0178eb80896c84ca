import { add, along, between, curve, direction, distance, scaleBy, type Point } from '../geometry.ts';
import type { TraitReader } from '../traits.ts';

export interface Veins {
  /** Side veins that start on the midrib, or the main veins of a palmate blade: what one counts. */
  main: Point[][];
  /** Their branches and loops. */
  minor: Point[][];
}

/**
 * The side veins of a blade with a midrib: as many pairs as the trait says, leaving at 35–60° and bending forward; into the
 * teeth or lobes, in loops short of the edge, or arching with the edge to the tip.
 */
export function pinnateVeins(
  reader: TraitReader,
  sides: readonly [Point[], Point[]],
  tips: readonly [Point[], Point[]],
  midrib: readonly Point[],
  lobeTips: readonly Point[],
  jitter: number,
): Veins {
  const kind = reader.state('leaf.veins', 'looping');
  const fallback = lobeTips.length ? Math.ceil(lobeTips.length / 2) : kind === 'threeFromBase' ? 4 : 7;
  const pairs = Math.max(1, Math.round(reader.number('leaf.veinPairs', fallback)));
  const main: Point[][] = [];
  const minor: Point[][] = [];
  const length = midrib[midrib.length - 1]![0];
  sides.forEach((side, s) => {
    const sign = s === 0 ? -1 : 1;
    const lobes = lobeTips.filter(([, y]) => y * sign > 0);
    for (let k = 0; k < pairs; k += 1) {
      const fromBase = kind === 'threeFromBase' && k === 0;
      const start = fromBase ? 0.012 : 0.06 + ((k + 0.15 * jitter) / pairs) * 0.8;
      const from = along(midrib, start).point;
      const ahead = kind === 'arching' ? 0.3 : fromBase ? 0.44 : 0.19;
      let edge = along(
        side,
        Math.min(0.97, shareAt(side, length * (start + ahead * (1 - start * 0.6)))),
      ).point;
      if (lobes.length && lobes.length === pairs) edge = lobes[k]!;
      else if (kind === 'straight') edge = nearest(tips[s]!, edge) ?? edge;
      const reach = kind === 'straight' || lobes.length ? 0.97 : kind === 'arching' ? 0.9 : 0.87;
      const end = between(from, edge, reach);
      const pull = kind === 'straight' ? 0.06 : kind === 'arching' ? 0.3 : 0.2;
      const control: Point = [
        between(from, end, 0.5)[0] - (end[0] - from[0]) * pull,
        between(from, end, 0.55 + pull / 2)[1],
      ];
      const vein = curve(from, control, end, 7);
      main.push(vein);
      if (kind === 'looping' && lobes.length === 0) {
        const ahead2 = along(midrib, Math.min(1, start + 0.32)).point;
        minor.push(curve(end, add(end, [(edge[0] - from[0]) * 0.1, 0]), between(end, ahead2, 0.15), 3));
      }
      if (kind === 'forking') minor.push([vein[4]!, between(vein[4]!, add(edge, [length * 0.08, 0]), 0.85)]);
    }
  });
  return { main, minor };
}

/** Main veins from the joint to every lateral lobe, with branches; the midrib serves the middle lobe. */
export function palmateVeins(lobeTips: readonly Point[], midrib: readonly Point[]): Veins {
  const main: Point[][] = [];
  const minor: Point[][] = [];
  const end = midrib[midrib.length - 1]!;
  for (const tip of lobeTips) {
    if (distance(tip, end) > 0.02 * end[0]) main.push([[0, 0], between([0, 0], tip, 0.96)]);
    const along0 = Math.atan2(tip[1], tip[0]);
    for (const t of [0.36, 0.52, 0.66, 0.79])
      for (const sign of [-1, 1]) {
        const from = between([0, 0], tip, t);
        minor.push([
          from,
          add(from, scaleBy(direction(along0 + sign * 0.62), Math.hypot(...tip) * 0.17 * (1.12 - t))),
        ]);
      }
  }
  return { main, minor };
}

const nearest = (points: readonly Point[], to: Point): Point | undefined =>
  points.reduce<Point | undefined>(
    (best, point) => (best && distance(best, to) <= distance(point, to) ? best : point),
    undefined,
  );

/** Share of a side's points at which it has come as far along the midrib as x. */
function shareAt(side: readonly Point[], x: number): number {
  const index = side.findIndex((point) => point[0] >= x);
  return (index < 0 ? side.length - 1 : index) / (side.length - 1);
}
