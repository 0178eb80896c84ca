import type { ProfiledTaxon } from '../evidence/index.ts';
import { characterName, type Audience } from '../score/index.ts';
import { DRAWN, drawPlate, sampleSpecimen } from '../specimen/index.ts';
import { commonName } from '../taxon/index.ts';
import { putIn, sayingOf, SHOWN_BY, type Vocabulary } from '../vocabulary/index.ts';
import { goingOn, sayingIn } from './tells.ts';
import { listedBy, upperFirst } from '../words/index.ts';
import { bothWords } from './glossary.ts';
import {
  characterLesson,
  shownByTrait,
  toCall,
  viewOfCharacter,
  type CharacterLesson,
  type StateOnList,
} from './character.ts';
import { askOfCharacter, howToLook } from './looking.ts';
import type { LessonStop } from './lesson.ts';
import { TO_CALL } from './mini.ts';

export interface CharacterSetting {
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  audience: Audience;
}

/** States that are shown side by side at once; the rest come on the next sheet. */
const AT_ONCE = 6;
/** A specimen is drawn again, up to so many times, until it shows its state. */
const TRIES = 8;
/** Whether a part can be drawn is asked of a frame of this size, in pixels. */
const FRAME = { width: 400, height: 300 };

/** A specimen to call on one character. */
export interface CharacterCall {
  characterId: string;
  taxonId: string;
  seed: number;
  /** The states that it shows: any of them is right. */
  right: string[];
}

/**
 * The points of a lesson about a character, or about several that are looked at together: for each its states side by side and the trees
 * that keep to none, at the end ten specimens to call.
 *
 * @param characters ids, such as those of a group; each must be one of `lessonCharacters`
 * @param seed of the specimens: another one gives ten others
 * @throws where the vocabulary has no such character
 * @example
 * characterStops({ list, vocabulary: BUILT_IN, audience: 'technical' }, ['leaf.teeth'], 1)[0]!.kind; // 'states'
 */
export function characterStops(
  setting: CharacterSetting,
  characters: readonly string[],
  seed: number,
): LessonStop[] {
  const lessons = characters.map((id) => characterLesson(setting.list, id, setting.vocabulary));
  const calls = characterCalls(setting, lessons, TO_CALL, seed);
  return [
    ...lessons.flatMap((lesson) => [...statesStops(setting, lesson), ...exceptionsStop(setting, lesson)]),
    ...calls.map((call, i) => callStop(setting, call, lessons, i, calls.length)),
  ];
}

/**
 * Specimens to call, of each character as many: only those of which a drawing shows the state, so that there may be fewer.
 *
 * @example
 * characterCalls(setting, [characterLesson(list, 'leaf.teeth', BUILT_IN)], 10, 1)[0]!.right; // ['double']
 */
export function characterCalls(
  { list, vocabulary }: Pick<CharacterSetting, 'list' | 'vocabulary'>,
  lessons: readonly CharacterLesson[],
  count: number,
  seed: number,
): CharacterCall[] {
  // What a drawing does not show, such as a smell, is called on real ones.
  const drawn = lessons.filter(({ characterId, states }) => states.length > 0 && isDrawn(characterId));
  const queues = drawn.map((lesson, i) => {
    const view = viewOfCharacter(vocabulary.get(lesson.characterId)!);
    return toCall(lesson, count, seed + i).flatMap(({ taxonId, seed: first }): CharacterCall[] => {
      const profiled = list.find(({ taxon }) => taxon.id === taxonId)!;
      for (let again = 0; again < TRIES; again += 1) {
        const traits = sampleSpecimen(profiled, vocabulary, view, first + again * 7919);
        const right = shownByTrait(traits.values[lesson.characterId], lesson);
        if (right.length > 0 && drawPlate(traits, view.organs, FRAME))
          return [{ characterId: lesson.characterId, taxonId, seed: traits.seed, right }];
      }
      return [];
    });
  });
  // In turn, so that the class looks at another thing each time, and at no specimen twice.
  return Array.from({ length: count }, (_, i) => queues.flatMap((queue) => queue[i] ?? []))
    .flat()
    .slice(0, count);
}

const isDrawn = (characterId: string): boolean => DRAWN.some((id) => id === characterId);

const words = (state: StateOnList, { audience }: CharacterSetting): string => bothWords(state, audience).word;

