import { contrast } from '../evidence/index.ts';
import { recapOf } from '../recap/index.ts';
import { characterName, valueInWords } from '../score/index.ts';
import { lookalikesAmong } from '../term/index.ts';
import { commonName } from '../taxon/index.ts';
import { checkRule, ruleInWords, type KeptRule } from '../rule/index.ts';
import { MEDIUM_VIEWS, type View } from '../view/index.ts';
import { putIn, sayingOf, SHOWN_BY } from '../vocabulary/index.ts';
import { howToLook } from './looking.ts';
import { pointsOf, tellingOfList, type LessonPoint, type LessonSetting, type Recalled } from './points.ts';
import { namesItsPart, saidOfCharacter } from './saying.ts';
import { goingOn, sayingIn, tellsIn, tellsOf } from './tells.ts';
import { listedBy, upperFirst } from '../words/index.ts';

/** What an instructor has changed in a generated lesson. */
export interface LessonEdits {
  /** Keys in the order wanted; points that are not named keep their place after the one they follow. */
  order: string[];
  hidden: string[];
  reworded: Record<string, Reworded>;
  /** Slides of the instructor's own, by key. */
  own: OwnSlide[];
  /** Notes for the presenter, by key. */
  notes: Record<string, string>;
  /** Photos of the library that stand in the place of a point's drawing, two at most, by key. */
  pictures: Record<string, string[]>;
}

/** Side by side stand young and mature, or sun and shade: not more. */
export const MOST_PHOTOS = 2;

export interface Reworded {
  words: string;
  /** What was generated when it was reworded: where that has changed since, the scores have. */
  from: string;
}

export interface OwnSlide {
  /** Begins with `own/`. */
  key: string;
  title: string;
  words: string;
  /** A tree whose drawing stands on it. */
  taxonId?: string;
}

export const NO_EDITS: LessonEdits = {
  order: [],
  hidden: [],
  reworded: {},
  own: [],
  notes: {},
  pictures: {},
};

/** A point as it is shown, with what was changed in it. */
export interface LessonStop extends LessonPoint {
  hidden: boolean;
  /** What is generated, where it was reworded. */
  generated?: string;
  /** The scores say something else now than when it was reworded. */
  outdated?: boolean;
  note?: string;
  /** Ids of the photos that stand in the place of its drawing. */
  photos?: string[];
}

export interface LessonAsked {
  /** Trees of the set, in teaching order. */
  set: readonly string[];
  /** Trees taught before it. */
  before: readonly string[];
  /** Pairs that the class has mixed up, most often first. */
  mixedUp: readonly { a: string; b: string }[];
  /** Rules of thumb that the course keeps. */
  rules: readonly KeptRule[];
  /** Day of the year of the lesson. */
  day: number;
  edits: LessonEdits;
}

/** So many contrasts close a lesson at most. */
const MOST_CONTRASTS = 4;
/** Said of a contrast: what settles it, and one that confirms it. */
const SAID_OF_PAIR = 2;

/**
 * The lesson of a set: each tree point by point, what it is taken for side by side at its place, and the recap at the end; with the
 * instructor's changes put in.
 *
 * @example
 * lessonOf(setting, { set: ['larix-occidentalis'], before: [], mixedUp: [], rules: [], day: 245, edits: NO_EDITS })[0].title; // 'Name'
 */
export function lessonOf(setting: LessonSetting, asked: LessonAsked): LessonStop[] {
  const telling = tellingOfList(setting);
  const pairs = pairsFor(setting, asked);
  const placed = new Set<string>();
  const points = asked.set.flatMap((taxonId, i) => {
    const shown = new Set([...asked.before, ...asked.set.slice(0, i + 1)]);
    // A pair is put side by side as soon as both of it are known.
    const due = pairs.filter(({ a, b }) => shown.has(a) && shown.has(b) && !placed.has(`${a} ${b}`));
    for (const { a, b } of due) placed.add(`${a} ${b}`);
    return [
      ...pointsOf(setting, taxonId, telling),
      ...due.flatMap(({ a, b }) => contrastPoint(setting, a, b, asked.day) ?? []),
    ];
  });
  const rules = asked.rules.flatMap((rule) => rulePoint(setting, asked, rule) ?? []);
  const recap = recapPoint(setting, asked);
  return edited([...points, ...rules, ...(recap ? [recap] : [])], asked.edits);
}

