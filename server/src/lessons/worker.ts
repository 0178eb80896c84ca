import {
  askedCandidates,
  assembleQuiz,
  candidatesOf,
  STATION_KINDS,
  type AskedKind,
  type Assembly,
  type AssemblyGround,
  type Candidate,
  type CandidateOptions,
  type CandidateTable,
  type ClassSoFar,
  type QuizWishes,
} from '@hurrow/core/assembly';
import {
  characterStops,
  lessonOf,
  type CharacterSetting,
  type LessonAsked,
  type LessonSetting,
  type LessonStop,
} from '@hurrow/core/lesson';
import {
  fittedWeights,
  practiceCardsOf,
  type History,
  type PracticeCard,
  type WeightsFit,
} from '@hurrow/core/practice';
import { highs } from '@hurrow/core/program';
import {
  prospectsOf,
  proposeTerm,
  USUAL_WISHES,
  type ProspectOptions,
  type Prospects,
  type TermProposal,
  type TermWishes,
} from '@hurrow/core/term';
import type { ProfiledTaxon, ReadingOptions } from '@hurrow/core/evidence';
import { stationFairness } from '@hurrow/core/station';
import type { View } from '@hurrow/core/view';
import type { Range } from '@hurrow/core/range';
import type { Vocabulary } from '@hurrow/core/vocabulary';

/** What is worked out for teaching: plain data, which travels to a thread. */
export type TeachingTask =
  | { kind: 'lesson'; setting: SentSetting; asked: LessonAsked }
  | { kind: 'character'; setting: CharacterSetting; characters: readonly string[]; round: number }
  | { kind: 'prospects'; ground: TermGround }
  | { kind: 'proposal'; ground: TermGround; wishes: TermWishes }
  | QuizTask
  | CardsTask
  | ReadTask
  | FitTask;

/** Practice cards to be worked out of a list on a day. */
export interface CardsTask {
  kind: 'cards';
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  options: CandidateOptions;
}

/** Stations that were held, to be read once more: by the ideal reader and by a beginner. */
export interface ReadTask {
  kind: 'read';
  /** The same at the same revision and site. */
  key: string;
  taxa: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  options: ReadingOptions;
  /** `list`: ids of the names that could be given. */
  stations: readonly { taxonId: string; view: View; list: readonly string[] }[];
}

/** The schedule to be fitted to answers, by student. */
export interface FitTask {
  kind: 'fit';
  histories: readonly History[];
}

export interface SentSetting extends Omit<LessonSetting, 'rangeOf'> {
  ranges: Record<string, Range>;
}

export interface TermGround {
  /** The same for the same list at the same revision, site and weeks. */
  key: string;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  options: ProspectOptions;
}

/** A quiz to be put together. */
export interface QuizTask {
  kind: 'quiz';
  /** The same for the same list at the same revision, site and day. */
  key: string;
  ground: AssemblyGround;
  wishes: QuizWishes;
  so: ClassSoFar;
  forms: number;
}

/** What a quiz was put together from. */
export interface QuizMade {
  /** Undefined where there was nothing to choose from. */
  assembly: Assembly | undefined;
  candidates: Candidate[];
  notPossible: CandidateTable['notPossible'];
}

/** Seconds. */
const WARMING_UP = 0.3;

/** What a term offers is asked for first, and planned from next. */
let held: { key: string; prospects: Prospects } | undefined;

function remembered(key: string, work: () => Prospects): Prospects {
  if (held?.key !== key) held = { key, prospects: work() };
  return held.prospects;
}

/** Candidates of the list that was asked for last, by kind of station: more kinds are added as they are wished for. */
let tables: { key: string; byKind: Map<string, CandidateTable> } | undefined;

async function makeQuiz({ key, ground, wishes, so, forms }: QuizTask): Promise<QuizMade> {
  if (tables?.key !== key) tables = { key, byKind: new Map() };
  const { byKind } = tables;
  const { list, vocabulary, ...options } = ground;
  // What is settled may be of a kind that is not wished for otherwise.
  const wanted = new Set([
    ...Object.keys(wishes.kinds),
    ...wishes.pins.map((pin) => pin.split(' ')[1] ?? ''),
  ]);
  for (const kind of STATION_KINDS)
    if (wanted.has(kind.id) && !byKind.has(kind.id))
      byKind.set(kind.id, candidatesOf(list, vocabulary, { ...options, kinds: [kind] }));
  const used = [...wanted].flatMap((id) => byKind.get(id) ?? []);
  const named = used.flatMap((table) => table.candidates);
  // What is settled may ask for what is not wished for otherwise.
  const kinds = [
    ...new Set([
      ...Object.keys(wishes.asked ?? {}),
      ...wishes.pins.flatMap((pin) => pin.split(' ')[2] ?? []),
    ]),
  ] as AskedKind[];
  const candidates = [...named, ...askedCandidates(named, kinds, ground, so)];
  return {
    assembly: assembleQuiz(candidates, wishes, so, ground, await highs(), forms),
    candidates,
    notPossible: Object.assign({}, ...used.map((table) => table.notPossible)) as QuizMade['notPossible'],
  };
}

/** Readings that were made for one library and site, by station. */
let readings: { key: string; of: Map<string, { right: number; beginner: number }> } | undefined;
/** Enough for a mean over twenty stations. */
const READ_DRAWS = 300;

function readHeld({ key, taxa, vocabulary, options, stations }: ReadTask) {
  if (readings?.key !== key) readings = { key, of: new Map() };
  const { of } = readings;
  return stations.map((station) => {
    const { taxonId, view, list } = station;
    const id = JSON.stringify(station);
    const offered = taxa.filter(({ taxon }) => list.includes(taxon.id));
    const rightAs = (reader: 'careful' | 'novice') =>
      stationFairness(offered, taxonId, vocabulary, view, { ...options, reader, draws: READ_DRAWS }).right;
    const found = of.get(id) ?? { right: rightAs('careful'), beginner: rightAs('novice') };
    of.set(id, found);
    return found;
  });
}

/** Runs in a thread of its own, which never opens the store. */
export default async function work(
  task: TeachingTask,
): Promise<
  | LessonStop[]
  | Prospects
  | TermProposal
  | QuizMade
  | PracticeCard[]
  | WeightsFit
  | ReturnType<typeof readHeld>
  | undefined
> {
  if (task.kind === 'cards') return practiceCardsOf(task.list, task.vocabulary, task.options);
  if (task.kind === 'fit') return fittedWeights(task.histories);
  if (task.kind === 'quiz') return makeQuiz(task);
  if (task.kind === 'read') return readHeld(task);
  if (task.kind === 'character') return characterStops(task.setting, task.characters, task.round);
  if (task.kind === 'lesson') {
    const { ranges, ...setting } = task.setting;
    return lessonOf({ ...setting, rangeOf: (id) => ranges[id] }, task.asked);
  }
  const { list, vocabulary, options } = task.ground;
  const prospects = remembered(task.ground.key, () => prospectsOf(list, vocabulary, options));
  const solve = await highs();
  if (task.kind === 'proposal') return proposeTerm(prospects, task.wishes, solve);
  // Whoever looks at what a term offers asks for a proposal next: the solver is fastest the second time.
  proposeTerm(prospects, { ...USUAL_WISHES, to: prospects.weeks.length }, solve, WARMING_UP);
  return prospects;
}
