import { FieldError, round, within } from './measured.ts';
import { HALF_95, propagated, type Uncertain } from './uncertain.ts';

/** An age in years, with the ends between which it lies. */
export interface Age {
  years: number;
  from: number;
  to: number;
  working: string[];
}

export interface RingCount {
  /** Rings counted from the centre outwards, neither the pith nor the bark among them; once, or by several people. */
  counts: readonly number[];
  /** Height of the cut or core above the ground, metres. */
  cutHeight: number;
  /** Rings that are missing at the centre, where a core passed it by or it is rotten; 0 where the pith is seen. */
  missing?: number;
}

/** Metres that a seedling grows in a year until it reaches the cut; from half to twice of it in 95 of 100. */
const SEEDLING_GROWTH = 0.25;
/** Standard deviation of the count of one person: a ring in fifty, and one at least. */
const COUNT_SHARE = 0.02;

/**
 * Age by counted rings: rings at the cut, and the years that it took to grow to the height of the cut.
 *
 * @throws FieldError where a count or height cannot be
 * @example
 * ageByRings({ counts: [84, 86], cutHeight: 0.5 }).years; // 87
 */
export function ageByRings({ counts, cutHeight, missing = 0 }: RingCount): Age {
  if (counts.length === 0)
    throw new FieldError('No rings are counted yet. Count them from the center outwards.');
  within('A count of rings', counts, 1, 5000, 'rings');
  within('The height of a cut', [cutHeight], 0, 10, 'm');
  within('Rings missing at the center', [missing], 0, 500, 'rings');
  const rings = counts.reduce((sum, each) => sum + each, 0) / counts.length;
  const toCut = cutHeight / SEEDLING_GROWTH;
  const sum = propagated(
    ([counted = 0, gone = 0, young = 0]) => counted + gone + young,
    [
      { value: rings, sd: Math.max(1, COUNT_SHARE * rings) / Math.sqrt(counts.length) },
      { value: missing, sd: missing / 4 },
      { value: toCut, sd: toCut / 3 },
    ],
  );
  return spread(sum, [
    `${round(rings, 1)} rings from the center outwards, neither pith nor bark.`,
    ...(missing > 0 ? [`About ${missing} more are missing at the center.`] : []),
    cutHeight > 0
      ? `About ${Math.round(toCut)} years to grow to the cut, at some 25 cm a year: a guess.`
      : 'Cut at the ground: nothing is added.',
  ]);
}

/** Years for each centimetre of diameter, for trees that stand in the open; rounded, and no more than a first guess. */
const YEARS_A_CENTIMETRE: Readonly<Record<string, number>> = {
  Populus: 0.8,
  Salix: 0.8,
  Ulmus: 1.6,
  Betula: 1.6,
  Acer: 1.8,
  Prunus: 2,
  Pinus: 2,
  Picea: 2,
  Pseudotsuga: 2,
  Abies: 2.8,
};
const USUAL_FACTOR = 2;

/** The growth factor that is offered for a genus, years a centimetre of diameter: `growthFactor('Populus')` is 0.8. */
export const growthFactor = (genus: string): number => YEARS_A_CENTIMETRE[genus] ?? USUAL_FACTOR;

/**
 * Age from the diameter by a growth factor: a guess, and labelled so. Shade, drought and soil make it from half to twice as long in 95
 * of 100 trees.
 *
 * @param diameter at breast height, metres
 * @param factor years for each centimetre of diameter
 * @example
 * const { years, from, to } = ageByGrowth({ value: 0.5, sd: 0.002 }, 2); // 100 years, 50 to 200
 */
export function ageByGrowth(diameter: Uncertain, factor: number): Age {
  within('A diameter', [diameter.value], 0.01, 12, 'm');
  within('A growth factor', [factor], 0.1, 20, 'years a centimetre');
  const years = 100 * diameter.value * factor;
  return {
    years: Math.round(years),
    from: Math.round(years / 2),
    to: Math.round(2 * years),
    working: [
      `${round(100 * diameter.value, 1)} cm × ${factor} years a centimetre.`,
      'A guess: in shade or on dry ground a tree can be twice as old, in the open on good ground half.',
    ],
  };
}

/** “about 100 years, between 50 and 200”. */
export const ageInWords = ({ years, from, to }: Age): string =>
  `about ${years} years, between ${from} and ${to}`;

const spread = ({ value, sd }: Uncertain, working: string[]): Age => ({
  years: Math.round(value),
  from: Math.max(1, Math.round(value - HALF_95 * sd)),
  to: Math.round(value + HALF_95 * sd),
  working,
});
