import type { CalendarPart } from '../season/index.ts';
import { organsInOrder, type Organ, type ShownOrgan, type TeachingStart } from '../vocabulary/index.ts';

/** What a point of a lesson is about. */
export const TOPICS = [
  'name',
  'form',
  'place',
  'leaf',
  'twig',
  'flower',
  'fruit',
  'bark',
  'wood',
  'history',
  'largest',
  'aid',
  'caution',
] as const;
export type Topic = (typeof TOPICS)[number];

export interface TopicOfOrgans {
  title: string;
  organs: readonly Organ[];
  /** What its drawing shows. */
  shows: readonly ShownOrgan[];
  /** Characters that are said wherever they are no matter of course, in this order; the others as they tell the tree from those like it. */
  always: readonly string[];
  /** How the line begins in terms; in plain words the sentences begin it. */
  begins: string;
  /** The same for a tree with needles or scales, where it is another. */
  ofConifers?: { title: string };
  /** How a character is said here in other words than elsewhere. */
  says?: Record<string, (words: string) => string>;
  /** The part of the tree that must be on it on the day the drawing is of. */
  part?: CalendarPart;
}

/** Of a twig it is the buds that stand in pairs or by turns: what is left in winter. */
const budsOf = (words: string): string =>
  /the leaves stand/i.test(words)
    ? words.replace('The leaves stand', 'The buds sit').replace('the leaves stand', 'the buds sit')
    : `buds ${words}`;

/** Topics that are made of scores. */
export const OF_ORGANS: Partial<Record<Topic, TopicOfOrgans>> = {
  form: {
    title: 'Size and form',
    organs: ['habit'],
    shows: ['habit'],
    always: ['habit.stature', 'habit.height', 'habit.crownForm'],
    begins: '',
  },
  place: {
    title: 'Where it grows',
    organs: ['site'],
    shows: ['site'],
    always: ['site.habitat', 'site.elevation'],
    begins: '',
  },
  leaf: {
    title: 'Leaf',
    organs: ['foliage', 'leaf', 'needle'],
    shows: ['leaf'],
    always: [
      'foliage.kind',
      'twig.arrangement',
      'leaf.composition',
      'leaf.leaflets',
      'leaf.lobing',
      'leaf.teeth',
      'needle.perBundle',
      'needle.perSpur',
      'needle.scaleSpray',
      'needle.length',
    ],
    begins: 'Leaves ',
    part: 'leaves',
  },
  twig: {
    title: 'Twig and bud',
    organs: ['twig', 'bud'],
    shows: ['twig', 'bud'],
    always: ['twig.arrangement', 'twig.armature', 'bud.scales'],
    begins: '',
    says: { 'twig.arrangement': budsOf },
  },
  flower: {
    title: 'Flower',
    organs: ['flower', 'pollenCone'],
    shows: ['flower'],
    always: ['flower.type'],
    begins: '',
    ofConifers: { title: 'Pollen' },
    part: 'flowers',
  },
  fruit: {
    title: 'Fruit',
    organs: ['fruit', 'cone', 'acorn'],
    shows: ['fruit'],
    always: ['fruit.type', 'cone.attitude', 'cone.bract', 'fruit.length'],
    begins: '',
    part: 'fruitRipe',
  },
  bark: { title: 'Bark', organs: ['bark'], shows: ['bark'], always: ['bark.surface'], begins: 'Bark ' },
  wood: { title: 'Wood', organs: ['wood'], shows: ['wood'], always: [], begins: 'Wood ' },
};

const TITLES: Record<Topic, string> = {
  name: 'Name',
  form: OF_ORGANS.form!.title,
  place: OF_ORGANS.place!.title,
  leaf: OF_ORGANS.leaf!.title,
  twig: OF_ORGANS.twig!.title,
  flower: OF_ORGANS.flower!.title,
  fruit: OF_ORGANS.fruit!.title,
  bark: OF_ORGANS.bark!.title,
  wood: OF_ORGANS.wood!.title,
  history: 'Who eats it, who used it',
  largest: 'Largest known',
  aid: 'To remember',
  caution: 'Care',
};
export const topicTitle = (topic: Topic): string => TITLES[topic];

/** Topics in a course's teaching order: the name first, the organs as the course begins with them, then what is told. */
export function topicsInOrder(start: TeachingStart): Topic[] {
  const usual = TOPICS.filter((topic) => OF_ORGANS[topic]);
  if (start === 'leaf') return [...TOPICS];
  const place = new Map(organsInOrder(start).map(({ organ }, i) => [organ, i]));
  const firstOf = (topic: Topic) =>
    Math.min(...OF_ORGANS[topic]!.organs.map((organ) => place.get(organ) ?? Infinity));
  const organs = [...usual].sort((x, y) => firstOf(x) - firstOf(y));
  return ['name', ...organs, ...TOPICS.slice(TOPICS.indexOf('history'))];
}
