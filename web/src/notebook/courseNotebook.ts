import { t } from '@lingui/core/macro';
import type { CourseNotebook, ReadEntry } from '@hurrow/contract/notebook';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { writeTable } from '@hurrow/core/formats';
import {
  learnable,
  taxonByTag,
  type JudgedSaying,
  type OwnPhrase,
  type Verdict,
  type WordToTeach,
} from '@hurrow/core/notebook';
import { characterName, valueInWords, type Audience, type UnitSystem } from '@hurrow/core/score';
import type { Place } from '@hurrow/core/season';
import { commonName } from '@hurrow/core/taxon';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { stateOf, type Character, type Vocabulary } from '@hurrow/core/vocabulary';
import { readEntry, sayingsOf, type EntryRead } from './noted.ts';

/** What entries are read with. */
export interface Reading {
  course: WholeCourse;
  profiles: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  /** Where the library's calendars were recorded. */
  reference: Place;
}

export interface ReadWithEntry {
  entry: ReadEntry;
  read: EntryRead;
  /** The tree that carries its tag. */
  tree: ProfiledTaxon | undefined;
}

/** Every entry of a class, read against the tree that carries its tag. */
export function readAll({ entries, tags, phrases }: CourseNotebook, reading: Reading): ReadWithEntry[] {
  const { course, profiles, vocabulary, reference } = reading;
  const { latitude, longitude, elevation } = course;
  const options = { reference, site: { latitude, longitude, elevation } };
  const taxonOf = taxonByTag(tags);
  return entries.map((entry) => {
    const id = taxonOf(entry.tag);
    const tree = profiles.find(({ taxon }) => taxon.id === id);
    return { entry, tree, read: readEntry(entry, tree, vocabulary, phrases, options) };
  });
}

/** How many things an entry says that agree with its tree, and how many that do not; nothing where the tree is not known. */
export function tally(read: EntryRead): { agree: number; misread: number } {
  const verdicts = sayingsOf(read).map(({ judged }) => judged?.verdict);
  return {
    agree: verdicts.filter((verdict) => verdict === 'agrees' || verdict === 'seldom').length,
    misread: verdicts.filter((verdict) => verdict === 'misread').length,
  };
}

/** What the class's words that are not known may mean, by what was chosen beside them. */
export const wordsToTeach = (all: readonly ReadWithEntry[], phrases: readonly OwnPhrase[]): WordToTeach[] =>
  learnable(
    all.map(({ entry, read }) => ({
      studentId: entry.studentId,
      unknown: read.notUnderstood.map(({ words }) => words),
      chosen: read.chosen,
    })),
  ).filter(({ phrase }) => !phrases.some((known) => known.phrase.toLowerCase() === phrase.toLowerCase()));

const VERDICTS: Record<Verdict, string> = {
  agrees: t`agrees`,
  seldom: t`seldom so`,
  nearly: t`nearly so`,
  misread: t`misread`,
  'not said': t`the scores do not say`,
  'not to be seen': t`not to be seen then`,
};

export const verdictInWords = (judged: JudgedSaying | undefined): string =>
  judged ? `${VERDICTS[judged.verdict]}${judged.young ? t`, of a young tree` : ''}` : '';

interface Words {
  audience: Audience;
  units: UnitSystem;
}

/** A state, or a number, in the course's words; “not …” where it was denied. */
export function sayingInWords(
  { state, value, denied }: { state: string; value?: number; denied?: boolean },
  character: Character,
  { audience, units }: Words,
): string {
  const said =
    value === undefined
      ? (stateOf(character, state)?.[audience === 'plain' ? 'plain' : 'term'] ?? state)
      : valueInWords({ kind: 'range', typical: value }, character, audience, units);
  return denied ? t`not ${said}` : said;
}

/** What the tree shows of a character, in the course's words; nothing where the scores do not say. */
export function shownInWords(judged: JudgedSaying | undefined, character: Character, words: Words): string {
  if (!judged) return '';
  return judged.scored.map((value) => valueInWords(value, character, words.audience, words.units)).join('; ');
}

/** The notebooks as a table: a row for each thing that was said. */
export function notebookTable(all: readonly ReadWithEntry[], vocabulary: Vocabulary, words: Words): string {
  const rows = all.flatMap(({ entry, read, tree }) => {
    const head = [
      entry.day,
      entry.student,
      entry.tag,
      tree ? commonName(tree.taxon) : '',
      SHOWN_TITLES[entry.organ],
      entry.words,
    ];
    const said = sayingsOf(read).map((saying) => {
      const character = vocabulary.get(saying.characterId)!;
      return [
        ...head,
        characterName(character, words.audience),
        sayingInWords(saying, character, words),
        saying.how,
        verdictInWords(saying.judged),
        shownInWords(saying.judged, character, words),
      ];
    });
    return said.length > 0 ? said : [[...head, '', '', '', '', '']];
  });
  return writeTable(
    [
      'day',
      'student',
      'tag',
      'tree',
      'part',
      'own words',
      'character',
      'said',
      'how',
      'verdict',
      'the tree shows',
    ],
    rows,
  );
}
