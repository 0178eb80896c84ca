import { randomFrom, seedOf } from '../../random/index.ts';
import { add, along, band, curve, direction, ellipse, place, scaleBy, type Point } from '../geometry.ts';
import { NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, filled, stroke, type Scene } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { fruitColor } from './color.ts';

/** A hanging string of capsules, ripe ones split, with cotton where the seed has it. */
export function capsules(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'capsules'));
  const scene = emptyScene();
  const size = reader.mm('fruit.length', 6);
  const axis = curve([0, 0], [size * 0.8, size * 5], [0, size * 11], 20);
  scene.shapes.push(
    filled(
      'twig',
      band(
        [
          [-size * 2.4, -size * 0.2],
          [size * 2, 0],
        ],
        () => size * 0.3,
      ),
      NATURAL['greyBrown']!,
    ),
  );
  scene.shapes.push(
    filled(
      'stalk',
      band(axis, () => size * 0.1),
      NATURAL['greenish']!,
    ),
  );
  const ripe = reader.known('fruit.seed');
  const cottony = reader.state('fruit.seed', 'plain') === 'cottony';
  const fill = fruitColor(reader, 'greenish');
  for (let i = 0; i < 20; i += 1) {
    const { point, angle } = along(axis, 0.1 + (0.88 * i) / 20);
    const side = i % 2 ? 1 : -1;
    const heading = angle + side * random.between(0.7, 1.25);
    const grown = size * random.between(0.9, 1.03);
    const base = add(point, scaleBy(direction(heading), size * 0.18));
    const splits = ripe && i % 3 !== 0;
    if (splits && cottony) {
      const tuft = add(base, scaleBy(direction(heading), grown * 1.05));
      scene.shapes.push(
        filled(
          'cotton',
          Array.from({ length: 12 }, (_, k): Point =>
            add(tuft, scaleBy(direction((2 * Math.PI * k) / 12), grown * random.between(0.35, 0.6))),
          ),
        ),
      );
    }
    for (const half of splits ? [-0.28, 0.28] : [0])
      scene.shapes.push(
        filled(
          'fruit',
          place(
            band(
              Array.from({ length: 8 }, (_, k): Point => [(grown * k) / 7, 0]),
              (s) => grown * (splits ? 0.11 : 0.22) * Math.sin(Math.PI * (0.14 + 0.82 * s)) + 0.02,
            ),
            base,
            heading + half,
          ),
          fill,
        ),
      );
  }
  anchor(scene, along(axis, 0.55).point, 'fruit.type', 'fruit.length', 'fruit.seed', 'fruit.color');
  return scene;
}

/** Flat pods with the seeds showing. */
export function pods(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const scene = emptyScene();
  const length = reader.mm('fruit.length', 90);
  const fill = fruitColor(reader, 'brown');
  [-0.3, 0.25].forEach((lean, i) => {
    const line = curve([0, 0], [length * 0.5, length * 0.08], [length * (1 - 0.1 * i), 0], 16);
    const heading = Math.PI / 2 + lean;
    const half = Math.min(length * 0.09, 12);
    scene.shapes.push(
      filled(
        'fruit',
        place(
          band(line, (s) => half * Math.min(1, s * 8 + 0.15, (1 - s) * 8 + 0.1)),
          [0, 0],
          heading,
        ),
        fill,
      ),
    );
    for (let k = 1; k < 7; k += 1)
      scene.shapes.push(
        stroke(
          'mark',
          place(ellipse(along(line, k / 7).point, half * 0.5, half * 0.42, 0, 12), [0, 0], heading),
        ),
      );
  });
  scene.shapes.push(
    filled(
      'stalk',
      band(
        [
          [0, -length * 0.12],
          [0, length * 0.02],
        ],
        () => length * 0.012,
      ),
    ),
  );
  anchor(scene, [0, length * 0.5], 'fruit.type', 'fruit.length', 'fruit.color');
  return scene;
}

/** A round head of many small dry fruits on a long stalk, or a cone-like head of follicles. */
export function heads(traits: Traits, follicles: boolean): Scene {
  const reader = new TraitReader(traits);
  const scene = emptyScene();
  const length = reader.mm('fruit.length', follicles ? 70 : 28);
  const r = length / 2;
  const fill = fruitColor(reader, 'brown');
  scene.shapes.push(
    filled(
      'stalk',
      band(
        [
          [0, -r * (follicles ? 1.4 : 3.2)],
          [0, -r * 0.9],
        ],
        () => r * 0.06,
      ),
    ),
  );
  scene.shapes.push(filled('fruit', ellipse([0, 0], follicles ? r * 0.48 : r, r, 0, 30), fill));
  for (let k = 0; k < 60; k += 1) {
    const t = (k + 0.5) / 60;
    const y = (1 - 2 * t) * r * 0.94;
    const x = Math.sqrt(Math.max(0, 1 - (y / r) ** 2)) * r * (follicles ? 0.46 : 0.97) * Math.sin(k * GOLDEN);
    if (Math.cos(k * GOLDEN) < 0) continue;
    const s = r * (follicles ? 0.16 : 0.1);
    scene.shapes.push(filled('fruitScale', ellipse([x, y], s * 0.7, s, 0, 8), tinted(fill, 0.1)));
  }
  anchor(scene, [0, 0], 'fruit.type', 'fruit.length', 'fruit.color');
  return scene;
}

const GOLDEN = 2.39996;
