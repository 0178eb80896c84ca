/** Points are [x, y] in millimetres, y downward. */
export type Point = readonly [number, number];

export const add = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1]];
export const scaleBy = (a: Point, by: number): Point => [a[0] * by, a[1] * by];
export const between = (a: Point, b: Point, t: number): Point => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
];
export const distance = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
/** Unit vector at an angle in radians, 0 to the right, growing clockwise on the page. */
export const direction = (angle: number): Point => [Math.cos(angle), Math.sin(angle)];

export const rotate = ([x, y]: Point, angle: number): Point => [
  x * Math.cos(angle) - y * Math.sin(angle),
  x * Math.sin(angle) + y * Math.cos(angle),
];

/** Places points drawn along +x from the origin at `at`, turned by `angle`. */
export const place = (points: readonly Point[], at: Point, angle: number): Point[] =>
  points.map((point) => add(rotate(point, angle), at));

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
    for (const [x, y] of line) {
      bounds.left = Math.min(bounds.left, x);
      bounds.right = Math.max(bounds.right, x);
      bounds.top = Math.min(bounds.top, y);
      bounds.bottom = Math.max(bounds.bottom, y);
    }
  return bounds;
}
