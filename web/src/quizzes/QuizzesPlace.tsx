import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { Link, Navigate, Route, Routes, useNavigate, useParams } from 'react-router';
import { dayOfYear } from '@hurrow/core/season';
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
import { dayLabel } from '../language/inWords.ts';

const ContestPage = lazy(() => import('../contests/ContestPage.tsx'));
const RoundsPage = lazy(() => import('../rounds/RoundsPage.tsx'));

/** The quizzes of a course: plan, run, mark. */
export default function QuizzesPlace({ courseId }: { courseId: string }) {
  const query = useQuery(courseQuery(courseId));
  if (courseId === '-')
    return (
      <section className={ui['page']}>
        <h1>
          <Trans>Quizzes</Trans>
        </h1>
        <p>
          <Trans>
            A quiz belongs to a course. <Link to="/c/-/course">Make a course</Link> first.
          </Trans>
        </p>
      </section>
    );
  if (query.isPending)
    return (
      <Opening>
        <Trans>Opening the quizzes…</Trans>
      </Opening>
    );
  if (!query.data) return <Problem>{messageOf(query.error)}</Problem>;
  return (
    <Routes>
      <Route path="" element={<QuizList course={query.data} />} />
      <Route
        path="new"
        element={
          <section className={ui['page']}>
            <h1>
              <Trans>A new quiz</Trans>
            </h1>
            <PlanPage key="new" course={query.data} quiz={undefined} />
          </section>
        }
      />
      <Route path="marks" element={<TermMarks course={query.data} />} />
      <Route path=":quizId/*" element={<QuizPage course={query.data} />} />
    </Routes>
  );
}

const STATES = { planned: t`planned`, open: t`open to students`, closed: t`closed` };

function QuizList({ course }: { course: WholeCourse }) {
  const go = useNavigate();
  return (
    <section className={ui['page']}>
      <PageHead title={t`Quizzes`}>
        {course.quizzes.some(({ state }) => state === 'closed') && (
          <Link to="marks">
            <Trans>Marks of the term</Trans>
          </Link>
        )}
        <Button type="primary" onClick={() => void go('new')}>
          <Trans>Plan a quiz</Trans>
        </Button>
      </PageHead>
      {course.quizzes.length === 0 ? (
        <p>
          <Trans>None yet. Plan one: choose species, what is shown of each, and by what medium.</Trans>
        </p>
      ) : (
        <table className={ui['plain-table']}>
          <thead>
            <tr>
              <th>
                <Trans>Quiz</Trans>
              </th>
              <th>
                <Trans>Held</Trans>
              </th>
              <th className={ui['num']}>
                <Trans>Stations</Trans>
              </th>
              <th className={ui['num']}>
                <Trans>Students who answered</Trans>
              </th>
              <th>
                <Trans>State</Trans>
              </th>
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
                  <Trans>
                    {quiz.students} of {course.students.length}
                  </Trans>
                </td>
                <td>
                  {STATES[quiz.state]}
                  {quiz.released ? t`, results released` : ''}
                </td>
                <td>
                  {quiz.state !== 'planned' && (
                    <Link to={`${quiz.id}/mark`}>
                      <Trans>marks</Trans>
                    </Link>
                  )}
                </td>
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
  if (query.isPending)
    return (
      <Opening>
        <Trans>Opening the quiz…</Trans>
      </Opening>
    );
  if (!query.data) return <Problem>{messageOf(query.error)}</Problem>;
  const quiz = query.data;
  const base = `/c/${course.id}/quizzes/${quiz.id}`;
  return (
    <section className={ui['page']}>
      <PageHead title={quiz.title}>
        <span className="quiet">
          {dayLabel(dayOfYear(quiz.heldOn))} · {quiz.stations.length}{' '}
          <Plural value={quiz.stations.length} one="station" other="stations" /> · {STATES[quiz.state]}
          <CopyQuiz course={course} quiz={quiz} />
          <QtiOut course={course} quiz={quiz} />
        </span>
      </PageHead>
      <Tabs
        label={t`Steps of the quiz`}
        tabs={[
          { to: `${base}/plan`, title: t`Plan` },
          { to: `${base}/rounds`, title: t`Rounds and papers` },
          { to: `${base}/run`, title: t`Run` },
          { to: `${base}/mark`, title: t`Mark` },
          { to: `${base}/contest`, title: t`Contest` },
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
