import { doubtsOf } from '@hurrow/core/attention';
import {
  askedWentBy,
  candidatesOf,
  kindOf,
  NOTHING_SO_FAR,
  proposeQuiz,
  usualWishes,
  type Candidate,
  type ClassSoFar,
  type QuizWishes,
} from '@hurrow/core/assembly';
import { reportOf, type ReportedAnswer, type WentBy } from '@hurrow/core/confusion';
import { readLibrary } from '@hurrow/core/library';
import { highs, type Solve } from '@hurrow/core/program';
import { randomFrom, seedOf } from '@hurrow/core/random';
import { sampleSpecimen } from '@hurrow/core/specimen';
import { checklistOf } from '@hurrow/core/station';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { demoLibrary } from '../../demo/src/library.ts';
import { attentiveStudents, listOf, standsFor, type Shown } from './attentive.ts';
import { drawn } from './classes.ts';
import type { Row } from './row.ts';

const LIST = '42 trees';
const DAYS = [258, 10, 201, 258, 10, 201];
const STATIONS = 20;
const A_SET = 5;
const KINDS = ['cutting', 'bareTwig', 'leafFruit', 'fruit', 'tree'];
/** The aim “above all to learn what they overlook”. */
const TO_LEARN = 0.7;
const CLASSES = 40;
const FIRST = 5001;

const taxa = listOf(LIST);
const sets = Array.from({ length: Math.ceil(taxa.length / A_SET) }, (_, i) => ({
  id: `set ${i + 1}`,
  title: `Set ${i + 1}`,
  taxa: taxa.slice(A_SET * i, A_SET * (i + 1)).map(({ taxon }) => taxon.id),
}));
const usual = usualWishes(STATIONS, sets);
const wishes: QuizWishes = {
  ...usual,
  kinds: Object.fromEntries(KINDS.map((id) => [id, usual.kinds[id] ?? { least: 0, most: STATIONS }])),
  toLearn: TO_LEARN,
};
const tables = new Map<number, Candidate[]>();

function tableOf(day: number): Candidate[] {
  const { reference } = readLibrary(demoLibrary()).library;
  const kinds = KINDS.map((id) => kindOf(id)!);
  const found =
    tables.get(day) ?? candidatesOf(taxa, BUILT_IN, { day, kinds, reference, site: reference }).candidates;
  tables.set(day, found);
  return found;
}

type Arm = 'random' | 'chosen';

/** Stations at random that keep the same wishes: fair, one of a tree, each set and each kind as often. */
function randomStations(day: number, seed: number, quiz: number): Candidate[] {
  const random = randomFrom(seedOf('information', seed, quiz));
  const fair = tableOf(day).filter(({ right }) => right >= wishes.fair);
  const order = drawn(fair, fair.length, random);
  const setOf = (id: string) => sets.find((set) => set.taxa.includes(id))!.id;
  const chosen: Candidate[] = [];
  const fits = (each: Candidate) =>
    chosen.every(({ taxonId }) => taxonId !== each.taxonId) &&
    chosen.filter(({ kind }) => kind === each.kind).length < wishes.kinds[each.kind]!.most &&
    chosen.filter(({ taxonId }) => setOf(taxonId) === setOf(each.taxonId)).length <
      wishes.sets[setOf(each.taxonId)]!.most;
  for (const { id } of sets)
    for (const each of order.filter(({ taxonId }) => setOf(taxonId) === id)) {
      if (chosen.filter(({ taxonId }) => setOf(taxonId) === id).length >= wishes.sets[id]!.least) break;
      if (fits(each)) chosen.push(each);
    }
  for (const each of order) if (chosen.length < STATIONS && fits(each)) chosen.push(each);
  return chosen;
}

/** What is found, and what is said falsely, after each quiz. */
interface Course {
  found: number[];
  false: number[];
  neglected: number;
}

