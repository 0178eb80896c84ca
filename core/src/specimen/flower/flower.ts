import { randomFrom, seedOf, type Random } from '../../random/index.ts';
import { clusterOf } from '../fruit/fleshy.ts';
import { add, along, band, curve, direction, ellipse, place, scaleBy, type Point } from '../geometry.ts';
import { NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, filled, stroke, type Scene, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';

/** Flowers or pollen cones of one individual; undefined where neither is known. */
export function flowersOf(traits: Traits): Scene | undefined {
  const reader = new TraitReader(traits);
  const type = reader.state('flower.type', '');
  if (type === 'hangingCatkin' || type === 'erectCatkin') return catkins(reader, type === 'hangingCatkin');
  if (type) return blossom(reader, type);
  if (reader.known('pollenCone.color') || reader.known('pollenCone.length')) return pollenCones(reader);
  return undefined;
}

const colorOf = (reader: TraitReader, otherwise: string): string =>
  NATURAL[reader.state('flower.color', otherwise)] ?? NATURAL[otherwise]!;

/** Tiny flowers in spikes that hang or stand, each under its bract. */
function catkins(reader: TraitReader, hanging: boolean): Scene {
  const random = randomFrom(seedOf(reader.traits.seed, 'catkins'));
  const scene = emptyScene();
  const length = reader.mm('flower.size', hanging ? 60 : 30);
  const half = Math.min(length * 0.1, hanging ? 5 : 7);
  const twig: Point[] = [
    [-length * 0.5, 0],
    [length * 0.2, length * 0.02],
    [length * 0.75, -length * 0.03],
  ];
  scene.shapes.push(
    filled(
      'twig',
      band(twig, () => Math.max(0.8, length * 0.02)),
      NATURAL['greyBrown']!,
    ),
  );
  const color = colorOf(reader, 'yellowish');
  const bract =
    reader.state('flower.catkinBract', 'pale') === 'dark' ? NATURAL['nearBlack']! : tinted(color, -0.18);
  const n = hanging ? 3 : 2;
  for (let i = 0; i < n; i += 1) {
    const { point } = along(twig, 0.2 + (0.66 * i) / n);
    const heading = hanging
      ? Math.PI / 2 + random.between(-0.12, 0.12)
      : -Math.PI / 2 + random.between(-0.25, 0.25);
    const grown = length * random.between(0.88, 1.02);
    const line = curve([0, 0], [grown * 0.5, random.between(-0.05, 0.05) * grown], [grown, 0], 14);
    const body = band(line, (s) => half * Math.min(1, s * 9 + 0.25, (1 - s) * 6 + 0.2));
    scene.shapes.push(filled('catkin', place(body, point, heading), color));
    const rows = Math.max(6, Math.round(grown / (half * 0.8)));
    for (let row = 0; row < rows; row += 1)
      for (const across of row % 2 ? [-0.6, 0.2] : [-0.2, 0.6]) {
        const { point: at, angle: a } = along(line, (row + 0.5) / rows);
        const foot = add(at, scaleBy(direction(a + Math.PI / 2), across * half));
        scene.shapes.push(
          filled(
            'bract',
            place(
              [
                [-half * 0.3, -half * 0.28],
                [half * 0.3, 0],
                [-half * 0.3, half * 0.28],
              ].map(([x, y]): Point => [x! + foot[0], y! + foot[1]]),
              point,
              heading,
            ),
            bract,
          ),
        );
        if (!hanging || row % 2)
          scene.shapes.push(
            stroke(
              'stamen',
              place(
                [foot, add(foot, scaleBy(direction(Math.sign(across) * 1.2), half * (hanging ? 0.6 : 1.1)))],
                point,
                heading,
              ),
            ),
          );
      }
  }
  const shown = along(twig, 0.42).point;
  anchor(
    scene,
    add(shown, [0, (hanging ? 1 : -1) * length * 0.5]),
    'flower.type',
    'flower.color',
    'flower.catkinBract',
    'flower.size',
    'flower.timing',
    'flower.sexes',
  );
  return scene;
}

/** Petalled flowers in their cluster, one of them enlarged. */
function blossom(reader: TraitReader, type: string): Scene {
  const random = randomFrom(seedOf(reader.traits.seed, 'blossom'));
  const scene = emptyScene();
  const size = reader.mm('flower.size', 9);
  const { stalks, ends } = clusterOf(type, size, random);
  scene.shapes.push(
    filled(
      'twig',
      band(
        [
          [-size * 2.4, -size * 0.1],
          [size * 2.4, size * 0.1],
        ],
        () => size * 0.12,
      ),
      NATURAL['greyBrown']!,
    ),
  );
  if (type === 'wingedBract')
    scene.shapes.push(
      filled(
        'bract',
        band(
          curve([0, 0], [size * 3, size], [size * 6, size * 0.6], 12),
          (s) => size * 0.5 * Math.sin(Math.PI * (0.1 + 0.85 * s)),
        ),
        '#b9bf86',
      ),
    );
  for (const line of stalks)
    scene.shapes.push(
      filled(
        'stalk',
        band(line, () => size * 0.035),
        NATURAL['greenish']!,
      ),
    );
  const heading = type === 'head' ? 0 : random.between(0, 1);
  for (const { at, angle } of ends)
    scene.shapes.push(
      ...flower(
        reader,
        add(at, scaleBy(direction(angle), size * 0.2)),
        size * random.between(0.9, 1.02),
        angle + heading,
        random,
        false,
      ),
    );
  if (reader.flag('flower.showyBracts'))
    for (let k = 0; k < 4; k += 1)
      scene.shapes.push(
        filled(
          'petal',
          place(petal(size * 2.6, size * 1.1), [0, 0], (k * Math.PI) / 2 + 0.3),
          colorOf(reader, 'white'),
        ),
      );
  scene.insets.push({
    title: 'a flower',
    shows: 'flower.petals',
    shapes: flower(reader, [0, 0], size, -Math.PI / 2, random, true),
  });
  const shown = ends[Math.floor(ends.length / 2)]!;
  anchor(
    scene,
    shown.at,
    'flower.type',
    'flower.color',
    'flower.petals',
    'flower.size',
    'flower.timing',
    'flower.sexes',
    'flower.scent',
    'flower.stamens',
    'flower.showyBracts',
  );
  return scene;
}

const petal = (length: number, width: number): Point[] =>
  band(
    Array.from({ length: 8 }, (_, i): Point => [(length * i) / 7, 0]),
    (s) => (width / 2) * Math.sin(Math.PI * Math.min(1, 0.12 + 0.8 * s)) + 0.01,
  );

/** One flower face on: petals round the middle, stamens, and the pistil. `size` is its width across. */
function flower(
  reader: TraitReader,
  at: Point,
  size: number,
  angle: number,
  random: Random,
  stamens: boolean,
): Shape[] {
  const petals = Math.round(reader.number('flower.petals', 5));
  const color = colorOf(reader, 'white');
  const shapes: Shape[] = [];
  const r = size / 2;
  if (petals === 0) shapes.push(filled('flower', ellipse(at, r * 0.5, r * 0.5, 0, 12), color));
  for (let k = 0; k < petals; k += 1)
    shapes.push(
      filled(
        'petal',
        place(petal(r, r * Math.min(1, 4.4 / petals)), at, angle + (2 * Math.PI * k) / petals),
        tinted(color, random.between(-0.04, 0.02)),
      ),
    );
  const n = stamens
    ? Math.min(40, Math.round(reader.number('flower.stamens', Math.max(5, petals))))
    : Math.min(6, petals);
  for (let k = 0; k < n; k += 1) {
    const way = direction((2 * Math.PI * (k + 0.5)) / Math.max(1, n));
    shapes.push(
      stroke('stamen', [add(at, scaleBy(way, r * 0.12)), add(at, scaleBy(way, r * (k % 2 ? 0.62 : 0.5)))]),
    );
  }
  shapes.push(filled('flower', ellipse(at, r * 0.14, r * 0.14, 0, 10), NATURAL['yellow']!));
  return shapes;
}

/** Pollen cones clustered at the end of a conifer's twig. */
function pollenCones(reader: TraitReader): Scene {
  const random = randomFrom(seedOf(reader.traits.seed, 'pollen'));
  const scene = emptyScene();
  const length = reader.mm('pollenCone.length', 8);
  const color = NATURAL[reader.state('pollenCone.color', 'yellow')] ?? NATURAL['yellow']!;
  const axis = curve([-length * 3, 0], [-length, -length * 0.1], [length * 1.6, 0], 12);
  scene.shapes.push(
    filled(
      'twig',
      band(axis, () => Math.max(0.7, length * 0.14)),
      NATURAL['brown']!,
    ),
  );
  for (let i = 0; i < 10; i += 1) {
    const { point, angle } = along(axis, 0.36 + 0.062 * i);
    const heading = angle + (i % 2 ? 1 : -1) * random.between(0.7, 1.2) * (i > 7 ? 0.5 : 1);
    const body = band(
      Array.from({ length: 9 }, (_, k): Point => [(length * k) / 8, 0]),
      (s) => length * 0.24 * Math.sin(Math.PI * (0.1 + 0.84 * s)) ** 0.6,
    );
    scene.shapes.push(filled('pollenCone', place(body, point, heading), color));
    for (let row = 1; row < 7; row += 1)
      scene.shapes.push(
        stroke(
          'mark',
          place(
            curve(
              [length * 0.13 * row, -length * 0.18],
              [length * 0.13 * row + length * 0.07, 0],
              [length * 0.13 * row, length * 0.18],
              4,
            ),
            point,
            heading,
          ),
        ),
      );
  }
  anchor(scene, [length, 0], 'pollenCone.color', 'pollenCone.length', 'flower.sexes');
  return scene;
}
