import {
  reportOf,
  type CharacterFinding,
  type ConfusionReport,
  type EarlierClasses,
  type ReportedAnswer,
  type WentBy,
} from '@hurrow/core/confusion';
import { randomFrom } from '@hurrow/core/random';
import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { vocabularyOf } from '@hurrow/core/vocabulary';
import {
  attentiveClass,
  standsFor,
  syntheticTaxa,
  type AttentiveClass,
  type AttentiveOptions,
  type ListName,
} from './attentive.ts';
import { drawn } from './classes.ts';
import { milliseconds, timed, type Row } from './row.ts';

const LISTS: readonly ListName[] = ['42 trees', 'conifers', 'second flora', 'synthetic'];
const WANTED: Record<ListName, { auc: string; first: string; names: string }> = {
  '42 trees': { auc: '≥ .93', first: '≥ 60 %', names: '' },
  conifers: { auc: '≥ .95', first: '≥ 60 %', names: '≥ .90' },
  'second flora': { auc: '≥ .93', first: '≥ 60 %', names: '' },
  synthetic: { auc: '≥ .97', first: '≥ 85 %', names: '≥ .90' },
};

/** What came out of one class of G3. */
interface Outcome {
  auc: number;
  firstThree: number;
  said: { true: number; false: number };
  /** Errors that what is said as sure of characters would have saved: as stated, and as it comes true. */
  saved: { stated: number; came: number; ranked: boolean }[];
  covered: { inside: number; all: number };
  /** Slope of what came on what was expected of quizzes left out, and whether its interval holds 1. */
  slope?: number;
  holdsOne?: boolean;
}

/** What a class overlooks, found in classes of G3 (`bench/generator.md`), with reports and without. */
export function attention(seeds = 20, lists = LISTS): Row[] {
  return [
    ...speed(),
    largeSpeed(),
    ...lists.flatMap((list) => {
      const over = (options: AttentiveOptions) =>
        Array.from({ length: seeds }, (_, i) => outcomeOf(list, 3001 + i, options));
      const [told, silent, nothing, uneven] = [
        over({ uneven: 0.5 }),
        over({}),
        over({ uneven: 0.5, nothing: true }),
        over({ uneven: 1 }),
      ];
      return [
        ...tableOf(list, told),
        {
          what: `${list}, without reports: AUC; classes with a false sure sentence`,
          value: `${mean(silent.map(({ auc }) => auc)).toFixed(3)}; ${percent(anyFalse(silent))}`,
          wanted: `${WANTED[list].names || '-'}; ≤ 5 %`,
        },
        {
          what: `${list}, nothing overlooked: classes with a sure sentence`,
          value: percent(mean(nothing.map(({ said }) => (said.true + said.false > 0 ? 1 : 0)))),
          wanted: '≤ 10 %',
        },
        {
          what: `${list}, told twice as unevenly: AUC; false of all sure`,
          value: `${mean(uneven.map(({ auc }) => auc)).toFixed(3)}; ${falseOf(uneven)}`,
          wanted: '-; ≤ 20 %',
        },
        secondYear(list, seeds),
      ];
    }),
  ];
}

/** All that is said of a class of 24 at 60 stations of 42 trees, a third of which ask what students went by. */
function speed(): Row[] {
  const held = attentiveClass('42 trees', 3001, { uneven: 0.5 });
  const what = '24 students × 60 stations, 42 trees, with reports';
  return [
    {
      what: `Report on ${what}`,
      value: milliseconds(timed(() => void reportOf({ ...held, seed: 1 }), 3, 1)),
      wanted: '≤ 15 s',
    },
    {
      what: `What names say of ${what}, told first`,
      value: milliseconds(timed(() => untilFirst(held), 5, 1)),
      wanted: '≤ 1 s',
    },
  ];
}

/** A report as far as what is told first. */
function untilFirst(held: AttentiveClass): void {
  const enough = new Error('enough');
  try {
    reportOf({ ...held, seed: 1 }, (_share, _doing, first) => {
      if (first) throw enough;
    });
  } catch (error) {
    if (error !== enough) throw error;
  }
}

