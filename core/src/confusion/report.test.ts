import { profiled, viewOf } from '../testing/taxa.ts';
import { randomFrom } from '../random/index.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import {
  limitedEvidence,
  prepareClass,
  reportOf,
  type AskedStation,
  type ReportedAnswer,
  type Setting,
  type WentBy,
} from './index.ts';

/** Two genera of three; within each the species differ in the hairs and scales of the bud, in the twig or in both. */
const TAXA = [
  profiled('Aa', 'una', {
    'bud.scales': 'naked',
    'bud.hair': 'none',
    'twig.zigzag': 'always',
    'leaf.length': '4–8 cm',
    'leaf.width': '2–4 cm',
  }),
  profiled('Aa', 'bina', {
    'bud.scales': 'naked',
    'bud.hair': 'woolly',
    'twig.zigzag': 'always',
    'leaf.length': '4–8 cm',
    'leaf.width': '2–4 cm',
  }),
  profiled('Aa', 'terna', {
    'bud.scales': 'naked',
    'bud.hair': 'none',
    'twig.zigzag': 'never',
    'leaf.length': '4–8 cm',
    'leaf.width': '2–4 cm',
  }),
  profiled('Bb', 'una', {
    'bud.scales': 'two valvate',
    'bud.hair': 'none',
    'twig.zigzag': 'always',
    'leaf.length': '9–20 cm',
    'leaf.width': '5–11 cm',
  }),
  profiled('Bb', 'bina', {
    'bud.scales': 'two valvate',
    'bud.hair': 'woolly',
    'twig.zigzag': 'always',
    'leaf.length': '9–20 cm',
  }),
  profiled('Bb', 'terna', {
    'bud.scales': 'two valvate',
    'twig.zigzag': 'never',
    'leaf.length': '9–20 cm',
    'leaf.width': '5–11 cm',
  }),
];
const IDS = TAXA.map(({ taxon }) => taxon.id);
const setting: Setting = { key: '1', taxa: TAXA, vocabulary: BUILT_IN, options: {} };
const settingOf = () => setting;
const stations: AskedStation[] = ['first', 'second'].flatMap((quizId) =>
  IDS.map((truth) => ({
    id: `${quizId} ${truth}`,
    quizId,
    truth,
    view: viewOf(['bud', 'twig', 'leaf']),
    options: IDS,
  })),
);
/** The twin in the genus from which a tree differs by the hairs of its buds alone. */
const TWIN: Record<string, string> = {
  'aa-una': 'aa-bina',
  'aa-bina': 'aa-una',
  'bb-una': 'bb-bina',
  'bb-bina': 'bb-una',
};

/** A class that does not look at the hairs: twins are taken for one another every second time, other slips are rare. */
function answersOf(students: number, of = stations, hairy = 0.5): ReportedAnswer[] {
  const random = randomFrom(3);
  return of.flatMap(({ id, truth }) =>
    Array.from({ length: students }, (_, s): ReportedAnswer => {
      const slip = random.uniform();
      const twin = TWIN[truth];
      const named =
        twin && slip < hairy ? twin : slip > 0.95 ? random.pick(IDS) : slip > 0.93 ? 'blank' : truth;
      return { answerId: `${id} ${s}`, studentId: `s${s}`, stationId: id, named };
    }),
  );
}

test('the overlooked character comes first, with the errors and pairs behind it', () => {
  const done: number[] = [];
  const report = reportOf({ stations, answers: answersOf(20), settingOf, seed: 1 }, (share) =>
    done.push(share),
  );
  expect(report.state).toBe('enough');
  const ranked = [...report.characters].sort(
    (x, y) => (y.prevented?.prevented ?? -1e9) - (x.prevented?.prevented ?? -1e9),
  );
  const hair = ranked[0]!;
  expect(hair.characterId).toBe('bud.hair');
  expect(hair.prevented!.interval[0]).toBeGreaterThan(0);
  expect(hair.worth!.interval[1]).toBeLessThan(0.6);
  expect(hair.pairs.slice(0, 4).map(({ truth, answer }) => TWIN[truth] === answer)).toEqual([
    true,
    true,
    true,
    true,
  ]);
  expect(hair.behind.length).toBeGreaterThan(40);
  expect(
    report.pairs.filter(({ standsOut }) => standsOut).map(({ truth, answer }) => TWIN[truth] === answer),
  ).not.toContain(false);
  expect(
    report.losses.every(({ model, withoutUse, baseRate }) => model < withoutUse && model < baseRate),
  ).toBe(true);
  expect(report.stations).toHaveLength(12);
  expect(report.inSample!.slope).toBeGreaterThan(0.8);
  expect(done.at(-1)).toBe(1);
  expect([...done].sort((x, y) => x - y)).toEqual(done);
});

