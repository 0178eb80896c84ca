import { randomFrom, seedOf } from '../../random/index.ts';
import { add, band, curve, direction, ellipse, place, scaleBy, type Point } from '../geometry.ts';
import { NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, filled, stroke, type Scene, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { fruitColor } from './color.ts';

/** The wing of a samara from its joint at the origin to its tip at `length` on +x: a thick straight edge, a curved one, veins. */
function samaraWing(length: number, fill: string): Shape[] {
  const line = Array.from({ length: 13 }, (_, i): Point => [(length * i) / 12, 0]);
  const half = (s: number) =>
    length *
    (s < 0.3 ? 0.085 + 0.1 * s : 0.115 + 0.1 * Math.sin(Math.PI * ((s - 0.3) / 0.7) ** 0.8)) *
    (s > 0.94 ? Math.max(0.02, (1 - s) * 16) : 1);
  const upper = line.map(([x], i): Point => [x, -half(i / 12) * 0.55]);
  const lower = line.map(([x], i): Point => [x, half(i / 12) * 1.2]).reverse();
  const shapes: Shape[] = [filled('wing', [...upper, ...lower], fill)];
  for (let k = 1; k <= 5; k += 1)
    shapes.push(
      stroke(
        'veinlet',
        curve(
          [length * 0.28, -length * 0.01 * k],
          [length * (0.3 + 0.1 * k), length * 0.01],
          [length * (0.38 + 0.11 * k), length * 0.13],
          4,
        ),
      ),
    );
  shapes.push(
    filled(
      'nut',
      place(
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
      tinted(fill, -0.12),
    ),
  );
  return shapes;
}

/** Two winged halves at their angle, hanging from one stalk; some to a bunch. */
export function pairedSamaras(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'samaras'));
  const scene = emptyScene();
  const length = reader.mm('fruit.length', 28);
  const half = ((reader.number('fruit.samaraAngle', 70) / 2) * Math.PI) / 180;
  const fill = fruitColor(reader, traits.values['fruit.color'] === undefined ? 'greenish' : 'brown');
  const spots: { at: Point; turn: number; grow: number }[] = [
    { at: [-length * 1.15, length * 0.5], turn: 0.2, grow: 0.9 },
    { at: [length * 1.15, length * 0.45], turn: -0.2, grow: 0.94 },
    { at: [0, length * 0.75], turn: 0, grow: 1 },
  ];
  for (const { at, turn, grow } of spots) {
    scene.shapes.push(
      filled(
        'stalk',
        band(curve([0, -length * 0.35], [at[0] * 0.7, 0], at, 8), () => length * 0.014),
        NATURAL['greenish']!,
      ),
    );
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
  const fill = fruitColor(reader, 'greenish');
  scene.shapes.push(
    filled(
      'twig',
      band(
        [
          [-length * 1.4, 0],
          [length * 1.8, length * 0.08],
        ],
        () => length * 0.08,
      ),
      NATURAL['greyBrown']!,
    ),
  );
  for (let i = 0; i < 5; i += 1) {
    const angle = Math.PI / 2 + (i - 2) * 0.5 + random.between(-0.08, 0.08);
    const from: Point = [(i - 2) * length * 0.12, length * 0.08];
    const base = add(from, scaleBy(direction(angle), length * 0.28 * (1 + (i % 2))));
    scene.shapes.push(
      filled(
        'stalk',
        band([from, base], () => length * 0.02),
        NATURAL['greenish']!,
      ),
    );
    const grown = length * random.between(0.9, 1.02);
    const shapes: Shape[] = around
      ? [
          filled(
            'wing',
            band(
              Array.from({ length: 13 }, (_, k): Point => [(grown * k) / 12, 0]),
              (s) =>
                grown * 0.42 * Math.sin(Math.PI * Math.min(1, 0.06 + 0.92 * s)) ** 0.6 * (s > 0.96 ? 0.4 : 1),
            ),
            fill,
          ),
          filled('nut', ellipse([grown * 0.55, 0], grown * 0.16, grown * 0.12), tinted(fill, -0.18)),
          stroke('mark', [
            [grown, 0],
            [grown * 0.86, 0],
          ]),
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