/** The same of 200 students at 200 stations of 60 taxa with 80 characters, of which 28 can be seen at a station; only how long it takes is looked at. */
function largeSpeed(): Row {
  const [taxa, characters, students, stations, seen] = [60, 80, 200, 200, 28];
  const random = randomFrom(60);
  const made = syntheticTaxa(
    Array.from({ length: taxa }, (_, t) =>
      Array.from({ length: characters }, (_c, c) =>
        random.uniform() < 0.15 ? Math.floor(3 * random.uniform()) : (Math.floor(t / 6) * (c + 1)) % 3,
      ),
    ),
  );
  const options = made.taxa.map(({ taxon }) => taxon.id);
  const view = { ...MEDIUM_VIEWS.cutting, day: 200, qualifiers: {} };
  const asked = Array.from({ length: stations }, (_, i) => {
    const shown = drawn(made.characters, seen, random);
    const station = {
      id: `s${i}`,
      quizId: String(Math.floor(i / 40)),
      truth: options[i % taxa]!,
      view,
      options,
    };
    const setting = { key: `s${i}`, taxa: made.taxa, vocabulary: vocabularyOf(shown), options: {} };
    return { station, setting, shown: shown.map(({ id }) => id) };
  });
  const settings = new Map(asked.map(({ station, setting }) => [station.id, setting]));
  const answers: ReportedAnswer[] = [];
  const wentBy: WentBy[] = [];
  for (const [i, { station, shown }] of asked.entries())
    for (let s = 0; s < students; s += 1) {
      const [studentId, stationId] = [String(s), station.id];
      const like = options[6 * Math.floor((i % taxa) / 6) + Math.floor(6 * random.uniform())]!;
      answers.push({
        answerId: `${s} ${stationId}`,
        studentId,
        stationId,
        named: random.uniform() < 0.65 ? station.truth : like,
      });
      if (i % 3 === 0)
        wentBy.push({ studentId, stationId, offered: drawn(shown, 18, random), told: [random.pick(shown)] });
    }
  const input = {
    stations: asked.map(({ station }) => station),
    answers,
    wentBy: wentBy.map((each) => ({ ...each, told: each.told.filter((id) => each.offered.includes(id)) })),
    settingOf: ({ id }: { id: string }) => settings.get(id)!,
    seed: 1,
  };
  return {
    what: 'Report on 200 students × 200 stations, 60 taxa, 80 characters, with reports',
    value: milliseconds(timed(() => void reportOf(input), 1, 0)),
    wanted: '≤ 90 s',
  };
}

/** A second class that neglects what the first did, with students and stations of its own: found with what was found in the first, and without. */
function secondYear(list: ListName, seeds: number): Row {
  const gains = Array.from({ length: seeds }, (_, i) => {
    const first = attentiveClass(list, 3001 + i, { uneven: 0.5 });
    const { characters } = reportOf({ ...first, seed: 1 });
    const chances = characters.flatMap(({ characterId, told, overlooked }) =>
      told ? [[characterId, overlooked] as const] : [],
    );
    const second = attentiveClass(list, 4001 + i, { uneven: 0.5, neglected: first.neglected });
    const aucWith = (earlier?: EarlierClasses) => {
      const report = reportOf({ ...second, ...(earlier ? { earlier } : {}), seed: 1 });
      const able = report.characters
        .filter(({ characterId, telling }) => telling.length >= 2 && second.shown.includes(characterId))
        .sort((x, y) => (x.worth?.share ?? 1) - (y.worth?.share ?? 1));
      return aucOf(able.map(({ characterId }) => standsFor(characterId, second.neglected)));
    };
    return [aucWith(), aucWith({ names: ['first'], overlooked: Object.fromEntries(chances) })];
  });
  const at = (place: number) => mean(gains.map((pair) => pair[place]!)).toFixed(3);
  return {
    what: `${list}, a second year: AUC without and with what the first overlooked`,
    value: `${at(0)}; ${at(1)}`,
  };
}

function tableOf(list: ListName, told: readonly Outcome[]): Row[] {
  const saved = told.flatMap((outcome) => outcome.saved);
  const slope =
    saved.reduce((sum, { stated, came }) => sum + stated * came, 0) /
    saved.reduce((sum, { stated }) => sum + stated ** 2, 0);
  const inside = told.reduce((sum, { covered }) => sum + covered.inside, 0);
  const all = told.reduce((sum, { covered }) => sum + covered.all, 0);
  return [
    {
      what: `${list}, reports at every third station: AUC; first three true`,
      value: `${mean(told.map(({ auc }) => auc)).toFixed(3)}; ${percent(mean(told.map(({ firstThree }) => firstThree)))}`,
      wanted: `${WANTED[list].auc}; ${WANTED[list].first}`,
    },
    {
      what: `${list}: sure and true a class; false of all sure`,
      value: `${mean(told.map(({ said }) => said.true)).toFixed(2)}; ${falseOf(told)}`,
      wanted: '-; ≤ 10 %',
    },
    {
      what: `${list}: saved on stated; 90 % intervals of use that hold the truth`,
      value: `${saved.length ? slope.toFixed(2) : '-'}${saved.some(({ ranked }) => ranked) ? ' (rank only)' : ''}; ${percent(inside / all)}`,
      wanted: '0.8–1.2; 85–95 %',
    },
    {
      what: `${list}: slope of right shares on those expected of a quiz left out; classes whose interval holds 1`,
      value: `${mean(told.flatMap(({ slope: found }) => found ?? [])).toFixed(2)}; ${percent(mean(told.flatMap(({ holdsOne }) => (holdsOne === undefined ? [] : holdsOne ? 1 : 0))))}`,
      wanted: '1; 90 %',
    },
  ];
}

