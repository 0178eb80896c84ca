import type { Telling } from '../vocabulary/index.ts';
import { LEAF_PHRASES } from './leafPhrases.ts';
import { readPhrases } from './phrases.ts';
import { TREE_PHRASES } from './treePhrases.ts';
import { TWIG_PHRASES } from './twigPhrases.ts';

/** How lessons tell trees in English. */
export const ENGLISH_TELLING: Telling = {
  phrases: readPhrases([LEAF_PHRASES, TWIG_PHRASES, TREE_PHRASES]),
  usually: 'usually',
  usuallyBefore: 'Usually #',
  usuallyFound: '{told}: usually {found}',
  // It is true as it stands: they may not be there.
  asItIs: 'Look for',
  sometimes: '{said} (sometimes {others})',
  orElse: '{first}. Or {second}',
  oddNumber: ', always an odd number',
  leaflet: [
    ['The leaf', 'The leaflet'],
    ['the leaf', 'the leaflet'],
  ],
  buds: {
    plain: [
      ['The leaves stand', 'The buds sit'],
      ['the leaves stand', 'the buds sit'],
    ],
    technical: 'buds #',
  },
  namesPart:
    '^(needles|leaves|leaf|bark|buds?|end buds?|twigs?|thorns?|prickles|stipul|spur|no |flowers|pith|scar|pollen|side|base|apex|veins?|margin|petiole|underside|upper|teeth|lob|sinus|scales|bracts|seeds|ridges|furrows|crown|trunk|leader|sap|glands|both|the |lenticels|one |cones? |woody cones?|white )',
  parts: {
    leaf: 'leaves',
    needle: 'needles',
    bark: 'bark',
    flower: 'flowers',
    fruit: 'fruit',
    cone: 'cone',
    wood: 'wood',
    habit: 'tree',
  },
  titles: {
    name: 'Name',
    form: 'Size and form',
    place: 'Where it grows',
    leaf: 'Leaf',
    twig: 'Twig and bud',
    flower: 'Flower',
    fruit: 'Fruit',
    bark: 'Bark',
    wood: 'Wood',
    history: 'Who eats it, who used it',
    largest: 'Largest known',
    aid: 'To remember',
    caution: 'Care',
  },
  begins: { leaf: 'Leaves ', bark: 'Bark ', wood: 'Wood ' },
  standing: {
    native: 'Native here.',
    introduced: 'Brought in from elsewhere; it grows wild here.',
    planted: 'Here it is planted.',
    rare: 'Native here, but rare.',
  },
  youngBark: { technical: 'Young bark #.', plain: 'On a young tree #.' },
  name: {
    ask: 'Which tree is this?',
    also: 'Also #.',
    scientific: 'Scientists call it #.',
    family: '{common} ({family}).',
  },
  history: '# Told as history, not as advice.',
  largest: '{place}: {girth} around, {height} tall, crown {crown} wide; {points} points.',
  contrast: { title: '{a} or {b}?', ask: 'What tells them apart?' },
  rule: {
    title: 'Rule of thumb',
    ask: 'What does this rule get wrong?',
    atTimes: '# at times',
    misleads: 'Not so: # show it too.',
    misleadsOne: 'Not so: # shows it too.',
    none: 'No exception among the trees so far.',
  },
  recap: {
    title: 'The one thing to remember',
    ask: 'One mark for each: which?',
    nothing: 'No one mark of what is scored: say what you see.',
  },
  notRecorded: 'not recorded',
  organs: {},
  groups: {},
  sheet: {
    week: 'week #',
    page: '{page} of {pages}',
    heading: '{tree}: {topic}',
    askFirst: 'Ask first: #',
    look: 'Look: #',
    photographed: '#, photographed',
    drawn: '#, drawn from the scores',
    answers: 'Answers',
    glossary: 'The words we describe trees with',
    glossaryOf: 'Words of #',
    others: '#, and others',
    here: 'here',
  },
};
