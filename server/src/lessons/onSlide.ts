import type pptx from 'pptxgenjs';
import sharp from 'sharp';
import { drawingToSvg, type Drawing } from '@hurrow/core/specimen';

export type Slide = ReturnType<pptx['addSlide']>;

/** Inches. */
export interface Place {
  x: number;
  y: number;
  w: number;
  h: number;
}

const SANS = 'Source Sans 3';
const [INK, INK_2, ACTION] = ['17262B', '405055', '1D6A70'];
const DENSITY = 160;
/** Points of letters, and of a line. */
const LETTERS = { label: 13, bar: 12, inset: 11 };
const LINE = 1.2;
/** How wide a letter is to its height, also in the bold of a font that stands in for ours where that is not installed. */
export const LETTER = 0.6;
/** Half the height of the ends of a scale bar, and the radius of what a pointer ends in, in pixels. */
const [END, DOT] = [4, 2.6];

/** SVG as a picture that every program shows. */
export async function asPicture(svg: string): Promise<string> {
  const png = await sharp(Buffer.from(svg), { density: DENSITY })
    .png({ palette: true, quality: 85 })
    .toBuffer();
  return `image/png;base64,${png.toString('base64')}`;
}

/** A drawing on a slide: what is drawn as a picture, what is written and measured as text and lines that can be changed. */
export async function drawOnSlide(
  slide: Slide,
  drawing: Drawing,
  place: Place,
  altText: string,
): Promise<void> {
  slide.addImage({ ...place, data: await asPicture(drawingToSvg(drawing, altText, false)), altText });
  const by = Math.min(place.w / drawing.width, place.h / drawing.height);
  const x0 = place.x + (place.w - drawing.width * by) / 2;
  const y0 = place.y + (place.h - drawing.height * by) / 2;
  const points = (pixels: number) => pixels * by * 72;
  const line = (from: readonly [number, number], to: readonly [number, number], color: string) =>
    slide.addShape('line', {
      x: x0 + Math.min(from[0], to[0]) * by,
      y: y0 + Math.min(from[1], to[1]) * by,
      w: Math.abs(from[0] - to[0]) * by,
      h: Math.abs(from[1] - to[1]) * by,
      flipV: from[0] < to[0] !== from[1] < to[1],
      line: { color, width: LINE },
    });
  /** Text whose baseline begins, or whose middle is, at a pixel. */
  const text = (
    said: string,
    [x, y]: readonly [number, number],
    {
      size,
      color = INK,
      bold = false,
      middle = false,
    }: { size: number; color?: string; bold?: boolean; middle?: boolean },
  ) => {
    const width = (said.length + 2) * size * LETTER * by;
    slide.addText(said, {
      x: x0 + x * by - (middle ? width / 2 : 0),
      y: y0 + (y - size) * by,
      w: width,
      h: size * 1.4 * by,
      fontFace: SANS,
      fontSize: points(size),
      color,
      bold,
      align: middle ? 'center' : 'left',
      valign: 'middle',
      margin: 0,
      wrap: false,
    });
  };
  for (const { x, y, length, label } of drawing.scaleBars) {
    line([x, y], [x + length, y], INK);
    for (const end of [x, x + length]) line([end, y - END], [end, y + END], INK);
    text(label, [x + length + 7, y + END], { size: LETTERS.bar });
  }
  for (const { cx, cy, r, magnification } of drawing.insets)
    text(`×${magnification}`, [cx, cy + r + 13], { size: LETTERS.inset, color: INK_2, middle: true });
  for (const { x, y, text: said, to, bold = false, middle = false } of drawing.labels) {
    if (to) {
      line([x, y + 5], to, ACTION);
      slide.addShape('ellipse', {
        x: x0 + (to[0] - DOT) * by,
        y: y0 + (to[1] - DOT) * by,
        w: 2 * DOT * by,
        h: 2 * DOT * by,
        fill: { color: ACTION },
      });
    }
    text(said, [x, y], { size: LETTERS.label, bold, middle });
  }
}
