import { randomFrom, seedOf } from '../../random/index.ts';
import { add, along, band, curve, direction, scaleBy, type Point } from '../geometry.ts';
import { NATURAL } from '../palette.ts';
import { filled, stroke, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { armatureAt } from './armature.ts';
import type { Side, TwigNode } from './node.ts';
import { taper } from './taper.ts';

export interface Twig {
  axis: Point[];
  nodes: TwigNode[];
  tip: { at: Point; angle: number };
  thickness: number;
  /** The stem itself, and what grows on it. */
  shapes: Shape[];
}

export const twigColor = (reader: TraitReader, otherwise = 'greyBrown'): string =>
  NATURAL[reader.states('twig.color')[0] ?? otherwise] ?? NATURAL[otherwise]!;

/** Bend at each node of a zigzag twig, radians. */
const ZIGZAG = 0.3;
/** How far the second of a not quite opposite pair stands behind the first, as a share of the internode. */
const SUBOPPOSITE = 0.22;

/**
 * A twig along +x: nodes at the arrangement's sides, internodes that vary by 15 %, a bend at each node where the twig is
 * zigzag; lenticels, hairs, bloom, wings, thorns and spur shoots as scored; an older part that is thicker.
 */
export function twigOf(traits: Traits, nodeCount: number, internode: number): Twig {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'twig'));
  const thickness = reader.mm('twig.thickness', 3);
  const zigzag = reader.flag('twig.zigzag') ? ZIGZAG : 0;
  const arrangement = reader.state('twig.arrangement', 'alternate');
  const steps = Array.from({ length: nodeCount + 1 }, () => internode * random.between(0.86, 1.14));
  const nodes: TwigNode[] = [];
  let at: Point = [0, 0];
  let angle = random.between(-0.04, 0.04);
  const axis: Point[] = [at];
  steps.forEach((step, i) => {
    const last = i === steps.length - 1;
    const heading = angle + (zigzag ? zigzag * (i % 2 ? 0.5 : -0.5) : 0);
    at = add(at, scaleBy(direction(heading), step * (last ? 0.6 : 1)));
    axis.push(at);
    angle += random.between(-0.02, 0.02);
    if (last) return;
    const first: Side = i % 2 ? 1 : -1;
    const other: Side = first === 1 ? -1 : 1;
    const behind = add(at, scaleBy(direction(heading), -internode * SUBOPPOSITE));
    const stands: TwigNode['stands'] = [{ side: first, at }];
    if (arrangement === 'opposite' || arrangement === 'whorled') stands.push({ side: other, at });
    if (arrangement === 'subopposite') stands.push({ side: other, at: behind });
    if (arrangement === 'whorled') stands.push({ side: 0, at });
    nodes.push({ at, angle: heading, stands });
  });
  const [before, end] = [axis[axis.length - 2]!, axis[axis.length - 1]!];
  const color = twigColor(reader);
  const halfAt = (s: number) => (thickness / 2) * (1.25 - 0.45 * s);
  const shapes: Shape[] = [];
  if (reader.flag('twig.wings'))
    shapes.push(
      filled(
        'twig',
        band(axis, (s) => halfAt(s) + thickness * 0.7 * Math.abs(Math.sin(s * 9))),
        NATURAL['greyBrown']!,
      ),
    );
  shapes.push(filled('twig', band(axis, halfAt), color));
  shapes.push(...skin(reader, axis, thickness));
  for (const node of nodes) shapes.push(...armatureAt(reader, node, thickness));
  if (reader.state('twig.armature', 'none') === 'spineTipped')
    shapes.push(
      filled(
        'thorn',
        taper(
          end,
          Math.atan2(end[1] - before[1], end[0] - before[0]),
          reader.mm('twig.thornLength', thickness * 3),
          thickness * 0.4,
        ),
      ),
    );
  if (reader.flag('twig.spurs') && nodes.length > 3) shapes.push(...spurs(nodes, thickness, color));
  return {
    axis,
    nodes,
    tip: { at: end, angle: Math.atan2(end[1] - before[1], end[0] - before[0]) },
    thickness,
    shapes,
  };
}

/** Lenticels by density, hairs, bloom and dots of resin. */
function skin(reader: TraitReader, axis: readonly Point[], thickness: number): Shape[] {
  const random = randomFrom(seedOf(reader.traits.seed, 'skin'));
  const shapes: Shape[] = [];
  const spot = () => {
    const { point, angle } = along(axis, random.between(0.02, 0.96));
    return {
      at: add(point, scaleBy(direction(angle + Math.PI / 2), random.between(-0.32, 0.32) * thickness)),
      angle,
    };
  };
  const lenticels = { faint: 0, plain: 12, warty: 18 }[reader.state('twig.lenticels', 'faint')] ?? 0;
  for (let i = 0; i < lenticels; i += 1) {
    const { at, angle } = spot();
    const half = scaleBy(direction(angle), thickness * 0.09);
    shapes.push(stroke('lenticel', [add(at, scaleBy(half, -1)), add(at, half)]));
  }
  const coating = reader.states('twig.coating');
  if (coating.includes('bloom'))
    shapes.push(
      filled(
        'light',
        band(
          axis.map(([x, y]): Point => [x, y - thickness * 0.14]),
          () => thickness * 0.18,
        ),
      ),
    );
  if (coating.includes('resinDots'))
    for (let i = 0; i < 22; i += 1) {
      const { at } = spot();
      shapes.push(stroke('resin', [at, add(at, [0.05, 0])]));
    }
  const hairs = { sparse: 14, dense: 60, woolly: 110 }[reader.state('twig.hair', 'none')] ?? 0;
  for (let i = 0; i < hairs; i += 1) {
    const { point, angle } = along(axis, random.between(0.02, 0.98));
    const side = i % 2 ? 1 : -1;
    const foot = add(point, scaleBy(direction(angle + (side * Math.PI) / 2), thickness * 0.46));
    const away = direction(angle + side * random.between(0.9, 1.7));
    shapes.push(stroke('hair', [foot, add(foot, scaleBy(away, thickness * random.between(0.16, 0.32)))]));
  }
  return shapes;
}

/** Short ringed side shoots, one or two to a twig. */
function spurs(nodes: readonly TwigNode[], thickness: number, color: string): Shape[] {
  return nodes.slice(0, 2).flatMap((node, i): Shape[] => {
    const side = node.stands[0]!.side || 1;
    const heading = node.angle + side * 1.15;
    const foot = add(node.at, scaleBy(direction(node.angle), -thickness * 2.2));
    const top = add(foot, scaleBy(direction(heading), thickness * (2.6 - 0.5 * i)));
    const line: Point[] = [foot, top];
    const rings = [0.4, 0.58, 0.76, 0.92].map((t): Shape => {
      const { point, angle } = along(line, t);
      return stroke(
        'mark',
        curve(
          add(point, scaleBy(direction(angle + Math.PI / 2), thickness * 0.42)),
          add(point, scaleBy(direction(angle), thickness * 0.12)),
          add(point, scaleBy(direction(angle + Math.PI / 2), -thickness * 0.42)),
          4,
        ),
      );
    });
    return [
      filled(
        'twig',
        band(line, (s) => thickness * (0.36 + 0.08 * s)),
        color,
      ),
      ...rings,
      filled('bud', taper(top, heading, thickness * 0.9, thickness * 0.34), NATURAL['redBrown']!),
    ];
  });
}
