import type { Character, Standing } from './character.ts';

/** What manuals of woody plants put in their keys, organ by organ, for trees of any genus. Every other built-in character is second. */
const MARKS = `
  foliage.kind foliage.present habit.persistence habit.leader
  leaf.composition leaf.lobing leaf.mixedLobing leaf.lobeTips leaf.teeth leaf.veins leaf.petioleSection leaf.glands leaf.sap
  needle.perBundle needle.sheath needle.section needle.tip needle.scar needle.bands needle.scaleSpray
  twig.arrangement twig.armature twig.wings twig.pith twig.needleScars
  bud.shape bud.scales bud.stalked
  flower.type flower.showyBracts
  fruit.type fruit.samaraWing fruit.samaraAngle fruit.strobile fruit.huskSplit
  cone.attitude cone.fate cone.bract cone.armed acorn.cupCover acorn.fringe
  bark.surface
`;

const SUPPORTING = `
  habit.height habit.dbh habit.crownSpread habit.stature habit.growth habit.lifespan habit.branchAngle habit.suckers
  leaf.length leaf.width leaf.teethPerCm leaf.petioleLength leaf.veinPairs leaf.autumnColor
  needle.length needle.width needle.color needle.perSpur
  twig.color twig.thickness twig.thornLength twig.lenticels bud.length bud.color
  flower.pollination flower.size pollenCone.color pollenCone.length
  fruit.length fruit.dispersal fruit.keptWinter cone.scales
  bark.furrowDepth bark.color
  wood.density wood.heartwood
  site.habitat site.moisture site.drainage site.soilPh site.shadeTolerance site.canopyPlace site.elevation site.hardinessZone
  site.floodTolerance site.droughtTolerance site.saltTolerance
`;

/** What manuals separate the species of a genus by, though it serves less well between genera: there it stands one step higher. */
const WITHIN: Record<string, string> = {
  Abies: 'needle.lie needle.odor bark.surface fruit.length',
  Acer: 'leaf.lobes leaf.sinusDepth leaf.sinusBottom bud.color twig.coating',
  Alnus: 'leaf.apex leaf.base leaf.sinusDepth',
  Betula: 'twig.hair twig.coating bark.color',
  Crataegus: 'leaf.sinusDepth twig.thornLength fruit.stones fruit.color',
  Fraxinus: 'bud.color leaf.leaflets twig.hair',
  Juniperus: 'needle.odor fruit.color',
  Larix: 'twig.hair fruit.length needle.section',
  Picea: 'twig.hair bud.scaleTips cone.scaleTip fruit.length',
  Pinus: 'cone.thickEnd fruit.length needle.length bark.color',
  Populus: 'bud.resin leaf.shape leaf.lowerHair',
  Prunus: 'leaf.shape leaf.apex leaf.odor',
  Quercus: 'fruit.stalkLength leaf.base leaf.lowerHair leaf.petioleLength twig.hair',
  Salix: 'fruit.stalkLength leaf.shape leaf.lowerHair twig.hair',
  Sorbus: 'bud.resin bud.hair leaf.leaflets leaf.lowerHair leaf.shape',
  Tilia: 'leaf.hairPlace leaf.lowerHair twig.hair',
  Tsuga: 'needle.lie fruit.length',
  Ulmus: 'leaf.base leaf.upperFace bud.hair twig.hair',
};

const idsOf = (text: string) => text.trim().split(/\s+/);
const [marks, supporting] = [new Set(idsOf(MARKS)), new Set(idsOf(SUPPORTING))];
const within = new Map<string, string[]>();
for (const [genus, ids] of Object.entries(WITHIN))
  for (const id of idsOf(ids)) within.set(id, [...(within.get(id) ?? []), genus]);

/** All ids that this table names: each must be a built-in character. */
export const STANDING_IDS: readonly string[] = [...new Set([...marks, ...supporting, ...within.keys()])];

/** A built-in character with its standing. */
export function withStanding<C extends Character>(character: C): C {
  const genera = within.get(character.id);
  return {
    ...character,
    standing: marks.has(character.id) ? 'mark' : supporting.has(character.id) ? 'supporting' : 'second',
    ...(genera ? { raisedWithin: genera } : {}),
  };
}

/**
 * The standing of a character, between two trees of one genus if that is named: `standingOf(twigHair)` is `second`,
 * `standingOf(twigHair, 'Picea')` is `mark`, `standingOf(budColor, 'Fraxinus')` is `second`. A character of the library's own that
 * has none is second.
 */
export function standingOf(
  { standing = 'second', raisedWithin }: Pick<Character, 'standing' | 'raisedWithin'>,
  genus?: string,
): Standing {
  if (genus === undefined || !raisedWithin?.includes(genus)) return standing;
  return standing === 'supporting' ? 'second' : 'mark';
}

/** What manuals begin their keys with, in their order. */
const CONVENTION = [
  'foliage.present',
  'foliage.kind',
  'twig.arrangement',
  'leaf.composition',
  'leaf.lobing',
  'leaf.teeth',
  'needle.perBundle',
  'twig.armature',
];
/** What is said first of two trees of one branch of the key, after the convention. */
const SAID_NEXT = [
  'bud.scales',
  'bud.stalked',
  'needle.section',
  'needle.scar',
  'needle.bands',
  'leaf.petioleSection',
  'cone.bract',
  'cone.attitude',
  'bark.surface',
];

const placeIn = (order: readonly string[], id: string): number => {
  const place = order.indexOf(id);
  return place < 0 ? order.length : place;
};

/** Place of a character in the convention, from 0; all that manuals do not begin with share the last, `CONVENTION_LENGTH`. */
export const conventionOf = (id: string): number => placeIn(CONVENTION, id);

export const CONVENTION_LENGTH = CONVENTION.length;

const SAID = [...CONVENTION, ...SAID_NEXT];

/** How far behind others a character is said, 0–1: 0 for what manuals begin with, 1 for what has no place in their order. */
export const saidBehind = (id: string): number => placeIn(SAID, id) / SAID.length;
