import { isDeciduous, type ProfiledTaxon } from '../evidence/index.ts';
import { admits } from '../score/index.ts';
import { applies, type CharacterId, type ShownOrgan, type Vocabulary } from '../vocabulary/index.ts';
import { SHOWN_BY } from '../vocabulary/index.ts';

/** Characters that a drawing is made from, by what a plate shows. */
export const DRAWN: readonly CharacterId[] = [
  'foliage.kind',
  'leaf.composition',
  'leaf.leaflets',
  'leaf.shape',
  'leaf.length',
  'leaf.width',
  'leaf.lobing',
  'leaf.lobes',
  'leaf.sinusDepth',
  'leaf.sinusBottom',
  'leaf.lobeTips',
  'leaf.teeth',
  'leaf.teethPerCm',
  'leaf.toothTip',
  'leaf.teethReach',
  'leaf.apex',
  'leaf.base',
  'leaf.veins',
  'leaf.veinPairs',
  'leaf.upperFace',
  'leaf.lowerColor',
  'leaf.lowerHair',
  'leaf.petioleLength',
  'leaf.petioleSection',
  'leaf.stipules',
  'leaf.autumnColor',
  'needle.perBundle',
  'needle.perSpur',
  'needle.sheath',
  'needle.length',
  'needle.width',
  'needle.section',
  'needle.tip',
  'needle.scar',
  'needle.lie',
  'needle.bands',
  'needle.color',
  'needle.scaleSpray',
  'twig.arrangement',
  'twig.color',
  'twig.hair',
  'twig.thickness',
  'twig.armature',
  'twig.thornLength',
  'twig.lenticels',
  'twig.pith',
  'twig.pithSize',
  'twig.winterCatkins',
  'twig.catkinLie',
  'twig.leafScar',
  'twig.bundleScars',
  'bud.terminal',
  'bud.shape',
  'bud.scales',
  'bud.length',
  'bud.color',
  'bud.lie',
  'flower.type',
  'flower.color',
  'flower.petals',
  'flower.size',
  'flower.catkinBract',
  'fruit.type',
  'fruit.length',
  'fruit.color',
  'fruit.stones',
  'fruit.samaraAngle',
  'cone.attitude',
  'cone.fate',
  'cone.scaleTip',
  'cone.bract',
  'cone.armed',
  'acorn.cupCover',
  'acorn.fringe',
  'bark.surface',
  'bark.furrowDepth',
  'bark.ridges',
  'bark.color',
  'habit.height',
  'habit.crownSpread',
  'habit.crownForm',
  'habit.branchAngle',
  'habit.stems',
  'wood.pores',
  'wood.rays',
  'wood.heartwood',
];

/**
 * What the scores cannot show: characters that a drawing of these organs is made from, that apply to the taxon and that no source
 * says anything of. The drawing takes something usual in their place. Ids, in the order of the vocabulary's organs.
 */
export function notShown(
  profiled: ProfiledTaxon,
  organs: readonly ShownOrgan[],
  vocabulary: Vocabulary,
): string[] {
  const scored = new Map(profiled.scores.map((score) => [score.characterId, score.value]));
  return DRAWN.filter((id) => {
    const character = vocabulary.get(id);
    if (!character || scored.has(id) || !organs.includes(SHOWN_BY[character.organ])) return false;
    if (character.part === 'autumnLeaves' && !isDeciduous(profiled)) return false;
    const shown = (governor: string, states: readonly string[]) => {
      const value = scored.get(governor);
      return value && states.some((state) => admits(value, state));
    };
    return applies(character, shown, false);
  });
}
