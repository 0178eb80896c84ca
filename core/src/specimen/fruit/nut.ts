import { add, band, curve, direction, ellipse, scaleBy, type Point } from '../geometry.ts';
import { NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, filled, stroke, type Scene } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { fruitColor } from './color.ts';

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
  scene.shapes.push(
    filled(
      'nut',
      outline(nutLine, (y) => half(y / length)),
      fruitColor(reader, 'brown'),
    ),
  );
  scene.shapes.push(
    stroke('mark', [
      [0, length],
      [0, length * 1.05],
    ]),
  );
  const thick = width * 0.07;
  const rim = length * cover;
  const cupLine = Array.from({ length: 15 }, (_, i): Point => [0, -thick + ((rim + thick) * i) / 14]);
  const bowl = (y: number) =>
    (half(Math.max(0, y) / length) + thick) * (y < 0 ? 0.8 + (0.2 * (y + thick)) / thick : 1);
  scene.shapes.push(filled('cup', outline(cupLine, bowl), NATURAL['greyBrown']!));
  const rows = Math.max(2, Math.round(rim / (width * 0.12)));
  for (let row = 0; row < rows; row += 1)
    for (let k = -3; k <= 3; k += 1) {
      const y = ((row + 0.5) / rows) * rim;
      const x = ((k + (row % 2) * 0.5) / 3.6) * bowl(y);
      if (Math.abs(x) > bowl(y) * 0.94) continue;
      const s = width * 0.055;
      scene.shapes.push(
        filled(
          'fruitScale',
          [
            [x - s, y - s],
            [x, y + s * 1.1],
            [x + s, y - s],
          ],
          tinted(NATURAL['greyBrown']!, 0.14),
        ),
      );
    }
  if (reader.flag('acorn.fringe'))
    for (let k = -9; k <= 9; k += 1) {
      const x = (k / 9) * bowl(rim);
      scene.shapes.push(
        stroke(
          'hair',
          curve(
            [x, rim],
            [x * 1.1, rim + length * 0.08],
            [x * 1.18, rim + length * (0.12 + 0.03 * (k % 2))],
            3,
          ),
        ),
      );
    }
  scene.shapes.push(
    filled(
      'stalk',
      band(
        [
          [0, -thick],
          [width * 0.06, -length * 0.28],
        ],
        () => width * 0.045,
      ),
      NATURAL['greyBrown']!,
    ),
  );
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
  const fill = fruitColor(reader, 'greenish');
  scene.shapes.push(
    filled(
      'stalk',
      band(
        [
          [0, -r * 0.95],
          [0, -r * 1.35],
        ],
        () => r * 0.08,
      ),
    ),
  );
  scene.shapes.push(filled('fruit', ellipse([0, 0], r * 0.9, r, 0, 32), fill));
  const split = { none: 0, half: 0.5, base: 0.94 }[reader.state('fruit.huskSplit', 'none')] ?? 0;
  if (split > 0) {
    const top = r * (1 - 2 * split);
    scene.shapes.push(
      filled(
        'nut',
        [
          [0, top],
          [r * 0.34, r * 0.4],
          [r * 0.2, r * 0.94],
          [-r * 0.2, r * 0.94],
          [-r * 0.34, r * 0.4],
        ],
        NATURAL['brown']!,
      ),
    );
    for (const s of [-1, 1])
      scene.shapes.push(stroke('mark', curve([0, top], [s * r * 0.5, r * 0.2], [s * r * 0.3, r * 0.93], 6)));
  } else
    for (const s of [-0.5, 0, 0.5])
      scene.shapes.push(stroke('veinlet', curve([0, -r * 0.96], [s * r * 1.6, 0], [0, r * 0.96], 8)));
  anchor(scene, [0, 0], 'fruit.type', 'fruit.huskSplit', 'fruit.length', 'fruit.color');
  return scene;
}

/** Small nuts on a stalk that joins a strap-shaped bract. */
export function bractNutlets(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const scene = emptyScene();
  const size = reader.mm('fruit.length', 8);
  const bract = size * 9;
  scene.shapes.push(
    filled(
      'bract',
      band(
        curve([0, 0], [bract * 0.5, bract * 0.06], [bract, bract * 0.02], 14),
        (s) => bract * 0.075 * Math.sin(Math.PI * (0.08 + 0.86 * s)) ** 0.5,
      ),
      '#b9bf86',
    ),
  );
  const stalk = curve([0, 0], [bract * 0.42, bract * 0.05], [bract * 0.62, bract * 0.42], 10);
  scene.shapes.push(
    filled(
      'stalk',
      band(stalk, () => size * 0.09),
    ),
  );
  const end = stalk[stalk.length - 1]!;
  for (const off of [-0.7, 0, 0.7]) {
    const tip = add(end, scaleBy(direction(1.1 + off), size * 1.6));
    scene.shapes.push(
      filled(
        'stalk',
        band([end, tip], () => size * 0.07),
      ),
    );
    scene.shapes.push(filled('nut', ellipse(tip, size * 0.5, size * 0.5), fruitColor(reader, 'greyBrown')));
  }
  anchor(scene, end, 'fruit.type', 'fruit.length', 'fruit.color');
  return scene;
}
