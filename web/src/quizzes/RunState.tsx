import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { Button } from 'antd';
import { useState } from 'react';
import { call } from '../app/api.ts';
import ui from '../app/parts.module.css';
import type { Act } from './useActing.ts';
import styles from './quizzes.module.css';

interface RunStateProps {
  course: WholeCourse;
  quiz: Quiz;
  act: Act;
  busy: boolean;
}

/** What the quiz is now, and the way to what it can become. */
export function RunState({ course, quiz, act, busy }: RunStateProps) {
  const at = { params: { quizId: quiz.id } };
  switch (quiz.state) {
    case 'planned':
      return (
        <p>
          <Trans>Opening fixes every station: the list, the accepted names and the specimen drawn.</Trans>{' '}
          <Button
            type="primary"
            disabled={busy}
            onClick={() =>
              void act(
                () => call('POST /api/quizzes/{quizId}/open', at),
                t`The quiz is open.`,
                t`Fixing ${quiz.stations.length} stations with their names and drawings…`,
              )
            }
          >
            <Trans>Open to students</Trans>
          </Button>
        </p>
      );
    case 'open':
      return (
        <p>
          <Trans>
            Students sign in with course code <strong className={ui['code']}>{course.code}</strong>.
          </Trans>{' '}
          <Button
            type="primary"
            onClick={() =>
              void act(() => call('POST /api/quizzes/{quizId}/close', at), t`The quiz is closed.`)
            }
          >
            <Trans>Close the quiz</Trans>
          </Button>
        </p>
      );
    case 'closed':
      return (
        <p>
          <Button
            onClick={() =>
              void act(() => call('POST /api/quizzes/{quizId}/open', at), t`The quiz is open again.`)
            }
          >
            <Trans>Open again</Trans>
          </Button>{' '}
          <Release key={quiz.regradeUntil} quiz={quiz} act={act} />
        </p>
      );
  }
}

/** Lets students see their results, and until when they may ask about a mark. */
function Release({ quiz, act }: Pick<RunStateProps, 'quiz' | 'act'>) {
  const [until, setUntil] = useState(quiz.regradeUntil ?? '');
  const release = (released: boolean, said: string) =>
    void act(
      () =>
        call('POST /api/quizzes/{quizId}/release', {
          params: { quizId: quiz.id },
          body: { released, regradeUntil: until || null },
        }),
      said,
    );
  return (
    <>
      <label className={styles['until']}>
        <Trans>Marks may be asked about until</Trans>{' '}
        <input type="date" value={until} onChange={(event) => setUntil(event.target.value)} />
      </label>{' '}
      <Button
        type={quiz.released ? 'default' : 'primary'}
        onClick={() =>
          release(
            !quiz.released,
            quiz.released ? 'Results are hidden.' : 'Students see their own result now.',
          )
        }
      >
        {quiz.released ? t`Hide the results` : t`Release the results`}
      </Button>{' '}
      {quiz.released && until !== (quiz.regradeUntil ?? '') && (
        <Button onClick={() => release(true, 'The day is kept.')}>
          <Trans>Keep this day</Trans>
        </Button>
      )}
    </>
  );
}
