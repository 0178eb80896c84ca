import { add, band, direction, ellipse, place, scaleBy, type Point } from '../geometry.ts';
import { filled, stroke, type Inset, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { budShapes, moveShapes } from './buds.ts';
import { twigColor, type Twig } from './twig.ts';

/** Bundle scars of a leaf scar of unit width, x across and y from the top down. */
function bundleSpots(kind: string): Point[] {
  const row = (n: number): Point[] =>
    Array.from({ length: n }, (_, i) => {
      const x = n === 1 ? 0 : (i / (n - 1) - 0.5) * 1.1;
      return [x, 0.14 - 0.4 * x * x];
    });
  switch (kind) {
    case 'one':
      return row(1);
    case 'three':
      return row(3);
    case 'fiveToNine':
      return row(7);
    case 'curve':
      return row(11);
    case 'threeGroups':
      return row(3).flatMap(([x, y]): Point[] => [
        [x, y],
        [x - 0.09, y + 0.1],
        [x + 0.09, y + 0.1],
      ]);
    default:
      return [
        [-0.4, 0],
        [0.35, 0.06],
        [-0.1, -0.12],
        [0.1, 0.16],
        [0.45, -0.1],
        [-0.35, 0.2],
        [0, 0.02],
        [-0.2, 0.1],
      ];
  }
}

/** Outline of a leaf scar of unit width, its top (towards the bud) at negative y. */
function scarOutline(kind: string, notched: boolean): Point[] {
  const arc = (from: number, to: number, rx: number, ry: number, n = 9): Point[] =>
    Array.from({ length: n + 1 }, (_, i) => {
      const t = from + ((to - from) * i) / n;
      return [rx * Math.cos(t), ry * Math.sin(t)];
    });
  const top: Point[] = notched
    ? [
        [-0.2, -0.02],
        [0, 0.14],
        [0.2, -0.02],
      ]
    : [];
  switch (kind) {
    case 'line':
      return [
        [-0.75, -0.06],
        [0.75, -0.06],
        [0.7, 0.1],
        [-0.7, 0.1],
      ];
    case 'crescent':
      return [
        ...arc(Math.PI, 0, 0.8, 0.12).map(([x, y]): Point => [x, y - 0.2 * x * x]),
        ...arc(0, Math.PI, 0.8, 0.46),
      ];
    case 'shield':
      return [
        [-0.62, -0.3],
        ...top.map(([x, y]): Point => [x, y - 0.28]),
        [0.62, -0.3],
        [0.58, 0.12],
        [0.3, 0.5],
        [0, 0.66],
        [-0.3, 0.5],
        [-0.58, 0.12],
      ];
    case 'uShape':
      return [
        [-0.72, -0.75],
        [-0.5, -0.75],
        ...arc(Math.PI, 0, 0.48, 0.3).map(([x, y]): Point => [x, y - 0.1]),
        [0.5, -0.75],
        [0.72, -0.75],
        ...arc(0, Math.PI, 0.74, 0.55, 10),
      ];
    case 'threeLobed':
      return [
        [-0.66, -0.28],
        ...top,
        [0.66, -0.28],
        [0.74, 0.02],
        [0.42, 0.16],
        [0.24, 0.46],
        [0, 0.58],
        [-0.24, 0.46],
        [-0.42, 0.16],
        [-0.74, 0.02],
      ];
    case 'round':
      return ellipse([0, 0.1], 0.55, 0.52, 0, 16);
    default:
      return [[-0.7, -0.12], ...top, [0.7, -0.12], ...arc(0, Math.PI, 0.7, 0.5)];
  }
}

/** One leaf scar of `size` half-width across the twig, with its bundle scars. */
function scar(reader: TraitReader, at: Point, angle: number, size: number): Shape[] {
  const put = (points: readonly Point[]) =>
    place(
      points.map((p) => scaleBy(p, size)),
      at,
      angle,
    );
  const kind = reader.state('twig.leafScar', 'crescent');
  const spots = bundleSpots(reader.state('twig.bundleScars', 'three'));
  return [
    filled('scar', put(scarOutline(kind, reader.flag('twig.scarNotched')))),
    ...spots.map((spot): Shape =>
      filled('bundle', put(ellipse([spot[0], spot[1] + 0.06], 0.06, 0.06, 0, 6))),
    ),
  ];
}

/** Leaf scars below the buds of a bare twig, with their bundle marks and the scars of stipules. */
export function leafScars(traits: Traits, twig: Twig): Shape[] {
  const reader = new TraitReader(traits);
  const size = Math.max(0.8, twig.thickness * 0.36);
  const stipules = reader.state('twig.stipuleScars', 'none');
  return twig.nodes.flatMap((node) =>
    node.stands.flatMap(({ side, at }): Shape[] => {
      const centre = add(
        add(at, scaleBy(direction(node.angle), -size * 1.1)),
        scaleBy(direction(node.angle + (side * Math.PI) / 2), twig.thickness * 0.28),
      );
      // Seen from the side the scar's top points to the tip of the twig.
      const shapes = scar(reader, centre, node.angle + Math.PI / 2, size);
      if (stipules === 'ring') {
        const ring = add(at, scaleBy(direction(node.angle), -size * 0.4));
        const across = scaleBy(direction(node.angle + Math.PI / 2), twig.thickness * 0.56);
        shapes.push(stroke('mark', [add(ring, across), add(ring, scaleBy(across, -1))]));
      }
      return shapes;
    }),
  );
}

/** A leaf scar seen face on, the bud above it, enlarged. */
export function scarInset(traits: Traits): Inset {
  const reader = new TraitReader(traits);
  const thickness = reader.mm('twig.thickness', 3);
  const size = thickness * 0.46;
  const shapes: Shape[] = [
    filled(
      'twig',
      band(
        [
          [0, thickness * 1.5],
          [0, -thickness * 1.7],
        ],
        () => thickness * 0.62,
      ),
      twigColor(reader),
    ),
    ...scar(reader, [0, thickness * 0.4], 0, size),
  ];
  if (reader.state('twig.stipuleScars', 'none') === 'slits')
    for (const s of [-1, 1])
      shapes.push(
        stroke('mark', [
          [s * thickness * 0.5, thickness * 0.18],
          [s * thickness * 0.6, thickness * 0.4],
        ]),
      );
  if (traits.buds) {
    const length = Math.min(reader.mm('bud.length', 5), thickness * 2.2);
    shapes.push(...moveShapes(budShapes(reader, length), [0, thickness * 0.1], -Math.PI / 2));
  }
  return { title: 'leaf scar', shows: 'twig.leafScar', shapes };
}

/** Half-width of the pith as a share of the twig's. */
const PITH_SIZES: Record<string, number> = { thin: 0.2, middle: 0.42, wide: 0.66 };

/** The twig cut across (pith by its section and size) and along (solid, with walls, or hollow). */
export function pithInset(reader: TraitReader): Inset {
  const r = reader.mm('twig.thickness', 4) / 2;
  const section = reader.state('twig.pithSection', 'round');
  const corners = section === 'star' ? 5 : section === 'triangular' ? 3 : 0;
  const core = (at: Point, size: number): Point[] =>
    corners === 0
      ? ellipse(at, size, size, 0, 18)
      : Array.from({ length: corners * 2 }, (_, i): Point => {
          const far = i % 2 === 0 ? size * 1.25 : size * (corners === 5 ? 0.6 : 0.62);
          return add(at, scaleBy(direction(-Math.PI / 2 + (Math.PI * i) / corners), far));
        });
  const kind = reader.state('twig.pith', 'continuous');
  const half = r * (PITH_SIZES[reader.state('twig.pithSize', 'middle')] ?? PITH_SIZES['middle']!);
  const shapes: Shape[] = [
    filled('twig', ellipse([0, -r * 1.3], r, r, 0, 24), twigColor(reader)),
    filled('wood', ellipse([0, -r * 1.3], r * 0.88, r * 0.88, 0, 24)),
    {
      role: 'pith',
      points: core([0, -r * 1.3], half),
      closed: true,
      ...(kind === 'hollow' ? { fill: '#3a3430' } : {}),
    },
    filled(
      'wood',
      band(
        [
          [-r * 1.8, r * 1.1],
          [r * 1.8, r * 1.1],
        ],
        () => r * 0.9,
      ),
    ),
    {
      role: 'pith',
      points: band(
        [
          [-r * 1.8, r * 1.1],
          [r * 1.8, r * 1.1],
        ],
        () => half,
      ),
      closed: true,
      ...(kind === 'hollow' || kind === 'chambered' ? { fill: '#3a3430' } : {}),
    },
  ];
  if (kind === 'chambered' || kind === 'diaphragmed')
    for (let x = -1.5; x <= 1.5; x += 0.5)
      shapes.push(
        stroke(kind === 'chambered' ? 'paper' : 'mark', [
          [x * r, r * 1.1 - half],
          [x * r, r * 1.1 + half],
        ]),
      );
  return { title: 'pith', shows: 'twig.pith', shapes };
}
