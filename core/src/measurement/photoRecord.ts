import type { Qualifiers } from '../score/index.ts';
import type { ShownOrgan } from '../vocabulary/index.ts';

/** Licences under which a photo may leave the library. */
export const LICENCES = [
  'all rights reserved, used with permission',
  'CC BY 4.0',
  'CC BY-SA 4.0',
  'CC BY-NC 4.0',
  'CC0 1.0',
  'public domain',
] as const;
export type Licence = (typeof LICENCES)[number];

/** A mark on a photo, bound to the character and state that it shows. Points are shares of width and height, 0–1. */
export interface Annotation {
  shape: 'circle' | 'arrow' | 'label' | 'inset';
  from: { x: number; y: number };
  to: { x: number; y: number };
  text?: string;
  characterId?: string;
  state?: string;
}

/** What is said of a photo. */
export interface PhotoRecord {
  organ: ShownOrgan;
  qualifiers: Qualifiers;
  /** Month in which it was taken, 1–12. */
  month?: number;
  credit: string;
  licence: Licence | '';
  caption?: string;
  position?: { latitude: number; longitude: number };
  annotations: Annotation[];
  /** Metres a pixel of the picture as it is shown on a screen, once a rule or a coin on it was measured. */
  scale?: number;
}

/** A photo may leave the library (prints, exports, quizzes) only with a credit and a licence. */
export const mayLeave = (record: PhotoRecord): boolean =>
  record.credit.trim() !== '' && record.licence !== '';
