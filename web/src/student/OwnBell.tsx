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
            <Link to={`/quiz/${quizId}/${moment.at}`}>Station {moment.at}</Link>
          </>
        )}
        {moment.at === null && ' A rest'}
      </span>
      {moment.phase !== 'done' && <strong>{minutes(moment.left)}</strong>}
    </p>
  );
}

/** What a phase asks of the student. */
function bellInWords({ phase }: OwnMoment): string {
  switch (phase) {
    case 'before':
      return 'Find your place.';
    case 'look':
      return 'Look and write.';
    case 'move':
      return 'Move on.';
    case 'held':
      return 'Held.';
    case 'done':
      return 'That was the last bell.';
  }
}
