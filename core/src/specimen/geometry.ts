/** Points are [x, y] in millimetres, y downward. */
export type Point = readonly [number, number];

export const add = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1]];
export const scaleBy = (a: Point, by: number): Point => [a[0] * by, a[1] * by];
export const between = (a: Point, b: Point, t: number): Point => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
];
/** Square root of the sum: on the path of every drawing, where Math.hypot is several times slower. */
export const distance = (a: Point, b: Point): number => {
  const dx = a[0] - b[0];
  const dy = a[1] - b[1];
  return Math.sqrt(dx * dx + dy * dy);
};
/** Unit vector at an angle in radians, 0 to the right, growing clockwise on the page. */
export const direction = (angle: number): Point => [Math.cos(angle), Math.sin(angle)];

export const rotate = ([x, y]: Point, angle: number): Point => [
  x * Math.cos(angle) - y * Math.sin(angle),
  x * Math.sin(angle) + y * Math.cos(angle),
];

/** Places points drawn along +x from the origin at `at`, turned by `angle`. */
export function place(points: readonly Point[], at: Point, angle: number): Point[] {
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  return points.map((p): Point => [at[0] + p[0] * cos - p[1] * sin, at[1] + p[0] * sin + p[1] * cos]);
}

/** A quadratic Bézier curve as `n`+1 points. */
export function curve(from: Point, control: Point, to: Point, n = 10): Point[] {
  return Array.from({ length: n + 1 }, (_, i) => {
    const t = i / n;
    return between(between(from, control, t), between(control, to, t), t);
  });
}

/** Length of a polyline. */
export function lengthOf(line: readonly Point[]): number {
  let sum = 0;
  for (let i = 1; i < line.length; i += 1) sum += distance(line[i - 1]!, line[i]!);
  return sum;
}

/** `n`+1 points at equal arc length along a polyline. */
export function resample(line: readonly Point[], n: number): Point[] {
  const total = lengthOf(line);
  const out: Point[] = [line[0]!];
  let walked = 0;
  let i = 1;
  for (let k = 1; k < n; k += 1) {
    const target = (total * k) / n;
    while (i < line.length - 1 && walked + distance(line[i - 1]!, line[i]!) < target) {
      walked += distance(line[i - 1]!, line[i]!);
      i += 1;
    }
    const step = distance(line[i - 1]!, line[i]!) || 1;
    out.push(between(line[i - 1]!, line[i]!, (target - walked) / step));
  }
  out.push(line[line.length - 1]!);
  return out;
}

/** The point at a share 0–1 of the length of a polyline, with the angle of the line there. */
export function along(line: readonly Point[], share: number): { point: Point; angle: number } {
  const total = lengthOf(line);
  let left = total * Math.min(1, Math.max(0, share));
  for (let i = 1; i < line.length; i += 1) {
    const step = distance(line[i - 1]!, line[i]!);
    if (left <= step || i === line.length - 1) {
      const [a, b] = [line[i - 1]!, line[i]!];
      return { point: between(a, b, step ? left / step : 0), angle: Math.atan2(b[1] - a[1], b[0] - a[0]) };
    }
    left -= step;
  }
  return { point: line[0]!, angle: 0 };
}

/** Outward normals of a polyline whose outside lies to its left when walked with y downward (right side of a blade: −1). */
export function normals(line: readonly Point[], side: 1 | -1): Point[] {
  return line.map((_, i) => {
    const [a, b] = [line[Math.max(0, i - 1)]!, line[Math.min(line.length - 1, i + 1)]!];
    const length = distance(a, b) || 1;
    return [(side * (b[1] - a[1])) / length, (-side * (b[0] - a[0])) / length];
  });
}

/** A closed band around a line whose half-width is given along its length (0–1). */
export function band(line: readonly Point[], halfWidth: (share: number) => number): Point[] {
  const outward = normals(line, 1);
  const share = (i: number) => i / (line.length - 1);
  const left = line.map((point, i) => add(point, scaleBy(outward[i]!, halfWidth(share(i)))));
  const right = line.map((point, i) => add(point, scaleBy(outward[i]!, -halfWidth(share(i)))));
  return [...left, ...right.reverse()];
}

export interface Bounds {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

export function boundsOf(lines: Iterable<readonly Point[]>): Bounds {
  const bounds = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
  for (const line of lines)
    for (let i = 0; i < line.length; i += 1) {
      const x = line[i]![0];
      const y = line[i]![1];
      if (x < bounds.left) bounds.left = x;
      if (x > bounds.right) bounds.right = x;
      if (y < bounds.top) bounds.top = y;
      if (y > bounds.bottom) bounds.bottom = y;
    }
  return bounds;
}

/** A closed ellipse of `n` points about a centre, turned by `angle`. */
export const ellipse = (at: Point, rx: number, ry: number, angle = 0, n = 20): Point[] =>
  Array.from({ length: n }, (_, i) => {
    const t = (2 * Math.PI * i) / n;
    return add(rotate([rx * Math.cos(t), ry * Math.sin(t)], angle), at);
  });

/** Signed area of a closed outline (positive when walked clockwise on the page). */
export function areaOf(outline: readonly Point[]): number {
  let sum = 0;
  for (let i = 0; i < outline.length; i += 1) {
    const [a, b] = [outline[i]!, outline[(i + 1) % outline.length]!];
    sum += a[0] * b[1] - b[0] * a[1];
  }
  return sum / 2;
}

/** The parts of a polyline inside a rectangle, cut where it leaves. */
export function clipLine(line: readonly Point[], box: Bounds): Point[][] {
  const parts: Point[][] = [];
  let open: Point[] = [];
  for (let i = 1; i < line.length; i += 1) {
    const cut = clipSegment(line[i - 1]!, line[i]!, box);
    if (!cut) {
      if (open.length > 1) parts.push(open);
      open = [];
      continue;
    }
    if (open.length === 0) open.push(cut[0]);
    open.push(cut[1]);
    if (cut[1] !== line[i]) {
      parts.push(open);
      open = [];
    }
  }
  if (open.length > 1) parts.push(open);
  return parts;
}

/** Liang & Barsky 1984; gives back the very points that lie inside. */
function clipSegment(a: Point, b: Point, { left, right, top, bottom }: Bounds): [Point, Point] | undefined {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  let [from, to] = [0, 1];
  for (const [p, q] of [
    [-dx, a[0] - left],
    [dx, right - a[0]],
    [-dy, a[1] - top],
    [dy, bottom - a[1]],
  ] as const) {
    if (p === 0) {
      if (q < 0) return undefined;
      continue;
    }
    const r = q / p;
    if (p < 0) from = Math.max(from, r);
    else to = Math.min(to, r);
    if (from > to) return undefined;
  }
  return [from === 0 ? a : between(a, b, from), to === 1 ? b : between(a, b, to)];
}

/** A closed outline cut to a rectangle (Sutherland & Hodgman 1974); empty where nothing is inside. */
export function clipOutline(outline: readonly Point[], { left, right, top, bottom }: Bounds): Point[] {
  const edges: [(p: Point) => number][] = [
    [(p) => p[0] - left],
    [(p) => right - p[0]],
    [(p) => p[1] - top],
    [(p) => bottom - p[1]],
  ];
  let points = [...outline];
  for (const [inside] of edges) {
    const next: Point[] = [];
    points.forEach((b, i) => {
      const a = points[(i + points.length - 1) % points.length]!;
      const [da, db] = [inside(a), inside(b)];
      if (da >= 0 !== db >= 0) next.push(between(a, b, da / (da - db)));
      if (db >= 0) next.push(b);
    });
    points = next;
  }
  return points;
}
