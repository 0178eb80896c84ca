import { randomFrom, seedOf } from '../../random/index.ts';
import { add, along, band, curve, direction, ellipse, place, scaleBy, type Point } from '../geometry.ts';
import { NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, type Scene, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';

const colorOf = (reader: TraitReader, otherwise: string): string =>
  NATURAL[reader.states('fruit.color')[0] ?? otherwise] ?? NATURAL[otherwise]!;

/** The wing of a samara from its joint at the origin to its tip at `length` on +x: a thick straight edge, a curved one, veins. */
function samaraWing(length: number, fill: string): Shape[] {
  const line = Array.from({ length: 13 }, (_, i): Point => [(length * i) / 12, 0]);
  const half = (s: number) =>
    length *
    (s < 0.3 ? 0.085 + 0.1 * s : 0.115 + 0.1 * Math.sin(Math.PI * ((s - 0.3) / 0.7) ** 0.8)) *
    (s > 0.94 ? Math.max(0.02, (1 - s) * 16) : 1);
  const upper = line.map(([x], i): Point => [x, -half(i / 12) * 0.55]);
  const lower = line.map(([x], i): Point => [x, half(i / 12) * 1.2]).reverse();
  const shapes: Shape[] = [{ role: 'wing', points: [...upper, ...lower], closed: true, fill }];
  for (let k = 1; k <= 5; k += 1)
    shapes.push({
      role: 'veinlet',
      points: curve(
        [length * 0.28, -length * 0.01 * k],
        [length * (0.3 + 0.1 * k), length * 0.01],
        [length * (0.38 + 0.11 * k), length * 0.13],
        4,
      ),
      closed: false,
    });
  shapes.push({
    role: 'nut',
    points: place(
      band(
        [
          [0, 0],
          [length * 0.15, 0],
          [length * 0.3, 0],
        ],
        (s) => length * 0.085 * Math.sin(Math.PI * (0.12 + 0.82 * s)),
      ),
      [0, 0],
      0.04,
    ),
    closed: true,
    fill: tinted(fill, -0.12),
  });
  return shapes;
}

/** Two winged halves at their angle, hanging from one stalk; some to a bunch. */
export function pairedSamaras(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'samaras'));
  const scene = emptyScene();
  const length = reader.mm('fruit.length', 28);
  const half = ((reader.number('fruit.samaraAngle', 70) / 2) * Math.PI) / 180;
  const fill = colorOf(reader, traits.values['fruit.color'] === undefined ? 'greenish' : 'brown');
  const spots: { at: Point; turn: number; grow: number }[] = [
    { at: [-length * 1.15, length * 0.5], turn: 0.2, grow: 0.9 },
    { at: [length * 1.15, length * 0.45], turn: -0.2, grow: 0.94 },
    { at: [0, length * 0.75], turn: 0, grow: 1 },
  ];
  for (const { at, turn, grow } of spots) {
    scene.shapes.push({
      role: 'stalk',
      points: band(curve([0, -length * 0.35], [at[0] * 0.7, 0], at, 8), () => length * 0.014),
      closed: true,
      fill: NATURAL['greenish']!,
    });
    const lean = Math.PI / 2 + turn + random.between(-0.06, 0.06);
    for (const side of [1, -1])
      for (const shape of samaraWing(length * grow, fill))
        scene.shapes.push({
          ...shape,
          points: place(
            shape.points.map(([x, y]): Point => [x, y * side]),
            at,
            lean - side * half,
          ),
        });
  }
  anchor(
    scene,
    [0, length * 1.1],
    'fruit.type',
    'fruit.samaraAngle',
    'fruit.samaraWing',
    'fruit.length',
    'fruit.color',
    'fruit.seed',
  );
  return scene;
}

