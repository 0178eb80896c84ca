import type { DrawnPath, Drawing } from '@hurrow/core/specimen';

/** What strokes are put on. */
type Canvas = Pick<
  OffscreenCanvasRenderingContext2D,
  'fillStyle' | 'strokeStyle' | 'lineWidth' | 'lineCap' | 'lineJoin' | 'fill' | 'stroke'
>;

/** Whether pictures can be painted here: older browsers give a worker nothing to paint on. */
export const canPaint = (): boolean => 'OffscreenCanvas' in globalThis && 'Path2D' in globalThis;

/**
 * Puts paths on a canvas in their order, each filled and then stroked, as markup would show them.
 *
 * @param pathOf reads path data
 */
export function putOn(
  canvas: Canvas,
  paths: readonly DrawnPath[],
  pathOf: (data: string) => Path2D = (data) => new Path2D(data),
): void {
  canvas.lineCap = 'round';
  canvas.lineJoin = 'round';
  for (const { d, fill, stroke, strokeWidth } of paths) {
    const path = pathOf(d);
    if (fill !== 'none') {
      canvas.fillStyle = fill;
      canvas.fill(path);
    }
    if (stroke === 'none' || strokeWidth <= 0) continue;
    canvas.strokeStyle = stroke;
    canvas.lineWidth = strokeWidth;
    canvas.stroke(path);
  }
}

/**
 * A drawing as an image of its own size: a page shows it without reading three hundred strokes, which takes a slow processor longer than
 * drawing them. Insets, labels and scale bars are left out.
 */
export async function painted({ width, height, paths }: Drawing): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height);
  putOn(canvas.getContext('2d')!, paths);
  return canvas.convertToBlob({ type: 'image/png' });
}
