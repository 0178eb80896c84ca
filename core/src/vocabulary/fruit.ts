import { anyOf, count, flag, measure, oneOf, ordinal, table, when } from './character.ts';
import { colors } from './shared.ts';

const fruit = { part: 'fruit' } as const;
const SEED_CONE = when('fruit.type', 'seedCone');
const ACORN = when('fruit.type', 'acorn');
const SAMARA = when('fruit.type', 'singleSamara', 'pairedSamara');

export const FRUIT = [
  flag('fruit.present', 'fruit or cones on the tree', {
    distance: 'arm',
    level: 'beginner',
    reading: 'plain',
    derived: true,
  }),
  oneOf(
    'fruit.type',
    'fruit type',
    table(`
      seedCone | woody seed cone | a cone | A woody cone with seeds on its scales (a gymnosperm's).
      catkinCone | woody catkin-like cone | a tiny cone on a broadleaf | A small woody cone that stays on a broad-leaved tree.
      samaraCone | cone of samaras | a soft cone that crumbles to wings | A catkin-like cone that crumbles into small winged nutlets.
      follicleCone | cone of follicles | a knobbly cone of pods | A cone-like head of small pods.
      berryCone | berry-like cone | a berry that is a cone | A cone with fleshy scales, like a berry.
      arilSeed | seed in an aril | a seed in a soft cup | A single seed in a fleshy cup.
      singleSamara | single samara | one winged seed | A dry fruit with one wing.
      pairedSamara | paired samara | a helicopter pair | Two winged halves joined.
      acorn | acorn | an acorn | A nut in a scaly cup.
      huskNut | nut in a husk | a nut in a husk | A nut inside a husk.
      bractNutlet | nutlet with a bract | a tiny nut on a leafy bract | A small nut borne on a leaf-like bract.
      capsule | capsule | a pod that splits | A dry fruit that splits to free small seeds.
      pod | pod | a bean pod | A long dry fruit that splits along two sides.
      drupe | drupe | a fruit with a stone | A fleshy fruit with one or more stones.
      pome | pome | a tiny apple | A fleshy fruit with a core of several seeds.
      berry | berry | a berry | A fleshy fruit with several seeds.
      ball | ball | a ball | A round head of many small dry fruits.
    `),
    { ...fruit, distance: 'arm', plain: 'kind of fruit', level: 'beginner', reading: 'plain' },
  ),
  measure('fruit.length', 'fruit or cone length', 'cm', { ...fruit, level: 'beginner' }),
  measure('fruit.stalkLength', 'fruit stalk length', 'cm', {
    ...fruit,
    plain: 'length of the fruit’s stalk',
  }),
  anyOf(
    'fruit.color',
    'ripe fruit color',
    colors(
      'green',
      'yellow',
      'orange',
      'red',
      'purple',
      'blue',
      'black',
      'white',
      'brown',
      'redBrown',
      'grey',
    ),
    { part: 'ripeFruit', distance: 'arm', level: 'beginner', reading: 'subjective' },
  ),
  count('fruit.stones', 'stones', {
    part: 'ripeFruit',
    distance: 'cut',
    requires: [when('fruit.type', 'drupe', 'pome', 'berry', 'berryCone')],
  }),
  oneOf(
    'fruit.seed',
    'seed',
    table(`
      plain | plain | plain | Without wing or hairs.
      winged | winged | with a wing | With a wing.
      cottony | cottony | with cotton | With a tuft of long hairs.
    `),
    { part: 'ripeFruit', level: 'intermediate' },
  ),
  flag('fruit.keptWinter', 'fruit kept into winter', { part: 'winter', distance: 'arm' }),
  anyOf(
    'fruit.dispersal',
    'seed dispersal',
    table(`
      wind | wind | wind | Carried by wind.
      water | water | water | Carried by water.
      gravity | gravity | falls | Falls below the tree.
      animals | animals | animals | Carried or eaten by animals.
    `),
    { part: 'ripeFruit', distance: 'cut', level: 'advanced' },
  ),
  ordinal(
    'fruit.huskSplit',
    'husk split',
    table(`
      none | none | does not split | The husk does not split.
      half | half-way | half-way | The husk splits part way.
      base | to the base | all the way | The husk splits to the base.
    `),
    { part: 'ripeFruit', requires: [when('fruit.type', 'huskNut')] },
  ),
  oneOf(
    'fruit.strobile',
    'strobile',
    table(`
      persists | persists | stays whole | The small cone stays whole through winter.
      shatters | shatters | falls apart | The small cone falls apart when ripe.
    `),
    {
      part: 'ripeFruit',
      requires: [when('fruit.type', 'catkinCone', 'samaraCone')],
      group: 'birch family cone',
    },
  ),
  oneOf(
    'fruit.nutletWing',
    'wing of the nutlet',
    table(`
      none | none | no wing | The nutlet has no wing.
      narrow | narrow | narrower than the seed | Each wing is narrower than the body of the nutlet.
      broad | broad | as wide as the seed or wider | Each wing is as wide as the body of the nutlet, or wider.
    `),
    {
      part: 'ripeFruit',
      distance: 'lens',
      level: 'advanced',
      plain: 'wing of the tiny seed',
      requires: [when('fruit.type', 'catkinCone', 'samaraCone')],
    },
  ),
  oneOf(
    'fruit.samaraWing',
    'samara wing',
    table(`
      around | around the seed | all around the seed | The wing surrounds the seed.
      end | at the end | on one end | The wing stands at one end of the seed.
    `),
    { ...fruit, requires: [SAMARA] },
  ),
  measure('fruit.samaraAngle', 'samara angle', '°', {
    ...fruit,
    requires: [when('fruit.type', 'pairedSamara')],
  }),
];

