import { randomFrom, seedOf } from '../../random/index.ts';
import { along, band, curve, place, type Point } from '../geometry.ts';
import { NATURAL } from '../palette.ts';
import { filled, stroke, type Shape } from '../scene.ts';
import type { TraitReader } from '../traits.ts';
import type { Twig } from './twig.ts';

/** Headings of the pollen catkins at the tip, off that of the twig where they stand stiffly. */
const STAND_OFF = [-0.55, 0.1, 0.6];
const DOWN = Math.PI / 2;
/** Millimetres of a pollen catkin in winter, and of a seed catkin. */
const POLLEN = 26;
const SEED = 7;

/** Catkins that wait for spring at the tip of a bare twig: stiff or hanging, the pollen ones alone or with the tiny seed ones behind them. */
export function winterCatkins(reader: TraitReader, { axis, tip, thickness }: Twig): Shape[] {
  const kind = reader.state('twig.winterCatkins', 'none');
  if (kind === 'none') return [];
  const random = randomFrom(seedOf(reader.traits.seed, 'winterCatkins'));
  const drooping = reader.state('twig.catkinLie', 'stiff') === 'drooping';
  const half = Math.max(1.6, thickness * 0.62);
  const heading = (off: number) =>
    (drooping ? DOWN + off * 0.35 : tip.angle + off) + random.between(-0.06, 0.06);
  const shapes = STAND_OFF.flatMap((off) =>
    catkin(tip.at, heading(off), POLLEN * random.between(0.85, 1.05), half),
  );
  if (kind === 'pollen') return shapes;
  const behind = along(axis, 0.9);
  for (const off of [-0.9, -0.45, 0.5])
    shapes.push(...catkin(behind.point, behind.angle + off, SEED * random.between(0.9, 1.1), half * 0.6));
  return shapes;
}

/** One catkin from its foot on, closed and scaly. */
function catkin(foot: Point, heading: number, length: number, half: number): Shape[] {
  const line = curve([0, 0], [length * 0.5, length * 0.04], [length, 0], 10);
  const color = NATURAL['redBrown']!;
  const body = band(line, (s) => half * Math.min(1, s * 7 + 0.3, (1 - s) * 7 + 0.25));
  const rows = Math.max(3, Math.round(length / (half * 1.1)));
  return [
    filled('catkin', place(body, foot, heading), color),
    ...Array.from({ length: rows - 1 }, (_, row) => {
      const { point } = along(line, (row + 1) / rows);
      const scale: Point[] = [
        [point[0] - half * 0.4, point[1] - half * 0.9],
        [point[0] + half * 0.3, point[1]],
        [point[0] - half * 0.4, point[1] + half * 0.9],
      ];
      return stroke('mark', place(scale, foot, heading));
    }),
  ];
}
