import { add, along, band, curve, direction, scaleBy, type Point } from './geometry.ts';
import { LARCH_GOLD, NEEDLE_GREENS } from './palette.ts';
import type { Scene } from './scene.ts';
import type { TraitReader } from './traits.ts';
import { budShapes, moveShapes } from './twig.ts';

export const greens = (reader: TraitReader) =>
  reader.traits.autumn
    ? LARCH_GOLD
    : (NEEDLE_GREENS[reader.state('needle.color', 'green')] ?? NEEDLE_GREENS['green']!);

/** A needle is a body along +x from its base: a closed shape as wide as the score says, bent a little. */
export function needleBody(length: number, width: number, bend: number, tip: string): Point[] {
  const line = curve([0, 0], [length * 0.5, bend * length], [length, bend * length * 0.6], 7);
  const taper = tip === 'pricking' || tip === 'soft' ? 0.3 : 0.1;
  const outline = band(
    line,
    (s) =>
      (width / 2) *
      (s < 0.08
        ? 0.55 + s * 5.6
        : s > 1 - taper
          ? Math.max(0.02, (1 - s) / taper) ** (tip === 'pricking' ? 1 : 0.5)
          : 1),
  );
  if (tip !== 'notched') return outline;
  // A notch: the last points of both sides stand beyond the middle.
  const middle = line.length;
  const end = line[line.length - 1]!;
  outline.splice(middle, 0, add(end, [-width * 0.35, 0]));
  return outline;
}

/** Pale stripes along a needle, `lines` of them. */
export function stripes(length: number, width: number, bend: number, lines: number): Point[][] {
  return Array.from({ length: lines }, (_, i) => {
    const off = lines === 1 ? 0 : (i / (lines - 1) - 0.5) * width * 0.52;
    return curve(
      [length * 0.1, off],
      [length * 0.5, bend * length + off],
      [length * 0.9, bend * length * 0.68 + off],
      5,
    );
  });
}

export function addTipBuds(scene: Scene, reader: TraitReader, axis: readonly Point[]): void {
  if (!reader.traits.buds || !Object.keys(reader.traits.values).some((id) => id.startsWith('bud.'))) return;
  const { point, angle } = along(axis, 1);
  const length = reader.mm('bud.length', 4);
  const clustered = reader.state('bud.terminal', 'single') === 'clustered';
  if (clustered)
    for (const s of [-0.7, 0.7])
      scene.shapes.push(...moveShapes(budShapes(reader, length * 0.8), point, angle + s));
  scene.shapes.push(...moveShapes(budShapes(reader, length), point, angle));
  const tip = add(point, scaleBy(direction(angle), length * 0.6));
  for (const id of ['bud.resin', 'bud.shape', 'bud.length', 'bud.color', 'bud.scales', 'bud.terminal'])
    scene.anchors[id] = tip;
}
