/** A student's answer at a station that counts. */
export interface OwnAnswer {
  quizId: string;
  /** Day of the quiz, as 2026-10-01. */
  heldOn: string;
  truth: string;
  /** The tree of the list that was named; null for none. */
  named: string | null;
}

/** What one student's answers are made of. */
export interface OwnRecord {
  answers: readonly OwnAnswer[];
  /** What was said to have been gone by, of what was offered. */
  wentBy: readonly { offered: readonly string[]; told: readonly string[] }[];
  /** What was seen where it was asked for. */
  seen: readonly { characterId: string; right: boolean }[];
  /** Of the whole class: how often each character was told of how often it was offered. */
  classTold: Readonly<Record<string, { offered: number; told: number }>>;
  /** Of the whole class, by quiz. */
  classRight: Readonly<Record<string, { asked: number; right: number }>>;
}

/** What can be said of one student, no more than the answers carry. */
export interface OfStudent {
  /** Named rightly each time, at two stations or more. */
  knows: string[];
  /** Taken for another at two stations or more. */
  takes: { truth: string; named: string; times: number; asked: number }[];
  /** Taken for another once: a slip, as far as one can tell. */
  once: { truth: string; named: string; asked: number }[];
  /** Asked at two stations or more and never named, nor taken for any one tree twice. */
  notNamed: { taxonId: string; asked: number }[];
  /** Told at most stations where it was offered. */
  goesBy: { characterId: string; told: number; offered: number }[];
  /** Never told though offered so often that a student like the class would surely have. */
  passesOver: { characterId: string; offered: number; classShare: number }[];
  /** Read wrongly where it was asked for, more often than a slip would. */
  misreads: { characterId: string; wrong: number; asked: number }[];
  trend: { quizId: string; asked: number; right: number; classShare: number }[];
  /** Against the class over all quizzes: only where 19 of 20 students like the class would do otherwise. */
  standing: 'above' | 'with' | 'below' | 'too few';
}

/** Twice is no slip. */
const TWICE = 2;
/** Told at so many stations, and at more than half of those where it was offered. */
const GOES_BY = 3;
/** Of students like the class at most so many would tell it as seldom, read it as badly, or do as well or badly. */
const SURELY = 0.05;
/** A careful student misreads a character about so often. */
const SLIP = 0.15;
/** Fewer answers than these say nothing of how a student stands. */
const ENOUGH = 12;

/**
 * What one student knows, takes for what, goes by and passes over. Each is said only where one student's answers carry it: twice at least, and not
 * by chance in one of twenty students who are like the class.
 *
 * @example
 * ofStudent(record).takes; // [{ truth: 'abies-grandis', named: 'abies-lasiocarpa', times: 2, asked: 3 }]
 */
export function ofStudent(record: OwnRecord): OfStudent {
  const byTruth = grouped(record.answers, ({ truth }) => truth);
  const takes: OfStudent['takes'] = [];
  const once: OfStudent['once'] = [];
  const notNamed: OfStudent['notNamed'] = [];
  const knows: string[] = [];
  for (const [truth, answers] of byTruth) {
    const asked = answers.length;
    const wrong = grouped(
      answers.filter(({ named }) => named !== null && named !== truth),
      ({ named }) => named!,
    );
    for (const [named, times] of wrong) {
      if (times.length >= TWICE) takes.push({ truth, named, times: times.length, asked });
      else once.push({ truth, named, asked });
    }
    const right = answers.filter(({ named }) => named === truth).length;
    if (right === asked && asked >= TWICE) knows.push(truth);
    if (right === 0 && asked >= TWICE && ![...wrong.values()].some(({ length }) => length >= TWICE))
      notNamed.push({ taxonId: truth, asked });
  }
  return {
    knows,
    takes: takes.sort((x, y) => y.times - x.times),
    once,
    notNamed,
    ...attended(record),
    misreads: misreadBy(record),
    trend: [...grouped(record.answers, ({ quizId }) => quizId)].map(([quizId, answers]) => ({
      quizId,
      asked: answers.length,
      right: answers.filter(({ named, truth }) => named === truth).length,
      classShare: shareOf(record.classRight[quizId]),
    })),
    standing: standingOf(record),
  };
}

function attended({ wentBy, classTold }: OwnRecord): Pick<OfStudent, 'goesBy' | 'passesOver'> {
  const counts = new Map<string, { told: number; offered: number }>();
  for (const { offered, told } of wentBy)
    for (const id of offered) {
      const held = counts.get(id) ?? { told: 0, offered: 0 };
      held.offered += 1;
      if (told.includes(id)) held.told += 1;
      counts.set(id, held);
    }
  const all = [...counts].map(([characterId, count]) => ({ characterId, ...count }));
  return {
    goesBy: all
      .filter(({ told, offered }) => told >= GOES_BY && told > offered / 2)
      .sort((x, y) => y.told / y.offered - x.told / x.offered || y.told - x.told),
    passesOver: all
      .map(({ characterId, told, offered }) => {
        const of = classTold[characterId];
        return { characterId, told, offered, classShare: of && of.offered > 0 ? of.told / of.offered : 0 };
      })
      .filter(({ told, offered, classShare }) => told === 0 && (1 - classShare) ** offered <= SURELY)
      .sort((x, y) => y.classShare - x.classShare)
      .map(({ characterId, offered, classShare }) => ({ characterId, offered, classShare })),
  };
}

const misreadBy = ({ seen }: OwnRecord): OfStudent['misreads'] =>
  [...grouped(seen, ({ characterId }) => characterId)]
    .map(([characterId, all]) => ({
      characterId,
      asked: all.length,
      wrong: all.filter(({ right }) => !right).length,
    }))
    .filter(({ wrong, asked }) => wrong >= TWICE && atLeast(wrong, asked, SLIP) <= SURELY)
    .sort((x, y) => y.wrong / y.asked - x.wrong / x.asked);

/** Against the class: the sum of right answers, were each as likely as in the class (normal tail of a Poisson-binomial, corrected for continuity). */
function standingOf({ answers, classRight }: OwnRecord): OfStudent['standing'] {
  if (answers.length < ENOUGH) return 'too few';
  const shares = answers.map(({ quizId }) => shareOf(classRight[quizId]));
  const mean = shares.reduce((sum, share) => sum + share, 0);
  const sd = Math.sqrt(shares.reduce((sum, share) => sum + share * (1 - share), 0));
  const right = answers.filter(({ named, truth }) => named === truth).length;
  const off = right - mean;
  const z = sd > 0 ? (Math.abs(off) - 0.5) / sd : 0;
  if (z < 1.96) return 'with';
  return off > 0 ? 'above' : 'below';
}

const shareOf = (count: { asked: number; right: number } | undefined): number =>
  count && count.asked > 0 ? count.right / count.asked : 0.5;

/** Chance of so many or more of n, each with chance p. */
function atLeast(k: number, n: number, p: number): number {
  let below = 0;
  let term = (1 - p) ** n;
  for (let i = 0; i < k; i += 1) {
    below += term;
    term *= ((n - i) / (i + 1)) * (p / (1 - p));
  }
  return Math.max(0, 1 - below);
}

function grouped<T>(all: readonly T[], key: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of all) groups.set(key(one), [...(groups.get(key(one)) ?? []), one]);
  return groups;
}
