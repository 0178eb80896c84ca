import {
  tellingSituations,
  prepareClass,
  type AskedStation,
  type ReportedAnswer,
  type Setting,
  type WentBy,
} from '@hurrow/core/confusion';
import { couldShow, type ProfiledTaxon } from '@hurrow/core/evidence';
import { readLibrary } from '@hurrow/core/library';
import { randomFrom, seedOf, type Random } from '@hurrow/core/random';
import { sampleSpecimen, type Trait } from '@hurrow/core/specimen';
import { checklistOf, MOST_TOLD } from '@hurrow/core/station';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { BUILT_IN, vocabularyOf, type Character, type Vocabulary } from '@hurrow/core/vocabulary';
import { demoLibrary } from '../../demo/src/library.ts';
import { admits, scoresOf } from '../../demo/src/scores.ts';
import { secondFlora } from '../../demo/src/starters.ts';
import { drawn, libraryOf, stationsOf } from './classes.ts';

/** The lists of G3 in `bench/generator.md`. */
export type ListName = '42 trees' | 'conifers' | 'second flora' | 'synthetic';

export interface AttentiveOptions {
  /** Deviation of how readily things are told; without reports, undefined. */
  uneven?: number;
  /** Nothing is neglected, nobody forgets a species or favours a name. */
  nothing?: boolean;
  /** Characters that are attended to as ordinary ones after all, in the same class draw by draw. */
  mended?: readonly string[];
  /** What is neglected, where it is not drawn: as an earlier class did. */
  neglected?: readonly string[];
}

/** A class whose truth is known, as the report takes it. */
export interface AttentiveClass {
  stations: AskedStation[];
  answers: ReportedAnswer[];
  wentBy: WentBy[];
  settingOf(station: AskedStation): Setting;
  neglected: string[];
  forgotten: string[];
  favourites: string[];
  /** Characters that specimens show: only those can be attended to. */
  shown: string[];
  /** Log odds with which the class looks at each. */
  psi: ReadonlyMap<string, number>;
  right: number;
}

export interface Shown {
  station: AskedStation;
  setting: Setting;
  /** What the specimen shows, by character. */
  values: Record<string, Trait>;
}

const STUDENTS = 24;
const LOOKS_AT = 12;
const GUT = 0.4;
const SPREAD = 0.5;
const DAYS = [258, 10, 201];
const real = new Map<ListName, readonly ProfiledTaxon[]>();

export function listOf(name: ListName): readonly ProfiledTaxon[] {
  if (real.size === 0) {
    const demo = readLibrary(demoLibrary()).profiles;
    real.set('42 trees', demo);
    real.set(
      'conifers',
      demo.filter((entry) =>
        scoresOf(entry, 'foliage.kind').some(
          (value) => value.kind === 'states' && value.states.some(({ state }) => state !== 'broad'),
        ),
      ),
    );
    real.set('second flora', readLibrary(secondFlora()).profiles);
  }
  return real.get(name)!;
}

function realStations(name: ListName, seed: number): Shown[] {
  const taxa = listOf(name);
  const random = randomFrom(seedOf('G3', name, seed, 'stations'));
  const setting: Setting = { key: name, taxa, vocabulary: BUILT_IN, options: {} };
  return DAYS.flatMap((day, quiz) => {
    const trees = [
      ...drawn(taxa, Math.min(20, taxa.length), random),
      ...drawn(taxa, Math.max(0, 20 - taxa.length), random),
    ];
    return trees.map((truth, i): Shown => {
      const medium = quiz === 2 && i % 2 === 0 ? 'livingTree' : 'cutting';
      const view: View = { ...MEDIUM_VIEWS[medium], day, qualifiers: { plantAge: 'mature' } };
      const { values } = sampleSpecimen(truth, BUILT_IN, view, seedOf('G3', seed, quiz, i) & 0x7fffffff);
      const station = {
        id: `${quiz}-${i}`,
        quizId: String(quiz),
        truth: truth.taxon.id,
        view,
        options: taxa.map(({ taxon }) => taxon.id),
      };
      return { station, setting, values };
    });
  });
}

const MODEL = [...BUILT_IN.values()].find(({ kind, anyOf }) => kind === 'categorical' && !anyOf)!;