function courseOf(arm: Arm, seed: number, solve: Solve): Course {
  const class_ = attentiveStudents(LIST, seed, { uneven: 0.5 });
  const held: { answers: ReportedAnswer[]; wentBy: WentBy[] } = { answers: [], wentBy: [] };
  const stations: Shown['station'][] = [];
  const setting: Shown['setting'] = { key: LIST, taxa, vocabulary: BUILT_IN, options: {} };
  const course: Course = { found: [], false: [], neglected: class_.neglected.length };
  DAYS.forEach((day, quiz) => {
    const doubtful = arm === 'chosen' ? doubtsOf(held.wentBy) : {};
    const so: ClassSoFar = { ...NOTHING_SO_FAR, sets, doubtful };
    const table = tableOf(day);
    const chosen =
      arm === 'random'
        ? randomStations(day, seed, quiz)
        : proposeQuiz(table, wishes, so, solve)!.stations.map((id) => table.find((each) => each.id === id)!);
    const asking = askedOf(arm, chosen, so, seedOf('asked', seed, quiz));
    const offered = new Map<string, number>();
    chosen.forEach((each, i) => {
      const truth = taxa.find(({ taxon }) => taxon.id === each.taxonId)!;
      const { values } = sampleSpecimen(
        truth,
        BUILT_IN,
        each.view,
        seedOf('specimen', seed, quiz, i) & 0x7fffffff,
      );
      const station = {
        id: `${quiz}-${i}`,
        quizId: String(quiz),
        truth: each.taxonId,
        view: each.view,
        options: taxa.map(({ taxon }) => taxon.id),
      };
      stations.push(station);
      const list = asking.has(each.id)
        ? checklistOf(each.taxonId, taxa, BUILT_IN, each.view, {
            seed: seedOf('list', seed, quiz, i),
            offered,
            doubtful,
          })
        : [];
      for (const id of list) offered.set(id, (offered.get(id) ?? 0) + 1);
      class_.sit({ station, setting, values }, list.length ? list : undefined, held);
    });
    const said = reportOf({ stations, ...held, settingOf: () => setting, seed: 1 })
      .characters.filter(({ sure }) => sure)
      .map(({ characterId }) => characterId);
    course.found.push(class_.neglected.filter((id) => said.some((one) => standsFor(one, [id]))).length);
    course.false.push(said.filter((one) => !standsFor(one, class_.neglected)).length);
  });
  return course;
}

/** Which stations ask: a third by lot, or those where most that is doubtful can be told, as many as a proposal to learn has. */
function askedOf(arm: Arm, chosen: readonly Candidate[], so: ClassSoFar, seed: number): Set<string> {
  const asked = askedWentBy(chosen, so, arm === 'random' ? 0 : TO_LEARN);
  const best = chosen.filter((_, i) => asked[i]);
  return new Set(
    (arm === 'random' ? drawn(chosen, best.length, randomFrom(seed)) : best).map(({ id }) => id),
  );
}

/**
 * How many stations it takes to find what classes pass over: chosen to learn it, against fair ones at random that cover the same list.
 *
 * @param classes simulated, of seeds that nothing else uses
 */
export async function information(classes = CLASSES): Promise<Row[]> {
  return rowsOf(await coursesOf('random', classes), await coursesOf('chosen', classes));
}

/** The classes of one way, seed by seed. */
export async function coursesOf(arm: Arm, classes: number): Promise<Course[]> {
  const solve = await highs();
  return Array.from({ length: classes }, (_, i) => courseOf(arm, FIRST + i, solve));
}

/** The rows from both ways. */
export function rowsOf(random: readonly Course[], chosen: readonly Course[]): Row[] {
  const classes = random.length;
  const of = (courses: readonly Course[], what: 'found' | 'false') =>
    DAYS.map((_, quiz) => mean(courses.map((course) => course[what][quiz]!)));
  const share = (which: readonly number[], quiz: number) =>
    stationsFor(
      of(
        which.map((i) => random[i]!),
        'found',
      )[quiz]!,
      of(
        which.map((i) => chosen[i]!),
        'found',
      ),
    ) /
    (STATIONS * (quiz + 1));
  const all = [...random.keys()];
  const lot = randomFrom(seedOf('information', 'again'));
  const rows = DAYS.flatMap((_, quiz): Row[] => {
    if (quiz < 2) return [];
    const again = Array.from({ length: RESAMPLED }, () =>
      share(
        all.map(() => Math.floor(lot.uniform() * classes)),
        quiz,
      ),
    ).sort((x, y) => x - y);
    const [low, high] = [again[Math.floor(0.05 * RESAMPLED)]!, again[Math.floor(0.95 * RESAMPLED)]!];
    return [
      {
        what: `${classes} classes of 42 trees: stations that find what ${STATIONS * (quiz + 1)} random fair ones do (90 % of resampled classes)`,
        value: `${Math.round(100 * share(all, quiz))} % (${Math.round(100 * low)}–${Math.round(100 * high)})`,
        wanted: '≤ 67 %',
      },
    ];
  });
  const told = (courses: readonly Course[]) =>
    of(courses, 'found')
      .map((found, quiz) => `${found.toFixed(2)}/${of(courses, 'false')[quiz]!.toFixed(2)}`)
      .join(' ');
  return [
    ...rows,
    {
      what: `the same: sure and true/false a class after each ${STATIONS} random stations`,
      value: told(random),
    },
    { what: `the same: after each ${STATIONS} chosen to learn`, value: told(chosen) },
  ];
}

const RESAMPLED = 1000;

/** How many stations find so much, between two quizzes in proportion; more than there were where they do not. */
function stationsFor(found: number, by: readonly number[]): number {
  const after = by.findIndex((each) => each >= found);
  if (after < 0) return STATIONS * (by.length + 1);
  const before = after === 0 ? 0 : by[after - 1]!;
  return STATIONS * (after + (found > before ? (found - before) / (by[after]! - before) : 0));
}

const mean = (values: readonly number[]): number => values.reduce((sum, x) => sum + x, 0) / values.length;
