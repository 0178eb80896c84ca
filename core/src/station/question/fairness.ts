import { contrast, misreadRate, type ProfiledTaxon, type ReadingOptions } from '../../evidence/index.ts';
import { randomFrom } from '../../random/index.ts';
import type { View } from '../../view/index.ts';
import type { Vocabulary } from '../../vocabulary/index.ts';
import { FAIR_AT } from '../fairness.ts';
import { Reader } from '../reader.ts';
import type { Question } from './question.ts';

const DRAWS = 4000;

/**
 * The share of ideal readers who answer a question rightly: of family and genus those whose reading fits no tree of another one better (ties
 * share), of a feature or a number those who read it as it is, of what settles two trees those who tell the two apart.
 *
 * @returns 0–1
 * @example
 * questionFairness({ kind: 'genus' }, list, 'abies-grandis', BUILT_IN, view); // 0.998, though two firs are hard to tell apart
 */
export function questionFairness(
  question: Question,
  list: readonly ProfiledTaxon[],
  taxonId: string,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): number {
  if (question.kind === 'state' || question.kind === 'number' || question.kind === 'sort') {
    const character = vocabulary.get(question.characterId);
    return character ? 1 - misreadRate(character, options.reader ?? 'careful') : 0;
  }
  if (question.kind === 'settles')
    return list.some(({ taxon }) => taxon.id === question.from)
      ? 1 - contrast(list, taxonId, question.from, vocabulary, view, options).error
      : 0;
  const { kind } = question;
  const t = list.findIndex(({ taxon }) => taxon.id === taxonId);
  if (t < 0) throw new Error('The taxon of a station must be on the taught list');
  const reader = new Reader(list, vocabulary, view, options);
  const random = randomFrom(1);
  const own = list[t]!.taxon[kind];
  let right = 0;
  for (let i = 0; i < DRAWS; i += 1) {
    const judged = reader.judge(t, reader.readScores(t, random));
    // Where rivals only tie, the tree itself is one of those that are named.
    const named = [...(judged.right > 0 ? [t] : []), ...judged.rivals];
    right += named.filter((k) => list[k]!.taxon[kind] === own).length / named.length;
  }
  return right / DRAWS;
}

/**
 * What can be asked fairly at a station whose name cannot: its genus, else its family. Undefined where neither is fair.
 *
 * @example
 * easierQuestion(list, 'salix-scouleriana', BUILT_IN, bareTwig); // { question: { kind: 'genus' }, right: 0.97 }
 */
export function easierQuestion(
  list: readonly ProfiledTaxon[],
  taxonId: string,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): { question: Question; right: number } | undefined {
  for (const kind of ['genus', 'family'] as const) {
    const right = questionFairness({ kind }, list, taxonId, vocabulary, view, options);
    if (right >= FAIR_AT) return { question: { kind }, right };
  }
  return undefined;
}
