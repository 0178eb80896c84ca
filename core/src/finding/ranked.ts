import type { Consequence } from '../confusion/index.ts';
import { standingOf, type Standing, type Vocabulary } from '../vocabulary/index.ts';
import type { CharacterFinding, ConfusionReport, NameFinding, SpeciesFinding } from '../confusion/index.ts';

/** One thing to teach, of whichever kind, with the errors it would have prevented. */
export type Finding = { prevented: Consequence; standing?: Standing } & (
  | { kind: 'character'; character: CharacterFinding }
  | { kind: 'species'; species: SpeciesFinding }
  | { kind: 'name'; name: NameFinding }
);

export interface RankedFindings {
  /** Said as sure by the report, and worth an error at least. */
  firm: Finding[];
  /** Worth an error at least by the figures, but not sure. */
  unsure: Finding[];
}

/** Whether a finding is said as sure. */
export const isSure = (found: Finding): boolean =>
  found.kind === 'character'
    ? found.character.sure
    : found.kind === 'species'
      ? found.species.sure
      : found.name.sure;

/** How well a character of a standing is taught: what manuals key by first. Species and names are taught as they are. */
const TEACHABLE: Record<Standing, number> = { mark: 1, second: 0.8, supporting: 0.5 };

/** How many trees are proposed for the question. */
const PROPOSED = 4;

/**
 * Trees at which to ask what students went by: where a character is suspected and has not been asked about, those that it would have told from
 * the names given for them, the most mixed up first; of a tree that is missed, where nothing has been asked yet, itself and what it is called.
 *
 * @param reports how many answers to the question there are
 */
export function stationsToAsk(found: Finding, reports: number): string[] {
  if (found.kind === 'character') {
    const { sure, told, pairs } = found.character;
    return sure || told ? [] : several(pairs.flatMap(({ truth, answer }) => [truth, answer]));
  }
  if (found.kind === 'name' || reports > 0) return [];
  const { taxonId, called } = found.species;
  return several([taxonId, ...called.map(({ answer }) => answer)]);
}

const several = (ids: readonly string[]): string[] => [...new Set(ids)].slice(0, PROPOSED);

/** The errors that a finding would have prevented, times how well it can be taught. */
export const worthTeaching = ({ prevented, standing }: Pick<Finding, 'prevented' | 'standing'>): number =>
  prevented.prevented * (standing ? TEACHABLE[standing] : 1);

/**
 * What to teach next: the findings of a report by the errors each would have prevented and how well it can be taught, most first.
 * Characters that are no longer in the vocabulary count as second.
 */
export function rankedFindings(report: ConfusionReport, vocabulary: Vocabulary): RankedFindings {
  const all: Finding[] = [
    ...report.characters.flatMap((character): Finding[] =>
      character.prevented
        ? [
            {
              kind: 'character',
              character,
              prevented: character.prevented,
              standing: standingOf(vocabulary.get(character.characterId) ?? {}),
            },
          ]
        : [],
    ),
    ...report.species.map((species): Finding => ({ kind: 'species', species, prevented: species.prevented })),
    ...report.overGiven.map((name): Finding => ({ kind: 'name', name, prevented: name.prevented })),
  ];
  const worth = all
    .filter(({ prevented }) => prevented.prevented >= 1)
    .sort((x, y) => worthTeaching(y) - worthTeaching(x));
  return { firm: worth.filter(isSure), unsure: worth.filter((found) => !isSure(found)) };
}
