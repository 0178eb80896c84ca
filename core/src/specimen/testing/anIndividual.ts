import type { Trait, Traits } from '../traits.ts';

/** An individual in leaf, bud, flower and fruit that carries so much; the rest as given. */
export const anIndividual = (values: Record<string, Trait>, more: Partial<Traits> = {}): Traits => ({
  seed: 7,
  values,
  leafy: true,
  buds: true,
  autumn: false,
  flowers: true,
  fruit: true,
  ...more,
});
