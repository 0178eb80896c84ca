import { afterReteaching, type AfterReteaching, type StationCount } from '@hurrow/core/confusion';
import { randomFrom, type Random } from '@hurrow/core/random';
import type { Row } from './row.ts';

/**
 * Pairs before and after, by a generator of their own (`bench/learner.md`, Before and after): some students know the mark of a pair and some do not, stations
 * differ in what nobody knows of them.
 */
const STUDENTS = 24;
const PAIRS = 20;
const RUNS = 400;
/** Who knows the mark takes one for the other all the same in so many of answers. */
const SLIP = 0.02;

interface Change {
  /** What is left of the share of students who do not know the mark. */
  left: number;
  /** By how much the later specimens differ from the earlier, in the share that a beginner misreads. */
  before: number;
  after: number;
  /** All pairs of the class are as hard: the worst is the worst by chance alone. */
  alike?: boolean;
}

/** One pair: of the students so many do not know its mark, and take a specimen for the other tree as its looks let them. */
function pairOf(random: Random, { left, before, after, alike = false }: Change) {
  const ignorant = alike ? 0.45 : 0.1 + 0.8 * random.uniform() ** 2;
  const lean = alike ? 0 : random.normal() * 0.5;
  const who = Array.from({ length: STUDENTS }, () => random.uniform() < ignorant);
  const still = who.map((one) => one && random.uniform() < left);
  const station = (expected: number, unknowing: readonly boolean[], slip: number): StationCount => {
    const off = Math.log(expected / (1 - expected)) + 1.6 + lean + 0.35 * random.normal();
    const taken = 1 / (1 + Math.exp(-off));
    const mixed = unknowing.filter((one) => random.uniform() < (one ? taken : slip)).length;
    return { asked: STUDENTS, mixed, expected };
  };
  return {
    before: [station(before, who, SLIP), station(before * 0.8, who, SLIP)],
    after: [station(after, still, SLIP * left), station(after * 0.8, still, SLIP * left)],
  };
}

const NOTHING: Change = { left: 1, before: 0.15, after: 0.15 };
const shareOf = (stations: readonly StationCount[]) =>
  stations.reduce((sum, { mixed }) => sum + mixed, 0) / stations.reduce((sum, { asked }) => sum + asked, 0);

/** Verdicts of so many classes: of the first of their pairs, or of the one that looked worst. */
function verdicts(change: Change, worst: boolean, seed: number): AfterReteaching[] {
  return Array.from({ length: RUNS }, (_, run) => {
    const random = randomFrom(seed + run);
    const pairs = Array.from({ length: PAIRS }, () => pairOf(random, change));
    const [first] = worst ? [...pairs].sort((a, b) => shareOf(b.before) - shareOf(a.before)) : pairs;
    const peers = pairs.filter((each) => each !== first).map(({ before }) => before);
    return afterReteaching(first!.before, first!.after, peers).verdict;
  });
}

export function verdictRows(): Row[] {
  const share = (all: readonly AfterReteaching[], ...said: AfterReteaching[]) =>
    `${((100 * all.filter((each) => said.includes(each)).length) / all.length).toFixed(1)} %`;
  const better: AfterReteaching[] = ['improving', 'resolved'];
  const easier = { ...NOTHING, before: 0.25, after: 0.1 };
  const halved = { ...NOTHING, left: 0.5 };
  const cured = verdicts({ ...NOTHING, left: 0.1 }, true, 7000);
  return [
    {
      what: 'reteaching: nothing changed, called better, of 400',
      value: share(verdicts(NOTHING, false, 1000), ...better),
      wanted: '<= 5 %',
    },
    {
      what: 'reteaching: nothing changed, worst of 20 called better',
      value: share(verdicts(NOTHING, true, 2000), ...better),
      wanted: '<= 5 %',
    },
    {
      what: 'reteaching: nothing changed, worst of 20 that are alike called better',
      value: share(verdicts({ ...NOTHING, alike: true }, true, 2500), ...better),
      wanted: '<= 5 %',
    },
    {
      what: 'reteaching: easier specimens, called better',
      value: share(verdicts(easier, false, 3000), ...better),
      wanted: '<= 10 %',
    },
    {
      what: 'reteaching: easier specimens, worst of 20 called better',
      value: share(verdicts(easier, true, 4000), ...better),
      wanted: '<= 10 %',
    },
    {
      what: 'reteaching: halved, called “as before”',
      value: share(verdicts(halved, false, 5000), 'as before'),
      wanted: '<= 10 %',
    },
    {
      what: 'reteaching: worst of 20 halved, called “as before”',
      value: share(verdicts(halved, true, 6000), 'as before'),
      wanted: '<= 10 %',
    },
    {
      what: 'reteaching: worst of 20 halved, called better',
      value: share(verdicts(halved, true, 6000), ...better),
    },
    {
      what: 'reteaching: worst of 20 to a tenth, called resolved / better',
      value: `${share(cured, 'resolved')} / ${share(cured, ...better)}`,
    },
    {
      what: 'reteaching: nothing changed, worst of 20 called “as before”',
      value: share(verdicts(NOTHING, true, 2000), 'as before'),
    },
  ];
}
