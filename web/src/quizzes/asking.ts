import { t } from '@lingui/core/macro';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { usualWithin, type Question, type QuestionKind } from '@hurrow/core/station';
import type { Vocabulary } from '@hurrow/core/vocabulary';

/** What can be asked about at a station: characters, and trees to tell it from. */
export interface AskableHere {
  state: readonly string[];
  number: readonly string[];
  /** By what drawn specimens can be sorted; empty where nothing is drawn. */
  sort: readonly string[];
  /** Ids of other taxa of the list, relatives first. */
  others: readonly string[];
}

/** The kinds of question that can be asked at a station; the name and what follows from it always can. */
export const kindsHere = ({ state, number, others, sort }: AskableHere): QuestionKind[] => [
  'family',
  'genus',
  ...(state.length > 0 ? (['state'] as const) : []),
  ...(others.length > 0 ? (['settles'] as const) : []),
  ...(sort.length > 0 ? (['sort'] as const) : []),
  ...(number.length > 0 ? (['number'] as const) : []),
];

/** A question of a kind, about the first thing that it can be about; nothing where it can be about none, or the name is asked. */
export function begun(kind: QuestionKind | '', here: AskableHere): Question | null {
  const [state, number, sort, other] = [here.state[0], here.number[0], here.sort[0], here.others[0]];
  switch (kind) {
    case 'family':
    case 'genus':
      return { kind };
    case 'state':
      return state ? { kind, characterId: state } : null;
    case 'sort':
      return sort ? { kind, characterId: sort } : null;
    case 'number':
      return number ? { kind, characterId: number } : null;
    case 'settles':
      return other ? { kind, from: other } : null;
    default:
      return null;
  }
}

/** The question that stays when a station shows something else: what it asks of the tree, not of what is seen. */
export const keptQuestion = (question: Question | null | undefined): Question | null =>
  question?.kind === 'family' || question?.kind === 'genus' ? question : null;

/**
 * What is asked, in a few words of a plan.
 *
 * @param termOf the words of a character
 * @param nameOf the name of a tree
 * @example
 * questionInShort({ kind: 'state', characterId: 'bud.scales' }, termOf, nameOf); // 'asks for bud scales, marked'
 */
export function questionInShort(
  question: Question,
  termOf: (id: string) => string,
  nameOf: (id: string) => string,
): string {
  switch (question.kind) {
    case 'family':
      return t`asks for its family`;
    case 'genus':
      return t`asks for its genus`;
    case 'state':
      return t`asks for ${termOf(question.characterId)}, marked`;
    case 'sort':
      return t`asks to sort several by ${termOf(question.characterId)}`;
    case 'number':
      return t`asks how much: ${termOf(question.characterId)}`;
    case 'settles':
      return t`asks what tells it from ${nameOf(question.from)}`;
  }
}

/** The shares by which a number may be off, as they are chosen: “exactly”, “a fifth”. */
export const OFF_BY: readonly (readonly [number, string])[] = [
  [0, t`exactly`],
  [0.1, t`a tenth off`],
  [0.2, t`a fifth off`],
  [0.3, t`nearly a third off`],
];

/** By how much the number of a question may be off. */
export const withinOf = (question: Extract<Question, { kind: 'number' }>, vocabulary: Vocabulary): number =>
  question.within ?? usualWithin(vocabulary.get(question.characterId) ?? { kind: 'measure' });

/** Do trees of a list differ in a character, as far as their scores say one thing? */
export function differs(characterId: string, list: readonly Pick<ProfiledTaxon, 'scores'>[]): boolean {
  const said = list.flatMap(({ scores }) =>
    scores.flatMap(({ characterId: id, value }) =>
      id !== characterId
        ? []
        : value.kind === 'states' && value.states.length === 1
          ? [value.states[0]!.state]
          : value.kind === 'flag'
            ? [value.frequency]
            : [],
    ),
  );
  return new Set(said).size > 1;
}
