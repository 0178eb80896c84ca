import { t } from '@lingui/core/macro';
import type { Marks, Quiz, RuledWords } from '@hurrow/contract/quizzes';
import { inTerms, wordsKey } from '@hurrow/core/formats';
import { GUESS, WHOLE_LOOK } from '@hurrow/core/station';
import type { Vocabulary } from '@hurrow/core/vocabulary';

/** Words that papers say a tree was named by and that wait for a ruling: equal ones once. */
export interface WaitingWords {
  /** As the first paper has them. */
  words: string;
  papers: number;
  /** Positions of their stations, in order. */
  stations: number[];
  /** What they may count as: the characters that these stations offered, then the whole look and a guess. */
  choices: { id: string; word: string }[];
}

/**
 * What waits for a ruling, what is on the most papers first.
 *
 * @example
 * wordsToRule(marks, quiz, vocabulary); // [{ words: 'pointy tips', papers: 3, stations: [2, 5], choices: [{ id: 'bud.tip', word: 'bud tip' }, …] }]
 */
export function wordsToRule(marks: Marks, quiz: Quiz, vocabulary: Vocabulary): WaitingWords[] {
  const ruled = new Set(marks.words.map(({ words }) => words));
  const stationOf = new Map(quiz.stations.map((station) => [station.id, station]));
  const waiting = new Map<string, { words: string; papers: number; stations: Set<string> }>();
  for (const { stationId, written } of marks.answers)
    for (const words of written.wentByUnread ?? []) {
      const key = wordsKey(words);
      if (ruled.has(key)) continue;
      const held = waiting.get(key) ?? { words, papers: 0, stations: new Set<string>() };
      held.papers += 1;
      held.stations.add(stationId);
      waiting.set(key, held);
    }
  return [...waiting.values()]
    .map(({ words, papers, stations }) => {
      const asked = [...stations].flatMap((id) => stationOf.get(id) ?? []);
      const ids = new Set(asked.flatMap(({ offered }) => offered));
      const characters = [...vocabulary.values()].filter(({ id }) => ids.has(id));
      return {
        words,
        papers,
        stations: asked.map(({ position }) => position).sort((x, y) => x - y),
        choices: [
          ...characters.map(({ id }) => ({ id, word: inTerms(id, characters) })),
          ...[WHOLE_LOOK, GUESS].map((id) => ({ id, word: id })),
        ],
      };
    })
    .sort((x, y) => y.papers - x.papers || x.words.localeCompare(y.words));
}

/** Rulings of the course on words that stand on papers of this quiz. */
export function ruledHere({ answers, words }: Marks): RuledWords[] {
  const here = new Set(answers.flatMap(({ written }) => (written.wentByUnread ?? []).map(wordsKey)));
  return words.filter((ruled) => here.has(ruled.words));
}

/** What ruled words count as, said after them: “is bud shape”. */
export function countsAsInWords({ countsAs }: RuledWords, vocabulary: Vocabulary): string {
  if (countsAs === null) return t`is nothing that was offered`;
  const character = vocabulary.get(countsAs);
  return t`is ${character ? inTerms(countsAs, [...vocabulary.values()]) : countsAs}`;
}
