import { randomFrom, seedOf, type Random } from '../../random/index.ts';
import { add, along, band, curve, direction, ellipse, scaleBy, type Point } from '../geometry.ts';
import { NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, filled, stroke, type Scene, type Shape } from '../scene.ts';
import { scaleSpray } from '../needle/scaleSpray.ts';
import { singleShoot } from '../needle/singleShoot.ts';
import { TraitReader, type Traits } from '../traits.ts';

/** Where the members of a cluster stand: ends of stalks that branch as the inflorescence does. */
export interface ClusterSpot {
  at: Point;
  angle: number;
}

/** Stalks and ends of a cluster that hangs or stands from the origin along +y; `size` is the diameter of a member. */
export function clusterOf(
  type: string,
  size: number,
  random: Random,
): { stalks: Point[][]; ends: ClusterSpot[] } {
  const stalks: Point[][] = [];
  const ends: ClusterSpot[] = [];
  const stalk = (from: Point, angle: number, length: number, member = true) => {
    const to = add(from, scaleBy(direction(angle), length));
    stalks.push(
      curve(from, add(from, scaleBy(direction(angle + random.between(-0.12, 0.12)), length * 0.5)), to, 5),
    );
    if (member) ends.push({ at: to, angle });
    return to;
  };
  const down = Math.PI / 2;
  switch (type) {
    case 'raceme': {
      const axis = curve([0, 0], [size * 0.6, size * 4], [0, size * 8.5], 16);
      stalks.push(axis);
      for (let i = 0; i < 17; i += 1) {
        const { point, angle } = along(axis, 0.14 + (0.84 * i) / 16);
        stalk(point, angle + (i % 2 ? 1 : -1) * random.between(0.9, 1.35), size * random.between(0.85, 1.1));
      }
      break;
    }
    case 'panicle': {
      const axis: Point[] = curve([0, 0], [0, -size * 6], [size * 0.5, -size * 13], 16);
      stalks.push(axis);
      for (let i = 0; i < 11; i += 1) {
        const { point, angle } = along(axis, 0.12 + (0.86 * i) / 11);
        const side = i % 2 ? 1 : -1;
        const long = size * (4.6 - 0.33 * i);
        const branch = curve(
          point,
          add(point, scaleBy(direction(angle + side * 0.6), long * 0.6)),
          add(point, scaleBy(direction(angle + side * 0.75), long)),
          6,
        );
        stalks.push(branch);
        for (let k = 0; k < 5 - Math.floor(i / 4); k += 1) {
          const spot = along(branch, 0.35 + 0.16 * k);
          stalk(spot.point, spot.angle + (k % 2 ? 1 : -1) * 0.8, size * 0.7);
        }
      }
      break;
    }
    case 'flatTopped': {
      const top = -size * 5.4;
      for (let i = 0; i < 7; i += 1) {
        const x = (i - 3) * size * 1.75;
        const branch = curve([0, 0], [x * 0.4, top * 0.55], [x, top + Math.abs(i - 3) * size * 0.16], 6);
        stalks.push(branch);
        const end = branch[branch.length - 1]!;
        for (const off of [-0.95, -0.35, 0.3, 0.9]) stalk(end, -down + off, size * random.between(0.9, 1.1));
      }
      break;
    }
    case 'umbel':
      for (let i = 0; i < 6; i += 1) stalk([0, 0], down + (i - 2.5) * 0.36, size * random.between(2.3, 2.7));
      break;
    case 'tuft':
      for (let i = 0; i < 3; i += 1) stalk([0, 0], down + (i - 1) * 0.6, size * random.between(1.4, 1.8));
      break;
    case 'head':
      for (let i = 0; i < 12; i += 1) stalk([0, 0], (2 * Math.PI * i) / 12, size * 0.5);
      break;
    default:
      stalk([0, 0], down + random.between(-0.1, 0.1), size * 1.8);
  }
  return { stalks, ends };
}

/** Drupes, pomes and berries in the cluster that the flowers stood in; a pome keeps the remains of the flower at its end. */
export function fleshyFruits(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'fleshy'));
  const scene = emptyScene();
  const size = reader.mm('fruit.length', 9);
  const type = reader.state('fruit.type', 'drupe');
  const color = NATURAL[reader.states('fruit.color')[0] ?? 'greenish'] ?? NATURAL['greenish']!;
  const { stalks, ends } = clusterOf(traits.cluster ?? 'tuft', size, random);
  const twig: Point[] = [
    [-size * 2.2, -size * 0.1],
    [size * 2.2, size * 0.1],
  ];
  scene.shapes.push(
    filled(
      'twig',
      band(twig, () => size * 0.14),
      NATURAL['greyBrown']!,
    ),
  );
  for (const line of stalks)
    scene.shapes.push(
      filled(
        'stalk',
        band(line, () => size * 0.05),
        NATURAL['greenish']!,
      ),
    );
  for (const { at, angle } of ends) {
    const r = (size / 2) * random.between(0.92, 1.04);
    const centre = add(at, scaleBy(direction(angle), r * 0.9));
    scene.shapes.push(...fleshy(type, centre, angle, r, color));
  }
  const stones = reader.number('fruit.stones', USUAL_STONES[type] ?? 0);
  if (stones > 0)
    scene.insets.push({ title: 'cut', shows: 'fruit.stones', shapes: cutFruit(stones, size, color) });
  const shown = ends[Math.floor(ends.length / 2)]!;
  anchor(
    scene,
    add(shown.at, scaleBy(direction(shown.angle), size * 0.4)),
    'fruit.type',
    'fruit.color',
    'fruit.length',
    'fruit.stones',
  );
  return scene;
}