/** Single samaras: a wing all round the seed, or one at its end; in a bunch. */
export function singleSamaras(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'samaras'));
  const scene = emptyScene();
  const length = reader.mm('fruit.length', 14);
  const around = reader.state('fruit.samaraWing', 'around') === 'around';
  const fill = colorOf(reader, 'greenish');
  scene.shapes.push({
    role: 'twig',
    points: band(
      [
        [-length * 1.4, 0],
        [length * 1.8, length * 0.08],
      ],
      () => length * 0.08,
    ),
    closed: true,
    fill: NATURAL['greyBrown']!,
  });
  for (let i = 0; i < 5; i += 1) {
    const angle = Math.PI / 2 + (i - 2) * 0.5 + random.between(-0.08, 0.08);
    const from: Point = [(i - 2) * length * 0.12, length * 0.08];
    const base = add(from, scaleBy(direction(angle), length * 0.28 * (1 + (i % 2))));
    scene.shapes.push({
      role: 'stalk',
      points: band([from, base], () => length * 0.02),
      closed: true,
      fill: NATURAL['greenish']!,
    });
    const grown = length * random.between(0.9, 1.02);
    const shapes: Shape[] = around
      ? [
          {
            role: 'wing',
            points: band(
              Array.from({ length: 13 }, (_, k): Point => [(grown * k) / 12, 0]),
              (s) =>
                grown * 0.42 * Math.sin(Math.PI * Math.min(1, 0.06 + 0.92 * s)) ** 0.6 * (s > 0.96 ? 0.4 : 1),
            ),
            closed: true,
            fill,
          },
          {
            role: 'nut',
            points: ellipse([grown * 0.55, 0], grown * 0.16, grown * 0.12),
            closed: true,
            fill: tinted(fill, -0.18),
          },
          {
            role: 'mark',
            points: [
              [grown, 0],
              [grown * 0.86, 0],
            ],
            closed: false,
          },
        ]
      : samaraWing(grown, fill);
    for (const shape of shapes) scene.shapes.push({ ...shape, points: place(shape.points, base, angle) });
  }
  anchor(
    scene,
    [0, length * 0.8],
    'fruit.type',
    'fruit.samaraWing',
    'fruit.length',
    'fruit.color',
    'fruit.seed',
  );
  return scene;
}

/** An acorn in its cup: the cup covers the share of the nut that the trait says, fringed or not. Nut and cup stand point down. */
export function acorn(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const scene = emptyScene();
  const length = reader.mm('fruit.length', 24);
  const cover = Math.min(0.98, Math.max(0.06, reader.number('acorn.cupCover', 30) / 100));
  const width = length * 0.68;
  const halfAt = (s: number) =>
    (width / 2) * Math.sin(Math.PI * Math.min(1, 0.16 + 0.84 * (1 - (1 - s) ** 1.15))) ** 0.5;
  const nutLine = Array.from({ length: 25 }, (_, i): Point => [0, (length * i) / 24]);
  const half = (s: number) =>
    Math.max(0.02, s < 0.42 ? (width / 2) * Math.sqrt(1 - 0.6 * (1 - s / 0.42) ** 2) : halfAt(s));
  const outline = (line: readonly Point[], at: (y: number) => number): Point[] => [
    ...line.map(([, y]): Point => [-at(y), y]),
    ...[...line].reverse().map(([, y]): Point => [at(y), y]),
  ];
  scene.shapes.push({
    role: 'nut',
    points: outline(nutLine, (y) => half(y / length)),
    closed: true,
    fill: colorOf(reader, 'brown'),
  });
  scene.shapes.push({
    role: 'mark',
    points: [
      [0, length],
      [0, length * 1.05],
    ],
    closed: false,
  });
  const thick = width * 0.07;
  const rim = length * cover;
  const cupLine = Array.from({ length: 15 }, (_, i): Point => [0, -thick + ((rim + thick) * i) / 14]);
  const bowl = (y: number) =>
    (half(Math.max(0, y) / length) + thick) * (y < 0 ? 0.8 + (0.2 * (y + thick)) / thick : 1);
  scene.shapes.push({
    role: 'cup',
    points: outline(cupLine, bowl),
    closed: true,
    fill: NATURAL['greyBrown']!,
  });
  const rows = Math.max(2, Math.round(rim / (width * 0.12)));
  for (let row = 0; row < rows; row += 1)
    for (let k = -3; k <= 3; k += 1) {
      const y = ((row + 0.5) / rows) * rim;
      const x = ((k + (row % 2) * 0.5) / 3.6) * bowl(y);
      if (Math.abs(x) > bowl(y) * 0.94) continue;
      const s = width * 0.055;
      scene.shapes.push({
        role: 'fruitScale',
        points: [
          [x - s, y - s],
          [x, y + s * 1.1],
          [x + s, y - s],
        ],
        closed: true,
        fill: tinted(NATURAL['greyBrown']!, 0.14),
      });
    }
  if (reader.flag('acorn.fringe'))
    for (let k = -9; k <= 9; k += 1) {
      const x = (k / 9) * bowl(rim);
      scene.shapes.push({
        role: 'hair',
        points: curve(
          [x, rim],
          [x * 1.1, rim + length * 0.08],
          [x * 1.18, rim + length * (0.12 + 0.03 * (k % 2))],
          3,
        ),
        closed: false,
      });
    }
  scene.shapes.push({
    role: 'stalk',
    points: band(
      [
        [0, -thick],
        [width * 0.06, -length * 0.28],
      ],
      () => width * 0.045,
    ),
    closed: true,
    fill: NATURAL['greyBrown']!,
  });
  anchor(scene, [0, rim * 0.5], 'fruit.type', 'acorn.cupCover', 'fruit.color', 'fruit.length');
  anchor(scene, [width * 0.4, rim], 'acorn.fringe');
  return scene;
}

