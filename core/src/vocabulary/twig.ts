import { anyOf, flag, measure, oneOf, ordinal, table, when } from './character.ts';
import { HAIR, ODOURS, colors } from './shared.ts';

const BLADED = when('foliage.kind', 'broad');

export const TWIG = [
  oneOf(
    'twig.arrangement',
    'arrangement',
    table(`
      alternate | alternate | one at a time, by turns | One leaf or bud at each node.
      subopposite | sub-opposite | almost in pairs | Two leaves or buds nearly but not quite at one level.
      opposite | opposite | in pairs across | Two leaves or buds at each node, across from each other.
      whorled | whorled | three or more in a ring | Three or more leaves or buds at each node.
    `),
    { plain: 'leaves and buds on the twig', level: 'beginner', reading: 'plain' },
  ),
  oneOf(
    'twig.ranks',
    'ranks',
    table(`
      two | two-ranked | in two rows | Leaves or buds stand in two rows, in one plane.
      three | three-ranked | in three rows | Leaves or buds stand in three rows.
      four | four-ranked | in four rows | Pairs cross each other at right angles.
      spiral | spiral | all the way round | Leaves or buds stand all around the twig.
    `),
    { level: 'advanced' },
  ),
  anyOf(
    'twig.color',
    'twig color',
    colors(
      'grey',
      'greyBrown',
      'brown',
      'redBrown',
      'red',
      'orange',
      'yellowish',
      'yellow',
      'greenish',
      'green',
      'purple',
      'nearBlack',
    ),
    { reading: 'subjective', level: 'beginner' },
  ),
  ordinal('twig.hair', 'twig hair', HAIR, { distance: 'lens' }),
  anyOf(
    'twig.coating',
    'twig coating',
    table(`
      bloom | waxy bloom | whitish powder that rubs off | A pale waxy film that rubs off.
      resinDots | resin dots | wart-like dots of resin | Small raised glands of dried resin.
      sticky | sticky | sticky | Tacky to the touch.
    `),
    { distance: 'hand' },
  ),
  measure('twig.thickness', 'twig thickness', 'mm'),
  flag('twig.zigzag', 'zigzag twig', { plain: 'twig bends at each bud' }),
  oneOf(
    'twig.armature',
    'armature',
    table(`
      none | unarmed | no thorns | Without thorns, spines or prickles.
      prickles | prickles | prickles like a rose | Sharp outgrowths of the skin, scattered.
      singleThorns | single thorns | one thorn at a spot | Sharp modified twigs, one at a node.
      branchedThorns | branched thorns | thorns with side thorns | Thorns that branch.
      pairedSpines | paired stipular spines | thorns in twos | Two spines, one on each side of a leaf scar.
      spineTipped | spine-tipped | twig ends in a point | The twig itself ends in a sharp point.
    `),
    { plain: 'thorns', level: 'beginner', reading: 'plain' },
  ),
  measure('twig.thornLength', 'thorn length', 'mm', {
    requires: [when('twig.armature', 'prickles', 'singleThorns', 'branchedThorns', 'pairedSpines')],
  }),
  flag('twig.spurs', 'spur shoots', { plain: 'short stubby side twigs', level: 'beginner' }),
  flag('twig.wings', 'corky wings', { plain: 'corky ridges along the twig' }),
  ordinal(
    'twig.lenticels',
    'lenticels',
    table(`
      faint | faint | hard to see | Pores hard to see.
      plain | plain | easy to see | Pores seen without a lens.
      warty | warty | raised like warts | Pores raised and felt with a finger.
    `),
    { plain: 'pores on the twig', reading: 'subjective' },
  ),
  oneOf(
    'twig.pith',
    'pith',
    table(`
      continuous | continuous | solid | Solid throughout.
      chambered | chambered | ladder of hollow rooms | Cross-walls with empty spaces between.
      diaphragmed | diaphragmed | solid with cross-walls | Solid, crossed by firmer plates.
      hollow | hollow | empty | An open tube.
    `),
    { distance: 'cut', plain: 'core of the twig' },
  ),
  ordinal(
    'twig.pithSize',
    'pith size',
    table(`
      thin | thin | thinner than the wood around it | Less than a quarter of the twig's thickness.
      middle | middle | about as thick as the wood | A quarter to a half of the twig's thickness.
      wide | wide | most of the twig | More than half of the twig's thickness.
    `),
    { distance: 'cut', plain: 'thickness of the core' },
  ),
  oneOf(
    'twig.pithSection',
    'pith section',
    table(`
      round | round | round | Round in cross-section.
      star | star-shaped | star-shaped | Five-pointed in cross-section.
      triangular | triangular | three-cornered | Three-cornered in cross-section.
    `),
    { distance: 'cut', level: 'advanced', requires: [BLADED] },
  ),
  oneOf(
    'twig.leafScar',
    'leaf scar',
    table(`
      line | line | a thin line | A narrow line.
      crescent | crescent | a new moon | Narrow and curved upward at the ends.
      shield | shield | a shield | As wide as tall, pointed below.
      halfRound | half-round | half a circle | Flat above, rounded below.
      uShape | U around the bud | wraps round the bud | Nearly encircles the bud.
      threeLobed | three-lobed | three bumps | With three rounded lobes.
      round | round | a circle | Circular.
    `),
    { distance: 'lens', level: 'advanced', requires: [BLADED] },
  ),
  flag('twig.scarNotched', 'leaf scar notched', { distance: 'lens', level: 'advanced', requires: [BLADED] }),
  oneOf(
    'twig.bundleScars',
    'bundle scars',
    table(`
      one | one | one dot | One bundle scar.
      three | three | three dots | Three bundle scars.
      fiveToNine | five to nine | five to nine dots | Five to nine bundle scars.
      threeGroups | three groups | three clumps of dots | Bundle scars in three groups.
      curve | many in a curve | a curved row of dots | Many bundle scars in a curved line.
      scattered | scattered | dots all over | Many bundle scars without order.
    `),
    { distance: 'lens', level: 'advanced', requires: [BLADED] },
  ),
  oneOf(
    'twig.stipuleScars',
    'stipule scars',
    table(`
      none | none | none | No stipule scars.
      slits | slits | tiny slits beside the scar | A short slit on each side of the leaf scar.
      ring | ring | a ring round the twig | A line that encircles the twig.
    `),
    { distance: 'lens', level: 'advanced', requires: [BLADED] },
  ),
  oneOf(
    'twig.winterCatkins',
    'winter catkins',
    table(`
      none | none | none | No catkins stand on the winter twig.
      pollen | pollen catkins alone | only the long ones | Next spring's pollen catkins stand on the twig; the seed catkins are still in buds.
      both | pollen and seed catkins | long and tiny ones | Both kinds stand on the twig all winter.
    `),
    {
      part: 'winter',
      distance: 'arm',
      level: 'beginner',
      reading: 'plain',
      plain: 'catkins on the winter twig',
      requires: [BLADED],
    },
  ),
  oneOf(
    'twig.catkinLie',
    'lie of winter catkins',
    table(`
      stiff | stiff | held stiffly off the twig | Held off the twig, not moved by its tilt.
      drooping | drooping | hanging | Hanging from the twig.
    `),
    {
      part: 'winter',
      distance: 'arm',
      plain: 'how the winter catkins stand',
      requires: [when('twig.winterCatkins', 'pollen', 'both')],
    },
  ),
  flag('twig.needleScars', 'needle scars on the twig', {
    plain: 'crowded little marks where needles were',
    level: 'beginner',
    reading: 'plain',
    derived: true,
    group: 'kind of foliage',
  }),
  oneOf('twig.odor', 'odor when scratched', ODOURS, {
    sense: 'smell',
    plain: 'smell of the scratched twig',
    reading: 'subjective',
  }),
];
