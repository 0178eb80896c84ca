import type { StationKind } from '../assembly/index.ts';
import type { Taxon } from '../taxon/index.ts';

/** How a gathered piece is kept, and for how many days it can be shown. */
export interface Keeping {
  bag: string;
  keep: string;
  /** Whole days after the cut; a usual figure, to be looked at on the day. */
  days: number;
  /** Taken beside the one that is shown. */
  spares: number;
}

/** Leafy cuttings that lose their leaves or wilt sooner or later than others of their kind, by genus: whole days. */
const LEAFY_DAYS: Readonly<Record<string, number>> = {
  Tsuga: 2,
  Picea: 2,
  Larix: 3,
  Taxus: 10,
  Juniperus: 10,
  Thuja: 10,
  Pinus: 10,
  Abies: 7,
  Pseudotsuga: 5,
  Sambucus: 1,
  Populus: 2,
  Salix: 2,
  Betula: 2,
  Rhus: 2,
  Frangula: 2,
};
/** Conifers that drop their needles as they dry. */
const SHEDDING = new Set(['Tsuga', 'Picea', 'Larix']);
const CONIFERS = new Set(['Pinaceae', 'Cupressaceae', 'Taxaceae']);
/** Fruit and cones that keep dry: cones, capsules, samaras, acorns. */
const DRY_FRUIT = new Set([
  'Pinus',
  'Picea',
  'Pseudotsuga',
  'Larix',
  'Tsuga',
  'Thuja',
  'Alnus',
  'Populus',
  'Salix',
  'Fraxinus',
  'Quercus',
]);
/** Cones that fall to pieces as they ripen. */
const SHATTERING = new Set(['Abies', 'Betula']);

const LEAFY = 3;
const BARE = 14;
const FLESHY = 4;
const DRY = 30;
const SHATTERED = 3;

/**
 * How a piece of a taxon is carried and kept. Days are usual ones, rounded down; what has wilted is replaced.
 *
 * @example
 * keepingOf(hemlock, kindOf('cutting')!); // { bag: 'Plastic bag, closed.', keep: 'Cold and moist; …', days: 2, spares: 2 }
 */
export function keepingOf(taxon: Pick<Taxon, 'genus' | 'family' | 'cautions'>, kind: StationKind): Keeping {
  const thorny = taxon.cautions.some((caution) => caution.kind === 'thorns');
  const sheds = SHEDDING.has(taxon.genus);
  const fruitOnly = kind.organs.length === 1 && kind.organs[0] === 'fruit';
  if (kind.medium === 'barkPiece') return { bag: 'Paper bag.', keep: 'Dry and airy.', days: 60, spares: 0 };
  if (kind.medium === 'pressed')
    return {
      bag: 'Flat between newspaper.',
      keep: 'In the press, paper changed daily until dry.',
      days: 365,
      spares: 0,
    };
  if (fruitOnly) return fruitKeeping(taxon.genus, taxon.family);
  const leafy = kind.leaves !== 'off';
  const days = !leafy ? BARE : (LEAFY_DAYS[taxon.genus] ?? LEAFY);
  const carried = kind.organs.includes('fruit')
    ? Math.min(days, fruitKeeping(taxon.genus, taxon.family).days)
    : days;
  return {
    bag: thorny ? 'Stiff box or double bag, thorns inward, label outside.' : 'Plastic bag, closed.',
    keep: !leafy
      ? 'Cold, wrapped in moist paper.'
      : sheds
        ? 'Cold and moist, not shaken: its needles drop as it dries.'
        : CONIFERS.has(taxon.family)
          ? 'Cold, a moist paper around the cut.'
          : 'Cold, moist paper around it; foot in water as soon as you are in.',
    days: carried,
    spares: sheds || days <= 2 ? 2 : 1,
  };
}

function fruitKeeping(genus: string, family: string): Keeping {
  if (SHATTERING.has(genus))
    return {
      bag: 'Small box, upright.',
      keep: 'Cold: it falls to pieces as it dries.',
      days: SHATTERED,
      spares: 2,
    };
  if (DRY_FRUIT.has(genus) || ['Sapindaceae', 'Betulaceae', 'Ulmaceae'].includes(family))
    return {
      bag: 'Paper bag.',
      keep:
        CONIFERS.has(family) || genus === 'Alnus'
          ? 'Dry; closed cones open in a warm room.'
          : 'Dry and airy.',
      days: DRY,
      spares: 1,
    };
  return { bag: 'Rigid box on moist paper.', keep: 'Cold; not one upon another.', days: FLESHY, spares: 2 };
}

/** What is cut for a kind of station, and how much of it. */
export function amountOf(kind: StationKind): string {
  const fruit = kind.organs.includes('fruit');
  if (kind.medium === 'barkPiece') return 'A piece as large as a hand, from the ground or from felled wood.';
  if (fruit && kind.organs.length === 1) return 'Two, with their stalks.';
  if (kind.organs.length === 1)
    return 'Three whole leaves, each with its stalk and the bud at its foot; of a conifer a shoot as long as a finger.';
  return fruit
    ? 'A tip of about 30 cm with two nodes or more and its fruit; the attachment shows, no bark is stripped.'
    : 'A tip of about 30 cm with two nodes or more; the attachment shows, no bark is stripped.';
}
