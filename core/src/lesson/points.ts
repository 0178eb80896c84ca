import {
  scoresInView,
  tellingCharacters,
  type ProfiledTaxon,
  type ReadingOptions,
} from '../evidence/index.ts';
import { cellAt, type Range } from '../range/index.ts';
import { scientificName, sizePoints, type LargestTree, type Taxon } from '../taxon/index.ts';
import {
  conventionOf,
  putIn,
  standingOf,
  type Character,
  type ShownOrgan,
  type TeachingStart,
  type Vocabulary,
} from '../vocabulary/index.ts';
import { askOfCharacter, howToLook } from './looking.ts';
import { leadingStates, namesItsPart, saidOfCharacter, type Voice } from './saying.ts';
import { goingOn, sayingIn, tellsIn } from './tells.ts';
import { OF_ORGANS, topicsInOrder, type Topic, type TopicOfOrgans } from './topics.ts';
import { upperFirst } from '../words/index.ts';

/** One point of a lesson: what stands on the sheet while it is talked about. */
export interface LessonPoint {
  /** The same as long as it is about the same thing: `larix-occidentalis/leaf`, `contrast/a/b`, `recap`. */
  key: string;
  kind: 'tree' | 'contrast' | 'rule' | 'recap' | 'own' | 'states' | 'exceptions' | 'call';
  title: string;
  /** One line in the words of the course. */
  words: string;
  /** What to look at, and how. */
  look?: string;
  /** The question to ask before the line is shown. */
  ask?: string;
  /** Trees that it is about: one, two of a contrast, all of a recap. */
  taxa: string[];
  topic?: Topic;
  /** Characters that the line says, the one to point at first. */
  characters: string[];
  /** What is drawn of its trees; nothing where a map or words alone serve. */
  shows: ShownOrgan[];
  /** Drawn of a young tree and of a mature one, side by side: its line says both. */
  ages?: true;
  /** In a row of states, which its trees show, one each; of a specimen to call, those that may be called. */
  states?: string[];
  /** Of a specimen to call, the individual. */
  seed?: number;
  /** In a recap, what is said of each tree. */
  each?: Recalled[];
}

/** The one mark of a tree, at the end of a lesson. */
export interface Recalled {
  taxonId: string;
  words: string;
  characterId?: string;
  shows: ShownOrgan[];
}

export interface LessonSetting extends Voice {
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  startsWith: TeachingStart;
  /** Where the course is, and where the calendars were recorded. */
  reading: ReadingOptions;
  rangeOf?(taxonId: string): Range | undefined;
}

/** So many characters are said in one line beside those that are always said. */
const TOLD = { technical: 3, plain: 2 };
/** A character that tells less than this is said only where nothing better is. */
const TELLS_LITTLE = 0.04;
/** In plain words what is advanced is left out. */
const isFor = (character: Character, { audience }: Voice) =>
  audience === 'technical' || character.level !== 'advanced';

/**
 * The points of one tree, in the course's order of organs; what nothing is known of has no point.
 *
 * @param setting the whole list that is taught, from which follows what is worth saying of the tree
 * @example
 * pointsOf(setting, 'larix-occidentalis').find(({ topic }) => topic === 'leaf')!.words; // 'Needles in tufts on spurs, 15–40 to a spur, …'
 */
export function pointsOf(
  setting: LessonSetting,
  taxonId: string,
  telling = tellingOfList(setting),
): LessonPoint[] {
  const profiled = setting.list.find(({ taxon }) => taxon.id === taxonId);
  if (!profiled) return [];
  const told = telling.get(taxonId) ?? new Map<string, number>();
  const tells = tellsIn(setting.vocabulary);
  return topicsInOrder(setting.startsWith).flatMap((topic): LessonPoint[] => {
    const of = OF_ORGANS[topic];
    const found = of ? ofOrgans(setting, profiled, topic, of, told) : ofTold(setting, profiled.taxon, topic);
    return found
      ? [
          {
            key: `${taxonId}/${topic}`,
            kind: 'tree',
            title: tells.titles[topic]!,
            taxa: [taxonId],
            topic,
            ...found,
          },
        ]
      : [];
  });
}

/** What each character tells of each tree of the list, by id: worked out once for a lesson. */
export function tellingOfList({
  list,
  vocabulary,
  reading,
}: LessonSetting): Map<string, ReadonlyMap<string, number>> {
  const found = tellingCharacters(list, vocabulary, reading);
  return new Map(list.map(({ taxon }, t) => [taxon.id, found[t]!]));
}

type Found = Pick<LessonPoint, 'words' | 'characters' | 'shows'> &
  Partial<Pick<LessonPoint, 'look' | 'ask' | 'ages'>>;