function fleshy(type: string, centre: Point, angle: number, r: number, color: string): Shape[] {
  const shapes: Shape[] = [
    filled('fruit', ellipse(centre, r, r * 0.97, 0, 22), color),
    filled('light', ellipse(add(centre, [-r * 0.36, -r * 0.38]), r * 0.2, r * 0.14, -0.7, 10)),
  ];
  const end = add(centre, scaleBy(direction(angle), r * 0.94));
  if (type === 'pome')
    for (const off of [-0.9, -0.3, 0.3, 0.9])
      shapes.push(stroke('mark', [end, add(end, scaleBy(direction(angle + off), r * 0.34))]));
  else
    shapes.push(
      stroke('mark', [
        add(end, scaleBy(direction(angle), -r * 0.08)),
        add(end, scaleBy(direction(angle), r * 0.06)),
      ]),
    );
  return shapes;
}

/** Where nobody counted: a drupe has one stone, a berry several small seeds. A pome is known by its crown. */
const USUAL_STONES: Record<string, number> = { drupe: 1, berry: 6 };

/** A fruit cut across, with its stones. */
function cutFruit(stones: number, size: number, color: string): Shape[] {
  const r = size / 2;
  const shapes: Shape[] = [
    filled('fruit', ellipse([0, 0], r, r, 0, 28), color),
    filled('pith', ellipse([0, 0], r * 0.86, r * 0.86, 0, 28), tinted(color, 0.5)),
  ];
  const n = Math.max(1, Math.round(stones));
  for (let k = 0; k < n; k += 1) {
    const at =
      n === 1 ? ([0, 0] as Point) : scaleBy(direction((2 * Math.PI * k) / n - Math.PI / 2), r * 0.46);
    shapes.push(
      filled(
        'nut',
        ellipse(
          at,
          n === 1 ? r * 0.45 : r * Math.min(0.26, 0.9 / n),
          n === 1 ? r * 0.45 : r * 0.3,
          (2 * Math.PI * k) / n - Math.PI / 2,
          14,
        ),
        NATURAL['yellowish']!,
      ),
    );
  }
  return shapes;
}

/** Fleshy cones or arils of a conifer on a piece of its shoot. */
export function coniferBerries(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const size = reader.mm('fruit.length', 7);
  const aril = reader.state('fruit.type', 'berryCone') === 'arilSeed';
  const kind = reader.state('foliage.kind', aril ? 'single' : 'scales');
  const shoot = kind === 'scales' ? scaleSpray(traits) : singleShoot(reader, kind);
  const random = randomFrom(seedOf(traits.seed, 'berries'));
  const color = NATURAL[reader.states('fruit.color')[0] ?? (aril ? 'red' : 'blue')] ?? NATURAL['blue']!;
  const scene: Scene = { ...emptyScene(), shapes: [...shoot.shapes] };
  const spots: Point[] = [0.18, 0.36, 0.55, 0.7].map((s, i): Point => [
    s * 80,
    (i % 2 ? 1 : -1) * random.between(3, 8),
  ]);
  for (const at of spots) {
    const r = (size / 2) * random.between(0.94, 1.05);
    scene.shapes.push(filled('fruit', ellipse(at, r, r * 0.96, 0, 22), color));
    if (aril) {
      scene.shapes.push(
        filled('cup', ellipse(add(at, [0, -r * 0.28]), r * 0.62, r * 0.36, 0, 16), tinted(color, -0.4)),
      );
      scene.shapes.push(
        filled('nut', ellipse(add(at, [0, -r * 0.28]), r * 0.42, r * 0.26, 0, 14), NATURAL['brown']!),
      );
    } else {
      scene.shapes.push(
        filled('light', ellipse(add(at, [-r * 0.3, -r * 0.36]), r * 0.34, r * 0.2, -0.6, 10)),
      );
      scene.shapes.push(
        stroke(
          'mark',
          curve(add(at, [-r * 0.3, r * 0.1]), add(at, [0, -r * 0.12]), add(at, [r * 0.3, r * 0.1]), 4),
        ),
      );
    }
  }
  anchor(scene, spots[1]!, 'fruit.type', 'fruit.color', 'fruit.length', 'fruit.stones');
  return scene;
}
