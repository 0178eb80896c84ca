import { median } from 'simple-statistics';
import { attendedOf } from '../attention/index.ts';
import { UNNAMED, type ChoiceData } from './choice.ts';
import { consequences, typicalUses, type Consequence } from './consequences.ts';
import { excessOf } from './excess.ts';
import type {
  CharacterFinding,
  ConfusionReport,
  FirstLook,
  NameFinding,
  SpeciesFinding,
} from './findings.ts';
import { fitClass, type ClassFit } from './fit.ts';
import { Laplace } from './laplace.ts';
import { limitedEvidence } from './limited.ts';
import { confusedPairs } from './pairs.ts';
import { SCALES } from './parameters.ts';
import { predictions } from './predicted.ts';
import { calibration } from './prediction.ts';
import { chancesOf, markSure } from './sureFindings.ts';
import { prepareClass, type AskedStation, type GivenAnswer, type Setting } from './situations.ts';
import {
  pooledPrompts,
  promptFindings,
  withExperiment,
  type PromptedAnswer,
  type PromptFinding,
} from './prompted.ts';
import { readingFindings, type Seen } from './seen.ts';
import { evidenceAgainst, tellingSituations, TELLS } from './telling.ts';
import { toldFindings, type ToldFinding, type WentBy } from './wentBy.ts';

/** Rises with every change of what a report says for the same answers, so that kept reports of an older model are not shown. */
export const MODEL_VERSION = 14;

/** An answer with the id by which it is found again. */
export interface ReportedAnswer extends GivenAnswer {
  answerId: string;
}

export interface ReportInput {
  stations: readonly AskedStation[];
  answers: readonly ReportedAnswer[];
  settingOf(station: AskedStation): Setting;
  /** Of the draws; the same seed gives the same report. */
  seed: number;
  /** Answers to “what do you see” questions. */
  seen?: readonly Seen[];
  /** What students said they went by. */
  wentBy?: readonly WentBy[];
  /** Answers at stations where half were told what to look at. */
  prompted?: readonly PromptedAnswer[];
  /** What earlier classes with the like list passed over. */
  earlier?: EarlierClasses;
}

/** Earlier classes: the mean chance with which they passed a character over, by its id, and what being told to look did in each. */
export interface EarlierClasses {
  names: string[];
  overlooked: Record<string, number>;
  prompts?: PromptFinding[][];
}

/** Below these the model is not fitted: nothing it said would be more than its priors. */
const ENOUGH = { students: 3, answers: 40, errors: 6 };
/** Draws from what the class may be like: of a class of very many trees in views half of them, so that they take no longer. */
const DRAWS = 400;
const MANY_SITUATIONS = 200;
/** The data have to take a fifth of the variance that the prior allows before names say anything of a character: what they say is a suspicion at most. */
const IDENTIFIED_SD = SCALES.use * Math.sqrt(0.8);

/**
 * Everything that is said of a class's confusions, from its stations and answers.
 * @param at told the share done, 0–1, and what is being done; once, as soon as names are fitted, what they say.
 */
