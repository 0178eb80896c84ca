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
  const asked = askedOf(held, taughtOn);
  const taught = only
    ? askedOf(
        { ...held, answers: held.answers.filter(({ studentId }) => only.includes(studentId)) },
        taughtOn,
      )
    : asked;
  const before = countsOf(taught, a, b, 'before');
  const after = countsOf(taught, a, b, 'since');
  const peers = otherPairs(asked, a, b).map(([x, y]) => countsOf(asked, x, y, 'before').counts);
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

type When = 'before' | 'since';

/** A station with all that was answered at it: how many answers, what they weigh, and the same for each tree that was named. */
interface Asked {
  station: HeldStation;
  when: When;
  /** How often each student answered to its tree, here and at the others of that time. */
  times: Map<string, number>;
  given: Tally;
  named: Map<string | null, Tally>;
}

interface Tally {
  answers: number;
  weight: number;
}

const none = (): Tally => ({ answers: 0, weight: 0 });

/** The stations at which each tree stood, counted once: every other pair of a class is held against the one that was taught. */
function askedOf({ stations, answers, heldOn }: HeldClass, taughtOn: string): Map<string, Asked[]> {
  const byId = new Map<string, Asked>();
  const byTruth = new Map<string, Asked[]>();
  for (const station of stations) {
    const when = (heldOn.get(station.quizId) ?? '') < taughtOn ? 'before' : 'since';
    const others = byTruth.get(station.truth) ?? [];
    const times = others.find((other) => other.when === when)?.times ?? new Map<string, number>();
    const asked: Asked = { station, when, times, given: none(), named: new Map() };
    byTruth.set(station.truth, others);
    others.push(asked);
    byId.set(station.id, asked);
  }
  for (const { studentId, stationId } of answers) {
    const times = byId.get(stationId)?.times;
    times?.set(studentId, (times.get(studentId) ?? 0) + 1);
  }
  for (const { studentId, stationId, named } of answers) {
    const at = byId.get(stationId);
    if (!at) continue;
    const tally = at.named.get(named) ?? none();
    at.named.set(named, tally);
    const weight = 1 / (1 + (at.times.get(studentId)! - 1) * TOGETHER);
    for (const each of [at.given, tally]) {
      each.answers += 1;
      each.weight += weight;
    }
  }
  return byTruth;
}

function countsOf(
  asked: ReadonlyMap<string, readonly Asked[]>,
  a: string,
  b: string,
  during: When,
): {
  counts: StationCount[];
  organs: Set<string>;
  /** As they were given. */
  plain: { asked: number; mixed: number };
} {
  const found = { counts: [] as StationCount[], organs: new Set<string>(), plain: { asked: 0, mixed: 0 } };
  for (const [truth, other] of [
    [a, b],
    [b, a],
  ] as const)
    for (const { station, when, given, named } of asked.get(truth) ?? []) {
      if (when !== during || given.answers === 0) continue;
      const mixed = named.get(other) ?? none();
      const expected =
        station.taken.length === 0
          ? UNKNOWN
          : (station.taken.find(({ taxonId }) => taxonId === other)?.share ?? 0);
      found.counts.push({ asked: given.weight, mixed: mixed.weight, expected });
      found.plain.asked += given.answers;
      found.plain.mixed += mixed.answers;
      station.organs.forEach((organ) => found.organs.add(organ));
    }
  return found;
}

/** Pairs that could have been singled out instead: mixed up by somebody, or by a beginner's reading. */
function otherPairs(asked: ReadonlyMap<string, readonly Asked[]>, a: string, b: string): [string, string][] {
  const pairs = new Map<string, [string, string]>();
  const note = (x: string, y: string) => {
    const [first, second]: [string, string] = x < y ? [x, y] : [y, x];
    pairs.set(`${first} ${second}`, [first, second]);
  };
  for (const [truth, all] of asked)
    for (const { station, named } of all) {
      for (const id of named.keys()) if (id && id !== truth) note(truth, id);
      for (const { taxonId, share } of station.taken)
        if (share >= COULD_BE && taxonId !== truth) note(truth, taxonId);
    }
  pairs.delete([a, b].sort().join(' '));
  return [...pairs.values()];
}
