import { randomFrom, seedOf } from '../random/index.ts';
import { add, along, band, curve, direction, place, scaleBy, type Point } from './geometry.ts';
import { NATURAL } from './palette.ts';
import type { Inset, Shape } from './scene.ts';
import { TraitReader, type Traits } from './traits.ts';

export interface TwigNode {
  at: Point;
  /** Angle of the twig at the node, radians. */
  angle: number;
  /** Sides on which a leaf or bud stands: −1 above the twig, 1 below. */
  sides: (1 | -1)[];
}

export interface Twig {
  axis: Point[];
  nodes: TwigNode[];
  tip: { at: Point; angle: number };
  thickness: number;
  shapes: Shape[];
}

export const twigColor = (reader: TraitReader, otherwise = 'greyBrown'): string =>
  NATURAL[reader.states('twig.color')[0] ?? otherwise] ?? NATURAL[otherwise]!;

/**
 * A twig along +x: nodes at the arrangement's sides, internodes that vary by 15 %, a bend at each node where the twig is
 * zigzag, lenticels, and an older part that is thicker.
 */
export function twigOf(traits: Traits, nodeCount: number, internode: number): Twig {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'twig'));
  const thickness = reader.mm('twig.thickness', 3);
  const zigzag = reader.flag('twig.zigzag') ? 0.3 : 0;
  const arrangement = reader.state('twig.arrangement', 'alternate');
  const paired = arrangement === 'opposite' || arrangement === 'whorled';
  const steps = Array.from({ length: nodeCount + 1 }, () => internode * random.between(0.85, 1.15));
  const nodes: TwigNode[] = [];
  let at: Point = [0, 0];
  let angle = random.between(-0.04, 0.04);
  const axis: Point[] = [at];
  steps.forEach((step, i) => {
    const heading = angle + (zigzag ? zigzag * (i % 2 ? 1 : -1) : 0);
    at = add(at, scaleBy(direction(heading), step * (i === steps.length - 1 ? 0.6 : 1)));
    axis.push(at);
    angle += random.between(-0.03, 0.03);
    if (i === steps.length - 1) return;
    const first: 1 | -1 = i % 2 ? 1 : -1;
    const second = arrangement === 'subopposite' || paired;
    nodes.push({ at, angle: heading, sides: second ? [first, first === 1 ? -1 : 1] : [first] });
  });
  const last = axis[axis.length - 1]!;
  const before = axis[axis.length - 2]!;
  const body = band(axis, (s) => (thickness / 2) * (1.25 - 0.45 * s));
  const shapes: Shape[] = [{ role: 'twig', points: body, closed: true, fill: twigColor(reader) }];
  const lenticels = { faint: 3, plain: 10, warty: 16 }[reader.state('twig.lenticels', 'faint')] ?? 3;
  for (let i = 0; i < lenticels; i += 1) {
    const { point, angle: a } = along(axis, random.between(0.03, 0.95));
    const off = add(point, scaleBy(direction(a + Math.PI / 2), random.between(-0.3, 0.3) * thickness));
    const half = scaleBy(direction(a), thickness * 0.09);
    shapes.push({ role: 'lenticel', points: [add(off, scaleBy(half, -1)), add(off, half)], closed: false });
  }
  return {
    axis,
    nodes,
    tip: { at: last, angle: Math.atan2(last[1] - before[1], last[0] - before[0]) },
    thickness,
    shapes,
  };
}

const BUD_FORMS: Record<string, { ratio: number; widest: number; point: number }> = {
  ovoidBlunt: { ratio: 1.5, widest: 0.45, point: 0.55 },
  ovoidPointed: { ratio: 2.1, widest: 0.36, point: 1 },
  longConical: { ratio: 3, widest: 0.25, point: 1 },
  cigar: { ratio: 4.6, widest: 0.45, point: 1.15 },
  globose: { ratio: 1.12, widest: 0.5, point: 0.5 },
  flattened: { ratio: 1.7, widest: 0.45, point: 0.8 },
};

