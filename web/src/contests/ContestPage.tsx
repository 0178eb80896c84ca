import type { ContestNow } from '@hurrow/contract/contests';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { call, messageOf } from '../app/api.ts';
import { Notice, Opening, Problem } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { ContestRules } from './ContestRules.tsx';
import { Standings } from './Standings.tsx';
import styles from './contests.module.css';

const contestQuery = (quizId: string) =>
  queryOptions({
    queryKey: ['contest', quizId],
    queryFn: () => call('GET /api/quizzes/{quizId}/contest', { params: { quizId } }),
  });

/** A quiz as a contest: what it goes by, who competes for whom, and how they stand. */
export default function ContestPage({ course, quiz }: { course: WholeCourse; quiz: Quiz }) {
  const query = useQuery({ ...contestQuery(quiz.id), staleTime: 0 });
  const mayChange = useMayChange();
  if (query.isError) return <Problem>{messageOf(query.error)}</Problem>;
  if (!query.data) return <Opening>Putting the standings together…</Opening>;
  const now: ContestNow = query.data;
  return (
    <div className={styles['contest']}>
      {mayChange && (
        <ContestRules
          key={JSON.stringify(now.contest)}
          course={course}
          quiz={quiz}
          contest={now.contest}
          stale={contestQuery(quiz.id).queryKey}
        />
      )}
      {now.odd.map((line) => (
        <Notice key={line}>{line}</Notice>
      ))}
      <section aria-labelledby="standings">
        <h2 id="standings">Standings</h2>
        {now.standings.length === 0 ? (
          <p className="quiet">Nobody has answered yet. The standings follow the marks as they are given.</p>
        ) : (
          <>
            <p className={styles['tools']}>
              <span className="quiet">
                As the marks are now. Appeals until the day named under Run change them; a station that is
                left out counts for nobody.
              </span>
              <a href={`/api/quizzes/${quiz.id}/contest/standings.csv`} download>
                Table (CSV)
              </a>
              <Button onClick={() => window.print()}>Print</Button>
            </p>
            <Standings now={now} />
          </>
        )}
      </section>
    </div>
  );
}
