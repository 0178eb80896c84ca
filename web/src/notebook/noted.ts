import type { Entry, EntryBody, Strokes } from '@hurrow/contract/notebook';
import {
  readAtTree,
  readOwnWords,
  tagKey,
  type JudgedSaying,
  type Meaning,
  type OwnPhrase,
  type Said,
  type Understood,
} from '@hurrow/core/notebook';
import type { ProfiledTaxon, ReadingOptions } from '@hurrow/core/evidence';
import { dayOfYear } from '@hurrow/core/season';
import { statesToSee } from '@hurrow/core/station';
import {
  applies,
  saidBehind,
  SHOWN_BY,
  standingOf,
  type Character,
  type ShownOrgan,
  type Vocabulary,
} from '@hurrow/core/vocabulary';

/** A new entry of a day. */
export const blankEntry = (day: string): EntryBody => ({
  day,
  tag: '',
  organ: 'bark',
  words: '',
  chosen: [],
  drawing: [],
});

/** Is there nothing in it that would be lost? */
export const isBlank = ({ words, chosen, drawing }: EntryBody, pictures = 0): boolean =>
  words.trim() === '' && chosen.length === 0 && drawing.length === 0 && pictures === 0;

/** What is asked of an organ before “More to look at” is pressed. */
const FIRST = 5;
const BEHIND: Record<ReturnType<typeof standingOf>, number> = { mark: 0, second: 1, supporting: 2 };
const LEVELS = { beginner: 0, intermediate: 1, advanced: 2 };

/**
 * Characters of an organ to choose states of, what everybody can see first; those that do not apply to what was chosen so far are left out, and
 * so is what an advanced course looks at, unless it was chosen.
 */
export function charactersToChoose(
  organ: ShownOrgan,
  chosen: readonly Meaning[],
  vocabulary: Vocabulary,
): { first: Character[]; more: Character[] } {
  const shows = (governor: string, states: readonly string[]) => {
    const said = chosen.filter(({ characterId }) => characterId === governor);
    return said.length > 0 ? said.some(({ state }) => states.includes(state)) : undefined;
  };
  const all = [...vocabulary.values()].filter(
    (character) =>
      SHOWN_BY[character.organ] === organ &&
      statesToSee(character).length > 1 &&
      character.distance !== 'cut' &&
      (character.level !== 'advanced' || chosen.some(({ characterId }) => characterId === character.id)) &&
      applies(character, shows, false),
  );
  const place = new Map(all.map((character, i) => [character, i]));
  const rank = (character: Character) =>
    LEVELS[character.level] + BEHIND[standingOf(character)] + saidBehind(character.id);
  all.sort((x, y) => rank(x) - rank(y) || place.get(x)! - place.get(y)!);
  // What rules over the others is asked first, or they do not come up.
  const ruling = all.filter(({ id }) =>
    [...vocabulary.values()].some(
      ({ organ: of, requires }) =>
        SHOWN_BY[of] === organ && requires.some(({ character }) => character === id),
    ),
  );
  const ordered = [...new Set([...ruling, ...all])];
  const isChosen = ({ id }: Character) => chosen.some(({ characterId }) => characterId === id);
  const first = ordered.filter((character, i) => i < FIRST || isChosen(character));
  return { first, more: ordered.filter((character) => !first.includes(character)) };
}

/** The chosen states after one more touch: a state of a character that has one takes the place of the one before, touched again it is taken back. */
export function touched(chosen: readonly Meaning[], character: Character, state: string): Meaning[] {
  const is = (one: Meaning) => one.characterId === character.id && one.state === state;
  if (chosen.some(is)) return chosen.filter((one) => !is(one));
  const others = character.anyOf ? chosen : chosen.filter(({ characterId }) => characterId !== character.id);
  return [...others, { characterId: character.id, state }];
}

/** What an entry says, read: the own words with what they mean, and the chosen states, each against the tree where it is known. */
export interface EntryRead {
  understood: (Understood & { judged: JudgedSaying | undefined })[];
  notUnderstood: ReturnType<typeof readOwnWords>['notUnderstood'];
  chosen: (Meaning & { judged: JudgedSaying | undefined })[];
}

export function readEntry(
  { day, organ, words, chosen }: EntryBody,
  profiled: ProfiledTaxon | undefined,
  vocabulary: Vocabulary,
  phrases: readonly OwnPhrase[],
  options: ReadingOptions = {},
): EntryRead {
  const read = readOwnWords(words, organ, vocabulary, phrases);
  const judge = (said: Said) =>
    profiled && readAtTree([said], profiled, vocabulary, dayOfYear(day), options)[0];
  return {
    understood: read.understood.map((said) => ({ ...said, judged: judge(said) })),
    notUnderstood: read.notUnderstood,
    chosen: chosen.map((said) => ({ ...said, judged: judge(said) })),
  };
}

/** One thing that an entry says, with what its tree says to it. */
export interface Saying extends Said {
  how: 'chosen' | 'own words';
  judged: JudgedSaying | undefined;
}

/** Everything that an entry says, chosen or in own words, each once. */
export function sayingsOf({ understood, chosen }: EntryRead): Saying[] {
  const all: Saying[] = [
    ...chosen.map((said) => ({ ...said, how: 'chosen' as const })),
    ...understood.map(({ from: _from, to: _to, ...said }) => ({ ...said, how: 'own words' as const })),
  ];
  const seen = new Set<string>();
  return all.filter((said) => {
    const isNew = !seen.has(sayingKey(said));
    seen.add(sayingKey(said));
    return isNew;
  });
}

/** The same for what says the same. */
export const sayingKey = ({ characterId, state, value, denied }: Said): string =>
  `${characterId} ${state} ${value ?? ''} ${denied ? 'not' : ''}`;

/** A text cut where something in it was understood, or not. */
export type Stretch = { text: string; understood?: EntryRead['understood'][number]; unknown?: boolean };

export function stretchesOf(words: string, { understood, notUnderstood }: EntryRead): Stretch[] {
  const marks = [
    ...understood.map((one) => ({ from: one.from, to: one.to, understood: one })),
    ...notUnderstood.map(({ from, to }) => ({ from, to, unknown: true })),
  ].sort((x, y) => x.from - y.from);
  const stretches: Stretch[] = [];
  let at = 0;
  for (const { from, to, ...mark } of marks) {
    if (from < at) continue;
    if (from > at) stretches.push({ text: words.slice(at, from) });
    stretches.push({ text: words.slice(from, to), ...mark });
    at = to;
  }
  if (at < words.length) stretches.push({ text: words.slice(at) });
  return stretches;
}

/** A drawing as the paths of an SVG, 1,000 by 750. */
export const pathOf = (stroke: Strokes[number]): string =>
  stroke.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${Math.round(y * 0.75)}`).join('') +
  (stroke.length === 1 ? 'l1 0' : '');

/** Entries of a tree together, the tree that was noted last first, under its tag as it was written last; entries without a tag last. */
export function byTag<E extends { entry: Pick<Entry, 'tag' | 'day'> }>(
  all: readonly E[],
): { tag: string; entries: E[] }[] {
  const groups = new Map<string, E[]>();
  for (const one of all) {
    const key = tagKey(one.entry.tag);
    const held = groups.get(key);
    if (held) held.push(one);
    else groups.set(key, [one]);
  }
  const newest = (entries: readonly E[]) => entries[0]!.entry;
  return [...groups]
    .sort(
      ([x, of], [y, others]) =>
        Number(x === '') - Number(y === '') || newest(others).day.localeCompare(newest(of).day),
    )
    .map(([, entries]) => ({ tag: newest(entries).tag, entries }));
}
