/** One marked answer, reduced to what a confusion needs. */
export interface NamedAnswer {
  /** By which the answer is found again. */
  answerId: string;
  studentId: string;
  stationId: string;
  quizId: string;
  truth: string;
  /** The taxon of the list that was named; null for blank, off-list and genus-only answers. */
  named: string | null;
}

/** Every student has one answer that counts at a station, so that the two name it; random ids would be most of what is sent to a page. */
export const answerId = ({ stationId, studentId }: { stationId: string; studentId: string }): string =>
  `${stationId} ${studentId}`;

export interface ConfusedPair {
  truth: string;
  answer: string;
  /** How often the truth was called by the answer's name. */
  count: number;
  /** How often the answer's taxon was called by the truth's name. */
  reverse: number;
  /** Answers given where this truth was asked. */
  asked: number;
  students: number;
  quizzes: number;
  rate: number;
  /** Wilson interval of the rate, 90 %. */
  interval: [number, number];
  /** On at least two quizzes, or by the same student twice. */
  repeated: boolean;
  answers: NamedAnswer[];
}

/** All confusions truth → answer with their direction and counts, the most frequent first. */
export function confusedPairs(answers: readonly NamedAnswer[]): ConfusedPair[] {
  const asked = new Map<string, number>();
  const cells = new Map<string, NamedAnswer[]>();
  for (const answer of answers) {
    asked.set(answer.truth, (asked.get(answer.truth) ?? 0) + 1);
    if (answer.named === null || answer.named === answer.truth) continue;
    const key = `${answer.truth}\u0000${answer.named}`;
    const cell = cells.get(key);
    if (cell) cell.push(answer);
    else cells.set(key, [answer]);
  }
  return [...cells.values()]
    .map((cell) => {
      const { truth, named } = cell[0]!;
      const total = asked.get(truth)!;
      const students = new Set(cell.map((answer) => answer.studentId));
      const quizzes = new Set(cell.map((answer) => answer.quizId));
      return {
        truth,
        answer: named!,
        count: cell.length,
        reverse: cells.get(`${named}\u0000${truth}`)?.length ?? 0,
        asked: total,
        students: students.size,
        quizzes: quizzes.size,
        rate: cell.length / total,
        interval: wilsonInterval(cell.length, total),
        repeated: quizzes.size > 1 || students.size < cell.length,
        answers: cell,
      };
    })
    .sort((a, b) => b.count - a.count || b.rate - a.rate || a.truth.localeCompare(b.truth));
}

/**
 * Wilson score interval of a proportion (E. B. Wilson 1927, JASA 22: 209–212).
 * @param z standard normal quantile; 1.645 gives 90 %.
 */
export function wilsonInterval(successes: number, trials: number, z = 1.645): [number, number] {
  if (trials === 0) return [0, 1];
  const p = successes / trials;
  const shrink = 1 + (z * z) / trials;
  const centre = (p + (z * z) / (2 * trials)) / shrink;
  const half = (z * Math.sqrt((p * (1 - p)) / trials + (z * z) / (4 * trials * trials))) / shrink;
  return [Math.max(0, centre - half), Math.min(1, centre + half)];
}
