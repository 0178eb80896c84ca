import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { Button } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call } from '../app/api.ts';
import { TypedName } from './TypedName.tsx';
import styles from './keeping.module.css';

/** Deletes a course with all that is in it. */
export function DeleteCourse({ course }: { course: WholeCourse }) {
  const [asked, setAsked] = useState(false);
  const queries = useQueryClient();
  return (
    <section className={styles['delete']}>
      <h2>
        <Trans>The end of this course</Trans>
      </h2>
      {!asked && (
        <Button danger onClick={() => setAsked(true)}>
          <Trans>Delete this course…</Trans>
        </Button>
      )}
      {asked && (
        <>
          <p>
            <Trans>
              <Plural value={course.students.length} one="# student" other="# students" /> with their answers
              and marks, and <Plural value={course.quizzes.length} one="# quiz" other="# quizzes" /> are
              deleted. The species stay in the library. This can not be taken back, but by a backup.
            </Trans>
          </p>
          <TypedName
            name={course.name}
            does={t`Delete the course`}
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
