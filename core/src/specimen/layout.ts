import { boundsOf, clipLine, clipOutline, type Bounds, type Point } from './geometry.ts';
import { pathsOf, type DrawnPath, type Pen } from './pen.ts';
import { stroke, type Inset, type Scene, type Shape } from './scene.ts';

export interface DrawnInset {
  cx: number;
  cy: number;
  r: number;
  title: string;
  /** How much larger than the specimen beside it. */
  magnification: number;
  shows: string;
  paths: DrawnPath[];
}

export interface ScaleBar {
  x: number;
  y: number;
  length: number;
  label: string;
}

export interface DrawnLabel {
  x: number;
  y: number;
  text: string;
  bold?: boolean;
  /** What it points at. */
  to?: Point;
  /** Anchored at its middle instead of its beginning. */
  middle?: boolean;
}

export interface Drawing {
  width: number;
  height: number;
  paths: DrawnPath[];
  insets: DrawnInset[];
  scaleBars: ScaleBar[];
  labels: DrawnLabel[];
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
  /** Where the frame stands on a larger sheet, in pixels. */
  at?: Point;
  /** How many of these pixels are one of the screen, 3 where it is shown at a third of its size: what is finer is left out. 1 if not given. */
  reduced?: number;
}

const MARGIN = 12;
/** Longest scale bar, pixels, that leaves room for its label. */
const barRoom = (width: number): number => Math.max(16, Math.min(70, width - 74));
const BOTTOM = 26;

const insetRadius = (height: number): number => Math.min(52, height * 0.19);
/** From one inset to the next, beside their circles: what they are called stands there. */
const INSET_GAP = 22;
/** How many insets fit one above the other. */
const insetRoom = (height: number): number =>
  Math.max(1, Math.floor((height - 14) / (2 * insetRadius(height) + INSET_GAP)));

/** Room that the specimen itself has in a frame. */
function roomFor(scene: Scene, options: LayoutOptions) {
  const head = options.headroom ?? 0;
  const count = options.insets === false ? 0 : Math.min(scene.insets.length, insetRoom(options.height));
  // Under what is said over the drawing they are smaller, not fewer.
  const fitting = ((options.height - head - 14) / Math.max(1, count) - INSET_GAP) / 2;
  const r = Math.min(insetRadius(options.height), fitting);
  return {
    insets: scene.insets.slice(0, count),
    r,
    head,
    width: options.width - (count ? 2 * r + 14 : 0) - 2 * MARGIN,
    height: options.height - BOTTOM - 20 - head,
  };
}

/** Millimetres to a pixel that would fill the frame; the largest of several scenes' gives a common scale. */
export function fittingScale(scene: Scene, options: LayoutOptions): number {
  const bounds = boundsOf(scene.shapes.map((shape) => shape.points));
  const room = roomFor(scene, options);
  return Math.max(
    (bounds.right - bounds.left || 1) / room.width,
    (bounds.bottom - bounds.top || 1) / room.height,
  );
}

/** Lays a scene out in a frame of pixels: paths, insets in circles, and a scale bar of a round length. */
export function layOut(scene: Scene, options: LayoutOptions): Drawing {
  if (scene.field) return layField(scene, options);
  const { width, height } = options;
  const [x, y] = options.at ?? [0, 0];
  const room = roomFor(scene, options);
  const { r, head } = room;
  const bounds = boundsOf(scene.shapes.map((shape) => shape.points));
  const perPixel = options.millimetresPerPixel ?? fittingScale(scene, options);
  const left =
    x + MARGIN + (room.width - (bounds.right - bounds.left) / perPixel) / 2 - bounds.left / perPixel;
  const top =
    y + 10 + head + (room.height - (bounds.bottom - bounds.top) / perPixel) / 2 - bounds.top / perPixel;
  const toPixel = (p: Point): Point => [left + p[0] / perPixel, top + p[1] / perPixel];
  return {
    width,
    height,
    paths: scene.shapes.flatMap((shape) => pathsOf(shape, toPixel, { ...options, perPixel })),
    insets: room.insets.map((inset, i) =>
      layInset(inset, x + width - r - 8, y + 10 + head + r + i * (2 * r + INSET_GAP), r, perPixel, options),
    ),
    scaleBars: [scaleBar(perPixel, x + MARGIN + 2, y + height - 14, barRoom(width), options.units)],
    labels: [],
    anchors: Object.fromEntries(Object.entries(scene.anchors).map(([id, point]) => [id, toPixel(point)])),
  };
}

