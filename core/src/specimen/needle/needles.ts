import { add, along, curve, direction, scaleBy, band, type Point } from '../geometry.ts';
import { LARCH_GOLD, NEEDLE_GREENS } from '../palette.ts';
import { anchor, type Scene } from '../scene.ts';
import type { TraitReader } from '../traits.ts';
import { terminalBuds } from '../twig/buds.ts';

export const greens = (reader: TraitReader) =>
  reader.traits.autumn
    ? LARCH_GOLD
    : (NEEDLE_GREENS[reader.state('needle.color', 'green')] ?? NEEDLE_GREENS['green']!);

/** What a needle is made of besides its length. */
export interface NeedleForm {
  width: number;
  tip: string;
  /** Broadest at the base, as an awl is. */
  awl?: boolean;
  /** Length of a thin stalk at its base. */
  stalk?: number;
}

/** Where the outline of a needle is worked out: closest at its foot and tip. */
const SHARES = [0, 0.04, 0.1, 0.35, 0.6, 0.8, 0.9, 0.94, 0.97, 0.985, 0.995, 1];

/** A needle is a body along +x from its base: a closed shape as wide as the score says, bent a little. */
export function needleBody(length: number, form: NeedleForm, bend: number): Point[] {
  const { width, tip } = form;
  const line = SHARES.map((s): Point => [s * length, 2 * bend * length * s * (1 - 0.7 * s)]);
  const pointed = tip === 'pricking' || tip === 'soft';
  const taper = form.awl ? 0.9 : pointed ? 0.3 : 0.1;
  const stalk = (form.stalk ?? 0) / length;
  const half = (s: number) => {
    const foot = form.awl ? 1 : s < stalk ? 0.36 : s < stalk + 0.08 ? 0.6 + (s - stalk) * 5 : 1;
    const end = s > 1 - taper ? Math.max(0.02, (1 - s) / taper) ** (tip === 'pricking' ? 0.9 : 0.5) : 1;
    return (width / 2) * foot * end;
  };
  let i = 0;
  const outline = band(line, () => half(SHARES[i++ % SHARES.length]!));
  if (tip !== 'notched') return outline;
  // A notch: the last points of both sides stand beyond the middle.
  outline.splice(line.length, 0, add(line[line.length - 1]!, [-width * 0.35, 0]));
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
      4,
    );
  });
}

/** Buds at the tip of a conifer's shoot, where anything is known of them. */
export function addTipBuds(scene: Scene, reader: TraitReader, axis: readonly Point[]): void {
  if (!reader.traits.buds || !Object.keys(reader.traits.values).some((id) => id.startsWith('bud.'))) return;
  const { point, angle } = along(axis, 1);
  const length = reader.mm('bud.length', 4);
  scene.shapes.push(...terminalBuds(reader, point, angle, length));
  anchor(
    scene,
    add(point, scaleBy(direction(angle), length * 0.6)),
    'bud.resin',
    'bud.shape',
    'bud.length',
    'bud.color',
    'bud.scales',
    'bud.scaleTips',
    'bud.hair',
    'bud.terminal',
  );
}

/** Points at which every needle character may be shown. */
export function needleAnchors(scene: Scene, at: Point): void {
  anchor(
    scene,
    at,
    'needle.length',
    'needle.width',
    'needle.section',
    'needle.tip',
    'needle.color',
    'needle.odor',
    'needle.stalk',
    'needle.scar',
    'foliage.kind',
    'foliage.present',
  );
}
