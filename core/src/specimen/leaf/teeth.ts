import { add, distance, lengthOf, normals, resample, scaleBy, type Point } from '../geometry.ts';
import type { TraitReader } from '../traits.ts';

/** One side of a blade with its teeth, and where the teeth end. */
export interface ToothedSide {
  line: Point[];
  tips: Point[];
  /** Bristles and spines beyond the teeth, as lines. */
  points: Point[][];
}

const REACH: Record<string, number> = { allRound: 0.07, upperHalf: 0.5, tipOnly: 0.78 };

/**
 * Puts teeth along a side, from base to tip, by arc length: as many to the centimetre as the trait says, each with a long lower
 * and a short upper flank if it points forward, an arc if rounded, smaller towards both ends. Double teeth carry two smaller ones
 * on the lower flank. `sign` is −1 for the side above the midrib; `largest` bounds the height in millimetres.
 */
export function withTeeth(
  side: readonly Point[],
  sign: 1 | -1,
  reader: TraitReader,
  largest: number,
): ToothedSide {
  const kind = reader.state('leaf.teeth', 'none');
  const bare = { line: [...side], tips: [], points: [] };
  if (kind === 'none') return bare;
  const lobed = reader.state('leaf.lobing', 'none') !== 'none';
  const total = lengthOf(side);
  const reach = REACH[reader.state('leaf.teethReach', 'allRound')] ?? 0.07;
  const perCm = reader.number('leaf.teethPerCm', kind === 'double' ? 1.6 : 3);
  const toothed = total * (1 - reach);
  const teeth = Math.max(2, Math.round((toothed * perCm) / 10));
  const tip = reader.state('leaf.toothTip', 'forward');
  const forward = tip === 'forward' || tip === 'gland' || tip === 'bristle';
  const step = toothed / teeth;
  const height = Math.min(step * (tip === 'rounded' ? 0.26 : 0.4), largest);
  const peak = forward ? 0.72 : 0.5;
  const inner = kind === 'double' ? [0.34 * peak, 0.66 * peak] : [];

  // One resampled base line serves all feet and tips: `each` points to a tooth.
  const each = 8;
  const smooth = Math.max(4, Math.round(total * reach * 0.6));
  const body = cutAt(side, total * reach);
  const head = resample(body.before, smooth);
  const base = resample(body.after, teeth * each);
  const outward = normals(base, sign === 1 ? -1 : 1);
  const line: Point[] = head.slice(0, -1);
  const tips: Point[] = [];
  const points: Point[][] = [];
  for (let j = 0; j < teeth; j += 1) {
    const at = (share: number) => Math.max(0, Math.min(base.length - 1, Math.round((j + share) * each)));
    const window = Math.max(0.5, Math.min(1, ((j + 1) / teeth) * 5, ((teeth - j) / teeth) * 5));
    // In a sharp sinus neighbouring teeth would run into one another, in a narrow one those of its two walls.
    const room = Math.min(sinusRoom(base, at(0), at(1)), lobed ? sinusRoom(base, at(-0.6), at(1.6)) : 1);
    const own = base[at(0.5)]!;
    const h = Math.min(
      height * window * room,
      lobed ? 0.24 * Math.min(wallDistance(base, j + 0.5, each), wallDistance(base, j + 1, each)) : Infinity,
      // Behind the joint the two sides of a blade come close to each other.
      own[0] < 0 ? 0.4 * Math.abs(own[1]) : Infinity,
    );
    const raised = (share: number, by: number): Point => {
      const i = at(share);
      const back = base[Math.max(0, i - 1)]!;
      const ahead = base[Math.min(base.length - 1, i + 1)]!;
      const run = distance(back, ahead) || 1;
      const lean = forward ? 0.35 * by : 0;
      return add(
        add(base[i]!, scaleBy(outward[i]!, by)),
        scaleBy([ahead[0] - back[0], ahead[1] - back[1]], lean / run),
      );
    };
    line.push(base[at(0)]!);
    if (tip === 'rounded') {
      const end = kind === 'double' ? 0.66 : 1;
      for (const t of [0.12, 0.3, 0.5, 0.7, 0.88])
        line.push(raised(t * end, h * Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2))));
      // The small one of a double tooth stands on the upper flank of the large one.
      if (kind === 'double') line.push(raised(0.7, h * 0.42), raised(0.84, h * 0.62));
      tips.push(raised(0.5 * end, h));
      continue;
    }
    for (const t of inner) {
      const lower = (t / peak) * h;
      line.push(raised(t - 0.02, lower + h * 0.16), raised(t + 0.05, lower - h * 0.02));
    }
    if (inner.length === 0) line.push(raised(peak * 0.5, h * 0.42));
    const end = raised(peak, h);
    line.push(end);
    tips.push(end);
    if ((tip === 'bristle' || tip === 'spine') && room > 0.5) {
      const foot = base[at(peak)]!;
      const away = scaleBy([end[0] - foot[0], end[1] - foot[1]], tip === 'spine' ? 1.1 : 1.5);
      points.push([end, add(end, away)]);
    }
  }
  line.push(base[base.length - 1]!);
  return { line, tips, points };
}

/** 1 along a plain edge, less where the stretch lies in a sharp hollow or turns back on itself. */
function sinusRoom(base: readonly Point[], from: number, to: number): number {
  const [a, b] = [base[from]!, base[to]!];
  let arc = 0;
  for (let i = from + 1; i <= to; i += 1) arc += distance(base[i - 1]!, base[i]!);
  const straight = distance(a, b) / (arc || 1);
  return straight > 0.97 ? 1 : straight > 0.9 ? 0.5 : 0;
}

/** Distance from the place of tooth j to the nearest part of the edge that is not its own neighbourhood. */
function wallDistance(base: readonly Point[], j: number, each: number): number {
  const from = Math.round(j * each);
  const own = base[Math.min(base.length - 1, from)]!;
  let nearest = Infinity;
  let walked = 0;
  for (const way of [-1, 1]) {
    walked = 0;
    for (let i = from + way * (each / 2); i >= 0 && i < base.length; i += way * (each / 2)) {
      const gap = distance(own, base[i]!);
      walked += distance(base[i]!, base[Math.min(base.length - 1, Math.max(0, i - way * (each / 2)))]!);
      // The way along the edge is much longer than the straight one: another wall.
      if (walked > 1.6 * gap) nearest = Math.min(nearest, gap);
    }
  }
  return nearest;
}

function cutAt(line: readonly Point[], length: number): { before: Point[]; after: Point[] } {
  let walked = 0;
  for (let i = 1; i < line.length; i += 1) {
    const step = distance(line[i - 1]!, line[i]!);
    if (walked + step >= length) {
      const t = step ? (length - walked) / step : 0;
      const at: Point = [
        line[i - 1]![0] + (line[i]![0] - line[i - 1]![0]) * t,
        line[i - 1]![1] + (line[i]![1] - line[i - 1]![1]) * t,
      ];
      return { before: [...line.slice(0, i), at], after: [at, ...line.slice(i)] };
    }
    walked += step;
  }
  return { before: [...line], after: [line[line.length - 1]!, line[line.length - 1]!] };
}
