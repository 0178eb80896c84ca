import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import {
  AT_REST,
  bellAt,
  givenMore,
  minutes,
  passedBy,
  timetable,
  toggled,
  type BellState,
  type Moment,
  type Rotation,
} from '@hurrow/core/rotation';
import { call, messageOf } from '../app/api.ts';
import { courseQuery } from '../app/data.ts';
import { readKept, writeKept } from '../app/keptText.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { quizQuery } from '../quizzes/quizData.ts';
import { keptBell } from './going.ts';
import { roundsQuery } from './roundsQuery.ts';
import { ring } from './ring.ts';
import styles from './bell.module.css';

/** The bell of a quiz, to be thrown on a wall: how long is left, and when to move on. */
export default function BellPage() {
  const { courseId = '', quizId = '' } = useParams();
  const course = useQuery(courseQuery(courseId));
  const quiz = useQuery(quizQuery(quizId));
  const rounds = useQuery(roundsQuery(quizId));
  const error = course.error ?? quiz.error ?? rounds.error;
  if (error) return <Problem>{messageOf(error)}</Problem>;
  if (!course.data || !quiz.data || !rounds.data)
    return (
      <Opening>
        <Trans>Opening the bell…</Trans>
      </Opening>
    );
  const students = course.data.students.filter(({ nameless }) => !nameless).map(({ id }) => id);
  const rotation = timetable(rounds.data.rounds, students, quiz.data.stations.length);
  const back = `/c/${courseId}/quizzes/${quizId}/rounds`;
  if (!rotation)
    return (
      <Problem>
        <Trans>
          There is nothing to ring for: the quiz has no stations, or nobody is there.{' '}
          <Link to={back}>Back to the rounds</Link>
        </Trans>
      </Problem>
    );
  return (
    <Bell
      key={quizId}
      quizId={quizId}
      title={quiz.data.title}
      {...{ rotation, back }}
      moving={rounds.data.rounds.moving}
    />
  );
}

/** Seconds that “two minutes more” gives. */
const MORE = 120;
const TICK = 200;

interface BellProps {
  quizId: string;
  title: string;
  rotation: Rotation;
  moving: number;
  back: string;
}

function Bell({ quizId, title, rotation, moving, back }: BellProps) {
  const key = `hurrow.bell.${quizId}`;
  const [state, setState] = useState(() => keptBell(readKept(key)));
  const [now, setNow] = useState(() => Date.now());
  const [unheard, setUnheard] = useState(false);
  const change = (next: BellState) => {
    setState(next);
    setNow(Date.now());
    writeKept(key, JSON.stringify(next));
    // Phones follow; where they cannot hear of it, the bell rings all the same.
    const body = { state: next, clock: Date.now() };
    call('PUT /api/quizzes/{quizId}/bell', { params: { quizId }, body }).then(
      () => setUnheard(false),
      () => setUnheard(true),
    );
  };
  const moment = useMemo(() => bellAt(rotation, state, now, moving), [rotation, state, now, moving]);
  const rung = useRef(moment);
  const tick = useEffectEvent(() => {
    setNow(Date.now());
    const next = bellAt(rotation, state, Date.now(), moving);
    if (next.phase !== rung.current.phase || next.bell !== rung.current.bell)
      ring(next.phase === 'look' ? 'begin' : 'end');
    rung.current = next;
  });
  const isRunning = state.since !== undefined;
  useEffect(() => {
    if (!isRunning) return;
    const timer = window.setInterval(tick, TICK);
    return () => window.clearInterval(timer);
  }, [isRunning]);
  const toggle = () => {
    if (!isRunning) ring('begin');
    change(toggled(state, Date.now()));
  };
  return (
    <main className={styles['bell']} data-phase={isRunning ? moment.phase : 'still'}>
      <header>
        <h1>{title}</h1>
        <p>
          <Trans>
            {rotation.waves.length > 1 && t`Round ${moment.wave + 1} of ${rotation.waves.length}, `}bell{' '}
            {moment.bell + 1} of {rotation.slots.length}
          </Trans>
        </p>
      </header>
      <Face moment={moment} isRunning={isRunning} />
      {unheard && (
        <p role="status">
          <Trans>The server was not reached: phones do not follow this bell. Ring aloud.</Trans>
        </p>
      )}
      <div
        className={styles['track']}
        role="progressbar"
        aria-label={t`Of the quiz`}
        aria-valuenow={Math.round((100 * Math.max(0, passedBy(state, now))) / rotation.takes)}
      >
        <i
          style={{ width: `${Math.min(100, (100 * Math.max(0, passedBy(state, now))) / rotation.takes)}%` }}
        />
      </div>
      <footer>
        <button type="button" onClick={toggle} disabled={moment.phase === 'done'}>
          {isRunning ? t`Hold` : state.passed === AT_REST.passed ? t`Start` : t`Go on`}
        </button>
        <button
          type="button"
          onClick={() => change(givenMore(state, MORE, Date.now()))}
          disabled={moment.phase === 'done'}
        >
          <Trans>Two minutes more</Trans>
        </button>
        <button type="button" onClick={() => ring('begin')}>
          <Trans>Hear the bell</Trans>
        </button>
        <button type="button" onClick={() => change(AT_REST)} disabled={isRunning}>
          <Trans>From the beginning</Trans>
        </button>
        <Link to={back}>
          <Trans>Leave</Trans>
        </Link>
      </footer>
    </main>
  );
}

/** What is read from the back of the room. */
function Face({ moment: { phase, left }, isRunning }: { moment: Moment; isRunning: boolean }) {
  if (phase === 'done')
    return (
      <p className={styles['said']}>
        <Trans>That was the last bell.</Trans>
      </p>
    );
  return (
    <div className={styles['face']} role="timer" aria-live="off">
      <strong>{minutes(left)}</strong>
      <p className={styles['said']}>
        {!isRunning && phase !== 'before'
          ? t({ message: 'Held', context: 'a bell' })
          : phase === 'look'
            ? t`Look and write`
            : phase === 'move'
              ? t`Move one on`
              : t`Find your place`}
      </p>
      {phase === 'move' && (
        <svg viewBox="0 0 240 60" className={styles['arrow']} aria-hidden="true">
          <path d="M6 30H214M186 8l30 22-30 22" />
        </svg>
      )}
    </div>
  );
}
