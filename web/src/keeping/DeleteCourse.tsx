import type { WholeCourse } from '@hurrow/contract/courses';
import { Button } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { counted } from '@hurrow/core/words';
import { call } from '../app/api.ts';
import { TypedName } from './TypedName.tsx';
import styles from './keeping.module.css';

/** Deletes a course with all that is in it. */
export function DeleteCourse({ course }: { course: WholeCourse }) {
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
              await call('POST /api/courses/{courseId}/remove', {
                params: { courseId: course.id },
                body: { sure },
              });
              queries.clear();
              window.location.assign('/');
            }}
          />
        </>
      )}
    </section>
  );
}
