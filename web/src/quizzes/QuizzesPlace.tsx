import type { WholeCourse } from '@hurrow/contract/courses';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { Link, Navigate, Route, Routes, useNavigate, useParams } from 'react-router';
import { dayLabel, dayOfYear } from '@hurrow/core/season';
import { messageOf } from '../app/api.ts';
import { courseQuery } from '../app/data.ts';
import { CopyQuiz } from './CopyQuiz.tsx';
import { QtiIn } from './QtiIn.tsx';
import { QtiOut } from './QtiOut.tsx';
import { MarkPage } from './MarkPage.tsx';
import { PlanPage } from './PlanPage.tsx';
import { quizQuery } from './quizData.ts';
import { SecondPage } from './SecondPage.tsx';
import { RunPage } from './RunPage.tsx';
import { TermMarks } from './TermMarks.tsx';
import { Opening, PageHead, Problem, Tabs } from '../app/parts.tsx';
import ui from '../app/parts.module.css';

const ContestPage = lazy(() => import('../contests/ContestPage.tsx'));
const RoundsPage = lazy(() => import('../rounds/RoundsPage.tsx'));

/** The quizzes of a course: plan, run, mark. */
export default function QuizzesPlace({ courseId }: { courseId: string }) {
  const query = useQuery(courseQuery(courseId));
  if (courseId === '-')
    return (
      <section className={ui['page']}>
        <h1>Quizzes</h1>
        <p>
          A quiz belongs to a course. <Link to="/c/-/course">Make a course</Link> first.
        </p>
      </section>
    );
  if (query.isPending) return <Opening>Opening the quizzes…</Opening>;
  if (!query.data) return <Problem>{messageOf(query.error)}</Problem>;
  return (
    <Routes>
      <Route path="" element={<QuizList course={query.data} />} />
      <Route
        path="new"
        element={
          <section className={ui['page']}>
            <h1>A new quiz</h1>
            <PlanPage key="new" course={query.data} quiz={undefined} />
          </section>
        }
      />
      <Route path="marks" element={<TermMarks course={query.data} />} />
      <Route path=":quizId/*" element={<QuizPage course={query.data} />} />
    </Routes>
  );
}

const STATES = { planned: 'planned', open: 'open to students', closed: 'closed' };

function QuizList({ course }: { course: WholeCourse }) {
  const go = useNavigate();
  return (
    <section className={ui['page']}>
      <PageHead title="Quizzes">
        {course.quizzes.some(({ state }) => state === 'closed') && <Link to="marks">Marks of the term</Link>}
        <Button type="primary" onClick={() => void go('new')}>
          Plan a quiz
        </Button>
      </PageHead>
      {course.quizzes.length === 0 ? (
        <p>None yet. Plan one: choose species, what is shown of each, and by what medium.</p>
      ) : (
        <table className={ui['plain-table']}>
          <thead>
            <tr>
              <th>Quiz</th>
              <th>Held</th>
              <th className={ui['num']}>Stations</th>
              <th className={ui['num']}>Students who answered</th>
              <th>State</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {course.quizzes.map((quiz) => (
              <tr key={quiz.id}>
                <td>
                  <Link
                    to={`${quiz.id}/${quiz.state === 'planned' ? 'plan' : quiz.state === 'open' ? 'run' : 'mark'}`}
                  >
                    {quiz.title}
                  </Link>
                </td>
                <td>{dayLabel(dayOfYear(quiz.heldOn))}</td>
                <td className={ui['num']}>{quiz.stations}</td>
                <td className={ui['num']}>
                  {quiz.students} of {course.students.length}
                </td>
                <td>
                  {STATES[quiz.state]}
                  {quiz.released ? ', results released' : ''}
                </td>
                <td>{quiz.state !== 'planned' && <Link to={`${quiz.id}/mark`}>marks</Link>}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <QtiIn course={course} />
    </section>
  );
}

function QuizPage({ course }: { course: WholeCourse }) {
  const { quizId = '' } = useParams();
  const query = useQuery(quizQuery(quizId));
  if (query.isPending) return <Opening>Opening the quiz…</Opening>;
  if (!query.data) return <Problem>{messageOf(query.error)}</Problem>;
  const quiz = query.data;
  const base = `/c/${course.id}/quizzes/${quiz.id}`;
  return (
    <section className={ui['page']}>
      <PageHead title={quiz.title}>
        <span className="quiet">
          {dayLabel(dayOfYear(quiz.heldOn))} · {quiz.stations.length}{' '}
          {quiz.stations.length === 1 ? 'station' : 'stations'} · {STATES[quiz.state]}
          <CopyQuiz course={course} quiz={quiz} />
          <QtiOut course={course} quiz={quiz} />
        </span>
      </PageHead>
      <Tabs
        label="Steps of the quiz"
        tabs={[
          { to: `${base}/plan`, title: 'Plan' },
          { to: `${base}/rounds`, title: 'Rounds and papers' },
          { to: `${base}/run`, title: 'Run' },
          { to: `${base}/mark`, title: 'Mark' },
          { to: `${base}/contest`, title: 'Contest' },
        ]}
      />
      <Routes>
        <Route path="plan" element={<PlanPage key={quiz.id} course={course} quiz={quiz} />} />
        <Route
          path="rounds"
          element={
            <Suspense fallback={<Opening />}>
              <RoundsPage course={course} quiz={quiz} />
            </Suspense>
          }
        />
        <Route path="run" element={<RunPage course={course} quiz={quiz} />} />
        <Route path="second" element={<SecondPage quiz={quiz} courseId={course.id} />} />
        <Route path="mark" element={<MarkPage course={course} quiz={quiz} />} />
        <Route
          path="contest"
          element={
            <Suspense fallback={<Opening />}>
              <ContestPage course={course} quiz={quiz} />
            </Suspense>
          }
        />
        <Route path="*" element={<Navigate to={`${base}/plan`} replace />} />
      </Routes>
    </section>
  );
}
