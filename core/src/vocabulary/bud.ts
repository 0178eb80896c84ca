import { flag, measure, oneOf, ordinal, table, when } from './character.ts';
import { HAIR, colors } from './shared.ts';

const buds = { part: 'buds' } as const;
const SCALED = when('bud.scales', 'one', 'two', 'several');

export const BUD = [
  oneOf(
    'bud.terminal',
    'terminal bud',
    table(`
      single | single | one at the tip | One bud ends the twig.
      paired | paired | two at the tip | Two buds side by side end the twig.
      clustered | clustered | a bunch at the tip | Several buds crowd the tip.
      lacking | lacking | none at the very tip | The twig ends in a scar; the last bud stands at its side.
    `),
    { ...buds, plain: 'bud at the tip' },
  ),
  oneOf(
    'bud.shape',
    'bud shape',
    table(`
      ovoidBlunt | ovoid, blunt | egg-shaped, blunt | Egg-shaped with a blunt tip.
      ovoidPointed | ovoid, pointed | egg-shaped, pointed | Egg-shaped with a pointed tip.
      longConical | long conical | long and pointed | Much longer than wide, tapering to a point.
      cigar | cigar-shaped | like a cigar | Long and slender, widest in the middle.
      globose | globose | round like a ball | Nearly round.
      flattened | flattened | flattened | Flattened from two sides.
    `),
    { ...buds, reading: 'subjective' },
  ),
  oneOf(
    'bud.scales',
    'bud scales',
    table(`
      none | naked | no scales, tiny folded leaves | Without scales; the young leaves are exposed.
      one | one cap | one cap like a hood | A single scale covers the bud like a cap.
      two | two, valvate | two scales like a clam | Two scales meet at their edges.
      several | several, overlapping | several, like shingles | Several scales overlap.
    `),
    { ...buds, plain: 'scales on the bud', level: 'intermediate' },
  ),
  oneOf(
    'bud.scaleTips',
    'bud scale tips',
    table(`
      pressed | pressed | lie flat | Scale tips lie against the bud.
      bentBack | bent back | curl outward | Scale tips curve away from the bud.
    `),
    { ...buds, distance: 'lens', level: 'advanced', requires: [SCALED] },
  ),
  flag('bud.resin', 'resinous buds', { ...buds, plain: 'buds sticky with pitch' }),
  ordinal('bud.hair', 'bud hair', HAIR, { ...buds, distance: 'lens' }),
  flag('bud.stalked', 'stalked buds', { ...buds, plain: 'buds on a little stalk' }),
  measure('bud.length', 'bud length', 'mm', { ...buds }),
  oneOf(
    'bud.color',
    'bud color',
    colors('grey', 'brown', 'redBrown', 'red', 'purple', 'greenish', 'yellow', 'white', 'nearBlack'),
    { ...buds, reading: 'subjective' },
  ),
  oneOf(
    'bud.lie',
    'lie of the buds',
    table(`
      pressed | pressed to the twig | flat against the twig | Side buds lie against the twig.
      spreading | spreading | stick out | Side buds point away from the twig.
    `),
    { ...buds, reading: 'subjective' },
  ),
  oneOf(
    'bud.place',
    'place of the buds',
    table(`
      single | single | one over each leaf | One bud above each leaf or scar.
      sideBySide | side by side | two or three in a row | Two or three buds side by side.
      superposed | superposed | one above another | One bud above another.
      hidden | hidden in the petiole | hidden under the leaf stalk | The base of the leaf stalk covers the bud.
    `),
    { ...buds, level: 'advanced' },
  ),
];
