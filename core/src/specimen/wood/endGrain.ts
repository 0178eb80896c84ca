import { randomFrom, seedOf } from '../../random/index.ts';
import { ellipse, type Point } from '../geometry.ts';
import { NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, filled, stroke, type Scene } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';

/** A piece of end grain is so wide and so high, millimetres. */
const SIZE = 10;
const RINGS = 4;

/** End grain as a lens shows it: rings, pores by their type, rays by their width, resin canals. Undefined where nothing is scored. */
export function endGrain(traits: Traits): Scene | undefined {
  const reader = new TraitReader(traits);
  if (!reader.known('wood.pores')) return undefined;
  const random = randomFrom(seedOf(traits.seed, 'wood'));
  const scene = emptyScene();
  scene.field = true;
  const color = tinted(NATURAL[reader.state('wood.heartwood', 'cream')] ?? NATURAL['cream']!, 0.2);
  scene.shapes.push(
    filled(
      'wood',
      [
        [0, 0],
        [SIZE, 0],
        [SIZE, SIZE],
        [0, SIZE],
      ],
      color,
    ),
  );
  const pores = reader.state('wood.pores', 'diffuse');
  const ring = SIZE / RINGS;
  const pore = (x: number, y: number, r: number) => {
    if (x - r > 0 && x + r < SIZE && y - r > 0 && y + r < SIZE)
      scene.shapes.push(filled('pore', ellipse([x, y], r, r, 0, 9)));
  };
  for (let k = 0; k < RINGS; k += 1) {
    const top = SIZE - (k + 1) * ring;
    // Late wood, darker, lies towards the bark (up).
    scene.shapes.push(
      filled(
        'ring',
        [
          [0, top],
          [SIZE, top],
          [SIZE, top + ring * 0.16],
          [0, top + ring * 0.16],
        ],
        tinted(color, pores === 'none' ? -0.28 : -0.12),
      ),
    );
    if (pores === 'none') {
      for (let x = 0.1; x < SIZE; x += 0.22)
        scene.shapes.push(
          stroke('veinlet', [
            [x, top + ring * 0.2],
            [x, top + ring * 0.98],
          ]),
        );
      if (reader.flag('wood.resinCanals'))
        for (let i = 0; i < 5; i += 1)
          pore(random.between(0.4, SIZE - 0.4), top + ring * random.between(0.1, 0.3), 0.12);
      continue;
    }
    const rows = 6;
    for (let r = 0; r < rows; r += 1) {
      const s = (r + 0.5) / rows; // from the early wood (below) to the late wood
      const size =
        pores === 'ring' ? (r === 0 ? 0.17 : 0.035) : pores === 'semiRing' ? 0.15 * (1 - 0.8 * s) : 0.06;
      const n = pores === 'ring' ? (r === 0 ? 22 : 20) : pores === 'semiRing' ? 22 : 34;
      for (let i = 0; i < n; i += 1)
        pore(
          ((i + random.between(0.2, 0.8)) / n) * SIZE,
          top + ring * (1 - s) + random.between(-0.1, 0.1) * ring,
          size * random.between(0.85, 1.1),
        );
    }
  }
  const rays = { lens: 0.012, eye: 0.035, broad: 0.1 }[reader.state('wood.rays', 'lens')] ?? 0.012;
  for (let i = 0; i < (rays > 0.05 ? 9 : 22); i += 1) {
    const x = random.between(0.05, 0.95) * SIZE;
    const half: number = rays;
    const points: Point[] = [
      [x - half, 0],
      [x + half, 0],
      [x + half, SIZE],
      [x - half, SIZE],
    ];
    scene.shapes.push(filled('ray', points, tinted(color, 0.35)));
  }
  anchor(
    scene,
    [SIZE / 2, SIZE / 2],
    'wood.pores',
    'wood.rays',
    'wood.resinCanals',
    'wood.heartwood',
    'wood.density',
  );
  return scene;
}
