import {
  characterEvidence,
  readingsOf,
  spokenFor,
  type ProfiledTaxon,
  type ReadingOptions,
} from '../evidence/index.ts';
import { randomFrom } from '../random/index.ts';
import { characterName, type Audience } from '../score/index.ts';
import { SHOWN_TITLES, type View } from '../view/index.ts';
import { SHOWN_BY, type Vocabulary } from '../vocabulary/index.ts';

/** What can be ticked besides characters. */
export const WHOLE_LOOK = 'the whole look of it';
export const GUESS = 'a guess';

/** At most so many characters are told of one answer. */
export const MOST_TOLD = 3;
/** How many characters a checklist offers, and how many of them could tell the tree from its rivals, where there are so many. */
const OFFERED = 18;
const TELLING = 14;
/** From this evidence on a character could tell, nats: its distributions overlap by three quarters at most. */
const TELLS = 0.3;
const RIVALS = 5;
/** At least so many can be told apart, or there is nothing to ask. */
const FEWEST = 3;
/** What is known for sure is drawn all the same now and then. */
const LEAST_READILY = 0.05;

export interface ChecklistOptions extends ReadingOptions {
  /** The same seed gives the same list. */
  seed: number;
  /** How often each character has been on the checklists of this quiz already: the others go before. */
  offered?: ReadonlyMap<string, number>;
  /** How doubtful it still is whether the class uses each, 0–1; 1 where it is not said: the most doubtful go before. */
  doubtful?: Readonly<Record<string, number>>;
}

/**
 * What a station's students can say they went by: characters that can be seen of its tree, three quarters of them such as could tell it from the names
 * likest to it, the others such as could not, so that the list does not give away what matters. Of near-duplicates one is offered.
 *
 * @param list the names that can be given, the truth among them
 * @returns ids of characters organ by organ, at most 18; empty where fewer than three can be seen
 * @example
 * checklistOf('abies-grandis', list, BUILT_IN, view, { seed: 1 }); // ['needle.lie', 'needle.bands', 'bud.resin', …]
 */
export function checklistOf(
  truth: string,
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  { seed, offered = new Map(), doubtful = {}, ...options }: ChecklistOptions,
): string[] {
  const t = list.findIndex(({ taxon }) => taxon.id === truth);
  if (t < 0) return [];
  const readings = readingsOf(list, vocabulary, view, { ...options, reader: 'novice' });
  const left = spokenFor(readings);
  const seen = [...readings.channels].filter(
    ([id, channels]) =>
      !left.has(id) && !channels[0]!.character.derived && channels.some(({ rows }) => rows[t] !== undefined),
  );
  if (seen.length < FEWEST) return [];
  const against = list.map((_, k) =>
    k === t ? [] : seen.map(([, channels]) => characterEvidence(channels, t, k)?.evidence ?? 0),
  );
  const rivals = [...list.keys()]
    .filter((k) => k !== t)
    .sort((x, y) => sum(against[x]!) - sum(against[y]!))
    .slice(0, RIVALS);
  const random = randomFrom(seed);
  // Drawn without replacement (Efraimidis & Spirakis 2006), what has been offered often drawn seldom, and what is known already.
  const readily = (id: string) =>
    Math.max(LEAST_READILY, doubtful[id] ?? 1) ** 2 / (1 + (offered.get(id) ?? 0)) ** 2;
  const drawn = seen
    .map(([id], i) => ({
      id,
      tells: rivals.some((k) => against[k]![i]! >= TELLS),
      key: -Math.log(1 - random.uniform()) / readily(id),
    }))
    .sort((x, y) => x.key - y.key);
  const [telling, silent] = [true, false].map((is) => drawn.filter(({ tells }) => tells === is));
  const others = silent!.slice(0, Math.max(OFFERED - TELLING, OFFERED - telling!.length));
  const taken = new Set([...telling!.slice(0, OFFERED - others.length), ...others].map(({ id }) => id));
  return seen.map(([id]) => id).filter((id) => taken.has(id));
}

/** What can be told as gone by, of one organ. */
export interface OfferedOrgan {
  organ: string;
  characters: { id: string; word: string }[];
}

/**
 * A checklist in the course's words, organ by organ as a tree is looked at.
 *
 * @param ids as `checklistOf` gives them; what the vocabulary lacks is left out
 * @example
 * offeredInWords(['leaf.arrangement'], BUILT_IN, 'technical'); // [{ organ: 'leaf', characters: [{ id: 'leaf.arrangement', word: 'arrangement' }] }]
 */
export function offeredInWords(
  ids: readonly string[],
  vocabulary: Vocabulary,
  audience: Audience,
): OfferedOrgan[] {
  const offered: OfferedOrgan[] = [];
  for (const id of ids) {
    const character = vocabulary.get(id);
    if (!character) continue;
    const organ = SHOWN_TITLES[SHOWN_BY[character.organ]];
    const held = offered.find((entry) => entry.organ === organ);
    const one = { id, word: characterName(character, audience) };
    if (held) held.characters.push(one);
    else offered.push({ organ, characters: [one] });
  }
  return offered;
}

const sum = (values: readonly number[]): number => values.reduce((all, x) => all + x, 0);
