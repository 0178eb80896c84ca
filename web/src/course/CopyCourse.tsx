import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
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
      <h2>
        <Trans>For the next class</Trans>
      </h2>
      <p>
        <Trans>A copy with this list, its weeks and its lessons, called</Trans>{' '}
        <input
          aria-label={t`Name of the copy`}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Trans>, from</Trans>{' '}
        <input
          type="date"
          aria-label={t`First day of the copy`}
          value={startsOn}
          onChange={(event) => setStartsOn(event.target.value)}
        />{' '}
        <Trans>on, with a code of its own, no students and no quizzes.</Trans>{' '}
        <Button size="small" loading={saving} onClick={() => void copy()}>
          <Trans>Copy the course</Trans>
        </Button>
      </p>
      {problem && <Problem>{problem}</Problem>}
    </section>
  );
}
