import { randomFrom, seedOf } from '../../random/index.ts';
import { along, curve, direction, scaleBy, type Point } from '../geometry.ts';
import { filled, stroke, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';
import { formOf, halfWidth, heartDip } from './form.ts';
import { lobeAxes, palmateRadius, pinnateSide, SINUS_DEPTH, type LobeStyle } from './lobes.ts';
import { toothHeight, withTeeth, type ToothedSide } from './teeth.ts';
import { palmateVeins, pinnateVeins, type Veins } from './veins.ts';

/** A blade along +x from the joint with its petiole at the origin, millimetres. */
export interface Blade {
  outline: Point[];
  midrib: Point[];
  veins: Veins;
  /** Half outlines from base to tip: left of the midrib and right of it, as walked to the tip. */
  sides: [Point[], Point[]];
  /** Bristles and spines beyond the edge. */
  bristles: Point[][];
  /** Where teeth end in glands. */
  glands: Point[];
}

/** Length and width of a blade from its traits, millimetres; the shape's own proportion where a measure is missing. */
export function bladeSize(traits: Traits): { length: number; width: number } {
  const reader = new TraitReader(traits);
  const ratio =
    reader.state('leaf.lobing', 'none') === 'palmate' ? 1 : formOf(reader.state('leaf.shape', 'ovate')).ratio;
  const length = reader.mm(
    'leaf.length',
    reader.known('leaf.width') ? reader.mm('leaf.width', 40) * ratio : 70,
  );
  return { length, width: reader.mm('leaf.width', length / ratio) };
}

/**
 * The whole blade of a simple leaf, or one leaflet: `length` millimetres from joint to tip along the midrib, `width` across the
 * widest part, teeth included. The same traits and stream give the same blade.
 */
export function bladeOf(traits: Traits, length: number, width: number, stream = 0): Blade {
  const reader = new TraitReader(traits);
  const palmate = reader.state('leaf.lobing', 'none') === 'palmate';
  const random = randomFrom(seedOf(traits.seed, 'blade', stream));
  const bare = palmate ? palmateSides(reader, random) : midribSides(reader, random, length / width);
  const bend = palmate ? 0 : random.between(-0.05, 0.05) * width;
  const lobed = reader.state('leaf.lobing', 'none') !== 'none';
  const largest = Math.min(length * 0.05, width * (lobed ? 0.013 : 0.06));
  const toothedWithin = (half: number) =>
    ([-1, 1] as const).map((sign, k) =>
      withTeeth(
        bare.sides[k]!.map(([x, y]): Point => [x * length, sign * y * half]),
        sign,
        reader,
        largest,
      ),
    );
  const reach = (line: readonly Point[]) => line.reduce((most, [, y]) => Math.max(most, Math.abs(y)), 0);
  const tooWide = (sides: ToothedSide[]) => width / (reach(sides[0]!.line) + reach(sides[1]!.line));
  // Teeth widen a blade: they are set again on one so much narrower, brought back to its width, and then it is bent.
  const half = width / 2 - 0.9 * toothHeight(reader, largest);
  let toothed = toothedWithin(half);
  let by = tooWide(toothed);
  if (Math.abs(by - 1) > 0.01) {
    toothed = toothedWithin(half * by);
    by = tooWide(toothed);
  }
  const midrib = curve([0, 0], [length * 0.5, 2 * bend], [length, 0], 16);
  const settle = ([x, y]: Point): Point => {
    const t = Math.min(1, Math.max(0, x / length));
    return [Math.min(x, length * 1.06), y * by + 4 * bend * t * (1 - t)];
  };
  const sides: [Point[], Point[]] = [toothed[0]!.line.map(settle), toothed[1]!.line.map(settle)];
  const tips: [Point[], Point[]] = [toothed[0]!.tips.map(settle), toothed[1]!.tips.map(settle)];
  const lobeTips = (bare.lobeTips ?? []).map(([x, y]): Point => settle([x * length, (y * width) / 2]));
  const bristles = toothed.flatMap((side) => side.points.map((line) => line.map(settle)));
  if (reader.state('leaf.lobeTips', 'pointed') === 'bristle')
    for (const tip of lobeTips) {
      const far = Math.hypot(...tip) || 1;
      bristles.push([tip, [tip[0] * (1 + 3 / far), tip[1] * (1 + 3 / far)]]);
    }
  return {
    outline: [...sides[0], ...[...sides[1]].reverse()],
    midrib,
    veins: palmate
      ? palmateVeins(lobeTips, midrib)
      : pinnateVeins(reader, sides, tips, midrib, lobeTips, random.between(0, 1)),
    sides,
    bristles,
    glands: reader.state('leaf.toothTip', 'forward') === 'gland' ? tips.flat() : [],
  };
}

/** Sides in shares: x of the length, y of the half-width. */
interface Sides {
  sides: [Point[], Point[]];
  /** Lateral lobes, and the end lobe of a palmate blade. */
  lobeTips?: Point[];
}

const CELLS = 40;

function styleOf(reader: TraitReader): LobeStyle {
  const tips = reader.state('leaf.lobeTips', 'pointed');
  return {
    depth: SINUS_DEPTH[reader.state('leaf.sinusDepth', 'middle')] ?? 0.5,
    tips,
    sharpSinus: reader.state('leaf.sinusBottom', tips === 'rounded' ? 'round' : 'sharp') === 'sharp',
  };
}

function midribSides(reader: TraitReader, random: ReturnType<typeof randomFrom>, ratio: number): Sides {
  const form = formOf(reader.state('leaf.shape', 'ovate'));
  const apex = reader.state('leaf.apex', 'acute');
  const base = reader.state('leaf.base', form.widest < 0.25 ? 'straight' : 'rounded');
  const skew = random.between(-0.03, 0.03);
  const envelope = (u: number) => halfWidth(u, form, base, apex);
  const lobes =
    reader.state('leaf.lobing', 'none') === 'pinnate' ? Math.round(reader.number('leaf.lobes', 7)) : 0;
  if (lobes > 2) {
    const style = styleOf(reader);
    // Lobes point forward: a shear, which keeps an outline from crossing itself.
    const lean = 0.28 / Math.max(1, ratio);
    const one = (n: number): Point[] =>
      pinnateSide(envelope, n, style).map(([x, y]) => [Math.min(1, x + lean * y * (1 - x)), y]);
    const left = Math.floor((lobes - 1) / 2);
    const right = Math.ceil((lobes - 1) / 2);
    const sides: [Point[], Point[]] = [one(left), one(right)];
    const tips = sides.flatMap((side, k) =>
      side.flatMap(([x, y], i): Point[] =>
        i > 1 && i < side.length - 1 && y > side[i - 1]![1] && y > side[i + 1]![1] ? [[x, k ? y : -y]] : [],
      ),
    );
    return { sides, lobeTips: tips };
  }
  const uneven = base === 'uneven' ? 0.07 : 0;
  const side = (sign: 1 | -1): Point[] => {
    const start = uneven && sign > 0 ? uneven : 0;
    const points: Point[] = Array.from({ length: CELLS + 1 }, (_, i) => {
      // Points crowd at both ends, where the curve turns fastest.
      const u = (1 - Math.cos((Math.PI * i) / CELLS)) / 2;
      const y = envelope(u);
      const dip = base === 'heart' ? (heartDip(y, u, form.widest) * 0.3) / ratio : 0;
      return [start + (1 - start) * u - dip, y * (1 + sign * skew)];
    });
    if (apex !== 'notched') return points;
    // The notch: the outline passes beyond the end of the midrib and comes back to it.
    const last = points.length - 1;
    return points.map(([x, y], i): Point => (i === last ? [0.955, 0] : [x, y]));
  };
  return { sides: [side(-1), side(1)] };
}

function palmateSides(reader: TraitReader, random: ReturnType<typeof randomFrom>): Sides {
  const lobes = Math.max(2, Math.round(reader.number('leaf.lobes', 5)));
  const style = styleOf(reader);
  const axes = lobeAxes(lobes, () => random.between(-1, 1));
  const base = reader.state('leaf.base', 'heart');
  const outermost = Math.max(...axes.map(({ angle }) => Math.abs(angle)));
  const back = {
    angle: Math.max(base === 'heart' ? 2.8 : base === 'straight' ? 1.95 : 2.2, outermost + 0.5),
    reach: base === 'heart' ? 0.16 : 0.05,
  };
  const radius = palmateRadius(axes, style, back);
  const half = (sign: 1 | -1): Point[] => {
    const inner = axes.map(({ angle }) => angle * sign).filter((angle) => angle >= 0);
    // Angles crowd about the lobes' tips, which a coarse walk would cut off.
    const angles = Array.from({ length: 64 }, (_, i) => (back.angle * i) / 63);
    for (const angle of inner) angles.push(angle, angle + 0.008, Math.max(0, angle - 0.008));
    const walk = [...new Set(angles)].sort((a, b) => b - a);
    return [
      [0, 0],
      ...walk.map((phi): Point => {
        const [x, y] = scaleBy(direction(phi), radius(phi * sign));
        return [x, Math.abs(y)];
      }),
    ];
  };
  const sides: [Point[], Point[]] = [half(-1), half(1)];
  const span = (side: readonly Point[]) => Math.max(...side.map(([, y]) => y));
  const by = 2 / (span(sides[0]) + span(sides[1]));
  const stretch = ([x, y]: Point): Point => [x, y * by];
  return {
    sides: [sides[0].map(stretch), sides[1].map(stretch)],
    lobeTips: axes.map(({ angle, reach }) => stretch(scaleBy(direction(angle), reach))),
  };
}

/** The shapes of a blade seen from above, or turned over. */
export function bladeShapes(
  blade: Blade,
  move: (points: readonly Point[]) => Point[],
  fill: string | undefined,
  lower = false,
): Shape[] {
  const shapes: Shape[] = [
    {
      role: lower ? 'bladeLower' : 'blade',
      points: move(blade.outline),
      closed: true,
      ...(fill ? { fill } : {}),
    },
  ];
  // One half lies away from the light.
  shapes.push(filled('shade', move([...blade.sides[1], ...[...blade.midrib].reverse()])));
  for (const vein of blade.veins.minor) shapes.push(stroke('veinlet', move(vein)));
  for (const vein of blade.veins.main) shapes.push(stroke('vein', move(vein)));
  shapes.push(stroke('midrib', move(blade.midrib)));
  for (const line of blade.bristles) shapes.push(stroke('bristle', move(line)));
  return shapes;
}

/** The point of a blade's edge half-way up its left side. */
export const edgePoint = (blade: Blade): Point => along(blade.sides[0], 0.55).point;
