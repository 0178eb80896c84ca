import type { Consequence } from '../confusion/index.ts';
import { standingOf, type Standing, type Vocabulary } from '../vocabulary/index.ts';
import { counted } from '../words/index.ts';
import type { CharacterFinding, ConfusionReport, NameFinding, SpeciesFinding } from '../confusion/index.ts';

/** One thing to teach, of whichever kind, with the errors it would have prevented. */
export type Finding = {
  prevented: Consequence;
  standing?: Standing;
  /** Characters that go with it: of the same organ, and telling nearly the same errors. */
  together?: string[];
} & (
  | { kind: 'character'; character: CharacterFinding }
  | { kind: 'species'; species: SpeciesFinding }
  | { kind: 'name'; name: NameFinding }
);

export interface RankedFindings {
  /** Said as sure by the report, and perhaps worth an error. */
  firm: Finding[];
  /** Worth an error at least by the figures, but not sure. */
  unsure: Finding[];
}

/** Characters go together that share so much of the errors that either tells. */
const SHARED = 0.7;

const ORDER: Record<Standing, number> = { mark: 0, second: 1, supporting: 2 };

/**
 * Findings of characters of one organ that tell nearly the same errors are one: the one of the highest standing speaks for all, at the place of the
 * first. Others stay as they are.
 */
function asOne(findings: readonly Finding[], vocabulary: Vocabulary): Finding[] {
  const groups: Finding[][] = [];
  for (const found of findings) {
    const group = groups.find(([first]) => goTogether(first!, found, vocabulary));
    if (group) group.push(found);
    else groups.push([found]);
  }
  return groups.map((group) => {
    const [speaker, ...others] = [...group].sort(
      (x, y) => ORDER[x.standing ?? 'second'] - ORDER[y.standing ?? 'second'],
    );
    const together = others.flatMap((other) =>
      other.kind === 'character' ? other.character.characterId : [],
    );
    return together.length > 0 ? { ...speaker!, together } : speaker!;
  });
}

function goTogether(a: Finding, b: Finding, vocabulary: Vocabulary): boolean {
  if (a.kind !== 'character' || b.kind !== 'character') return false;
  const [organ, other] = [a, b].map((found) => vocabulary.get(found.character.characterId)?.organ);
  if (organ === undefined || organ !== other) return false;
  const [mine, theirs] = [new Set(a.character.behind), new Set(b.character.behind)];
  const shared = [...mine].filter((id) => theirs.has(id)).length;
  return shared > 0 && shared >= SHARED * new Set([...mine, ...theirs]).size;
}

/** Whether a finding is said as sure. */
export const isSure = (found: Finding): boolean =>
  found.kind === 'character'
    ? found.character.sure
    : found.kind === 'species'
      ? found.species.sure
      : found.name.sure;

/** Whether of a finding only its rank can be said, and not how many errors it would have prevented. */
export const isRankOnly = (found: Finding): boolean =>
  found.kind === 'character' && found.character.rankOnly === true;

/** How well a character of a standing is taught: what manuals key by first. Species and names are taught as they are. */
const TEACHABLE: Record<Standing, number> = { mark: 1, second: 0.8, supporting: 0.5 };

/**
 * How many answers to the question there are, and where they were given.
 *
 * @example
 * reportsInWords({ all: 329, practice: 20, sorting: 1 }); // '329 answers to “What did you go by?”, 20 of them in practice and 1 by what was sorted'
 */
export function reportsInWords({ all, practice, sorting }: ConfusionReport['reports']): string {
  const elsewhere = [
    ...(practice > 0 ? [`${practice} of them in practice`] : []),
    ...(sorting > 0 ? [`${sorting}${practice > 0 ? '' : ' of them'} by what was sorted`] : []),
  ];
  return [
    `${counted(all, 'answer')} to “What did you go by?”`,
    ...(elsewhere.length ? [elsewhere.join(' and ')] : []),
  ].join(', ');
}

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

/** Worth an error by its figure; a character that is sure, where it may be: its figure is drawn in, and the smallest thing that is said of it. */
const isWorthSaying = (found: Finding): boolean => {
  const { prevented, interval } = found.prevented;
  return (found.kind === 'character' && isSure(found) ? interval[1] : prevented) >= 1;
};

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
  const worth = all.filter(isWorthSaying).sort((x, y) => worthTeaching(y) - worthTeaching(x));
  return {
    firm: asOne(worth.filter(isSure), vocabulary),
    unsure: asOne(
      worth.filter((found) => !isSure(found)),
      vocabulary,
    ),
  };
}
