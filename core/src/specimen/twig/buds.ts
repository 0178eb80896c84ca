import { add, band, curve, direction, place, scaleBy, type Point } from '../geometry.ts';
import { NATURAL } from '../palette.ts';
import { filled, stroke, type Inset, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { twigColor, type Twig } from './twig.ts';

const BUD_FORMS: Record<string, { ratio: number; widest: number; point: number }> = {
  ovoidBlunt: { ratio: 1.5, widest: 0.45, point: 0.55 },
  ovoidPointed: { ratio: 2.1, widest: 0.36, point: 1 },
  longConical: { ratio: 3, widest: 0.25, point: 1 },
  cigar: { ratio: 4.6, widest: 0.45, point: 1.15 },
  globose: { ratio: 1.12, widest: 0.5, point: 0.5 },
  flattened: { ratio: 1.7, widest: 0.45, point: 0.8 },
};

/** One bud along +x from its base at the origin, `length` millimetres long, with its scales, stalk, hairs and resin. */
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
  const line = Array.from({ length: 15 }, (_, i): Point => [stalk + (body * i) / 14, 0]);
  const shapes: Shape[] = [];
  if (stalk)
    shapes.push(
      filled(
        'stalk',
        band(
          [
            [-half * 0.2, 0],
            [stalk * 1.2, 0],
          ],
          () => half * 0.5,
        ),
        twigColor(reader),
      ),
    );
  shapes.push(
    filled(
      'bud',
      band(line, (t) => Math.max(0.01, width(t))),
      fill,
    ),
  );
  shapes.push(...scaleLines(reader.state('bud.scales', 'several'), stalk, body, half, width));
  if (reader.state('bud.scaleTips', 'pressed') === 'bentBack')
    for (const sign of [-1, 1])
      shapes.push(
        stroke(
          'mark',
          curve(
            [stalk + body * 0.55, sign * width(0.55)],
            [stalk + body * 0.7, sign * width(0.55) * 1.2],
            [stalk + body * 0.62, sign * width(0.55) * 1.6],
            4,
          ),
        ),
      );
  if (reader.flag('bud.resin'))
    shapes.push(
      stroke(
        'resin',
        curve(
          [stalk + body * 0.22, -half * 0.5],
          [stalk + body * 0.45, -half * 0.72],
          [stalk + body * 0.7, -half * 0.32],
          5,
        ),
      ),
    );
  const hair = reader.state('bud.hair', 'none');
  if (hair === 'dense' || hair === 'woolly')
    for (let i = 0; i < 12; i += 1) {
      const t = 0.12 + (i % 6) * 0.13;
      const sign = i < 6 ? -1 : 1;
      const from: Point = [stalk + body * t, sign * width(t)];
      shapes.push(stroke('hair', [from, add(from, [body * 0.06, sign * half * 0.26])]));
    }
  return shapes;
}

/** The lines between scales: none on a cap, one seam between two, arcs from side to side where several overlap. */
function scaleLines(
  kind: string,
  stalk: number,
  body: number,
  half: number,
  width: (t: number) => number,
): Shape[] {
  const line = (points: Point[]): Shape => stroke('budScale', points);
  switch (kind) {
    case 'one':
      return [];
    case 'two':
      return [
        line(
          curve(
            [stalk + body * 0.03, half * 0.15],
            [stalk + body * 0.5, -half * 0.25],
            [stalk + body * 0.98, 0],
            6,
          ),
        ),
      ];
    case 'none':
      return [-0.5, 0, 0.5].map((s) =>
        line(
          curve(
            [stalk, s * half],
            [stalk + body * 0.5, s * half * 1.2],
            [stalk + body * 0.95, s * half * 0.2],
            6,
          ),
        ),
      );
    default:
      // Each scale covers the next towards the tip: arcs across the bud, alternating from side to side.
      return Array.from({ length: 4 }, (_, i) => {
        const t = 0.16 + i * 0.19;
        const w = width(t);
        const sign = i % 2 ? 1 : -1;
        const x = stalk + body * t;
        return line(
          curve(
            [x - body * 0.1, sign * w * 0.98],
            [x + body * 0.2, sign * w * 0.35],
            [x + body * 0.08, -sign * w * 0.8],
            6,
          ),
        );
      });
  }
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
  const place0 = reader.state('bud.place', 'single');
  const side = budShapes(reader, length * 0.85);
  const shapes: Shape[] = [];
  if (place0 !== 'hidden' || !traits.leafy)
    for (const node of twig.nodes)
      for (const stand of node.stands) {
        const angle = node.angle + stand.side * lie;
        const edge = (stand.side * Math.PI) / 2;
        const from = add(
          stand.at,
          scaleBy(direction(node.angle + edge), stand.side === 0 ? 0 : twig.thickness * 0.45),
        );
        shapes.push(...moveShapes(side, from, angle));
        const next = scaleBy(direction(node.angle), length * (place0 === 'superposed' ? 0.95 : 0.35));
        if (place0 === 'superposed' || place0 === 'sideBySide')
          shapes.push(
            ...moveShapes(
              side,
              add(from, next),
              angle + (place0 === 'sideBySide' ? stand.side * 0.3 : 0),
              0.7,
            ),
          );
      }
  const { at, angle } = twig.tip;
  shapes.push(...terminalBuds(reader, at, angle, length));
  return { shapes, anchor: add(at, scaleBy(direction(angle), length * 0.6)) };
}

/** What ends a twig: one bud, a pair, a bunch, or none but the last side bud beside a scar. */
export function terminalBuds(reader: TraitReader, at: Point, angle: number, length: number): Shape[] {
  const end = budShapes(reader, length);
  const side = budShapes(reader, length * 0.85);
  const across = direction(angle + Math.PI / 2);
  switch (reader.state('bud.terminal', 'single')) {
    case 'paired':
      return [-1, 1].flatMap((s) =>
        moveShapes(side, add(at, scaleBy(across, s * length * 0.16)), angle + s * 0.28),
      );
    case 'clustered':
      return [
        ...[-0.6, 0.6].flatMap((s) => moveShapes(side, at, angle + s, 0.9)),
        ...moveShapes(end, at, angle),
      ];
    case 'lacking':
      return moveShapes(side, at, angle + 0.36);
    default:
      return moveShapes(end, at, angle);
  }
}

/** One bud enlarged, on its piece of twig. */
export function budInset(traits: Traits): Inset {
  const reader = new TraitReader(traits);
  const length = reader.mm('bud.length', 5);
  const thick = Math.max(length * 0.12, Math.min(reader.mm('twig.thickness', 3) / 2, length * 0.3));
  const stem: Shape = filled(
    'twig',
    band(
      [
        [-length * 0.75, length * 0.2],
        [length * 1.1, length * 0.12],
      ],
      () => thick,
    ),
    twigColor(reader),
  );
  const angle = reader.state('bud.lie', 'spreading') === 'pressed' ? -0.28 : -0.85;
  return {
    title: 'bud',
    shows: 'bud.scales',
    shapes: [stem, ...moveShapes(budShapes(reader, length), [-length * 0.1, -length * 0.02], angle)],
  };
}
