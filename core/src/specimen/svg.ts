import { escapeText } from '../words/index.ts';
import type { Drawing } from './layout.ts';
import type { DrawnPath } from './pen.ts';

const number = (n: number) => n.toFixed(1);

const lookOf = ({ fill, stroke, strokeWidth }: DrawnPath) =>
  `fill="${fill}" stroke="${stroke}" stroke-width="${Number(strokeWidth.toFixed(2))}"`;

/** Paths in their order; what those of one look that follow each other have in common is said once. */
function pathsAsSvg(paths: readonly DrawnPath[]): string {
  let look: string | undefined;
  let svg = '<g stroke-linejoin="round" stroke-linecap="round">';
  for (const each of paths) {
    const own = lookOf(each);
    if (own !== look) svg += `${look === undefined ? '' : '</g>'}<g ${own}>`;
    look = own;
    svg += `<path d="${each.d}"/>`;
  }
  return `${svg}${look === undefined ? '' : '</g>'}</g>`;
}

/**
 * A laid-out drawing as SVG markup: shapes, insets with their magnification, labels, scale bars. No name, no trait, no role.
 *
 * @param said without, what is written and measured is left out: labels, magnifications and scale bars, for whoever sets them otherwise
 */
export function drawingToSvg(drawing: Drawing, title: string, said = true): string {
  const insets = drawing.insets
    .map(
      (inset) =>
        `<circle cx="${number(inset.cx)}" cy="${number(inset.cy)}" r="${number(inset.r)}" fill="#fff" stroke="#8aa0a0"/>${pathsAsSvg(inset.paths)}` +
        (said
          ? `<text x="${number(inset.cx)}" y="${number(inset.cy + inset.r + 13)}" font-size="11" text-anchor="middle" fill="#405055">×${inset.magnification}</text>`
          : ''),
    )
    .join('');
  const bars = (said ? drawing.scaleBars : [])
    .map(
      (bar) =>
        `<path d="M${number(bar.x)} ${number(bar.y - 4)}v8m0 -4h${number(bar.length)}m0 -4v8" fill="none" stroke="#1d2a2c" stroke-width="1.2"/>` +
        `<text x="${number(bar.x + bar.length + 7)}" y="${number(bar.y + 4)}" font-size="12" fill="#1d2a2c">${bar.label}</text>`,
    )
    .join('');
  const labels = (said ? drawing.labels : [])
    .map(
      (label) =>
        (label.to
          ? `<path d="M${number(label.x)} ${number(label.y + 5)}L${number(label.to[0])} ${number(label.to[1])}" fill="none" stroke="#1d6a70" stroke-width="1.2"/><circle cx="${number(label.to[0])}" cy="${number(label.to[1])}" r="2.6" fill="#1d6a70"/>`
          : '') +
        `<text x="${number(label.x)}" y="${number(label.y)}" font-size="13"${label.bold ? ' font-weight="600"' : ''}${label.middle ? ' text-anchor="middle"' : ''} fill="#17262b">${escapeText(label.text)}</text>`,
    )
    .join('');
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${drawing.width} ${drawing.height}" font-family="sans-serif" role="img">` +
    `<title>${escapeText(title)}</title>${pathsAsSvg(drawing.paths)}${insets}${bars}${labels}</svg>`
  );
}

/** Some drawn paths within a box (x, y, width, height) as SVG markup: the picture of a state on a printed lead. */
export const pathsToSvg = (
  paths: readonly DrawnPath[],
  box: readonly [number, number, number, number],
): string => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${box.join(' ')}">${pathsAsSvg(paths)}</svg>`;
