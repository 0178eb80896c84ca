import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { OpenQuiz, SatStation, Sitting } from '@hurrow/contract/sitting';
import { useState, type FormEvent } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import type { Answer } from '@hurrow/core/names';
import { upperFirst } from '@hurrow/core/words';
import { wordOfTree } from '../language/vocabulary.ts';
import { Asked } from './Asked.tsx';
import { Choices } from './Choices.tsx';
import { NameFields } from './NameFields.tsx';
import type { Outbox } from './outbox.ts';
import { OwnBell } from './OwnBell.tsx';
import { isEmpty } from './progress.ts';
import { StationMap } from './StationMap.tsx';
import { Seeing, Sure, WentBy } from './Telling.tsx';
import { useAgain } from './useAgain.ts';
import { useNextPicture, usePicture } from './useSitting.ts';
import { useTyped } from './useTyped.ts';
import styles from './student.module.css';
import ui from '../app/parts.module.css';
import { inTongue } from '../language/inTongue.ts';
import { shownSaid } from './shownSaid.ts';

interface SitProps {
  sitting: Sitting;
  outbox: Outbox;
  /** Milliseconds that the server's clock is ahead. */
  ahead: number;
}

/** One station after another, in any order. Going on writes the answer down on the phone and sends it. */
export function Sit({ sitting, outbox, ahead }: SitProps) {
  const { quizId, position } = useParams();
  const quiz = sitting.open.find((open) => open.id === quizId);
  if (!quiz)
    return (
      <main className={styles['pad']}>
        <h1>
          <Trans>This quiz is not open</Trans>
        </h1>
        <p>
          <Trans>It has been closed, or not been opened yet. Answers you wrote are kept.</Trans>
        </p>
        <Link className={`${ui['press']} ${styles['wide-press']}`} to="/">
          <Trans>Back</Trans>
        </Link>
      </main>
    );
  const at = Number(position);
  if (position === undefined || at > quiz.stations.length)
    return <StationMap quiz={quiz} outbox={outbox} ahead={ahead} />;
  const station = quiz.stations[at - 1];
  if (!station) return <Navigate to={`/quiz/${quiz.id}`} replace />;
  return <Station key={station.id} quiz={quiz} at={at} outbox={outbox} ahead={ahead} />;
}

/** What is answered at a station: as it is typed, kept at every key, and written down when one goes on. */
function useAnswer(station: SatStation, outbox: Outbox) {
  const before: Answer = outbox.written(station.id) ?? station.answer ?? {};
  const typed = useTyped(`${outbox.student}.${station.id}`);
  const [answer, type] = useState<Answer>(typed.held ?? before);
  const setAnswer = (next: Answer) => {
    type(next);
    typed.keep(next);
  };
  const write = () => {
    const changed = JSON.stringify(answer) !== JSON.stringify(before);
    if (changed && !(isEmpty(answer) && isEmpty(before))) {
      void outbox.write(station.id, answer).then(typed.drop);
    } else typed.drop();
  };
  return { answer, setAnswer, write };
}

