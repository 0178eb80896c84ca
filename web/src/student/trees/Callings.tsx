import { Trans } from '@lingui/react/macro';
import type { Course } from '@hurrow/contract/courses';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { characterLesson, lessonAbout, lessonGroups } from '@hurrow/core/lesson';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { Calls } from '../../lessons/Calls.tsx';
import styles from './trees.module.css';
import { inTongue } from '../../language/inTongue.ts';

interface Props {
  course: Pick<Course, 'audience' | 'units'>;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
}

/** What can be called: characters that are looked at together. */
export function Callings({ course, list, vocabulary }: Props) {
  const groups = useMemo(
    () => lessonGroups(list, vocabulary, course.audience),
    [list, vocabulary, course.audience],
  );
  if (groups.length === 0)
    return (
      <p>
        <Trans>The trees on your list do not differ enough yet.</Trans>
      </p>
    );
  return (
    <ul className={styles['list']}>
      {groups.map(({ id, title }) => (
        <li key={id}>
          <Link to={`/trees/call/${id}`}>{inTongue(title)}</Link>
        </li>
      ))}
    </ul>
  );
}

/** Ten drawn specimens to call, and ten others for as long as one likes. */
export function Calling({ course, list, vocabulary }: Props) {
  const { about = '' } = useParams();
  const [round, setRound] = useState(1);
  const topic = useMemo(
    () => lessonAbout(list, vocabulary, course.audience, about),
    [list, vocabulary, course.audience, about],
  );
  const lessons = useMemo(
    () => topic?.characters.map((id) => characterLesson(list, id, vocabulary)),
    [topic, list, vocabulary],
  );
  if (!topic || !lessons)
    return (
      <p>
        <Trans>The trees on your list do not differ in that.</Trans>
      </p>
    );
  return (
    <Calls
      course={course}
      lessons={lessons}
      list={list}
      vocabulary={vocabulary}
      round={round}
      onRound={() => setRound(round + 1)}
    />
  );
}
