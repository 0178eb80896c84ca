import type { Sitting } from '@hurrow/contract/sitting';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState, useSyncExternalStore } from 'react';
import { Link, Route, Routes } from 'react-router';
import { call, messageOf, onSessionLost } from '../app/api.ts';
import { NoteBox } from '../notebook/noteBox.ts';
import { Outbox } from './outbox.ts';
import { Result } from './Result.tsx';
import { Sit } from './Sit.tsx';
import styles from './student.module.css';
import ui from '../app/parts.module.css';

// Drawings and evidence come only to those who look at trees: a quiz loads little.
const Trees = lazy(() => import('./Trees.tsx'));
const OwnNotebook = lazy(() => import('../notebook/OwnNotebook.tsx'));

/** A student's pages, made for a phone. */
export default function StudentPages() {
  const query = useQuery({
    queryKey: ['sit'],
    queryFn: () => call('GET /api/sit'),
    refetchInterval: 30_000,
  });
  if (query.isPending) return <p className={styles['pad']}>Opening…</p>;
  if (!query.data)
    return (
      <p className={styles['pad']} role="alert">
        {messageOf(query.error)}
      </p>
    );
  return <Signed sitting={query.data} />;
}

/** Opens what this student has on this phone, and closes it when another one signs in. */
function useOpened<T extends { close(): void }>(
  open: (student: string) => Promise<T>,
  student: string,
): T | undefined {
  const [held, setHeld] = useState<T>();
  useEffect(() => {
    let opened: T | undefined;
    let left = false;
    void open(student).then((made) => {
      if (left) return made.close();
      opened = made;
      setHeld(made);
    });
    return () => {
      left = true;
      opened?.close();
    };
  }, [open, student]);
  return held;
}

const openOutbox = (student: string) => Outbox.open(student);
const openNoteBox = (student: string) => NoteBox.open(student);

function Signed({ sitting }: { sitting: Sitting }) {
  const student = `${sitting.course}/${sitting.name}`;
  const outbox = useOpened(openOutbox, student);
  const box = useOpened(openNoteBox, student);
  if (!outbox || !box) return <p className={styles['pad']}>Opening…</p>;
  return <Open sitting={sitting} outbox={outbox} box={box} />;
}

function Open({ sitting, outbox, box }: { sitting: Sitting; outbox: Outbox; box: NoteBox }) {
  const [lost, setLost] = useState(false);
  const queries = useQueryClient();
  useEffect(() => onSessionLost(() => setLost(true)), []);
  useEffect(() => {
    const again = () => {
      void outbox.send();
      void box.send();
    };
    const atOnce = () => {
      void outbox.send(true);
      void box.send();
    };
    again();
    const timer = window.setInterval(again, 4000);
    window.addEventListener('online', atOnce);
    return () => {
      window.clearInterval(timer);
      window.removeEventListener('online', atOnce);
    };
  }, [outbox, box]);
  return (
    <div className={styles['phone']}>
      {lost && (
        <p className={styles['strip-note']}>
          You are signed out. Your answers are kept on this phone.{' '}
          <button
            className={ui['press']}
            onClick={() => void queries.invalidateQueries({ queryKey: ['session'] })}
          >
            Sign in again
          </button>
        </p>
      )}
      <Routes>
        <Route path="quiz/:quizId/:position?" element={<Sit sitting={sitting} outbox={outbox} />} />
        <Route path="result/:quizId" element={<Result />} />
        <Route
          path="trees/*"
          element={
            <Suspense fallback={<p className={styles['pad']}>Opening…</p>}>
              <Trees sitting={sitting} />
            </Suspense>
          }
        />
        <Route
          path="notebook/*"
          element={
            <Suspense fallback={<p className={styles['pad']}>Opening…</p>}>
              <OwnNotebook sitting={sitting} box={box} />
            </Suspense>
          }
        />
        <Route path="*" element={<Today sitting={sitting} />} />
      </Routes>
      <Received outbox={outbox} sitting={sitting} />
    </div>
  );
}

function Today({ sitting }: { sitting: Sitting }) {
  const queries = useQueryClient();
  const leave = async () => {
    await call('DELETE /api/session');
    queries.clear();
    window.location.assign('/');
  };
  return (
    <>
      <header className={styles['phone-bar']}>
        <h1>{sitting.course}</h1>
      </header>
      <main className={styles['pad']}>
        <p>
          You are <strong>{sitting.name}</strong>.
        </p>
        <h2>Today’s quiz</h2>
        {sitting.open.length === 0 && (
          <p>No quiz is open now. When your instructor opens one, it appears here.</p>
        )}
        {sitting.open.map((quiz) => {
          const done = quiz.stations.filter((station) => station.answer).length;
          return (
            <Link
              key={quiz.id}
              className={`${ui['press']} ${ui['chief']} ${styles['wide-press']}`}
              to={`/quiz/${quiz.id}/1`}
            >
              {quiz.title}
              <small>
                {done === 0
                  ? `${quiz.stations.length} stations`
                  : `${done} of ${quiz.stations.length} answered`}
              </small>
            </Link>
          );
        })}
        {sitting.released.length > 0 && <h2>Your results</h2>}
        {sitting.released.map((quiz) => (
          <Link key={quiz.id} className={`${ui['press']} ${styles['wide-press']}`} to={`/result/${quiz.id}`}>
            {quiz.title}
          </Link>
        ))}
        {sitting.opens.length > 0 && (
          <>
            <h2>To learn with</h2>
            {sitting.opens.some((part) => part !== 'notebook') && (
              <Link className={`${ui['press']} ${styles['wide-press']}`} to="/trees">
                Trees of the course
              </Link>
            )}
            {sitting.opens.includes('notebook') && (
              <Link className={`${ui['press']} ${styles['wide-press']}`} to="/notebook">
                Notebook
              </Link>
            )}
          </>
        )}
        <button className={`${ui['press']} ${styles['quiet-press']}`} onClick={() => void leave()}>
          Sign out
        </button>
      </main>
    </>
  );
}

/** “Station 3”, or what is said where its quiz is no longer open. */
const stationName = (stationId: string, sitting: Sitting): string => {
  const station = sitting.open.flatMap((quiz) => quiz.stations).find(({ id }) => id === stationId);
  return station ? `Station ${station.position}` : 'An answer';
};

/** What has reached the server; always in sight while something has not. */
function Received({ outbox, sitting }: { outbox: Outbox; sitting: Sitting }) {
  const { waiting, offline, problem, unkept, refused } = useSyncExternalStore(
    outbox.subscribe,
    outbox.snapshot,
  );
  if (waiting === 0 && refused.length === 0) return null;
  return (
    <footer className={styles['strip-note']} role="status">
      {waiting > 0 && (
        <span>
          {offline ? 'No signal. ' : ''}
          {waiting === 1 ? 'One answer waits' : `${waiting} answers wait`} on this phone and will be sent by
          itself.{' '}
          {unkept
            ? 'This phone has no room to keep them: leave this page open until they are sent, or write them on paper.'
            : 'Nothing is lost.'}
          {problem ? ` ${problem}` : ''}
        </span>
      )}
      {refused.map(({ item, message }) => (
        <span key={item.id}>
          {stationName(item.stationId, sitting)}: {message}
        </span>
      ))}
    </footer>
  );
}
