import { flag, measure, oneOf, ordinal, table } from './character.ts';
import { colors } from './shared.ts';

const cut = { distance: 'cut', level: 'advanced' } as const;

export const WOOD = [
  oneOf(
    'wood.pores',
    'pores',
    table(`
      none | non-porous | no pores | Without vessels (softwoods).
      ring | ring-porous | large pores in rings | Large pores only in the early wood.
      semiRing | semi-ring-porous | pores shrink across each ring | Pores grow gradually smaller across the ring.
      diffuse | diffuse-porous | even small pores | Pores of about one size throughout.
    `),
    cut,
  ),
  flag('wood.resinCanals', 'resin canals', cut),
  oneOf(
    'wood.heartwood',
    'heartwood color',
    colors('white', 'cream', 'yellowish', 'brown', 'redBrown', 'red', 'greenish', 'nearBlack'),
    { ...cut, reading: 'subjective' },
  ),
  measure('wood.density', 'wood density', 'kg/m³', cut),
  ordinal(
    'wood.rays',
    'rays',
    table(`
      lens | seen by lens | only with a lens | Rays seen only with a lens.
      eye | seen by eye | seen by eye | Rays seen without a lens.
      broad | broad | wide | Rays conspicuously wide.
    `),
    cut,
  ),
];
