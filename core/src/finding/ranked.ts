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
  /** Above 0 in nine of ten draws, and worth an error at least. */
  firm: Finding[];
  /** Above 0 on the whole, but not surely. */
  unsure: Finding[];
}

const FIRM_CHANCE = 0.9;

/** How well a character of a standing is taught: what manuals key by first. Species and names are taught as they are. */
const TEACHABLE: Record<Standing, number> = { mark: 1, second: 0.8, supporting: 0.5 };

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
  return {
    firm: worth.filter(({ prevented }) => prevented.chance >= FIRM_CHANCE),
    unsure: worth.filter(({ prevented }) => prevented.chance < FIRM_CHANCE),
  };
}
