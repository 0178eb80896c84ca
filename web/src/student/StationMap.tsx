import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { OpenQuiz } from '@hurrow/contract/sitting';
import { lazy, Suspense, useState, useSyncExternalStore, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Outbox } from './outbox.ts';
import { leftInWords, standingOf, stationOfCode, whereInWords, type StationStanding } from './progress.ts';
import { useAgain } from './useAgain.ts';
import { OwnBell } from './OwnBell.tsx';
import styles from './student.module.css';
import ui from '../app/parts.module.css';

const Scan = lazy(() => import('./Scan.tsx'));

const SAID: Record<StationStanding['state'], string> = {
  open: t`nothing written`,
  begun: t`no name yet`,
  answered: t`answered`,
};

interface StationMapProps {
  quiz: OpenQuiz;
  outbox: Outbox;
  ahead: number;
}

/** All stations of a quiz with how they stand: each is a press away, by its number or by the code of its card. */
export function StationMap({ quiz, outbox, ahead }: StationMapProps) {
  // What is said of the answers changes with the box.
  useSyncExternalStore(outbox.subscribe, outbox.snapshot);
  const where = outbox.where(quiz.stations.map(({ id }) => id));
  const { again } = useAgain(outbox.student, quiz.id);
  const standings = standingOf(quiz, (id) => outbox.written(id), again);
  return (
    <>
      <header className={styles['phone-bar']}>
        <h1>{quiz.title}</h1>
        <span>
          <Trans>{quiz.stations.length} stations</Trans>
        </span>
      </header>
      <main className={styles['pad']}>
        {quiz.bell && <OwnBell bell={quiz.bell} quizId={quiz.id} ahead={ahead} />}
        <p>
          <strong>{leftInWords(standings)}</strong> {whereInWords(where)}
          {where.written > 0 && '.'}
        </p>
        {quiz.allowed && (
          <p>
            <Trans>Allowed: {quiz.allowed}.</Trans>
          </p>
        )}
        <ol className={styles['stations']}>
          {standings.map(({ id, position, state, again: back }) => (
            <li key={id}>
              <Link
                to={`/quiz/${quiz.id}/${position}`}
                data-state={state}
                data-again={back}
                aria-label={t`Station ${position}: ${SAID[state]}${back ? t`, to come back to` : ''}`}
              >
                {position}
                <small aria-hidden="true">
                  {back ? t`again` : state === 'answered' ? '✓' : state === 'begun' ? '…' : ''}
                </small>
              </Link>
            </li>
          ))}
        </ol>
        <GoTo quiz={quiz} />
        <p className="quiet">
          <Trans>In any order. Answers can be changed until your instructor closes the quiz.</Trans>
        </p>
        <Link className={`${ui['press']} ${styles['wide-press']}`} to="/">
          <Trans>Back to the start</Trans>
        </Link>
      </main>
    </>
  );
}

/** A station by its number, or by the code of its card. */
function GoTo({ quiz }: { quiz: OpenQuiz }) {
  const [typed, setTyped] = useState('');
  const [scanning, setScanning] = useState(false);
  const [problem, setProblem] = useState<string>();
  const go = useNavigate();
  const take = (text: string) => {
    const found = stationOfCode(text, quiz);
    if ('problem' in found) return setProblem(found.problem);
    void go(`/quiz/${quiz.id}/${found.position}`);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    take(typed);
  };
  return (
    <section aria-label={t`Go to a station`}>
      <form className={styles['go-to']} onSubmit={submit}>
        <label className={styles['field']}>
          <span>
            <Trans>Number on the card</Trans>
          </span>
          <input
            value={typed}
            inputMode="numeric"
            autoComplete="off"
            enterKeyHint="go"
            onChange={(event) => {
              setTyped(event.target.value);
              setProblem(undefined);
            }}
          />
        </label>
        <button className={ui['press']}>
          <Trans>Go</Trans>
        </button>
        <button type="button" className={ui['press']} onClick={() => setScanning(!scanning)}>
          {scanning ? t`Stop` : t`Scan`}
        </button>
      </form>
      {problem && <p role="alert">{problem}</p>}
      {scanning && (
        <Suspense
          fallback={
            <p>
              <Trans>Opening the camera…</Trans>
            </p>
          }
        >
          <Scan onCode={take} />
        </Suspense>
      )}
    </section>
  );
}
