import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { useQuery } from '@tanstack/react-query';
import { Problem } from '../app/parts.tsx';
import { Attendances } from './Attendances.tsx';
import { FromPaper } from './FromPaper.tsx';
import { runningQuery } from './quizData.ts';
import { RunState } from './RunState.tsx';
import { RunStations } from './RunStations.tsx';
import styles from './quizzes.module.css';
import { useActing } from './useActing.ts';
import { useLive } from './useLive.ts';

interface Props {
  course: WholeCourse;
  quiz: Quiz;
}

/** Opens and closes a quiz, shows who has answered and which station is in trouble, and takes answers from paper. */
export function RunPage({ course, quiz }: Props) {
  const { act, working, problem, refresh } = useActing();
  const begun = quiz.state !== 'planned';
  const live = useLive(quiz.id, begun);
  const running = useQuery({ ...runningQuery(quiz.id), enabled: begun });
  return (
    <>
      <RunState course={course} quiz={quiz} act={act} busy={working !== undefined} />
      {working && (
        <p role="status">
          <progress aria-label={working} /> {working}
        </p>
      )}
      {problem && <Problem>{problem}</Problem>}
      {begun && (
        <div className={styles['run']}>
          <section>
            <FromPaper course={course} quiz={quiz} refresh={refresh} />
            <h2>
              <Trans>Stations</Trans>
            </h2>
            <RunStations course={course} quiz={quiz} act={act} counts={live.counts} running={running.data} />
          </section>
          <Attendances course={course} quiz={quiz} act={act} live={live} running={running.data} />
        </div>
      )}
    </>
  );
}