export const CONE = [
  oneOf(
    'cone.attitude',
    'cone attitude',
    table(`
      hanging | hanging | hangs down | Cones hang below the twig.
      erect | erect | stands up like a candle | Cones stand upright on the twig.
      level | level | sticks out | Cones stand out sideways.
    `),
    { ...fruit, distance: 'binoculars', requires: [SEED_CONE], level: 'beginner', reading: 'plain' },
  ),
  count('cone.scales', 'scales of a cone', { ...fruit, requires: [SEED_CONE] }),
  oneOf(
    'cone.fate',
    'fate of the cone',
    table(`
      falls | opens and falls | opens and drops | Opens to free its seed and then falls whole.
      persists | opens and persists | opens and stays | Opens and stays on the tree for years.
      shatters | shatters | falls to pieces on the tree | Falls apart on the tree and leaves a spike.
      serotinous | closed until heat | stays shut until fire | Stays sealed until heat opens it.
      animals | opened by animals | torn open by birds | Does not open by itself; birds or squirrels break it.
    `),
    { part: 'ripeFruit', distance: 'binoculars', requires: [SEED_CONE], level: 'intermediate' },
  ),
  oneOf(
    'cone.scaleTip',
    'cone scale tip',
    table(`
      even | even | smooth edge | Scale edge even.
      jagged | jagged | ragged edge | Scale edge toothed or torn.
    `),
    { part: 'ripeFruit', requires: [SEED_CONE] },
  ),
  flag('cone.armed', 'cone scales armed', {
    part: 'ripeFruit',
    requires: [SEED_CONE],
    plain: 'prickle on each cone scale',
    level: 'beginner',
  }),
  flag('cone.thickEnd', 'scale end thickened', {
    part: 'ripeFruit',
    requires: [SEED_CONE],
    plain: 'thick end on each cone scale',
  }),
  oneOf(
    'cone.bract',
    'cone bract',
    table(`
      hidden | hidden | not seen | Bracts shorter than the scales.
      straight | straight, showing | a thin point between scales | Straight bracts longer than the scales.
      threePronged | three-pronged, showing | three-pointed tongue between scales | Bracts with three points stand out between the scales.
      bentBack | bent back | curl back | Bracts longer than the scales and bent back.
    `),
    {
      ...fruit,
      requires: [SEED_CONE],
      plain: 'tongues between the cone scales',
      level: 'beginner',
      reading: 'plain',
    },
  ),
  flag('cone.stalk', 'cone stalked', { ...fruit, requires: [SEED_CONE] }),
];

export const ACORN_CHARACTERS = [
  measure('acorn.cupCover', 'cup cover', '%', {
    ...fruit,
    requires: [ACORN],
    plain: 'how much the cup covers',
  }),
  flag('acorn.fringe', 'fringed cup', { ...fruit, requires: [ACORN] }),
];
