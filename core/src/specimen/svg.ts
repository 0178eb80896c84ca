import { boundsOf, type Point } from './geometry.ts';
import type { Inset, Role, Scene, Shape } from './scene.ts';

interface Ink {
  fill: string;
  stroke: string;
  /** Pixels on the finished drawing. */
  width: number;
}

const INK = '#1d2a2c';
const STYLE: Record<Role, Ink> = {
  blade: { fill: '#6f9a58', stroke: INK, width: 1.1 },
  bladeLower: { fill: '#b4c79d', stroke: INK, width: 1.1 },
  vein: { fill: 'none', stroke: 'rgba(24,44,30,.5)', width: 0.6 },
  midrib: { fill: 'none', stroke: 'rgba(24,44,30,.75)', width: 1 },
  petiole: { fill: '#8f9a58', stroke: INK, width: 0.8 },
  twig: { fill: '#8d8272', stroke: INK, width: 1.1 },
  bark: { fill: '#8d8272', stroke: INK, width: 0.8 },
  needle: { fill: '#4f7a4c', stroke: '#20382a', width: 0.55 },
  needleLower: { fill: '#7d9a78', stroke: '#20382a', width: 0.55 },
  needleFar: { fill: '#36583a', stroke: '#1c3024', width: 0.45 },
  band: { fill: 'none', stroke: '#eef3ee', width: 0.9 },
  sheath: { fill: '#a9927a', stroke: INK, width: 0.6 },
  budScale: { fill: '#7d6249', stroke: INK, width: 0.9 },
  resin: { fill: 'none', stroke: '#fbf6e4', width: 1.6 },
  scar: { fill: '#d9cdb8', stroke: INK, width: 0.6 },
  mark: { fill: 'none', stroke: INK, width: 0.7 },
  lenticel: { fill: 'none', stroke: '#ece5d6', width: 1 },
  hair: { fill: 'none', stroke: '#6a6a60', width: 0.5 },
  fruit: { fill: '#7d6249', stroke: INK, width: 1 },
  fruitScale: { fill: '#8f7257', stroke: INK, width: 0.6 },
  paper: { fill: 'none', stroke: '#f6f7f4', width: 1.1 },
};

export interface DrawnPath {
  d: string;
  fill: string;
  stroke: string;
  strokeWidth: number;
}

export interface DrawnInset {
  cx: number;
  cy: number;
  r: number;
  title: string;
  magnification: number;
  shows: string;
  paths: DrawnPath[];
}

export interface Drawing {
  width: number;
  height: number;
  paths: DrawnPath[];
  insets: DrawnInset[];
  scaleBar: { x: number; y: number; length: number; label: string };
  /** Where characters can be pointed at, in pixels. */
  anchors: Record<string, Point>;
}

export interface LayoutOptions {
  width: number;
  height: number;
  /** Draw insets down the right-hand side. */
  insets?: boolean;
  /** Millimetres to a pixel, to draw several specimens at one scale; by default the frame is filled. */
  millimetresPerPixel?: number;
  /** Line drawing without color, for print. */
  plain?: boolean;
  units?: 'metric' | 'imperial';
  /** Pixels kept free at the top, for labels. */
  headroom?: number;
}

/** Lays a scene out in a frame of pixels: paths, insets in circles, and a scale bar of a round length. */
export function layOut(scene: Scene, options: LayoutOptions): Drawing {
  const { width, height } = options;
  const insets = options.insets === false ? [] : scene.insets;
  const r = Math.min(52, height * 0.19);
  const right = insets.length ? 2 * r + 14 : 0;
  const bottom = 26;
  const bounds = boundsOf(scene.shapes.map((shape) => shape.points));
  const head = options.headroom ?? 0;
  const room = { width: width - right - 24, height: height - bottom - 20 - head };
  const spanX = bounds.right - bounds.left || 1;
  const spanY = bounds.bottom - bounds.top || 1;
  const perPixel = options.millimetresPerPixel ?? Math.max(spanX / room.width, spanY / room.height);
  const left = 12 + (room.width - spanX / perPixel) / 2 - bounds.left / perPixel;
  const top = 10 + head + (room.height - spanY / perPixel) / 2 - bounds.top / perPixel;
  const toPixel = ([x, y]: Point): Point => [left + x / perPixel, top + y / perPixel];
  return {
    width,
    height,
    paths: scene.shapes.map((shape) => pathOf(shape, toPixel, perPixel, options.plain)),
    insets: insets.map((inset, i) =>
      layInset(inset, width - r - 8, 10 + r + i * (2 * r + 22), r, options.plain),
    ),
    scaleBar: scaleBar(perPixel, height, options.units ?? 'metric'),
    anchors: Object.fromEntries(Object.entries(scene.anchors).map(([id, point]) => [id, toPixel(point)])),
  };
}

