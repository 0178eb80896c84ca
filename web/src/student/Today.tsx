import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { OpenQuiz, Sitting } from '@hurrow/contract/sitting';
import { useQueryClient } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { call } from '../app/api.ts';
import { SIZE_WORDS, THEMES, THEME_WORDS, type Look } from './look.ts';
import type { Outbox } from './outbox.ts';
import { leftInWords, standingOf, whereInWords } from './progress.ts';
import { clockInWords } from './serverClock.ts';
import { alongInWords } from './takenAlong.ts';
import { takenStore } from './takenStore.ts';
import { useAgain } from './useAgain.ts';
import { useAlong, type Told } from './useSitting.ts';
import styles from './student.module.css';
import { LanguageChoice } from '../language/LanguageChoice.tsx';
import ui from '../app/parts.module.css';

interface TodayProps {
  told: Told;
  outbox: Outbox;
  look: Look;
  onLook(look: Look): void;
}

/** Where a student begins: today's quizzes, results, what there is to learn with, and how the page looks. */
export function Today({ told, outbox, look, onLook }: TodayProps) {
  const { sitting } = told;
  const { ofOthers, unkept } = useSyncExternalStore(outbox.subscribe, outbox.snapshot);
  return (
    <>
      <header className={styles['phone-bar']}>
        <h1>{sitting.course}</h1>
      </header>
      <main className={styles['pad']}>
        <p>
          <Trans>
            You are <strong>{sitting.name}</strong>.
          </Trans>
        </p>
        {ofOthers > 0 && (
          <p className={styles['note']}>
            <Trans>
              <Plural value={ofOthers} one="An answer" other="# answers" /> of somebody else{' '}
              <Plural value={ofOthers} one="waits" other="wait" /> on this phone. Nothing of it is lost: it is
              sent when they sign in here again.
            </Trans>
          </p>
        )}
        <h2>
          <Trans>Today’s quiz</Trans>
        </h2>
        {sitting.open.length === 0 && (
          <p>
            <Trans>No quiz is open now. When your instructor opens one, it appears here.</Trans>
          </p>
        )}
        {sitting.open.map((quiz) => (
          <OpenLink key={quiz.id} quiz={quiz} outbox={outbox} />
        ))}
        <AlongNote told={told} />
        {sitting.released.length > 0 && (
          <h2>
            <Trans>Your results</Trans>
          </h2>
        )}
        {sitting.released.map((quiz) => (
          <Link key={quiz.id} className={`${ui['press']} ${styles['wide-press']}`} to={`/result/${quiz.id}`}>
            {quiz.title}
          </Link>
        ))}
        <ToLearn opens={sitting.opens} />
        <Looks look={look} onLook={onLook} isBound={unkept} />
        <SignOut />
      </main>
    </>
  );
}

function OpenLink({ quiz, outbox }: { quiz: OpenQuiz; outbox: Outbox }) {
  // What is said of the answers changes with the box.
  useSyncExternalStore(outbox.subscribe, outbox.snapshot);
  const where = outbox.where(quiz.stations.map(({ id }) => id));
  const { again } = useAgain(outbox.student, quiz.id);
  const standings = standingOf(quiz, (id) => outbox.written(id), again);
  const begun = standings.some(({ state }) => state !== 'open');
  return (
    <>
      <Link
        className={`${ui['press']} ${ui['chief']} ${styles['wide-press']}`}
        to={begun ? `/quiz/${quiz.id}` : `/quiz/${quiz.id}/1`}
      >
        {quiz.title}
        <small>{begun ? leftInWords(standings) : t`${quiz.stations.length} stations`}</small>
      </Link>
      {where.written > 0 && <p className="quiet">{whereInWords(where)}.</p>}
    </>
  );
}

/** What the phone has along, and what else one should know before one walks out of the signal. */
function AlongNote({ told }: { told: Told }) {
  const along = useAlong(told);
  const said = [
    told.fromPhone ? t`No signal: this is what the phone has along.` : '',
    along ? alongInWords(along) : '',
    clockInWords(told.ahead),
  ].filter(Boolean);
  if (said.length === 0) return null;
  return <p className={styles['note']}>{said.join(' ')}</p>;
}

function ToLearn({ opens }: Pick<Sitting, 'opens'>) {
  if (opens.length === 0) return null;
  return (
    <>
      <h2>
        <Trans>To learn with</Trans>
      </h2>
      {opens.includes('practice') && (
        <Link className={`${ui['press']} ${styles['wide-press']}`} to="/practice">
          <Trans>Practice</Trans>
        </Link>
      )}
      {opens.some((part) => part !== 'notebook' && part !== 'practice') && (
        <Link className={`${ui['press']} ${styles['wide-press']}`} to="/trees">
          <Trans>Trees of the course</Trans>
        </Link>
      )}
      {opens.includes('notebook') && (
        <Link className={`${ui['press']} ${styles['wide-press']}`} to="/notebook">
          <Trans>Notebook</Trans>
        </Link>
      )}
    </>
  );
}

/** How the page looks and what it speaks; not another language while answers stand in this page alone. */
function Looks({ look, onLook, isBound }: { look: Look; onLook(look: Look): void; isBound: boolean }) {
  return (
    <>
      <h2>
        <Trans>This page</Trans>
      </h2>
      <div className={styles['looks']}>
        <label>
          <Trans>Colors</Trans>
          <select
            value={look.theme}
            onChange={(event) => onLook({ ...look, theme: event.target.value as Look['theme'] })}
          >
            {THEMES.map((theme) => (
              <option key={theme} value={theme}>
                {THEME_WORDS[theme]}
              </option>
            ))}
          </select>
        </label>
        <label>
          <Trans>Text</Trans>
          <select
            value={look.size}
            onChange={(event) => onLook({ ...look, size: Number(event.target.value) })}
          >
            {SIZE_WORDS.map((word, size) => (
              <option key={word} value={size}>
                {word}
              </option>
            ))}
          </select>
        </label>
        <label>
          <Trans>Language</Trans>
          <LanguageChoice isBound={isBound} />
        </label>
      </div>
    </>
  );
}

function SignOut() {
  const queries = useQueryClient();
  const leave = async () => {
    await call('DELETE /api/session');
    await (await takenStore())?.leave().catch(() => undefined);
    queries.clear();
    window.location.assign('/');
  };
  return (
    <button className={`${ui['press']} ${styles['quiet-press']}`} onClick={() => void leave()}>
      <Trans>Sign out</Trans>
    </button>
  );
}
