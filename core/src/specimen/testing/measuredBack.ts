import { along, distance, lengthOf, type Point } from '../geometry.ts';
import type { Scene, Shape } from '../scene.ts';

/**
 * What can be measured on a drawing with a rule and a pointed finger. Nothing here knows the traits it was drawn from: only roles
 * and points, in millimetres.
 */

const middle = (points: readonly Point[]): Point => [
  points.reduce((sum, p) => sum + p[0], 0) / points.length,
  points.reduce((sum, p) => sum + p[1], 0) / points.length,
];

/** Length of a blade from the joint along its midrib, and its width across. */
export function bladeMeasures(
  outline: readonly Point[],
  midrib: readonly Point[],
): { length: number; width: number } {
  const [from, to] = [midrib[0]!, midrib[midrib.length - 1]!];
  const length = distance(from, to);
  const [ux, uy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const across = outline.map(([x, y]) => (y - from[1]) * ux - (x - from[0]) * uy);
  return { length, width: Math.max(...across) - Math.min(...across) };
}

/** Half-widths of a side of a pinnate blade rise and fall with its lobes: rises that stand out by a sixteenth are lobes. */
function rises(heights: readonly number[]): number {
  const highest = Math.max(...heights);
  const [least, step] = [0.15 * highest, 0.045 * highest];
  let found = 0;
  let [low, high, climbing] = [heights[0]!, heights[0]!, true];
  for (const h of heights) {
    if (climbing) {
      high = Math.max(high, h);
      if (h < high * 0.94 && high - h > step) {
        // What hardly leaves the midrib is the foot of the blade.
        if (high > least) found += 1;
        low = h;
        climbing = false;
      }
    } else {
      low = Math.min(low, h);
      if (h > low * 1.06 && h - low > step) {
        high = h;
        climbing = true;
      }
    }
  }
  return found;
}

/** Lobes of a pinnate blade with its midrib on the x axis: those of both sides and the one at the end. */
export function countPinnateLobes(outline: readonly Point[]): number {
  const tip = outline.reduce((best, p, i) => (p[0] > outline[best]![0] ? i : best), 0);
  const left = outline.slice(0, tip + 1).map(([, y]) => Math.max(0, -y));
  const right = outline
    .slice(tip)
    .map(([, y]) => Math.max(0, y))
    .reverse();
  return rises(left) + rises(right) + 1;
}

/** Tips of a palmate blade: places of its outline farther from the joint than what lies on either side, by a sixteenth. */
export function countPalmateLobes(outline: readonly Point[]): number {
  return rises(outline.map(([x, y]) => Math.hypot(x, y)));
}

/** Corners of a line that turn back into the blade by more than 12°: the bottoms between teeth. */
function hollows(side: readonly Point[], sign: 1 | -1): Point[] {
  const found: Point[] = [];
  for (let i = 1; i < side.length - 1; i += 1) {
    const [a, b, c] = [side[i - 1]!, side[i]!, side[i + 1]!];
    const turn = Math.atan2(
      (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]),
      (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]),
    );
    if (sign * turn > 0.22) found.push(b);
  }
  return found;
}

/**
 * Teeth to the centimetre along one side of an unlobed blade, from the bottoms between them; of double teeth the large ones count.
 * `sign` is −1 for the side whose outside lies at negative y.
 */
export function teethPerCm(side: readonly Point[], sign: 1 | -1): number {
  const all = hollows(side, sign);
  // The middle stretch is measured: at base and tip teeth dwindle.
  const from = Math.floor(all.length * 0.25);
  const base = all.slice(from, Math.ceil(all.length * 0.85));
  if (base.length < 3) return 0;
  const depth = base.map((at, i) => {
    const [before, after] = [peak(side, all[from + i - 1], at), peak(side, at, all[from + i + 1])];
    return before && after ? toLine(at, before, after) : 0;
  });
  const sorted = [...depth].sort((a, b) => a - b);
  const [shallow, deep] = [sorted[Math.floor(sorted.length / 3)]!, sorted[Math.floor(sorted.length * 0.83)]!];
  // Two depths apart: the shallow ones lie between the small teeth of double ones.
  const large = deep > 1.7 * shallow ? base.filter((_, i) => depth[i]! > Math.sqrt(shallow * deep)) : base;
  return large.length < 2 ? 0 : ((large.length - 1) * 10) / lengthOf(large);
}

/** The point between two corners that stands out farthest from their chord. */
function peak(side: readonly Point[], from: Point | undefined, to: Point | undefined): Point | undefined {
  if (!from || !to) return undefined;
  const between = side.slice(side.indexOf(from) + 1, side.indexOf(to));
  return between.reduce<Point | undefined>(
    (best, p) => (best && toLine(best, from, to) >= toLine(p, from, to) ? best : p),
    undefined,
  );
}

const toLine = (p: Point, a: Point, b: Point): number =>
  Math.abs((b[0] - a[0]) * (a[1] - p[1]) - (a[0] - p[0]) * (b[1] - a[1])) / (distance(a, b) || 1);

const ofRole = (scene: Scene, ...roles: Shape['role'][]) =>
  scene.shapes.filter(({ role }) => roles.includes(role));

