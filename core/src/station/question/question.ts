import type { ProfiledTaxon, ReadingOptions } from '../../evidence/index.ts';
import type { MarkingPolicy } from '../../names/index.ts';
import type { Audience, UnitSystem } from '../../score/index.ts';
import type { Character, Unit, Vocabulary } from '../../vocabulary/index.ts';

/** What a question is fixed with. */
export interface QuestionContext extends ReadingOptions {
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  marking: MarkingPolicy;
  units: UnitSystem;
}

/** What a station asks in place of the name of its tree. */
export type Question =
  | { kind: 'family' }
  | { kind: 'genus' }
  /** A state of one character, chosen from all of them. */
  | { kind: 'state'; characterId: string }
  /** The tree or another, by its id: which of four characters tells them apart in what is shown. */
  | { kind: 'settles'; from: string }
  /** Drawn specimens, each to be called by its state of one character. */
  | { kind: 'sort'; characterId: string }
  /** A count or a measure; right within a share of what is there, 0.2 for a fifth. */
  | { kind: 'number'; characterId: string; within?: number };

export type QuestionKind = Question['kind'];
export const QUESTION_KINDS = ['family', 'genus', 'state', 'settles', 'sort', 'number'] as const;

/** What is asked, as it stands behind “ask for”. */
export const QUESTION_TITLES: Record<QuestionKind, string> = {
  family: 'its family',
  genus: 'its genus',
  state: 'one of its features',
  settles: 'what tells it from another',
  sort: 'several drawn ones, sorted',
  number: 'a count or a measure',
};

/** The same thing in terms and in plain words. */
export interface BothWays {
  term: string;
  plain: string;
}

/** What there is to choose from. */
export interface Offered extends BothWays {
  id: string;
  definition?: string;
}

/** What is asked in place of the name, in the words of a course. What is right is no part of it: students read it. */
export interface AskedOf {
  kind: QuestionKind;
  asked: string;
  /** Empty where something is written. */
  offered: { id: string; word: string; definition: string }[];
  /** Letters of the specimens that are sorted into what is offered; missing where one thing is asked. */
  letters?: string[];
  /** What it is asked of, by which a page says it in another language; missing where it asks for a name, and in quizzes opened before. */
  of?: AskedCharacter | { pair: [string, string] };
}

/** A character that is asked for: its word in `asked`, and the unit of what is measured. */
export interface AskedCharacter {
  characterId: string;
  word: string;
  unit?: string;
}

/** One of several drawn specimens: whose, and which individual. */
export interface SortedItem {
  taxonId: string;
  seed: number;
}

/** “A”, “B”, “C” … of specimens that are sorted. */
export const lettersOf = (count: number): string[] =>
  Array.from({ length: count }, (_, i) => String.fromCharCode(65 + i));

/** A question as it is fixed when its quiz opens, with all that marking it takes. Its `right` and `number` are never shown to students. */
export interface FrozenQuestion {
  kind: QuestionKind;
  /** The character or the other tree that it is about, by id; empty for family and genus. */
  about: string;
  asked: BothWays;
  /** What stands in `asked`: the name of the character, or those of two trees. Missing in quizzes opened before it was kept. */
  named?: BothWays;
  pair?: [string, string];
  /** Empty where something is written. */
  offered: Offered[];
  /** Ids of what is right among what is offered; where specimens are sorted, that of each in their order. */
  right: string[];
  /** The specimens that are sorted, in the order of their letters. */
  items?: SortedItem[];
  /** What is right of a number, in stored units, and how it is read. */
  number?: { character: Character; units: UnitSystem; from: number; to: number };
}

/** How far a number may be off where nothing else is said: a count not at all, a measure by a fifth. */
export const usualWithin = ({ kind }: Pick<Character, 'kind'>): number => (kind === 'count' ? 0 : 0.2);

/** Units that something on a specimen is measured in. */
export const UNIT_WORDS: Partial<Record<Unit, string>> = {
  m: 'meters',
  cm: 'centimeters',
  mm: 'millimeters',
  '°': 'degrees',
};

/** The unit that a number without one is taken for. */
export function unitInWords({ unit = '1' }: Character, units: UnitSystem): string {
  if (units === 'metric' || unit === '°') return UNIT_WORDS[unit] ?? unit;
  return unit === 'm' ? 'feet' : 'inches';
}

/**
 * In the words of a course.
 *
 * @example
 * inItsWords({ term: 'margin', plain: 'edge of the leaf' }, 'plain'); // 'edge of the leaf'
 */
export const inItsWords = ({ term, plain }: BothWays, audience: Audience): string =>
  audience === 'plain' ? plain : term;

/**
 * A question as students read it.
 *
 * @example
 * asStudentsRead(arrangement, 'plain'); // { kind: 'state', asked: 'Leaves and buds on the twig: which is it here?', offered: [{ id: 'opposite', … }] }
 */
export const asStudentsRead = (
  { kind, about, asked, named, pair, offered, items, number }: FrozenQuestion,
  audience: Audience,
): AskedOf => ({
  kind,
  asked: inItsWords(asked, audience),
  offered: offered.map((each) => ({
    id: each.id,
    word: inItsWords(each, audience),
    definition: each.definition ?? '',
  })),
  ...(items ? { letters: lettersOf(items.length) } : {}),
  ...(pair ? { of: { pair } } : {}),
  ...(named
    ? {
        of: {
          characterId: about,
          word: inItsWords(named, audience),
          ...(number && number.character.kind !== 'count'
            ? { unit: unitInWords(number.character, number.units) }
            : {}),
        },
      }
    : {}),
});
