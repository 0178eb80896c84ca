import { anyOf, apart, count, flag, measure, oneOf, ordinal, table, when } from './character.ts';
import { HAIR, ODOURS, colors } from './shared.ts';

const BROAD = when('foliage.kind', 'broad');
const COMPOUND = when('leaf.composition', 'trifoliate', 'odd', 'even', 'twicePinnate', 'palmate');
const LOBED = when('leaf.lobing', 'pinnate', 'palmate');
const TOOTHED = when('leaf.teeth', 'single', 'double');
const blade = { part: 'leaves', requires: [BROAD] } as const;

export const FOLIAGE = [
  oneOf(
    'foliage.kind',
    'foliage',
    apart(
      table(`
      broad | broad blade | flat leaves | A flat blade with a midrib or several main veins.
      single | single needles | needles one by one | Needles that stand one by one.
      bundled | bundled needles | needles in bunches | Needles in bundles with a sheath at the base.
      tufts | needles in tufts on spurs | needles in brushes | Many needles in a tuft on each short spur.
      scales | scales | tiny scales | Small leaves pressed to the twig, overlapping.
      awls | awls | short prickly points | Short, stiff, sharp leaves, broadest at the base.
    `),
      'broad',
    ),
    {
      part: 'leaves',
      plain: 'kind of leaf',
      distance: 'arm',
      level: 'beginner',
      reading: 'plain',
      novice: 0.02,
    },
  ),
  flag('foliage.present', 'leaves on the twig', {
    distance: 'afar',
    level: 'beginner',
    reading: 'plain',
    derived: true,
    group: 'leaves in winter',
  }),
];

