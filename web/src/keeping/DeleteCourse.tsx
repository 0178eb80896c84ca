import { Button } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { counted } from '@hurrow/core/words';
import { post } from '../app/api.ts';
import type { Course } from '../app/data.ts';
import { TypedName } from './TypedName.tsx';
import styles from './keeping.module.css';

/** Deletes a course with all that is in it. */
export function DeleteCourse({ course }: { course: Course }) {
  const [asked, setAsked] = useState(false);
  const queries = useQueryClient();
  return (
    <section className={styles['delete']}>
      <h2>The end of this course</h2>
      {!asked && (
        <Button danger onClick={() => setAsked(true)}>
          Delete this course…
        </Button>
      )}
      {asked && (
        <>
          <p>
            {counted(course.students.length, 'student')} with their answers and marks, and{' '}
            {counted(course.quizzes.length, 'quiz', 'quizzes')} are deleted. The species stay in the library.
            This can not be taken back, but by a backup.
          </p>
          <TypedName
            name={course.name}
            does="Delete the course"
            onLeave={() => setAsked(false)}
            onDo={async (sure) => {
              await post(`/api/courses/${course.id}/remove`, { sure });
              queries.clear();
              window.location.assign('/');
            }}
          />
        </>
      )}
    </section>
  );
}
