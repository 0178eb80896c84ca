import type { Point } from './geometry.ts';

/** What a shape stands for; the renderer chooses line and color by it, and a measurer knows by it what to count. */
export type Role =
  | 'blade'
  | 'bladeLower'
  | 'vein'
  | 'veinlet'
  | 'midrib'
  | 'bristle'
  | 'petiole'
  | 'stipule'
  | 'gland'
  | 'twig'
  | 'thorn'
  | 'pith'
  | 'needle'
  | 'needleLower'
  | 'needleFar'
  | 'scaleLeaf'
  | 'band'
  | 'sheath'
  | 'bud'
  | 'budScale'
  | 'resin'
  | 'scar'
  | 'bundle'
  | 'mark'
  | 'lenticel'
  | 'hair'
  /** On a dark face. */
  | 'paleHair'
  | 'flower'
  | 'petal'
  | 'stamen'
  | 'catkin'
  | 'pollenCone'
  | 'bract'
  | 'stalk'
  | 'fruit'
  | 'fruitScale'
  | 'wing'
  | 'nut'
  | 'cup'
  | 'cotton'
  | 'bark'
  | 'barkDark'
  | 'barkPale'
  | 'barkInner'
  | 'barkTint'
  | 'crown'
  | 'trunk'
  | 'limb'
  | 'person'
  | 'ground'
  | 'wood'
  | 'pore'
  | 'ray'
  | 'ring'
  | 'shade'
  | 'light'
  | 'paper';

export interface Shape {
  role: Role;
  points: readonly Point[];
  closed: boolean;
  /** Color of the part, where a trait gives one: overrides that of the role. */
  fill?: string;
  /** Line width in millimetres of the specimen's own scale; the renderer keeps it within reason. */
  line?: number;
}

/** A closed outline, in the color of the part where a trait gives one. */
export const filled = (role: Role, points: readonly Point[], fill?: string): Shape =>
  fill === undefined ? { role, points, closed: true } : { role, points, closed: true, fill };

/** An open line, so many millimetres wide where that is not left to the renderer. */
export const stroke = (role: Role, points: readonly Point[], line?: number): Shape =>
  line === undefined ? { role, points, closed: false } : { role, points, closed: false, line };

/** A part drawn larger in a circle; the magnification is worked out when it is laid out. */
export interface Inset {
  title: string;
  shapes: Shape[];
  /** What it shows, for labels: a character id. */
  shows: string;
}

export interface Scene {
  shapes: Shape[];
  insets: Inset[];
  /** Where a character can be pointed at, in millimetres. */
  anchors: Record<string, Point>;
  /** A field that fills its frame, as a piece of bark does: no room is left around it. */
  field?: boolean;
}

export const emptyScene = (): Scene => ({ shapes: [], insets: [], anchors: {} });

/** The same point for several characters. */
export function anchor(scene: Scene, at: Point, ...ids: string[]): void {
  for (const id of ids) scene.anchors[id] = at;
}
