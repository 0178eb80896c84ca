import type { WholeCourse } from '@hurrow/contract/courses';
import { Button } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { call } from '../app/api.ts';
import { Problem } from '../app/parts.tsx';
import { STALE, useSaving } from '../app/useSaving.ts';
import { nextYear } from './presets.ts';
import styles from './settings.module.css';

/** The course again for the next class: its settings, list and lessons, without its students and quizzes. */
export function CopyCourse({ course }: { course: WholeCourse }) {
  const [name, setName] = useState(course.name);
  const [startsOn, setStartsOn] = useState(nextYear(course.startsOn));
  const { save, saving, problem } = useSaving();
  const go = useNavigate();
  const copy = () =>
    save(
      () =>
        call('POST /api/courses/{courseId}/copy', {
          params: { courseId: course.id },
          body: { name, startsOn },
        }),
      { done: ({ id }) => void go(`/c/${id}/course/term`), stale: [STALE.courses] },
    );
  return (
    <section className={styles['wide']}>
      <h2>For the next class</h2>
      <p>
        A copy with this list, its weeks and its lessons, called{' '}
        <input aria-label="Name of the copy" value={name} onChange={(event) => setName(event.target.value)} />
        , from{' '}
        <input
          type="date"
          aria-label="First day of the copy"
          value={startsOn}
          onChange={(event) => setStartsOn(event.target.value)}
        />{' '}
        on, with a code of its own, no students and no quizzes.{' '}
        <Button size="small" loading={saving} onClick={() => void copy()}>
          Copy the course
        </Button>
      </p>
      {problem && <Problem>{problem}</Problem>}
    </section>
  );
}
