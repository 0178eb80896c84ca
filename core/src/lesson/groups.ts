import type { ProfiledTaxon } from '../evidence/index.ts';
import { characterName, type Audience } from '../score/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { upperFirst } from '../words/index.ts';
import { lessonCharacters } from './character.ts';
import { tellsIn } from './tells.ts';

/** Characters that are taught together, since the same look or the same hand shows them. */
export interface CharacterGroup {
  id: string;
  title: string;
  /** Ids, in the order in which they are looked at. */
  characters: readonly string[];
}

/** Arrangement before the blade, the blade before its edge: as a tree is looked at. One a line. */
const GROUPS = `
crown | The tree from afar | habit.growth habit.stature habit.crownForm habit.leader habit.stems
arrangement | Arrangement and composition | foliage.kind twig.arrangement leaf.composition leaf.leaflets
blade | Blade and veins | leaf.shape leaf.veins
lobes | Lobes, tips and bases | leaf.lobing leaf.sinusDepth leaf.sinusBottom leaf.apex leaf.base
margin | The margin | leaf.teeth leaf.toothTip leaf.teethReach
faces | Both faces and the stalk | leaf.upperFace leaf.lowerColor leaf.lowerHair leaf.hairPlace leaf.petioleSection leaf.glands leaf.stipules
bundles | Needles in bundles and tufts | foliage.kind needle.perBundle needle.perSpur needle.sheath
needle | One needle and its scar | needle.scar needle.section needle.tip needle.bands needle.lie
buds | Buds | bud.terminal bud.scales bud.scaleTips bud.shape bud.lie bud.hair
scars | Scars and pith | twig.leafScar twig.bundleScars twig.pith twig.pithSection
twig | The face of a twig | twig.armature twig.hair twig.coating twig.lenticels twig.color
flowers | Flowers | flower.type flower.sexes flower.timing flower.catkinBract
cones | Cones | cone.attitude cone.fate cone.scaleTip cone.bract fruit.strobile
fruit | Fruit | fruit.type fruit.samaraWing fruit.seed fruit.dispersal
bark | Bark and its relief | bark.surface bark.furrowDepth bark.ridges bark.color
wood | End grain | wood.pores wood.heartwood
`;

/** All groups; every id in them is a built-in character. */
export const CHARACTER_GROUPS: readonly CharacterGroup[] = GROUPS.trim()
  .split('\n')
  .map((line) => {
    const [id, title, characters] = line.split('|').map((cell) => cell.trim());
    return { id: id!, title: title!, characters: characters!.split(' ') };
  });

/** One character is a lesson of its own. */
const LEAST_OF_GROUP = 2;

/**
 * The groups that a list can be taught: with the characters in which its trees differ, where two or more are left. In plain words without
 * what only an advanced course looks at.
 *
 * @example
 * lessonGroups(list, BUILT_IN, 'technical').find(({ id }) => id === 'margin')?.characters; // ['leaf.teeth', 'leaf.toothTip']
 */
export function lessonGroups(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  audience: Audience,
): CharacterGroup[] {
  const taught = new Set(
    lessonCharacters(list, vocabulary).filter(
      (id) => audience === 'technical' || vocabulary.get(id)!.level !== 'advanced',
    ),
  );
  return CHARACTER_GROUPS.map((group) => ({
    ...group,
    title: tellsIn(vocabulary).groups[group.id] ?? group.title,
    characters: group.characters.filter((id) => taught.has(id)),
  })).filter(({ characters }) => characters.length >= LEAST_OF_GROUP);
}

/** What a lesson about characters is about. */
export interface CharacterTopic {
  title: string;
  /** Ids. */
  characters: readonly string[];
}

/**
 * A group by its id, or one character by its own, with what the list shows of it; undefined where its trees do not differ in that.
 *
 * @example
 * lessonAbout(list, BUILT_IN, 'technical', 'margin')?.title; // 'The margin'
 */
export function lessonAbout(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  audience: Audience,
  about: string,
): CharacterTopic | undefined {
  const group = lessonGroups(list, vocabulary, audience).find(({ id }) => id === about);
  if (group) return group;
  const character = vocabulary.get(about);
  return character && lessonCharacters(list, vocabulary).includes(about)
    ? { title: upperFirst(characterName(character, audience)), characters: [about] }
    : undefined;
}