function Station({ quiz, at, outbox, ahead }: { quiz: OpenQuiz; at: number; outbox: Outbox; ahead: number }) {
  const station = quiz.stations[at - 1]!;
  const { answer, setAnswer, write } = useAnswer(station, outbox);
  const { again, mark } = useAgain(outbox.student, quiz.id);
  const after = quiz.stations[at];
  useNextPicture(after?.drawn ? after.id : undefined);
  const go = useNavigate();
  const leaveFor = (to: string) => {
    write();
    void go(to);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    leaveFor(at === quiz.stations.length ? `/quiz/${quiz.id}` : `/quiz/${quiz.id}/${at + 1}`);
  };
  return (
    <>
      <header className={styles['phone-bar']}>
        <h1>
          <Trans>Station {station.position}</Trans>
        </h1>
        <button type="button" onClick={() => leaveFor(`/quiz/${quiz.id}`)}>
          <Trans>of {quiz.stations.length} · all stations</Trans>
        </button>
      </header>
      <div className={styles['phone-progress']} aria-hidden="true">
        <i style={{ width: `${(at / quiz.stations.length) * 100}%` }} />
      </div>
      <main className={styles['pad']}>
        {quiz.bell && <OwnBell bell={quiz.bell} quizId={quiz.id} ahead={ahead} />}
        {station.stands && (
          <p className={styles['moved']}>
            <Trans>
              It was moved: <strong>{station.stands}</strong>
            </Trans>
          </p>
        )}
        <Shown station={station} />
        {station.prompt && (
          <p className={styles['prompt']}>
            <Trans>
              Look first: <strong>{wordOfTree(station.prompt, station.promptOf ?? '')}</strong>
            </Trans>
          </p>
        )}
        <form onSubmit={submit}>
          <Asking {...{ quiz, station, answer, setAnswer }} />
          <label className={styles['again']}>
            <input type="checkbox" checked={again.includes(station.id)} onChange={() => mark(station.id)} />
            <Trans>Come back to this one</Trans>
          </label>
          <div className={styles['phone-go']}>
            <button
              type="button"
              className={ui['press']}
              onClick={() => leaveFor(at === 1 ? '/' : `/quiz/${quiz.id}/${at - 1}`)}
              aria-label={plural(at, { one: 'Back to the start', other: `Back to station ${at - 1}` })}
            >
              ‹ {at === 1 ? '' : at - 1}
            </button>
            <button className={`${ui['press']} ${ui['chief']}`}>
              {at === quiz.stations.length ? t`Finish` : t`Next station ›`}
            </button>
          </div>
        </form>
      </main>
    </>
  );
}

/** All that a station asks: what is seen, the name or something in its place, what it was named by, and how sure one is. */
function Asking({
  quiz,
  station,
  answer,
  setAnswer,
}: {
  quiz: OpenQuiz;
  station: SatStation;
  answer: Answer;
  setAnswer(answer: Answer): void;
}) {
  return (
    <>
      {station.asks.length > 0 && (
        <Seeing
          asks={station.asks}
          seen={answer.seen ?? {}}
          onSee={(seen) => setAnswer({ ...answer, seen })}
        />
      )}
      {station.question ? (
        <Asked question={station.question} policy={quiz.policy} answer={answer} onAnswer={setAnswer} />
      ) : station.choices.length > 0 ? (
        <Choices choices={station.choices} answer={answer} onAnswer={setAnswer} />
      ) : (
        <NameFields quiz={quiz} answer={answer} onAnswer={setAnswer} />
      )}
      {station.wentBy.length > 0 && (
        <WentBy
          offered={station.wentBy}
          told={answer.wentBy ?? []}
          onTell={(wentBy) => setAnswer({ ...answer, wentBy })}
        />
      )}
      <Sure
        sure={answer.sure}
        onSure={(sure) => {
          const { sure: _before, ...rest } = answer;
          setAnswer(sure ? { ...rest, sure } : rest);
        }}
      />
    </>
  );
}

/** What is looked at: the drawing, or where to look. */
function Shown({ station }: { station: SatStation }) {
  const [missing, setMissing] = useState(false);
  const picture = usePicture(station.id, station.drawn);
  return (
    <>
      {!station.drawn ? (
        <p className={styles['look-there']}>
          <Trans>
            Look at the {inTongue(station.medium)} at station {station.position}.
          </Trans>
        </p>
      ) : missing ? (
        <p className={styles['look-there']} role="alert">
          <Trans>
            This picture is not on the phone yet, and there is no signal. Take another station first.
          </Trans>
        </p>
      ) : picture ? (
        <img
          className={`${styles['specimen']} ${station.question?.letters ? styles['sheet'] : ''}`}
          src={picture}
          alt={t`The ${inTongue(station.medium)} at station ${station.position}`}
          onError={() => setMissing(true)}
        />
      ) : (
        <div className={styles['specimen']} />
      )}
      <p className="quiet">
        {upperFirst(inTongue(station.medium))}: {shownSaid(station.shows)}.
      </p>
    </>
  );
}
