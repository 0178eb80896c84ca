import type { CharacterId } from '../vocabulary/index.ts';

/** What a measure or count may be, in stored units (m, kg/m³, or the unit itself). */
export interface Plausible {
  /** Where the upper ends of ordinary woody plants lie: a repair has to come to lie within. */
  seen: readonly [least: number, most: number];
  /** Beyond, it is a slip: the smallest and the largest known, and some room. */
  possible: readonly [least: number, most: number];
}

/** Round figures from general botany, wide enough for a palm and a creeping willow; a library's own characters have none. */
export const PLAUSIBLE: Readonly<Partial<Record<CharacterId, Plausible>>> = {
  'habit.height': { seen: [0.5, 80], possible: [0.1, 120] },
  'habit.dbh': { seen: [0.02, 4], possible: [0.005, 12] },
  'habit.crownSpread': { seen: [0.5, 35], possible: [0.1, 60] },
  'habit.lifespan': { seen: [10, 1500], possible: [2, 5200] },
  'leaf.leaflets': { seen: [3, 41], possible: [2, 120] },
  'leaf.length': { seen: [0.005, 0.6], possible: [0.003, 1.2] },
  'leaf.width': { seen: [0.002, 0.4], possible: [0.001, 0.8] },
  'leaf.lobes': { seen: [2, 15], possible: [1, 40] },
  'leaf.teethPerCm': { seen: [0.5, 15], possible: [0, 40] },
  'leaf.veinPairs': { seen: [2, 35], possible: [1, 80] },
  'leaf.petioleLength': { seen: [0.001, 0.3], possible: [0, 0.6] },
  'needle.perBundle': { seen: [1, 5], possible: [1, 8] },
  'needle.perSpur': { seen: [5, 60], possible: [3, 120] },
  'needle.length': { seen: [0.004, 0.35], possible: [0.002, 0.45] },
  'needle.width': { seen: [0.0005, 0.004], possible: [0.0002, 0.01] },
  'twig.thickness': { seen: [0.001, 0.015], possible: [0.0004, 0.03] },
  'twig.thornLength': { seen: [0.003, 0.1], possible: [0.0005, 0.12] },
  'bud.length': { seen: [0.001, 0.035], possible: [0.0005, 0.05] },
  'flower.petals': { seen: [3, 20], possible: [0, 60] },
  'flower.stamens': { seen: [1, 60], possible: [0, 500] },
  'flower.size': { seen: [0.001, 0.2], possible: [0.0005, 0.3] },
  'pollenCone.length': { seen: [0.003, 0.06], possible: [0.001, 0.1] },
  'fruit.length': { seen: [0.002, 0.4], possible: [0.001, 0.7] },
  'fruit.stalkLength': { seen: [0.001, 0.1], possible: [0, 0.4] },
  'fruit.stones': { seen: [1, 5], possible: [0, 30] },
  'fruit.samaraAngle': { seen: [20, 200], possible: [0, 360] },
  'acorn.cupCover': { seen: [10, 100], possible: [3, 100] },
  'wood.density': { seen: [280, 1000], possible: [80, 1400] },
  'site.soilPh': { seen: [4, 8.5], possible: [2.5, 10.5] },
  'site.elevation': { seen: [0, 4500], possible: [0, 5200] },
  'site.hardinessZone': { seen: [2, 10], possible: [0, 13] },
};

/** Slips of the unit, as what the value has to be taken times: what is usually written for what. */
const FOOT_TO_INCH = 1 / 12;
const FOR_LENGTHS = [0.01, 0.1, 100, 10];
const UNIT_SLIPS: Readonly<Partial<Record<CharacterId, readonly number[]>>> = {
  // Metres for feet, and centimetres for metres; nobody gives a height in tenths.
  'habit.height': [0.3048, 100],
  'habit.crownSpread': [0.3048, 100],
  'site.elevation': [0.3048],
  // Metres for centimetres, feet for inches, and the other way round.
  'habit.dbh': [0.01, FOOT_TO_INCH, 100],
  // Grams per cm³, pounds per cubic foot.
  'wood.density': [1000, 16.0185, 0.001],
  'acorn.cupCover': [100],
  'leaf.length': FOR_LENGTHS,
  'leaf.width': FOR_LENGTHS,
  'leaf.petioleLength': FOR_LENGTHS,
  'needle.length': FOR_LENGTHS,
  'needle.width': FOR_LENGTHS,
  'twig.thickness': FOR_LENGTHS,
  'twig.thornLength': FOR_LENGTHS,
  'bud.length': FOR_LENGTHS,
  'flower.size': FOR_LENGTHS,
  'pollenCone.length': FOR_LENGTHS,
  'fruit.length': FOR_LENGTHS,
  'fruit.stalkLength': FOR_LENGTHS,
};
/** A decimal point in the wrong place: thought of after slips of the unit. */
const POINT_SLIPS = [0.1, 10];

/** How far from what relatives show a repair may lie, and from how far on a value is asked about. */
const WELL_WITHIN = 1.6;
const FAR_OFF = 8;

const isRound = (n: number): boolean => Math.abs(n - Math.round(n)) < 1e-6;

/** What relatives show: their least and their greatest figure, in stored units. */
export type Related = readonly [least: number, most: number];

/**
 * What speaks against a value: beyond what is possible; larger than ordinary trees show, where a slip of the unit would explain it; or far from
 * its relatives. Nothing if none.
 */
export function doubtOf(
  characterId: string,
  ends: readonly number[],
  related?: Related,
): 'impossible' | 'unusual' | 'unlike relatives' | undefined {
  const known = PLAUSIBLE[characterId as CharacterId];
  const top = Math.max(...ends);
  if (known && (top < known.possible[0] || top > known.possible[1])) return 'impossible';
  if (known && !related && top > known.seen[1] && repairFactors(characterId, ends).length > 0)
    return 'unusual';
  const isFar = related && (top > related[1] * FAR_OFF || top < related[0] / FAR_OFF);
  if (isFar && repairFactors(characterId, ends, related).length > 0) return 'unlike relatives';
  return undefined;
}

/**
 * What the value has to be taken times to be plausible: every repair that brings it well within what is seen, and near its relatives where
 * there are any. Slips of the unit go before those of the point; at most two, none where none would do.
 *
 * @param ends the numbers of the range, in stored units
 * @example
 * repairFactors('habit.height', [300]); // [0.1]: 30 m; as feet it would still be 91 m
 * repairFactors('needle.perBundle', [50]); // []: what is counted is counted again
 */
export function repairFactors(characterId: string, ends: readonly number[], related?: Related): number[] {
  const known = PLAUSIBLE[characterId as CharacterId];
  const slips = UNIT_SLIPS[characterId as CharacterId];
  if (!known || !slips) return [];
  const least = related ? related[0] / WELL_WITHIN : known.seen[0];
  const most = related ? related[1] * WELL_WITHIN : known.seen[1];
  const fits = (factor: number) => {
    const scaled = ends.map((n) => n * factor);
    return (
      Math.max(...scaled) <= most &&
      Math.max(...scaled) >= least &&
      Math.min(...scaled) >= known.possible[0] / 10
    );
  };
  // Whole feet that are no round centimetres were typed as feet.
  const inFeet = ends.every((n) => isRound(n / 0.3048) && !isRound(n * 100));
  const ordered = inFeet
    ? [...slips].sort((a, b) => Number(b === FOOT_TO_INCH) - Number(a === FOOT_TO_INCH))
    : slips;
  return [...new Set([...ordered, ...POINT_SLIPS])].filter(fits).slice(0, 2);
}
