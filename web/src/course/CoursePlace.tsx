import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { Route, Routes, useNavigate } from 'react-router';
import { messageOf } from '../app/api.ts';
import { courseQuery } from '../app/data.ts';
import { useMayChange } from '../app/mayChange.ts';
import { History } from '../keeping/History.tsx';
import { CourseNow } from './CourseNow.tsx';
import { Students } from './Students.tsx';
import { Opening, PageHead, Problem, Tabs } from '../app/parts.tsx';
import ui from '../app/parts.module.css';

// What needs doing is looked at each day; forms and lists, with what they bring along, come to who opens them.
const Settings = lazy(() => import('./Settings.tsx'));
const TaughtList = lazy(() => import('./TaughtList.tsx'));
const TermBoard = lazy(() => import('./TermBoard.tsx'));
const CharacterPage = lazy(() => import('../lessons/CharacterPage.tsx'));
const NotebookPage = lazy(() => import('../notebook/NotebookPage.tsx'));
const WordsPage = lazy(() => import('../lessons/WordsPage.tsx'));
const SortPage = lazy(() => import('../sorting/SortPage.tsx'));
const LessonPage = lazy(() => import('../lessons/LessonPage.tsx'));

/** A course: what needs doing, its list in sets, its students, its settings. Without one, the form that makes it. */
export default function CoursePlace({ courseId }: { courseId: string }) {
  const query = useQuery(courseQuery(courseId));
  const go = useNavigate();
  const mayChange = useMayChange();
  if (courseId === '-')
    return (
      <Suspense fallback={<Opening />}>
        <Settings course={undefined} />
      </Suspense>
    );
  if (query.isPending)
    return (
      <Opening>
        <Trans>Opening the course…</Trans>
      </Opening>
    );
  if (!query.data) return <Problem>{messageOf(query.error)}</Problem>;
  const course = query.data;
  const base = `/c/${courseId}/course`;
  return (
    <section className={ui['page']}>
      <PageHead title={course.name}>
        <span className="quiet">
          <Trans>
            code <strong className={ui['code']}>{course.code}</strong> · {course.weeks} weeks from{' '}
            {course.startsOn} · {course.students.length} students
          </Trans>
        </span>
        {mayChange && (
          <Button type="primary" onClick={() => void go(`/c/${courseId}/quizzes/new`)}>
            <Trans>Plan a quiz</Trans>
          </Button>
        )}
      </PageHead>
      <Tabs
        label={t`Parts of the course`}
        tabs={[
          { to: base, title: t`Now`, end: true },
          { to: `${base}/term`, title: t`Sets on the weeks` },
          { to: `${base}/list`, title: t`Sets as a list` },
          { to: `${base}/characters`, title: t`Characters` },
          { to: `${base}/sort`, title: t`Sorting` },
          { to: `${base}/notebooks`, title: t`Notebooks` },
          { to: `${base}/students`, title: t`Students` },
          { to: `${base}/settings`, title: t`Settings` },
          ...(mayChange ? [{ to: `${base}/history`, title: t`History` }] : []),
        ]}
      />
      <Suspense fallback={<Opening />}>
        <Routes>
          <Route path="" element={<CourseNow course={course} />} />
          <Route path="term" element={<TermBoard course={course} />} />
          <Route path="characters" element={<CharacterPage course={course} />} />
          <Route path="characters/:about" element={<CharacterPage course={course} />} />
          <Route path="words" element={<WordsPage course={course} />} />
          <Route path="sort" element={<SortPage course={course} />} />
          <Route path="lesson/:setId" element={<LessonPage course={course} />} />
          <Route path="notebooks" element={<NotebookPage course={course} />} />
          <Route path="list" element={<TaughtList course={course} />} />
          <Route path="students" element={<Students course={course} />} />
          <Route path="settings" element={<Settings key={course.id} course={course} />} />
          <Route path="history" element={<History courseId={course.id} />} />
        </Routes>
      </Suspense>
    </section>
  );
}
