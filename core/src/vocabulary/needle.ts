import { count, flag, measure, oneOf, table, when } from './character.ts';
import { ODOURS } from './shared.ts';

const NEEDLED = when('foliage.kind', 'single', 'bundled', 'tufts', 'awls');
const SINGLE = when('foliage.kind', 'single');
const BUNDLED = when('foliage.kind', 'bundled');
const SCALES = when('foliage.kind', 'scales');
const leaves = { part: 'leaves' } as const;

export const NEEDLE = [
  count('needle.perBundle', 'needles per bundle', {
    ...leaves,
    requires: [BUNDLED],
    level: 'beginner',
    reading: 'plain',
  }),
  count('needle.perSpur', 'needles per spur', { ...leaves, requires: [when('foliage.kind', 'tufts')] }),
  oneOf(
    'needle.sheath',
    'bundle sheath',
    table(`
      none | none | none | No sheath at the base of the needles.
      kept | kept | papery wrap stays | The papery sheath stays on the bundle.
      shed | shed | papery wrap falls off | The papery sheath falls in the first year.
    `),
    { ...leaves, requires: [BUNDLED], plain: 'wrap at the base of the bundle' },
  ),
  measure('needle.length', 'needle length', 'cm', { ...leaves, requires: [NEEDLED], level: 'beginner' }),
  measure('needle.width', 'needle width', 'mm', { ...leaves, requires: [NEEDLED], level: 'advanced' }),
  flag('needle.stalk', 'needle stalk', {
    ...leaves,
    requires: [SINGLE],
    plain: 'needle on a tiny stalk',
    distance: 'lens',
  }),
  oneOf(
    'needle.section',
    'needle section',
    table(`
      flat | flat | flat, will not roll | Flat in section; does not roll between the fingers.
      fourAngled | four-angled | square, rolls easily | Four-sided; rolls between the fingers.
      triangular | triangular | three-sided | Three-sided.
      halfRound | half-round | half a circle | Rounded on one side, flat on the other.
    `),
    { ...leaves, requires: [NEEDLED], sense: 'touch', plain: 'feel of the needle', level: 'beginner' },
  ),
  oneOf(
    'needle.tip',
    'needle tip',
    table(`
      pricking | pricking | sharp | Sharp enough to prick.
      soft | pointed, soft | pointed but soft | Pointed but not pricking.
      blunt | blunt | blunt | Rounded at the tip.
      notched | notched | tiny notch | With a small notch at the tip.
    `),
    { ...leaves, requires: [NEEDLED], sense: 'touch', level: 'beginner' },
  ),
  oneOf(
    'needle.scar',
    'base and scar',
    table(`
      flush | round, flush | smooth round spot | A round scar level with the twig.
      raisedOval | raised oval | small raised oval | An oval scar slightly raised.
      smallPeg | small peg | short peg | A short peg below a narrow needle stalk.
      woodyPeg | woody square peg | rough square peg | A woody, four-sided peg that stays when the needle falls.
      runningBase | running base | runs down the twig | The base of the needle runs down along the twig.
      jointed | jointed | in threes with a joint | Needles meet the twig at a joint.
    `),
    {
      ...leaves,
      requires: [when('foliage.kind', 'single', 'awls')],
      plain: 'mark where a needle was',
      distance: 'lens',
      novice: 0.15,
    },
  ),
  oneOf(
    'needle.lie',
    'lie on the twig',
    table(`
      twoRanked | flat, two-ranked | flat like a comb | Needles spread to two sides in one plane.
      parted | parted below | parted underneath | Needles above and to the sides, parted on the under side.
      sweptUp | swept up | all brushed upward | Needles of the lower side curve up, so the twig shows from below.
      forward | forward | point to the tip | Needles point along the twig to its tip.
      allRound | all round | all around like a bottle brush | Needles point to all sides.
      threes | whorls of three | in threes | Needles in rings of three.
    `),
    {
      ...leaves,
      requires: [when('foliage.kind', 'single', 'awls')],
      plain: 'how the needles sit',
      novice: 0.15,
    },
  ),
  oneOf(
    'needle.bands',
    'white bands',
    table(`
      none | none | none | No white bands.
      lower | lower face | underneath only | White bands on the lower face only.
      upper | upper face | on top only | White bands on the upper face only.
      both | both faces | top and underneath | White bands on both faces.
      inner | inner faces | on the inside of the bundle | White lines on the inner faces of bundled needles.
      all | all faces | on every side | White lines on all faces.
    `),
    { ...leaves, requires: [NEEDLED], plain: 'white stripes', novice: 0.15 },
  ),
  oneOf(
    'needle.color',
    'needle color',
    table(`
      green | green | green | Plain green.
      yellowGreen | yellow-green | yellowish green | Green with a yellow tone.
      blueGreen | blue-green | bluish green | Green with a blue or silvery tone.
    `),
    { ...leaves, requires: [NEEDLED], distance: 'arm', level: 'beginner', reading: 'subjective' },
  ),
  oneOf('needle.odor', 'odor when crushed', ODOURS, {
    ...leaves,
    requires: [when('foliage.kind', 'single', 'bundled', 'tufts', 'awls', 'scales')],
    sense: 'smell',
    plain: 'smell of the crushed needles',
    reading: 'subjective',
  }),
  oneOf(
    'needle.scaleSpray',
    'scale spray',
    table(`
      flatDrooping | flat, drooping | flat and hanging | Branchlets in flat hanging sprays.
      flatStiff | flat, stiff | flat and stiff | Branchlets in flat stiff sprays.
      rounded | rounded | round, bushy | Branchlets round in section, in bushy sprays.
    `),
    { ...leaves, requires: [SCALES], reading: 'plain' },
  ),
];
