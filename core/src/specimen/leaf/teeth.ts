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
  const notched = reader.state('leaf.apex', 'acute') === 'notched';
  const total = lengthOf(side);
  const reach = REACH[reader.state('leaf.teethReach', 'allRound')] ?? 0.07;
  const perCm = reader.number('leaf.teethPerCm', kind === 'double' ? 1.6 : 3);
  // Each tooth is as long as the trait says; what is left over stays smooth at the base.
  const step = Math.min(10 / perCm, (total * (1 - reach)) / 2);
  const teeth = Math.floor((total * (1 - reach)) / step + 1e-9);
  const smoothLength = total - teeth * step;
  const tip = reader.state('leaf.toothTip', 'forward');
  const forward = tip === 'forward' || tip === 'gland' || tip === 'bristle';
  const height = Math.min(step * steepness(tip), largest);
  const peak = forward ? 0.72 : 0.5;
  const inner = kind === 'double' ? [0.34 * peak, 0.66 * peak] : [];

  // One resampled base line serves all feet and tips: `each` points to a tooth.
  const each = kind === 'double' ? 16 : 8;
  const smooth = Math.max(4, Math.round(smoothLength * 0.6));
  const body = cutAt(side, smoothLength);
  const head = resample(body.before, smooth);
  const base = resample(body.after, teeth * each);
  const outward = normals(base, sign === 1 ? -1 : 1);
  const walls = lobed
    ? wallDistances(
        Array.from({ length: teeth + 1 }, (_, j) => base[j * each]!),
        step,
      )
    : undefined;
  const line: Point[] = head.slice(0, -1);
  const tips: Point[] = [];
  const points: Point[][] = [];
  for (let j = 0; j < teeth; j += 1) {
    const at = (share: number) => Math.max(0, Math.min(base.length - 1, Math.round((j + share) * each)));
    const window = Math.max(0.5, Math.min(1, ((j + 1) / teeth) * 5, ((teeth - j) / teeth) * 5));
    // In a sharp sinus neighbouring teeth would run into one another, in a narrow one those of its two walls.
    // A notch has no teeth in it.
    const ending = notched && j >= teeth - 2 ? 0 : 1;
    const room =
      ending * Math.min(sinusRoom(base, at(0), at(1)), lobed ? sinusRoom(base, at(-0.6), at(1.6)) : 1);
    const own = base[at(0.5)]!;
    const h = Math.min(
      height * window * room,
      walls ? 0.2 * Math.min(walls[j]!, walls[j + 1]!) : Infinity,
      // Behind the joint and at the tip the two sides of a blade come close to each other.
      (own[0] < 0 ? 0.4 : 0.7) * Math.abs(own[1]),
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
      if (kind === 'double') line.push(raised(0.7, h * 0.5), raised(0.84, h * 0.68));
      tips.push(raised(0.5 * end, h));
      continue;
    }
    for (const t of inner) {
      const lower = (t / peak) * h;
      line.push(raised(t - 0.02, lower + h * 0.16), raised(t + 0.05, lower - h * 0.02));
    }
    if (inner.length === 0) line.push(raised(peak * 0.5, h * 0.47));
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

/** Height of a tooth over its length along the edge. */
const steepness = (tip: string): number => (tip === 'rounded' ? 0.26 : 0.4);

/** How far teeth will stand out from the edge, millimetres, so that room can be left for them. */
export function toothHeight(reader: TraitReader, largest: number): number {
  const kind = reader.state('leaf.teeth', 'none');
  if (kind === 'none') return 0;
  const perCm = reader.number('leaf.teethPerCm', kind === 'double' ? 1.6 : 3);
  return Math.min((10 / perCm) * steepness(reader.state('leaf.toothTip', 'forward')), largest);
}

/** 1 along a plain edge, less where the stretch lies in a sharp hollow or turns back on itself. */
function sinusRoom(base: readonly Point[], from: number, to: number): number {
  const [a, b] = [base[from]!, base[to]!];
  let arc = 0;
  for (let i = from + 1; i <= to; i += 1) arc += distance(base[i - 1]!, base[i]!);
  const straight = distance(a, b) / (arc || 1);
  return straight > 0.97 ? 1 : straight > 0.9 ? 0.5 : 0;
}

/** For each foot of a tooth its distance to another wall: to what is much nearer across than along the edge. */
function wallDistances(feet: readonly Point[], step: number): Float64Array {
  const walls = new Float64Array(feet.length).fill(Infinity);
  for (let j = 0; j < feet.length; j += 1)
    for (let k = j + 1; k < feet.length; k += 1) {
      const gap = distance(feet[j]!, feet[k]!);
      if ((k - j) * step < 1.6 * gap) continue;
      if (gap < walls[j]!) walls[j] = gap;
      if (gap < walls[k]!) walls[k] = gap;
    }
  return walls;
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
