import type { ProfiledTaxon } from '../evidence/index.ts';
import { editDistance } from '../names/fold.ts';
import { stateOf, type Vocabulary } from '../vocabulary/index.ts';
import type { AdoptedScore } from '../score/index.ts';

/** What a word weighs by where it stands. */
const WEIGHT = { name: 8, otherName: 5, family: 4, state: 3, character: 1 };

/** Words, each with the taxa it stands for: place of the taxon in the list → weight. */
export interface SearchIndex {
  ids: string[];
  words: Map<string, Map<number, number>>;
  /** The words by length, for finding misspelled ones without trying them all. */
  byLength: Map<number, string[]>;
  /** For each taxon its counts: "5" finds needles in fives. */
  counts: { low: number; high: number; words: string[] }[][];
}

const wordsOf = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter((word) => word.length > 1 || /\d/.test(word));

/** "needles" and "needle" are one word. */
const stem = (word: string): string =>
  word.length > 3
    ? word
        .replace(/(?<=[a-z])(?:ves)$/, 'f')
        .replace(/ies$/, 'y')
        .replace(/(?<!s)s$/, '')
    : word;

/** Builds the index of a library over all names, families and the states that each taxon shows. */
export function searchIndex(profiles: readonly ProfiledTaxon[], vocabulary: Vocabulary): SearchIndex {
  const words: SearchIndex['words'] = new Map();
  const said = new Map<string, string[]>();
  const saidOnce = (text: string) => {
    let list = said.get(text);
    if (!list) said.set(text, (list = [...new Set(wordsOf(text).map(stem))]));
    return list;
  };
  const add = (text: string, place: number, weight: number) => {
    for (const word of saidOnce(text)) {
      let taxa = words.get(word);
      if (!taxa) words.set(word, (taxa = new Map()));
      if ((taxa.get(place) ?? 0) < weight) taxa.set(place, weight);
    }
  };
  const counts = profiles.map(({ taxon, scores }, place) => {
    add(
      [taxon.genus, taxon.epithet, taxon.infraEpithet ?? '', taxon.commonNames[0] ?? ''].join(' '),
      place,
      WEIGHT.name,
    );
    add(
      [...taxon.commonNames, ...Object.values(taxon.namesIn ?? {}).flat(), ...taxon.synonyms].join(' '),
      place,
      WEIGHT.otherName,
    );
    add(
      [taxon.family, taxon.familyCommon ?? '', ...(taxon.olderFamilies ?? [])].join(' '),
      place,
      WEIGHT.family,
    );
    return scores.flatMap((score) => addScore(score, place));
  });
  function addScore(score: AdoptedScore, place: number) {
    const character = vocabulary.get(score.characterId);
    if (!character) return [];
    const named = `${character.organ} ${character.term} ${character.plain}`;
    if (score.value.kind === 'states')
      for (const { state, frequency } of score.value.states) {
        const found = frequency === 'never' ? undefined : stateOf(character, state);
        if (!found) continue;
        add(`${found.term} ${found.plain}`, place, frequency === 'rarely' ? 1 : WEIGHT.state);
        add(named, place, WEIGHT.character);
      }
    if (score.value.kind === 'flag' && score.value.frequency !== 'never') add(named, place, WEIGHT.state);
    if (score.value.kind !== 'range' || character.kind !== 'count') return [];
    add(named, place, WEIGHT.character);
    const { low, high, min, max } = score.value;
    return [{ low: low ?? min ?? 0, high: high ?? max ?? low ?? Infinity, words: saidOnce(named) }];
  }
  const byLength: SearchIndex['byLength'] = new Map();
  for (const word of words.keys()) byLength.set(word.length, [...(byLength.get(word.length) ?? []), word]);
  return { ids: profiles.map(({ taxon }) => taxon.id), words, byLength, counts };
}

export interface Found {
  id: string;
  weight: number;
}

/**
 * Taxa that every word of a query speaks of, the best first: "needles 5 blue white bark". A word may be misspelled by one
 * letter from four letters on and by two from eight on; the last may be unfinished; a number finds what is counted.
 * An empty query finds nothing.
 */
export function search(index: SearchIndex, query: string, limit = 50): Found[] {
  const words = wordsOf(query);
  if (words.length === 0) return [];
  const unfinished = !/\s$/.test(query);
  let found: Map<number, number> | undefined;
  for (const [i, word] of words.entries()) {
    const hits = /^\d+$/.test(word)
      ? counted(index, Number(word), words)
      : spoken(index, stem(word), unfinished && i === words.length - 1 ? word : undefined);
    const previous = found;
    found = previous
      ? new Map(
          [...hits].flatMap(([place, weight]) =>
            previous.has(place) ? [[place, previous.get(place)! + weight]] : [],
          ),
        )
      : hits;
  }
  return [...found!]
    .map(([place, weight]) => ({ id: index.ids[place]!, weight }))
    .sort((a, b) => b.weight - a.weight || a.id.localeCompare(b.id))
    .slice(0, limit);
}

function spoken(index: SearchIndex, word: string, prefix: string | undefined): Map<number, number> {
  const hits = new Map<number, number>();
  const take = (known: string, share: number) => {
    for (const [place, weight] of index.words.get(known)!)
      if ((hits.get(place) ?? 0) < weight * share) hits.set(place, weight * share);
  };
  if (index.words.has(word)) take(word, 1);
  if (prefix)
    for (const known of index.words.keys()) if (known !== word && known.startsWith(prefix)) take(known, 0.8);
  if (hits.size > 0) return hits;
  const slips = word.length >= 8 ? 2 : word.length >= 4 ? 1 : 0;
  for (let length = word.length - slips; slips > 0 && length <= word.length + slips; length += 1)
    for (const known of index.byLength.get(length) ?? [])
      if (editDistance(word, known) <= slips) take(known, 0.5);
  return hits;
}

/** Taxa that have so many of something; much better when the query names what is counted. */
function counted(index: SearchIndex, n: number, words: readonly string[]): Map<number, number> {
  const stems = words.map(stem);
  const hits = new Map<number, number>();
  for (const [place, counts] of index.counts.entries())
    for (const count of counts) {
      if (n < count.low || n > count.high) continue;
      const named = count.words.some((word) => stems.includes(word));
      const weight = (named ? 6 : 1) / Math.max(1, Math.min(4, count.high - count.low + 1));
      if ((hits.get(place) ?? 0) < weight) hits.set(place, weight);
    }
  return hits;
}
