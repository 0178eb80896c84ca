/** A point of a photograph, in pixels from its upper left corner. */
export interface Pixel {
  x: number;
  y: number;
}

/** Distance of two points in pixels. */
export const pixelsBetween = (a: Pixel, b: Pixel): number => Math.hypot(a.x - b.x, a.y - b.y);

/**
 * Metres per pixel from two points on a rule, or across a coin, whose distance is known (metres). It holds only in the plane
 * of the rule and for a picture taken squarely. Undefined where the points fall together or the length is not above zero.
 */
export function scaleOf(a: Pixel, b: Pixel, metres: number): number | undefined {
  const pixels = pixelsBetween(a, b);
  return pixels > 0 && metres > 0 && Number.isFinite(metres) ? metres / pixels : undefined;
}

/** Length of a line through several points, in metres. */
export const lengthOf = (line: readonly Pixel[], metresPerPixel: number): number =>
  line.slice(1).reduce((sum, point, i) => sum + pixelsBetween(line[i]!, point), 0) * metresPerPixel;

/** The angle at the middle of three points, in degrees, 0–180; undefined where two of them fall together. */
export function angleAt(first: Pixel, corner: Pixel, last: Pixel): number | undefined {
  const [ax, ay] = [first.x - corner.x, first.y - corner.y];
  const [bx, by] = [last.x - corner.x, last.y - corner.y];
  const lengths = Math.hypot(ax, ay) * Math.hypot(bx, by);
  if (lengths === 0) return undefined;
  return (Math.acos(Math.min(1, Math.max(-1, (ax * bx + ay * by) / lengths))) * 180) / Math.PI;
}

/** Diameters of things of known size that lie beside a leaf, in metres. */
export const KNOWN_SIZES: { label: string; metres: number }[] = [
  { label: '1 cm of a rule', metres: 0.01 },
  { label: '5 cm of a rule', metres: 0.05 },
  { label: '10 cm of a rule', metres: 0.1 },
  { label: '1 in of a rule', metres: 0.0254 },
  { label: 'US cent, across', metres: 0.01905 },
  { label: 'US quarter, across', metres: 0.02426 },
  { label: 'one-euro coin, across', metres: 0.02325 },
];
