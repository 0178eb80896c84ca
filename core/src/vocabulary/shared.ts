import { table } from './character.ts';

/** States used by characters of several organs. */

export const ODOURS = table(`
  none | none | no smell | No odor noticed when crushed or scratched.
  resin | resinous | like pitch or pine cleaner | Smell of pitch or turpentine.
  balsam | balsamic | sweet and spicy like balsam | Sweet resin smell, as of balsam poplar buds.
  citrus | citrus | like orange peel | Fresh smell of orange or tangerine peel.
  rank | rank | stinks | Unpleasant, musty or skunky smell.
  almond | bitter almond | like almond extract | Smell of bitter almond, from compounds that give off cyanide; do not taste.
  wintergreen | wintergreen | like wintergreen gum | Smell of oil of wintergreen.
  vanilla | vanilla | like vanilla or butterscotch | Sweet smell of vanilla or butterscotch.
  spicy | spicy | spicy | Aromatic, like kitchen spice.
`);

export const HAIR = table(`
  none | glabrous | no hairs | Without hairs.
  sparse | sparsely hairy | a few hairs | Scattered hairs, the surface plain between them.
  dense | densely hairy | many hairs | Hairs close together, the surface still visible.
  woolly | woolly | like felt | Matted hairs that hide the surface.
`);

const COLORS = table(`
  white | white | white | White or chalky.
  paleGrey | pale gray | light gray | Pale or silvery gray.
  grey | gray | gray | Plain gray.
  greyBrown | gray-brown | grayish brown | Between gray and brown.
  brown | brown | brown | Plain brown.
  redBrown | red-brown | reddish brown | Brown with a clear red tone.
  cinnamon | cinnamon-orange | orange-brown | Warm orange-brown, as ground cinnamon.
  yellowish | yellowish | yellowish | Yellow-brown, tan or straw.
  greenish | greenish | greenish | With a clear green tone.
  nearBlack | near black | almost black | Very dark brown to black.
  red | red | red | Clear red to wine red.
  orange | orange | orange | Clear orange.
  yellow | yellow | yellow | Clear yellow.
  green | green | green | Clear green.
  purple | purple | purple | Purple to violet.
  blue | blue | blue | Blue, often from a waxy bloom.
  black | black | black | Black.
  pink | pink | pink | Pink to rose.
  cream | cream | cream | Between white and yellow.
`);

/** Picks the named colors, in the order given. Throws on a name that is not in the table. */
export function colors(...ids: string[]) {
  return ids.map((id) => {
    const state = COLORS.find((color) => color.id === id);
    if (!state) throw new Error(`No color "${id}" in the vocabulary`);
    return state;
  });
}
