import { Trans } from '@lingui/react/macro';
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
  if (!query.data)
    return (
      <Opening>
        <Trans>Putting the standings together…</Trans>
      </Opening>
    );
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
        <h2 id="standings">
          <Trans>Standings</Trans>
        </h2>
        {now.standings.length === 0 ? (
          <p className="quiet">
            <Trans>Nobody has answered yet. The standings follow the marks as they are given.</Trans>
          </p>
        ) : (
          <>
            <p className={styles['tools']}>
              <span className="quiet">
                <Trans>
                  As the marks are now. Appeals until the day named under Run change them; a station that is
                  left out counts for nobody.
                </Trans>
              </span>
              <a href={`/api/quizzes/${quiz.id}/contest/standings.csv`} download>
                <Trans>Table (CSV)</Trans>
              </a>
              <Button onClick={() => window.print()}>
                <Trans>Print</Trans>
              </Button>
            </p>
            <Standings now={now} />
          </>
        )}
      </section>
    </div>
  );
}
