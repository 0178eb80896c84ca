/** A mark before and after, of one answer. */
export interface Remark {
  studentId: string;
  stationId: string;
  before: number;
  after: number;
}

/** What a change of marks does to one student. */
export interface StudentChange {
  studentId: string;
  before: number;
  after: number;
  /** Full points before and after. */
  outOfBefore: number;
  outOfAfter: number;
  /** Answers whose mark is another one. */
  answers: number;
}

interface Marked {
  studentId: string;
  stationId: string;
  mark: { points: number };
}

/**
 * For whom marks change, and how: those whose points or whose full points are others, the largest loss of their share first.
 *
 * @param outOf full points of a whole paper, before and after
 */
export function changesFor(
  before: readonly Marked[],
  after: readonly Marked[],
  outOf: { before: number; after: number },
): StudentChange[] {
  const now = new Map(after.map((each) => [`${each.studentId} ${each.stationId}`, each.mark.points]));
  const students = new Map<string, StudentChange>();
  for (const { studentId, stationId, mark } of before) {
    const held = students.get(studentId) ?? {
      studentId,
      before: 0,
      after: 0,
      outOfBefore: outOf.before,
      outOfAfter: outOf.after,
      answers: 0,
    };
    const points = now.get(`${studentId} ${stationId}`) ?? 0;
    held.before += mark.points;
    held.after += points;
    if (Math.abs(points - mark.points) > 1e-9) held.answers += 1;
    students.set(studentId, held);
  }
  const share = (each: StudentChange) =>
    each.after / (each.outOfAfter || 1) - each.before / (each.outOfBefore || 1);
  return [...students.values()]
    .filter((each) => each.answers > 0 || each.outOfBefore !== each.outOfAfter)
    .map((each) => ({ ...each, before: round(each.before), after: round(each.after) }))
    .sort((a, b) => share(a) - share(b));
}

const round = (points: number): number => Number(points.toFixed(4));