test('the same answers give the same report', () => {
  const input = { stations, answers: answersOf(8), settingOf, seed: 1 };
  expect(reportOf(input)).toEqual(reportOf(input));
});

test('two students and five answers are too few to say anything', () => {
  const few = answersOf(2).slice(0, 5);
  const report = reportOf({ stations, answers: few, settingOf, seed: 1 });
  expect(report).toMatchObject({
    state: 'too few',
    characters: [],
    species: [],
    overGiven: [],
    stations: [],
  });
});

test('a class without errors is said to have none; five right answers are still too few', () => {
  const right = answersOf(10).map((answer) => ({ ...answer, named: answer.stationId.split(' ')[1]! }));
  expect(reportOf({ stations, answers: right, settingOf, seed: 1 })).toMatchObject({
    state: 'no errors',
    pairs: [],
  });
  expect(reportOf({ stations, answers: right.slice(0, 5), settingOf, seed: 1 }).state).toBe('too few');
});

test('a character that only one station could tell by has no finding', () => {
  // Only the bark of one tree is shown at all, once.
  const only = stations
    .filter(({ quizId }) => quizId === 'first')
    .map((station) => (station.truth === 'aa-bina' ? station : { ...station, view: viewOf(['twig']) }));
  const report = reportOf({ stations: only, answers: answersOf(20, only), settingOf, seed: 1 });
  const hair = report.characters.find(({ characterId }) => characterId === 'bud.hair')!;
  expect(hair.telling).toEqual(['first aa-bina']);
  expect(hair.prevented).toBeUndefined();
  expect(hair.worth).toBeUndefined();
});

test('a station that nobody has answered yet tells nothing', () => {
  const answers = answersOf(20).filter(({ stationId }) => stationId.startsWith('first'));
  const report = reportOf({ stations, answers, settingOf, seed: 1 });
  const told = report.characters.flatMap(({ telling }) => telling);
  expect(told.length).toBeGreaterThan(0);
  expect(told.filter((id) => id.startsWith('second'))).toEqual([]);
  expect(report.stations).toHaveLength(6);
});

test('near-duplicates enter as one character, and a missing score takes the mean of its list', () => {
  const { data, assumed } = prepareClass(stations, answersOf(3), settingOf);
  const size = data.characters.filter((id) => id === 'leaf.length' || id === 'leaf.width');
  expect(size).toHaveLength(1);
  expect(assumed.get('bud.hair')).toEqual(['bb-terna']);
  const situation = data.situations[0]!;
  const hair = situation.characters.indexOf(data.characters.indexOf('bud.hair'));
  const column = situation.options.map((_, k) => situation.evidence[k * situation.characters.length + hair]!);
  const missing = situation.options.indexOf(data.taxa.indexOf('bb-terna'));
  // Una agrees with three of the four others that are scored: itself aside, two differ.
  const known = column.filter((_, k) => k !== missing && situation.options[k] !== situation.truth);
  expect(column[missing]).toBeCloseTo(known.reduce((sum, e) => sum + e, 0) / known.length);
});

test('answers that name no tree of the list keep their kind; where one had to be chosen there is only blank', () => {
  const chosen = stations.map((station) => ({ ...station, choice: true }));
  const answers = ['blank', 'off the list', 'right genus only', 'wrong genus only', 'Picea abies'].map(
    (named, i): ReportedAnswer => ({
      answerId: String(i),
      studentId: 's',
      stationId: stations[0]!.id,
      named,
    }),
  );
  const places = (of: AskedStation[]) =>
    prepareClass(of, answers, settingOf).data.choices.map(({ answer }) => answer - IDS.length);
  expect(places(stations)).toEqual([0, 1, 2, 3, 1]);
  expect(places(chosen)).toEqual([0, 0, 0, 0, 0]);
});

test('an answer to a station that is left out is left out with it', () => {
  const { data } = prepareClass(stations.slice(1), answersOf(3), settingOf);
  expect(data.choices).toHaveLength(33);
});

