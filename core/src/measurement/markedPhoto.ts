import { escapeText } from '../words/index.ts';
import type { Annotation, PhotoRecord } from './photoRecord.ts';

/** A part of a picture, in its pixels. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** What lies over a photo, in its pixels. */
export interface MarkedPhoto {
  /** Width of a line, and height of a letter. */
  thick: number;
  letters: number;
  /** Lines of marks, with the words that stand at them. */
  marks: { d: string; text?: { x: number; y: number; words: string } }[];
  /** Parts of the photo that are shown larger in a corner. */
  insets: { part: Box; shown: Box }[];
  /** A rule to read sizes by, where the scale of the photo is known. */
  rule?: { x: number; y: number; length: number; label: string };
}

type Size = Pick<Box, 'width' | 'height'>;

/** A line is so many times thinner than a photo is wide; letters are so many lines high. */
const LINES = 340;
const LETTERS = 13;
/** How much larger an inset shows its part, and the most of the photo that it covers. */
const LARGER = 2.4;
const MOST_COVERED = 0.42;
/** What is shown hardly larger than it is. */
const GAINS_NOTHING = 1.1;
/** A rule is as long as fits in this share of the width. */
const RULE_SHARE = 0.3;
const METRIC: [number, string][] = [
  [0.001, '1 mm'],
  [0.002, '2 mm'],
  [0.005, '5 mm'],
  [0.01, '1 cm'],
  [0.02, '2 cm'],
  [0.05, '5 cm'],
  [0.1, '10 cm'],
  [0.2, '20 cm'],
  [0.5, '50 cm'],
  [1, '1 m'],
  [2, '2 m'],
  [5, '5 m'],
];
const IMPERIAL: [number, string][] = [
  [0.0254 / 8, '⅛ in'],
  [0.0254 / 4, '¼ in'],
  [0.0254 / 2, '½ in'],
  [0.0254, '1 in'],
  [0.0508, '2 in'],
  [0.127, '5 in'],
  [0.3048, '1 ft'],
  [0.9144, '3 ft'],
  [3.048, '10 ft'],
];

/**
 * The marks of a photo as they are drawn over it: arrows, circles, labels, enlarged parts, and a rule where the scale is known.
 *
 * @param size of the photo in pixels
 * @example
 * markedPhoto({ annotations: [], scale: 0.0001 }, { width: 1280, height: 960 }).rule; // { label: '2 cm', length: 200, … }
 */
export function markedPhoto(
  { annotations, scale }: Pick<PhotoRecord, 'annotations' | 'scale'>,
  { width, height }: Size,
  units: 'metric' | 'imperial' = 'metric',
): MarkedPhoto {
  const thick = width / LINES;
  const insets = annotations.filter(({ shape }) => shape === 'inset');
  const rule = scale === undefined ? undefined : ruleOf(scale, { width, height }, units);
  return {
    thick,
    letters: thick * LETTERS,
    marks: annotations.map((mark) => lineOf(mark, { width, height }, thick)),
    insets: insets.flatMap(
      (mark) =>
        enlarged(
          mark,
          annotations.filter((other) => other !== mark),
          { width, height },
        ) ?? [],
    ),
    ...(rule ? { rule } : {}),
  };
}

function lineOf(mark: Annotation, { width, height }: Size, thick: number): MarkedPhoto['marks'][number] {
  const [x, y] = [mark.from.x * width, mark.from.y * height];
  const [u, v] = [mark.to.x * width, mark.to.y * height];
  const d = pathOf(mark.shape, [x, y, u, v], thick);
  if (!mark.text) return { d };
  const [left, top] = mark.shape === 'label' ? [u, v] : [x + thick * 4, y - thick * 4];
  // Words at the right edge begin as far to the left as they are long.
  const long = mark.text.length * thick * LETTERS * 0.55;
  return {
    d,
    text: {
      x: Math.max(thick * 2, Math.min(left, width - long)),
      y: Math.max(thick * LETTERS, Math.min(top, height - thick * 4)),
      words: mark.text,
    },
  };
}