/** A nut in its husk, split as far as it is scored. */
export function huskNut(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const scene = emptyScene();
  const length = reader.mm('fruit.length', 40);
  const r = length / 2;
  const fill = colorOf(reader, 'greenish');
  scene.shapes.push({
    role: 'stalk',
    points: band(
      [
        [0, -r * 0.95],
        [0, -r * 1.35],
      ],
      () => r * 0.08,
    ),
    closed: true,
  });
  scene.shapes.push({ role: 'fruit', points: ellipse([0, 0], r * 0.9, r, 0, 32), closed: true, fill });
  const split = { none: 0, half: 0.5, base: 0.94 }[reader.state('fruit.huskSplit', 'none')] ?? 0;
  if (split > 0) {
    const top = r * (1 - 2 * split);
    scene.shapes.push({
      role: 'nut',
      points: [
        [0, top],
        [r * 0.34, r * 0.4],
        [r * 0.2, r * 0.94],
        [-r * 0.2, r * 0.94],
        [-r * 0.34, r * 0.4],
      ],
      closed: true,
      fill: NATURAL['brown']!,
    });
    for (const s of [-1, 1])
      scene.shapes.push({
        role: 'mark',
        points: curve([0, top], [s * r * 0.5, r * 0.2], [s * r * 0.3, r * 0.93], 6),
        closed: false,
      });
  } else
    for (const s of [-0.5, 0, 0.5])
      scene.shapes.push({
        role: 'veinlet',
        points: curve([0, -r * 0.96], [s * r * 1.6, 0], [0, r * 0.96], 8),
        closed: false,
      });
  anchor(scene, [0, 0], 'fruit.type', 'fruit.huskSplit', 'fruit.length', 'fruit.color');
  return scene;
}

/** Small nuts on a stalk that joins a strap-shaped bract. */
export function bractNutlets(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const scene = emptyScene();
  const size = reader.mm('fruit.length', 8);
  const bract = size * 9;
  scene.shapes.push({
    role: 'bract',
    points: band(
      curve([0, 0], [bract * 0.5, bract * 0.06], [bract, bract * 0.02], 14),
      (s) => bract * 0.075 * Math.sin(Math.PI * (0.08 + 0.86 * s)) ** 0.5,
    ),
    closed: true,
    fill: '#b9bf86',
  });
  const stalk = curve([0, 0], [bract * 0.42, bract * 0.05], [bract * 0.62, bract * 0.42], 10);
  scene.shapes.push({ role: 'stalk', points: band(stalk, () => size * 0.09), closed: true });
  const end = stalk[stalk.length - 1]!;
  for (const off of [-0.7, 0, 0.7]) {
    const tip = add(end, scaleBy(direction(1.1 + off), size * 1.6));
    scene.shapes.push({ role: 'stalk', points: band([end, tip], () => size * 0.07), closed: true });
    scene.shapes.push({
      role: 'nut',
      points: ellipse(tip, size * 0.5, size * 0.5),
      closed: true,
      fill: colorOf(reader, 'greyBrown'),
    });
  }
  anchor(scene, end, 'fruit.type', 'fruit.length', 'fruit.color');
  return scene;
}

