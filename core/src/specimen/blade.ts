import { randomFrom, seedOf } from '../random/index.ts';
import { add, along, between, curve, direction, normals, resample, scaleBy, type Point } from './geometry.ts';
import type { Shape } from './scene.ts';
import { TraitReader, type Traits } from './traits.ts';

/** A blade along +x from the joint with its petiole at the origin, millimetres. */
export interface Blade {
  outline: Point[];
  midrib: Point[];
  veins: Point[][];
  /** Half outlines from base to tip: left of the midrib and right of it, as walked to the tip. */
  sides: [Point[], Point[]];
}

interface Form {
  /** Where the blade is widest, as a share of its length. */
  widest: number;
  /** Length over width where the library gives no measure. */
  ratio: number;
  /** Roundness of the flanks: 2 is an ellipse, 1 straight sides. */
  round: number;
}

const FORMS: Record<string, Form> = {
  linear: { widest: 0.5, ratio: 12, round: 3.5 },
  lanceolate: { widest: 0.3, ratio: 4, round: 1.7 },
  oblanceolate: { widest: 0.7, ratio: 4, round: 1.7 },
  oblong: { widest: 0.5, ratio: 2.4, round: 3.2 },
  elliptic: { widest: 0.5, ratio: 1.8, round: 2 },
  ovate: { widest: 0.36, ratio: 1.5, round: 2 },
  obovate: { widest: 0.64, ratio: 1.5, round: 2 },
  deltoid: { widest: 0.2, ratio: 1.2, round: 1.5 },
  rhombic: { widest: 0.45, ratio: 1.3, round: 1.25 },
  orbicular: { widest: 0.46, ratio: 1.03, round: 2.1 },
  heart: { widest: 0.3, ratio: 1.15, round: 2 },
  fan: { widest: 0.82, ratio: 0.95, round: 1.6 },
};

/** The whole blade of a simple leaf, or one leaflet, of the given length and width in millimetres. */
export function bladeOf(traits: Traits, length: number, width: number, stream = 0): Blade {
  const reader = new TraitReader(traits);
  return reader.state('leaf.lobing', 'none') === 'palmate'
    ? palmateBlade(reader, length, width, stream)
    : midribBlade(reader, length, width, stream);
}

/** Length and width of a blade from its traits, millimetres; the shape's own proportion where a measure is missing. */
export function bladeSize(traits: Traits): { length: number; width: number } {
  const reader = new TraitReader(traits);
  const form = FORMS[reader.state('leaf.shape', 'ovate')] ?? FORMS['ovate']!;
  const ratio = reader.state('leaf.lobing', 'none') === 'palmate' ? 1 : form.ratio;
  const length = reader.mm(
    'leaf.length',
    reader.known('leaf.width') ? reader.mm('leaf.width', 40) * ratio : 70,
  );
  return { length, width: reader.mm('leaf.width', length / ratio) };
}

const CELLS = 90;

function midribBlade(reader: TraitReader, length: number, width: number, stream: number): Blade {
  const random = randomFrom(seedOf(reader.traits.seed, 'blade', stream));
  const form = FORMS[reader.state('leaf.shape', 'ovate')] ?? FORMS['ovate']!;
  const apex = reader.state('leaf.apex', 'acute');
  const base = reader.state('leaf.base', form.widest < 0.25 ? 'straight' : 'rounded');
  const lobes = reader.state('leaf.lobing', 'none') === 'pinnate' ? reader.number('leaf.lobes', 7) : 0;
  const depth = { shallow: 0.25, middle: 0.5, deep: 0.78 }[reader.state('leaf.sinusDepth', 'middle')] ?? 0.5;
  const sharp = reader.state('leaf.sinusBottom', 'round') === 'sharp';
  const bend = random.between(-0.06, 0.06) * width;
  const skew = random.between(-0.025, 0.025);
  const uneven = base === 'uneven' ? 0.07 * length : 0;
  const midrib = curve([0, 0], [length * 0.5, bend], [length, 0], 24);

  const side = (sign: 1 | -1): Point[] => {
    const half = (width / 2) * (1 + sign * skew);
    const start = uneven && sign > 0 ? uneven : 0;
    const points: Point[] = [];
    for (let i = 0; i <= CELLS; i += 1) {
      // Points crowd at both ends, where the curve turns fastest.
      const u = (1 - Math.cos((Math.PI * i) / CELLS)) / 2;
      const h =
        half *
        lower(u / form.widest, base, form.round, u < form.widest) *
        upper((1 - u) / (1 - form.widest), apex, form.round, u >= form.widest);
      const cut = lobes > 2 ? 1 - depth * sinus(u, lobes, sharp) : 1;
      const x = start + (length - start) * u;
      const forward = lobes > 2 ? h * cut * 0.35 * (1 - u) : 0;
      const dip = base === 'heart' ? heartDip(h / half, u, form.widest) * width * 0.3 : 0;
      const mid = along(midrib, x / length).point[1];
      points.push([Math.min(x + forward - dip, length), mid + sign * h * cut]);
    }
    return points;
  };
  const smooth: [Point[], Point[]] = [side(-1), side(1)];
  const sides: [Point[], Point[]] = [
    withTeeth(smooth[0], -1, reader, length, random.between(0, 1)),
    withTeeth(smooth[1], 1, reader, length, random.between(0, 1)),
  ];
  return {
    outline: [...sides[0], ...[...sides[1]].reverse()],
    midrib,
    veins: pinnateVeins(reader, smooth, midrib, lobes, random.between(0, 1)),
    sides,
  };
}