/** Taxa whose characters, of three states each, are what these rows say, and the characters. */
export function syntheticTaxa(library: readonly (readonly number[])[]): {
  taxa: ProfiledTaxon[];
  characters: Character[];
} {
  const characters = Array.from({ length: library[0]!.length }, (_, c): Character => {
    const states = ['a', 'b', 'c'].map((id) => ({ id, term: id, plain: id, definition: id }));
    const plain = { ...MODEL };
    delete plain.group;
    return {
      ...plain,
      id: `twig.s${c}`,
      organ: 'twig',
      part: 'always',
      distance: 'hand',
      sense: 'eye',
      requires: [],
      states,
      misread: { careful: 0.015, novice: 0.1 },
    };
  });
  const taxa = library.map((states, t): ProfiledTaxon => ({
    taxon: {
      id: `t${t}`,
      rank: 'species',
      genus: 'Synthetica',
      epithet: `n${t}`,
      family: 'Syntheticaceae',
      commonNames: [],
      synonyms: [],
      calendar: {},
      cautions: [],
    },
    scores: characters.map(({ id }, c) => ({
      characterId: id,
      qualifiers: {},
      value: { kind: 'states', states: [{ state: 'abc'[states[c]!]!, frequency: 'always' }] },
      from: ['s'],
      statements: [],
      disagree: false,
    })),
  }));
  return { taxa, characters };
}

function syntheticStations(seed: number): Shown[] {
  const stream = (what: string) => randomFrom(seedOf('G1', seed, what));
  const library = libraryOf(stream('library'));
  const { taxa, characters } = syntheticTaxa(library);
  const view: View = { ...MEDIUM_VIEWS.cutting, day: 200, qualifiers: {} };
  return stationsOf(stream('stations'), 0.35).map(({ truth, quiz, seen }, i) => ({
    station: {
      id: `s${i}`,
      quizId: String(quiz),
      truth: `t${truth}`,
      view,
      options: taxa.map(({ taxon }) => taxon.id),
    },
    setting: { key: `s${i}`, taxa, vocabulary: vocabularyOf(seen.map((c) => characters[c]!)), options: {} },
    values: Object.fromEntries(seen.map((c) => [characters[c]!.id, 'abc'[library[truth]![c]!]!])),
  }));
}

/** Students of a class of G3 with what is true of them, who answer at any station. */
export interface AttentiveStudents extends Truths {
  /** Adds what they answer at a station, and what they tell of a checklist where there is one. */
  sit(
    here: Shown,
    offered: readonly string[] | undefined,
    to: Pick<AttentiveClass, 'answers' | 'wentBy'>,
  ): number;
}

/** The students of a class of G3, from a seed; what they neglect can be told at these stations. */
export function attentiveStudents(
  name: ListName,
  seed: number,
  options: AttentiveOptions = {},
  shown = shownTo(name, seed),
): AttentiveStudents {
  const settings = new Map(shown.map(({ station, setting }) => [station.id, setting]));
  const truths = truthsOf(name, seed, shown, (station) => settings.get(station.id)!, options);
  const students = Array.from({ length: STUDENTS }, (_, s) => new Student(s, seed, truths, options));
  return {
    ...truths,
    sit(here, offered, { answers, wentBy }) {
      let right = 0;
      const { id, truth } = here.station;
      for (const [s, student] of students.entries()) {
        const { named, attended } = student.answer(here);
        if (named === truth) right += 1;
        answers.push({ answerId: `${s} ${id}`, studentId: String(s), stationId: id, named });
        if (offered)
          wentBy.push({
            studentId: String(s),
            stationId: id,
            offered,
            told: student.tell(id, attended, offered),
          });
      }
      return right;
    },
  };
}

const shownTo = (name: ListName, seed: number): Shown[] =>
  name === 'synthetic' ? syntheticStations(seed) : realStations(name, seed);

/** A class of G3, from a seed. */
export function attentiveClass(name: ListName, seed: number, options: AttentiveOptions = {}): AttentiveClass {
  const shown = shownTo(name, seed);
  const { sit, ...truths } = attentiveStudents(name, seed, options, shown);
  const settings = new Map(shown.map(({ station, setting }) => [station.id, setting]));
  const checklists = options.uneven === undefined ? new Map<string, string[]>() : checklistsOf(seed, shown);
  const answers: ReportedAnswer[] = [];
  const wentBy: WentBy[] = [];
  let right = 0;
  for (const here of shown) right += sit(here, checklists.get(here.station.id), { answers, wentBy });
  return {
    stations: shown.map(({ station }) => station),
    answers,
    wentBy,
    settingOf: (station) => settings.get(station.id)!,
    ...truths,
    shown: [...truths.psi.keys()],
    right,
  };
}

