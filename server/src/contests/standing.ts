import type { ContestNow } from '@hurrow/contract/contests';
import type { QuizHead } from '@hurrow/contract/quizzes';
import { oddEntries, standings, type Entrant } from '@hurrow/core/contest';
import { writeTable } from '@hurrow/core/formats';
import * as courseQueries from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { pointsOf } from '../marks/points.ts';
import { marksOf } from '../quizzes/marking.ts';
import { contestOf } from './queries.ts';

const NOBODY = { team: '', division: '' };

/** A contest and its standings as the marks are now; a quiz that is none is ranked as one division without teams. */
export async function contestNow(db: Db, quiz: QuizHead): Promise<ContestNow> {
  const contest = await contestOf(db, quiz.id);
  const students = (await courseQueries.students(db, quiz.courseId)).filter(({ nameless }) => !nameless);
  const marked = await marksOf(db, quiz);
  const { outOf, credit, of } = pointsOf(marked);
  const positionOf = new Map(
    marked.stations.filter(({ voided }) => !voided).map(({ id, position }) => [id, position]),
  );
  const entrants = students.flatMap(({ id, name }): Entrant[] => {
    const points = of.get(id);
    if (points === undefined) return [];
    const own = marked.answers.filter(
      ({ studentId, stationId }) => studentId === id && positionOf.has(stationId),
    );
    return [
      {
        id,
        name,
        ...(contest?.entries[id] ?? NOBODY),
        points: points + credit,
        byStation: Object.fromEntries(own.map((row) => [positionOf.get(row.stationId)!, row.mark.points])),
        whole: own.filter(({ mark }) => mark.points === mark.outOf).length,
      },
    ];
  });
  const rules = contest ?? { best: 0, tieBreaks: [] };
  return {
    contest,
    standings: standings(entrants, rules),
    outOf,
    odd: oddEntries(students.flatMap(({ id }) => contest?.entries[id] ?? [])),
  };
}

/** The standings as a table. */
export const standingsFile = ({ standings: divisions, outOf }: ContestNow): string =>
  writeTable(
    ['division', 'ranking', 'place', 'name', 'team', 'points', 'out_of', 'tie_parted_by'],
    divisions.flatMap(({ division, entrants, teams }) => [
      ...entrants.map((row) => [
        division,
        'person',
        row.place,
        row.name,
        row.team,
        row.points,
        Number(outOf.toFixed(2)),
        row.by,
      ]),
      ...teams.map((row) => [
        division,
        'team',
        row.place,
        row.counted.join('; '),
        row.name,
        row.points,
        Number((outOf * row.counted.length).toFixed(2)),
        row.by,
      ]),
    ]),
  );
