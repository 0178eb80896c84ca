import { randomFrom, seedOf } from '../random/index.ts';
import { add, along, band, curve, direction, place, scaleBy, type Point } from './geometry.ts';
import { NATURAL, NEEDLE_GREENS } from './palette.ts';
import { emptyScene, type Scene } from './scene.ts';
import { TraitReader, type Traits } from './traits.ts';

/** Flat or rounded sprays of scale leaves: side shoots in one plane, each covered by overlapping pairs. */
export function scaleSpray(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'spray'));
  const color = NEEDLE_GREENS[reader.state('needle.color', 'yellowGreen')] ?? NEEDLE_GREENS['yellowGreen']!;
  const flat = reader.state('needle.scaleSpray', 'flatDrooping') !== 'rounded';
  const scene = emptyScene();
  const branchlet = (at: Point, angle: number, length: number, depth: number) => {
    const line = curve(
      at,
      add(at, place([[length * 0.5, length * 0.03]], [0, 0], angle)[0]!),
      add(at, scaleBy(direction(angle + 0.06), length)),
      10,
    );
    if (depth < 2) {
      const n = Math.floor(length / 9);
      for (let i = 1; i <= n; i += 1) {
        const { point, angle: a } = along(line, i / (n + 0.6));
        const sign = i % 2 ? 1 : -1;
        branchlet(
          point,
          a + sign * (flat ? 0.72 : random.between(0.4, 1)),
          length * (0.46 - 0.022 * i) * random.between(0.9, 1.1),
          depth + 1,
        );
      }
    }
    const scales = Math.floor(length / 1.9);
    for (let i = 0; i < scales; i += 1) {
      const { point, angle: a } = along(line, i / scales);
      for (const sign of [-1, 1])
        scene.shapes.push({
          role: 'needle',
          points: place(
            [
              [0, 0],
              [1.1, sign * (flat ? 1.15 : 0.8)],
              [3, sign * 0.35],
              [2.6, 0],
            ],
            point,
            a,
          ),
          closed: true,
          fill: i % 2 ? color.near : color.far,
        });
    }
  };
  branchlet([0, 0], random.between(-0.05, 0.05), 85, 0);
  scene.shapes.unshift({
    role: 'twig',
    points: band(
      [
        [-14, 0],
        [8, 0],
      ],
      () => 1.3,
    ),
    closed: true,
    fill: NATURAL['redBrown']!,
  });
  scene.anchors['foliage.kind'] = [40, 2];
  scene.anchors['needle.scaleSpray'] = [55, -8];
  return scene;
}