/** A hanging string of capsules, ripe ones split, with cotton where the seed has it. */
export function capsules(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'capsules'));
  const scene = emptyScene();
  const size = reader.mm('fruit.length', 6);
  const axis = curve([0, 0], [size * 0.8, size * 5], [0, size * 11], 20);
  scene.shapes.push({
    role: 'twig',
    points: band(
      [
        [-size * 2.4, -size * 0.2],
        [size * 2, 0],
      ],
      () => size * 0.3,
    ),
    closed: true,
    fill: NATURAL['greyBrown']!,
  });
  scene.shapes.push({
    role: 'stalk',
    points: band(axis, () => size * 0.1),
    closed: true,
    fill: NATURAL['greenish']!,
  });
  const ripe = reader.known('fruit.seed');
  const cottony = reader.state('fruit.seed', 'plain') === 'cottony';
  const fill = colorOf(reader, 'greenish');
  for (let i = 0; i < 20; i += 1) {
    const { point, angle } = along(axis, 0.1 + (0.88 * i) / 20);
    const side = i % 2 ? 1 : -1;
    const heading = angle + side * random.between(0.7, 1.25);
    const grown = size * random.between(0.9, 1.03);
    const base = add(point, scaleBy(direction(heading), size * 0.18));
    const splits = ripe && i % 3 !== 0;
    if (splits && cottony) {
      const tuft = add(base, scaleBy(direction(heading), grown * 1.05));
      scene.shapes.push({
        role: 'cotton',
        points: Array.from({ length: 12 }, (_, k): Point =>
          add(tuft, scaleBy(direction((2 * Math.PI * k) / 12), grown * random.between(0.35, 0.6))),
        ),
        closed: true,
      });
    }
    for (const half of splits ? [-0.28, 0.28] : [0])
      scene.shapes.push({
        role: 'fruit',
        points: place(
          band(
            Array.from({ length: 8 }, (_, k): Point => [(grown * k) / 7, 0]),
            (s) => grown * (splits ? 0.11 : 0.22) * Math.sin(Math.PI * (0.14 + 0.82 * s)) + 0.02,
          ),
          base,
          heading + half,
        ),
        closed: true,
        fill,
      });
  }
  anchor(scene, along(axis, 0.55).point, 'fruit.type', 'fruit.length', 'fruit.seed', 'fruit.color');
  return scene;
}

/** Flat pods with the seeds showing. */
export function pods(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const scene = emptyScene();
  const length = reader.mm('fruit.length', 90);
  const fill = colorOf(reader, 'brown');
  [-0.3, 0.25].forEach((lean, i) => {
    const line = curve([0, 0], [length * 0.5, length * 0.08], [length * (1 - 0.1 * i), 0], 16);
    const heading = Math.PI / 2 + lean;
    const half = Math.min(length * 0.09, 12);
    scene.shapes.push({
      role: 'fruit',
      points: place(
        band(line, (s) => half * Math.min(1, s * 8 + 0.15, (1 - s) * 8 + 0.1)),
        [0, 0],
        heading,
      ),
      closed: true,
      fill,
    });
    for (let k = 1; k < 7; k += 1)
      scene.shapes.push({
        role: 'mark',
        points: place(ellipse(along(line, k / 7).point, half * 0.5, half * 0.42, 0, 12), [0, 0], heading),
        closed: false,
      });
  });
  scene.shapes.push({
    role: 'stalk',
    points: band(
      [
        [0, -length * 0.12],
        [0, length * 0.02],
      ],
      () => length * 0.012,
    ),
    closed: true,
  });
  anchor(scene, [0, length * 0.5], 'fruit.type', 'fruit.length', 'fruit.color');
  return scene;
}

/** A round head of many small dry fruits on a long stalk, or a cone-like head of follicles. */
export function heads(traits: Traits, follicles: boolean): Scene {
  const reader = new TraitReader(traits);
  const scene = emptyScene();
  const length = reader.mm('fruit.length', follicles ? 70 : 28);
  const r = length / 2;
  const fill = colorOf(reader, 'brown');
  scene.shapes.push({
    role: 'stalk',
    points: band(
      [
        [0, -r * (follicles ? 1.4 : 3.2)],
        [0, -r * 0.9],
      ],
      () => r * 0.06,
    ),
    closed: true,
  });
  scene.shapes.push({
    role: 'fruit',
    points: ellipse([0, 0], follicles ? r * 0.48 : r, r, 0, 30),
    closed: true,
    fill,
  });
  for (let k = 0; k < 60; k += 1) {
    const t = (k + 0.5) / 60;
    const y = (1 - 2 * t) * r * 0.94;
    const x = Math.sqrt(Math.max(0, 1 - (y / r) ** 2)) * r * (follicles ? 0.46 : 0.97) * Math.sin(k * GOLDEN);
    if (Math.cos(k * GOLDEN) < 0) continue;
    const s = r * (follicles ? 0.16 : 0.1);
    scene.shapes.push({
      role: 'fruitScale',
      points: ellipse([x, y], s * 0.7, s, 0, 8),
      closed: true,
      fill: tinted(fill, 0.1),
    });
  }
  anchor(scene, [0, 0], 'fruit.type', 'fruit.length', 'fruit.color');
  return scene;
}

const GOLDEN = 2.39996;