/** Half-width between base and widest point, t from 0 to 1. */
function lower(t: number, base: string, round: number, here: boolean): number {
  if (!here) return 1;
  const s = 1 - t;
  switch (base) {
    case 'wedge':
      return 1 - s ** Math.min(1.45, round);
    case 'straight':
      return (1 - s ** 5) ** 0.42;
    case 'heart':
      return (1 - s ** 2.6) ** 0.5;
    default:
      return (1 - s ** Math.max(2, round)) ** 0.55;
  }
}

/** Half-width between tip and widest point, t from 0 at the tip to 1. */
function upper(t: number, apex: string, round: number, here: boolean): number {
  if (!here) return 1;
  const s = 1 - t;
  switch (apex) {
    case 'acuminate': {
      // Concave run-out: the tip is drawn in to a third of what an acute one would be, smoothly.
      const near = Math.min(1, t / 0.5);
      return (1 - s ** Math.max(1.5, round)) * (0.3 + 0.7 * near * near * (3 - 2 * near));
    }
    case 'rounded':
      return Math.sqrt(1 - s ** Math.max(2, round));
    case 'notched':
      return Math.sqrt(1 - s ** Math.max(2.4, round));
    case 'blunt':
      return (1 - s ** Math.max(1.9, round)) ** 0.7;
    default:
      // Round blades run into a short point, others taper to it.
      if (round <= 2.05) return 1 - s ** Math.max(1.35, round - 0.1);
      return t < 0.1 ? (t / 0.1) ** 0.9 * (1 - 0.9 ** 2.2) ** 0.72 : (1 - s ** 2.2) ** 0.72;
  }
}

/** How far the lobes of a heart-shaped base reach behind the joint, as a share; nothing beyond the widest point. */
function heartDip(x: number, u: number, widest: number): number {
  if (u > widest) return 0;
  return Math.sin(Math.PI * Math.min(1, x)) ** 0.8 * (1 - u / widest);
}

/** 0 at a lobe's axis, 1 at the bottom of a sinus. The terminal lobe is one of the `lobes`. */
function sinus(u: number, lobes: number, sharp: boolean): number {
  const pairs = (lobes - 1) / 2;
  const phase = (u - 0.1) * (pairs + 0.55);
  if (phase < 0 || u > 0.97) return 0;
  const wave = (1 - Math.cos(2 * Math.PI * phase)) / 2;
  return (sharp ? wave ** 2.2 : wave ** 0.8) * Math.min(1, (0.97 - u) * 8);
}