/** One bud along +x from its base at the origin, `length` millimetres long, with its scales, stalk and resin. */
export function budShapes(reader: TraitReader, length: number): Shape[] {
  const form = BUD_FORMS[reader.state('bud.shape', 'ovoidPointed')] ?? BUD_FORMS['ovoidPointed']!;
  const fill = NATURAL[reader.state('bud.color', 'brown')] ?? NATURAL['brown']!;
  const stalk = reader.flag('bud.stalked') ? length * 0.3 : 0;
  const body = length - stalk;
  const half = body / form.ratio / 2;
  const width = (t: number) =>
    t < form.widest
      ? half * Math.sqrt(1 - (1 - t / form.widest) ** 2 * 0.82)
      : half *
        (1 - ((t - form.widest) / (1 - form.widest)) ** (1 + 1 / form.point)) ** Math.min(1, form.point);
  const line = Array.from({ length: 19 }, (_, i): Point => [stalk + (body * i) / 18, 0]);
  const outline = band(line, (t) => Math.max(0.01, width(t)));
  const shapes: Shape[] = [];
  if (stalk)
    shapes.push({
      role: 'twig',
      points: band(
        [
          [-half * 0.2, 0],
          [stalk * 1.2, 0],
        ],
        () => half * 0.55,
      ),
      closed: true,
      fill: twigColor(reader),
    });
  shapes.push({ role: 'budScale', points: outline, closed: true, fill });
  const scales = reader.state('bud.scales', 'several');
  if (scales === 'two') {
    shapes.push({
      role: 'mark',
      points: curve(
        [stalk + body * 0.03, half * 0.15],
        [stalk + body * 0.5, -half * 0.25],
        [stalk + body * 0.98, 0],
      ),
      closed: false,
    });
  } else if (scales === 'several') {
    // Each scale covers the next towards the tip: arcs across the bud, alternating from side to side.
    for (let i = 0; i < 4; i += 1) {
      const t = 0.16 + i * 0.19;
      const w = width(t);
      const sign = i % 2 ? 1 : -1;
      const x = stalk + body * t;
      shapes.push({
        role: 'mark',
        points: curve(
          [x - body * 0.1, sign * w * 0.98],
          [x + body * 0.2, sign * w * 0.35],
          [x + body * 0.08, -sign * w * 0.8],
        ),
        closed: false,
      });
    }
  } else if (scales === 'none') {
    for (const s of [-0.5, 0, 0.5])
      shapes.push({
        role: 'mark',
        points: curve(
          [stalk, s * half],
          [stalk + body * 0.5, s * half * 1.2],
          [stalk + body * 0.95, s * half * 0.2],
        ),
        closed: false,
      });
  }
  if (reader.state('bud.scaleTips', 'pressed') === 'bentBack')
    for (const sign of [-1, 1])
      shapes.push({
        role: 'mark',
        points: curve(
          [stalk + body * 0.55, sign * width(0.55)],
          [stalk + body * 0.7, sign * width(0.55) * 1.2],
          [stalk + body * 0.62, sign * width(0.55) * 1.6],
        ),
        closed: false,
      });
  if (reader.flag('bud.resin'))
    shapes.push({
      role: 'resin',
      points: curve(
        [stalk + body * 0.22, -half * 0.5],
        [stalk + body * 0.45, -half * 0.72],
        [stalk + body * 0.7, -half * 0.32],
      ),
      closed: false,
    });
  const hair = reader.state('bud.hair', 'none');
  if (hair === 'dense' || hair === 'woolly')
    for (let i = 0; i < 12; i += 1) {
      const t = 0.12 + (i % 6) * 0.13;
      const sign = i < 6 ? -1 : 1;
      const from: Point = [stalk + body * t, sign * width(t)];
      shapes.push({
        role: 'hair',
        points: [from, add(from, [body * 0.05, sign * half * 0.22])],
        closed: false,
      });
    }
  return shapes;
}

export const moveShapes = (shapes: readonly Shape[], at: Point, angle: number, grow = 1): Shape[] =>
  shapes.map((shape) => ({
    ...shape,
    points: place(grow === 1 ? shape.points : shape.points.map((p) => scaleBy(p, grow)), at, angle),
  }));

