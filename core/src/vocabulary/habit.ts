import { flag, measure, oneOf, ordinal, table } from './character.ts';

const far = { distance: 'afar', reading: 'ordinary' } as const;

export const HABIT = [
  measure('habit.height', 'height', 'm', { ...far, level: 'beginner', reading: 'subjective', group: 'size' }),
  measure('habit.dbh', 'diameter at breast height', 'cm', {
    distance: 'arm',
    plain: 'trunk thickness',
    reading: 'subjective',
    group: 'size',
  }),
  measure('habit.crownSpread', 'crown spread', 'm', { ...far, reading: 'subjective', group: 'size' }),
  ordinal(
    'habit.stature',
    'stature',
    table(`
      shrub | shrub | bush | Woody plant with several stems, usually under 4 m.
      small | small tree | small tree | Tree usually 4–10 m tall when mature.
      medium | medium tree | medium tree | Tree usually 10–25 m tall when mature.
      large | large tree | big tree | Tree usually 25–45 m tall when mature.
      veryLarge | very large tree | giant tree | Tree usually over 45 m tall when mature.
    `),
    { ...far, plain: 'size', level: 'beginner', reading: 'subjective', group: 'size' },
  ),
  ordinal(
    'habit.growth',
    'growth rate',
    table(`
      slow | slow | slow | Less than about 30 cm of height a year when young.
      medium | medium | medium | About 30–60 cm of height a year when young.
      fast | fast | fast | More than about 60 cm of height a year when young.
    `),
    { ...far, distance: 'cut', level: 'advanced', reading: 'subjective' },
  ),
  measure('habit.lifespan', 'lifespan', 'years', {
    distance: 'cut',
    level: 'advanced',
    reading: 'subjective',
  }),
  oneOf(
    'habit.crownForm',
    'crown form',
    table(`
      excurrent | excurrent | one straight trunk to the top | A single trunk runs to the tip; the crown is conical.
      decurrent | decurrent | trunk splits into big limbs | The trunk divides into several main limbs; the crown is rounded.
      columnar | columnar | like a column | Narrow, with sides nearly parallel.
      spire | spire | a thin church spire | Very narrow and pointed, branches short to the ground.
      weeping | weeping | branches hang down | Branches or branchlets hang.
      flatTopped | flat-topped | flat on top | The top of the crown is level.
      irregular | irregular, leaning | crooked | No regular outline; often leaning.
    `),
    { ...far, level: 'beginner', reading: 'subjective' },
  ),
  oneOf(
    'habit.stems',
    'stems',
    table(`
      single | single | one trunk | One main stem from the ground.
      several | several | a few trunks | A few stems from one base.
      thicket | thicket | many stems in a patch | Many stems from a spreading root system.
    `),
    { ...far, level: 'beginner' },
  ),
  oneOf(
    'habit.leader',
    'leader',
    table(`
      erect | erect | tip stands straight up | The top shoot stands straight.
      nodding | nodding | tip droops over | The top shoot bends over.
    `),
    { distance: 'binoculars', plain: 'tip of the tree', level: 'beginner' },
  ),
  ordinal(
    'habit.branchAngle',
    'branch angle',
    table(`
      drooping | drooping | hang down | Main branches point below the horizontal.
      level | level | stick straight out | Main branches are about horizontal.
      ascending | ascending | point up | Main branches point above the horizontal.
    `),
    { ...far, reading: 'subjective' },
  ),
  oneOf(
    'habit.persistence',
    'leaf persistence',
    table(`
      deciduous | deciduous | bare in winter | All leaves fall in autumn.
      evergreen | evergreen | green all year | Leaves stay two or more years.
      semiEvergreen | semi-evergreen | some leaves stay | Some leaves stay through a mild winter.
    `),
    { ...far, part: 'winter', level: 'beginner', reading: 'plain', group: 'leaves in winter' },
  ),
  flag('habit.marcescent', 'dead leaves held in winter', {
    ...far,
    part: 'winter',
    level: 'intermediate',
    reading: 'plain',
  }),
  flag('habit.suckers', 'root suckers', { distance: 'arm', plain: 'sprouts from the roots' }),
];
