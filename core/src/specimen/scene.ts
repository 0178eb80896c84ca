import type { Point } from './geometry.ts';

/** What a shape stands for; the renderer chooses line and color by it. */
export type Role =
  | 'blade'
  | 'bladeLower'
  | 'vein'
  | 'midrib'
  | 'petiole'
  | 'twig'
  | 'bark'
  | 'needle'
  | 'needleLower'
  | 'needleFar'
  | 'band'
  | 'sheath'
  | 'budScale'
  | 'resin'
  | 'scar'
  | 'mark'
  | 'lenticel'
  | 'hair'
  | 'fruit'
  | 'fruitScale'
  | 'paper';

export interface Shape {
  role: Role;
  points: readonly Point[];
  closed: boolean;
  /** Colour of the part, where a trait gives one: overrides that of the role. */
  fill?: string;
  /** Line width in millimetres of the specimen's own scale; the renderer keeps it within reason. */
  line?: number;
}

/** A part drawn larger in a circle, with its stated magnification. */
export interface Inset {
  title: string;
  magnification: number;
  shapes: Shape[];
  /** What it shows, for labels: a character id. */
  shows: string;
}

export interface Scene {
  shapes: Shape[];
  insets: Inset[];
  /** Where a character can be pointed at, in millimetres. */
  anchors: Record<string, Point>;
}

export const emptyScene = (): Scene => ({ shapes: [], insets: [], anchors: {} });
