import { anyOf, oneOf, ordinal, table } from './character.ts';
import { ODOURS, colors } from './shared.ts';

export const BARK = [
  anyOf(
    'bark.surface',
    'bark surface',
    table(`
      smooth | smooth | smooth | Even, without cracks or scales.
      resinBlistered | resin-blistered | blisters of pitch | Raised blisters that hold liquid resin.
      banded | banded with lenticels | marked with short lines across | Long horizontal pores (lenticels) run across.
      papery | papery, peeling | peels like paper | Outer bark curls off in thin sheets.
      jigsaw | jigsaw plates | like puzzle pieces | Thick plates that flake into pieces like a jigsaw puzzle.
      exfoliating | exfoliating patches | falls off in patches | Patches drop and leave a mottled surface.
      shallowFissures | shallowly fissured | shallow cracks | Cracks run up the trunk, under 1 cm deep.
      deepFurrows | deeply furrowed | deep grooves | Grooves over 1 cm deep between firm ridges.
      squareBlocks | square blocks | little square blocks | Broken both ways into blocks.
      thinScales | thin scales | thin flakes | Small thin scales that rub off.
      fibrousStrips | fibrous strips | stringy strips | Long strips of fiber that pull off.
      wartyRidges | warty ridges | corky warts and ridges | Corky outgrowths stand on a plain surface.
      fluted | fluted | muscle-like folds | The trunk itself is folded lengthwise.
    `),
    { distance: 'arm', level: 'beginner' },
  ),
  ordinal(
    'bark.furrowDepth',
    'furrow depth',
    table(`
      none | none | no grooves | No furrows.
      under1 | under 1 cm | shallow | Furrows less than 1 cm deep.
      to3 | 1–3 cm | a finger deep | Furrows 1 to 3 cm deep.
      over3 | over 3 cm | very deep | Furrows more than 3 cm deep.
    `),
    { distance: 'arm', reading: 'subjective', group: 'bark relief' },
  ),
  oneOf(
    'bark.ridges',
    'ridge pattern',
    table(`
      none | none | none | No ridges.
      parallel | parallel | side by side | Ridges run up the trunk without joining.
      diamonds | interlacing diamonds | like a net of diamonds | Ridges join and part, enclosing diamond shapes.
      zigzag | zigzag | zigzag | Ridges turn sharply from side to side.
      plates | plates | broad plates | Ridges are broad flat plates.
    `),
    { distance: 'arm', reading: 'subjective', group: 'bark relief' },
  ),
  anyOf(
    'bark.color',
    'bark color',
    colors(
      'white',
      'paleGrey',
      'grey',
      'greyBrown',
      'brown',
      'redBrown',
      'cinnamon',
      'yellowish',
      'greenish',
      'nearBlack',
    ),
    { distance: 'afar', level: 'beginner', reading: 'subjective' },
  ),
  oneOf(
    'bark.innerColor',
    'inner bark color',
    colors('white', 'cream', 'yellow', 'orange', 'red', 'purple', 'brown', 'green', 'pink'),
    { distance: 'cut', level: 'advanced' },
  ),
  oneOf('bark.odor', 'bark odor', ODOURS, {
    distance: 'arm',
    sense: 'smell',
    plain: 'smell of the bark',
    reading: 'subjective',
  }),
];