/** Pairs to put side by side: those of the set that a beginner takes for one another, and those that the class mixed up. */
function pairsFor(setting: LessonSetting, { set, before, mixedUp }: LessonAsked): { a: string; b: string }[] {
  const known = [...before, ...set];
  const list = setting.list.filter(({ taxon }) => known.includes(taxon.id));
  const alike = lookalikesAmong(list, setting.vocabulary, setting.reading)
    .map(({ a, b, error }) => ({ a: list[a]!.taxon.id, b: list[b]!.taxon.id, error }))
    .sort((x, y) => y.error - x.error);
  const ofSet = (pair: { a: string; b: string }) => set.includes(pair.a) || set.includes(pair.b);
  const both = (pair: { a: string; b: string }) => set.includes(pair.a) && set.includes(pair.b);
  const found = [
    ...mixedUp.filter((pair) => ofSet(pair) && known.includes(pair.a) && known.includes(pair.b)),
    ...alike.filter(both),
    ...alike.filter((pair) => ofSet(pair) && !both(pair)),
  ];
  const keys = new Set<string>();
  return found
    .map(({ a, b }) => (a < b ? { a, b } : { a: b, b: a }))
    .filter(({ a, b }) => {
      const key = `${a} ${b}`;
      const isNew = !keys.has(key);
      keys.add(key);
      return isNew;
    })
    .slice(0, MOST_CONTRASTS);
}

const inLesson = (day: number): View => ({
  ...MEDIUM_VIEWS.livingTree,
  organs: ['bark', 'twig', 'bud', 'leaf', 'flower', 'fruit'],
  day,
  qualifiers: { plantAge: 'mature' },
});

/** Two trees side by side on what settles them; undefined where nothing that can be said does. */
function contrastPoint(setting: LessonSetting, a: string, b: string, day: number): LessonPoint | undefined {
  const { list, vocabulary, reading } = setting;
  const found = contrast(list, a, b, vocabulary, inLesson(day), reading);
  const said = found.said.slice(0, SAID_OF_PAIR);
  if (said.length === 0) return undefined;
  const shows = [...new Set(said.map((id) => SHOWN_BY[vocabulary.get(id)!.organ]))];
  const [nameA, nameB] = [a, b].map((id) => nameOf(setting, id));
  const look = howToLook(vocabulary.get(said[0]!)!);
  const tells = tellsIn(vocabulary);
  return {
    key: `contrast/${a}/${b}`,
    kind: 'contrast',
    title: upperFirst(putIn(tells.contrast.title, { a: nameA!, b: nameB! })),
    words: [a, b]
      .map((id) => `${upperFirst(nameOf(setting, id))}: ${besideSaid(setting, id, said)}`)
      .join(' '),
    ...(look ? { look } : {}),
    ask: tells.contrast.ask,
    taxa: [a, b],
    characters: said,
    shows,
  };
}

/**
 * A rule of thumb with the trees known so far that it misleads; undefined where it says nothing of a tree of the set, or nothing that can be
 * seen on the day.
 */