const wordOf = (setting: CharacterSetting, { states }: CharacterLesson, id: string): string => {
  const state = states.find((each) => each.id === id);
  return state ? words(state, setting) : id;
};

/** The states of a character side by side, six at most on a sheet. */
export function statesStops(setting: CharacterSetting, lesson: CharacterLesson): LessonStop[] {
  const character = setting.vocabulary.get(lesson.characterId)!;
  const name = upperFirst(characterName(character, setting.audience));
  const sheets = Math.ceil(lesson.states.length / AT_ONCE);
  const each = Math.ceil(lesson.states.length / sheets);
  const look = howToLook(character);
  const saying = sayingOf(character);
  return Array.from({ length: sheets }, (_, i) => {
    const states = lesson.states.slice(i * each, (i + 1) * each);
    return {
      key: `states/${character.id}/${i}`,
      kind: 'states' as const,
      title: sheets > 1 ? putIn(saying.ofSeveral, { name, at: String(i + 1), count: String(sheets) }) : name,
      words: states.map((state) => saidOfState(state, setting)).join(' '),
      ...(look ? { look } : {}),
      ask: saying.differs,
      taxa: states.map(({ example }) => example),
      characters: [character.id],
      // Drawn alike, what a drawing does not show would be a riddle: its states are told.
      shows: isDrawn(character.id) ? [SHOWN_BY[character.organ]] : [],
      states: states.map(({ id }) => id),
      hidden: false,
    };
  });
}

const saidOfState = (state: StateOnList, setting: CharacterSetting): string =>
  state.definition
    ? `${upperFirst(words(state, setting))}: ${goingOn(state.definition, sayingIn(setting.vocabulary))}`
    : `${upperFirst(words(state, setting))}.`;

function exceptionsStop(setting: CharacterSetting, lesson: CharacterLesson): LessonStop[] {
  if (lesson.exceptions.length === 0) return [];
  const character = setting.vocabulary.get(lesson.characterId)!;
  const saying = sayingOf(character);
  return [
    {
      key: `exceptions/${character.id}`,
      kind: 'exceptions',
      title: putIn(saying.notAlways, upperFirst(characterName(character, setting.audience))),
      words: `${upperFirst(exceptionsInWords(setting, lesson))}.`,
      ask: saying.notKept,
      taxa: [],
      characters: [character.id],
      shows: [],
      hidden: false,
    },
  ];
}

/** Trees that keep to no one state: `paper birch: doubly toothed, sometimes singly toothed; …`. */
export const exceptionsInWords = (setting: CharacterSetting, lesson: CharacterLesson): string =>
  lesson.exceptions
    .map(({ taxonId, usual, sometimes }) => {
      const found = setting.list.find(({ taxon }) => taxon.id === taxonId);
      const { or, adverbs } = sayingOf(setting.vocabulary.get(lesson.characterId)!);
      const said = (ids: readonly string[]) => ids.map((id) => wordOf(setting, lesson, id)).join(` ${or} `);
      const also = sometimes.length > 0 ? `, ${adverbs.sometimes}${said(sometimes)}` : '';
      return `${found ? commonName(found.taxon) : taxonId}: ${said(usual)}${also}`;
    })
    .join('; ');

function callStop(
  setting: CharacterSetting,
  { characterId, taxonId, seed, right }: CharacterCall,
  lessons: readonly CharacterLesson[],
  at: number,
  count: number,
): LessonStop {
  const lesson = lessons.find((each) => each.characterId === characterId)!;
  const character = setting.vocabulary.get(characterId)!;
  const { taxon } = setting.list.find((each) => each.taxon.id === taxonId)!;
  const saying = sayingOf(character);
  const states = right.map((id) => wordOf(setting, lesson, id));
  return {
    key: `call/${at}`,
    kind: 'call',
    title: putIn(saying.callIt, { at: String(at + 1), count: String(count) }),
    words: putIn(saying.onTree, {
      states: upperFirst(listedBy(states, saying.and)),
      tree: commonName(taxon),
    }),
    ask: askOfCharacter(character, setting.audience),
    taxa: [taxonId],
    characters: [characterId],
    shows: [SHOWN_BY[character.organ]],
    states: lesson.states.map(({ id }) => id),
    seed,
    hidden: false,
  };
}
