import { NATURAL } from '../palette.ts';
import type { TraitReader } from '../traits.ts';

/** The color of a fruit: the first that is scored, or a usual one of its kind. */
export const fruitColor = (reader: TraitReader, otherwise: string): string =>
  NATURAL[reader.states('fruit.color')[0] ?? otherwise] ?? NATURAL[otherwise]!;