function ofOrgans(
  setting: LessonSetting,
  profiled: ProfiledTaxon,
  topic: Topic,
  of: TopicOfOrgans,
  told: ReadonlyMap<string, number>,
): Found | undefined {
  const said = chosenFor(setting, profiled, of, told);
  const line = lineOf(
    said.map(({ words }) => words),
    topic,
    setting,
  );
  const words = topic === 'bark' ? withYoung(line, setting, profiled) : line;
  const here = topic === 'place' ? standingHere(setting, profiled.taxon.id) : '';
  const whole = [words, here].filter(Boolean).join(' ');
  if (!whole) return undefined;
  const [first] = [...said].sort((x, y) => (told.get(y.id) ?? 0) - (told.get(x.id) ?? 0));
  const named = first && setting.vocabulary.get(first.id)!;
  const look = named && howToLook(named);
  return {
    words: whole,
    characters: [first, ...said]
      .flatMap((each) => (each ? [each.id] : []))
      .filter((id, i, all) => all.indexOf(id) === i),
    shows: [...of.shows],
    ...(words === line ? {} : { ages: true as const }),
    ...(look ? { look } : {}),
    ...(named ? { ask: askingOf(named, setting) } : {}),
  };
}

/** Whether it grows where the course is, from its range. */
function standingHere({ rangeOf, reading, vocabulary }: LessonSetting, taxonId: string): string {
  const cells = rangeOf?.(taxonId)?.cells ?? {};
  const status = reading.site && cells[cellAt(reading.site.latitude, reading.site.longitude)];
  return (status && tellsIn(vocabulary).standing[status]) ?? '';
}

const askingOf = (character: Character, { audience }: Voice): string => askOfCharacter(character, audience);

interface Said {
  id: string;
  words: string;
}

/** The characters that are said of an organ: what is always said, then what tells the tree from those like it, in a book's order. */
function chosenFor(
  setting: LessonSetting,
  profiled: ProfiledTaxon,
  of: TopicOfOrgans,
  told: ReadonlyMap<string, number>,
): Said[] {
  const order = [...setting.vocabulary.keys()];
  const tells = tellsIn(setting.vocabulary);
  const { genus } = profiled.taxon;
  const needled = isNeedled(profiled);
  const candidates = [...setting.vocabulary.values()].flatMap((character) => {
    const isAlways = of.always.includes(character.id);
    if (
      (!isAlways && !of.organs.includes(character.organ)) ||
      character.derived ||
      !isFor(character, setting)
    )
      return [];
    if (needled && NOT_OF_NEEDLED.includes(character.id)) return [];
    if (!appliesUsually(character, profiled, setting.vocabulary)) return [];
    const words = saidOfCharacter(profiled, character, setting);
    if (!words) return [];
    const worth = told.get(character.id) ?? 0;
    const supporting = standingOf(character, genus) === 'supporting';
    const isNews = !isUnlobed(character, profiled) || worth > UNLOBED_IS_NEWS;
    const reworded = of.says?.[character.id]?.(words, setting.audience, tells) ?? words;
    return isNews
      ? [{ id: character.id, words: reworded, worth: worth - (supporting ? 1 : 0), always: isAlways }]
      : [];
  });
  const always = candidates.filter((each) => each.always);
  const rest = candidates.filter((each) => !each.always).sort((x, y) => y.worth - x.worth);
  const telling = rest.filter(({ worth }) => worth >= TELLS_LITTLE).slice(0, TOLD[setting.audience]);
  const chosen = [...always, ...telling, ...(always.length + telling.length === 0 ? rest.slice(0, 2) : [])];
  const placeOf = (id: string) => {
    const among = of.always.indexOf(id);
    return among >= 0 ? among : of.always.length + conventionOf(id) * 1000 + order.indexOf(id);
  };
  return chosen.sort((x, y) => placeOf(x.id) - placeOf(y.id)).map(({ id, words }) => ({ id, words }));
}

/** That a leaf is unlobed is news only beside lobed ones. */
const UNLOBED_IS_NEWS = 0.1;
const isUnlobed = ({ id }: Character, { scores }: ProfiledTaxon): boolean =>
  id === 'leaf.lobing' &&
  scores.some(
    ({ characterId, value }) =>
      characterId === id && value.kind === 'states' && value.states[0]?.state === 'none',
  );
/** Of needles and scales it is said how they lie, not that they are alternate. */
const NOT_OF_NEEDLED = ['twig.arrangement', 'twig.ranks'];

/** Whether what a character depends on is usually so: leaflets are counted only where most leaves have some. */
const appliesUsually = (character: Character, { scores }: ProfiledTaxon, vocabulary: Vocabulary): boolean =>
  character.requires.every(({ character: id, states }) => {
    const value = scores.find(({ characterId }) => characterId === id)?.value;
    if (value?.kind !== 'states') return true;
    return leadingStates(value.states, vocabulary.get(id)!).some((state) => states.includes(state));
  });

