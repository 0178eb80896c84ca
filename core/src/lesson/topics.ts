import type { CalendarPart } from '../season/index.ts';
import type { Audience } from '../score/index.ts';
import {
  organsInOrder,
  putIn,
  type Organ,
  type ShownOrgan,
  type TeachingStart,
  type Telling,
} from '../vocabulary/index.ts';
import { exchanged } from './tells.ts';

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
  organs: readonly Organ[];
  /** What its drawing shows. */
  shows: readonly ShownOrgan[];
  /** Characters that are said wherever they are no matter of course, in this order; the others as they tell the tree from those like it. */
  always: readonly string[];
  /** How a character is said here in other words than elsewhere. */
  says?: Record<string, (words: string, voice: Audience, tells: Telling) => string>;
  /** The part of the tree that must be on it on the day the drawing is of. */
  part?: CalendarPart;
}

/** Of a twig it is the buds that stand in pairs or by turns: what is left in winter. */
const budsOf = (words: string, audience: Audience, { buds }: Telling): string =>
  audience === 'plain' ? exchanged(words, buds.plain) : putIn(buds.technical, words);

/** Topics that are made of scores. */
export const OF_ORGANS: Partial<Record<Topic, TopicOfOrgans>> = {
  form: {
    organs: ['habit'],
    shows: ['habit'],
    always: ['habit.stature', 'habit.height', 'habit.crownForm'],
  },
  place: {
    organs: ['site'],
    shows: ['site'],
    always: ['site.habitat', 'site.elevation'],
  },
  leaf: {
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
    part: 'leaves',
  },
  twig: {
    organs: ['twig', 'bud'],
    shows: ['twig', 'bud'],
    always: ['twig.arrangement', 'twig.armature', 'bud.scales'],
    says: { 'twig.arrangement': budsOf },
  },
  flower: {
    organs: ['flower', 'pollenCone'],
    shows: ['flower'],
    always: ['flower.type'],
    part: 'flowers',
  },
  fruit: {
    organs: ['fruit', 'cone', 'acorn'],
    shows: ['fruit'],
    always: ['fruit.type', 'cone.attitude', 'cone.bract', 'fruit.length'],
    part: 'fruitRipe',
  },
  bark: { organs: ['bark'], shows: ['bark'], always: ['bark.surface'] },
  wood: { organs: ['wood'], shows: ['wood'], always: [] },
};

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
