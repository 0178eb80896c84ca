import type { ConfusionData } from '@hurrow/contract/confusions';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { practiceGroups } from '@hurrow/core/finding';
import { courseQuery } from '../app/data.ts';
import { capital, counted, percent, type Names } from '../confusions/useNames.ts';
import { practiceQuery } from './learningQueries.ts';
import { slipsOf, standings, timesSaid } from './standings.ts';
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
  const rows = standings(data, course?.students ?? [], practice?.students ?? []);
  const groups = practiceGroups(slipsOf(data));
  const nameOf = new Map(rows.map(({ id, name }) => [id, name]));
  return (
    <>
      <h1>Students</h1>
      {!practice && (
        <p className="quiet" role="status">
          Adding up what was practiced…
        </p>
      )}
      <div className={styles['across']}>
        <table className={ui['plain-table']}>
          <thead>
            <tr>
              <th>Student</th>
              <th className={ui['num']}>Right</th>
              <th>Took again and again</th>
              <th className={ui['num']}>Practiced</th>
              <th className={ui['num']}>Knows</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ id, name, asked, right, again, practiced }) => (
              <tr key={id}>
                <td>
                  <Link to={`${base}/students/${id}`}>{name}</Link>
                </td>
                <td className={ui['num']}>
                  {asked > 0 ? `${percent(right / asked)} of ${asked}` : 'no answers'}
                </td>
                <td>
                  {again.map(({ truth, named, times }) => (
                    <div key={`${truth} ${named}`}>
                      {names.taxon(truth)} for {names.taxon(named)}, {timesSaid(times)}
                    </div>
                  ))}
                </td>
                <td className={ui['num']}>
                  {practiced && practiced.answers > 0
                    ? `${practiced.minutes} min on ${counted(practiced.days, 'day')}`
                    : ''}
                </td>
                <td className={ui['num']}>
                  {practiced && practiced.cards > 0 ? `${practiced.known} of ${practiced.cards}` : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet">
        Once is a slip: what is said of one student here happened twice at least. What they know is by the
        schedule of their practice.{' '}
        {practice?.fit
          ? `The schedule was fitted to ${counted(practice.fit.answers, 'answer')} of this course.`
          : 'The schedule is the usual one: there are too few answers of this course to fit it.'}
      </p>
      <h2>Who should practice together</h2>
      {groups.length === 0 && <p>No two students share a mix-up.</p>}
      <ul className={styles['groups']}>
        {groups.map(({ a, b, students }) => (
          <li key={`${a} ${b}`}>
            <strong>
              {capital(names.taxon(a))} and {names.taxon(b)}
            </strong>
            : {students.map((id) => nameOf.get(id) ?? 'a former student').join(', ')}.{' '}
            <Link to={`${base}/${a}/${b}/lesson?to=${students.join(',')}`}>Make their lesson</Link>
          </li>
        ))}
      </ul>
    </>
  );
}
