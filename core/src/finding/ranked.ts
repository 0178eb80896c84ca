import type { Consequence } from '../confusion/index.ts';
import type { CharacterFinding, ConfusionReport, NameFinding, SpeciesFinding } from '../confusion/index.ts';

/** One thing to teach, of whichever kind, with the errors it would have prevented. */
export type Finding = { prevented: Consequence } & (
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

/** What to teach next: the findings of a report by the errors each would have prevented, most first. */
export function rankedFindings(report: ConfusionReport): RankedFindings {
  const all: Finding[] = [
    ...report.characters.flatMap((character): Finding[] =>
      character.prevented ? [{ kind: 'character', character, prevented: character.prevented }] : [],
    ),
    ...report.species.map((species): Finding => ({ kind: 'species', species, prevented: species.prevented })),
    ...report.overGiven.map((name): Finding => ({ kind: 'name', name, prevented: name.prevented })),
  ];
  const worth = all
    .filter(({ prevented }) => prevented.prevented >= 1)
    .sort((x, y) => y.prevented.prevented - x.prevented.prevented);
  return {
    firm: worth.filter(({ prevented }) => prevented.chance >= FIRM_CHANCE),
    unsure: worth.filter(({ prevented }) => prevented.chance < FIRM_CHANCE),
  };
}
