import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ConfusionData } from '@hurrow/contract/confusions';
import type { PracticeOf } from '@hurrow/contract/practice';
import { useQuery } from '@tanstack/react-query';
import { memo, useMemo } from 'react';
import { Link } from 'react-router';
import { practiceGroups } from '@hurrow/core/finding';
import { courseQuery } from '../app/data.ts';
import { capital, percent, type Names } from '../confusions/useNames.ts';
import { practiceQuery } from './learningQueries.ts';
import { slipsOf, standings, timesSaid, type StandingLine } from './standings.ts';
import ui from '../app/parts.module.css';
import styles from './learning.module.css';

interface StudentsProps {
  courseId: string;
  data: ConfusionData;
  names: Names;
}

/** Every student: what was answered and practiced, and who should practice together. */
export function Students({ courseId, data, names }: StudentsProps) {
  const course = useQuery(courseQuery(courseId)).data;
  const practice = useQuery(practiceQuery(courseId)).data;
  const base = `/c/${courseId}/confusions`;
  const students = course?.students;
  // What was practiced comes later: what was answered is not added up again for it.
  const rows = useMemo(() => standings(data, students ?? []), [data, students]);
  return (
    <>
      <h1>
        <Trans>Students</Trans>
      </h1>
      {!practice && (
        <p className="quiet" role="status">
          <Trans>Adding up what was practiced…</Trans>
        </p>
      )}
      <div className={styles['across']}>
        <table className={ui['plain-table']}>
          <thead>
            <tr>
              <th>
                <Trans>Student</Trans>
              </th>
              <th className={ui['num']}>
                <Trans>Right</Trans>
              </th>
              <th>
                <Trans>Took again and again</Trans>
              </th>
              <th className={ui['num']}>
                <Trans>Practiced</Trans>
              </th>
              <th className={ui['num']}>
                <Trans>Knows</Trans>
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <StudentRow
                key={row.id}
                row={row}
                practiced={practice?.students.find(({ studentId }) => studentId === row.id)}
                at={base}
                names={names}
              />
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet">
        <Trans>
          Once is a slip: what is said of one student here happened twice at least. What they know is by the
          schedule of their practice.{' '}
          {practice?.fit
            ? t`The schedule was fitted to ${plural(practice.fit.answers, { one: '# answer', other: '# answers' })} of this course.`
            : t`The schedule is the usual one: there are too few answers of this course to fit it.`}
        </Trans>
      </p>
      <Together data={data} rows={rows} names={names} at={base} />
    </>
  );
}

interface StudentRowProps {
  row: StandingLine;
  practiced: PracticeOf | undefined;
  at: string;
  names: Names;
}

/** One student: what was answered, taken again and again, and practiced. */
const StudentRow = memo(function StudentRow({ row, practiced, at, names }: StudentRowProps) {
  const { id, name, asked, right, again } = row;
  return (
    <tr>
      <td>
        <Link to={`${at}/students/${id}`}>{name}</Link>
      </td>
      <td className={ui['num']}>{asked > 0 ? t`${percent(right / asked)} of ${asked}` : t`no answers`}</td>
      <td>
        {again.map(({ truth, named, times }) => (
          <div key={`${truth} ${named}`}>
            <Trans>
              {names.taxon(truth)} for {names.taxon(named)}, {timesSaid(times)}
            </Trans>
          </div>
        ))}
      </td>
      <td className={ui['num']}>
        {practiced && practiced.answers > 0
          ? t`${practiced.minutes} min on ${plural(practiced.days, { one: '# day', other: '# days' })}`
          : ''}
      </td>
      <td className={ui['num']}>
        {practiced && practiced.cards > 0 ? t`${practiced.known} of ${practiced.cards}` : ''}
      </td>
    </tr>
  );
});

interface TogetherProps {
  data: ConfusionData;
  rows: readonly StandingLine[];
  names: Names;
  at: string;
}

/** Those who mix up the same two. */
const Together = memo(function Together({ data, rows, names, at }: TogetherProps) {
  const groups = practiceGroups(slipsOf(data));
  const nameOf = new Map(rows.map(({ id, name }) => [id, name]));
  return (
    <>
      <h2>
        <Trans>Who should practice together</Trans>
      </h2>
      {groups.length === 0 && (
        <p>
          <Trans>No two students share a mix-up.</Trans>
        </p>
      )}
      <ul className={styles['groups']}>
        {groups.map(({ a, b, students }) => (
          <li key={`${a} ${b}`}>
            <strong>
              <Trans>
                {capital(names.taxon(a))} and {names.taxon(b)}
              </Trans>
            </strong>
            : {students.map((id) => nameOf.get(id) ?? t`a former student`).join(', ')}.{' '}
            <Link to={`${at}/${a}/${b}/lesson?to=${students.join(',')}`}>
              <Trans>Make their lesson</Trans>
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
});