/** What the class says it went by: all but the hairs of the bud are told, each a third of the time. */
function reportsOf(students: number): WentBy[] {
  const random = randomFrom(5);
  const offered = ['bud.scales', 'bud.hair', 'twig.zigzag', 'leaf.length'];
  return stations.flatMap(({ id }) =>
    Array.from({ length: students }, (_, s): WentBy => {
      const told = offered.filter((c) => random.uniform() < (c === 'bud.hair' ? 0.02 : 0.35));
      return { studentId: `s${s}`, stationId: id, offered, told };
    }),
  );
}

test('by names alone nothing is sure of a character; what students say they went by makes it so', () => {
  const input = { stations, answers: answersOf(20), settingOf, seed: 1 };
  const hairOf = (wentBy?: WentBy[]) =>
    reportOf({ ...input, ...(wentBy ? { wentBy } : {}) }).characters.find(
      ({ characterId }) => characterId === 'bud.hair',
    )!;
  const [silent, told] = [hairOf(), hairOf(reportsOf(20))];
  expect(silent.sure).toBe(false);
  expect(silent.told).toBeUndefined();
  expect(told.told!.told).toBeLessThan(told.told!.expected / 4);
  expect(told.worth!.share).toBeLessThan(0.4);
  expect(told.prevented!.prevented).toBeGreaterThan(0);
  // Six names are too few for more than its rank.
  expect([told.rankOnly, silent.rankOnly]).toEqual([true, undefined]);
  expect(told.overlooked).toBeGreaterThan(silent.overlooked);
});

test('what names say is told before the rest is worked out, once', () => {
  const told: { share: number; suspected: string[] }[] = [];
  const report = reportOf({ stations, answers: answersOf(20), settingOf, seed: 1 }, (share, _, first) => {
    if (first) told.push({ share, suspected: first.suspected });
  });
  expect(told).toHaveLength(1);
  expect(told[0]!.share).toBeLessThan(0.5);
  expect(told[0]!.suspected[0]).toBe('bud.hair');
  expect(report.characters.map(({ characterId }) => characterId)).toContain('bud.hair');
});

test('told in practice and by what was sorted counts, though no station asked it', () => {
  const input = { stations, answers: answersOf(20), settingOf, seed: 1 };
  const elsewhere = reportsOf(20).map((each, i) => ({
    ...each,
    stationId: `elsewhere ${i}`,
    from: i % 2 ? ('practice' as const) : ('sorting' as const),
  }));
  const hairOf = (wentBy: WentBy[]) => {
    const { characters, reports } = reportOf({ ...input, wentBy });
    return { told: characters.find(({ characterId }) => characterId === 'bud.hair')!.told, reports };
  };
  const found = hairOf(elsewhere);
  expect(found.told).toEqual(hairOf(reportsOf(20)).told);
  expect(found.reports).toEqual({ all: 240, practice: 120, sorting: 120 });
  // A station that was left out is none of these.
  expect(hairOf(elsewhere.map(({ from: _, ...each }) => each)).told).toBeUndefined();
});

test('told of a near-duplicate counts for the one that stands for both', () => {
  const wentBy = reportsOf(20).map((one) => ({
    ...one,
    offered: one.offered.map((id) => (id === 'leaf.length' ? 'leaf.width' : id)),
    told: one.told.map((id) => (id === 'leaf.length' ? 'leaf.width' : id)),
  }));
  const { characters, reports } = reportOf({ stations, answers: answersOf(20), settingOf, seed: 1, wentBy });
  const size = characters.find(({ characterId }) => characterId.startsWith('leaf.'))!;
  expect(size.told!.told).toBeGreaterThan(50);
  expect(reports).toEqual({ all: 240, practice: 0, sorting: 0 });
});

test('bounded evidence keeps its order, and no name tells more than six nats', () => {
  const { data } = prepareClass(stations, answersOf(3), settingOf);
  limitedEvidence(data).situations.forEach(({ evidence, characters, options }, s) => {
    const raw = data.situations[s]!.evidence;
    options.forEach((_, k) => {
      const row = (of: Float64Array) => [...of.subarray(k * characters.length, (k + 1) * characters.length)];
      expect(row(evidence).reduce((sum, e) => sum + e, 0)).toBeLessThan(6);
      const order = (of: number[]) => [...of.keys()].sort((x, y) => of[x]! - of[y]! || x - y);
      expect(order(row(evidence))).toEqual(order(row(raw)));
    });
  });
});
