import type { OpenQuiz, SatStation, SeeingAsked, Sitting, WentByOffered } from '@hurrow/contract/sitting';
import { useState, type FormEvent } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import type { Answer } from '@hurrow/core/names';
import { LONGEST } from './cleaned.ts';
import type { Outbox } from './outbox.ts';
import { FIELDS } from './sitting.ts';
import { GUESS, isFull, ticked, WHOLE_LOOK } from './wentBy.ts';
import styles from './student.module.css';
import ui from '../app/parts.module.css';

/** One station after another. Going on writes the answer down on the phone and sends it. */
export function Sit({ sitting, outbox }: { sitting: Sitting; outbox: Outbox }) {
  const { quizId, position } = useParams();
  const quiz = sitting.open.find((open) => open.id === quizId);
  if (!quiz)
    return (
      <main className={styles['pad']}>
        <h1>This quiz is not open</h1>
        <p>It has been closed, or not been opened yet. Answers you wrote are kept.</p>
        <Link className={`${ui['press']} ${styles['wide-press']}`} to="/">
          Back
        </Link>
      </main>
    );
  const at = Number(position ?? 1);
  if (at > quiz.stations.length) return <Done quiz={quiz} outbox={outbox} />;
  const station = quiz.stations[at - 1];
  if (!station) return <Navigate to={`/quiz/${quiz.id}/1`} replace />;
  return <Station key={station.id} quiz={quiz} at={at} outbox={outbox} />;
}

const isEmpty = ({ seen = {}, wentBy = [], ...names }: Answer) =>
  wentBy.length === 0 && [...Object.values(names), ...Object.values(seen)].every((text) => !text?.trim());

function Station({ quiz, at, outbox }: { quiz: OpenQuiz; at: number; outbox: Outbox }) {
  const station = quiz.stations[at - 1]!;
  const before: Answer = outbox.written(station.id) ?? station.answer ?? {};
  const typed = useTyped(`${outbox.student}.${station.id}`);
  const [answer, type] = useState<Answer>(typed.held ?? before);
  const setAnswer = (next: Answer) => {
    type(next);
    typed.keep(next);
  };
  const go = useNavigate();
  const write = () => {
    const changed = JSON.stringify(answer) !== JSON.stringify(before);
    if (changed && !(isEmpty(answer) && isEmpty(before))) {
      void outbox.write(station.id, answer).then(typed.drop);
    } else typed.drop();
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    write();
    void go(`/quiz/${quiz.id}/${at + 1}`);
  };
  const back = () => {
    write();
    void go(at === 1 ? '/' : `/quiz/${quiz.id}/${at - 1}`);
  };
  return (
    <>
      <header className={styles['phone-bar']}>
        <h1>Station {station.position}</h1>
        <span>of {quiz.stations.length}</span>
      </header>
      <div className={styles['phone-progress']} aria-hidden="true">
        <i style={{ width: `${(at / quiz.stations.length) * 100}%` }} />
      </div>
      <main className={styles['pad']}>
        <Shown station={station} />
        {station.prompt && (
          <p className={styles['prompt']}>
            Look first: <strong>{station.prompt}</strong>
          </p>
        )}
        <form onSubmit={submit}>
          {station.asks.length > 0 && (
            <Seeing
              asks={station.asks}
              seen={answer.seen ?? {}}
              onSee={(seen) => setAnswer({ ...answer, seen })}
            />
          )}
          <NameFields quiz={quiz} answer={answer} onAnswer={setAnswer} />
          {station.wentBy.length > 0 && (
            <WentBy
              offered={station.wentBy}
              told={answer.wentBy ?? []}
              onTell={(wentBy) => setAnswer({ ...answer, wentBy })}
            />
          )}
          <div className={styles['phone-go']}>
            <button
              type="button"
              className={ui['press']}
              onClick={back}
              aria-label={at === 1 ? 'Back to the start' : `Back to station ${at - 1}`}
            >
              ‹ {at === 1 ? '' : at - 1}
            </button>
            <button className={`${ui['press']} ${ui['chief']}`}>
              {at === quiz.stations.length ? 'Finish' : 'Next station ›'}
            </button>
          </div>
        </form>
      </main>
    </>
  );
}

/** What is looked at: the drawing, or where to look. */
function Shown({ station }: { station: SatStation }) {
  return (
    <>
      {station.drawn ? (
        <img
          className={styles['specimen']}
          src={`/api/sit/stations/${station.id}/drawing.svg`}
          alt={`The ${station.medium} at station ${station.position}`}
        />
      ) : (
        <p className={styles['look-there']}>
          Look at the {station.medium} at station {station.position}.
        </p>
      )}
      <p className="quiet">
        {capital(station.medium)}: {station.shows}.
      </p>
    </>
  );
}