export function reportOf(
  input: ReportInput,
  at: (share: number, doing: string, first?: FirstLook) => void = () => undefined,
): ConfusionReport {
  at(0, 'weighing what each station showed');
  const prepared = prepareClass(input.stations, input.answers, input.settingOf);
  const stationOf = new Map(input.stations.map((station) => [station.id, station]));
  const answers = input.answers.filter(({ stationId }) => prepared.situationOf.has(stationId));
  const truthOf = (answer: ReportedAnswer) => stationOf.get(answer.stationId)!.truth;
  const wrong = answers.filter((answer) => answer.named !== truthOf(answer));
  const prompts = promptFindings(input.prompted ?? []);
  const looking = pooledPrompts([prompts, ...(input.earlier?.prompts ?? [])]);
  const base = {
    students: prepared.students.length,
    answers: answers.length,
    errors: wrong.length,
    typicalUse: 1,
    reports: reportsOf(input.wentBy ?? []),
    earlier: input.earlier?.names ?? [],
    characters: [],
    species: [],
    overGiven: [],
    stations: [],
    losses: [],
    prompts,
    looking,
    readings: readingFindings(input.seen ?? [], misreadBy(input)),
    pairs: pairsOf(answers, stationOf),
  };
  const few = base.students < ENOUGH.students || base.answers < ENOUGH.answers || base.errors < ENOUGH.errors;
  if (wrong.length === 0)
    return { ...base, state: few && base.answers < ENOUGH.answers ? 'too few' : 'no errors' };
  if (few) return { ...base, state: 'too few' };

  const shown = prepared.data;
  const data = limitedEvidence(shown);
  const fit = fitClass(data, {
    onStep: (step) => at(0.1 + 0.3 * (1 - 0.7 ** step), 'fitting the class'),
  });
  const laplace = new Laplace(fit);
  const uses = laplace.uses();
  const telling = tellingSituations(shown);
  const answered = new Set(answers.map(({ stationId }) => stationId));
  const stationsAt = stationsBySituation(prepared.situationOf, answered);
  const tellingStations = telling.map((situations) => situations.flatMap((s) => stationsAt.get(s) ?? []));
  const identified = uses.map(({ sd }, c) => tellingStations[c]!.length >= 2 && sd <= IDENTIFIED_SD);
  at(0.4, 'counting the errors that each character would have prevented', {
    answers: base.answers,
    errors: base.errors,
    suspected: suspectedBy(uses, fit.theta, identified).map((c) => data.characters[c]!),
  });
  const draws = laplace.draws(data.situations.length > MANY_SITUATIONS ? DRAWS / 2 : DRAWS, input.seed);
  const found = consequences(data, fit.layout, draws, identified, (done) =>
    at(0.4 + (0.25 * done) / draws.length, 'counting the errors that each character would have prevented'),
  );
  const typical = [...typicalUses(fit.theta, identified).values()];
  const typicalUse = typical.length ? Math.max(0.05, median(typical)) : 1;
  const byNames = uses.map(({ sd }, c) =>
    identified[c] ? { use: fit.theta[c]! / typicalUse, sd: Math.max(0.1, sd / typicalUse) } : undefined,
  );
  at(0.65, 'reading what students say they went by');
  const told = toldFindings(
    prepared,
    (input.wentBy ?? []).filter(({ stationId, from }) => from || answered.has(stationId)),
    byNames,
    telling,
    new Map(Object.entries(input.earlier?.overlooked ?? {})),
  );
  const alone = attendedOf(
    byNames.map((names) => (names ? { names } : {})),
    0,
  );
  const answersAt = countedBy(data);
  const couldTell = (c: number) => telling[c]!.reduce((sum, s) => sum + answersAt[s]!, 0);
  const drafts = data.characters.map((characterId, c): CharacterFinding => {
    const { behind, pairs } = errorsToldBy(c, shown, wrong, prepared.situationOf, truthOf);
    const { interval } = uses[c]!;
    const worth = worthOf(told[c], identified[c] ? { use: fit.theta[c]!, interval } : undefined, typicalUse);
    const byModel = told[c]?.prevented ?? found.characters[c];
    const tried = looking.find((each) => each.characterId === characterId);
    const prevented = byModel && tried ? withExperiment(byModel, tried, couldTell(c)) : byModel;
    return {
      characterId,
      use: fit.theta[c]!,
      interval,
      ...(worth ? { worth } : {}),
      telling: tellingStations[c]!,
      ...(prevented ? { prevented } : {}),
      // Where it was tried out, the figure rests on more than the model.
      ...(told[c]?.rankOnly && !tried ? { rankOnly: true as const } : {}),
      ...(told[c] ? { told: told[c].telling } : {}),
      overlooked: told[c]?.overlooked ?? alone[c]!.overlooked,
      sure: false,
      behind,
      pairs,
      assumed: prepared.assumed.get(characterId) ?? [],
    };
  });
  const apart = (offset: number, has: (taxon: number) => boolean) => chancesOf(draws, offset, data.taxa, has);
  const asked = new Set(data.situations.map(({ truth }) => truth));
  const named = new Set(wrong.map((answer) => answer.named));
  const { characters, species, overGiven } = markSure(
    {
      characters: drafts,
      species: speciesFindings(fit, draws, found.species, answers, truthOf),
      overGiven: nameFindings(data, found.overGiven, wrong, truthOf),
    },
    {
      // By names alone nothing is sure of a character.
      character: (c) => (told[c] ? told[c].overlooked : 0),
      species: apart(fit.layout.missed, (t) => asked.has(t)),
      name: apart(fit.layout.overGiven, (t) => named.has(data.taxa[t]!)),
    },
  );
  const { stations, losses, leftOut } = predictions(fit, prepared.situationOf, input.stations, answers, at);
  const inSample = calibration(stations);
  at(1, 'done');
  return {
    ...base,
    state: 'enough',
    typicalUse,
    characters,
    species,
    overGiven,
    stations,
    ...(inSample ? { inSample } : {}),
    ...(leftOut ? { leftOut } : {}),
    losses,
  };
}

/** So many characters are named before the report is through. */
const FIRST_CHARACTERS = 3;

/** Characters that the names say are used less than the typical one, by how many deviations: places. */
function suspectedBy(
  uses: readonly { sd: number }[],
  theta: Float64Array,
  identified: readonly boolean[],
): number[] {
  const typical = typicalUses(theta, identified);
  return [...typical]
    .map(([c, use]) => ({ c, below: (use - theta[c]!) / uses[c]!.sd }))
    .filter(({ below }) => below > 1)
    .sort((x, y) => y.below - x.below)
    .slice(0, FIRST_CHARACTERS)
    .map(({ c }) => c);
}

/** How many answers to “what did you go by” there are, and where they were given. */
const reportsOf = (all: readonly WentBy[]): ConfusionReport['reports'] => ({
  all: all.length,
  practice: all.filter(({ from }) => from === 'practice').length,
  sorting: all.filter(({ from }) => from === 'sorting').length,
});