/** Millimetres to a pixel that would fill the frame; the largest of several scenes' gives a common scale. */
export function fittingScale(scene: Scene, options: LayoutOptions): number {
  const bounds = boundsOf(scene.shapes.map((shape) => shape.points));
  const r = Math.min(52, options.height * 0.19);
  const right = options.insets !== false && scene.insets.length ? 2 * r + 14 : 0;
  return Math.max(
    (bounds.right - bounds.left) / (options.width - right - 24),
    (bounds.bottom - bounds.top) / (options.height - 46 - (options.headroom ?? 0)),
  );
}

function layInset(inset: Inset, cx: number, cy: number, r: number, plain?: boolean): DrawnInset {
  const bounds = boundsOf(inset.shapes.map((shape) => shape.points));
  const span = Math.max(bounds.right - bounds.left, bounds.bottom - bounds.top) || 1;
  const perPixel = span / (1.62 * r);
  const middle: Point = [(bounds.left + bounds.right) / 2, (bounds.top + bounds.bottom) / 2];
  const toPixel = ([x, y]: Point): Point => [
    cx + (x - middle[0]) / perPixel,
    cy + (y - middle[1]) / perPixel,
  ];
  return {
    cx,
    cy,
    r,
    title: inset.title,
    magnification: inset.magnification,
    shows: inset.shows,
    paths: inset.shapes.map((shape) => pathOf(shape, toPixel, perPixel, plain)),
  };
}

function pathOf(shape: Shape, toPixel: (p: Point) => Point, perPixel: number, plain?: boolean): DrawnPath {
  const style = STYLE[shape.role];
  const points = shape.points.map(toPixel);
  const d = `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}${shape.closed ? 'Z' : ''}`;
  const fill = shape.closed ? (shape.fill ?? style.fill) : 'none';
  const strokeWidth =
    shape.line === undefined ? style.width : Math.min(3, Math.max(0.6, shape.line / perPixel));
  if (!plain) return { d, fill, stroke: style.stroke, strokeWidth };
  const pale =
    shape.role === 'band' || shape.role === 'resin' || shape.role === 'lenticel' || shape.role === 'paper';
  return {
    d,
    fill: shape.closed ? (shape.role === 'needleFar' ? '#cfcfcf' : '#ffffff') : 'none',
    stroke: pale ? '#777777' : '#000000',
    strokeWidth,
  };
}

const METRIC_BARS = [1, 2, 5, 10, 20, 50, 100, 200, 500];
const IMPERIAL_BARS: [number, string][] = [
  [3.175, '⅛ in'],
  [6.35, '¼ in'],
  [12.7, '½ in'],
  [25.4, '1 in'],
  [50.8, '2 in'],
  [127, '5 in'],
  [304.8, '1 ft'],
];

function scaleBar(perPixel: number, height: number, units: 'metric' | 'imperial'): Drawing['scaleBar'] {
  const bars: [number, string][] =
    units === 'imperial'
      ? IMPERIAL_BARS
      : METRIC_BARS.map((mm) => [mm, mm >= 10 ? `${mm / 10} cm` : `${mm} mm`]);
  const [mm, label] = [...bars].reverse().find(([length]) => length / perPixel <= 70) ?? bars[0]!;
  return { x: 14, y: height - 14, length: mm / perPixel, label };
}

const number = (n: number) => n.toFixed(1);
const path = (p: DrawnPath) =>
  `<path d="${p.d}" fill="${p.fill}" stroke="${p.stroke}" stroke-width="${p.strokeWidth.toFixed(2)}" stroke-linejoin="round" stroke-linecap="round"/>`;

/** A laid-out drawing as SVG markup: shapes, insets with their magnification, scale bar. No name, no trait, no role. */
export function drawingToSvg(drawing: Drawing, title: string): string {
  const insets = drawing.insets
    .map(
      (inset) =>
        `<circle cx="${number(inset.cx)}" cy="${number(inset.cy)}" r="${number(inset.r)}" fill="#fff" stroke="#8aa0a0"/>${inset.paths.map(path).join('')}` +
        `<text x="${number(inset.cx)}" y="${number(inset.cy + inset.r + 13)}" font-size="11" text-anchor="middle" fill="#405055">×${inset.magnification}</text>`,
    )
    .join('');
  const bar = drawing.scaleBar;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${drawing.width} ${drawing.height}" font-family="sans-serif" role="img">` +
    `<title>${escapeText(title)}</title>${drawing.paths.map(path).join('')}${insets}` +
    `<path d="M${number(bar.x)} ${number(bar.y - 4)}v8m0 -4h${number(bar.length)}m0 -4v8" fill="none" stroke="#1d2a2c" stroke-width="1.2"/>` +
    `<text x="${number(bar.x + bar.length + 7)}" y="${number(bar.y + 4)}" font-size="12" fill="#1d2a2c">${bar.label}</text></svg>`
  );
}

export const escapeText = (text: string): string =>
  text.replace(
    /[&<>"']/g,
    (char) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' })[char]!,
  );
