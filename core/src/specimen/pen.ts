import { areaOf, distance, type Point } from './geometry.ts';
import type { Shape } from './scene.ts';
import { outlineOf, STYLE, WEIGHTED } from './style.ts';

export interface DrawnPath {
  d: string;
  fill: string;
  stroke: string;
  strokeWidth: number;
}

/** A count of tenths as a decimal: whole numbers turn into text several times faster than fractions do. */
function decimal(tenths: number): string {
  const whole = Math.trunc(tenths / 10);
  const rest = Math.abs(tenths - whole * 10);
  if (rest === 0) return `${whole}`;
  return whole === 0 ? `${tenths < 0 ? '-' : ''}.${rest}` : `${whole}.${rest}`;
}

/** Tenths of a pixel within which a point that follows another is left out. */
const CLOSE = 7;

/**
 * Path data to a tenth of a pixel, each point by how far it is from the last one: that takes half the room, and browsers read a drawing of
 * a thousand strokes the sooner. Points close to the last one are left out.
 */
function pathData(points: readonly Point[], closed: boolean, reduced: number): string {
  const last = points.length - 1;
  let px = Math.round(points[0]![0] * 10);
  let py = Math.round(points[0]![1] * 10);
  let d = `M${decimal(px)} ${decimal(py)}`;
  let isFirst = true;
  for (let i = 1; i <= last; i += 1) {
    const x = Math.round(points[i]![0] * 10);
    const y = Math.round(points[i]![1] * 10);
    if (i < last && Math.abs(x - px) + Math.abs(y - py) < CLOSE * reduced) continue;
    d += (isFirst ? `l${decimal(x - px)}` : after(x - px)) + after(y - py);
    isFirst = false;
    px = x;
    py = y;
  }
  return closed ? `${d}z` : d;
}

/** A number behind another: a minus parts them as well as a blank does. */
const after = (tenths: number): string => (tenths < 0 ? decimal(tenths) : ` ${decimal(tenths)}`);

const PRINT_FILL = { white: '#ffffff', grey: '#cfcfcf', light: '#ffffff', none: 'none', black: '#000000' };

/** How shapes are drawn. */
export interface Pen {
  /** Millimetres of the specimen to a pixel. */
  perPixel: number;
  /** Line drawing without color, for print. */
  plain?: boolean;
  /** How many pixels are one of the screen. */
  reduced?: number;
}

/** A shape as strokes: its outline, and the side that lies in shade once more. */
export function pathsOf(
  shape: Shape,
  toPixel: (p: Point) => Point,
  { perPixel, plain, reduced = 1 }: Pen,
): DrawnPath[] {
  const style = STYLE[shape.role];
  if (plain && style.print === 'none') return [];
  const points = shape.points.map(toPixel);
  const fine = fineness(shape, points);
  if (fine === 0) return [];
  const fill = shape.closed ? (shape.fill ?? style.fill) : 'none';
  const strokeWidth =
    shape.line === undefined ? style.width * fine : Math.min(9, Math.max(0.6, shape.line / perPixel));
  const open = !shape.closed && style.fill !== 'none';
  const stroke =
    style.stroke === 'own' || (open && style.stroke === 'none')
      ? outlineOf(shape.fill ?? style.fill)
      : style.stroke;
  const path: DrawnPath = plain
    ? {
        d: pathData(points, shape.closed, reduced),
        fill: shape.closed ? PRINT_FILL[style.print ?? 'white'] : 'none',
        stroke: style.print === 'light' ? '#777777' : '#000000',
        strokeWidth: strokeWidth || 0.5,
      }
    : { d: pathData(points, shape.closed, reduced), fill, stroke, strokeWidth };
  if (!shape.closed || !WEIGHTED.has(shape.role) || points.length < 5 || fine < 0.6) return [path];
  const heavy = shadedEdge(points, reduced);
  if (!heavy) return [path];
  return [
    path,
    { d: heavy, fill: 'none', stroke: plain ? '#000000' : stroke, strokeWidth: strokeWidth + 0.7 * fine },
  ];
}

/** Pixels across below which a blade is drawn with a finer pen, and the length below which a vein is left out. */
const SMALL_BLADE = 24;
const SHORT_VEIN = 6;

/**
 * How fine a pen draws a shape, as a share of its role's line weight: leaflets a few pixels across would drown in their own outlines and
 * veins. 0 leaves it out.
 */
function fineness({ role }: Shape, points: readonly Point[]): number {
  switch (role) {
    case 'blade':
    case 'bladeLower':
      return Math.min(1, Math.max(0.4, Math.sqrt(Math.abs(areaOf(points))) / SMALL_BLADE));
    case 'midrib':
    case 'vein':
    case 'veinlet': {
      const [from, to] = [points[0]!, points[points.length - 1]!];
      const length = distance(from, to);
      if (role !== 'midrib' && length < SHORT_VEIN) return 0;
      return Math.min(1, Math.max(0.4, length / SMALL_BLADE));
    }
    default:
      return 1;
  }
}

/** The stretches of an outline that face away from the light, which comes from the upper left. */
function shadedEdge(points: readonly Point[], reduced: number): string {
  const turn = areaOf(points) >= 0 ? 1 : -1;
  const runs: Point[][] = [];
  let drawing = false;
  for (let i = 0; i < points.length; i += 1) {
    const [a, b] = [points[i]!, points[(i + 1) % points.length]!];
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const away = turn * (dy * 0.55 - dx * 0.83);
    const shaded = away > 0.35 * Math.sqrt(dx * dx + dy * dy);
    if (shaded && !drawing) runs.push([a]);
    if (shaded) runs.at(-1)!.push(b);
    drawing = shaded;
  }
  return runs.map((run) => pathData(run, false, reduced)).join('');
}
