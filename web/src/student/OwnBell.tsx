import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { OpenQuiz } from '@hurrow/contract/sitting';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { minutes, ownMoment, type OwnMoment } from '@hurrow/core/rotation';
import styles from './student.module.css';

const TICK = 500;

/** The bell as one student goes by it: where to be, how long, where next. It runs on without a signal. */
export function OwnBell({
  bell,
  quizId,
  ahead,
}: {
  bell: NonNullable<OpenQuiz['bell']>;
  quizId: string;
  ahead: number;
}) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = window.setInterval(() => setNow(Date.now()), TICK);
    return () => window.clearInterval(timer);
  }, []);
  const moment = ownMoment(bell.round, bell.state, now + ahead);
  return (
    <p className={styles['own-bell']} data-phase={moment.phase} role="timer" aria-live="off">
      <span>
        {bellInWords(moment)}
        {typeof moment.at === 'number' && (
          <>
            {' '}
            <Link to={`/quiz/${quizId}/${moment.at}`}>
              <Trans>Station {moment.at}</Trans>
            </Link>
          </>
        )}
        {moment.at === null && t` A rest`}
      </span>
      {moment.phase !== 'done' && <strong>{minutes(moment.left)}</strong>}
    </p>
  );
}

/** What a phase asks of the student. */
function bellInWords({ phase }: OwnMoment): string {
  switch (phase) {
    case 'before':
      return t`Find your place.`;
    case 'look':
      return t`Look and write.`;
    case 'move':
      return t`Move on.`;
    case 'held':
      return t`Held.`;
    case 'done':
      return t`That was the last bell.`;
  }
}