function rulePoint(
  { list, vocabulary, reading, audience, units }: LessonSetting,
  { set, before, day }: LessonAsked,
  rule: KeptRule,
): LessonPoint | undefined {
  const known = list.filter(({ taxon }) => set.includes(taxon.id) || before.includes(taxon.id));
  const { covered, exceptions } = checkRule(rule, known, vocabulary, inLesson(day), reading);
  const example = set.find((id) => covered.includes(id));
  if (!example) return undefined;
  const taxa = list.map(({ taxon }) => taxon);
  const nameOf = (id: string) => commonName(taxa.find((taxon) => taxon.id === id)!);
  const { rule: tells } = tellsIn(vocabulary);
  const misled = exceptions.map(({ taxonId, share }) =>
    share < WHOLLY ? putIn(tells.atTimes, nameOf(taxonId)) : nameOf(taxonId),
  );
  const words = ruleInWords(rule, taxa, vocabulary, audience, units).replace(/\.$/, '');
  const characters = rule.conditions.map(({ characterId }) => characterId);
  const { and } = sayingOf(vocabulary.get(characters[0]!));
  return {
    key: `rule/${rule.id}`,
    kind: 'rule',
    title: tells.title,
    words: `${words}. ${misled.length > 0 ? putIn(misled.length > 1 ? tells.misleads : tells.misleadsOne, listedBy(misled, and)) : tells.none}`,
    ask: tells.ask,
    taxa: [example],
    characters,
    shows: [...new Set(characters.map((id) => SHOWN_BY[vocabulary.get(id)!.organ]))],
  };
}

/** Of an exception that shows it less often than this, “at times” is said. */
const WHOLLY = 0.97;

/** The recap of a set: each tree with the one thing to remember. */
function recapPoint(setting: LessonSetting, { set, day }: LessonAsked): LessonPoint | undefined {
  const { list, vocabulary, reading } = setting;
  const tells = tellsIn(vocabulary);
  const remembered = recapOf(list, set, vocabulary, inLesson(day), reading);
  const each = set.flatMap((taxonId): Recalled[] => {
    const mark = remembered.find((found) => found.taxonId === taxonId)?.marks[0];
    if (!list.some(({ taxon }) => taxon.id === taxonId)) return [];
    if (!mark) return [{ taxonId, words: tells.recap.nothing, shows: ['leaf'] }];
    const { organ } = vocabulary.get(mark.characterId)!;
    return [
      {
        taxonId,
        words: upperFirst(besideSaid(setting, taxonId, [mark.characterId])),
        characterId: mark.characterId,
        shows: [SHOWN_BY[organ]],
      },
    ];
  });
  if (each.length === 0) return undefined;
  return {
    key: 'recap',
    kind: 'recap',
    title: tells.recap.title,
    words: each
      .map(
        ({ taxonId, words }) =>
          `${upperFirst(nameOf(setting, taxonId))}: ${goingOn(words, sayingIn(vocabulary))}`,
      )
      .join(' '),
    ask: tells.recap.ask,
    taxa: each.map(({ taxonId }) => taxonId),
    characters: each.flatMap(({ characterId }) => characterId ?? []),
    shows: [],
    each,
  };
}

const nameOf = ({ list }: LessonSetting, taxonId: string): string => {
  const found = list.find(({ taxon }) => taxon.id === taxonId);
  return found ? commonName(found.taxon) : taxonId;
};

/** What is said of some characters of a tree beside another: in terms one line that names the parts, in plain words a sentence each. */
function besideSaid(setting: LessonSetting, taxonId: string, characters: readonly string[]): string {
  const said = characters.map((id) => saidBeside(setting, taxonId, id));
  const tells = tellsIn(setting.vocabulary);
  return setting.audience === 'plain'
    ? `${goingOn(said.join('. '), sayingIn(setting.vocabulary))}.`
    : `${said.map((words, i) => (namesItsPart(words, tells) ? words : named(words, partOf(i), partOf(i - 1)))).join('; ')}.`;

  function partOf(i: number): string | undefined {
    const character = characters[i] === undefined ? undefined : setting.vocabulary.get(characters[i]);
    return character && tells.parts[character.organ];
  }
}

/** A piece that does not name its part with it, unless the piece before has: “bark smooth; red-brown”. */
const named = (words: string, part: string | undefined, before: string | undefined): string =>
  !part || part === before ? words : `${part} ${words}`;

function saidBeside(setting: LessonSetting, taxonId: string, characterId: string): string {
  const profiled = setting.list.find(({ taxon }) => taxon.id === taxonId)!;
  const character = setting.vocabulary.get(characterId)!;
  const said = saidOfCharacter(profiled, character, { ...setting, beside: true });
  if (said) return said;
  const value = profiled.scores.find((score) => score.characterId === characterId)?.value;
  const words = value
    ? valueInWords(value, character, setting.audience, setting.units)
    : tellsOf(character).notRecorded;
  return `${characterName(character, setting.audience)}: ${words}`;
}

