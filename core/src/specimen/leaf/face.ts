import { randomFrom, seedOf } from '../../random/index.ts';
import { add, along, direction, ellipse, scaleBy, type Point } from '../geometry.ts';
import { filled, stroke, type Shape } from '../scene.ts';
import type { TraitReader } from '../traits.ts';
import { bladeShapes, type Blade } from './blade.ts';

/** A blade with what its faces carry: the light on a glossy one, stipple on a rough one, hairs, glands on its teeth, a rolled edge. */
export function faceShapes(
  reader: TraitReader,
  blade: Blade,
  move: (points: readonly Point[]) => Point[],
  fill: string,
  lower: boolean,
): Shape[] {
  const shapes = bladeShapes(blade, move, fill, lower);
  const length = blade.midrib[blade.midrib.length - 1]![0];
  const edge = reader.states('leaf.edge');
  if (edge.includes('rolled'))
    for (const side of blade.sides)
      shapes.push(stroke(lower ? 'light' : 'veinlet', move(side.map(([x, y]): Point => [x, y * 0.94]))));
  for (const gland of blade.glands)
    shapes.push(filled('gland', move(ellipse(gland, length * 0.007, length * 0.007, 0, 8))));
  if (lower) return [...shapes, ...lowerHairs(reader, blade, move)];
  switch (reader.state('leaf.upperFace', 'dull')) {
    case 'glossy':
      return [...shapes, filled('light', move(glossBand(blade, length)))];
    case 'rough':
      return [...shapes, ...stipple(reader, blade, move, 'mark', 110, length * 0.006)];
    case 'hairy':
      return [...shapes, ...stipple(reader, blade, move, 'paleHair', 70, length * 0.035)];
    default:
      return shapes;
  }
}

/** One light band on the side towards the light. */
function glossBand(blade: Blade, length: number): Point[] {
  const side = blade.sides[0];
  const at = (share: number, depth: number): Point => {
    const { point } = along(side, share);
    return [point[0], point[1] * depth];
  };
  const outer = [0.3, 0.4, 0.5, 0.6, 0.68].map((s) => at(s, 0.62));
  const inner = [0.68, 0.6, 0.5, 0.4, 0.3].map((s) => at(s, 0.42));
  return [...outer, ...inner].map(([x, y]): Point => [Math.min(length, x), y]);
}

/** Hairs of the lower face as stipple: along the veins, in their angles, or all over; wool closer than a few hairs. */
function lowerHairs(reader: TraitReader, blade: Blade, move: (points: readonly Point[]) => Point[]): Shape[] {
  const amount = { sparse: 1, dense: 2, woolly: 3 }[reader.state('leaf.lowerHair', 'none')] ?? 0;
  if (amount === 0) return [];
  const places = reader.states('leaf.hairPlace');
  const random = randomFrom(seedOf(reader.traits.seed, 'hairs'));
  const length = blade.midrib[blade.midrib.length - 1]![0];
  const size = Math.max(0.5, length * 0.013);
  const spots: Point[] = [];
  if (places.length === 0 || places.includes('allOver'))
    for (const side of blade.sides)
      for (let i = 0; i < 14 * amount; i += 1) {
        const { point } = along(side, random.between(0.08, 0.92));
        spots.push([point[0], point[1] * random.between(0.1, 0.9)]);
      }
  if (places.includes('veins'))
    for (const vein of blade.veins.main)
      for (let i = 0; i < 2 * amount; i += 1) spots.push(along(vein, random.between(0.05, 0.8)).point);
  if (places.includes('angles'))
    for (const vein of blade.veins.main)
      for (let i = 0; i < 3; i += 1)
        spots.push(add(vein[0]!, [random.between(0, size), random.between(-size, size)]));
  return spots.map((spot) => {
    const away = direction(random.between(0, 2 * Math.PI));
    return stroke('hair', move([spot, add(spot, scaleBy(away, size))]));
  });
}

/** Short strokes over the whole upper face, so many and so long: the points of a rough one, the hairs of a hairy one. */
function stipple(
  reader: TraitReader,
  blade: Blade,
  move: (points: readonly Point[]) => Point[],
  role: 'mark' | 'paleHair',
  n: number,
  size: number,
): Shape[] {
  const random = randomFrom(seedOf(reader.traits.seed, 'upper face'));
  return Array.from({ length: n }, (_, i): Shape => {
    const [x, y] = along(blade.sides[i % 2]!, random.between(0.06, 0.94)).point;
    const spot: Point = [x, y * random.between(0.08, 0.92)];
    const away = direction(random.between(-0.6, 0.6));
    return stroke(role, move([spot, add(spot, scaleBy(away, size))]));
  });
}
