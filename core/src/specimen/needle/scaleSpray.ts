import { randomFrom, seedOf } from '../../random/index.ts';
import { add, along, band, curve, direction, place, scaleBy, type Point } from '../geometry.ts';
import { NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, filled, stroke, type Scene } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { greens, needleAnchors } from './needles.ts';
import type { Inset, Shape } from '../scene.ts';

/** Flat or rounded sprays of scale leaves: side shoots in one plane or bushy, each covered by overlapping pairs. */
export function scaleSpray(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'spray'));
  const color = greens(reader);
  const kind = reader.state('needle.scaleSpray', 'flatDrooping');
  const flat = kind !== 'rounded';
  const droop = kind === 'flatDrooping' ? 0.16 : kind === 'flatStiff' ? -0.02 : 0;
  const half = flat ? 1.1 : 0.75;
  const scene = emptyScene();
  const branchlets: { line: Point[]; depth: number }[] = [];
  const grow = (at: Point, angle: number, length: number, depth: number) => {
    const line = curve(
      at,
      add(at, scaleBy(direction(angle), length * 0.55)),
      add(at, scaleBy(direction(angle + droop), length)),
      Math.max(5, Math.round(length / 4)),
    );
    if (depth < 2) {
      const n = Math.floor(length / (flat ? 6.5 : 8));
      for (let i = 1; i <= n; i += 1) {
        const { point, angle: a } = along(line, i / (n + 0.4));
        const sign = i % 2 ? 1 : -1;
        const off = flat ? 0.66 : random.between(0.35, 0.95);
        grow(point, a + sign * off, length * (0.44 - (0.24 * i) / n) * random.between(0.88, 1.1), depth + 1);
      }
    }
    branchlets.push({ line, depth });
  };
  grow([0, 0], random.between(-0.05, 0.05), flat ? 92 : 74, 0);
  for (const { line, depth } of branchlets)
    scene.shapes.push(...scales(line, half * (depth === 0 ? 1.15 : 1), flat, color));
  scene.shapes.unshift(
    filled(
      'twig',
      band(
        [
          [-14, 0],
          [6, 0],
        ],
        (s) => 1.5 - 0.5 * s,
      ),
      NATURAL['redBrown']!,
    ),
  );
  needleAnchors(scene, [40, 2]);
  anchor(scene, [52, -6], 'needle.scaleSpray', 'needle.bands');
  anchor(scene, [-8, 0], 'twig.color', 'twig.thickness', 'twig.odor');
  scene.insets.push(sprayInset(half, flat, color));
  return scene;
}

/** A branchlet: its body, and the edges of the scales that cover it, in pairs turned crosswise. */
function scales(
  line: readonly Point[],
  half: number,
  flat: boolean,
  color: { near: string; far: string },
): Shape[] {
  const length =
    line.length > 1
      ? Math.hypot(line[line.length - 1]![0] - line[0]![0], line[line.length - 1]![1] - line[0]![1])
      : 0;
  const pairs = Math.max(2, Math.round(length / (flat ? 2.6 : 1.9)));
  const shapes: Shape[] = [
    // The margin is scalloped by the side scales.
    filled(
      'scaleLeaf',
      band(
        Array.from({ length: pairs * 3 + 1 }, (_, i) => along(line, i / (pairs * 3)).point),
        (s) =>
          half * (0.86 + 0.2 * Math.abs(Math.sin(s * pairs * Math.PI))) * (s > 0.93 ? (1 - s) * 10 + 0.3 : 1),
      ),
      color.near,
    ),
  ];
  if (length > 7)
    for (let i = 1; i < pairs; i += 1) {
      const { point, angle } = along(line, i / pairs);
      shapes.push(
        stroke(
          'veinlet',
          place(
            curve([-half * 0.7, -half * 0.8], [half * 0.8, 0], [-half * 0.7, half * 0.8], 4),
            point,
            angle,
          ),
        ),
      );
    }
  return shapes;
}

/** Scales enlarged: pairs on the edges fold round, pairs on the faces lie flat between them. */
function sprayInset(half: number, flat: boolean, color: { near: string; far: string }): Inset {
  const h = half * 1.2;
  const shapes: Shape[] = [];
  for (let i = 4; i >= 0; i -= 1) {
    const x = i * h * 1.7;
    for (const side of [-1, 1])
      shapes.push(
        filled(
          'scaleLeaf',
          [
            [x - h, side * h * 0.15],
            [x - h * 0.2, side * h * (flat ? 1.15 : 0.85)],
            [x + h * 1.25, side * h * (flat ? 0.75 : 0.5)],
            [x + h * 0.6, side * h * 0.1],
          ],
          color.near,
        ),
      );
    shapes.push(
      filled(
        'scaleLeaf',
        [
          [x - h, 0],
          [x - h * 0.1, -h * 0.55],
          [x + h * 1.0, 0],
          [x - h * 0.1, h * 0.55],
        ],
        tinted(color.near, 0.12),
      ),
    );
  }
  return { title: 'scales', shows: 'needle.scaleSpray', shapes };
}