/** The parts of the name that the course asks for. */
function NameFields({
  quiz,
  answer,
  onAnswer,
}: {
  quiz: OpenQuiz;
  answer: Answer;
  onAnswer(answer: Answer): void;
}) {
  return (
    <>
      <h2>Name this tree</h2>
      {FIELDS[quiz.policy].map(([part, label], i) => (
        <label className={styles['field']} key={part}>
          <span>{label}</span>
          <input
            value={answer[part] ?? ''}
            onChange={(event) => onAnswer({ ...answer, [part]: event.target.value })}
            maxLength={LONGEST}
            autoComplete="off"
            autoCorrect="off"
            spellCheck={false}
            autoCapitalize={part === 'epithet' ? 'none' : 'words'}
            enterKeyHint={i === FIELDS[quiz.policy].length - 1 ? 'done' : 'next'}
            list={quiz.names.length ? 'names' : undefined}
          />
        </label>
      ))}
      {quiz.names.length > 0 && (
        <datalist id="names">
          {quiz.names.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      )}
    </>
  );
}

/** What is being typed at a station, kept at every keystroke until it is written down: through reload, back button and crash. */
function useTyped(what: string) {
  const key = `hurrow.typed.${what}`;
  return {
    held: ((): Answer | undefined => {
      try {
        return (JSON.parse(localStorage.getItem(key) ?? 'null') as Answer | null) ?? undefined;
      } catch {
        return undefined;
      }
    })(),
    keep: (answer: Answer) => {
      try {
        localStorage.setItem(key, JSON.stringify(answer));
      } catch {
        // No room: what is typed stays on the page, and writing it down says so.
      }
    },
    drop: () => localStorage.removeItem(key),
  };
}

/** “What do you see”: one state of each character that is asked for, chosen by a tap and taken back by another. */
function Seeing({
  asks,
  seen,
  onSee,
}: {
  asks: SeeingAsked[];
  seen: Record<string, string>;
  onSee(seen: Record<string, string>): void;
}) {
  return (
    <>
      <h2>What do you see?</h2>
      <p className="quiet">Not marked. Look before you name it; leave out what you cannot tell.</p>
      {asks.map(({ characterId, question, states }) => (
        <fieldset className={styles['seeing']} key={characterId}>
          <legend>{capital(question)}</legend>
          {states.map(({ id, word, definition }) => (
            <button
              type="button"
              key={id}
              title={definition}
              aria-pressed={seen[characterId] === id}
              onClick={() => onSee({ ...seen, [characterId]: seen[characterId] === id ? '' : id })}
            >
              {word}
            </button>
          ))}
        </fieldset>
      ))}
    </>
  );
}

/** “What did you go by”, after the name: up to three things of what could be seen, ticked by a tap and taken back by another. */
function WentBy({
  offered,
  told,
  onTell,
}: {
  offered: WentByOffered[];
  told: string[];
  onTell(told: string[]): void;
}) {
  const chip = (id: string, word: string) => (
    <button
      type="button"
      key={id}
      aria-pressed={told.includes(id)}
      disabled={isFull(told, id)}
      onClick={() => onTell(ticked(told, id))}
    >
      {word}
    </button>
  );
  return (
    <>
      <h2>What did you go by?</h2>
      <p className="quiet">Not marked. Up to three: what led you to the name, right or wrong.</p>
      {offered.map(({ organ, characters }) => (
        <fieldset className={styles['went-by']} key={organ}>
          <legend>{capital(organ)}</legend>
          {characters.map(({ id, word }) => chip(id, word))}
        </fieldset>
      ))}
      <div className={styles['went-by']}>
        {chip(WHOLE_LOOK, capital(WHOLE_LOOK))}
        {chip(GUESS, capital(GUESS))}
      </div>
    </>
  );
}

function Done({ quiz, outbox }: { quiz: OpenQuiz; outbox: Outbox }) {
  const blank = quiz.stations.filter((station) => {
    const { seen: _seen, wentBy: _wentBy, ...names } = outbox.written(station.id) ?? station.answer ?? {};
    return isEmpty(names);
  });
  return (
    <>
      <header className={styles['phone-bar']}>
        <h1>{quiz.title}</h1>
      </header>
      <main className={styles['pad']}>
        <h2>{blank.length === 0 ? 'Every station has an answer.' : 'Some stations are blank:'}</h2>
        <p className={styles['phone-blank']}>
          {blank.map((station) => (
            <Link key={station.id} className={ui['press']} to={`/quiz/${quiz.id}/${station.position}`}>
              {station.position}
            </Link>
          ))}
        </p>
        <p>You can go back and change answers until your instructor closes the quiz.</p>
        <Link className={`${ui['press']} ${styles['wide-press']}`} to={`/quiz/${quiz.id}/1`}>
          Go through them again
        </Link>
        <Link className={`${ui['press']} ${ui['chief']} ${styles['wide-press']}`} to="/">
          Done
        </Link>
      </main>
    </>
  );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
