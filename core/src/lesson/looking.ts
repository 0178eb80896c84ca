import { characterName, type Audience } from '../score/index.ts';
import { putIn, sayingOf, type Character } from '../vocabulary/index.ts';

/** What to do to see a character well, as it is said to a class: by id. One a line. */
const LOOKS = `
twig.arrangement | Follow one twig: is there a bud across from each bud?
leaf.composition | Find the bud: it sits at the base of a whole leaf, never of a leaflet.
leaf.teeth | Hold the edge against the sky.
leaf.toothTip | Take a lens to the edge.
leaf.petioleSection | Roll the leaf stalk between finger and thumb.
leaf.glands | Take a lens to the top of the leaf stalk.
leaf.lowerHair | Turn the leaf over and take a lens.
leaf.lowerColor | Turn the leaf over.
leaf.upperFace | Stroke the upper face.
leaf.texture | Bend the leaf.
leaf.sap | Tear a leaf slowly apart.
leaf.odor | Crush a leaf and smell it.
leaf.veins | Hold the leaf against the light.
leaf.base | Look where both sides meet the stalk.
needle.perBundle | Count the needles in several bundles.
needle.perSpur | Look for the tuft on its short spur.
needle.sheath | Look at the base of the bundle.
needle.section | Roll a needle between finger and thumb.
needle.tip | Press the tips against your palm.
needle.scar | Pull a needle off and look at the scar: flush, or on a peg?
needle.lie | Look along the twig from its tip.
needle.bands | Look at both faces of one needle for white bands.
needle.odor | Crush a few needles and smell them.
needle.scaleSpray | Lay a spray on your hand.
twig.armature | Look before you take hold.
twig.pith | Slice a cut twig lengthwise.
twig.pithSection | Cut a twig straight across.
twig.leafScar | Take a lens to the scar under a bud.
twig.bundleScars | Take a lens to the scar and count the dots.
twig.hair | Hold the newest twig against the light, with a lens.
twig.odor | Scratch the twig and smell it.
twig.spurs | Look for short stubby side shoots.
bud.scales | Look at the bud with a lens: how many scales?
bud.shape | Look at the bud from the side.
bud.stalked | Look whether the bud sits on the twig or on a little stalk.
bud.resin | Touch the bud: does it stick?
bud.scaleTips | Take a lens to the tips of the bud scales.
bud.lie | Look whether the bud lies against the twig.
cone.attitude | Look up: how do the cones sit on the branch?
cone.bract | Look between the scales.
cone.fate | Look for cones under the tree, and for bare spindles on its branches.
cone.armed | Run a thumb over the scales, with care.
cone.scaleTip | Look at the edge of one scale.
fruit.seed | Open one and look at the seed.
fruit.samaraWing | Look where the wing begins.
bark.surface | Step up to the trunk; look at a young stem too.
bark.odor | Put your nose to a crack of the bark.
bark.furrowDepth | Lay a finger in the deepest furrow.
habit.leader | Step back and look at the very top.
habit.crownForm | Step back until you see the whole crown.
habit.persistence | Come back in winter.
flower.type | Look how the flowers stand together.
`;

const looks = new Map(
  LOOKS.trim()
    .split('\n')
    .map((line): [string, string] => {
      const [id, words] = line.split('|').map((cell) => cell.trim());
      return [id!, words!];
    }),
);

/** All characters that have a way of looking: each must be built in. */
export const LOOKED_AT: readonly string[] = [...looks.keys()];

/**
 * How to look at a character, in its language; undefined where nothing is to be done.
 *
 * @example
 * howToLook(BUILT_IN.get('needle.scar')!); // 'Pull a needle off and look at the scar: flush, or on a peg?'
 */
export const howToLook = ({ id, saying }: Pick<Character, 'id' | 'saying'>): string | undefined =>
  saying?.looks?.[id] ?? looks.get(id);

/** `What do you see: teeth?`, in the language of the character. */
export const askOfCharacter = (character: Character, audience: Audience): string =>
  putIn(sayingOf(character).asked, characterName(character, audience));
