import { mean, sampleCorrelation, sampleVariance } from 'simple-statistics';

/** One answer, right or wrong, of one student at one station of a quiz. */
export interface ScoredAnswer {
  studentId: string;
  stationId: string;
  right: boolean;
  /** The name given, for the wrong answers that drew many; null for none. */
  named: string | null;
}

export interface StationStatistics {
  stationId: string;
  answers: number;
  /** Proportion right. */
  right: number;
  /** Correlation of being right here with the number right at the other stations; undefined where either does not vary. */
  discrimination: number | undefined;
  /** The stronger half of the class was right here less often than the weaker half, by more than a fifth of the class. */
  upsideDown: boolean;
  /** Wrong names that drew at least a fifth of the answers, and three. */
  drew: { named: string; count: number }[];
}

export interface QuizStatistics {
  stations: StationStatistics[];
  /** Kuder & Richardson's formula 20; undefined for fewer than two stations or where nobody differs. */
  reliability: number | undefined;
  /** Standard error of a student's number right. */
  standardError: number | undefined;
}

/**
 * Classical statistics of the stations of one quiz (G. F. Kuder & M. W. Richardson 1937, Psychometrika 2: 151–160; corrected point-biserial:
 * S. Henrysson 1963, Psychometrika 28: 211–218). Students who missed a station count as wrong there.
 */
export function quizStatistics(answers: readonly ScoredAnswer[]): QuizStatistics {
  const students = [...new Set(answers.map(({ studentId }) => studentId))];
  const stations = [...new Set(answers.map(({ stationId }) => stationId))];
  const right = new Set(
    answers.filter((answer) => answer.right).map(({ studentId, stationId }) => `${studentId} ${stationId}`),
  );
  const is = (student: string, station: string) => (right.has(`${student} ${station}`) ? 1 : 0);
  const scores = students.map((student) =>
    stations.reduce<number>((sum, station) => sum + is(student, station), 0),
  );
  const variance = students.length > 1 ? sampleVariance(scores) : 0;
  const k = stations.length;
  const within = stations.reduce((sum, station) => {
    const p = mean(students.map((student) => is(student, station)));
    return sum + p * (1 - p);
  }, 0);
  // Variance of the class at hand, as in the formula: not of a population it is drawn from.
  const ofClass = (variance * (students.length - 1)) / Math.max(1, students.length);
  const reliability = k > 1 && ofClass > 0 ? (k / (k - 1)) * (1 - within / ofClass) : undefined;
  return {
    stations: stations.map((stationId) => statisticsOf(stationId, answers, students, scores, is)),
    reliability,
    standardError:
      reliability === undefined ? undefined : Math.sqrt(ofClass * (1 - Math.max(0, reliability))),
  };
}

function statisticsOf(
  stationId: string,
  answers: readonly ScoredAnswer[],
  students: readonly string[],
  scores: readonly number[],
  is: (student: string, station: string) => 0 | 1,
): StationStatistics {
  const given = answers.filter((answer) => answer.stationId === stationId);
  const here = students.map((student) => is(student, stationId));
  const elsewhere = scores.map((score, i) => score - here[i]!);
  const vary = (values: readonly number[]) => values.some((value) => value !== values[0]);
  const order = students.map((_, i) => i).sort((x, y) => elsewhere[y]! - elsewhere[x]!);
  const half = Math.floor(students.length / 2);
  const rightOf = (group: readonly number[]) => group.reduce((sum, i) => sum + here[i]!, 0);
  const drew = new Map<string, number>();
  for (const { right, named } of given) if (!right && named) drew.set(named, (drew.get(named) ?? 0) + 1);
  return {
    stationId,
    answers: given.length,
    right: given.filter((answer) => answer.right).length / given.length,
    discrimination: vary(here) && vary(elsewhere) ? sampleCorrelation(here, elsewhere) : undefined,
    upsideDown:
      half >= 3 && rightOf(order.slice(-half)) - rightOf(order.slice(0, half)) > 0.2 * students.length,
    drew: [...drew]
      .map(([named, count]) => ({ named, count }))
      .filter(({ count }) => count >= 3 && count >= given.length / 5)
      .sort((x, y) => y.count - x.count),
  };
}
