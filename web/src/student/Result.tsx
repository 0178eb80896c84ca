import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { call, messageOf } from '../app/api.ts';
import styles from './student.module.css';
import ui from '../app/parts.module.css';

const show = (points: number) => String(Number(points.toFixed(2)));

/** A student's own result, station by station. */
export function Result() {
  const { quizId = '' } = useParams();
  const query = useQuery({
    queryKey: ['result', quizId],
    queryFn: () => call('GET /api/sit/quizzes/{quizId}/result', { params: { quizId } }),
  });
  if (!query.data)
    return (
      <main className={styles['pad']}>
        <p role="alert">{query.isError ? messageOf(query.error) : 'Opening your result…'}</p>
        <Link className={`${ui['press']} ${styles['wide-press']}`} to="/">
          Back
        </Link>
      </main>
    );
  const result = query.data;
  return (
    <>
      <header className={styles['phone-bar']}>
        <h1>{result.title}</h1>
        <span>
          {show(result.points)} of {show(result.outOf)}
        </span>
      </header>
      <main className={styles['pad']}>
        <ol className={styles['result']}>
          {result.rows.map((row) => (
            <li key={row.position}>
              <b>{row.position}</b>
              <div>
                <span className={row.latin ? 'latin' : ''}>{row.truth}</span>
                {row.family && `, ${row.family}`}
                {row.points < row.outOf && (
                  <div className="quiet">
                    {row.written ? `You wrote “${row.written}”. ` : 'You left it blank. '}
                    {row.written ? row.remarks.join('; ') : ''}
                  </div>
                )}
              </div>
              <span className={row.points === row.outOf ? '' : 'rust'}>
                {show(row.points)} of {show(row.outOf)}
              </span>
            </li>
          ))}
        </ol>
        <Link className={`${ui['press']} ${styles['wide-press']}`} to="/">
          Back
        </Link>
      </main>
    </>
  );
}
