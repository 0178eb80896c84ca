import type { Point } from '../geometry.ts';

/** How lobes end and how the cuts between them end. */
export interface LobeStyle {
  /** Depth of a sinus as a share of the half-width (pinnate) or of the lobe (palmate). */
  depth: number;
  tips: string;
  sharpSinus: boolean;
}

export const SINUS_DEPTH: Record<string, number> = { shallow: 0.25, middle: 0.5, deep: 0.78 };

/** From 0 at the bottom of a sinus to 1 at the tip of a lobe. */
export function lobeRise(t: number, { tips, sharpSinus }: LobeStyle): number {
  if (tips === 'rounded') {
    // Broad round ends with narrow cuts between them.
    const u = Math.min(1, t * 1.4);
    return (sharpSinus ? 1 - (1 - u) ** 2.2 : u * u * (3 - 2 * u)) * (0.95 + 0.05 * t);
  }
  return sharpSinus ? 0.85 * t + 0.15 * t ** 3 : 0.5 * t + 0.5 * t ** 2.2;
}

/**
 * Half-outline of a pinnately lobed blade: `lobes` lateral lobes on this side, then the end lobe. x runs 0–1 from joint to tip, y
 * is the half-width in units of the widest; `envelope` is the half-width an unlobed blade would have. Every lateral lobe is a
 * rise above both its cuts, so that it can be counted.
 */
export function pinnateSide(envelope: (u: number) => number, lobes: number, style: LobeStyle): Point[] {
  const [first, last] = [0.1, lobes > 2 ? 0.84 : 0.78];
  const centre = (i: number) => first + ((i + 0.55) / lobes) * (last - first);
  const tips = Array.from({ length: lobes }, (_, i) => ({ u: centre(i), y: envelope(centre(i)) }));
  const cuts = Array.from({ length: lobes }, (_, i) => {
    const u = first + ((i + 1) / lobes) * (last - first);
    const next = tips[i + 1]?.y ?? envelope(u);
    return { u, y: Math.min(tips[i]!.y, next) * (1 - style.depth) };
  });
  const foot = { u: first * 0.55, y: Math.min(envelope(first * 0.55), tips[0]!.y * (1 - style.depth)) };
  const points: Point[] = [[0, 0]];
  const run = (from: { u: number; y: number }, to: { u: number; y: number }, n: number) => {
    const rising = to.y > from.y;
    const [low, high] = rising ? [from.y, to.y] : [to.y, from.y];
    for (let k = 1; k <= n; k += 1) {
      const t = k / n;
      points.push([from.u + (to.u - from.u) * t, low + (high - low) * lobeRise(rising ? t : 1 - t, style)]);
    }
  };
  points.push([foot.u, foot.y]);
  let at = foot;
  tips.forEach((tip, i) => {
    run(at, tip, 8);
    run(tip, cuts[i]!, 7);
    at = cuts[i]!;
  });
  // The end lobe narrows from the last cut to the tip; it is no lateral lobe.
  const power = style.tips === 'rounded' ? 2.6 : 1.5;
  for (let k = 1; k <= 12; k += 1) {
    const t = k / 12;
    points.push([
      at.u + (1 - at.u) * t,
      at.y * Math.max(0, 1 - t ** power) ** (style.tips === 'rounded' ? 0.6 : 0.9),
    ]);
  }
  return points;
}

/** Axis of a palmate lobe: radians from the midrib, length as a share of the middle lobe's. */
export interface LobeAxis {
  angle: number;
  reach: number;
}

/** Degrees and lengths of the lateral lobes of one side, outward. */
const SPREAD: Record<number, { degrees: number[]; reach: number[] }> = {
  1: { degrees: [52], reach: [0.8] },
  2: { degrees: [44, 92], reach: [0.88, 0.58] },
  3: { degrees: [36, 74, 112], reach: [0.93, 0.75, 0.5] },
  4: { degrees: [30, 60, 90, 120], reach: [0.95, 0.82, 0.64, 0.46] },
  5: { degrees: [26, 52, 78, 103, 127], reach: [0.96, 0.86, 0.74, 0.6, 0.46] },
};

/** Axes of `lobes` lobes spread from the joint, one of them in the middle; an even number has one more on one side. */
export function lobeAxes(lobes: number, jitter: () => number): LobeAxis[] {
  const right = Math.min(5, Math.ceil((lobes - 1) / 2));
  const left = Math.min(5, Math.floor((lobes - 1) / 2));
  const side = (n: number, sign: 1 | -1): LobeAxis[] => {
    const spread = SPREAD[n];
    if (!spread) return [];
    return spread.degrees.map((degrees, i) => ({
      angle: (sign * (degrees + 3 * jitter()) * Math.PI) / 180,
      reach: spread.reach[i]! * (1 + 0.04 * jitter()),
    }));
  };
  return [{ angle: 0, reach: 1 }, ...side(right, 1), ...side(left, -1)].sort((a, b) => a.angle - b.angle);
}

/** Distance of a palmate outline from the joint at an angle: a function, so that the outline cannot cross itself. */
export function palmateRadius(
  axes: readonly LobeAxis[],
  style: LobeStyle,
  back: { angle: number; reach: number },
) {
  const [first, last] = [axes[0]!, axes[axes.length - 1]!];
  return (phi: number): number => {
    const outer = phi < first.angle ? first : phi > last.angle ? last : undefined;
    if (outer) {
      const span = back.angle - Math.abs(outer.angle);
      const t = Math.min(1, Math.abs(phi - outer.angle) / span);
      const shoulder = outer.reach * Math.max(1 - style.depth, 0.42);
      const fall = Math.min(1, t * 2.6);
      const near = shoulder + (outer.reach - shoulder) * lobeRise(1 - fall, style);
      return t >= 1 ? back.reach : near + (back.reach - near) * Math.max(0, (t - 0.2) / 0.8) ** 1.3;
    }
    let i = 0;
    while (i < axes.length - 2 && axes[i + 1]!.angle < phi) i += 1;
    const [a, b] = [axes[i]!, axes[i + 1]!];
    const x = (phi - a.angle) / (b.angle - a.angle || 1);
    const floor = Math.min(a.reach, b.reach) * (1 - style.depth);
    // The cut lies nearer to the shorter lobe.
    const cut = 0.5 + 0.16 * Math.sign(a.reach - b.reach) * Math.min(1, Math.abs(a.reach - b.reach) * 3);
    const [near, t] = x < cut ? [a, 1 - x / cut] : [b, (x - cut) / (1 - cut)];
    return floor + (near.reach - floor) * lobeRise(t, style);
  };
}
