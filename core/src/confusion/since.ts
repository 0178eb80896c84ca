import { afterReteaching, type Retaught, type StationCount } from './retaught.ts';

/** A station of a quiz that was held. */
export interface HeldStation {
  id: string;
  quizId: string;
  truth: string;
  /** Organs that it showed. */
  organs: readonly string[];
  /** What a beginner takes it for, with the share of readings, 0–1. */
  taken: readonly { taxonId: string; share: number }[];
}

/** An answer by whom, at which station, naming which tree of the list. */
export interface HeldAnswer {
  studentId: string;
  stationId: string;
  named: string | null;
}

/** All that a class has answered. */
export interface HeldClass {
  stations: readonly HeldStation[];
  answers: readonly HeldAnswer[];
  /** Day of each quiz, as 2026-10-01. */
  heldOn: ReadonlyMap<string, string>;
}

export interface SinceTaught extends Retaught {
  taughtOn: string;
  /** What was counted. */
  counted: { before: { asked: number; mixed: number }; after: { asked: number; mixed: number } };
  /** Organs that only the later stations showed, or only the earlier. */
  otherOrgans: string[];
}

/** Where nothing is known of a station: about what a beginner mixes up of two trees that are alike. */
const UNKNOWN = 0.1;
/** How far a student's answers to one tree go together, 0 not at all, 1 all alike: k of them weigh as k/(1 + (k − 1)·this). */
const TOGETHER = 0.5;
/** Other pairs that could have been singled out: those that evidence lets a beginner mix up so often. */
const COULD_BE = 0.05;

/**
 * What became of a pair since a day on which it was taught again: its answers before and since, held against the class's other pairs before. Quizzes of
 * that very day count as since. Several answers of a student to one tree tell more than one, and less than as many students: who slips repeats it.
 *
 * @param only students whom it was taught to; all where nothing is said
 * @example
 * sinceTaught(held, 'abies-grandis', 'abies-lasiocarpa', '2026-10-01').verdict; // 'improving'
 */
export function sinceTaught(
  held: HeldClass,
  a: string,
  b: string,
  taughtOn: string,
  only?: readonly string[],
): SinceTaught {
  const answers = only ? held.answers.filter(({ studentId }) => only.includes(studentId)) : held.answers;
  const before = countsOf({ ...held, answers }, a, b, taughtOn, 'before');
  const after = countsOf({ ...held, answers }, a, b, taughtOn, 'after');
  const peers = otherPairs(held, a, b).map(([x, y]) => countsOf(held, x, y, taughtOn, 'before').counts);
  const found = afterReteaching(before.counts, after.counts, peers);
  return {
    ...found,
    taughtOn,
    counted: { before: before.plain, after: after.plain },
    otherOrgans: [...after.organs, ...before.organs].filter(
      (organ, i, all) =>
        all.indexOf(organ) === i &&
        before.counts.length > 0 &&
        after.counts.length > 0 &&
        before.organs.has(organ) !== after.organs.has(organ),
    ),
  };
}

function countsOf(
  { stations, answers, heldOn }: HeldClass,
  a: string,
  b: string,
  taughtOn: string,
  when: 'before' | 'after',
): {
  counts: StationCount[];
  organs: Set<string>;
  /** As they were given. */
  plain: { asked: number; mixed: number };
} {
  const dayOf = (station: HeldStation) => heldOn.get(station.quizId) ?? '';
  const asked = new Map(
    stations
      .filter(
        (station) =>
          (station.truth === a || station.truth === b) && dayOf(station) < taughtOn === (when === 'before'),
      )
      .map((station) => [station.id, station]),
  );
  const given = answers.flatMap(({ studentId, stationId, named }) => {
    const station = asked.get(stationId);
    if (!station) return [];
    const other = station.truth === a ? b : a;
    return [{ key: `${studentId} ${station.truth}`, station, other, mixed: named === other }];
  });
  const times = new Map<string, number>();
  for (const { key } of given) times.set(key, (times.get(key) ?? 0) + 1);
  const counts = new Map<string, StationCount>();
  const organs = new Set<string>();
  const plain = { asked: given.length, mixed: given.filter(({ mixed }) => mixed).length };
  for (const { key, station, other, mixed } of given) {
    const weight = 1 / (1 + (times.get(key)! - 1) * TOGETHER);
    const expected =
      station.taken.length === 0
        ? UNKNOWN
        : (station.taken.find(({ taxonId }) => taxonId === other)?.share ?? 0);
    const count = counts.get(station.id) ?? { asked: 0, mixed: 0, expected };
    count.asked += weight;
    if (mixed) count.mixed += weight;
    counts.set(station.id, count);
    station.organs.forEach((organ) => organs.add(organ));
  }
  return { counts: [...counts.values()], organs, plain };
}

/** Pairs that could have been singled out instead: mixed up by somebody, or by a beginner's reading. */
function otherPairs({ stations, answers }: HeldClass, a: string, b: string): [string, string][] {
  const pairs = new Map<string, [string, string]>();
  const note = (x: string, y: string) => {
    const [first, second] = [x, y].sort() as [string, string];
    pairs.set(`${first} ${second}`, [first, second]);
  };
  const truthOf = new Map(stations.map(({ id, truth }) => [id, truth]));
  for (const { stationId, named } of answers) {
    const truth = truthOf.get(stationId);
    if (truth !== undefined && named && named !== truth) note(truth, named);
  }
  for (const { truth, taken } of stations)
    for (const { taxonId, share } of taken) if (share >= COULD_BE && taxonId !== truth) note(truth, taxonId);
  pairs.delete([a, b].sort().join(' '));
  return [...pairs.values()];
}
