import { anyOf, count, measure, oneOf, ordinal, table } from './character.ts';

const far = { distance: 'afar' } as const;
const known = { distance: 'afar', level: 'advanced', reading: 'subjective' } as const;

const TOLERANCE = table(`
  low | low | low | Dies or declines soon under it.
  medium | medium | medium | Bears it for a time.
  high | high | high | Bears it well.
`);

export const SITE = [
  anyOf(
    'site.habitat',
    'habitat',
    table(`
      streamside | streamside | by streams | Banks of streams and rivers.
      floodplain | floodplain | flood land | Ground flooded in high water.
      swamp | swamp | swamp | Wet ground with standing water.
      moistForest | moist forest | moist woods | Forest with moist soil through summer.
      dryForest | dry forest | dry woods | Forest that dries out in summer.
      rockySlope | rocky slope | rocky slopes | Talus, ledges and stony slopes.
      subalpine | subalpine | near timberline | Forest and parkland near timberline.
      grassland | grassland edge | edge of grassland | Where forest meets grassland.
      roadside | roadside | roadsides | Roadsides and disturbed ground.
      coast | coast | coast | Near the sea.
      street | street | streets and yards | Planted along streets and in yards.
    `),
    { ...far, level: 'beginner', reading: 'subjective' },
  ),
  ordinal(
    'site.moisture',
    'soil moisture',
    table(`
      dry | dry | dry | Dry for much of the summer.
      fresh | fresh | neither dry nor wet | Neither dry nor wet.
      moist | moist | moist | Moist through the summer.
      wet | wet | wet | Wet for much of the year.
    `),
    known,
  ),
  ordinal(
    'site.drainage',
    'drainage',
    table(`
      poor | poor | poor | Water stands after rain.
      imperfect | imperfect | slow | Water leaves slowly.
      good | good | good | Water leaves readily.
      excessive | excessive | very fast | Water runs through at once.
    `),
    known,
  ),
  measure('site.soilPh', 'soil pH', 'pH', { ...known, distance: 'cut' }),
  ordinal(
    'site.shadeTolerance',
    'shade tolerance',
    table(`
      one | 1, very intolerant | needs full sun | Grows only in full sun.
      two | 2, intolerant | needs much sun | Needs most of the day in sun.
      three | 3, intermediate | some shade | Grows in part shade.
      four | 4, tolerant | shade | Grows in shade.
      five | 5, very tolerant | deep shade | Grows in deep shade.
    `),
    known,
  ),
  oneOf(
    'site.canopyPlace',
    'place in the canopy',
    table(`
      understory | understory | below other trees | Grows below the canopy.
      mid | mid-canopy | between | Grows to the middle of the canopy.
      canopy | canopy | in the roof | Grows into the canopy.
      emergent | emergent | above the roof | Stands above the canopy.
    `),
    known,
  ),
  measure('site.elevation', 'elevation', 'm', { ...far, reading: 'subjective' }),
  count('site.hardinessZone', 'hardiness zone', { ...known, distance: 'cut' }),
  ordinal('site.floodTolerance', 'flood tolerance', TOLERANCE, { ...known, distance: 'cut' }),
  ordinal('site.droughtTolerance', 'drought tolerance', TOLERANCE, { ...known, distance: 'cut' }),
  ordinal('site.saltTolerance', 'salt tolerance', TOLERANCE, { ...known, distance: 'cut' }),
];