/** Main side veins of one blade for each side of its midrib. */
export function veinsPerSide(veins: readonly (readonly Point[])[]): [number, number] {
  const left = veins.filter((vein) => vein[vein.length - 1]![1] < vein[0]![1]).length;
  return [left, veins.length - left];
}

/** Where a needle stands: the middle of its foot. A needle's outline runs up one side and down the other. */
const footOf = ({ points }: Shape): Point => middle([points[0]!, points[points.length - 1]!]);

/** Needles that spring from one point, for each such point of a shoot. */
export function needlesTogether(scene: Scene): number[] {
  const groups: { at: Point; n: number }[] = [];
  for (const needle of ofRole(scene, 'needle', 'needleLower', 'needleFar')) {
    const at = footOf(needle);
    const group = groups.find((each) => distance(each.at, at) < 0.02);
    if (group) group.n += 1;
    else groups.push({ at, n: 1 });
  }
  return groups.map(({ n }) => n);
}

/** Length of the longest needle, and width of the widest, of a shoot. */
export function needleMeasures(scene: Scene): { length: number; width: number } {
  let [length, width] = [0, 0];
  for (const { points } of ofRole(scene, 'needle', 'needleLower', 'needleFar')) {
    const half = Math.floor(points.length / 2);
    const line = Array.from({ length: half }, (_, i) => middle([points[i]!, points[points.length - 1 - i]!]));
    length = Math.max(length, lengthOf(line));
    for (let i = 1; i < half - 1; i += 1)
      width = Math.max(width, distance(points[i]!, points[points.length - 1 - i]!));
  }
  return { length, width };
}

/** Share of an acorn that its cup covers, %. */
export function cupCover(scene: Scene): number {
  const [nut, cup] = [ofRole(scene, 'nut')[0]!, ofRole(scene, 'cup')[0]!];
  const [top, bottom] = [Math.min(...nut.points.map((p) => p[1])), Math.max(...nut.points.map((p) => p[1]))];
  return ((Math.max(...cup.points.map((p) => p[1])) - top) / (bottom - top)) * 100;
}

/** Angle between the wings of each paired samara, degrees: from the joint to the farthest point of either. */
export function samaraAngles(scene: Scene): number[] {
  const wings = ofRole(scene, 'wing');
  const angles: number[] = [];
  for (let i = 0; i + 1 < wings.length; i += 2) {
    const [a, b] = [wings[i]!.points, wings[i + 1]!.points];
    const joint = middle([middle([a[0]!, a[a.length - 1]!]), middle([b[0]!, b[b.length - 1]!])]);
    const far = (points: readonly Point[]) =>
      points.reduce((best, p) => (distance(p, joint) > distance(best, joint) ? p : best));
    const way = (p: Point) => Math.atan2(p[1] - joint[1], p[0] - joint[0]);
    const turn = Math.abs(way(far(a)) - way(far(b)));
    angles.push((Math.min(turn, 2 * Math.PI - turn) * 180) / Math.PI);
  }
  return angles;
}

/** The middle line of a twig, from its two edges. */
export function twigAxis(twig: Shape): Point[] {
  const half = twig.points.length / 2;
  return Array.from({ length: half }, (_, i) =>
    middle([twig.points[i]!, twig.points[twig.points.length - 1 - i]!]),
  );
}

/** Mean bend of a line at its inner points, radians, if the bends change sides; 0 otherwise. */
export function zigzag(axis: readonly Point[]): number {
  const bends = axis.slice(1, -1).map((at, i) => {
    const [a, c] = [axis[i]!, axis[i + 2]!];
    const turn = Math.atan2(c[1] - at[1], c[0] - at[0]) - Math.atan2(at[1] - a[1], at[0] - a[0]);
    return Math.atan2(Math.sin(turn), Math.cos(turn));
  });
  const alternate = bends.every((bend, i) => i === 0 || bend * bends[i - 1]! < 0);
  return alternate ? bends.reduce((sum, bend) => sum + Math.abs(bend), 0) / bends.length : 0;
}

/** How leaves or buds stand on a twig, from the feet of their stalks: gaps along the twig against the internodes. */
export function arrangementOf(feet: readonly Point[], axis: readonly Point[]): string {
  const steps = 200;
  const spots = Array.from({ length: steps + 1 }, (_, i) => along(axis, i / steps).point);
  const share = (p: Point) =>
    spots.reduce((best, spot, i) => (distance(spot, p) < distance(spots[best]!, p) ? i : best), 0) / steps;
  const places = feet.map(share).sort((a, b) => a - b);
  const gaps = places.slice(1).map((p, i) => p - places[i]!);
  const internode = Math.max(...gaps);
  const together = gaps.filter((gap) => gap < internode * 0.11).length;
  const near = gaps.filter((gap) => gap >= internode * 0.11 && gap < internode * 0.4).length;
  const nodes = gaps.filter((gap) => gap >= internode * 0.4).length + 1;
  if (near >= nodes - 1 && near > 0) return 'subopposite';
  if (together >= 2 * nodes) return 'whorled';
  return together >= nodes ? 'opposite' : 'alternate';
}