interface Truths {
  /** Log odds with which the class looks at each character, and how readily it is told. */
  psi: Map<string, number>;
  /** Of what none of these stations shows. */
  ordinary: number;
  readily: Map<string, number>;
  neglected: string[];
  forgotten: string[];
  forgets: Map<string, Set<number>>;
  favourites: string[];
}

function truthsOf(
  name: ListName,
  seed: number,
  shown: readonly Shown[],
  settingOf: (station: AskedStation) => Setting,
  { nothing, mended = [], neglected: given }: AttentiveOptions,
): Truths {
  const stream = (what: string) => randomFrom(seedOf('G3', name, seed, what));
  const { data } = prepareClass(
    shown.map(({ station }) => station),
    [],
    settingOf,
  );
  const telling = tellingSituations(data);
  const able = data.characters.filter((_, c) => telling[c]!.length >= 6);
  const few = name === 'conifers' || name === 'synthetic';
  const neglected = given ? [...given] : nothing ? [] : drawn(able, few ? 4 : 6, stream('neglected'));
  const visible = shown.reduce((sum, { values }) => sum + Object.keys(values).length, 0) / shown.length;
  const ordinary = logit(Math.min(0.8, LOOKS_AT / visible));
  const [attention, factors, telling2] = [stream('attention'), stream('factors'), stream('telling')];
  const ids = [...new Set(shown.flatMap(({ values }) => Object.keys(values)))].sort();
  const psi = new Map<string, number>();
  const readily = new Map<string, number>();
  for (const id of ids) {
    const own = ordinary + SPREAD * attention.normal();
    const factor = factors.between(0.05, 0.3);
    readily.set(id, telling2.normal());
    const passedOver = neglected.includes(id) && !mended.includes(id);
    psi.set(id, passedOver ? logit(logistic(own) * factor) : own);
  }
  const taxa = [...new Set(shown.map(({ station }) => station.truth))].sort();
  const forgotten = nothing ? [] : drawn(taxa, name === 'conifers' ? 1 : 3, stream('forgotten'));
  const forgetting = stream('forgetting');
  const forgets = new Map(
    forgotten.map((id) => [
      id,
      new Set([...Array(STUDENTS).keys()].filter(() => forgetting.uniform() < 0.7)),
    ]),
  );
  const favourites = nothing ? [] : drawn(taxa, name === 'conifers' ? 1 : 3, stream('favourites'));
  return { psi, ordinary, readily, neglected, forgotten, forgets, favourites };
}

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
const logit = (p: number): number => Math.log(p / (1 - p));

/** A checklist at every third station, as the planner makes it. */
function checklistsOf(seed: number, shown: readonly Shown[]): Map<string, string[]> {
  const random = randomFrom(seedOf('G3', seed, 'asked'));
  const lists = new Map<string, string[]>();
  for (const quiz of new Set(shown.map(({ station }) => station.quizId))) {
    const here = shown.filter(({ station }) => station.quizId === quiz);
    const offered = new Map<string, number>();
    for (const { station, setting } of drawn(here, Math.round(here.length / 3), random)) {
      const list = checklistOf(station.truth, setting.taxa, setting.vocabulary, station.view, {
        seed: seedOf(seed, station.id),
        offered,
      });
      for (const id of list) offered.set(id, (offered.get(id) ?? 0) + 1);
      if (list.length) lists.set(station.id, list);
    }
  }
  return lists;
}

class Student {
  private readonly weighs: boolean;
  private readonly carelessness: number;
  private readonly own = new Map<string, number>();
  private readonly keenness: number;

  constructor(
    private readonly place: number,
    private readonly seed: number,
    private readonly truths: Truths,
    private readonly options: AttentiveOptions,
  ) {
    const random = this.stream('self');
    this.weighs = random.uniform() < 0.5;
    this.carelessness = Math.exp(0.25 * random.normal());
    this.keenness = 0.35 * random.normal();
    for (const id of truths.psi.keys()) this.own.set(id, 0.5 * random.normal());
  }

  private stream = (...what: string[]): Random => randomFrom(seedOf('G3', this.seed, this.place, ...what));

