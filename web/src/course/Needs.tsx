import { Trans } from '@lingui/react/macro';
import type { Student } from '@hurrow/contract/courses';
import { NEED_TITLES, NEEDS, type Need } from '@hurrow/core/station';
import { useState } from 'react';
import { call } from '../app/api.ts';
import { Problem } from '../app/parts.tsx';
import { STALE, useSaving } from '../app/useSaving.ts';
import { withNeed } from '../quizzes/needs.ts';
import styles from './course.module.css';
import { inTongue } from '../language/inTongue.ts';

/** What is done otherwise for a student: ticked, and stored at once. */
export function Needs({ courseId, student }: { courseId: string; student: Student }) {
  const [shown, show] = useState(student.needs);
  const { save, problem } = useSaving();
  const tick = (need: Need) => {
    const needs = withNeed(shown, need);
    show(needs);
    void save(
      () =>
        call('PUT /api/courses/{courseId}/students/{studentId}/needs', {
          params: { courseId, studentId: student.id },
          body: { needs },
        }),
      {
        stale: [STALE.course(courseId), STALE.marks],
        // What was not stored is not shown as if it were.
        refused: () => {
          show(shown);
          return false;
        },
      },
    );
  };
  return (
    <fieldset className={styles['needs']}>
      <legend>
        <Trans>Done otherwise for {student.name}</Trans>
      </legend>
      {NEEDS.map((need) => (
        <label key={need}>
          <input type="checkbox" checked={shown.includes(need)} onChange={() => tick(need)} />{' '}
          {inTongue(NEED_TITLES[need])}
        </label>
      ))}
      <p className="quiet">
        <Trans>
          For those who teach, and in no print that others see. Plans say what a station is without a sense,
          and name nobody; more time is said under Rounds and papers.
        </Trans>
      </p>
      {problem && <Problem>{problem}</Problem>}
    </fieldset>
  );
}