/** A field fills its frame: what does not fit the frame's proportions is cut off. */
function layField(scene: Scene, options: LayoutOptions): Drawing {
  const head = options.headroom ?? 0;
  const [x, y] = options.at ?? [0, 0];
  const room = { width: options.width - 2 * MARGIN, height: options.height - BOTTOM - 12 - head };
  const bounds = boundsOf(scene.shapes.map((shape) => shape.points));
  const size = bounds.right - bounds.left;
  const ratio = room.width / room.height;
  const box: Bounds = {
    left: bounds.left,
    top: bounds.top,
    right: bounds.left + size * Math.min(1, Math.max(0.4, ratio)),
    bottom: bounds.top + size * Math.min(1, 1 / Math.max(0.4, ratio)),
  };
  const perPixel = Math.max((box.right - box.left) / room.width, (box.bottom - box.top) / room.height);
  const left = x + MARGIN + (room.width - (box.right - box.left) / perPixel) / 2;
  const toPixel = (p: Point): Point => [
    left + (p[0] - box.left) / perPixel,
    y + 8 + head + (p[1] - box.top) / perPixel,
  ];
  const cut = scene.shapes.flatMap((shape): Shape[] => {
    const own = boundsOf([shape.points]);
    if (own.left >= box.left && own.right <= box.right && own.top >= box.top && own.bottom <= box.bottom)
      return [shape];
    if (!shape.closed) return clipLine(shape.points, box).map((points) => ({ ...shape, points }));
    const points = clipOutline(shape.points, box);
    return points.length > 2 ? [{ ...shape, points }] : [];
  });
  const frame: Shape = stroke('mark', [
    [box.left, box.top],
    [box.right, box.top],
    [box.right, box.bottom],
    [box.left, box.bottom],
    [box.left, box.top],
  ]);
  const middle = toPixel([(box.left + box.right) / 2, (box.top + box.bottom) / 2]);
  return {
    width: options.width,
    height: options.height,
    paths: [...cut, frame].flatMap((shape) => pathsOf(shape, toPixel, { ...options, perPixel })),
    insets: [],
    scaleBars: [scaleBar(perPixel, left + 2, y + options.height - 14, barRoom(options.width), options.units)],
    labels: [],
    anchors: Object.fromEntries(Object.keys(scene.anchors).map((id) => [id, middle])),
  };
}

const MAGNIFICATIONS = [0.25, 0.5, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40];

/** The largest round magnification at which the part fits its circle. */
function layInset(
  inset: Inset,
  cx: number,
  cy: number,
  r: number,
  perPixelBeside: number,
  pen: Omit<Pen, 'perPixel'>,
): DrawnInset {
  const bounds = boundsOf(inset.shapes.map((shape) => shape.points));
  const middle: Point = [(bounds.left + bounds.right) / 2, (bounds.top + bounds.bottom) / 2];
  const reach = Math.max(
    ...inset.shapes.flatMap((shape) =>
      shape.points.map((p) => Math.hypot(p[0] - middle[0], p[1] - middle[1])),
    ),
  );
  const largest = ((0.96 * r) / reach) * perPixelBeside;
  const magnification = [...MAGNIFICATIONS].reverse().find((m) => m <= largest) ?? MAGNIFICATIONS[0]!;
  const perPixel = perPixelBeside / magnification;
  const toPixel = (p: Point): Point => [
    cx + (p[0] - middle[0]) / perPixel,
    cy + (p[1] - middle[1]) / perPixel,
  ];
  return {
    cx,
    cy,
    r,
    title: inset.title,
    magnification,
    shows: inset.shows,
    paths: inset.shapes.flatMap((shape) => pathsOf(shape, toPixel, { ...pen, perPixel })),
  };
}

const METRIC_BARS = [0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000, 20_000];
const IMPERIAL_BARS: [number, string][] = [
  [0.79375, '1/32 in'],
  [3.175, '⅛ in'],
  [6.35, '¼ in'],
  [12.7, '½ in'],
  [25.4, '1 in'],
  [50.8, '2 in'],
  [127, '5 in'],
  [304.8, '1 ft'],
  [1524, '5 ft'],
  [3048, '10 ft'],
  [6096, '20 ft'],
  [15240, '50 ft'],
];
const metric = (mm: number): string =>
  mm >= 1000 ? `${mm / 1000} m` : mm >= 10 ? `${mm / 10} cm` : `${mm} mm`;

/** The longest round length that stays within `most` pixels. */
function scaleBar(
  perPixel: number,
  x: number,
  y: number,
  most: number,
  units: 'metric' | 'imperial' = 'metric',
): ScaleBar {
  const bars: [number, string][] =
    units === 'imperial' ? IMPERIAL_BARS : METRIC_BARS.map((mm) => [mm, metric(mm)]);
  const [mm, label] = [...bars].reverse().find(([length]) => length / perPixel <= most) ?? bars[0]!;
  return { x, y, length: mm / perPixel, label };
}