export const LEAF = [
  oneOf(
    'leaf.composition',
    'leaf composition',
    table(`
      simple | simple | one blade | One blade on each leaf stalk.
      trifoliate | three leaflets | three leaflets | Three leaflets on each leaf stalk.
      odd | once pinnate, odd | feather with an end leaflet | Leaflets along a stalk, with one at the end.
      even | once pinnate, even | feather without an end leaflet | Leaflets along a stalk, with none at the end.
      twicePinnate | twice pinnate | feather of feathers | Leaflets along side stalks of the leaf stalk.
      palmate | palmately compound | fingers of a hand | Leaflets all from one point.
    `),
    { ...blade, plain: 'one blade or leaflets', distance: 'arm', level: 'beginner', reading: 'plain' },
  ),
  count('leaf.leaflets', 'leaflets', { ...blade, requires: [BROAD, COMPOUND], level: 'beginner' }),
  flag('leaf.leafletStalk', 'leaflets stalked', { ...blade, requires: [BROAD, COMPOUND] }),
  oneOf(
    'leaf.shape',
    'leaf shape',
    table(`
      linear | linear | a strap | Many times longer than wide, sides parallel.
      lanceolate | lanceolate | a lance head | Several times longer than wide, widest below the middle.
      oblanceolate | oblanceolate | a lance head upside down | Several times longer than wide, widest above the middle.
      oblong | oblong | longer than wide, sides parallel | Two or three times longer than wide, sides nearly parallel.
      elliptic | elliptic | an ellipse | Widest in the middle, tapering evenly.
      ovate | ovate | an egg, wide end at the stalk | Egg-shaped, widest below the middle.
      obovate | obovate | an egg, wide end at the tip | Egg-shaped, widest above the middle.
      deltoid | deltoid | a triangle | Triangular, with a broad base.
      rhombic | rhombic | a diamond | Diamond-shaped, widest at the middle with straight sides.
      orbicular | orbicular | a circle | About as wide as long, rounded.
      heart | cordate | a heart | Heart-shaped, notched at the stalk.
      fan | fan-shaped | a fan | Widest at the tip, wedge-shaped below.
    `),
    { ...blade, plain: 'shape of the leaf', level: 'beginner', reading: 'subjective' },
  ),
  measure('leaf.length', 'blade length', 'cm', { ...blade, plain: 'leaf length', group: 'leaf size' }),
  measure('leaf.width', 'blade width', 'cm', { ...blade, plain: 'leaf width', group: 'leaf size' }),
  oneOf(
    'leaf.lobing',
    'lobing',
    table(`
      none | unlobed | no lobes | Without lobes.
      pinnate | pinnately lobed | lobes along both sides | Lobes along a midrib.
      palmate | palmately lobed | lobes like fingers | Lobes spread from one point.
    `),
    { ...blade, plain: 'lobes', distance: 'arm', level: 'beginner', reading: 'plain' },
  ),
  flag('leaf.mixedLobing', 'lobed with unlobed on one shoot', {
    ...blade,
    plain: 'mittens and plain leaves together',
    requires: [BROAD, LOBED],
  }),
  count('leaf.lobes', 'lobes', {
    ...blade,
    plain: 'number of lobes',
    requires: [BROAD, LOBED],
    level: 'beginner',
  }),
  ordinal(
    'leaf.sinusDepth',
    'sinus depth',
    table(`
      shallow | under ⅓ | shallow | Cut less than a third of the way to the middle.
      middle | ⅓–⅔ | about half | Cut a third to two thirds of the way to the middle.
      deep | over ⅔ | deep | Cut more than two thirds of the way to the middle.
    `),
    { ...blade, plain: 'how deep the cuts go', requires: [BROAD, LOBED], reading: 'subjective' },
  ),
  oneOf(
    'leaf.sinusBottom',
    'sinus bottom',
    table(`
      round | rounded | round like a U | The cut ends in a curve.
      sharp | sharp | sharp like a V | The cut ends in an angle.
    `),
    { ...blade, requires: [BROAD, LOBED] },
  ),
  oneOf(
    'leaf.lobeTips',
    'lobe tips',
    table(`
      rounded | rounded | round | Lobes end in a curve.
      pointed | pointed | pointed | Lobes end in a point.
      bristle | bristle-tipped | tiny hair at the point of each lobe | A vein runs beyond each lobe as a bristle.
    `),
    { ...blade, requires: [BROAD, LOBED], level: 'beginner' },
  ),
  oneOf(
    'leaf.teeth',
    'teeth',
    table(`
      none | entire | smooth edge | Edge without teeth.
      single | singly toothed | one size of teeth | Teeth all of about one size.
      double | doubly toothed | big teeth with small teeth on them | Large teeth that bear smaller ones.
    `),
    { ...blade, plain: 'edge teeth', level: 'beginner', novice: 0.12 },
  ),
  measure('leaf.teethPerCm', 'teeth per cm', '1/cm', {
    ...blade,
    requires: [BROAD, TOOTHED],
    level: 'advanced',
  }),
  oneOf(
    'leaf.toothTip',
    'tooth tip',
    table(`
      forward | pointing forward | lean to the tip | Teeth lean towards the leaf tip, like a saw.
      spreading | spreading | point outward | Teeth point straight out.
      rounded | rounded | round like scallops | Teeth are rounded.
      gland | gland-tipped | tiny bead on each tooth | Each tooth ends in a gland.
      bristle | bristle-tipped | tiny hair on each tooth | Each tooth ends in a bristle.
      spine | spine-tipped | prickly | Each tooth ends in a stiff spine.
    `),
    { ...blade, distance: 'lens', requires: [BROAD, TOOTHED], reading: 'subjective' },
  ),
  oneOf(
    'leaf.teethReach',
    'reach of the teeth',
    table(`
      allRound | all round | all around | Teeth from near the base to the tip.
      upperHalf | upper half | top half only | Teeth above the middle only.
      tipOnly | tip only | only near the tip | A few teeth near the tip.
    `),
    { ...blade, requires: [BROAD, TOOTHED], level: 'beginner' },
  ),
  anyOf(
    'leaf.edge',
    'edge',
    table(`
      flat | flat | flat | Edge in one plane.
      wavy | wavy | wavy up and down | Edge rises and falls.
      rolled | rolled under | curled under | Edge turned to the lower side.
    `),
    { ...blade, reading: 'subjective' },
  ),
  oneOf(
    'leaf.apex',
    'apex',
    table(`
      acute | acute | pointed | Sides meet at a sharp angle.
      acuminate | long-drawn | drawn out to a long tip | Sides curve inward to a long tip.
      blunt | blunt | blunt | Sides meet at a wide angle.
      rounded | rounded | rounded | Ends in a curve.
      notched | notched | with a notch | With a shallow notch.
    `),
    { ...blade, plain: 'leaf tip', reading: 'subjective' },
  ),
  oneOf(
    'leaf.base',
    'base',
    table(`
      wedge | wedge | narrow like a wedge | Sides run straight to the stalk.
      rounded | rounded | rounded | Ends in a curve.
      heart | heart-shaped | notched like a heart | Two rounded lobes with a notch between.
      straight | cut straight | cut off straight | Ends in a straight line across.
      uneven | uneven | lopsided | The two sides meet the stalk at different points.
    `),
    { ...blade, plain: 'leaf base', reading: 'subjective' },
  ),
  oneOf(
    'leaf.veins',
    'veins',
    table(`
      looping | pinnate, looping | loop before the edge | Side veins join in loops short of the edge.
      straight | pinnate, straight to the teeth | run straight to the teeth | Side veins end in the teeth.
      arching | arching to the tip | curve along to the tip | Side veins curve with the edge towards the tip.
      threeFromBase | three from the base | three from the stalk | Three main veins start at the base.
      palmate | palmate | spread like fingers | Five or more main veins start at the base.
      forking | forking | fork again and again | Veins divide in two, again and again.
    `),
    { ...blade, plain: 'pattern of the veins' },
  ),
  count('leaf.veinPairs', 'vein pairs', { ...blade, plain: 'pairs of side veins', level: 'advanced' }),
  flag('leaf.veinsSunken', 'veins sunken', { ...blade, plain: 'veins pressed in above' }),
  oneOf(
    'leaf.upperFace',
    'upper face',
    table(`
      glossy | glossy | shiny | Reflects the light.
      dull | dull | dull | Does not shine.
      rough | rough | like sandpaper | Rough to the finger.
      hairy | hairy | hairy | With hairs on the upper face.
    `),
    { ...blade, sense: 'touch', reading: 'subjective' },
  ),
  oneOf(
    'leaf.lowerColor',
    'lower color',
    table(`
      green | green | green | About as green as above, or a little paler.
      pale | pale | light green | Clearly paler than above.
      waxyWhite | white-waxy | whitish, rubs off | Whitened by wax that rubs off.
      white | white | white | White from hairs.
      silvery | silvery scaly | silver | Covered with silvery scales.
      rusty | rusty | rusty brown | With rust-colored stains, hairs or scales.
    `),
    { ...blade, plain: 'color of the under side', level: 'beginner' },
  ),
  ordinal('leaf.lowerHair', 'lower hair', HAIR, {
    ...blade,
    plain: 'hairs on the under side',
    distance: 'lens',
  }),
  anyOf(
    'leaf.hairPlace',
    'place of the hairs',
    table(`
      veins | on the veins | along the veins | Hairs along the veins.
      angles | in the vein angles | tufts where veins meet | Tufts of hair where veins meet.
      allOver | all over | everywhere | Hairs on the whole lower face.
    `),
    {
      ...blade,
      distance: 'lens',
      level: 'advanced',
      requires: [BROAD, when('leaf.lowerHair', 'sparse', 'dense', 'woolly')],
    },
  ),
  oneOf(
    'leaf.texture',
    'texture',
    table(`
      thin | thin | thin | Papery.
      firm | firm | firm | Firm but bending.
      leathery | coriaceous | leathery | Thick and stiff.
    `),
    { ...blade, sense: 'touch', reading: 'subjective' },
  ),
  measure('leaf.petioleLength', 'petiole length', 'cm', { ...blade, plain: 'leaf stalk length' }),
  oneOf(
    'leaf.petioleSection',
    'petiole section',
    table(`
      round | round | round | Round in section.
      flattened | flattened sideways | flat, so the leaf flutters | Flattened at right angles to the blade.
      grooved | grooved | with a groove | With a channel along the upper side.
      winged | winged | with wings | With narrow wings of blade.
    `),
    { ...blade, plain: 'leaf stalk', sense: 'touch', level: 'beginner', novice: 0.15 },
  ),
  oneOf(
    'leaf.glands',
    'glands',
    table(`
      none | none | none | No glands seen.
      petiole | on the petiole | bumps on the leaf stalk | One or more glands on the leaf stalk.
      bladeBase | at the blade base | bumps at the base of the leaf | Glands where blade and stalk meet.
    `),
    { ...blade, distance: 'lens' },
  ),
  oneOf(
    'leaf.stipules',
    'stipules',
    table(`
      none | none seen | none | No stipules seen.
      falling | falling early | drop early | Stipules that drop as the leaf opens.
      leafy | leafy | like tiny leaves at the stalk | Leaf-like stipules that stay.
      spines | spines | spines | Stipules that are spines.
    `),
    { ...blade, level: 'advanced' },
  ),
  oneOf(
    'leaf.sap',
    'sap',
    table(`
      clear | clear | clear | Clear or none.
      milky | milky | milky | White.
      threads | stretching threads | stretchy threads | A torn leaf hangs together by fine threads.
    `),
    { ...blade, distance: 'cut' },
  ),
  oneOf('leaf.odor', 'odor when crushed', ODOURS, {
    ...blade,
    sense: 'smell',
    plain: 'smell of the crushed leaf',
    reading: 'subjective',
  }),
  anyOf('leaf.autumnColor', 'autumn color', colors('yellow', 'orange', 'red', 'purple', 'brown', 'green'), {
    part: 'autumnLeaves',
    distance: 'afar',
    level: 'beginner',
    reading: 'subjective',
  }),
];
