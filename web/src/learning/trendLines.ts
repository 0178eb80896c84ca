import type { ClassCounts, QuizCounts } from '@hurrow/contract/learning';
import { wilsonInterval } from '@hurrow/core/confusion';

/** What is followed over quizzes. */
export const FOLLOWED = ['pairs', 'species', 'characters'] as const;
export type Followed = (typeof FOLLOWED)[number];

/** One point of a line: a quiz, with the share and its 90 % interval. */
export interface TrendPoint {
  quizId: string;
  title: string;
  week: number;
  of: number;
  share: number;
  interval: [number, number];
}

export interface TrendLine {
  key: string;
  /** Two trees, one, or a character. */
  ids: string[];
  points: TrendPoint[];
}

/** So many lines are shown at once: more cannot be told apart. */
export const MOST_LINES = 5;
/** A share of fewer answers than this says nothing, and is left out. */
const LEAST = 4;

/**
 * The lines of a class over its quizzes: pairs by the share mixed up, species by the share missed, characters by the share that told them where they
 * were offered. The most often mixed up, missed or passed over first.
 */
export function trendLines({ quizzes }: ClassCounts, followed: Followed): TrendLine[] {
  const lines = new Map<string, TrendLine & { weight: number }>();
  for (const quiz of quizzes)
    for (const { ids, hits, of } of countsIn(quiz, quizzes, followed)) {
      const key = ids.join(' ');
      const line = lines.get(key) ?? { key, ids, points: [], weight: 0 };
      line.weight += followed === 'characters' ? of - hits : hits;
      if (of >= LEAST)
        line.points.push({
          quizId: quiz.id,
          title: quiz.title,
          week: quiz.week,
          of,
          share: hits / of,
          interval: wilsonInterval(hits, of),
        });
      lines.set(key, line);
    }
  return [...lines.values()]
    .filter(({ points, weight }) => points.length > 0 && weight > 1)
    .sort((x, y) => y.weight - x.weight || x.key.localeCompare(y.key))
    .map(({ weight: _weight, ...line }) => line);
}

function countsIn(
  quiz: QuizCounts,
  all: readonly QuizCounts[],
  followed: Followed,
): { ids: string[]; hits: number; of: number }[] {
  if (followed === 'species')
    return Object.entries(quiz.taxa).map(([id, { asked, right }]) => ({
      ids: [id],
      hits: asked - right,
      of: asked,
    }));
  if (followed === 'characters')
    return Object.entries(quiz.characters).map(([id, { offered, told }]) => ({
      ids: [id],
      hits: told,
      of: offered,
    }));
  // A pair that was asked and not mixed up is a point as well.
  const known = new Map(all.flatMap(({ pairs }) => pairs.map(({ a, b }) => [`${a} ${b}`, { a, b }])));
  return [...known.values()].map(({ a, b }) => ({
    ids: [a, b],
    hits: quiz.pairs.find((pair) => pair.a === a && pair.b === b)?.mixed ?? 0,
    of: (quiz.taxa[a]?.asked ?? 0) + (quiz.taxa[b]?.asked ?? 0),
  }));
}

/** Rows for a chart: a quiz each, with the share of every line. */
export const chartRows = (lines: readonly TrendLine[]): Record<string, number | string>[] => {
  const rows = new Map<string, Record<string, number | string>>();
  for (const { key, points } of lines)
    for (const { quizId, title, week, share } of points) {
      const row = rows.get(quizId) ?? { title, week };
      row[key] = Math.round(100 * share);
      rows.set(quizId, row);
    }
  return [...rows.values()].sort((x, y) => Number(x['week']) - Number(y['week']));
};

/**
 * How an earlier class did in the same: all its quizzes together. Undefined where it was asked too little.
 *
 * @param ids of the line
 */
export function shareOfClass(
  { quizzes }: ClassCounts,
  followed: Followed,
  ids: readonly string[],
): { share: number; of: number } | undefined {
  const key = ids.join(' ');
  let [hits, of] = [0, 0];
  for (const quiz of quizzes)
    for (const count of countsIn(quiz, quizzes, followed))
      if (count.ids.join(' ') === key) {
        hits += count.hits;
        of += count.of;
      }
  // A pair that was never mixed up is in no quiz of the class, and was asked all the same.
  if (of === 0 && followed === 'pairs')
    of = quizzes.reduce((sum, { taxa }) => sum + ids.reduce((n, id) => n + (taxa[id]?.asked ?? 0), 0), 0);
  return of >= LEAST ? { share: hits / of, of } : undefined;
}