/** Whether it has needles or scales. */
const isNeedled = ({ scores }: ProfiledTaxon): boolean =>
  scores.some(
    ({ characterId, value }) =>
      characterId === 'foliage.kind' && value.kind === 'states' && value.states[0]?.state !== 'broad',
  );

function lineOf(words: readonly string[], topic: Topic, { audience, vocabulary }: LessonSetting): string {
  if (words.length === 0) return '';
  if (audience === 'plain') return words.map((sentence) => `${sentence}.`).join(' ');
  const joined = words.join(words.some((each) => each.includes(',')) ? '; ' : ', ');
  const tells = tellsIn(vocabulary);
  const begins = namesItsPart(joined, tells) ? '' : (tells.begins[topic] ?? '');
  return `${upperFirst(begins + joined)}.`;
}

/** The bark of a young stem, where it differs from that of the old one. */
function withYoung(line: string, setting: LessonSetting, profiled: ProfiledTaxon): string {
  const surface = setting.vocabulary.get('bark.surface');
  const young = scoresInView(
    profiled.scores.filter(({ characterId }) => characterId === 'bark.surface'),
    { qualifiers: { plantAge: 'young' } },
  )[0];
  if (!surface || !young || young.qualifiers.plantAge !== 'young') return line;
  const said = saidOfCharacter(profiled, surface, setting, { plantAge: 'young' });
  const usual = (age: string) => {
    const value = scoresInView(
      profiled.scores.filter(({ characterId }) => characterId === 'bark.surface'),
      { qualifiers: { plantAge: age } },
    )[0]?.value;
    return value?.kind === 'states' ? leadingStates(value.states, surface).join() : '';
  };
  if (!said || usual('young') === usual('mature')) return line;
  const tells = tellsIn(setting.vocabulary);
  if (setting.audience === 'technical') return `${line} ${putIn(tells.youngBark.technical, said)}`;
  // What is said of the old bark is not said again.
  const news = said.split('. ').filter((sentence) => !line.includes(`${sentence}.`));
  return news.length > 0
    ? `${line} ${putIn(tells.youngBark.plain, goingOn(news.join('. '), sayingIn(setting.vocabulary)))}`
    : line;
}

/** Points that are told: names, history, the largest, aid and care. */
function ofTold(
  { audience, units, vocabulary }: LessonSetting,
  taxon: Taxon,
  topic: Topic,
): Found | undefined {
  const tells = tellsIn(vocabulary);
  switch (topic) {
    case 'name': {
      const others = taxon.commonNames.slice(1);
      const also = others.length > 0 ? putIn(tells.name.also, others.join(', ')) : '';
      const { family, familyCommon: common = family } = taxon;
      const ofFamily = putIn(common === family ? '{family}.' : tells.name.family, { common, family });
      const words =
        audience === 'plain'
          ? [putIn(tells.name.scientific, scientificName(taxon)), also]
          : [upperFirst(ofFamily), also];
      return {
        words: [...words, taxon.meaning].filter(Boolean).join(' '),
        ask: tells.name.ask,
        characters: [],
        shows: ['leaf', 'twig', 'fruit'],
      };
    }
    case 'history': {
      const told = [taxon.wildlife, taxon.uses && putIn(tells.history, taxon.uses), taxon.fact].filter(
        Boolean,
      );
      return told.length > 0 ? { words: told.join(' '), characters: [], shows: [] } : undefined;
    }
    case 'largest': {
      const [first] = [...(taxon.largest ?? [])].sort((x, y) => sizePoints(y) - sizePoints(x));
      return first && { words: largestInWords(first, units, vocabulary), characters: [], shows: ['habit'] };
    }
    case 'aid':
      return taxon.memoryAid
        ? { words: taxon.memoryAid, characters: [], shows: ['leaf', 'twig', 'fruit'] }
        : undefined;
    case 'caution':
      return taxon.cautions.length > 0
        ? {
            words: taxon.cautions
              .map(({ kind, part, effect, care }) => `${upperFirst(kind)}: ${part}. ${effect} ${care}`)
              .join(' '),
            characters: [],
            shows: [],
          }
        : undefined;
    default:
      return undefined;
  }
}

function largestInWords(tree: LargestTree, units: Voice['units'], vocabulary: Vocabulary): string {
  const { place, year, girth, height, crownSpread } = tree;
  const { point } = sayingIn(vocabulary);
  const length = (metres: number) =>
    units === 'metric' ? `${metres.toFixed(1).replace('.', point)} m` : `${Math.round(metres / 0.3048)} ft`;
  return putIn(tellsIn(vocabulary).largest, {
    place: `${upperFirst(place)}${year ? ` (${year})` : ''}`,
    girth: length(girth),
    height: length(height),
    crown: length(crownSpread),
    points: String(sizePoints(tree)),
  });
}
