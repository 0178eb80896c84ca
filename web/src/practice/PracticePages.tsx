import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { Link, Route, Routes } from 'react-router';
import { speaksFor } from '../app/api.ts';
import { DrillPage } from './DrillPage.tsx';
import { MiniLessonPage } from './MiniLessonPage.tsx';
import { ownBox } from './ownBox.ts';
import type { ReviewBox } from './reviewBox.ts';
import { Start } from './Start.tsx';
import student from '../student/student.module.css';

/** Practice on the phone: what there is to do, the session, lessons that were sent. It works without a signal once it was opened with one. */
export default function PracticePages() {
  const [box, setBox] = useState<ReviewBox>();
  useEffect(() => {
    const studentId = speaksFor();
    if (!studentId) return undefined;
    let left = false;
    void ownBox(studentId).then((made) => {
      if (left) return;
      setBox(made);
      void made.refresh();
    });
    return () => {
      left = true;
    };
  }, []);
  if (!box)
    return (
      <p className={student['pad']}>
        <Trans>Opening…</Trans>
      </p>
    );
  return <Opened box={box} />;
}

function Opened({ box }: { box: ReviewBox }) {
  const state = useSyncExternalStore(box.subscribe, box.snapshot);
  const { pack } = state;
  if (state.problem || !pack)
    return (
      <main className={student['pad']}>
        <p role="alert">
          {state.problem ??
            (state.offline
              ? t`There is no signal, and nothing to practice with is on this phone yet. Open this page once where there is one.`
              : t`Opening…`)}
        </p>
        <Link to="/">
          <Trans>Back</Trans>
        </Link>
      </main>
    );
  return (
    <Routes>
      <Route path="go" element={<Going box={box} />} />
      <Route path="lesson/:lessonId" element={<MiniLessonPage pack={pack} />} />
      <Route path="*" element={<Start pack={pack} box={box} state={state} />} />
    </Routes>
  );
}

/** A session, with the pack that was there when it began. */
function Going({ box }: { box: ReviewBox }) {
  const [pack] = useState(box.snapshot().pack!);
  return <DrillPage pack={pack} box={box} />;
}