/** Puts teeth along one side by arc length: they point to the apex and shrink towards base and tip. */
function withTeeth(
  side: readonly Point[],
  sign: 1 | -1,
  reader: TraitReader,
  length: number,
  phase: number,
): Point[] {
  const kind = reader.state('leaf.teeth', 'none');
  if (kind === 'none') return [...side];
  const n = 420;
  const line = resample(side, n);
  const outward = normals(line, sign === 1 ? -1 : 1);
  const arc = arcOf(line);
  const perCm = reader.number('leaf.teethPerCm', kind === 'double' ? 1.6 : 3);
  const reach =
    { allRound: 0.06, upperHalf: 0.48, tipOnly: 0.78 }[reader.state('leaf.teethReach', 'allRound')] ?? 0.06;
  const tip = reader.state('leaf.toothTip', 'forward');
  const teeth = Math.max(3, Math.round((arc * (1 - reach) * perCm) / 10));
  const height = Math.min((arc / teeth) * (tip === 'rounded' ? 0.28 : 0.42), length * 0.05);
  return line.map((point, i) => {
    const s = i / n;
    if (s < reach || i === n) return point;
    const at = ((s - reach) / (1 - reach)) * teeth;
    const window = Math.min(1, (s - reach) * 9, (1 - s) * 7);
    const fine = kind === 'double' ? 0.42 * tooth(at * 4 + phase, tip) : 0;
    const out = height * window * (tooth(at, tip) + fine);
    const lean = tip === 'forward' || tip === 'gland' || tip === 'bristle' ? 0.45 : 0.1;
    const next = line[Math.min(n, i + 1)]!;
    const ahead: Point = scaleBy([next[0] - point[0], next[1] - point[1]], (lean * out) / (arc / n || 1));
    return add(add(point, scaleBy(outward[i]!, out)), ahead);
  });
}

function arcOf(line: readonly Point[]): number {
  let sum = 0;
  for (let i = 1; i < line.length; i += 1)
    sum += Math.hypot(line[i]![0] - line[i - 1]![0], line[i]![1] - line[i - 1]![1]);
  return sum;
}

/** Profile of one tooth over its length: a long lower flank and a short upper one, an arc if rounded. */
function tooth(at: number, tip: string): number {
  const s = at - Math.floor(at);
  if (tip === 'rounded') return Math.sqrt(Math.max(0, 1 - (2 * s - 1) ** 2));
  const peak = tip === 'spreading' || tip === 'spine' ? 0.5 : 0.7;
  return s < peak ? (s / peak) ** 1.2 : (1 - s) / (1 - peak);
}

function pinnateVeins(
  reader: TraitReader,
  sides: [Point[], Point[]],
  midrib: Point[],
  lobes: number,
  jitter: number,
): Point[][] {
  const kind = reader.state('leaf.veins', 'looping');
  const pairs =
    lobes > 2
      ? Math.round((lobes - 1) / 2)
      : reader.number('leaf.veinPairs', kind === 'threeFromBase' ? 4 : 7);
  const veins: Point[][] = [];
  for (const side of sides)
    for (let k = 0; k < pairs; k += 1) {
      const start = kind === 'threeFromBase' && k === 0 ? 0.01 : 0.07 + ((k + 0.12 * jitter) / pairs) * 0.78;
      const from = along(midrib, start).point;
      const steep = kind === 'arching' ? 0.34 : kind === 'threeFromBase' && k === 0 ? 0.42 : 0.2;
      const edge = along(side, Math.min(0.96, edgeShare(side, start + steep * (1 - start * 0.6)))).point;
      const reach = kind === 'straight' ? 0.985 : kind === 'arching' ? 0.9 : 0.88;
      const end = between(from, edge, reach);
      const pull = kind === 'straight' ? 0.08 : 0.22;
      const control: Point = [
        between(from, end, 0.5)[0] - (end[0] - from[0]) * pull,
        between(from, end, 0.55 + pull / 2)[1],
      ];
      const vein = curve(from, control, end, 8);
      if (kind === 'looping')
        vein.push(
          ...curve(
            end,
            add(end, [(edge[0] - from[0]) * 0.12, 0]),
            between(end, along(midrib, Math.min(1, start + 0.34)).point, 0.16),
            4,
          ).slice(1),
        );
      veins.push(vein);
    }
  return veins;
}

/** Share of a side's length at which it has come as far along the midrib as `u`. */
function edgeShare(side: readonly Point[], u: number): number {
  const tip = side[side.length - 1]![0];
  const index = side.findIndex((point) => point[0] >= u * tip);
  return (index < 0 ? side.length - 1 : index) / (side.length - 1);
}

