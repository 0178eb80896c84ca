import { Trans } from '@lingui/react/macro';
import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Route, Routes } from 'react-router';
import { messageOf, onSessionLost, speaksFor } from '../app/api.ts';
import { NoteBox } from '../notebook/noteBox.ts';
import { install } from './installed.ts';
import { Outbox } from './outbox.ts';
import { Received } from './Received.tsx';
import { Result } from './Result.tsx';
import { Sit } from './Sit.tsx';
import { Today } from './Today.tsx';
import { useLook } from './useLook.ts';
import { useSitting, type Told } from './useSitting.ts';
import styles from './student.module.css';
import ui from '../app/parts.module.css';

// Drawings and evidence come only to those who look at trees: a quiz loads little.
const Trees = lazy(() => import('./trees/Trees.tsx'));
const loadPractice = () => import('../practice/PracticePages.tsx');
const PracticePages = lazy(loadPractice);
async function takePracticeAlong(): Promise<void> {
  const studentId = speaksFor();
  const [{ bringAlong }] = await Promise.all([import('../practice/ownBox.ts'), loadPractice()]);
  if (studentId) await bringAlong(studentId);
  await install();
}
const OwnNotebook = lazy(() => import('../notebook/OwnNotebook.tsx'));

/** A student's pages, made for a phone. */
export default function StudentPages() {
  const query = useSitting();
  if (query.isPending)
    return (
      <p className={styles['pad']}>
        <Trans>Opening…</Trans>
      </p>
    );
  if (!query.data)
    return (
      <p className={styles['pad']} role="alert">
        {messageOf(query.error)}
      </p>
    );
  return <Signed told={query.data} />;
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

function Signed({ told }: { told: Told }) {
  const { sitting } = told;
  const student = `${sitting.course}/${sitting.name}`;
  const outbox = useOpened(openOutbox, student);
  const box = useOpened(openNoteBox, student);
  if (!outbox || !box)
    return (
      <p className={styles['pad']}>
        <Trans>Opening…</Trans>
      </p>
    );
  return <Open told={told} outbox={outbox} box={box} />;
}

/** Sends what waits, now, every few seconds, and as soon as there is a signal. */
function useSending(outbox: Outbox, box: NoteBox): void {
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
}

function Open({ told, outbox, box }: { told: Told; outbox: Outbox; box: NoteBox }) {
  const { sitting, ahead } = told;
  const { look, zoom, change } = useLook();
  const [lost, setLost] = useState(false);
  const queries = useQueryClient();
  useEffect(() => onSessionLost(() => setLost(true)), []);
  const practices = sitting.opens.includes('practice');
  // What is practiced with comes onto the phone as well, behind everything that a quiz needs.
  useEffect(
    () =>
      void install()
        .then(() => (practices ? takePracticeAlong() : undefined))
        .catch(() => undefined),
    [practices],
  );
  useSending(outbox, box);
  return (
    <div className={styles['phone']} style={{ zoom }}>
      {lost && (
        <p className={styles['strip-note']}>
          <Trans>You are signed out. Your answers are kept on this phone.</Trans>{' '}
          <button
            className={ui['press']}
            onClick={() => void queries.invalidateQueries({ queryKey: ['session'] })}
          >
            <Trans>Sign in again</Trans>
          </button>
        </p>
      )}
      <Routes>
        <Route
          path="quiz/:quizId/:position?"
          element={<Sit sitting={sitting} outbox={outbox} ahead={ahead} />}
        />
        <Route path="result/:quizId" element={<Result />} />
        <Route
          path="trees/*"
          element={
            <Suspense
              fallback={
                <p className={styles['pad']}>
                  <Trans>Opening…</Trans>
                </p>
              }
            >
              <Trees sitting={sitting} />
            </Suspense>
          }
        />
        <Route
          path="practice/*"
          element={
            <Suspense
              fallback={
                <p className={styles['pad']}>
                  <Trans>Opening…</Trans>
                </p>
              }
            >
              <PracticePages />
            </Suspense>
          }
        />
        <Route
          path="notebook/*"
          element={
            <Suspense
              fallback={
                <p className={styles['pad']}>
                  <Trans>Opening…</Trans>
                </p>
              }
            >
              <OwnNotebook sitting={sitting} box={box} />
            </Suspense>
          }
        />
        <Route path="*" element={<Today told={told} outbox={outbox} look={look} onLook={change} />} />
      </Routes>
      <Received outbox={outbox} sitting={sitting} />
    </div>
  );
}