  answer({ station, setting, values }: Shown): { named: ReportedAnswer['named']; attended: string[] } {
    const random = this.stream('answer', station.id);
    const read: { id: string; seen: Trait }[] = [];
    for (const id of Object.keys(values)) {
      const [looks, slips] = [random.uniform(), random.uniform()];
      // Drawn whether it is needed or not, so that the same class can be run again with one thing mended.
      const other = misreading(id, setting.taxa, random);
      const psi = (this.truths.psi.get(id) ?? this.truths.ordinary) + (this.own.get(id) ?? 0) + this.keenness;
      if (looks > logistic(psi)) continue;
      const wrong = slips < Math.min(0.9, this.carelessness * misread(setting.vocabulary, id));
      read.push({ id, seen: wrong && other !== undefined ? other : values[id]! });
    }
    const whims = setting.taxa.map(() => random.uniform());
    const order = new Map(Object.keys(values).map((id) => [id, random.uniform()]));
    const last = random.uniform();
    const attended = read.map(({ id }) => id);
    if (random.uniform() < 0.02) return { named: 'blank', attended };
    const known = setting.taxa
      .map((entry, k) => ({ entry, whim: whims[k]! }))
      .filter(({ entry }) => !this.truths.forgets.get(entry.taxon.id)?.has(this.place));
    const favours = (id: string) => this.truths.favourites.includes(id);
    if (this.weighs) {
      const scored = known.map(({ entry, whim }) => ({
        id: entry.taxon.id,
        score: read.reduce(
          (sum, { id, seen }) => sum + agrees(entry, id, seen, setting.vocabulary),
          GUT * whim + (favours(entry.taxon.id) ? 0.7 : 0),
        ),
      }));
      return { named: scored.reduce((best, one) => (one.score > best.score ? one : best)).id, attended };
    }
    let left = known.map(({ entry }) => entry);
    for (const { id, seen } of read.sort((x, y) => order.get(x.id)! - order.get(y.id)!)) {
      const agreeing = left.filter((entry) => agrees(entry, id, seen, setting.vocabulary) > 0);
      if (agreeing.length) left = agreeing;
    }
    const weights = left.map(({ taxon }) => (favours(taxon.id) ? 3 : 1));
    let place = last * weights.reduce((sum, w) => sum + w, 0);
    const at = weights.findIndex((w) => (place -= w) < 0);
    return { named: left[Math.max(0, at)]!.taxon.id, attended };
  }

  tell(stationId: string, attended: readonly string[], offered: readonly string[]): string[] {
    const random = this.stream('tells', stationId);
    const told = attended.filter((id) => {
      const chance = 0.6 * Math.exp(this.options.uneven! * (this.truths.readily.get(id) ?? 0));
      return offered.includes(id) && random.uniform() < chance;
    });
    return told.length > MOST_TOLD ? drawn(told, MOST_TOLD, random) : told;
  }
}

const shows = new WeakMap<ProfiledTaxon, Map<string, boolean>>();

/** How well what was read agrees with a tree, 0–1: not at all where the tree has nothing to read it from, such as a fir a bundle of needles. */
function agrees(entry: ProfiledTaxon, id: string, seen: Trait, vocabulary: Vocabulary): number {
  const held = shows.get(entry) ?? new Map<string, boolean>();
  shows.set(entry, held);
  const character = vocabulary.get(id);
  const could = held.get(id) ?? (!character || couldShow(character, entry));
  held.set(id, could);
  return could ? admits(scoresOf(entry, id), seen) : 0;
}

const misread = (vocabulary: Vocabulary, id: string): number => vocabulary.get(id)?.misread.novice ?? 0.1;

/** The state of another tree of the list. */
function misreading(id: string, taxa: readonly ProfiledTaxon[], random: Random): Trait | undefined {
  const [pick, within] = [random.uniform(), random.uniform()];
  const known = taxa.flatMap((entry) => scoresOf(entry, id).slice(0, 1));
  const value = known[Math.floor(pick * known.length)];
  if (!value) return undefined;
  if (value.kind === 'states') return value.states[Math.floor(within * value.states.length)]!.state;
  if (value.kind === 'range') {
    const low = value.low ?? value.min ?? 0;
    return low + within * ((value.high ?? value.max ?? low) - low);
  }
  return value.kind === 'flag' ? value.frequency === 'always' || value.frequency === 'usually' : undefined;
}

/** Whether a character that is named stands for one that is neglected: itself, or one bound to it in a group. */
export const standsFor = (found: string, neglected: readonly string[]): boolean => {
  const group = BUILT_IN.get(found)?.group;
  return neglected.some((id) => id === found || (group !== undefined && BUILT_IN.get(id)?.group === group));
};