/** The buds of a twig: one in each axil (or above each scar), and at the tip as the terminal bud says. */
export function twigBuds(traits: Traits, twig: Twig): { shapes: Shape[]; anchor: Point } {
  const reader = new TraitReader(traits);
  const length = reader.mm('bud.length', 5);
  const lie = reader.state('bud.lie', 'spreading') === 'pressed' ? 0.18 : 0.62;
  const side = budShapes(reader, length * 0.85);
  const shapes: Shape[] = [];
  for (const node of twig.nodes)
    for (const sign of node.sides) {
      const angle = node.angle + sign * lie;
      const from = add(node.at, scaleBy(direction(node.angle + (sign * Math.PI) / 2), twig.thickness * 0.45));
      shapes.push(...moveShapes(side, from, angle));
    }
  const terminal = reader.state('bud.terminal', 'single');
  const end = budShapes(reader, length);
  const { at, angle } = twig.tip;
  if (terminal === 'single') shapes.push(...moveShapes(end, at, angle));
  if (terminal === 'paired')
    for (const s of [-0.28, 0.28])
      shapes.push(...moveShapes(side, add(at, scaleBy(direction(angle + Math.PI / 2), s * 3)), angle + s));
  if (terminal === 'clustered') {
    for (const s of [-0.55, 0.55]) shapes.push(...moveShapes(side, at, angle + s, 0.9));
    shapes.push(...moveShapes(end, at, angle));
  }
  if (terminal === 'lacking') shapes.push(...moveShapes(side, at, angle + 0.32));
  return { shapes, anchor: add(at, scaleBy(direction(angle), length * 0.6)) };
}

/** Leaf scars below the buds of a bare twig, with their bundle marks. */
export function leafScars(traits: Traits, twig: Twig): Shape[] {
  const reader = new TraitReader(traits);
  const bundles =
    { one: 1, three: 3, fiveToNine: 5, threeGroups: 3, curve: 7, scattered: 6 }[
      reader.state('twig.bundleScars', 'three')
    ] ?? 3;
  const size = Math.max(1.1, twig.thickness * 0.42);
  return twig.nodes.flatMap((node) =>
    node.sides.flatMap((sign): Shape[] => {
      const centre = add(
        add(node.at, scaleBy(direction(node.angle), -size * 0.9)),
        scaleBy(direction(node.angle + (sign * Math.PI) / 2), twig.thickness * 0.34),
      );
      const outline = Array.from({ length: 13 }, (_, i): Point => {
        const t = (2 * Math.PI * i) / 13;
        return [Math.cos(t) * size * 0.62, Math.sin(t) * size * 0.42];
      });
      const dots = Array.from({ length: bundles }, (_, i): Shape => {
        const x = bundles === 1 ? 0 : (i / (bundles - 1) - 0.5) * size * 0.72;
        const p = place(
          [
            [x - size * 0.03, size * 0.05],
            [x + size * 0.03, size * 0.05],
          ],
          centre,
          node.angle,
        );
        return { role: 'mark', points: p, closed: false };
      });
      return [{ role: 'scar', points: place(outline, centre, node.angle), closed: true }, ...dots];
    }),
  );
}

/** A circle with one bud enlarged. */
export function budInset(traits: Traits): Inset {
  const reader = new TraitReader(traits);
  const length = reader.mm('bud.length', 5);
  const stem: Shape = {
    role: 'twig',
    points: band(
      [
        [-length * 0.9, length * 0.18],
        [length * 1.25, length * 0.1],
      ],
      () => Math.min(reader.mm('twig.thickness', 3) / 2, length * 0.28),
    ),
    closed: true,
    fill: twigColor(reader),
  };
  const angle = reader.state('bud.lie', 'spreading') === 'pressed' ? -0.28 : -0.85;
  return {
    title: 'bud',
    magnification: length > 9 ? 2 : length > 4 ? 4 : 6,
    shows: 'bud.scales',
    shapes: [stem, ...moveShapes(budShapes(reader, length), [-length * 0.1, -length * 0.02], angle)],
  };
}
