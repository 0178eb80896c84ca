import type { Role } from './scene.ts';

export interface Ink {
  fill: string;
  /** A color, or `own`: a dark shade of the fill. */
  stroke: string;
  /** Pixels on the finished drawing: by role, whatever the size of the specimen. */
  width: number;
  /** In print without color. */
  print?: 'white' | 'grey' | 'light' | 'none' | 'black';
}

export const INK = '#1d2a2c';
const line = (stroke: string, width: number, print: Ink['print'] = 'black'): Ink => ({
  fill: 'none',
  stroke,
  width,
  print,
});
const body = (fill: string, width = 0.9, print: Ink['print'] = 'white'): Ink => ({
  fill,
  stroke: 'own',
  width,
  print,
});
const flat = (fill: string, print: Ink['print'] = 'none'): Ink => ({ fill, stroke: 'none', width: 0, print });

/** Ink for structure, restrained color under it: one hand for every drawing. */
export const STYLE: Record<Role, Ink> = {
  blade: body('#6f9a58', 0.9),
  bladeLower: body('#b4c79d', 0.9),
  vein: line('rgba(24,44,30,.55)', 0.6),
  veinlet: line('rgba(24,44,30,.32)', 0.45),
  midrib: line('rgba(24,44,30,.75)', 0.95),
  bristle: line('#3c4a3a', 0.6),
  petiole: body('#8f9a58', 0.7),
  stipule: body('#86a863', 0.7),
  gland: body('#8a5240', 0.6),
  twig: body('#8d8272', 1),
  thorn: body('#5c5148', 0.8),
  pith: body('#efe6d0', 0.6),
  needle: body('#4f7a4c', 0.5),
  needleLower: body('#7d9a78', 0.5),
  needleFar: body('#36583a', 0.4, 'grey'),
  scaleLeaf: body('#6d8a48', 0.6),
  band: line('#eef3ee', 0.9, 'light'),
  sheath: body('#a9927a', 0.6),
  bud: body('#7d6249', 0.9),
  budScale: line(INK, 0.65),
  resin: line('#fbf6e4', 1.5, 'light'),
  scar: body('#d9cdb8', 0.6),
  bundle: body('#4a4038', 0.4, 'black'),
  mark: line(INK, 0.65),
  lenticel: line('#ece5d6', 1, 'light'),
  hair: line('#77786c', 0.5, 'light'),
  paleHair: line('#e6ecdc', 0.7, 'light'),
  flower: body('#e0d6b4', 0.6),
  petal: body('#eceae2', 0.7),
  stamen: line('#8a7a3a', 0.7),
  catkin: body('#b9a268', 0.8),
  pollenCone: body('#cfae3f', 0.8),
  bract: body('#c9b184', 0.6),
  stalk: body('#8b9468', 0.6),
  fruit: body('#7d6249', 0.9),
  fruitScale: body('#8f7257', 0.6),
  wing: body('#d9c59b', 0.8),
  nut: body('#7d6249', 0.9),
  cup: body('#8d8272', 0.9),
  cotton: body('#f3f1ea', 0.5),
  bark: flat('#9a9c96', 'white'),
  barkDark: { fill: '#4a4038', stroke: 'none', width: 0.8, print: 'grey' },
  barkPale: { fill: '#c3c4bd', stroke: 'own', width: 0.5, print: 'white' },
  barkTint: flat('#8d8272', 'none'),
  barkInner: body('#b5744a', 0.7, 'grey'),
  crown: { fill: '#5f8550', stroke: 'own', width: 0.5, print: 'white' },
  trunk: body('#8d8272', 0.7),
  limb: { fill: 'none', stroke: '#5c5148', width: 0.8, print: 'black' },
  person: flat('#405055', 'black'),
  ground: line('#8a938d', 1, 'black'),
  wood: flat('#e0d6b4', 'white'),
  pore: { fill: '#5f4c38', stroke: 'none', width: 0, print: 'black' },
  ray: flat('#efe6d0', 'none'),
  ring: flat('#cdbf98', 'grey'),
  shade: flat('rgba(16,36,30,.09)'),
  light: flat('rgba(255,255,255,.3)'),
  paper: line('#f6f7f4', 1, 'light'),
};

/** Parts whose outline is heavier on the side away from the light. */
export const WEIGHTED: ReadonlySet<Role> = new Set<Role>([
  'blade',
  'bladeLower',
  'bud',
  'fruit',
  'nut',
  'cup',
  'wing',
  'twig',
]);

const mixed = new Map<string, string>();

/** A dark shade of a fill, for its outline. */
export function outlineOf(fill: string): string {
  if (!fill.startsWith('#')) return INK;
  const held = mixed.get(fill);
  if (held) return held;
  const channel = (at: number, ink: number) =>
    Math.round(parseInt(fill.slice(at, at + 2), 16) * 0.3 + ink * 0.7)
      .toString(16)
      .padStart(2, '0');
  const made = `#${channel(1, 0x1d)}${channel(3, 0x2a)}${channel(5, 0x2c)}`;
  mixed.set(fill, made);
  return made;
}