/** The generated points with what the instructor has changed: hidden, reworded, put in another order, slides added. */
export function edited(points: readonly LessonPoint[], edits: LessonEdits): LessonStop[] {
  const own = edits.own.map(({ key, title, words, taxonId }): LessonPoint => ({
    key,
    kind: 'own',
    title,
    words,
    taxa: taxonId ? [taxonId] : [],
    characters: [],
    shows: taxonId ? ['leaf', 'twig', 'fruit'] : [],
  }));
  return inOrder([...points, ...own], edits.order).map((point) => {
    const changed = edits.reworded[point.key];
    const note = edits.notes[point.key];
    const photos = edits.pictures[point.key] ?? [];
    return {
      ...point,
      hidden: edits.hidden.includes(point.key),
      ...(changed
        ? {
            words: changed.words,
            generated: point.words,
            ...(changed.from === point.words ? {} : { outdated: true }),
          }
        : {}),
      ...(note ? { note } : {}),
      ...(photos.length > 0 ? { photos } : {}),
    };
  });
}

/** Points in the wanted order; one that the order does not know comes after the one it follows as generated. */
function inOrder(points: readonly LessonPoint[], order: readonly string[]): LessonPoint[] {
  const named = order.flatMap((key) => points.find((point) => point.key === key) ?? []);
  const result = [...named];
  points.forEach((point, i) => {
    if (result.includes(point)) return;
    const before = points
      .slice(0, i)
      .reverse()
      .find((other) => result.includes(other));
    result.splice(before ? result.indexOf(before) + 1 : 0, 0, point);
  });
  return result;
}

const SECONDS = {
  tree: 25,
  contrast: 75,
  rule: 50,
  recap: 30,
  own: 45,
  states: 90,
  exceptions: 30,
  call: 20,
};
/** Spoken slowly, and written along. */
const SECONDS_A_WORD = 0.5;
/** Each tree of a recap is called by the class. */
const SECONDS_A_TREE = 15;

/** Minutes that the points which are shown take, about: `minutesOf([])` is 0. */
export const minutesOf = (stops: readonly LessonStop[]): number =>
  Math.round(
    stops
      .filter(({ hidden }) => !hidden)
      .reduce(
        (sum, { kind, words, taxa }) =>
          sum +
          SECONDS[kind] +
          SECONDS_A_WORD * words.split(/\s+/).length +
          (kind === 'recap' ? SECONDS_A_TREE * taxa.length : 0),
        0,
      ) / 60,
  );

/**
 * Takes what was changed of one tree's points from a lesson into another: order, hidden points, words and notes.
 *
 * @example
 * movedEdits(week1, week2, 'larix-occidentalis').moved.reworded; // { 'larix-occidentalis/leaf': … }
 */
export function movedEdits(
  from: LessonEdits,
  to: LessonEdits,
  taxonId: string,
): { left: LessonEdits; moved: LessonEdits } {
  const isOf = (key: string) => key.startsWith(`${taxonId}/`);
  const part = <T>(record: Record<string, T>, wanted: boolean) =>
    Object.fromEntries(Object.entries(record).filter(([key]) => isOf(key) === wanted));
  const keys = (all: readonly string[], wanted: boolean) => all.filter((key) => isOf(key) === wanted);
  const split = (wanted: boolean) => ({
    order: keys(from.order, wanted),
    hidden: keys(from.hidden, wanted),
    reworded: part(from.reworded, wanted),
    notes: part(from.notes, wanted),
    pictures: part(from.pictures, wanted),
  });
  const taken = split(true);
  return {
    left: { ...from, ...split(false) },
    moved: {
      ...to,
      order: [...keys(to.order, false), ...taken.order],
      hidden: [...keys(to.hidden, false), ...taken.hidden],
      reworded: { ...to.reworded, ...taken.reworded },
      notes: { ...to.notes, ...taken.notes },
      pictures: { ...to.pictures, ...taken.pictures },
    },
  };
}
