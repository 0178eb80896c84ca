import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { NavLink, Route, Routes, useNavigate } from 'react-router';
import { messageOf } from '../app/api.ts';
import { courseQuery } from '../app/data.ts';
import { useMayChange } from '../app/session.ts';
import { History } from '../keeping/History.tsx';
import { CourseNow } from './CourseNow.tsx';
import { Settings } from './Settings.tsx';
import { Students } from './Students.tsx';
import { TaughtList } from './TaughtList.tsx';
import './course.css';

/** A course: what needs doing, its list in sets, its students, its settings. Without one, the form that makes it. */
export default function CoursePlace({ courseId }: { courseId: string }) {
  const query = useQuery(courseQuery(courseId));
  const go = useNavigate();
  const mayChange = useMayChange();
  if (courseId === '-') return <Settings course={undefined} />;
  if (query.isPending) return <p className="opening">Opening the course…</p>;
  if (!query.data) return <p className="problem">{messageOf(query.error)}</p>;
  const course = query.data;
  const base = `/c/${courseId}/course`;
  return (
    <section className="page">
      <div className="page-head">
        <h1>{course.name}</h1>
        <span className="quiet">
          code <strong className="code">{course.code}</strong> · {course.weeks} weeks from {course.startsOn} ·{' '}
          {course.students.length} students
        </span>
        {mayChange && (
          <Button type="primary" onClick={() => void go(`/c/${courseId}/quizzes/new`)}>
            Plan a quiz
          </Button>
        )}
      </div>
      <nav className="tabs" aria-label="Parts of the course">
        <NavLink to={base} end>
          Now
        </NavLink>
        <NavLink to={`${base}/list`}>List in sets</NavLink>
        <NavLink to={`${base}/students`}>Students</NavLink>
        <NavLink to={`${base}/settings`}>Settings</NavLink>
        {mayChange && <NavLink to={`${base}/history`}>History</NavLink>}
      </nav>
      <Routes>
        <Route path="" element={<CourseNow course={course} />} />
        <Route path="list" element={<TaughtList course={course} />} />
        <Route path="students" element={<Students course={course} />} />
        <Route path="settings" element={<Settings key={course.id} course={course} />} />
        <Route path="history" element={<History courseId={course.id} />} />
      </Routes>
    </section>
  );
}