function pathOf(
  shape: Annotation['shape'],
  [x, y, u, v]: readonly number[] & { length: 4 },
  thick: number,
): string {
  const [x1, y1, x2, y2] = [x!, y!, u!, v!];
  if (shape === 'circle') {
    const r = Math.hypot(x2 - x1, y2 - y1);
    return `M${x1 - r} ${y1}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
  }
  if (shape === 'inset') return `M${x1} ${y1}H${x2}V${y2}H${x1}Z`;
  if (shape === 'label') return `M${x1} ${y1}L${x2} ${y2}`;
  const turn = Math.atan2(y2 - y1, x2 - x1);
  const head = (by: number) =>
    `${x2 - 12 * thick * Math.cos(turn + by)} ${y2 - 12 * thick * Math.sin(turn + by)}`;
  return `M${x1} ${y1}L${x2} ${y2}M${head(0.45)}L${x2} ${y2}L${head(-0.45)}`;
}

/**
 * The part within two corners, shown larger in a corner of the photo: one that covers neither the part nor, if it can be helped, what other
 * marks point at, the farthest of these. Undefined for a part without size, and for one so large that it would gain nothing.
 */
function enlarged(
  { from, to }: Annotation,
  others: readonly Annotation[],
  { width, height }: Size,
): { part: Box; shown: Box } | undefined {
  const part = {
    x: Math.min(from.x, to.x) * width,
    y: Math.min(from.y, to.y) * height,
    width: Math.abs(to.x - from.x) * width,
    height: Math.abs(to.y - from.y) * height,
  };
  if (part.width < 2 || part.height < 2) return undefined;
  const by = Math.min(LARGER, (width * MOST_COVERED) / part.width, (height * MOST_COVERED) / part.height);
  if (by <= GAINS_NOTHING) return undefined;
  const shown = { width: part.width * by, height: part.height * by };
  const gap = width / 60;
  const points = others.flatMap((mark) => [mark.from, mark.to]);
  const corners = [gap, width - shown.width - gap].flatMap((x) =>
    [gap, height - shown.height - gap].map((y) => ({ ...shown, x, y })),
  );
  const [best] = corners
    .filter((box) => !overlap(box, part))
    .map((box) => ({
      box,
      covers: points.filter(({ x, y }) => isWithin({ x: x * width, y: y * height }, box)).length,
      far: Math.hypot(box.x + shown.width / 2 - part.x, box.y + shown.height / 2 - part.y),
    }))
    .sort((one, other) => one.covers - other.covers || other.far - one.far);
  return best && { part, shown: best.box };
}

const isWithin = ({ x, y }: { x: number; y: number }, box: Box): boolean =>
  x >= box.x && x <= box.x + box.width && y >= box.y && y <= box.y + box.height;

const overlap = (one: Box, other: Box): boolean =>
  one.x < other.x + other.width &&
  other.x < one.x + one.width &&
  one.y < other.y + other.height &&
  other.y < one.y + one.height;

function ruleOf(scale: number, { width, height }: Size, units: 'metric' | 'imperial'): MarkedPhoto['rule'] {
  const lengths = units === 'metric' ? METRIC : IMPERIAL;
  const fitting = lengths.filter(([metres]) => metres / scale <= width * RULE_SHARE).at(-1);
  if (!fitting) return undefined;
  const [metres, label] = fitting;
  const length = metres / scale;
  return { x: width - width / 40 - length, y: height - height / 28, length, label };
}

/** How the marks of a photo look. */
export interface MarkLook {
  paper: string;
  line: string;
  ink: string;
}

/** A photo as it is put on a slide or on paper. */
export interface PhotoToDraw extends Size {
  record: Pick<PhotoRecord, 'annotations' | 'scale'>;
  /** Address of its bytes, such as `data:image/jpeg;base64,…`. */
  href: string;
}

/**
 * One photo, or two side by side and equally high, as SVG with their marks.
 *
 * @returns markup, and its size in pixels
 * @example
 * photosSvg([{ record, href, width: 1280, height: 960 }], look, 'metric').width; // 1280
 */
export function photosSvg(
  photos: readonly PhotoToDraw[],
  look: MarkLook,
  units: 'metric' | 'imperial',
): Size & { svg: string } {
  const height = Math.max(...photos.map((photo) => photo.height));
  const gap = photos.length > 1 ? height / 40 : 0;
  let width = 0;
  const drawn = photos.map((photo, i) => {
    const wide = (photo.width * height) / photo.height;
    const left = width + (i > 0 ? gap : 0);
    width = left + wide;
    return `<svg x="${left}" y="0" width="${wide}" height="${height}" viewBox="0 0 ${photo.width} ${photo.height}">${markedSvg(photo, look, units)}</svg>`;
  });
  return {
    width,
    height,
    svg: `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="sans-serif">${drawn.join('')}</svg>`,
  };
}

function markedSvg(photo: PhotoToDraw, { paper, line, ink }: MarkLook, units: 'metric' | 'imperial'): string {
  const { thick, letters, marks, insets, rule } = markedPhoto(photo.record, photo, units);
  const image = `<image href="${escapeText(photo.href)}" width="${photo.width}" height="${photo.height}"/>`;
  const words = (x: number, y: number, text: string) =>
    `<text x="${x}" y="${y}" font-size="${letters}" fill="${ink}" stroke="${paper}" stroke-width="${thick * 3}" paint-order="stroke">${escapeText(text)}</text>`;
  const twice = (d: string) =>
    `<path d="${d}" fill="none" stroke="${paper}" stroke-width="${thick * 2.6}"/><path d="${d}" fill="none" stroke="${line}" stroke-width="${thick}"/>`;
  return [
    image,
    ...insets.map(
      ({ part, shown }) =>
        `<svg x="${shown.x}" y="${shown.y}" width="${shown.width}" height="${shown.height}" viewBox="${part.x} ${part.y} ${part.width} ${part.height}" preserveAspectRatio="none">${image}</svg>${twice(boxPath(shown))}`,
    ),
    ...marks.map(({ d, text }) => twice(d) + (text ? words(text.x, text.y, text.words) : '')),
    ...(rule ? [twice(rulePath(rule, thick)) + words(rule.x, rule.y - thick * 6, rule.label)] : []),
  ].join('');
}

/** The outline of a box as a path. */
export const boxPath = ({ x, y, width, height }: Box): string => `M${x} ${y}h${width}v${height}h${-width}Z`;

/** A rule with its two ends as a path. */
export const rulePath = ({ x, y, length }: { x: number; y: number; length: number }, thick: number): string =>
  `M${x} ${y - thick * 4}v${thick * 8}m0 ${-thick * 4}h${length}m0 ${-thick * 4}v${thick * 8}`;