/** Lobes spread from the joint: the outline is a function of the angle, so it cannot cross itself. */
function palmateBlade(reader: TraitReader, length: number, width: number, stream: number): Blade {
  const random = randomFrom(seedOf(reader.traits.seed, 'palmate', stream));
  const lobes = Math.max(3, Math.round(reader.number('leaf.lobes', 5)));
  const depth = { shallow: 0.3, middle: 0.5, deep: 0.74 }[reader.state('leaf.sinusDepth', 'middle')] ?? 0.5;
  const tips = reader.state('leaf.lobeTips', 'pointed');
  const base = reader.state('leaf.base', 'heart');
  const perSide = Math.floor((lobes - 1) / 2);
  const spread = perSide === 1 ? [48] : perSide === 2 ? [42, 88] : [34, 72, 108];
  const drop = perSide === 1 ? [0.78] : perSide === 2 ? [0.86, 0.52] : [0.92, 0.72, 0.46];
  const axes = [
    { angle: 0, reach: 1 },
    ...spread.flatMap((degrees, i) =>
      [-1, 1].map((sign) => ({
        angle: ((degrees + random.between(-3, 3)) * sign * Math.PI) / 180,
        reach: (drop[i] ?? 0.45) * random.between(0.96, 1.04),
      })),
    ),
  ].sort((a, b) => a.angle - b.angle);
  const last = axes[axes.length - 1]!;
  const backAngle = base === 'heart' ? 2.75 : base === 'straight' ? 1.75 : 2.1;
  const backReach = base === 'heart' ? 0.2 : 0.07;

  const radius = (phi: number): number => {
    const side = Math.abs(phi);
    if (side >= last.angle) {
      const t = Math.min(1, (side - last.angle) / (backAngle - last.angle));
      const from = last.reach;
      const shoulder = from * (1 - 0.62 * Math.min(1, t * 2.4) ** 0.8);
      return t < 1 ? shoulder + (backReach - shoulder) * t ** 1.6 : backReach;
    }
    const next = axes.findIndex((axis) => axis.angle > phi);
    const [a, b] = [axes[Math.max(0, next - 1)]!, axes[next] ?? last];
    const x = (phi - a.angle) / (b.angle - a.angle || 1);
    const [near, far] = x < 0.5 ? [a, b] : [b, a];
    const off = Math.min(1, 2 * Math.min(x, 1 - x));
    const floor = Math.min(near.reach, far.reach) * (1 - depth);
    const profile = tips === 'rounded' ? Math.sqrt(1 - off ** 2) : (1 - off) ** 0.92 * (1 + 0.55 * off);
    return floor + (near.reach - floor) * Math.max(0, profile);
  };

  const half = (sign: 1 | -1): Point[] => {
    const points: Point[] = [[0, 0]];
    for (let i = 0; i <= 150; i += 1) {
      const phi = backAngle * (1 - i / 150) * sign;
      points.push(scaleBy(direction(phi), radius(phi)));
    }
    return points;
  };
  const unit: [Point[], Point[]] = [half(-1), half(1)];
  const box = unit.flat();
  const spanY = Math.max(...box.map((p) => p[1])) - Math.min(...box.map((p) => p[1]));
  const stretch = (line: Point[]): Point[] => line.map(([x, y]) => [x * length, (y * width) / spanY]);
  const smooth: [Point[], Point[]] = [stretch(unit[0]), stretch(unit[1])];
  const sides: [Point[], Point[]] = [
    withTeeth(smooth[0], -1, reader, length, 0.3),
    withTeeth(smooth[1], 1, reader, length, 0.6),
  ];
  const tipOf = ({ angle, reach }: { angle: number; reach: number }): Point => {
    const p = scaleBy(direction(angle), reach);
    return [p[0] * length, (p[1] * width) / spanY];
  };
  const veins: Point[][] = [];
  for (const axis of axes) {
    const tip = tipOf(axis);
    if (axis.angle !== 0) veins.push([[0, 0], between([0, 0], tip, 0.97)]);
    for (const t of [0.34, 0.5, 0.65, 0.78])
      for (const sign of [-1, 1]) {
        const from = between([0, 0], tip, t);
        const angle = Math.atan2(tip[1], tip[0]) + sign * 0.62;
        veins.push([from, add(from, scaleBy(direction(angle), Math.hypot(...tip) * 0.19 * (1.15 - t)))]);
      }
  }
  return {
    outline: [...sides[0], ...[...sides[1]].reverse()],
    midrib: [
      [0, 0],
      [length * 0.98, 0],
    ],
    veins,
    sides,
  };
}

/** The shapes of a blade seen from above. */
export function bladeShapes(
  blade: Blade,
  move: (points: readonly Point[]) => Point[],
  fill: string | undefined,
  lower = false,
): Shape[] {
  const role = lower ? 'bladeLower' : 'blade';
  return [
    { role, points: move(blade.outline), closed: true, ...(fill ? { fill } : {}) },
    ...blade.veins.map((vein): Shape => ({ role: 'vein', points: move(vein), closed: false })),
    { role: 'midrib', points: move(blade.midrib), closed: false },
  ];
}