/** Share of a character's worth that is used: by what students say they went by, else by the names they give. */
function worthOf(
  told: ToldFinding | undefined,
  names: { use: number; interval: [number, number] } | undefined,
  typical: number,
): CharacterFinding['worth'] {
  if (told) return { share: told.use, interval: told.interval };
  return (
    names && {
      share: names.use / typical,
      interval: [names.interval[0] / typical, names.interval[1] / typical],
    }
  );
}

/** A beginner's misread rate of a character, by the first vocabulary that knows it. */
const misreadBy =
  ({ stations, settingOf }: ReportInput) =>
  (characterId: string): number =>
    stations
      .map((station) => settingOf(station).vocabulary.get(characterId)?.misread.novice)
      .find((rate) => rate !== undefined) ?? 0.1;

const isTaxon = (named: string): boolean => !(UNNAMED as readonly string[]).includes(named);

function pairsOf(answers: readonly ReportedAnswer[], stationOf: Map<string, AskedStation>) {
  const named = answers.map(({ answerId, studentId, stationId, named }) => {
    const { quizId, truth } = stationOf.get(stationId)!;
    return { answerId, studentId, stationId, quizId, truth, named: isTaxon(named) ? named : null };
  });
  const pairs = confusedPairs(named);
  const excess = excessOf(pairs, named, (id) => stationOf.get(id)!.options);
  return pairs.map(({ truth, answer }, i) => ({ truth, answer, ...excess[i]! }));
}

/** Answers in each situation. */
function countedBy({ situations, choices }: ChoiceData): Float64Array {
  const counts = new Float64Array(situations.length);
  for (const { situation } of choices) counts[situation]! += 1;
  return counts;
}

/** The answered stations of each situation. */
function stationsBySituation(
  situationOf: ReadonlyMap<string, number>,
  answered: ReadonlySet<string>,
): Map<number, string[]> {
  const stations = new Map<number, string[]>();
  for (const [station, situation] of situationOf)
    if (answered.has(station)) stations.set(situation, [...(stations.get(situation) ?? []), station]);
  return stations;
}

/** The wrong answers that a character tells from their truth. */
function errorsToldBy(
  character: number,
  data: ChoiceData,
  wrong: readonly ReportedAnswer[],
  situationOf: ReadonlyMap<string, number>,
  truthOf: (answer: ReportedAnswer) => string,
) {
  const pairs = new Map<string, { truth: string; answer: string; count: number }>();
  const behind = wrong.filter((answer) => {
    const situation = data.situations[situationOf.get(answer.stationId)!]!;
    const named = situation.options.findIndex((taxon) => data.taxa[taxon] === answer.named);
    if (named < 0 || evidenceAgainst(situation, character, named) < TELLS) return false;
    const truth = truthOf(answer);
    const held = pairs.get(`${truth} ${answer.named}`) ?? { truth, answer: answer.named, count: 0 };
    held.count += 1;
    pairs.set(`${truth} ${answer.named}`, held);
    return true;
  });
  return {
    behind: behind.map(({ answerId }) => answerId),
    pairs: [...pairs.values()].sort((x, y) => y.count - x.count),
  };
}

function speciesFindings(
  fit: ClassFit,
  draws: readonly Float64Array[],
  found: readonly (Consequence | undefined)[],
  answers: readonly ReportedAnswer[],
  truthOf: (answer: ReportedAnswer) => string,
): SpeciesFinding[] {
  return fit.data.taxa.flatMap((taxonId, t) => {
    const prevented = found[t];
    if (!prevented) return [];
    const here = answers.filter((answer) => truthOf(answer) === taxonId);
    const wrong = here.filter(({ named }) => named !== taxonId);
    const above = draws.filter((theta) => theta[fit.layout.scattered + t]! > 0).length / draws.length;
    return {
      taxonId,
      asked: here.length,
      wrong: wrong.length,
      scatters: above >= 0.95,
      called: countedNames(wrong),
      prevented,
      sure: false,
      behind: wrong.map(({ answerId }) => answerId),
    };
  });
}

/** Names of trees among answers, counted. */
function countedNames(answers: readonly ReportedAnswer[]): { answer: string; count: number }[] {
  const counts = new Map<string, number>();
  for (const { named } of answers) if (isTaxon(named)) counts.set(named, (counts.get(named) ?? 0) + 1);
  return [...counts].map(([answer, count]) => ({ answer, count })).sort((x, y) => y.count - x.count);
}

function nameFindings(
  data: ChoiceData,
  found: readonly (Consequence | undefined)[],
  wrong: readonly ReportedAnswer[],
  truthOf: (answer: ReportedAnswer) => string,
): NameFinding[] {
  return data.taxa.flatMap((taxonId, k) => {
    const prevented = found[k];
    const given = wrong.filter(({ named }) => named === taxonId);
    if (!prevented || given.length === 0) return [];
    return {
      taxonId,
      given: given.length,
      truths: new Set(given.map(truthOf)).size,
      prevented,
      sure: false,
      behind: given.map(({ answerId }) => answerId),
    };
  });
}
