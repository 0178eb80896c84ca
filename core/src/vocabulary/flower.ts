import { count, flag, measure, oneOf, table, when } from './character.ts';
import { ODOURS, colors } from './shared.ts';

const flowers = { part: 'flowers' } as const;
const BROAD = when('foliage.kind', 'broad');

export const FLOWER = [
  flag('flower.present', 'flowers on the tree', {
    distance: 'arm',
    level: 'beginner',
    reading: 'plain',
    derived: true,
  }),
  oneOf(
    'flower.type',
    'inflorescence',
    table(`
      hangingCatkin | hanging catkin | hanging tassel | Tiny flowers in a hanging spike.
      erectCatkin | erect catkin | upright pussy willow | Tiny flowers in an upright spike.
      single | single | one by one | Flowers one by one.
      raceme | raceme | a spike of stalked flowers | Stalked flowers along one axis.
      panicle | panicle | a branched cluster | A branched, longer than wide cluster.
      flatTopped | flat-topped cluster | a flat plate of flowers | A branched cluster with a level top.
      umbel | umbel | spokes of an umbrella | Stalks of about one length from one point.
      tuft | tuft | a small bunch | A few flowers together at a node.
      head | head | a ball | Stalkless flowers in a ball.
      wingedBract | cluster on a wing-like bract | hanging from a strap leaf | A cluster whose stalk joins a strap-shaped bract.
    `),
    { ...flowers, distance: 'arm', plain: 'kind of flower cluster', level: 'beginner', requires: [BROAD] },
  ),
  oneOf(
    'flower.color',
    'flower color',
    colors('white', 'cream', 'yellow', 'greenish', 'pink', 'red', 'purple', 'brown'),
    {
      ...flowers,
      distance: 'arm',
      level: 'beginner',
      requires: [BROAD],
    },
  ),
  oneOf(
    'flower.sexes',
    'sexes',
    table(`
      bisexual | both in one flower | both in one flower | Each flower has stamens and pistil.
      monoecious | both on one tree | boys and girls on one tree | Separate male and female flowers on one tree.
      dioecious | separate trees | boy trees and girl trees | Male and female flowers on separate trees.
      mixed | mixed | mixed | Both-sexed and single-sexed flowers together.
    `),
    { ...flowers, distance: 'lens', level: 'advanced' },
  ),
  oneOf(
    'flower.timing',
    'flowering time',
    table(`
      before | before the leaves | before the leaves | Flowers open before the leaves.
      with | with the leaves | with the leaves | Flowers open as the leaves unfold.
      after | after the leaves | after the leaves | Flowers open when the leaves are full-grown.
    `),
    { ...flowers, distance: 'arm', requires: [BROAD] },
  ),
  oneOf(
    'flower.pollination',
    'pollination',
    table(`
      wind | wind | wind | Pollen is carried by wind.
      insects | insects | insects | Pollen is carried by insects.
    `),
    { ...flowers, distance: 'cut', level: 'advanced' },
  ),
  count('flower.petals', 'petals', { ...flowers, requires: [BROAD], level: 'beginner' }),
  count('flower.stamens', 'stamens', { ...flowers, requires: [BROAD], distance: 'lens', level: 'advanced' }),
  measure('flower.size', 'flower size', 'mm', { ...flowers, requires: [BROAD] }),
  flag('flower.showyBracts', 'showy bracts', { ...flowers, requires: [BROAD], distance: 'arm' }),
  oneOf(
    'flower.catkinBract',
    'catkin bract',
    table(`
      pale | pale | pale | Bracts of the catkin yellowish or pale.
      dark | dark | dark | Bracts of the catkin brown to black.
    `),
    {
      ...flowers,
      distance: 'lens',
      level: 'advanced',
      requires: [BROAD, when('flower.type', 'hangingCatkin', 'erectCatkin')],
    },
  ),
  oneOf('flower.scent', 'scent', ODOURS, {
    ...flowers,
    sense: 'smell',
    requires: [BROAD],
    reading: 'subjective',
  }),
];

const POLLEN_CONED = when('foliage.kind', 'single', 'bundled', 'tufts', 'scales', 'awls');

export const POLLEN_CONE = [
  oneOf('pollenCone.color', 'pollen cone color', colors('yellow', 'red', 'purple', 'orange', 'brown'), {
    ...flowers,
    requires: [POLLEN_CONED],
    reading: 'subjective',
  }),
  measure('pollenCone.length', 'pollen cone length', 'mm', { ...flowers, requires: [POLLEN_CONED] }),
];