function outcomeOf(list: ListName, seed: number, options: AttentiveOptions): Outcome {
  const held = attentiveClass(list, seed, options);
  const report = reportOf({ ...held, seed: 1 });
  const able = report.characters.filter(
    ({ characterId, telling }) => telling.length >= 2 && held.shown.includes(characterId),
  );
  const isTrue = ({ characterId }: CharacterFinding) => standsFor(characterId, held.neglected);
  const byUse = [...able].sort((x, y) => (x.worth?.share ?? 1) - (y.worth?.share ?? 1));
  const sure = able.filter((found) => found.sure);
  return {
    auc: aucOf(byUse.map(isTrue)),
    firstThree: byUse.slice(0, 3).filter(isTrue).length / 3,
    said: saidOf(report, held, sure),
    saved: sure.map(({ characterId, prevented, rankOnly }) => ({
      stated: prevented!.prevented,
      ranked: rankOnly === true,
      came: attentiveClass(list, seed, { ...options, mended: [characterId] }).right - held.right,
    })),
    covered: coverage(able, held),
    ...(report.leftOut
      ? {
          slope: report.leftOut.slope,
          holdsOne: report.leftOut.interval[0] <= 1 && report.leftOut.interval[1] >= 1,
        }
      : {}),
  };
}

/** Chance that a neglected one stands before another, from which are neglected in the order of the list. */
function aucOf(neglected: readonly boolean[]): number {
  let [before, pairs, seen] = [0, 0, 0];
  for (const is of neglected) {
    if (is) seen += 1;
    else before += seen;
  }
  pairs = seen * (neglected.length - seen);
  return pairs ? before / pairs : NaN;
}

function saidOf(report: ConfusionReport, held: AttentiveClass, sure: readonly CharacterFinding[]) {
  const verdicts = [
    ...sure.map(({ characterId }) => standsFor(characterId, held.neglected)),
    ...report.species.filter((found) => found.sure).map(({ taxonId }) => held.forgotten.includes(taxonId)),
    ...report.overGiven.filter((found) => found.sure).map(({ taxonId }) => held.favourites.includes(taxonId)),
  ];
  return { true: verdicts.filter(Boolean).length, false: verdicts.filter((is) => !is).length };
}

/** How many intervals of use hold what is true: π over that of the median character. */
function coverage(able: readonly CharacterFinding[], held: AttentiveClass) {
  const told = able.filter((found) => found.told && found.worth);
  const share = (id: string) => 1 / (1 + Math.exp(-held.psi.get(id)!));
  const sorted = told.map(({ characterId }) => share(characterId)).sort((x, y) => x - y);
  const typical = sorted[Math.floor(sorted.length / 2)]!;
  const inside = told.filter(({ characterId, worth }) => {
    const use = share(characterId) / typical;
    return use >= worth!.interval[0] && use <= worth!.interval[1];
  }).length;
  return { inside, all: told.length };
}

const mean = (values: readonly number[]): number => {
  const known = values.filter((x) => !Number.isNaN(x));
  return known.reduce((sum, x) => sum + x, 0) / known.length;
};
const anyFalse = (outcomes: readonly Outcome[]) => mean(outcomes.map(({ said }) => (said.false > 0 ? 1 : 0)));
const percent = (share: number): string => `${Math.round(100 * share)} %`;
function falseOf(outcomes: readonly Outcome[]): string {
  const wrong = outcomes.reduce((sum, { said }) => sum + said.false, 0);
  const all = outcomes.reduce((sum, { said }) => sum + said.false + said.true, 0);
  return all ? `${percent(wrong / all)} (${wrong} of ${all})` : 'none said';
}
