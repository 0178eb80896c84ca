import type { ShownOrgan } from '../../vocabulary/index.ts';
import { drawParts, type DrawnPart } from '../draw.ts';
import { rotate } from '../geometry.ts';
import { layOut, type Drawing, type LayoutOptions } from '../layout.ts';
import type { Scene } from '../scene.ts';
import type { Traits } from '../traits.ts';

export interface PlateOptions extends LayoutOptions {
  /** The twig as it would lie on a station's table: turned a little, cut end seen, nothing enlarged. */
  lying?: boolean;
}

/** Pixels below which a part could not be seen. */
const SMALLEST = 84;

/** Part of a plate: x, y, width and height in pixels. */
type Box = readonly [number, number, number, number];

/**
 * A plate of one individual: every part that the view shows, each at its own scale with its scale bar, the twig largest. One part
 * alone fills the frame. Traits → pixels of the frame.
 * @returns undefined where nothing of the view is on the tree or known.
 */
export function drawPlate(
  traits: Traits,
  organs: readonly ShownOrgan[],
  options: PlateOptions,
): Drawing | undefined {
  const all = drawParts(traits, organs);
  if (all.length === 0) return undefined;
  // In a small frame the less important parts give way.
  let boxes = boxesFor(all.length, options.width, options.height);
  while (boxes.length > 1 && boxes.some(([, , width, height]) => Math.min(width, height) < SMALLEST))
    boxes = boxesFor(boxes.length - 1, options.width, options.height);
  const parts = all.slice(0, boxes.length);
  const [left, top] = options.at ?? [0, 0];
  const drawings = parts.map(({ part, scene }, i) => {
    const [x, y, width, height] = boxes[i]!;
    const { millimetresPerPixel, ...free } = options;
    const laid = options.lying && part === 'shoot' ? lie(scene, traits.seed) : scene;
    return layOut(laid, {
      ...free,
      ...(i === 0 && millimetresPerPixel ? { millimetresPerPixel } : {}),
      at: [left + x, top + y],
      headroom: i === 0 ? (options.headroom ?? 0) : 0,
      insets: options.insets !== false && !options.lying && (i === 0 || width > 190),
      width,
      height,
    });
  });
  return joined(drawings, options);
}

/** The largest part left (or on top), the others in a column beside it (or in a row below). */
function boxesFor(n: number, width: number, height: number): Box[] {
  if (n === 1) return [[0, 0, width, height]];
  const rest = n - 1;
  if (width >= height * 1.15) {
    const columns = rest > 2 ? 2 : 1;
    const rows = Math.ceil(rest / columns);
    const side = Math.round(width * (columns === 2 ? 0.5 : 0.38));
    const main: Box = [0, 0, width - side, height];
    return [
      main,
      ...Array.from({ length: rest }, (_, i): Box => {
        const column = Math.floor(i / rows);
        return [
          width - side + (column * side) / columns,
          ((i % rows) * height) / rows,
          side / columns,
          height / rows,
        ];
      }),
    ];
  }
  const columns = rest > 3 ? Math.ceil(rest / 2) : rest;
  const rows = Math.ceil(rest / columns);
  const below = Math.round(height * (rows === 2 ? 0.54 : 0.4));
  return [
    [0, 0, width, height - below],
    ...Array.from({ length: rest }, (_, i): Box => [
      ((i % columns) * width) / columns,
      height - below + (Math.floor(i / columns) * below) / rows,
      width / columns,
      below / rows,
    ]),
  ];
}

/** Several drawings of one sheet as one; where two can point at a character, the first does. */
export function joined(
  drawings: readonly Drawing[],
  { width, height }: { width: number; height: number },
): Drawing {
  return {
    width,
    height,
    paths: drawings.flatMap(({ paths }) => paths),
    insets: drawings.flatMap(({ insets }) => insets),
    scaleBars: drawings.flatMap(({ scaleBars }) => scaleBars),
    labels: drawings.flatMap(({ labels }) => labels),
    anchors: Object.assign(
      {},
      ...[...drawings].reverse().map(({ anchors }) => anchors),
    ) as Drawing['anchors'],
  };
}

/** A scene turned as a cutting lies: by up to 20°, its direction kept. */
function lie(scene: Scene, seed: number): Scene {
  const angle = ((((seed * 7919) % 41) - 20) * Math.PI) / 180;
  return {
    ...scene,
    insets: [],
    shapes: scene.shapes.map((shape) => ({ ...shape, points: shape.points.map((p) => rotate(p, angle)) })),
    anchors: Object.fromEntries(Object.entries(scene.anchors).map(([id, p]) => [id, rotate(p, angle)])),
  };
}

/** Names of the parts, for what a drawing shows without saying what it is like. */
export const PART_TITLES: Record<DrawnPart, string> = {
  shoot: 'a twig',
  fruit: 'fruit or cones',
  flower: 'flowers',
  bark: 'a piece of bark',
  habit: 'the whole tree with a person beside it',
  wood: 'wood, end grain',
};
